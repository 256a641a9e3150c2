import type { EventBase } from './eventBase.ts';

/** Order of events: by when they happened, then by id (UUIDv7, so by when they were made). */
export function inOrder<T extends Pick<EventBase, 'happenedAt' | 'id'>>(events: readonly T[]): T[] {
  return [...events].sort((a, b) =>
    a.happenedAt < b.happenedAt ? -1 : a.happenedAt > b.happenedAt ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0,
  );
}

/** Ids of the events that have been taken back. A take-back that was itself taken back undoes nothing. */
export function retractedIds(takeBacks: readonly EventBase[]): ReadonlySet<string> {
  const retracted = new Set<string>();
  for (const t of inOrder(takeBacks).reverse()) {
    if (!retracted.has(t.id) && t.corrects !== null) retracted.add(t.corrects);
  }
  return retracted;
}

/** Events that still stand, in order. */
export function activeEvents<T extends EventBase>(events: readonly T[], retracted: ReadonlySet<string>): T[] {
  return inOrder(events.filter((e) => !retracted.has(e.id)));
}
