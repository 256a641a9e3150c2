import type { MoveLevel } from '../wording/reasons.ts';
import { MOVE } from '../wording/en/readiness.ts';
import { isDuty, isProofOf, type Obligation } from '../ledger/obligation.ts';
import type { JobState } from '../job/job.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import { FIRST_PRESS, isAskedOnTheRoad } from '../catalogue/proofItems.ts';

/** One thing that keeps a vehicle from the next level: what it is about, and in words. */
interface MoveReason {
  readonly about: 'units' | 'lock' | 'first_press' | 'parking' | 'grant' | 'standing' | 'road' | 'leaving';
  readonly words: string;
}

export interface MayMove {
  readonly level: MoveLevel;
  /** What keeps it from the next level. */
  readonly reasons: readonly MoveReason[];
  /** The shortest way to the next level; null where there is none. */
  readonly next: Obligation | null;
}

/** What is missing, and why its record counts for nothing, where there is one. */
function said(missing: string, o: Obligation): string {
  return o.why ? `${missing} ${o.why}` : missing;
}

/** What can only be proved on the road. */
function onTheRoad(o: Obligation): boolean {
  return isDuty(o, 'proof') && isAskedOnTheRoad(o.duty.item);
}

/**
 * How far a vehicle may be moved now. Nothing moves while a control is locked; the yard is free once the parking brake
 * is proved to hold; the road once all that can be proved standing is.
 * Source: handbook 60, May it move?
 */
export function mayMove(state: JobState): MayMove {
  if (state.released) return { level: 'handed_back', reasons: [], next: null };
  if (isStandalone(state.records.layout)) return { level: 'yard_only', reasons: [{ about: 'units', words: MOVE.units }], next: null };
  const undriven = state.leaving?.how === 'not_to_be_driven';
  const standing = state.blocks.filter((o) => !onTheRoad(o));
  if (standing.length === 0 && undriven)
    return { level: 'yard_only', reasons: [{ about: 'leaving', words: MOVE.undriven(state.leaving.note) }], next: null };
  if (standing.length === 0)
    return { level: 'road_test', reasons: state.blocks.map((o) => ({ about: 'road', words: o.what })), next: state.blocks[0] ?? null };
  const locks = state.obligations.filter((o) => isDuty(o, 'lock') && o.state === 'open');
  const parking = state.obligations.find((o) => isProofOf(o, 'parking'));
  const first = state.obligations.find((o) => isProofOf(o, FIRST_PRESS) && o.state !== 'closed');
  if (locks.length === 0 && parking?.state === 'closed' && !first) {
    return {
      level: 'yard_only',
      reasons: [{ about: 'standing', words: MOVE.beforeRoad(standing.length) }],
      next: standing[0] ?? null,
    };
  }
  const granted = state.offers.some((o) => isDuty(o, 'yard') && o.state === 'closed');
  if (granted)
    return {
      level: 'yard_only',
      reasons: [{ about: 'grant', words: MOVE.granted }],
      next: standing[0] ?? null,
    };
  const brake = (words: string): MoveReason => ({ about: 'parking', words });
  const reasons: MoveReason[] = [
    ...locks.map((o): MoveReason => ({ about: 'lock', words: o.why ?? o.what })),
    ...(first ? [{ about: 'first_press' as const, words: said(MOVE.firstPress, first) }] : []),
    ...(parking === undefined ? [brake(MOVE.noParkingBrake)] : parking.state === 'closed' ? [] : [brake(said(MOVE.notProved, parking))]),
  ];
  return { level: 'do_not_move', reasons, next: locks[0] ?? first ?? parking ?? null };
}
