import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export const FASTENER_FORMS = ['stud_nut', 'bolt', 'centre_lock', 'other'] as const;
export type FastenerForm = (typeof FASTENER_FORMS)[number];
export const SEATS = ['cone', 'ball', 'flat', 'unknown'] as const;
export type FastenerSeat = (typeof SEATS)[number];
/** Which way it tightens. */
export const HANDS = ['right', 'left', 'unknown'] as const;
export type Hand = (typeof HANDS)[number];

/** Nuts or bolts that one wheel or unit may be held by, at the most. */
export const MOST_FASTENERS = 24;

/** What holds a wheel or a unit, as it was seen: of the vehicle, and newer replaces older. Source: handbook 58, A05 and D04. */
export interface FastenerFact extends JobEvent {
  /** The fastener, by its stored name. */
  readonly point: string;
  readonly form: FastenerForm;
  readonly count: number;
  readonly thread: string;
  readonly hand: Hand;
  readonly seat: FastenerSeat;
  /** Key, sleeve or socket that it takes. */
  readonly key: string;
  readonly oiled: boolean;
  readonly note: string;
}

export const fastenerFacts: FamilyDescriptor<FastenerFact> = {
  ...PLAIN,
  label: 'fastener on record',
  subjects: ['vehicle'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['thread', 'key', 'note'],
};
