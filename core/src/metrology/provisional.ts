import type { Measurement } from '../catalogue/measurements.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';

/** A set on a dirty surface, or of a warm part, closes nothing: it becomes good only by being taken again. */
export function isProvisional(set: Pick<ReadingSet, 'surface' | 'cold'>): boolean {
  return set.surface === 'dirty' || !set.cold;
}

/** Why a set closes nothing, in a sentence; null where it may. */
export function whyProvisional(set: Pick<ReadingSet, 'surface' | 'cold'>): string | null {
  if (set.surface === 'dirty') return 'Taken on a dirty surface: clean it and take it again.';
  return set.cold ? null : 'Taken warm: let it cool and take it again.';
}

/** Whether a figure hangs on how clean and how warm the part is: a length of a part does, a pedal or a torque does not. */
export function hangsOnState(m: Pick<Measurement, 'kind' | 'subject'>): boolean {
  return m.kind === 'length' && m.subject !== 'slot';
}
