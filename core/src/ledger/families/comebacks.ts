import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What a place that was worked on before is opened for again: the same kind of fault, or another. A person says which. */
export interface Comeback extends JobEvent {
  readonly slotId: string;
  /** The job that handed the earlier work back. */
  readonly repairedIn: string;
  readonly answer: 'comeback' | 'other_fault';
  readonly note: string;
}

export const comebacks: FamilyDescriptor<Comeback> = {
  ...PLAIN,
  label: 'comeback',
  subjects: ['slot', 'job'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['note'],
  sending: 'online',
};
