import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Somebody read how a job was parked, and goes on with it. Source: handbook 50, Parking a job. */
export interface TakeOver extends JobEvent {
  readonly parkingId: string;
  /** What was found otherwise than it was left; empty where nothing was. */
  readonly note: string;
}

export const takeOvers: FamilyDescriptor<TakeOver> = {
  ...PLAIN,
  label: 'parked job taken over',
  subjects: ['record'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { parkingId: 'event_of_job' },
  blackable: ['note'],
};
