import { type Layout, slotById } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import { EVENT_LISTS, familyOf } from '../ledger/families.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { JobFile } from '../ledger/jobFile.ts';
import { standing, retractedIds } from '../ledger/retraction.ts';
import { voidedJobs } from '../ledger/voided.ts';
import { type Reduced, reduceSet } from '../metrology/reduce.ts';
import { type Taken, takenIn } from '../metrology/takenIn.ts';
import { moved } from './moved.ts';
import { withOneName } from './sameArticle.ts';

/** A job file opened for reading: what still stands, indexed once. */
export interface Book {
  readonly file: JobFile;
  readonly retracted: ReadonlySet<string>;
  /** Standing sets of the vehicle, in order. */
  readonly sets: readonly ReadingSet[];
  readonly taken: (set: ReadingSet) => readonly Taken[];
  readonly reduced: (set: ReadingSet) => readonly Reduced[];
  /** Standing events of a family, in order; worked out once. */
  readonly stand: <T extends EventBase>(events: readonly T[]) => readonly T[];
}

/** Ids of what was told in voided jobs and counts for nothing. */
function voidedEvents(file: JobFile, voided: ReadonlySet<string>): string[] {
  if (voided.size === 0) return [];
  return EVENT_LISTS.flatMap((k) =>
    (file[k] as readonly EventBase[]).flatMap((e) =>
      e.jobId !== null && voided.has(e.jobId) && familyOf(k).dropsWhenVoid(e) ? [e.id] : [],
    ),
  );
}

/** Bore or piston of a place when new, mm; null where the layout does not say. */
function nominalOf(layout: Layout, slotId: string): number | null {
  return slotById(layout, slotId)?.boreMm ?? null;
}

/** Opens a job file. Pure: the same file gives the same book. */
export function openBook(records: JobFile): Book {
  const takenBack = retractedIds(records.takeBacks);
  const retracted = new Set([...takenBack, ...voidedEvents(records, voidedJobs(records.voids, takenBack))]);
  // What was put right in a job that is void was not put right.
  const file = withOneName(records, retracted);
  const bySet = new Map<string, Reading[]>();
  for (const r of file.readings) {
    if (retracted.has(r.id)) continue;
    const list = bySet.get(r.setId);
    if (list) list.push(r);
    else bySet.set(r.setId, [r]);
  }
  const takenCache = new Map<string, readonly Taken[]>();
  const reducedCache = new Map<string, readonly Reduced[]>();
  const taken = (set: ReadingSet): readonly Taken[] => {
    const known = takenCache.get(set.id) ?? takenIn(set, bySet.get(set.id) ?? [], file.gauges, file.callBacks);
    takenCache.set(set.id, known);
    return known;
  };
  const reduced = (set: ReadingSet): readonly Reduced[] => {
    const known = reducedCache.get(set.id) ?? reduceSet(set, taken(set), { nominal: nominalOf(file.layout, set.slotId) });
    reducedCache.set(set.id, known);
    return known;
  };
  const stood = new Map<readonly EventBase[], readonly EventBase[]>();
  function stand<T extends EventBase>(events: readonly T[]): readonly T[] {
    const known = stood.get(events) as readonly T[] | undefined;
    if (known) return known;
    const now = standing(events, retracted);
    stood.set(events, now);
    return now;
  }
  return { file, retracted, sets: moved(stand(file.sets), stand(file.setMoves)), taken, reduced, stand };
}
