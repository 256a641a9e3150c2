import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Stands for the whole list of causes: nothing but what is named was found. */
export const NOTHING_ELSE = 'nothing_else';

/** What is said of a cause: that it is to be looked for on the bench, or what the bench found. */
export interface CauseLook extends JobEvent {
  /** A kind of fault of the tables, or nothing_else. */
  readonly fault: string;
  /** Where: a slot, a wheel, a circuit, or the system. */
  readonly place: string;
  readonly state: 'wanted' | 'found' | 'absent' | 'open';
  /** How likely it had been said to be, 0 to 1, and as which of the list; null where nothing had been said. */
  readonly said: number | null;
  readonly rank: number | null;
}

export const causeLooks: FamilyDescriptor<CauseLook> = {
  ...PLAIN,
  label: 'look for a cause',
  subjects: ['vehicle', 'slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: [],
};
