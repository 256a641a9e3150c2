import { placeName, type Slot } from '../../layout/graph.ts';
import type { Fate, StripMark } from '../../ledger/families/stripMarks.ts';
import type { StripTellKind } from '../../ledger/families/stripTells.ts';
import type { KitPiece } from '../../ledger/families/kitCounts.ts';
import { fixed, lowerFirst } from '../../quantity/display.ts';

/** What becomes of a piece, before it is told. */
export const FATE_NAME: Readonly<Record<Fate, string>> = {
  back: 'Goes back',
  renewed: 'A new one goes in',
  moves: 'Moves to the new unit',
  left: 'Left over by intent',
  unknown: 'Nobody knows yet',
};

export const STRIP_TELL_NAME: Readonly<Record<StripTellKind, string>> = { in: 'In again', left: 'Left over' };

/** What a strip map says of itself. */
export const STRIP = {
  title: 'What came off, and where it sits',
  empty: 'Nothing is marked. Tap the drawing where a piece came from, in the order in which it comes off.',
  first: (n: number): string => `${n} came out last: it goes in first.`,
  done: 'Everything that came off is in again, or left over by name.',
  tray: 'In the tray, with no place on the drawing',
  spring: ({ colour, wireMm, freeMm }: Pick<StripMark, 'colour' | 'wireMm' | 'freeMm'>): string =>
    [
      colour && lowerFirst(colour),
      wireMm === null ? '' : `wire ${fixed(wireMm, 1)} mm`,
      freeMm === null ? '' : `free length ${fixed(freeMm, 1)} mm`,
    ]
      .filter(Boolean)
      .join(', '),
  pattern: (of: Slot, how: { readonly mirrored: boolean; readonly earlier: boolean }): string =>
    `${placeName(of)}${how.mirrored ? ', mirrored' : ''}${how.earlier ? ', on an earlier job' : ''}`,
  /** Something that came out later is not in yet. */
  over: (n: number, later: readonly number[]): string =>
    `${later.join(', ')} came out after ${n} and ${later.length > 1 ? 'are' : 'is'} not in yet: look whether it still can go in.`,
  owed: (open: number): string => (open === 1 ? 'one piece is not in yet' : `${open} pieces are not in yet`),
} as const;

/** What is asked of a piece, and what is said of it by a press. */
export const STRIP_FIELD = {
  form: (n: number): string => `Piece ${n}`,
  what: (n: number): string => `Piece ${n}: what came off`,
  way: 'Which way round, which holes, which side',
  fate: 'What becomes of it',
  spring: 'It is a spring',
  colour: 'Colour',
  wire: 'Wire, mm',
  free: 'Free length, mm',
  mark: 'Mark it',
  not: 'Not now',
  why: 'Why it is left over',
  picture: 'picture',
  inOf: (what: string): string => `${what}: in again`,
  leftOf: (what: string): string => `${what}: left over`,
  allTheSame: 'In all the same',
  takeBack: 'Take back',
  open: 'What came off',
  close: 'Less',
  /** Beside a unit where it is shut. */
  marked: (n: number, open: number): string => `${n} marked${open > 0 ? `, ${open} not in yet` : ', all in again or left over'}`,
} as const;

/** Why a piece is not marked, or nothing is told of it. */
export const STRIP_REFUSED = {
  noUnit: 'The vehicle has no unit at this place that comes apart.',
  halfPlace: 'A piece has a place on the drawing or it has none.',
  what: 'Say what came off: a few letters at least.',
  picture: 'That picture is not on record. Take it first.',
  noPiece: 'That piece did not come off on this job. Load the job again.',
  twice: 'What became of that piece is told already.',
  why: 'Say why it is left over: a few words at least.',
} as const;

const piece = (p: KitPiece): string => `${p.wanted - p.found} × ${lowerFirst(p.name)}`;
/** What is asked of a kit. */
export const KIT_FIELD = {
  another: 'Another piece of the kit',
  wanted: 'Wanted',
  found: 'Found',
  count: 'Count it',
  again: 'Count it again',
  of: (name: string, wanted: number): string => `${name}, ${wanted} wanted`,
  note: 'Pieces that are not for this build',
  keep: 'So it lies there',
  not: 'Not now',
} as const;
/** A kit laid out and counted. */
export const KIT = {
  title: 'The kit, laid out',
  before: (finish: boolean): string =>
    `Lay it out and count it before the ${finish ? 'part is cleaned for its finish' : 'old unit is opened'}: what is short is found now.`,
  short: (pieces: readonly KitPiece[]): string => `Short of ${pieces.map(piece).join(', ')}.`,
  whole: 'Everything that the card takes is there.',
  noCard: 'That card does not run on this job. Load the job again.',
  notTaken: 'Not everything that the card takes was counted, or another count of it was wanted.',
  twice: 'Each piece of a kit is counted once, and at least one of it is wanted.',
  missing: (pieces: readonly KitPiece[]): string => `The kit was counted short of ${pieces.map(piece).join(', ')}: this takes it.`,
} as const;

/** The finished side over what the camera sees of this one. */
export const CAMERA = {
  open: 'Lay the other side over it',
  title: (other: Slot, here: Slot): string => `${placeName(other)}, mirrored, over the ${placeName(here).toLowerCase()}`,
  insecure: 'This page was reached insecurely: no camera can be used here. Lay the picture beside it instead.',
  refused: 'The camera was refused. Allow it for this address in the browser, or lay the picture beside it.',
  none: 'This device has no camera that can be used. Lay the picture beside it.',
  noPicture: (other: Slot): string => `No picture of the ${placeName(other).toLowerCase()} is in the book yet: take one there first.`,
  sees: (here: Slot): string => `What the camera sees of the ${placeName(here).toLowerCase()}`,
  over: (other: Slot): string => `Picture of the ${placeName(other).toLowerCase()}, mirrored`,
  share: 'How much of it',
  take: (here: string): string => `Take a picture of the ${here.toLowerCase()}`,
  inBook: (here: Slot): string => `A picture of the ${placeName(here).toLowerCase()} is kept.`,
  note: (other: Slot): string => `Held against the ${placeName(other).toLowerCase()}`,
  close: 'Close',
} as const;
