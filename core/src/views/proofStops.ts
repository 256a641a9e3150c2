import { MEASUREMENTS, type MeasurementId } from '../catalogue/measurements.ts';
import { proofCloses } from '../catalogue/proofItems.ts';
import { placeName } from '../layout/graph.ts';
import type { JobState } from '../job/job.ts';
import { figuresMissing } from '../readiness/proofFigures.ts';
import { proofHindrance } from './proofRefusal.ts';

/** A figure that a proof still waits for. */
export interface ProofStop {
  readonly slotId: string;
  readonly place: string;
  readonly measurement: MeasurementId;
  readonly name: string;
  /** Something was taken, and what was done since ended it: it is taken anew, into a set of its own. */
  readonly afresh: boolean;
}

/** The figures that proofs wait for and that can be taken now, each once, in the order of the proofs. */
export function proofStops(state: JobState): ProofStop[] {
  if (state.released) return [];
  const { proofItems, proofStatus, figuresOf } = state.context;
  const open = proofItems.filter((item) => {
    const answer = proofStatus.answer(item)?.record.result;
    const answered = answer !== undefined && answer !== 'passed' && proofCloses(answer);
    return !answered && proofHindrance(state, item, 'passed') === null;
  });
  const stops = open.flatMap((item) =>
    figuresMissing(figuresOf(item)).map(({ slot, ask, lapsed, hold, provisional }): ProofStop => ({
      ...{ slotId: slot.id, place: placeName(slot), measurement: ask.measurement, name: MEASUREMENTS[ask.measurement].name },
      afresh: lapsed !== null || hold !== null || provisional !== null,
    })),
  );
  return [...new Map(stops.map((s) => [`${s.slotId}|${s.measurement}`, s])).values()];
}
