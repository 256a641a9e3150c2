import type { OptionId } from '../catalogue/repairOptions.ts';
import { LASTS } from '../catalogue/lasting.ts';
import type { Comeback } from '../ledger/families/comebacks.ts';
import { inForce } from '../ledger/inForce.ts';
import type { JobHistory } from './jobHistory.ts';

/** Work on a place that an earlier job handed back, and what somebody said of its being opened again. */
export interface WorkedBefore {
  readonly slotId: string;
  readonly option: OptionId;
  readonly jobId: string;
  readonly releasedAt: string;
  readonly said: Comeback | null;
}

/** The newest work on a place that was handed back before this job; null where there was none. */
export function workedBefore(history: JobHistory, slotId: string): WorkedBefore | null {
  const { decisions, job, pastJobs, comebacks } = history.records;
  const handedBack = pastJobs
    .filter((j) => j.id !== job.id && j.releasedAt !== null && j.releasedAt <= job.openedAt)
    .sort((a, b) => ((a.releasedAt ?? '') < (b.releasedAt ?? '') ? 1 : -1));
  for (const past of handedBack) {
    const { now } = inForce(history.active(decisions).filter((d) => d.slotId === slotId && d.jobId === past.id));
    if (!now || !LASTS.includes(now.option) || past.releasedAt === null) continue;
    const said = history.active(comebacks).findLast((c) => c.slotId === slotId && c.repairedIn === past.id && c.jobId === job.id) ?? null;
    return { slotId, option: now.option, jobId: past.id, releasedAt: past.releasedAt, said };
  }
  return null;
}
