import type { SetMove } from '../ledger/families/setMoves.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { inForce } from '../ledger/inForce.ts';

/**
 * Sets where they were really taken: each by its move in force, everything else about it as it was.
 * @param sets standing sets
 * @param moves standing moves
 * Source: handbook 15, Corrections.
 */
export function moved(sets: readonly ReadingSet[], moves: readonly SetMove[]): ReadingSet[] {
  if (moves.length === 0) return [...sets];
  return sets.map((s) => {
    const move = inForce(moves.filter((m) => m.setId === s.id)).now;
    return move ? { ...s, slotId: move.slotId, partId: move.partId } : s;
  });
}

/** A set that two people moved without knowing of each other: where it counts now, and where else it was said to be from. */
export interface MovedTwice {
  readonly setId: string;
  readonly now: SetMove;
  readonly against: readonly SetMove[];
}

/** Sets whose moves stand against each other until somebody chooses. */
export function movedTwice(moves: readonly SetMove[]): MovedTwice[] {
  return [...new Set(moves.map((m) => m.setId))].flatMap((setId) => {
    const { now, against } = inForce(moves.filter((m) => m.setId === setId));
    return now && against.length > 0 ? [{ setId, now, against }] : [];
  });
}
