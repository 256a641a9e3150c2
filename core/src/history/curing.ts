import { PROCESSES } from '../catalogue/processes.ts';
import type { JobHistory } from './jobHistory.ts';

/** When the clock came to its end by which the last coat of a place cured, an instant; null where none did. */
export function curedByClock(history: JobHistory, slotId: string, coatedAt: string): string | null {
  const { timers, timerSteps } = history.records;
  const cures = history
    .active(timers)
    .filter((t) => t.slotId === slotId && PROCESSES[t.process].cures && t.happenedAt >= coatedAt)
    .map((t) => t.id);
  return history.active(timerSteps).find((s) => s.kind === 'ended' && cures.includes(s.timerId))?.happenedAt ?? null;
}
