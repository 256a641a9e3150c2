import { type MeasurementId, MEASUREMENTS } from '../catalogue/measurements.ts';
import type { Taken } from './takenIn.ts';

/** Share of the time something has to be held from which it counts: a clock that is read a moment early is read. */
const HELD_ENOUGH = 0.95;

/** How long something ran that was to be held, and how long it had to, s. */
export interface HeldShort {
  readonly ran: number;
  readonly needs: number;
}

/**
 * Whether what is set and then held was read too soon: by the times of its readings, each the newest of its place.
 * Source: handbook 60, Bench test.
 */
export function heldShort(id: MeasurementId, taken: readonly Taken[]): HeldShort | null {
  const { pattern } = MEASUREMENTS[id];
  const held = pattern.form === 'spots' ? pattern.spots.find((s) => s.id === 'end') : undefined;
  const at = (place: string): string | undefined => taken.find((t) => t.reading.place === place)?.reading.happenedAt;
  const [set, read] = [at('start'), at('end')];
  if (held?.holdS === undefined || set === undefined || read === undefined) return null;
  const ran = (Date.parse(read) - Date.parse(set)) / 1000;
  return ran < held.holdS * HELD_ENOUGH ? { ran: Math.max(0, Math.round(ran)), needs: held.holdS } : null;
}
