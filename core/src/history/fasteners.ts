import type { FastenerFact } from '../ledger/families/fastenerFacts.ts';
import type { JobHistory } from './jobHistory.ts';

/** What holds a wheel or a unit, as it was last put on record on any job of the vehicle; null where nobody has said. */
export function fastenerOf(history: JobHistory, point: string): FastenerFact | null {
  return history.active(history.records.fastenerFacts).findLast((f) => f.point === point) ?? null;
}
