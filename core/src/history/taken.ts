import type { Operation } from '../ledger/families/operations.ts';
import { millisecondsInDay, millisecondsInMinute } from '../quantity/calendar.ts';
import type { JobHistory } from './jobHistory.ts';

/** Hours of a day that one stretch on the clock counts at most: a clock that ran on through the night was forgotten; generic. */
export const LONGEST_STRETCH = 10;

/** What an operation took. */
export interface Taken {
  readonly operation: Operation;
  /** Attended minutes, whole. */
  readonly minutes: number;
  /** A clock ran for it; else it is done, and counts what it was planned with. */
  readonly clocked: boolean;
  /** A clock ran longer than anybody works: so much of it is not counted, in minutes. */
  readonly uncounted: number;
}

/**
 * What the operations of this job took, by their clocks: each stretch from its start to the stop or the end that follows. What
 * is done without a clock counts what it was planned with; a clock that still runs counts when it is stopped; what is planned
 * and not begun counts nothing, and is not in the list.
 */
export function takenOf(history: JobHistory): Taken[] {
  const { job, operations, operationEvents } = history.records;
  const events = history.active(operationEvents);
  return history
    .active(operations)
    .filter((o) => o.jobId === job.id)
    .flatMap((operation): Taken[] => {
      const mine = events.filter((e) => e.operationId === operation.id);
      let since: number | null = null;
      let [minutes, uncounted, clocked] = [0, 0, false];
      for (const e of mine) {
        const at = Date.parse(e.happenedAt);
        if (e.kind === 'start') since ??= at;
        else if (since !== null) {
          const ran = Math.max(0, at - since);
          const most = (Math.floor(ran / millisecondsInDay) + 1) * LONGEST_STRETCH * 60;
          const whole = Math.round(ran / millisecondsInMinute);
          minutes += Math.min(whole, most);
          uncounted += Math.max(0, whole - most);
          [since, clocked] = [null, true];
        }
      }
      if (clocked) return [{ operation, minutes, clocked, uncounted }];
      return mine.some((e) => e.kind === 'done') ? [{ operation, minutes: operation.attendedMinutes, clocked, uncounted: 0 }] : [];
    });
}
