import type { Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { GaugeKind } from './gaugeKinds.ts';
import { BANDS } from './measured/bands.ts';
import { CONTROLS } from './measured/controls.ts';
import { CYLINDERS } from './measured/cylinders.ts';
import { DRUMS } from './measured/drums.ts';
import { HUBS } from './measured/hubs.ts';
import { LININGS } from './measured/linings.ts';
import { PROVING } from './measured/proving.ts';
import { ROTORS } from './measured/rotors.ts';
import type { Entry } from './measured/types.ts';

const ENTRIES = { ...ROTORS, ...HUBS, ...DRUMS, ...BANDS, ...LININGS, ...CYLINDERS, ...CONTROLS, ...PROVING };

/** What is taken with a gauge; characteristics are reduced from its readings. */
export type MeasurementId = keyof typeof ENTRIES;
/** What is judged: every characteristic of every measurement. */
export type CharacteristicId = { [M in MeasurementId]: keyof (typeof ENTRIES)[M]['characteristics'] & string }[MeasurementId];

/** Each as an entry: what it says by its own name, and no more than that. */
const GIVEN: Readonly<Record<MeasurementId, Entry>> = ENTRIES;

export interface Measurement extends Entry {
  readonly id: MeasurementId;
}

export const MEASUREMENT_IDS = Object.keys(ENTRIES) as readonly MeasurementId[];

/** Everything that is taken with a gauge, by its id. Source: handbook 20. */
export const MEASUREMENTS: Readonly<Record<MeasurementId, Measurement>> = Object.fromEntries(
  MEASUREMENT_IDS.map((id) => [id, { id, ...GIVEN[id] }]),
) as Record<MeasurementId, Measurement>;

export function measurement(id: string): Measurement | undefined {
  return Object.values(MEASUREMENTS).find((m) => m.id === id);
}

/** What is measured at a place: on its kind, made as it is. */
export function measurementsAt(slot: Slot): Measurement[] {
  return measurementsOn(slot.kind).filter((m) => m.onStyle === undefined || m.onStyle === slot.style);
}

/** What is measured on a kind of component, in the order in which it is taken. */
export function measurementsOn(kind: ComponentKind): Measurement[] {
  return Object.values(MEASUREMENTS).filter((m) => m.on.includes(kind));
}

/** The gauge that a figure is usually taken with, at a place of its measurement. */
export function usualGaugeAt(id: MeasurementId, place: string | null): GaugeKind {
  const { pattern, usualGauge } = MEASUREMENTS[id];
  const spots = pattern.form === 'spots' ? pattern.spots : pattern.also;
  return spots.find((s) => s.id === place)?.usualGauge ?? usualGauge;
}
