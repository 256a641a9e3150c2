import { STATUS } from '../wording/en/readiness.ts';
import { type ProofItem, proofCloses } from '../catalogue/proofItems.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { closedClear } from '../history/due.ts';
import { answerTo } from '../history/proofAnswers.ts';
import { type Layout, type Slot } from '../layout/graph.ts';
import { type Control, controlsOf } from '../layout/reach.ts';
import { readFastener } from '../ledger/duty.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import { type BleedPull, PRESSING } from '../ledger/families/bleedPulls.ts';
import type { PartEventKind } from '../ledger/families/partEvents.ts';
import type { Proof } from '../ledger/families/proofs.ts';
import type { Torque } from '../ledger/families/torques.ts';
import { type Disturbed, disturbances, disturbs } from './disturbed.ts';
import { type JointStatus, touchedJoints } from './joints.ts';
import { type Proved, endedBy, ends } from './lapsing.ts';
import { type ControlLock, lockOf, pressedFor } from './pedalLock.ts';
import { type PlaceState, notComplete, placeStates } from './unitState.ts';
import { UNDOES } from '../wording/en/fasteners.ts';

/** A record with the event that ended it since; null while it stands. */
export interface WithStatus<T> {
  readonly record: T;
  readonly lapsed: Disturbed | null;
  /** A place on its control that was not complete when it was made: kept, shown, closes nothing. */
  readonly provisional: PlaceState | null;
}

/** What was proved on this job, each with what became of it. */
export interface ProofStatus {
  /** Every place of the layout as it stands now. */
  readonly places: readonly PlaceState[];
  /** Joints touched on this job, as they stand. */
  readonly joints: readonly JointStatus[];
  /** Controls that must not be pressed now. */
  readonly locks: readonly ControlLock[];
  readonly disturbed: readonly Disturbed[];
  /** Newest answer to an item of proof. */
  readonly answer: (item: ProofItem) => WithStatus<Proof> | null;
  /** Who else than the author of the newest answer has closed an item, by an answer that stands; null where nobody has. */
  readonly confirmedBy: (item: ProofItem) => string | null;
  /** The first place on the controls of an item that was not complete at an instant: what was taken then is provisional. */
  readonly incompleteAt: (item: Pick<ProofItem, 'item' | 'corner'>, instant: string) => PlaceState | null;
  /** Newest pull at a bleeder. */
  readonly pull: (bleederId: string) => WithStatus<BleedPull> | null;
  /** Newest torque of a point. */
  readonly torque: (point: string) => WithStatus<Torque> | null;
}

/** Why a record counts for nothing now, in a sentence; null where it counts. */
export function whyNotGood(stands: WithStatus<unknown> | null): string | null {
  if (stands?.lapsed) return STATUS.lapsed(stands.lapsed.what);
  return stands?.provisional ? STATUS.provisional(notComplete(stands.provisional)) : null;
}

/** Whether a record closes what it is about. */
export function isGood(stands: WithStatus<unknown> | null): boolean {
  return stands !== null && stands.lapsed === null && stands.provisional === null;
}

/** The controls that a proof is pressed with; a bleeder is pressed by those that reach it. */
function pressedWith(layout: Layout, proved: Proved): readonly Control[] {
  if (proved.kind === 'item') return pressedFor(layout, proved);
  return proved.kind === 'bleed' ? controlsOf(layout).filter((c) => c.reach.has(proved.slotId)) : [];
}

/** Whether nothing but a board lies at a place. */
const isBoard = (at: PlaceState): boolean => at.cause?.kind === 'inside' && at.cause.what === 'board' && at.unsecured === null;

const when = (e: Pick<EventBase, 'happenedAt' | 'recordedAt'>) => ({ at: e.happenedAt, recordedAt: e.recordedAt });
/** Before everything: asked whether a thing would be ended, whenever it was proved. */
const NEVER = { at: '', recordedAt: '' };

