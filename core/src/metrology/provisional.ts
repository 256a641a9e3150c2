import type { Measurement } from '../catalogue/measurements.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';

/** A set on a dirty surface, or of a warm part, closes nothing: it becomes good only by being taken again. */
export function isProvisional(set: Pick<ReadingSet, 'surface' | 'cold'>): boolean {
  return set.surface === 'dirty' || !set.cold;
}

/** Why a set closes nothing. */
export type ProvisionalCause = 'dirty' | 'warm';

/** Why a set closes nothing; null where it may. */
export function provisionalCause(set: Pick<ReadingSet, 'surface' | 'cold'>): ProvisionalCause | null {
  if (set.surface === 'dirty') return 'dirty';
  return set.cold ? null : 'warm';
}

/** Whether a figure hangs on how clean and how warm the part is: a length of a part does, a pedal or a torque does not. */
export function hangsOnState(m: Pick<Measurement, 'kind' | 'subject'>): boolean {
  return m.kind === 'length' && m.subject !== 'slot';
}
