import type { EventBase } from '../ledger/eventBase.ts';
import { familyOf, listsWhere } from '../ledger/families.ts';
import { type JobRecords, withEvents } from '../ledger/jobRecords.ts';
import { activeEvents, retractedIds } from '../ledger/retraction.ts';
import { millisecondsInDay } from '../quantity/calendar.ts';

/** An event that came in after the hand-back of its job, and happened before it. */
export interface LateEvent {
  readonly event: EventBase;
  /** What kind of thing it is, in a word. */
  readonly what: string;
  /** Whether an amendment has named it. */
  readonly answered: boolean;
}

/** Milliseconds between happening and being written down from which an entry shows as written up later. */
const WRITTEN_UP_MS = millisecondsInDay;

/** Whether an entry was written up later: more than a day after it happened. Source: handbook 15, People, time. */
export function writtenUpLater(e: Pick<EventBase, 'happenedAt' | 'recordedAt'>): boolean {
  return Date.parse(e.recordedAt) - Date.parse(e.happenedAt) > WRITTEN_UP_MS;
}

/**
 * What came in after the hand-back and happened before it: kept, marked, and answered by an amendment that names it.
 * The record itself stays as it was.
 */
export function lateEvents(records: JobRecords): LateEvent[] {
  const { release } = records;
  if (!release) return [];
  const retracted = retractedIds(records.takeBacks);
  const named = new Set(activeEvents(records.amendments, retracted).map((a) => a.corrects));
  const families = listsWhere((f) => f.late === 'late').map((k): [string, readonly EventBase[]] => [familyOf(k).label, records[k]]);
  return families
    .flatMap(([what, events]) =>
      events
        .filter((e) => e.jobId === records.job.id && e.happenedAt <= release.releasedAt && e.recordedAt > release.releasedAt)
        .map((event) => ({ event, what, answered: named.has(event.id) })),
    )
    .sort((a, b) => (a.event.happenedAt < b.event.happenedAt ? -1 : 1));
}

/** The file as it would have stood at the hand-back, had nothing come late. */
export function fileWithLate(records: JobRecords): JobRecords {
  const at = records.release?.releasedAt;
  if (at === undefined) return records;
  const intime = <T extends EventBase>(list: readonly T[]): T[] =>
    list.map((e) => (e.jobId === records.job.id && e.recordedAt > at && e.happenedAt <= at ? { ...e, recordedAt: at } : e));
  return withEvents(
    records,
    listsWhere((f) => f.late === 'late'),
    intime,
  );
}
