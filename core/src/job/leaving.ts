import { isAskedOnTheRoad, isHazard, type ProofItem } from '../catalogue/proofItems.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Leaving } from '../ledger/families/leavings.ts';
import { isDuty, type Obligation } from '../ledger/obligation.ts';
import type { ProofStatus } from '../readiness/proofStatus.ts';
import { LEAVES } from '../wording/en/prove.ts';

/** The proofs of a job, and what was answered. */
interface Proofs {
  readonly items: readonly ProofItem[];
  readonly standing: ProofStatus;
}

/** How the vehicle of a job was last said to leave; null where nothing was said, or it is driven. */
export function leavingOf(history: JobHistory): Leaving | null {
  const last = history.active(history.records.leavings).findLast((l) => l.jobId === history.records.job.id);
  return last && last.how !== 'driven' ? last : null;
}

/** What is left to prove on the road, by a vehicle that is carried away: not a hazard, and nothing that was tried and is not good. */
function isLeftForTheRoad(o: Obligation, proofs: Proofs): boolean {
  if (!isDuty(o, 'proof') || !isAskedOnTheRoad(o.duty.item) || isHazard(o.duty.item)) return false;
  const { duty } = o;
  const proof = proofs.items.find((i) => i.item === duty.item && i.corner === duty.corner);
  const now = proof ? proofs.standing.answer(proof) : null;
  return now === null || now.lapsed !== null || now.record.result === 'not_tried';
}

/**
 * What a vehicle that must not be driven leaves undone: what is wrong with it, its fluid, and its proofs. A control that must
 * not be pressed stays locked, and what was put in comes out: both are dangers to whoever loads it.
 */
function isLeftUndriven(o: Obligation): boolean {
  return isDuty(o, 'proof', 'hazard', 'finding', 'verdict', 'bleed', 'fluid', 'identify') || (isDuty(o, 'joint') && o.duty.step === 'held');
}

/**
 * What is owed still once it was said how the vehicle leaves: what nobody can prove here is put off, and goes with the sheet.
 * Source: handbook 60, May it move? and Hand-back.
 */
export function leaves(list: readonly Obligation[], leaving: Leaving | null, proofs: Proofs): Obligation[] {
  if (leaving === null) return [...list];
  const left = leaving.how === 'not_driven' ? isLeftForTheRoad : isLeftUndriven;
  return list.map((o) =>
    (o.state === 'open' || o.state === 'waiting') && left(o, proofs)
      ? { ...o, state: 'put_off' as const, waitsFor: null, acceptBy: null, why: LEAVES.left(leaving.how) }
      : o,
  );
}
