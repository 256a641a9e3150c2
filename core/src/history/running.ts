import type { Operation } from '../ledger/families/operations.ts';
import type { Book } from './book.ts';

export type OperationState = 'open' | 'running' | 'stopped' | 'done';

/** Where an operation stands: by its newest event. */
export function operationState(book: Book, operationId: string): OperationState {
  const last = book
    .stand(book.file.operationEvents)
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
  book: Book,
  today: string,
): { readonly operation: Operation; readonly since: string; readonly minutes: number }[] {
  return book
    .stand(book.file.operations)
    .filter((o) => operationState(book, o.id) === 'running')
    .map((operation) => {
      const since =
        book
          .stand(book.file.operationEvents)
          .filter((e) => e.operationId === operation.id)
          .at(-1)?.happenedAt ?? today;
      return { operation, since, minutes: Math.max(0, Math.floor((Date.parse(today) - Date.parse(since)) / 60000)) };
    })
    .sort((a, b) => b.minutes - a.minutes);
}
