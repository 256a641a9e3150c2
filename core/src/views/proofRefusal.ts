import { FIRST_PRESS, proofCloses, type ProofItem, type ProofResult } from '../catalogue/proofItems.ts';
import { slotById } from '../layout/graph.ts';
import { isDuty, isProofOf } from '../ledger/obligation.ts';
import { pressedBy } from '../readiness/pedalLock.ts';
import { itemLock, type JobState, placeLock } from '../job/job.ts';
import { PROOF_REFUSAL } from '../wording/en/prove.ts';
import { mayMove } from './mayMove.ts';

/** Proofs that mean nothing without fluid under the pedal. */
const WET: readonly string[] = [FIRST_PRESS, 'pedal_hold', 'pedal_reserve', 'leak_look'];

/** Whether what has to be said with an answer is said: words, and a figure where one is asked. */
function says(item: ProofItem, note: string): boolean {
  return item.asks === null || (note.trim().length >= 4 && /\p{L}/u.test(note) && (!item.asks.figure || /\d/.test(note)));
}

/**
 * Why an answer to an item of proof cannot be true as a job stands, in a sentence; null where it can. That something was not
 * tried is always an answer.
 * @param state the job at the moment of the answer
 * @param note what is said with it
 * Source: handbook 58, D01; 60, Proving and May it move?
 */
export function proofRefusal(state: JobState, item: ProofItem, result: ProofResult, note: string): string | null {
  if (result === 'not_tried') return null;
  const lock = itemLock(state, item.item);
  if (lock) return `${lock.control.name}: ${lock.why}`;
  if (!says(item, note)) return PROOF_REFUSAL.sayMore(item.question, item.asks?.label ?? '');
  // That something failed is an answer, whatever else is open.
  if (!proofCloses(result)) return null;
  const first = state.obligations.find((o) => isProofOf(o, FIRST_PRESS));
  if (first && first.state !== 'closed' && item.item !== FIRST_PRESS && pressedBy(item.item) === 'pedal') return PROOF_REFUSAL.firstPress;
  const wet = state.obligations.filter((o) => o.stage === 'bleed' && isDuty(o, 'bleed') && (o.state === 'open' || o.state === 'waiting'));
  if (WET.includes(item.item) && wet.length > 0) return PROOF_REFUSAL.notBled(wet.map((o) => o.what));
  if (item.item === 'road' && mayMove(state).level !== 'road_test') return PROOF_REFUSAL.notForTheRoad;
  if (item.item === 'road' && state.obligations.some((o) => isProofOf(o, 'road_walk') && o.state !== 'closed'))
    return PROOF_REFUSAL.walkFirst;
  return item.item === 'road_walk' && mayMove(state).level === 'do_not_move' ? PROOF_REFUSAL.doNotMove : null;
}

/**
 * Why a joint cannot have been seen dry under held pressure, in a sentence; null where it can: a control that reaches it is
 * locked, or no fluid was drawn through its circuit since it was made.
 * @param state the job at the moment of the look
 */
export function heldRefusal(state: JobState, slotId: string): string | null {
  const { history, records } = state;
  const slot = slotById(records.layout, slotId);
  if (!slot) return null;
  const lock = placeLock(state, slotId);
  if (lock) return `${lock.control.name}: ${lock.why}`;
  const made = history.active(records.jointEvents).findLast((e) => e.slotId === slotId && e.kind === 'made')?.happenedAt;
  const bleeders = records.layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => slot.circuits.includes(c)));
  if (made === undefined || bleeders.length === 0) return null;
  const drawn = history.active(records.bleedPulls).some((p) => p.happenedAt >= made && bleeders.some((b) => b.id === p.slotId));
  return drawn ? null : PROOF_REFUSAL.noFluid(slot);
}
