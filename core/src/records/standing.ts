import type { EventBase } from './eventBase.ts';
import type { PartEvent } from './partRecords.ts';

/** Order of events: by when they happened, then by id (UUIDv7, so by when they were made). */
export function inOrder<T extends Pick<EventBase, 'happenedAt' | 'id'>>(events: readonly T[]): T[] {
  return [...events].sort((a, b) =>
    a.happenedAt < b.happenedAt ? -1 : a.happenedAt > b.happenedAt ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0,
  );
}

/** Ids of the events that have been taken back. A take-back that was itself taken back undoes nothing. */
export function takenBackIds(takeBacks: readonly EventBase[]): ReadonlySet<string> {
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

/** What follows from a list of part events; worked out once a list, since a list is only ever replaced. */
interface Sitting {
  readonly ordered: readonly PartEvent[];
  /** Part by slot. */
  readonly now: ReadonlyMap<string, string>;
}
const sittings = new WeakMap<readonly PartEvent[], Sitting>();

/** What takes a part out of its place. */
export const LEAVES: readonly PartEvent['kind'][] = ['removed', 'sent', 'returned', 'scrapped'];

function sittingOf(partEvents: readonly PartEvent[]): Sitting {
  const known = sittings.get(partEvents);
  if (known) return known;
  const ordered = inOrder(partEvents);
  const now = new Map<string, string>();
  for (const e of ordered) {
    const leaves = LEAVES.includes(e.kind);
    if (leaves || e.kind === 'fitted')
      for (const [slot, part] of now) if (part === e.partId && (leaves || slot !== e.slotId)) now.delete(slot);
    if ((e.kind === 'found' || e.kind === 'fitted') && e.slotId !== null) now.set(e.slotId, e.partId);
  }
  const sitting = { ordered, now };
  sittings.set(partEvents, sitting);
  return sitting;
}

/** Part events in their order. */
export function partsInOrder(partEvents: readonly PartEvent[]): readonly PartEvent[] {
  return sittingOf(partEvents).ordered;
}

/** The part that sits in a slot now; null where it is empty. */
export function partIn(slotId: string, partEvents: readonly PartEvent[]): string | null {
  return sittingOf(partEvents).now.get(slotId) ?? null;
}

/** The part that sits in a slot, or the one that sat there last. */
export function lastPartIn(slotId: string, partEvents: readonly PartEvent[]): string | null {
  return partsInOrder(partEvents).findLast((e) => e.slotId === slotId && (e.kind === 'found' || e.kind === 'fitted'))?.partId ?? null;
}

export type Whereabouts =
  | { readonly at: 'slot'; readonly slotId: string; readonly since: string }
  | { readonly at: 'shelf' | 'away' | 'scrap' | 'unknown'; readonly since: string | null; readonly note: string };

/** Where a part is: its newest fit, removal, send-out or scrapping. */
export function whereabouts(partId: string, partEvents: readonly PartEvent[]): Whereabouts {
  let now: Whereabouts = { at: 'unknown', since: null, note: '' };
  for (const e of partsInOrder(partEvents)) {
    if (e.partId !== partId) continue;
    if ((e.kind === 'found' || e.kind === 'fitted') && e.slotId !== null) now = { at: 'slot', slotId: e.slotId, since: e.happenedAt };
    else if (e.kind === 'removed' || e.kind === 'returned') now = { at: 'shelf', since: e.happenedAt, note: e.note };
    else if (e.kind === 'sent') now = { at: 'away', since: e.happenedAt, note: e.note };
    else if (e.kind === 'scrapped') now = { at: 'scrap', since: e.happenedAt, note: e.note };
  }
  return now;
}
