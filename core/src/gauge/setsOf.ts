import { slotById } from '../layout/graph.ts';
import type { Book } from '../records/book.ts';
import { partIn, partsInOrder } from '../records/standing.ts';
import type { PartEvent } from '../records/partRecords.ts';
import type { ReadingSet } from '../records/readingRecords.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';

/** Since when a part sits in a slot without a break, ISO instant; null where it does not sit there. */
export function sitsSince(slotId: string, partId: string | null, partEvents: readonly PartEvent[]): string | null {
  if (partId === null || partIn(slotId, partEvents) !== partId) return null;
  return (
    partsInOrder(partEvents).findLast((e) => e.partId === partId && e.slotId === slotId && (e.kind === 'found' || e.kind === 'fitted'))
      ?.happenedAt ?? null
  );
}

/** Whether the hub that a part is fitted to was taken off, fitted or replaced since an instant. */
function hubMovedSince(book: Book, slotId: string, instant: string): boolean {
  const { layout, partEvents } = book.file;
  const corner = layout.slots.find((s) => s.id === slotId)?.corner ?? null;
  const hub = corner === null ? undefined : layout.slots.find((s) => s.kind === 'hub' && s.corner === corner && s.id !== slotId);
  return hub !== undefined && book.stand(partEvents).some((e) => e.slotId === hub.id && e.kind !== 'found' && e.happenedAt > instant);
}

/**
 * Sets of what sits in a slot. A part's figures go where the part goes; those of a fit (a rotor on this
 * hub) end with the fit, also when the same part comes back.
 * Those of a place stay with the place; blind second measures only confirm.
 * Source: handbook 15, Subjects, limits, basis.
 */
export function setsOf(book: Book, slotId: string, partId: string | null): ReadingSet[] {
  const events = book.stand(book.file.partEvents);
  const since = sitsSince(slotId, partId, events);
  // A bore goes with the caliper that it is in: another caliper here, and its figures are another's.
  const parent = slotById(book.file.layout, slotId)?.parentId ?? null;
  const carried = parent === null ? null : sitsSince(parent, partIn(parent, events), events);
  const stands = (s: ReadingSet): boolean => {
    if (s.blind) return false;
    if (MEASUREMENTS[s.measurement].subject === 'slot') return s.slotId === slotId && (carried === null || s.happenedAt >= carried);
    if (s.partId === null) return s.slotId === slotId;
    if (s.partId !== partId) return false;
    if (MEASUREMENTS[s.measurement].subject === 'part') return true;
    return s.slotId === slotId && since !== null && s.happenedAt >= since && !hubMovedSince(book, slotId, s.happenedAt);
  };
  return book.sets.filter((s) => stands(s) && book.taken(s).length > 0);
}

/** Worked out once a book: a book never changes. */
const newest = new WeakMap<Book, Map<string, ReadonlyMap<MeasurementId, ReadingSet>>>();

/** The newest set of every measurement of what sits in a slot. */
export function newestSets(book: Book, slotId: string, partId: string | null): ReadonlyMap<MeasurementId, ReadingSet> {
  const ofBook = newest.get(book) ?? new Map<string, ReadonlyMap<MeasurementId, ReadingSet>>();
  newest.set(book, ofBook);
  const key = `${slotId}|${partId ?? ''}`;
  const known = ofBook.get(key) ?? new Map(setsOf(book, slotId, partId).map((s) => [s.measurement, s]));
  ofBook.set(key, known);
  return known;
}
