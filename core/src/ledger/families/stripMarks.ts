import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/**
 * What becomes of a piece that came off: it goes back, a new one goes in its place, it moves over to another unit, it is left over
 * by intent, or nobody knows yet where it belongs. Source: handbook 55, transfers and leftovers.
 */
export const FATES = ['back', 'renewed', 'moves', 'left', 'unknown'] as const;
export type Fate = (typeof FATES)[number];

/** A piece that came off a unit, at its place on the drawing of that unit: what came from where. Source: handbook 05, lesson 21; 58, A49. */
export interface StripMark extends JobEvent {
  readonly slotId: string;
  /** Across and down the drawing of the unit, 0 to 1; null for what lies in the tray and has no place on it. */
  readonly x: number | null;
  readonly y: number | null;
  readonly what: string;
  /** Which way round, which holes, which side. */
  readonly note: string;
  readonly fate: Fate;
  /** Of a spring: its colour, its wire and its free length, mm; null where nobody gauged it. */
  readonly colour: string;
  readonly wireMm: number | null;
  readonly freeMm: number | null;
  /** The picture that shows it, by the hash of its bytes. */
  readonly hash: string | null;
}

export const stripMarks: FamilyDescriptor<StripMark> = {
  ...PLAIN,
  label: 'piece that came off',
  subjects: ['slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['what', 'note', 'colour'],
};
