import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import { slotById, unitMates } from '../layout/graph.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { JobHistory } from './jobHistory.ts';
import { lastPartIn, partIn, partsInOrder } from './whereabouts.ts';

/** Since when a part sits in a slot without a break, ISO instant; null where it does not sit there. */
function sitsSince(slotId: string, partId: string | null, partEvents: readonly PartEvent[]): string | null {
  if (partId === null || partIn(slotId, partEvents) !== partId) return null;
  return (
    partsInOrder(partEvents).findLast((e) => e.partId === partId && e.slotId === slotId && (e.kind === 'found' || e.kind === 'fitted'))
      ?.happenedAt ?? null
  );
}

/** Whether the hub that a part is fitted to was taken off, fitted or replaced since an instant. */
function hubMovedSince(history: JobHistory, slotId: string, instant: string): boolean {
  const { layout, partEvents } = history.records;
  const slot = slotById(layout, slotId);
  const hub = slot && slot.corner !== null ? unitMates(layout, slot, 'hub')[0] : undefined;
  return hub !== undefined && history.active(partEvents).some((e) => e.slotId === hub.id && e.kind !== 'found' && e.happenedAt > instant);
}

/** The place of the article that a place is in: a piston's bore belongs to its caliper, another bore to its own cylinder. */
function articleSlot(history: JobHistory, slotId: string): string {
  return slotById(history.records.layout, slotId)?.parentId ?? slotId;
}

/** Events up to an instant, one list an instant: what follows from them is worked out once. */
const untilThen = new WeakMap<JobHistory, Map<string, readonly PartEvent[]>>();
function eventsUntil(history: JobHistory, instant: string): readonly PartEvent[] {
  const ofBook = untilThen.get(history) ?? new Map<string, readonly PartEvent[]>();
  untilThen.set(history, ofBook);
  const known = ofBook.get(instant) ?? history.active(history.records.partEvents).filter((e) => e.happenedAt <= instant);
  ofBook.set(instant, known);
  return known;
}

/** The article that a bore belonged to when it was gauged: what sat there, or had sat there last and lay on the bench. */
function articleThen(history: JobHistory, set: ReadingSet): string | null {
  return lastPartIn(articleSlot(history, set.slotId), eventsUntil(history, set.happenedAt));
}

/**
 * The event by which another part took the place of the one that sat there at an instant, during this job; null where none
 * did. What was owed about a part that left ends with it.
 */
export function replacedSince(history: JobHistory, slotId: string, instant: string): string | null {
  const { job, partEvents } = history.records;
  const then = lastPartIn(slotId, eventsUntil(history, instant));
  const fitted = history
    .active(partEvents)
    .findLast((e) => e.kind === 'fitted' && e.slotId === slotId && e.jobId === job.id && e.happenedAt > instant && e.partId !== then);
  return then === null ? null : (fitted?.id ?? null);
}

/**
 * Whether something told of a place at an instant, or of a part, is of what sits there now (or lay there last): the part
 * that sat there then is still that one. A place that never had a part tells of itself.
 */
export function isOfWhatSits(history: JobHistory, slotId: string, partId: string | null, instant: string): boolean {
  const now = lastPartIn(slotId, history.active(history.records.partEvents));
  return (partId ?? lastPartIn(slotId, eventsUntil(history, instant)) ?? now) === now;
}

/**
 * Sets of what sits in a slot. A part's figures go where the part goes, and a bore's where its cylinder or caliper goes; those
 * of a fit (a rotor on this hub) end with the fit, also when the same part comes back.
 * Those of a place stay with the place; blind second measures only confirm.
 * Source: handbook 15, Subjects, limits, basis.
 */
export function setsOf(history: JobHistory, slotId: string, partId: string | null): ReadingSet[] {
  const events = history.active(history.records.partEvents);
  const since = sitsSince(slotId, partId, events);
  const own = articleSlot(history, slotId);
  const article = lastPartIn(own, events);
  const stands = (s: ReadingSet): boolean => {
    if (s.blind) return false;
    const { subject } = MEASUREMENTS[s.measurement];
    if (subject === 'slot') return s.slotId === slotId;
    if (subject === 'article')
      return own === slotId && s.slotId === articleSlot(history, s.slotId)
        ? (articleThen(history, s) ?? article) === article && (article !== null || s.slotId === slotId)
        : s.slotId === slotId && (articleThen(history, s) ?? article) === article;
    if (s.partId === null) return s.slotId === slotId;
    if (s.partId !== partId) return false;
    if (subject === 'part') return true;
    return s.slotId === slotId && since !== null && s.happenedAt >= since && !hubMovedSince(history, slotId, s.happenedAt);
  };
  return history.sets.filter((s) => stands(s) && history.taken(s).length > 0);
}

/** Worked out once a book: a book never changes. */
const newest = new WeakMap<JobHistory, Map<string, ReadonlyMap<MeasurementId, ReadingSet>>>();

/** The newest set of every measurement of what sits in a slot. */
export function newestSets(history: JobHistory, slotId: string, partId: string | null): ReadonlyMap<MeasurementId, ReadingSet> {
  const ofBook = newest.get(history) ?? new Map<string, ReadonlyMap<MeasurementId, ReadingSet>>();
  newest.set(history, ofBook);
  const key = `${slotId}|${partId ?? ''}`;
  const known = ofBook.get(key) ?? new Map(setsOf(history, slotId, partId).map((s) => [s.measurement, s]));
  ofBook.set(key, known);
  return known;
}
