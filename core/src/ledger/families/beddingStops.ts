import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** One stop of bedding in, counted as it was driven. */
export interface BeddingStop extends JobEvent {
  readonly planId: string;
  /** Which step of the plan, from 0. */
  readonly step: number;
}

export const beddingStops: FamilyDescriptor<BeddingStop> = {
  ...PLAIN,
  label: 'bedding stop',
  subjects: ['vehicle'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { planId: 'event_of_job' },
  blackable: [],
};
