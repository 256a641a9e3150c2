import type { Kind, UnitId } from '../quantity/units.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { Gravity } from '../verdict/severity.ts';

export type CharacteristicId =
  'rotor_thickness' | 'rotor_thickness_variation' | 'rotor_runout' | 'drum_diameter' | 'drum_out_of_round' | 'drum_taper' | 'pad_lining';

/** What is taken with a gauge; other characteristics may be reduced from the same readings. */
export type MeasurementId = 'rotor_thickness' | 'rotor_runout' | 'drum_diameter' | 'pad_lining';

export interface Characteristic {
  readonly id: CharacteristicId;
  readonly name: string;
  /** Short plate name over a rule. */
  readonly short: string;
  readonly takenFrom: MeasurementId;
  readonly on: ComponentKind;
  readonly kind: Kind;
  readonly unit: UnitId;
  readonly bound: 'lower' | 'upper';
  /** What wear does to the figure; null where it is not wear. */
  readonly wears: 'falls' | 'grows' | null;
  readonly gravity: Gravity;
  /** Word for the last limit on the rule. */
  readonly limitWord: string;
  readonly newWord: string;
}

export interface Measurement {
  readonly id: MeasurementId;
  readonly name: string;
  readonly on: ComponentKind;
  /** Whose figure it is: a part's, or that of the fit of a part in its place. */
  readonly subject: 'part' | 'fit';
  readonly kind: Kind;
  readonly unit: UnitId;
  /** Gauge whose generic accuracy applies when none is named. */
  readonly usualGauge: GaugeKind;
  /** A figure outside is asked about at once, canonical unit. */
  readonly plausible: readonly [number, number];
  /** Least number of positions before a set counts. */
  readonly least: number;
  /** How it is taken, in a line. */
  readonly how: string;
}

export type GaugeKind =
  | 'micrometer'
  | 'bore_gauge'
  | 'dial'
  | 'caliper'
  | 'depth_gauge'
  | 'drum_gauge'
  | 'feeler'
  | 'rule'
  | 'tape'
  | 'torque_wrench'
  | 'spring_scale'
  | 'pedal_force'
  | 'pressure_gauge'
  | 'vacuum_gauge'
  | 'fluid_tester'
  | 'thermometer';

export const GAUGE_KIND_NAME: Readonly<Record<GaugeKind, string>> = {
  micrometer: 'Outside micrometer',
  bore_gauge: 'Bore gauge',
  dial: 'Dial indicator',
  caliper: 'Digital or vernier caliper',
  depth_gauge: 'Depth gauge',
  drum_gauge: 'Drum gauge',
  feeler: 'Feeler',
  rule: 'Steel rule',
  tape: 'Tape',
  torque_wrench: 'Torque wrench',
  spring_scale: 'Spring scale',
  pedal_force: 'Pedal-force gauge',
  pressure_gauge: 'Pressure gauge',
  vacuum_gauge: 'Vacuum gauge',
  fluid_tester: 'Fluid tester',
  thermometer: 'Thermometer or probe',
};

/** Generic accuracies when nothing is known of a gauge, mm half-widths; over a short span most of it cancels. Source: handbook 10. */
/** The unit that a gauge's own figures are in. */
export const GAUGE_UNIT: Readonly<Record<GaugeKind, string>> = {
  micrometer: 'mm',
  bore_gauge: 'mm',
  dial: 'mm',
  caliper: 'mm',
  depth_gauge: 'mm',
  drum_gauge: 'mm',
  feeler: 'mm',
  rule: 'mm',
  tape: 'mm',
  torque_wrench: 'N·m',
  spring_scale: 'N',
  pedal_force: 'N',
  pressure_gauge: 'bar',
  vacuum_gauge: 'kPa',
  fluid_tester: '%',
  thermometer: '°C',
};

export const GENERIC_GAUGE: Readonly<
  Record<GaugeKind, { readonly accuracy: number; readonly shortSpan: number; readonly resolution: number }>
> = {
  micrometer: { accuracy: 0.004, shortSpan: 0.001, resolution: 0.01 },
  bore_gauge: { accuracy: 0.005, shortSpan: 0.005, resolution: 0.001 },
  dial: { accuracy: 0.01, shortSpan: 0.003, resolution: 0.01 },
  caliper: { accuracy: 0.03, shortSpan: 0.01, resolution: 0.01 },
  depth_gauge: { accuracy: 0.03, shortSpan: 0.03, resolution: 0.02 },
  drum_gauge: { accuracy: 0.05, shortSpan: 0.02, resolution: 0.05 },
  feeler: { accuracy: 0.01, shortSpan: 0.01, resolution: 0.01 },
  rule: { accuracy: 0.5, shortSpan: 0.5, resolution: 0.5 },
  tape: { accuracy: 1, shortSpan: 1, resolution: 1 },
  torque_wrench: { accuracy: 0.04, shortSpan: 0.04, resolution: 1 },
  spring_scale: { accuracy: 2, shortSpan: 2, resolution: 1 },
  pedal_force: { accuracy: 2, shortSpan: 2, resolution: 1 },
  pressure_gauge: { accuracy: 4, shortSpan: 4, resolution: 1 },
  vacuum_gauge: { accuracy: 1, shortSpan: 1, resolution: 1 },
  fluid_tester: { accuracy: 0.5, shortSpan: 0.5, resolution: 0.1 },
  thermometer: { accuracy: 3, shortSpan: 3, resolution: 1 },
};

