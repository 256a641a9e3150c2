import { controlOfItem, FIRST_PRESS, itemBase, proofCloses, saysWhy, type ProofItem, type ProofResult } from '../catalogue/proofItems.ts';
import { observationFacts } from '../catalogue/observations.ts';
import { slotById } from '../layout/graph.ts';
import { isDuty, isProofOf } from '../ledger/obligation.ts';
import { pressedFor } from '../readiness/pedalLock.ts';
import { figuresAgainst } from '../stages/prove/obligations.ts';
import { itemLock, type JobState, placeLock } from '../job/job.ts';
import { PROOF_REFUSAL } from '../wording/en/prove.ts';
import { mayMove } from './mayMove.ts';

/** Proofs that mean nothing without fluid under the pedal. */
const WET: readonly string[] = [FIRST_PRESS, 'pedal_hold', 'pedal_reserve', 'leak_look', 'clutch'];

/** Letters that what is said with an answer has at least. */
const LEAST_LETTERS = 4;
const letters = (note: string): number => note.match(/\p{L}/gu)?.length ?? 0;

/** What is said of the road: how far, km, and what was felt; null where it is not said. */
export interface SaidOfRoad {
  readonly km: number | null;
  readonly felt: readonly string[] | null;
}
const NOT_SAID: SaidOfRoad = { km: null, felt: null };

/** What is missing of a road test, or stands against its answer: what was felt on the road did not pass. */
function roadRefusal({ question }: ProofItem, result: ProofResult, { km, felt }: SaidOfRoad): string | null {
  if (km === null) return PROOF_REFUSAL.howFar(question);
  if (felt === null) return PROOF_REFUSAL.whatFelt(question);
  return result === 'passed' && felt.length > 0
    ? PROOF_REFUSAL.feltOnRoad(felt.flatMap((code) => observationFacts(code)?.text ?? []))
    : null;
}

/** What has to be said with an answer and is not, in a sentence; null where all is said. Source: handbook 60, Proving. */
export function proofAsks(item: ProofItem, result: ProofResult, note: string, road: SaidOfRoad = NOT_SAID): string | null {
  if (result === 'not_tried') return saysWhy(note) ? null : PROOF_REFUSAL.because(item.question);
  if (item.asks === null || result === 'none') return null;
  const refused = item.asks.road ? roadRefusal(item, result, road) : null;
  if (refused !== null) return refused;
  const said = note.trim().length >= LEAST_LETTERS && letters(note) > 0 && (!item.asks.figure || /\d/.test(note));
  return said ? null : PROOF_REFUSAL.sayMore(item.question, item.asks);
}

/** Controls whose first press is owed, among those that an item presses. */
function notPumped(state: JobState, item: ProofItem): boolean {
  const pressed = pressedFor(state.records.layout, item);
  return state.obligations.some((o) => {
    if (!isProofOf(o, FIRST_PRESS) || o.state === 'closed' || !isDuty(o, 'proof')) return false;
    const of = controlOfItem(o.duty.item);
    return of === null ? pressed.some((c) => c.kind === 'pedal') : pressed.some((c) => c.slotId === of);
  });
}

/** Bleeders that are still owed under the controls of an item. */
function notBled(state: JobState, item: ProofItem): string[] {
  const pressed = pressedFor(state.records.layout, item);
  return state.obligations
    .filter((o) => o.stage === 'bleed' && isDuty(o, 'bleed') && (o.state === 'open' || o.state === 'waiting'))
    .filter((o) => pressed.some((c) => c.reach.has(o.slotId ?? '')))
    .map((o) => o.what);
}

/**
 * What stands against an answer to an item of proof as a job stands, in a sentence; null where nothing does. That something was
 * not tried is always an answer.
 * @param state the job at the moment of the answer
 * Source: handbook 58, D01; 60, Proving and May it move?
 */
export function proofHindrance(state: JobState, item: ProofItem, result: ProofResult): string | null {
  if (result === 'not_tried' || result === 'none') return null;
  const lock = itemLock(state, item);
  if (lock) return lock.why;
  // That something failed is an answer, whatever else is open.
  if (!proofCloses(result)) return null;
  const base = itemBase(item.item);
  if (base !== FIRST_PRESS && base !== 'parking' && base !== 'parking_drag' && notPumped(state, item)) return PROOF_REFUSAL.firstPress;
  const wet = WET.includes(base) ? notBled(state, item) : [];
  if (wet.length > 0) return PROOF_REFUSAL.notBled(wet);
  if (base === 'road' && mayMove(state).level !== 'road_test') return PROOF_REFUSAL.notForTheRoad;
  if (base === 'road' && state.obligations.some((o) => isProofOf(o, 'road_walk') && o.state !== 'closed')) return PROOF_REFUSAL.walkFirst;
  return base === 'road_walk' && mayMove(state).level === 'do_not_move' ? PROOF_REFUSAL.doNotMove : null;
}

/** Why the figures of an item do not bear an answer, in a sentence; null where they do, and for any answer but *passed*. */
export function figureRefusal(state: JobState, item: ProofItem, result: ProofResult): string | null {
  return result === 'passed' ? figuresAgainst(state.context, item) : null;
}

/**
 * Why an answer to an item of proof is refused: something has to be said with it, or something stands against it. That
 * something was not tried is taken without its reason too, from programs that did not ask for one: nobody may waive it then.
 * @param state the job at the moment of the answer
 * @param note what is said with it
 */
export function proofRefusal(
  state: JobState,
  item: ProofItem,
  result: ProofResult,
  note: string,
  road: SaidOfRoad = NOT_SAID,
): string | null {
  return (
    proofHindrance(state, item, result) ??
    figureRefusal(state, item, result) ??
    (result === 'not_tried' ? null : proofAsks(item, result, note, road))
  );
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
  if (lock) return lock.why;
  const made = history.active(records.jointEvents).findLast((e) => e.slotId === slotId && e.kind === 'made')?.happenedAt;
  const bleeders = records.layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => slot.circuits.includes(c)));
  if (made === undefined || bleeders.length === 0) return null;
  const drawn = history.active(records.bleedPulls).some((p) => p.happenedAt >= made && bleeders.some((b) => b.id === p.slotId));
  return drawn ? null : PROOF_REFUSAL.noFluid(slot);
}
