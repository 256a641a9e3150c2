import type { MeasurementId } from '../catalogue/measurements.ts';
import type { SetMove } from '../ledger/families/setMoves.ts';
import type { Phase, ReadingSet } from '../ledger/families/sets.ts';
import type { JobHistory } from './jobHistory.ts';
import { partIn } from './whereabouts.ts';

/** Where a set goes: what a move says, without its event. */
export type MoveTo = Pick<SetMove, 'setId' | 'slotId' | 'partId'>;

/** What says that a set was taken at another place: of the part that sat there when it was taken. */
export function moveTo(history: JobHistory, set: Pick<ReadingSet, 'id' | 'happenedAt'>, slotId: string): MoveTo {
  const then = history.active(history.records.partEvents).filter((e) => e.happenedAt <= set.happenedAt);
  return { setId: set.id, slotId, partId: partIn(slotId, then) };
}

/**
 * The moves that swap left and right of an axle: the commonest error at a bench. Every set of the measurement and
 * phase taken in this job goes to the other side, to the part that sat there when it was taken.
 * @returns none where neither side has such a set
 */
export function swapSides(history: JobHistory, left: string, right: string, measurement: MeasurementId, phase: Phase): MoveTo[] {
  return history.sets
    .filter((s) => s.jobId === history.records.job.id && s.measurement === measurement && s.phase === phase)
    .filter((s) => s.slotId === left || s.slotId === right)
    .map((s) => moveTo(history, s, s.slotId === left ? right : left));
}