export const MEASUREMENTS: Readonly<Record<MeasurementId, Measurement>> = {
  rotor_thickness: {
    id: 'rotor_thickness',
    name: 'Thickness',
    on: 'rotor',
    subject: 'part',
    kind: 'length',
    unit: 'mm',
    usualGauge: 'micrometer',
    plausible: [3, 45],
    least: 4,
    how: 'Micrometer, 10 to 15 mm in from the edge, evenly round from stud 1 in the direction in which studs are counted.',
  },
  rotor_runout: {
    id: 'rotor_runout',
    name: 'Runout',
    on: 'rotor',
    subject: 'fit',
    kind: 'length',
    unit: 'mm',
    usualGauge: 'dial',
    plausible: [-2, 2],
    least: 6,
    how: 'Dial near the rim, every nut with plain washers at wheel torque, hub pushed the same way throughout. Plunger pushed in is positive.',
  },
  drum_diameter: {
    id: 'drum_diameter',
    name: 'Diameter',
    on: 'drum',
    subject: 'part',
    kind: 'length',
    unit: 'mm',
    usualGauge: 'drum_gauge',
    plausible: [90, 520],
    least: 4,
    how: 'Drum gauge at 0, 45, 90 and 135°, at the open end, the middle and the closed end, clear of the ridge.',
  },
  pad_lining: {
    id: 'pad_lining',
    name: 'Lining',
    on: 'pads',
    subject: 'part',
    kind: 'length',
    unit: 'mm',
    usualGauge: 'caliper',
    plausible: [0, 30],
    least: 8,
    how: 'Friction material at the four corners of each pad, without the backing.',
  },
};

export const CHARACTERISTICS: readonly Characteristic[] = [
  {
    id: 'rotor_thickness',
    name: 'Rotor thickness',
    short: 'Thickness',
    takenFrom: 'rotor_thickness',
    on: 'rotor',
    kind: 'length',
    unit: 'mm',
    bound: 'lower',
    wears: 'falls',
    gravity: 'safety',
    limitWord: 'Discard',
    newWord: 'New',
  },
  {
    id: 'rotor_thickness_variation',
    name: 'Rotor thickness variation',
    short: 'Variation',
    takenFrom: 'rotor_thickness',
    on: 'rotor',
    kind: 'length',
    unit: 'mm',
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'Even',
  },
  {
    id: 'rotor_runout',
    name: 'Rotor runout',
    short: 'Runout',
    takenFrom: 'rotor_runout',
    on: 'rotor',
    kind: 'length',
    unit: 'mm',
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'True',
  },
  {
    id: 'drum_diameter',
    name: 'Drum diameter',
    short: 'Diameter',
    takenFrom: 'drum_diameter',
    on: 'drum',
    kind: 'length',
    unit: 'mm',
    bound: 'upper',
    wears: 'grows',
    gravity: 'safety',
    limitWord: 'Discard',
    newWord: 'New',
  },
  {
    id: 'drum_out_of_round',
    name: 'Drum out-of-round',
    short: 'Out-of-round',
    takenFrom: 'drum_diameter',
    on: 'drum',
    kind: 'length',
    unit: 'mm',
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'Round',
  },
  {
    id: 'drum_taper',
    name: 'Drum taper',
    short: 'Taper',
    takenFrom: 'drum_diameter',
    on: 'drum',
    kind: 'length',
    unit: 'mm',
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'Straight',
  },
  {
    id: 'pad_lining',
    name: 'Pad lining',
    short: 'Lining',
    takenFrom: 'pad_lining',
    on: 'pads',
    kind: 'length',
    unit: 'mm',
    bound: 'lower',
    wears: 'falls',
    gravity: 'safety',
    limitWord: 'Discard',
    newWord: 'New',
  },
];

export function characteristic(id: string): Characteristic | undefined {
  return CHARACTERISTICS.find((c) => c.id === id);
}

export function measurement(id: string): Measurement | undefined {
  return Object.values(MEASUREMENTS).find((m) => m.id === id);
}

/** What is measured on a kind of component. */
export function measurementsOn(kind: ComponentKind): Measurement[] {
  return Object.values(MEASUREMENTS).filter((m) => m.on === kind);
}

const generic = (
  id: CharacteristicId,
  bound: 'lower' | 'upper',
  at: number,
  nominal: number | null,
  gravity: Gravity,
  where: string,
): LimitVersion => ({
  id: `generic:${id}:1`,
  seriesId: `generic:${id}`,
  characteristic: id,
  scope: 'shop',
  appliesTo: null,
  make: null,
  model: null,
  yearFrom: null,
  yearTo: null,
  variant: null,
  axle: null,
  bound,
  nominal,
  machineTo: null,
  at,
  low: null,
  high: null,
  gravity,
  atLeast: false,
  source: 'generic',
  sourceText: where,
  asPrinted: `${at} mm`,
  printedUnit: 'mm',
  enteredBy: 'generic',
  enteredAt: '2020-01-01T00:00:00.000Z',
  checkedBy: 'generic',
  checkedAt: '2020-01-01T00:00:00.000Z',
});

/** Common workshop practice, offered until somebody enters the figure for the vehicle. Source: handbook 20. */
export const GENERIC_LIMITS: readonly LimitVersion[] = [
  generic('rotor_thickness_variation', 'upper', 0.015, 0, 'function', 'common workshop practice: above it the pedal pulses'),
  generic('rotor_runout', 'upper', 0.1, 0, 'function', 'common workshop practice, fitted'),
  generic('drum_out_of_round', 'upper', 0.15, 0, 'function', 'common workshop practice'),
  generic('drum_taper', 'upper', 0.15, 0, 'function', 'common workshop practice'),
  generic('pad_lining', 'lower', 2, null, 'safety', 'common workshop practice for bonded pads'),
];
