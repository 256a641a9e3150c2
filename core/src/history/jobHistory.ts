import { type Layout, slotById } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import { EVENT_LISTS, familyOf } from '../ledger/families.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { activeEvents, retractedIds } from '../ledger/retraction.ts';
import { voidedJobs } from '../ledger/voided.ts';
import { type Reduced, reduceSet } from '../metrology/reduce.ts';
import { type Taken, takenIn } from '../metrology/takenIn.ts';
import { moved } from './moved.ts';
import { withAssumed } from './assumed.ts';
import { withOneName } from './sameArticle.ts';

/** The records of a job opened for reading: what is active, indexed once. */
export interface JobHistory {
  readonly records: JobRecords;
  readonly retracted: ReadonlySet<string>;
  /** Active sets of the vehicle, in order. */
  readonly sets: readonly ReadingSet[];
  readonly taken: (set: ReadingSet) => readonly Taken[];
  readonly reduced: (set: ReadingSet) => readonly Reduced[];
  /** Active events of a family, in order; worked out once. */
  readonly active: <T extends EventBase>(events: readonly T[]) => readonly T[];
}

/** Ids of what was told in voided jobs and counts for nothing. */
function voidedEvents(records: JobRecords, voided: ReadonlySet<string>): string[] {
  if (voided.size === 0) return [];
  return EVENT_LISTS.flatMap((k) =>
    (records[k] as readonly EventBase[]).flatMap((e) =>
      e.jobId !== null && voided.has(e.jobId) && familyOf(k).dropsWhenVoid(e) ? [e.id] : [],
    ),
  );
}

/** Bore or piston of a place when new, mm; null where the layout does not say. */
function nominalOf(layout: Layout, slotId: string): number | null {
  return slotById(layout, slotId)?.boreMm ?? null;
}

/** Opens the records of a job for reading. Pure: the same records give the same history. */
export function openHistory(stored: JobRecords): JobHistory {
  const takenBack = retractedIds(stored.takeBacks);
  const retracted = new Set([...takenBack, ...voidedEvents(stored, voidedJobs(stored.voids, takenBack))]);
  // What was put right in a job that is void was not put right.
  const records = withOneName(withAssumed(stored), retracted);
  const bySet = new Map<string, Reading[]>();
  for (const r of records.readings) {
    if (retracted.has(r.id)) continue;
    const list = bySet.get(r.setId);
    if (list) list.push(r);
    else bySet.set(r.setId, [r]);
  }
  const takenCache = new Map<string, readonly Taken[]>();
  const reducedCache = new Map<string, readonly Reduced[]>();
  const taken = (set: ReadingSet): readonly Taken[] => {
    const known = takenCache.get(set.id) ?? takenIn(set, bySet.get(set.id) ?? [], records.gauges, records.callBacks);
    takenCache.set(set.id, known);
    return known;
  };
  const reduced = (set: ReadingSet): readonly Reduced[] => {
    const known = reducedCache.get(set.id) ?? reduceSet(set, taken(set), { nominal: nominalOf(records.layout, set.slotId) });
    reducedCache.set(set.id, known);
    return known;
  };
  const activeCache = new Map<readonly EventBase[], readonly EventBase[]>();
  function stand<T extends EventBase>(events: readonly T[]): readonly T[] {
    const known = activeCache.get(events) as readonly T[] | undefined;
    if (known) return known;
    const now = activeEvents(events, retracted);
    activeCache.set(events, now);
    return now;
  }
  return { records, retracted, sets: moved(stand(records.sets), stand(records.setMoves)), taken, reduced, active: stand };
}
