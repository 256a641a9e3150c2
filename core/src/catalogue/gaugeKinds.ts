import type { QuantityKind } from '../quantity/units.ts';

/** Kinds of gauge, and what is taken of one when nothing is known of it. */
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
  | 'test_gauge'
  | 'vacuum_gauge'
  | 'fluid_tester'
  | 'boil_tester'
  | 'thermometer'
  | 'angle_gauge'
  | 'brake_tester'
  | 'scale'
  | 'count';

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
  test_gauge: 'Low-pressure test gauge',
  vacuum_gauge: 'Vacuum gauge',
  fluid_tester: 'Fluid tester',
  boil_tester: 'Boiling tester',
  thermometer: 'Thermometer or probe',
  angle_gauge: 'Angle gauge',
  brake_tester: 'Brake tester, rollers or plates',
  scale: 'Scale for a bottle',
  count: 'Counted by hand',
};

/** Every kind of gauge. */
export const GAUGE_KINDS = Object.keys(GAUGE_KIND_NAME) as readonly GaugeKind[];

/** The quantity that each kind of gauge takes: none of another quantity is accepted for a figure. */
export const GAUGE_QUANTITY: Readonly<Record<GaugeKind, QuantityKind>> = {
  micrometer: 'length',
  bore_gauge: 'length',
  dial: 'length',
  caliper: 'length',
  depth_gauge: 'length',
  drum_gauge: 'length',
  feeler: 'length',
  rule: 'length',
  tape: 'length',
  torque_wrench: 'torque',
  spring_scale: 'force',
  pedal_force: 'force',
  pressure_gauge: 'pressure',
  test_gauge: 'pressure',
  vacuum_gauge: 'vacuum',
  fluid_tester: 'ratio',
  boil_tester: 'temperature',
  thermometer: 'temperature',
  angle_gauge: 'angle',
  brake_tester: 'force',
  scale: 'mass',
  count: 'ratio',
};

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
  test_gauge: 'bar',
  vacuum_gauge: 'kPa',
  fluid_tester: '%',
  boil_tester: '°C',
  thermometer: '°C',
  angle_gauge: '°',
  brake_tester: 'N',
  scale: 'g',
  count: 'clicks',
};

/** Generic accuracies when nothing is known of a gauge, half-widths in its unit; over a short span most of it cancels. Source: handbook 10. */
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
  pressure_gauge: { accuracy: 4, shortSpan: 1, resolution: 1 },
  test_gauge: { accuracy: 0.1, shortSpan: 0.05, resolution: 0.05 },
  vacuum_gauge: { accuracy: 1, shortSpan: 1, resolution: 1 },
  fluid_tester: { accuracy: 0.5, shortSpan: 0.5, resolution: 0.1 },
  boil_tester: { accuracy: 5, shortSpan: 5, resolution: 1 },
  thermometer: { accuracy: 3, shortSpan: 3, resolution: 1 },
  angle_gauge: { accuracy: 1, shortSpan: 1, resolution: 0.5 },
  brake_tester: { accuracy: 0.03, shortSpan: 0.03, resolution: 10 },
  scale: { accuracy: 2, shortSpan: 1, resolution: 1 },
  count: { accuracy: 0.5, shortSpan: 0.5, resolution: 0.25 },
};

/** Gauges whose stated accuracy is a share of what they show, not a figure of its own. Source: handbook 10, Beyond lengths. */
const SHARE: readonly GaugeKind[] = ['torque_wrench', 'brake_tester'];

/** Whether the stated accuracy of a kind of gauge is a share of what it shows. */
export function isShare(kind: GaugeKind): boolean {
  return SHARE.includes(kind);
}

/** A stated accuracy as a half-width in the unit of the figure, for a gauge that showed `value`. */
export function halfWidth(kind: GaugeKind, accuracy: number, value: number): number {
  return SHARE.includes(kind) ? accuracy * Math.abs(value) : accuracy;
}
