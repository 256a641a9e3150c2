import { closedClear } from '../bleed/due.ts';
import { CORNER_NAME } from '../layout/kinds.ts';
import { placeName, type Slot } from '../layout/graph.ts';
import { answerTo, proofCloses, type ProofItem } from '../prove/items.ts';
import type { Book } from '../records/book.ts';
import type { BleedPull, PartEventKind, Proof, Torque } from '../records/types.ts';
import { disturbances, type Disturbed, disturbs } from './disturbed.ts';
import { endedBy, ends, type Proved } from './lapsing.ts';

/** A record with the event that ended it since; null while it stands. */
export interface Stands<T> {
  readonly record: T;
  readonly lapsed: Disturbed | null;
}

/** What was proved on this job, each with what became of it. */
export interface Standing {
  readonly disturbed: readonly Disturbed[];
  /** Newest answer to an item of proof. */
  readonly answer: (item: ProofItem) => Stands<Proof> | null;
  /** Newest pull at a bleeder. */
  readonly pull: (bleederId: string) => Stands<BleedPull> | null;
  /** Newest torque of a point. */
  readonly torque: (point: string) => Stands<Torque> | null;
}

/** Why a lapsed proof is open again, in a sentence. */
export function lapseWords(by: Disturbed): string {
  return `Lapsed: ${by.what} since.`;
}

/** Opens the proofs of a job for reading: newest answers, and the events that ended them. */
export function openStanding(book: Book): Standing {
  const { file } = book;
  const disturbed = disturbances(book);
  const with_ = <T>(record: T | undefined, proved: (r: T) => Proved): Stands<T> | null =>
    record === undefined ? null : { record, lapsed: endedBy(file.layout, disturbed, proved(record)) };
  const ofJob = <T extends { readonly jobId: string }>(list: readonly T[]): T[] => list.filter((e) => e.jobId === file.job.id);
  const proofs = ofJob(book.stand(file.proofs));
  const pulls = ofJob(book.stand(file.bleedPulls));
  const torques = ofJob(book.stand(file.torques));
  return {
    disturbed,
    answer: (item) =>
      with_(answerTo(proofs, item) ?? undefined, (p) => ({ kind: 'item', item: item.item, corner: item.corner, at: p.happenedAt })),
    pull: (slotId) =>
      with_(
        pulls.findLast((p) => p.slotId === slotId),
        (p) => ({ kind: 'bleed', slotId, at: p.happenedAt }),
      ),
    torque: (point) =>
      with_(
        torques.findLast((t) => t.point === point),
        (t) => ({ kind: 'torque', slotId: t.slotId, point, at: t.happenedAt }),
      ),
  };
}

/** What a step would undo of what stands now, in words: said before it is taken. */
export function wouldUndo(book: Book, standing: Standing, items: readonly ProofItem[], slot: Slot, event: PartEventKind): string[] {
  const { layout, torques } = book.file;
  const by = { slot, does: disturbs(slot.kind, event) };
  const ended = (proved: Proved): boolean => ends(layout, by, proved);
  const proofs = items.flatMap((item) => {
    const now = standing.answer(item);
    const stands = now !== null && now.lapsed === null && proofCloses(now.record.result);
    const proved: Proved = { kind: 'item', item: item.item, corner: item.corner, at: '' };
    return stands && ended(proved) ? [item.question] : [];
  });
  const bleeders = layout.slots.flatMap((s) => {
    const now = s.kind === 'bleeder' ? standing.pull(s.id) : null;
    const stands = now !== null && now.lapsed === null && closedClear(now.record);
    return stands && ended({ kind: 'bleed', slotId: s.id, at: '' }) ? [`Bleeding at the ${placeName(s).toLowerCase()}`] : [];
  });
  const points = [...new Set(book.stand(torques).map((t) => t.point))].flatMap((point) => {
    const now = standing.torque(point);
    if (now === null || now.lapsed !== null || !ended({ kind: 'torque', slotId: now.record.slotId, point, at: '' })) return [];
    const corner = (['FL', 'FR', 'RL', 'RR'] as const).find((c) => point === `wheel:${c}`);
    return [corner ? `Torque of the ${CORNER_NAME[corner].toLowerCase()} wheel nuts` : `Torque at the ${placeName(slot).toLowerCase()}`];
  });
  return [...bleeders, ...points, ...proofs];
}
