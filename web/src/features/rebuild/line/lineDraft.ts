import type { Flare, LineShape } from '@dauer/core/ledger';
import { cutOfShape, stretchesOfPoints, TIGHTEST_BEND, type TubePoint, type TubeStretch } from '@dauer/core/metrology';
import { DomainError, fixed, parseQuantity } from '@dauer/core/quantity';

/** How a line is measured: as straights with a bend at the end of each, or by points in the vehicle. */
export type MeasuredAs = 'stretches' | 'points';

/** One row as it is typed: a straight, its bend, and how the bend's plane is turned; or a point along, across and up. */
export type DraftRow = [string, string, string];

interface DraftEnd {
  flare: Flare;
  thread: string;
  used: string;
}

/** A line as it is typed. */
export interface LineDraft {
  as: MeasuredAs;
  rows: DraftRow[];
  outside: string;
  radius: string;
  slack: string;
  first: DraftEnd;
  last: DraftEnd;
  by: LineShape['by'];
  note: string;
}

type Shape = Pick<LineShape, 'stretches' | 'outsideMm' | 'bendRadiusMm' | 'slackMm' | 'first' | 'last'>;

const mm = (text: string): number => parseQuantity(text, 'length', 'mm').canonical;
/** A coordinate: signed, where a length is not. */
const signedMm = (text: string): number => {
  const bare = text.trim();
  return bare.startsWith('-') || bare.startsWith('−') ? -mm(bare.slice(1)) : mm(bare);
};
const degrees = (text: string): number => {
  const bare = text.trim();
  if (bare === '') return 0;
  return bare.startsWith('-') || bare.startsWith('−') ? -degrees(bare.slice(1)) : parseQuantity(bare, 'angle', 'deg').canonical;
};
const text = (value: number): string => fixed(value, Number.isInteger(value) ? 0 : 2);

const isTyped = (row: DraftRow): boolean => row.some((t) => t.trim() !== '');
/** A row that nobody has typed in is left out. */
const typedRows = (rows: readonly DraftRow[]): DraftRow[] => rows.filter(isTyped);
/** Rows with an empty one after them, to be typed in next. */
export function withNext(rows: readonly DraftRow[]): DraftRow[] {
  const last = rows.at(-1);
  return !last || isTyped(last) ? [...rows, ['', '', '']] : [...rows];
}

function stretchesOf({ as, rows }: LineDraft): TubeStretch[] {
  const typed = typedRows(rows);
  if (as === 'points') return stretchesOfPoints(typed.map((r): TubePoint => [signedMm(r[0]), signedMm(r[1]), signedMm(r[2])]));
  const stretches = typed.map(([length, bend, turn]) => ({ lengthMm: mm(length), deflectionDeg: degrees(bend), turnDeg: degrees(turn) }));
  if ((stretches.at(-1)?.deflectionDeg ?? 0) !== 0) throw new DomainError('bad_length', 'After the last bend comes a straight: type it.');
  return stretches;
}

/** The shape that was typed, and what it is cut to. @throws DomainError as what is typed, and as `cutOfShape` */
export function readDraft(draft: LineDraft): { readonly shape: Shape; readonly cut: ReturnType<typeof cutOfShape> } {
  const end = ({ flare, thread, used }: DraftEnd): LineShape['first'] => ({ flare, thread: thread.trim(), usedMm: mm(used) });
  const shape = {
    stretches: stretchesOf(draft),
    outsideMm: mm(draft.outside),
    bendRadiusMm: mm(draft.radius),
    slackMm: mm(draft.slack),
    first: end(draft.first),
    last: end(draft.last),
  };
  return { shape, cut: cutOfShape(shape) };
}

/** A draft to begin with: the last shape, or a usual tube. */
export function draftOf(shape: LineShape | null): LineDraft {
  const outside = shape?.outsideMm ?? 4.75;
  const end = (e: LineShape['first'] | undefined): DraftEnd => ({
    flare: e?.flare ?? 'double',
    thread: e?.thread ?? '',
    used: text(e?.usedMm ?? 2.5),
  });
  return {
    as: 'stretches',
    rows: withNext(
      (shape?.stretches ?? []).map((s): DraftRow => [
        text(s.lengthMm),
        s.deflectionDeg === 0 ? '' : text(s.deflectionDeg),
        s.turnDeg === 0 ? '' : text(s.turnDeg),
      ]),
    ),
    outside: text(outside),
    radius: text(shape?.bendRadiusMm ?? Math.ceil(TIGHTEST_BEND * outside)),
    slack: text(shape?.slackMm ?? 0),
    first: end(shape?.first),
    last: end(shape?.last),
    by: shape?.by ?? 'old_line',
    note: '',
  };
}
