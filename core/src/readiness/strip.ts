import type { JobHistory } from '../history/jobHistory.ts';
import { counterpart, type Slot, slotById } from '../layout/graph.ts';
import { canBeOff } from '../layout/runs.ts';
import type { StripMark } from '../ledger/families/stripMarks.ts';
import type { StripTell } from '../ledger/families/stripTells.ts';
import { STRIP_REFUSED } from '../wording/en/strip.ts';

/** A piece that came off, with its number in the order of removal and what became of it. */
export interface StripPiece {
  readonly mark: StripMark;
  readonly number: number;
  readonly outcome: StripTell | null;
  /** It is neither in again nor left over, by the records. */
  readonly open: boolean;
}

/** What came off a place on one job, in the order of removal. */
export interface StripState {
  readonly slot: Slot;
  readonly pieces: readonly StripPiece[];
  readonly open: readonly StripPiece[];
  /** What came off last goes in first; null where nothing is left to go in. */
  readonly next: StripPiece | null;
}

function piecesOf(history: JobHistory, slotId: string, jobId: string): StripPiece[] {
  const tells = history.active(history.records.stripTells);
  return history
    .active(history.records.stripMarks)
    .filter((m) => m.slotId === slotId && m.jobId === jobId)
    .map((mark, i) => {
      const outcome = tells.findLast((t) => t.markId === mark.id) ?? null;
      return { mark, number: i + 1, outcome, open: outcome === null && mark.fate !== 'left' };
    });
}

/**
 * What came off a place on this job: numbered in the order of removal, to be played backwards.
 * Source: handbook 55, Shop notes; 05, lesson 21.
 */
export function stripOf(history: JobHistory, slot: Slot): StripState {
  const pieces = piecesOf(history, slot.id, history.records.job.id);
  const open = pieces.filter((p) => p.open);
  return { slot, pieces, open, next: open.findLast((p) => p.mark.fate !== 'unknown') ?? open.at(-1) ?? null };
}

/** How a place came apart as a pattern for this one: of which place, mirrored or as it is, and on an earlier job or on this. */
export interface StripPattern {
  readonly of: Slot;
  readonly mirrored: boolean;
  readonly earlier: boolean;
  readonly pieces: readonly StripPiece[];
}

/**
 * The pattern for a place: how the other side came apart on this job, mirrored; else how this one did on an earlier job, else how
 * the other side did then. Null where nobody has marked anything.
 */
export function stripPattern(history: JobHistory, slot: Slot): StripPattern | null {
  const { layout, job, pastJobs } = history.records;
  const other = counterpart(layout, slot);
  const mirror = (p: StripPiece): StripPiece => ({ ...p, mark: { ...p.mark, x: p.mark.x === null ? null : 1 - p.mark.x } });
  const there = other ? piecesOf(history, other.id, job.id) : [];
  if (other && there.length > 0) return { of: other, mirrored: true, earlier: false, pieces: there.map(mirror) };
  for (const past of pastJobs) {
    const here = piecesOf(history, slot.id, past.id);
    if (here.length > 0) return { of: slot, mirrored: false, earlier: true, pieces: here };
    const then = other ? piecesOf(history, other.id, past.id) : [];
    if (other && then.length > 0) return { of: other, mirrored: true, earlier: true, pieces: then.map(mirror) };
  }
  return null;
}

/** Places that something came off of on this job. */
export function strippedPlaces(history: JobHistory): Slot[] {
  const { layout, job, stripMarks } = history.records;
  const ids = new Set(history.active(stripMarks).flatMap((m) => (m.jobId === job.id ? [m.slotId] : [])));
  return [...ids].flatMap((id) => slotById(layout, id) ?? []);
}

/** Why a piece cannot be marked, in a sentence; null where it can. */
export function whyNotMarked(history: JobHistory, mark: Pick<StripMark, 'slotId' | 'x' | 'y' | 'what' | 'hash'>): string | null {
  const slot = slotById(history.records.layout, mark.slotId);
  if (!slot || !canBeOff(slot.kind)) return STRIP_REFUSED.noUnit;
  if ((mark.x === null) !== (mark.y === null)) return STRIP_REFUSED.halfPlace;
  if (mark.what.trim().length < 2) return STRIP_REFUSED.what;
  if (mark.hash !== null && !history.records.pictures.some((p) => p.hash === mark.hash)) return STRIP_REFUSED.picture;
  return null;
}

/** Why what became of a piece cannot be told, in a sentence; null where it can. */
export function whyNotStripTold(history: JobHistory, tell: Pick<StripTell, 'markId' | 'kind' | 'note'>): string | null {
  const mark = history.active(history.records.stripMarks).find((m) => m.id === tell.markId);
  const slot = mark && slotById(history.records.layout, mark.slotId);
  if (!mark || !slot || mark.jobId !== history.records.job.id) return STRIP_REFUSED.noPiece;
  const piece = stripOf(history, slot).pieces.find((p) => p.mark.id === mark.id);
  if (!piece?.open) return STRIP_REFUSED.twice;
  if (tell.kind === 'left' && tell.note.trim().length < 3) return STRIP_REFUSED.why;
  return null;
}
