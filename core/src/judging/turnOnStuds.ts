import type { JobHistory } from '../history/jobHistory.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { type Reindexing, holeOnStudOne, phasorOf, reindex, stepsToTurn } from '../metrology/reindexing.ts';
import type { Runout } from '../metrology/rotorRunout.ts';
import { runoutOf } from '../metrology/takenIn.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';

/** Where the search for a rotor's best position on its studs stands. */
export interface OnStuds {
  /** The sweep with the rotor as it sat. */
  readonly first: Sweep | null;
  /** A sweep with it turned on. */
  readonly second: Sweep | null;
  readonly result: Reindexing | null;
  /** Why two sweeps give no result. */
  readonly refused: DomainError | null;
  /** Studs to turn it on by for the second sweep. */
  readonly turn: number;
  /** Hole of the rotor that belongs on hub stud 1, counted from the one that sat there first as hole 1. */
  readonly hole: number | null;
  /** The sweep in the advised position, taken after the second one. */
  readonly proof: Sweep | null;
  /** It may stay as it sits: no position is better by more than a hundredth. */
  readonly stays: boolean;
}

interface Sweep {
  readonly set: ReadingSet;
  readonly runout: Runout;
}

/** What a better position has to gain at least, mm TIR, to be worth taking the rotor off again (generic). */
const WORTH_TURNING = 0.01;

/**
 * Follows the sweeps of a rotor on its hub in this job: as it sat, turned on by some studs, and the proof.
 * @param studs studs of the hub
 * @param limit runout limit, mm
 * Source: handbook 20, Hub against rotor, and re-indexing.
 */
export function onStuds(history: JobHistory, slotId: string, partId: string | null, studs: number, limit: number): OnStuds {
  const sweeps = history.sets
    .filter(
      (s) =>
        s.slotId === slotId && s.partId === partId && s.measurement === 'rotor_runout' && s.jobId === history.records.job.id && !s.blind,
    )
    .flatMap((set): Sweep[] => {
      const runout = runoutOf(history.taken(set));
      return runout ? [{ set, runout }] : [];
    });
  const first = sweeps.findLast((s) => s.set.turn === 0) ?? null;
  const second = first && (sweeps.find((s) => s.set.turn % studs !== 0 && s.set.happenedAt > first.set.happenedAt) ?? null);
  const turn = toResult(() => stepsToTurn(studs));
  const none = { first, second, result: null, refused: null, turn: turn.ok ? turn.value : 1, hole: null, proof: null, stays: false };
  if (!turn.ok) return { ...none, refused: turn.refusal };
  if (!first || !second) return none;
  const tried = toResult(() =>
    reindex({ studs, steps: second.set.turn, limit, first: phasorOf(first.runout), second: phasorOf(second.runout) }),
  );
  if (!tried.ok) return { ...none, refused: tried.refusal };
  const result = tried.value;
  const gain = (result.predicted[0] ?? 0) - result.bestTir;
  return {
    ...none,
    result,
    hole: holeOnStudOne(result.best, studs),
    stays: result.best === 0 || gain < WORTH_TURNING,
    proof: sweeps.findLast((s) => s.set.happenedAt > second.set.happenedAt && s.set.turn % studs === result.best) ?? null,
  };
}
