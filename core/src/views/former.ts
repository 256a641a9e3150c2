import type { JobState } from '../job/job.ts';
import type { SheetLine } from '../ledger/release.ts';
import { FORMER } from '../wording/en/former.ts';
import { afterCareStates } from './afterCare.ts';

/** Something that a job left: not done, put off, passed by somebody's name, or to be looked at again. */
interface LeftLine {
  readonly what: string;
  readonly why: string;
}

/** What a job that was handed back touched, proved and left, as its sheet says it. */
export interface FormerJob {
  readonly jobId: string;
  /** Instant, ISO 8601 UTC. */
  readonly releasedAt: string;
  readonly distance: string;
  readonly complaint: string;
  readonly complaintAnswer: string;
  readonly touched: readonly SheetLine[];
  readonly proved: readonly SheetLine[];
  readonly left: readonly LeftLine[];
}

/**
 * What was done, proved and left on a job that was handed back, for whoever gets the vehicle back; null where it was not.
 * Source: handbook 15, People, time: a return names the job that it comes back from.
 */
export function formerJob(state: JobState): FormerJob | null {
  const { release } = state.records;
  if (release === null) return null;
  const { sheet } = release;
  // What is of the whole vehicle does not name it in every line.
  const placed = (l: SheetLine): SheetLine => (l.place === sheet.vehicleName ? { ...l, place: '' } : l);
  const care = afterCareStates(state).filter((a) => a.answer === 'open' || a.answer === 'failed');
  return {
    jobId: release.jobId,
    releasedAt: release.releasedAt,
    distance: sheet.distance,
    complaint: sheet.complaint,
    complaintAnswer: sheet.complaintAnswer,
    touched: [...sheet.done, ...sheet.parts, ...sheet.fluid].map(placed),
    proved: sheet.proofs.map(placed),
    left: [
      ...(sheet.leaves ? [{ what: sheet.leaves, why: '' }] : []),
      ...sheet.putOff.map((l) => ({ what: l.place, why: FORMER.putOff(l.text) })),
      ...sheet.accepted.map((l) => ({ what: l.place || l.text, why: FORMER.accepted(l.place ? l.text : '', l.by) })),
      ...care.map((a) => ({ what: a.what, why: a.answer === 'failed' ? FORMER.notGood : FORMER.notAnswered(a.on) })),
      ...sheet.watch.map((w) => ({ what: w, why: '' })),
      ...(sheet.outOfScope.length > 0 ? [FORMER.leftOut(sheet.outOfScope)] : []),
    ],
  };
}
