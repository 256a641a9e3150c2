import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A job that was booked twice: its events are ignored. */
export interface JobVoid extends JobEvent {
  readonly reason: string;
}

export const voids: FamilyDescriptor<JobVoid> = {
  ...PLAIN,
  label: 'job void',
  subjects: ['job'],
  readWith: 'vehicle',
  release: 'snapshot',
  late: 'late',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['reason'],
  leastRole: 'lead',
};
