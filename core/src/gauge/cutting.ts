import type { Book } from '../records/book.ts';
import { partIn } from '../records/standing.ts';
import { onStuds } from './turnOnStuds.ts';
import { runoutOf } from './reduce.ts';
import { newestSets } from './setsOf.ts';

/** What a cut would have to take out, as far as it was gauged, mm. */
export interface CutFacts {
  readonly scoreInner: number;
  readonly scoreOuter: number;
  /** Of a drum. */
  readonly score: number;
  readonly warp: number;
  /** Wobble that the cut takes out: the rotor's own where hub and rotor were told apart, all of it otherwise. */
  readonly wobble: number;
  /** First harmonic inside a drum on its hub. */
  readonly radialWobble: number;
  /** What was not gauged and is taken as none, in words. */
  readonly takenAsNone: readonly string[];
}

/**
 * What a cut of a rotor or drum would have to take out, from the newest sets of it.
 * Source: handbook 20, Can it be machined?; Can it be turned?
 */
export function cutFacts(book: Book, slotId: string): CutFacts {
  const partId = partIn(slotId, book.stand(book.file.partEvents));
  const newest = newestSets(book, slotId, partId);
  const at = (id: 'rotor_surface' | 'drum_surface', place: string): number | null => {
    const set = newest.get(id);
    return (set && book.taken(set).find((t) => t.reading.place === place)?.value) ?? null;
  };
  const sweepOf = (id: 'rotor_runout' | 'drum_runout') => {
    const set = newest.get(id);
    return set ? runoutOf(book.taken(set)) : null;
  };
  const sweep = sweepOf('rotor_runout');
  const radial = sweepOf('drum_runout');
  const studs = book.sets.findLast((s) => s.slotId === slotId && s.studs !== null)?.studs ?? null;
  const apart = studs === null ? null : onStuds(book, slotId, partId, studs, 0).result;
  const [inner, outer, drum] = [
    at('rotor_surface', 'inner face: score'),
    at('rotor_surface', 'outer face: score'),
    at('drum_surface', 'score'),
  ];
  const none: string[] = [];
  if (inner === null || outer === null) none.push('score depth');
  if (sweep === null) none.push('warp and wobble');
  return {
    scoreInner: inner ?? 0,
    scoreOuter: outer ?? 0,
    score: drum ?? 0,
    warp: sweep?.warp ?? 0,
    wobble: apart ? apart.rotor.tir : (sweep?.wobble ?? 0),
    radialWobble: radial?.wobble ?? 0,
    takenAsNone: none,
  };
}
