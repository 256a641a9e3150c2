import { type CharacteristicId, type GaugeKind, GENERIC_GAUGE } from '@dauer/core/catalogue';
import type { LimitVersion } from '@dauer/core/verdict';
import { v7 } from 'uuid';
import type { Car, Story } from './story.ts';

/** The people of the demonstration shop. Everybody and everything in it is invented. */
export const PEOPLE = {
  ines: { id: v7(), name: 'Ines Okafor-Lind', login: 'ines', role: 'lead' },
  tomasz: { id: v7(), name: 'Tomasz Verrill', login: 'tomasz', role: 'technician' },
  ruth: { id: v7(), name: 'Ruth Achterberg', login: 'ruth', role: 'technician' },
} as const;
export const DEMO_SHOP = { name: 'Fernhollow Vehicle Works', timeZone: 'Europe/London' } as const;

export interface Rack {
  readonly mic: string;
  readonly coarseMic: string;
  readonly bore: string;
  readonly depth: string;
  readonly dial: string;
  readonly drum: string;
  readonly caliper: string;
}

/** The gauges on the rack. */
export function fillRack(story: Story): Rack {
  const add = (
    tag: string,
    name: string,
    kind: GaugeKind,
    resolution: number,
    accuracy: number,
    shortSpan: number,
    due: number,
  ): string => {
    const id = v7();
    story.gauges.push({
      id,
      gaugeId: v7(),
      tag,
      name,
      kind,
      resolution,
      accuracy,
      shortSpan,
      rangeLow: null,
      rangeHigh: null,
      calibrationDue: story.day(due),
      settingPiece: kind === 'micrometer' ? 25 : null,
      checkFirst: false,
      enteredBy: PEOPLE.ines.id,
      enteredAt: story.ago(2400),
    });
    return id;
  };
  const mic = add('M-03', 'Micrometer 0 to 25 mm', 'micrometer', 0.001, 0.003, 0.001, 140);
  const coarseMic = add('M-01', 'Micrometer 0 to 25 mm', 'micrometer', 0.01, 0.004, 0.001, 60);
  const dial = add('D-02', 'Dial indicator 10 mm', 'dial', 0.01, 0.01, 0.003, 90);
  const drum = add('G-01', 'Drum gauge 160 to 460 mm', 'drum_gauge', 0.05, 0.05, 0.02, -12);
  const caliper = add('C-04', 'Digital caliper 150 mm', 'caliper', 0.01, 0.03, 0.01, 200);
  const usual = (tag: string, name: string, kind: GaugeKind, due: number): string => {
    const { resolution, accuracy, shortSpan } = GENERIC_GAUGE[kind];
    return add(tag, name, kind, resolution, accuracy, shortSpan, due);
  };
  const bore = usual('B-01', 'Bore gauge 18 to 35 mm', 'bore_gauge', 110);
  const depth = usual('T-01', 'Depth gauge 200 mm', 'depth_gauge', 75);
  usual('S-01', 'Spring scale 200 N', 'spring_scale', 300);
  usual('P-01', 'Pedal-force gauge', 'pedal_force', 300);
  usual('P-02', 'Pressure gauge 160 bar', 'pressure_gauge', 40);
  usual('F-01', 'Fluid tester', 'fluid_tester', 20);
  usual('F-02', 'Boiling tester', 'boil_tester', 90);
  usual('F-03', 'Refractometer', 'fluid_tester', 400);
  usual('K-01', 'Scale under the bottle', 'scale', 300);
  usual('O-01', 'Oven probe', 'thermometer', 250);
  add('W-02', 'Torque wrench 20 to 200 N·m', 'torque_wrench', 1, 0.04, 0.04, 30);
  return { mic, coarseMic, dial, drum, caliper, bore, depth };
}

/** Enters a limit for a vehicle type, with its invented source. */
export function typeLimit(
  story: Story,
  car: Car,
  characteristic: CharacteristicId,
  axle: 'front' | 'rear' | null,
  figures: { nominal: number | null; machineTo?: number | null; at: number; bound: 'lower' | 'upper'; gravity: 'safety' | 'function' },
  sourceText: string,
  checked = true,
): void {
  const limit: LimitVersion = {
    id: v7(),
    seriesId: v7(),
    characteristic,
    scope: 'type',
    appliesTo: null,
    make: car.vehicle.make,
    model: car.vehicle.model,
    yearFrom: null,
    yearTo: null,
    variant: null,
    axle,
    machineTo: null,
    low: null,
    high: null,
    atLeast: false,
    source: 'maker',
    sourceText,
    asPrinted: `${figures.at} mm`,
    printedUnit: 'mm',
    enteredBy: PEOPLE.tomasz.id,
    enteredAt: story.ago(2390),
    checkedBy: checked ? PEOPLE.ines.id : null,
    checkedAt: checked ? story.ago(2388) : null,
    ...figures,
  };
  story.limits.push(limit);
}
