import type { EventBase } from './eventBase.ts';

/** Order of events: by when they happened, then by id (UUIDv7, so by when they were made). */
export function inOrder<T extends Pick<EventBase, 'happenedAt' | 'id'>>(events: readonly T[]): T[] {
  return [...events].sort((a, b) =>
    a.happenedAt < b.happenedAt ? -1 : a.happenedAt > b.happenedAt ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0,
  );
}

/** Ids of the events that have been taken back. A take-back that was itself taken back undoes nothing. */
export function retractedIds(takeBacks: readonly EventBase[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const t of inOrder(takeBacks).reverse()) {
    if (!gone.has(t.id) && t.corrects !== null) gone.add(t.corrects);
  }
  return gone;
}

/** Events that still stand, in order. */
export function standing<T extends EventBase>(events: readonly T[], gone: ReadonlySet<string>): T[] {
  return inOrder(events.filter((e) => !gone.has(e.id)));
}
