import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Acceptance extends JobEvent {
  /** Key of the obligation that is accepted. */
  readonly obligation: string;
  readonly reason: string;
}

export const acceptances: FamilyDescriptor<Acceptance> = {
  ...PLAIN,
  label: 'acceptance',
  subjects: ['job'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['reason'],
  sending: 'online',
  aside: ['password'],
};
