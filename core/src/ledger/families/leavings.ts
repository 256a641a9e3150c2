import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** How a vehicle leaves: on its own wheels, carried away with the road still to prove, or as one that must not be driven. */
export type LeavingHow = 'driven' | 'not_driven' | 'not_to_be_driven';

export interface Leaving extends JobEvent {
  readonly how: LeavingHow;
  /** Why, and what has to be done first: it stands on the first line of the sheet. */
  readonly note: string;
}

export const leavings: FamilyDescriptor<Leaving> = {
  ...PLAIN,
  label: 'how it leaves',
  subjects: ['job'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  leastRole: 'lead',
  sending: 'online',
  names: {},
  blackable: ['note'],
};
