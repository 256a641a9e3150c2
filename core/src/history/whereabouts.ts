import type { PartEvent } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';

/** What follows from a list of part events; worked out once a list, since a list is only ever replaced. */
interface Sitting {
  readonly ordered: readonly PartEvent[];
  /** Part by slot. */
  readonly now: ReadonlyMap<string, string>;
}

const sittings = new WeakMap<readonly PartEvent[], Sitting>();

/** What takes a part out of its place. */
export const LEAVES: readonly PartEvent['kind'][] = [
  'removed',
  'sent',
  'returned',
  'scrapped',
  'came_loose',
  'came_missing',
  'came_unknown',
];

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
  | { readonly at: 'shelf' | 'away' | 'scrap' | 'missing' | 'unknown'; readonly since: string | null; readonly note: string };

/** Where a part is: its newest fit, removal, send-out or scrapping. */
export function whereabouts(partId: string, partEvents: readonly PartEvent[]): Whereabouts {
  let now: Whereabouts = { at: 'unknown', since: null, note: '' };
  for (const e of partsInOrder(partEvents)) {
    if (e.partId !== partId) continue;
    if ((e.kind === 'found' || e.kind === 'fitted') && e.slotId !== null) now = { at: 'slot', slotId: e.slotId, since: e.happenedAt };
    else if (e.kind === 'removed' || e.kind === 'returned' || e.kind === 'came_loose')
      now = { at: 'shelf', since: e.happenedAt, note: e.note };
    else if (e.kind === 'sent') now = { at: 'away', since: e.happenedAt, note: e.note };
    else if (e.kind === 'came_missing') now = { at: 'missing', since: e.happenedAt, note: e.note };
    else if (e.kind === 'came_unknown') now = { at: 'unknown', since: e.happenedAt, note: e.note };
    else if (e.kind === 'scrapped') now = { at: 'scrap', since: e.happenedAt, note: e.note };
  }
  return now;
}

/** The part that is gauged for a place: the one that sits there, else the one that came out of it and lies in the shop. */
export function partHere(slotId: string, partEvents: readonly PartEvent[]): string | null {
  const sits = partIn(slotId, partEvents);
  if (sits !== null) return sits;
  const last = lastPartIn(slotId, partEvents);
  return last !== null && whereabouts(last, partEvents).at === 'shelf' ? last : null;
}
