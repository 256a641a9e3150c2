import type { ReadingSet } from '../ledger/families/sets.ts';
import type { Reduced } from '../metrology/reduce.ts';
import { isOfAnother } from './authorship.ts';
import type { JobHistory } from './jobHistory.ts';

/** A safety figure this near to its limit, in expanded uncertainties, asks for a second measure. */
const SECOND_WITHIN = 2;

/**
 * Whether a figure asks for a blind second measure by another person: safety, and within 2 U of its limit.
 * @param room distance to the governing end of the limit, positive on the good side; null without a limit
 */
export function asksForSecond(gravity: 'safety' | 'function', room: number | null, expanded: number): boolean {
  return gravity === 'safety' && room !== null && Math.abs(room) <= SECOND_WITHIN * expanded + 1e-9;
}

/** The blind second measure of a set: the newest by another person, of the same part, place, phase and job. */
export function blindRemeasurementOf(history: JobHistory, set: ReadingSet): ReadingSet | null {
  return (
    history.sets.findLast(
      (s) =>
        s.blind &&
        s.jobId === set.jobId &&
        s.slotId === set.slotId &&
        s.partId === set.partId &&
        s.measurement === set.measurement &&
        s.phase === set.phase &&
        isOfAnother(history.records, s, set) &&
        history.taken(s).length > 0,
    ) ?? null
  );
}

export interface BlindRemeasurement {
  readonly setId: string;
  readonly authorId: string;
  readonly value: number;
  readonly expanded: number;
  /** The two lie no farther apart than their uncertainties explain. */
  readonly agrees: boolean;
}

/** Holds a second figure against the first: apart by no more than the root of the sum of both U squared. */
export function compareSecond(first: Reduced, second: Reduced, set: ReadingSet): BlindRemeasurement {
  const apart = Math.abs((first.signed ?? first.value) - (second.signed ?? second.value));
  return {
    setId: set.id,
    authorId: set.authorId,
    value: second.value,
    expanded: second.expanded,
    agrees: apart <= Math.hypot(first.expanded, second.expanded) + 1e-9,
  };
}
