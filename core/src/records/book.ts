import { type Reduced, reduceSet, type Taken, takenIn } from '../gauge/reduce.ts';
import { moved } from './moved.ts';
import { standing, takenBackIds } from './standing.ts';
import type { JobFile } from './jobFile.ts';
import type { EventBase, Reading, ReadingSet } from './types.ts';

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

/** Opens a job file. Pure: the same file gives the same book. */
export function openBook(file: JobFile): Book {
  const gone = takenBackIds(file.takeBacks);
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
    const known = takenCache.get(set.id) ?? takenIn(set, bySet.get(set.id) ?? [], file.gauges);
    takenCache.set(set.id, known);
    return known;
  };
  const reduced = (set: ReadingSet): readonly Reduced[] => {
    const known = reducedCache.get(set.id) ?? reduceSet(set, taken(set));
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
