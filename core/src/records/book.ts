import { type Reduced, reduceSet, type Taken, takenIn } from '../gauge/reduce.ts';
import { type Layout, slotById } from '../layout/graph.ts';
import { moved } from './moved.ts';
import { voidedJobs } from './voided.ts';
import { withOneName } from '../correct/sameArticle.ts';
import { standing, takenBackIds } from './standing.ts';
import type { JobFile } from './jobFile.ts';
import type { EventBase } from './eventBase.ts';
import type { Reading, ReadingSet } from './readingRecords.ts';

/** A job file opened for reading: what still stands, indexed once. */
export interface Book {
  readonly file: JobFile;
  readonly gone: ReadonlySet<string>;
  /** Standing sets of the vehicle, in order. */
  readonly sets: readonly ReadingSet[];
  readonly taken: (set: ReadingSet) => readonly Taken[];
  readonly reduced: (set: ReadingSet) => readonly Reduced[];
  /** Standing events of a family, in order; worked out once. */
  readonly stand: <T extends EventBase>(events: readonly T[]) => readonly T[];
}

/** Ids of what was told in voided jobs. That a part was found stays: the vehicle did not lose it. */
function voidedEvents(file: JobFile, voided: ReadonlySet<string>): string[] {
  if (voided.size === 0) return [];
  const families: readonly (readonly EventBase[])[] = [
    file.sets,
    file.readings,
    file.findings,
    file.observations,
    file.decisions,
    file.operations,
    file.operationEvents,
    file.torques,
    file.bleedPulls,
    file.fluidServices,
    file.proofs,
    file.acceptances,
    file.putIns,
    file.takenOuts,
    file.jointEvents,
    file.counters,
    file.pictures,
    file.intakeLooks,
    file.cameWith,
    file.earlierWork,
    file.leftItems,
    file.causeLooks,
    file.partEvents.filter((e) => e.kind !== 'found'),
  ];
  return families.flat().flatMap((e) => (voided.has(e.jobId) ? [e.id] : []));
}

/** Bore or piston of a place when new, mm; null where the layout does not say. */
function nominalOf(layout: Layout, slotId: string): number | null {
  return slotById(layout, slotId)?.boreMm ?? null;
}

/** Opens a job file. Pure: the same file gives the same book. */
export function openBook(given: JobFile): Book {
  const takenBack = takenBackIds(given.takeBacks);
  const file = withOneName(given, takenBack);
  const gone = new Set([...takenBack, ...voidedEvents(file, voidedJobs(file.voids, takenBack))]);
  const bySet = new Map<string, Reading[]>();
  for (const r of file.readings) {
    if (gone.has(r.id)) continue;
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
    const now = standing(events, gone);
    stood.set(events, now);
    return now;
  }
  return { file, gone, sets: moved(stand(file.sets), stand(file.setMoves)), taken, reduced, stand };
}
