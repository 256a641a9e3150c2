import { type MeasurementId, MEASUREMENTS } from '../catalogue/measurements.ts';
import type { Taken } from './takenIn.ts';

/** Share of the time something has to be held from which it counts: a clock that is read a moment early is read. */
const HELD_ENOUGH = 0.95;

/**
 * Why what was set and then held is no test: read too soon after `ran` of `needs` seconds, or set outside of what it is held at,
 * canonical unit of the measurement.
 */
export type HoldFault =
  | { readonly kind: 'short'; readonly ran: number; readonly needs: number }
  | { readonly kind: 'set'; readonly value: number; readonly from: number; readonly to: number };

/**
 * Why a hold is no test, by the times and the first figure of its readings, each the newest of its place; null where it is one,
 * where it is not whole yet, and for what is not set and held. Too low a pressure drops by nothing, too high a one presses a lip
 * tight.
 * Source: handbook 60, Bench test.
 */
export function holdFault(id: MeasurementId, taken: readonly Taken[]): HoldFault | null {
  const { pattern, plausible } = MEASUREMENTS[id];
  const held = pattern.form === 'spots' ? pattern.spots.find((s) => s.id === 'end') : undefined;
  const at = (place: string): Taken | undefined => taken.find((t) => t.reading.place === place);
  const [set, read] = [at('start'), at('end')];
  if (held?.holdS === undefined || !set || !read) return null;
  const [from, to] = plausible;
  if (set.value < from || set.value > to) return { kind: 'set', value: set.value, from, to };
  const ran = (Date.parse(read.reading.happenedAt) - Date.parse(set.reading.happenedAt)) / 1000;
  return ran < held.holdS * HELD_ENOUGH ? { kind: 'short', ran: Math.max(0, Math.round(ran)), needs: held.holdS } : null;
}
