import { PROCESSES } from '../catalogue/processes.ts';
import type { JobHistory } from './jobHistory.ts';

/** Whether the last coat of a place cured by a clock that came to its end. */
export function curedByClock(history: JobHistory, slotId: string, coatedAt: string): boolean {
  const { timers, timerSteps } = history.records;
  const ended = new Set(history.active(timerSteps).flatMap((s) => (s.kind === 'ended' ? [s.timerId] : [])));
  return history
    .active(timers)
    .some((t) => t.slotId === slotId && PROCESSES[t.process].cures && t.happenedAt >= coatedAt && ended.has(t.id));
}
