import type { JobHistory } from '../history/jobHistory.ts';
import { counterpart, type Slot, slotById } from '../layout/graph.ts';
import type { JobEvent } from '../ledger/eventBase.ts';
import type { NoteTell } from '../ledger/families/noteTells.ts';
import type { ShopNote } from '../ledger/families/shopNotes.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { NOTE_REFUSED } from '../wording/en/notes.ts';

/** A note that is shown somewhere, with how often it was found useful. */
export interface PinnedNote {
  readonly note: ShopNote;
  readonly useful: number;
  /** It was found out at the other side of this vehicle, on this job. */
  readonly otherSide: boolean;
}

/** What a vehicle's type is called, as notes are pinned to it; empty where neither make nor model is known. */
export const typeOf = (v: Pick<Vehicle, 'make' | 'model'>): string => `${v.make} ${v.model}`.trim();

/** Where a note would be wanted: at a place, at a step of its card, or for the vehicle as a whole. */
export interface NotePlace {
  readonly slot: Slot | null;
  readonly step: { readonly cardId: string; readonly stepId: string } | null;
}

function isWanted(history: JobHistory, n: ShopNote, { slot, step }: NotePlace): boolean {
  const { vehicle } = history.records;
  const here = n.vehicleId === vehicle.id;
  switch (n.pin) {
    case 'vehicle':
      // Of a place of it: there, and where the other side is worked on.
      if (!here) return false;
      if (n.slotId === null || slot === null) return n.slotId === null && slot === null;
      return step === null && (n.slotId === slot.id || n.slotId === counterpart(history.records.layout, slot)?.id);
    case 'type':
      return slot === null && n.type !== '' && n.type === typeOf(vehicle);
    case 'unit':
      return step === null && slot !== null && n.kind === slot.kind && (n.style === null || n.style === slot.style);
    case 'step':
      return step !== null && n.cardId === step.cardId && n.stepId === step.stepId && n.kind === slot?.kind;
  }
}

/**
 * The notes that are wanted somewhere: what was found out at the other side first, then what helped most often, then the newest.
 * What somebody has said is no longer so is not shown. Source: handbook 55, Shop notes; 05, lesson 35.
 */
export function notesAt(history: JobHistory, place: NotePlace): PinnedNote[] {
  const { shopNotes, noteTells, layout, job } = history.records;
  const tells = history.active(noteTells);
  const other = place.slot ? counterpart(layout, place.slot)?.id : undefined;
  return history
    .active(shopNotes)
    .filter((n) => isWanted(history, n, place) && !tells.some((t) => t.noteId === n.id && t.kind === 'wrong'))
    .map((note) => ({
      note,
      useful: tells.filter((t) => t.noteId === note.id && t.kind === 'useful').length,
      otherSide: note.jobId === job.id && note.slotId !== null && note.slotId === other,
    }))
    .sort((a, b) => Number(b.otherSide) - Number(a.otherSide) || b.useful - a.useful || (a.note.happenedAt < b.note.happenedAt ? 1 : -1));
}

/** Why a note cannot be pinned, in a sentence; null where it can: it names what this vehicle has, and what it is pinned to alone. */
export function whyNotPinned(history: JobHistory, n: Omit<ShopNote, 'vehicleId' | keyof JobEvent>): string | null {
  const { layout, vehicle, pictures, cardRuns } = history.records;
  const slot = n.slotId === null ? null : slotById(layout, n.slotId);
  if (slot === undefined) return NOTE_REFUSED.noPlace;
  if (n.words.trim().length < 3) return NOTE_REFUSED.words;
  if (n.hash !== null && !pictures.some((p) => p.hash === n.hash)) return NOTE_REFUSED.picture;
  if (n.arrow !== null && n.hash === null) return NOTE_REFUSED.arrow;
  const ofUnit = slot !== null && n.kind === slot.kind && (n.style === null || n.style === slot.style);
  switch (n.pin) {
    case 'vehicle':
      return null;
    case 'type':
      return n.type !== '' && n.type === typeOf(vehicle) ? null : NOTE_REFUSED.type;
    case 'unit':
      return ofUnit ? null : NOTE_REFUSED.unit;
    case 'step':
      return ofUnit && cardRuns.some((r) => r.cardId === n.cardId && r.slotId === slot.id && r.steps.some((s) => s.id === n.stepId))
        ? null
        : NOTE_REFUSED.step;
  }
}

/** Why nothing can be said of a note, in a sentence; null where it can: once a job and person that it helped, by a reason that it is wrong. */
export function whyNotNoted(
  history: JobHistory,
  tell: Pick<NoteTell, 'noteId' | 'kind' | 'note' | 'authorId'>,
  role: 'technician' | 'lead',
): string | null {
  const { shopNotes, noteTells, job } = history.records;
  const note = history.active(shopNotes).find((n) => n.id === tell.noteId);
  if (!note) return NOTE_REFUSED.noNote;
  const before = history.active(noteTells).filter((t) => t.noteId === tell.noteId);
  if (before.some((t) => t.kind === 'wrong')) return NOTE_REFUSED.struck;
  if (tell.kind === 'useful') return before.some((t) => t.authorId === tell.authorId && t.jobId === job.id) ? NOTE_REFUSED.said : null;
  if (role !== 'lead' && note.authorId !== tell.authorId) return NOTE_REFUSED.leadOnly;
  return tell.note.trim().length >= 3 ? null : NOTE_REFUSED.why;
}
