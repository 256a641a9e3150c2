import type { Decision } from '../ledger/families/decisions.ts';
import { type InForce, inForce } from '../ledger/inForce.ts';
import type { JobHistory } from './jobHistory.ts';

/**
 * What was decided about a place on this job, and what stands against it. What an earlier job decided about it is over.
 * @param instant ISO 8601; only what was decided until then counts, all of it where none is given
 */
export function decidedHere(history: JobHistory, slotId: string, instant?: string): InForce<Decision> {
  const { decisions, job } = history.records;
  const until = (d: Decision): boolean => instant === undefined || d.happenedAt <= instant;
  return inForce(history.active(decisions).filter((d) => d.slotId === slotId && d.jobId === job.id && until(d)));
}
