import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A job that was booked twice: nothing told in it counts. */
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
