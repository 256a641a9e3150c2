import { isImplausible, type Measurement, type PlannedPosition, plausibleAt, positionKey } from '@dauer/core/catalogue';
import { findOutliers, type Taken } from '@dauer/core/metrology';
import type { Quantity } from '@dauer/core/quantity';

/** What is asked about a figure, and of which position. */
export interface Question {
  readonly text: string;
  readonly key: string;
}

/** Where the bar stands, what it says, and what it asks. */
export interface CaptureState {
  /** Of the position in hand, in the planned positions. */
  readonly index: number;
  readonly message: string | null;
  readonly question: Question | null;
  /** Positions whose figure somebody said is right. */
  readonly confirmed: ReadonlySet<string>;
}

/** The positions of a measurement, in the order in which they are taken, and which have a figure. */
export interface Course {
  readonly positions: readonly PlannedPosition[];
  /** Indices into the positions. */
  readonly sequence: readonly number[];
  readonly isTaken: (p: PlannedPosition) => boolean;
}

export type CaptureAction =
  /** Another component, measurement, phase or hand: everything begins anew. */
  | { readonly kind: 'begun' }
  /** The order of the positions is another. */
  | { readonly kind: 'reordered' }
  /** A position was tapped. */
  | { readonly kind: 'picked'; readonly index: number }
  /** So many positions on, or back. */
  | { readonly kind: 'stepped'; readonly by: number }
  /** A figure was not taken, and why. */
  | { readonly kind: 'refused'; readonly message: string }
  /** A figure was taken; where it is doubtful the bar stays and asks. */
  | { readonly kind: 'taken'; readonly doubt: Question | null }
  /** What was asked about is as it was read. */
  | { readonly kind: 'confirmed' }
  /** A figure was taken back: the bar stands at its position again. */
  | { readonly kind: 'taken_back'; readonly key: string; readonly typed: string }
  /** What was asked about is asked no more: figures went elsewhere, or it is being taken back. */
  | { readonly kind: 'question_dropped' };

/** The first position without a figure; the last of all where each has one. */
export function firstOpen({ positions, sequence, isTaken }: Course): number {
  const open = sequence.find((i) => {
    const p = positions[i];
    return p !== undefined && !isTaken(p);
  });
  return open ?? sequence.at(-1) ?? 0;
}

/** The next position without a figure, round and round; the next one at all where each other has one. */
export function nextOpen({ positions, sequence, isTaken }: Course, from: number): number {
  const start = sequence.indexOf(from);
  for (let i = 1; i <= sequence.length; i += 1) {
    const next = sequence[(start + i) % sequence.length] ?? 0;
    const p = positions[next];
    if (p && !isTaken(p) && next !== from) return next;
  }
  return sequence[Math.min(start + 1, sequence.length - 1)] ?? from;
}

export const BEGIN: CaptureState = { index: 0, message: null, question: null, confirmed: new Set() };

/** The bar after something happened. */
export function capture(state: CaptureState, action: CaptureAction, course: Course): CaptureState {
  const goOn = (s: CaptureState): CaptureState => ({ ...s, index: nextOpen(course, state.index) });
  switch (action.kind) {
    case 'begun':
      return { ...BEGIN, index: firstOpen(course) };
    case 'reordered':
      return { ...state, index: firstOpen(course) };
    case 'picked':
      return { ...state, index: action.index };
    case 'stepped': {
      const to = Math.min(course.sequence.length - 1, Math.max(0, course.sequence.indexOf(state.index) + action.by));
      return { ...state, index: course.sequence[to] ?? 0, message: null };
    }
    case 'refused':
      return { ...state, message: action.message };
    case 'taken': {
      const taken = { ...state, message: null, question: action.doubt };
      return action.doubt ? taken : goOn(taken);
    }
    case 'confirmed': {
      const confirmed = state.question ? new Set([...state.confirmed, state.question.key]) : state.confirmed;
      return goOn({ ...state, question: null, confirmed });
    }
    case 'taken_back': {
      const index = Math.max(
        0,
        course.positions.findIndex((p) => positionKey(p) === action.key),
      );
      const message = `${action.typed} at ${course.positions[index]?.name ?? 'its position'} is taken back.`;
      return { ...state, question: null, index, message };
    }
    case 'question_dropped':
      return { ...state, question: null };
  }
}

/** Why no figure is taken now, in a sentence; null where one is. */
export function refusalToTake(of: {
  /** Why the place is closed to it. */
  readonly closed: string | null;
  /** The figure hangs on how clean and how warm the part is, and no set says so yet. */
  readonly asksState: boolean;
  readonly surface: string | null;
  readonly cold: boolean | null;
}): string | null {
  if (of.closed !== null) return of.closed;
  return of.asksState && (of.surface === null || of.cold === null)
    ? 'Say first how clean the part is, and whether it is cold. The figure is kept here meanwhile.'
    : null;
}

/** What of a reading that was taken a doubt hangs on. */
type TakenHere = Pick<Taken, 'key' | 'value'> & { readonly reading: Pick<Taken['reading'], 'typed' | 'angleDeg' | 'place'> };

/** What is asked about a figure while the part is still in the hand; null where nothing is. */
export function doubtOf(of: {
  readonly measurement: Measurement;
  readonly position: PlannedPosition;
  readonly quantity: Pick<Quantity, 'canonical' | 'resolution'>;
  /** As it was typed, and the unit shown beside it. */
  readonly text: string;
  readonly symbol: string;
  /** What is measured, and its bore where it has one, mm. */
  readonly name: string;
  readonly boreMm: number | null;
  readonly taken: readonly TakenHere[];
  readonly positions: readonly PlannedPosition[];
  readonly confirmed: ReadonlySet<string>;
  /** Expanded uncertainty of one reading over a short span, by its resolution. */
  readonly errorOf: (resolution: number) => number;
}): Question | null {
  const { measurement: m, position: p, quantity, taken } = of;
  const said = `${of.text.trim()}${/[a-z"°%]/i.test(of.text) || of.symbol === '' ? '' : ` ${of.symbol}`}`;
  const key = positionKey(p);
  if (isImplausible(quantity.canonical, plausibleAt(p, of.boreMm)))
    return { text: `${said} for ${m.name.toLowerCase()} of a ${of.name.toLowerCase()}? It is kept.`, key };
  const points = taken
    .filter((t) => t.key !== key)
    .map((t) => ({ key: t.key, angleDeg: t.reading.angleDeg, place: t.reading.place, value: t.value }));
  const here = { key, angleDeg: p.angleDeg, place: p.place, value: quantity.canonical };
  const outliers = findOutliers(m.id, [...points, here], of.errorOf(quantity.resolution));
  const doubtful = outliers.includes(key) ? key : outliers.find((k) => !of.confirmed.has(k));
  if (doubtful === undefined) return null;
  const other = doubtful === key ? undefined : taken.find((t) => t.key === doubtful)?.reading.typed;
  const name = of.positions.find((q) => positionKey(q) === doubtful)?.name ?? '';
  const what = other === undefined ? said : `${other} at ${name}`;
  return {
    text: `${what} lies far from the others of this set. Gauge it again while the part is in your hand. It is kept.`,
    key: doubtful,
  };
}
