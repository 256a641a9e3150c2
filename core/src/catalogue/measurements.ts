import type { Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { GaugeKind } from './gaugeKinds.ts';
import { LININGS } from './measured/linings.ts';
import type { Given } from './measured/patterns.ts';
import { REST } from './measured/rest.ts';
import type { Measurement, MeasurementId } from './measured/types.ts';
import { WHEEL } from './measured/wheel.ts';

export type { Measurement, MeasurementId } from './measured/types.ts';

const GIVEN: Readonly<Record<MeasurementId, Given>> = { ...WHEEL, ...LININGS, ...REST };

export const MEASUREMENT_IDS = Object.keys(GIVEN) as readonly MeasurementId[];

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
