import type { Operation } from '../ledger/families/operations.ts';
import type { JobHistory } from './jobHistory.ts';
import { millisecondsInMinute } from '../quantity/calendar.ts';

export type OperationState = 'open' | 'running' | 'stopped' | 'done';

/** Where an operation stands: by its newest event. */
export function operationState(history: JobHistory, operationId: string): OperationState {
  const last = history
    .active(history.records.operationEvents)
    .filter((e) => e.operationId === operationId)
    .at(-1);
  if (!last) return 'open';
  return last.kind === 'start' ? 'running' : last.kind === 'stop' ? 'stopped' : 'done';
}

/**
 * Operations under way, the longest first.
 * @param today ISO instant
 * @returns each with its start and the whole minutes since
 */
export function runningOperations(
  history: JobHistory,
  today: string,
): { readonly operation: Operation; readonly since: string; readonly minutes: number }[] {
  return history
    .active(history.records.operations)
    .filter((o) => operationState(history, o.id) === 'running')
    .map((operation) => {
      const since =
        history
          .active(history.records.operationEvents)
          .filter((e) => e.operationId === operation.id)
          .at(-1)?.happenedAt ?? today;
      return { operation, since, minutes: Math.max(0, Math.floor((Date.parse(today) - Date.parse(since)) / millisecondsInMinute)) };
    })
    .sort((a, b) => b.minutes - a.minutes);
}
