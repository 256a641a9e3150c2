import type { RemovedPlace } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import { EVENT_LISTS, type EventList, familyOf } from '../ledger/families.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { JobHistory } from './jobHistory.ts';

/** A record of this job at a place or connection that was out of the layout when it came in. */
export interface Stray {
  readonly family: EventList;
  readonly record: EventBase;
  /** The set, where it is one: a set goes to another place with everything that was taken in it. */
  readonly set: ReadingSet | null;
  readonly at: RemovedPlace;
}

/** Where something was said to be; the going of a part is told of places that are gone too. */
const isAtPlace = (family: EventList, record: EventBase): boolean => family !== 'partEvents' || (record as PartEvent).kind === 'fitted';

/**
 * What was taken at a place that somebody took out of the layout meanwhile, cut off from each other: it belongs to no place of
 * this vehicle, is judged nowhere, and is told until somebody says where it belongs or takes it back. What was on record when
 * a conversion took its place out is of the vehicle as it was.
 * Source: handbook 15, Layout revision and Offline.
 */
export function strayRecords(history: JobHistory): Stray[] {
  const { records } = history;
  const there = new Set([...records.layout.slots.map((s) => s.id), ...records.layout.connections.map((c) => c.id)]);
  const outSince = new Map<string, { readonly at: RemovedPlace; readonly since: string }>();
  for (const r of records.layoutRevisions)
    for (const at of r.removedPlaces) if (!there.has(at.id)) outSince.set(at.id, { at, since: r.enteredAt });
  if (outSince.size === 0) return [];
  const sets = new Map(history.sets.map((s) => [s.id, s]));
  return EVENT_LISTS.filter((family) => family !== 'setMoves').flatMap((family) => {
    const fields = Object.entries(familyOf(family).names).filter(([, what]) => what === 'place' || what === 'line');
    if (fields.length === 0) return [];
    return history.active<EventBase>(records[family]).flatMap((stored): Stray[] => {
      const record = sets.get(stored.id) ?? stored;
      if (record.jobId !== records.job.id || !isAtPlace(family, record)) return [];
      const named = fields.map(([field]) => outSince.get(String(new Map<string, unknown>(Object.entries(record)).get(field))));
      const found = named.find((g) => g !== undefined && g.since < record.recordedAt);
      return found ? [{ family, record, set: sets.get(stored.id) ?? null, at: found.at }] : [];
    });
  });
}
