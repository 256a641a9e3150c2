import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** How a finish goes on. */
export const COAT_WAYS = ['brush', 'spray', 'powder', 'plate', 'unknown'] as const;
export type CoatWay = (typeof COAT_WAYS)[number];
export const GLOSSES = ['matt', 'satin', 'gloss', 'unknown'] as const;
export type Gloss = (typeof GLOSSES)[number];
/** Coats that one finish may have at the most. */
export const MOST_COATS = 12;

/** The finish of a part, beside the record that it was coated: the newest of an event counts. Source: handbook 55, cards 22 to 24. */
export interface Coat extends JobEvent {
  /** The record that the part was coated. */
  readonly eventId: string;
  readonly way: CoatWay;
  readonly colour: string;
  readonly gloss: Gloss;
  /** How many coats; null where nobody counted, or it is one bath. */
  readonly coats: number | null;
  /** What was done with it in one go; empty where it was alone. */
  readonly batch: string;
}

export const coats: FamilyDescriptor<Coat> = {
  ...PLAIN,
  label: 'finish of a part',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { eventId: 'event_of_job' },
  blackable: ['colour', 'batch'],
};
