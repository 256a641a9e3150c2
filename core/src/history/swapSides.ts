import type { MeasurementId } from '../catalogue/measurements.ts';
import type { SetMove } from '../ledger/families/setMoves.ts';
import type { Phase } from '../ledger/families/sets.ts';
import type { JobHistory } from './jobHistory.ts';
import { partIn } from './whereabouts.ts';

/** Where a set goes: what a move says, without its event. */
export type MoveTo = Pick<SetMove, 'setId' | 'slotId' | 'partId'>;

/**
 * The moves that swap left and right of an axle: the commonest error at a bench. Every set of the measurement and
 * phase taken in this job goes to the other side, to the part that sat there when it was taken.
 * @returns none where neither side has such a set
 */
export function swapSides(history: JobHistory, left: string, right: string, measurement: MeasurementId, phase: Phase): MoveTo[] {
  const events = history.active(history.records.partEvents);
  return history.sets
    .filter((s) => s.jobId === history.records.job.id && s.measurement === measurement && s.phase === phase)
    .filter((s) => s.slotId === left || s.slotId === right)
    .map((s) => {
      const slotId = s.slotId === left ? right : left;
      const then = events.filter((e) => e.happenedAt <= s.happenedAt);
      return { setId: s.id, slotId, partId: partIn(slotId, then) };
    });
}