/** Opens the proofs of a job for reading: newest answers, and the events that ended them. */
export function openProofStatus(history: JobHistory): ProofStatus {
  const { records } = history;
  const disturbed = disturbances(history);
  const controls = controlsOf(records.layout);
  const places = placeStates(history, records.layout);
  const then = new Map<string, readonly PlaceState[]>();
  const placesAt = (instant: string): readonly PlaceState[] => {
    const known = then.get(instant) ?? placeStates(history, records.layout, instant);
    then.set(instant, known);
    return known;
  };
  /** The first place on the controls of a record that was not complete at its moment. */
  const incomplete = (pressed: readonly Control[], instant: string, hinders: (at: PlaceState) => boolean): PlaceState | null =>
    pressed.length === 0
      ? null
      : (placesAt(instant).find((s) => notComplete(s) !== null && hinders(s) && pressed.some((c) => c.reach.has(s.slot.id))) ?? null);
  const withStatus = <T>(
    record: T | undefined,
    proved: (r: T) => Proved,
    hinders: (at: PlaceState) => boolean = () => true,
  ): WithStatus<T> | null => {
    if (record === undefined) return null;
    const p = proved(record);
    const provisional = incomplete(pressedWith(records.layout, p), p.at, hinders);
    return { record, lapsed: endedBy(records.layout, disturbed, p), provisional };
  };
  const ofJob = <T extends { readonly jobId: string }>(list: readonly T[]): T[] => list.filter((e) => e.jobId === records.job.id);
  const proofs = ofJob(history.active(records.proofs));
  const pulls = ofJob(history.active(records.bleedPulls));
  const torques = ofJob(history.active(records.torques));
  return {
    places,
    joints: touchedJoints(records.layout, ofJob(history.active(records.jointEvents))),
    locks: controls.flatMap((c) => lockOf(records.layout, c, places, controls, records.vehicle.driven ?? null) ?? []),
    disturbed,
    answer: (item) =>
      withStatus(answerTo(proofs, item) ?? undefined, (p) => ({ kind: 'item', item: item.item, corner: item.corner, ...when(p) })),
    confirmedBy: (item) => {
      const newest = answerTo(proofs, item);
      const others = proofs.filter((p) => p.item === item.item && p.corner === item.corner && proofCloses(p.result));
      const stands = (p: Proof): boolean =>
        endedBy(records.layout, disturbed, { kind: 'item', item: item.item, corner: item.corner, ...when(p) }) === null;
      return others.findLast((p) => p.authorId !== newest?.authorId && stands(p))?.authorId ?? null;
    },
    incompleteAt: (item, instant) => incomplete(pressedFor(records.layout, item), instant, () => true),
    pull: (slotId) => {
      const newest = pulls.findLast((p) => p.slotId === slotId);
      const pressesNothing = newest?.method != null && !PRESSING.includes(newest.method);
      return withStatus(
        newest,
        (p) => ({ kind: 'bleed', slotId, ...when(p) }),
        // What presses nothing is done with the board in its place.
        (at) => !(pressesNothing && isBoard(at)),
      );
    },
    torque: (point) =>
      withStatus(
        torques.findLast((t) => t.point === point),
        (t) => ({ kind: 'torque', slotId: t.slotId, fastener: readFastener(point), ...when(t) }),
      ),
  };
}

/** What a step would undo of what stands now, in words: said before it is taken. */
export function wouldUndo(
  history: JobHistory,
  standing: ProofStatus,
  items: readonly ProofItem[],
  slot: Slot,
  event: PartEventKind | 'joint_opened',
): string[] {
  const { layout, torques } = history.records;
  const by = { slot, does: event === 'joint_opened' ? (['hydraulic'] as const) : disturbs(layout, slot, event) };
  const ended = (proved: Proved): boolean => ends(layout, by, proved);
  const proofs = items.flatMap((item) => {
    const now = standing.answer(item);
    const stands = now !== null && isGood(now) && proofCloses(now.record.result);
    const proved: Proved = { kind: 'item', item: item.item, corner: item.corner, ...NEVER };
    return stands && ended(proved) ? [item.question] : [];
  });
  const bleeders = layout.slots.flatMap((s) => {
    const now = s.kind === 'bleeder' ? standing.pull(s.id) : null;
    const stands = now !== null && isGood(now) && closedClear(now.record);
    return stands && ended({ kind: 'bleed', slotId: s.id, ...NEVER }) ? [UNDOES.bleeding(s)] : [];
  });
  const points = [...new Set(history.active(torques).map((t) => t.point))].flatMap((point) => {
    const now = standing.torque(point);
    if (
      now === null ||
      now.lapsed !== null ||
      !ended({ kind: 'torque', slotId: now.record.slotId, fastener: readFastener(point), ...NEVER })
    )
      return [];
    const fastener = readFastener(point);
    return [fastener.of === 'wheel' ? UNDOES.wheelTorque(fastener.corner) : UNDOES.torque(slot)];
  });
  return [...bleeders, ...points, ...proofs];
}
