import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export type PutInKind = 'block' | 'cap' | 'plug' | 'clamp' | 'mask' | 'tie' | 'chock' | 'board' | 'made_safe' | 'way_in' | 'hung' | 'other';

/** Something put in at a place that must come out again. */
export interface PutIn extends JobEvent {
  readonly slotId: string;
  readonly what: PutInKind;
  readonly note: string;
  /** The port that it closes, of a cap or a plug; null or absent where nobody said which. Source: handbook 58, A20. */
  readonly port?: string | null;
}

export const putIns: FamilyDescriptor<PutIn> = {
  ...PLAIN,
  label: 'put in',
  subjects: ['slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['note'],
};
