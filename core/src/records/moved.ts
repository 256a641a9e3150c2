import { inOrder } from './standing.ts';
import type { ReadingSet, SetMove } from './readingRecords.ts';

/**
 * Sets where they were really taken: each by its newest standing move, everything else about it as it was.
 * @param sets standing sets
 * @param moves standing moves
 * Source: handbook 15, Corrections.
 */
export function moved(sets: readonly ReadingSet[], moves: readonly SetMove[]): ReadingSet[] {
  const newest = new Map(inOrder(moves).map((m) => [m.setId, m]));
  return sets.map((s) => {
    const move = newest.get(s.id);
    return move ? { ...s, slotId: move.slotId, partId: move.partId } : s;
  });
}
