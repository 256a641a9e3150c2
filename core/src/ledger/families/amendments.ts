import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Added to a release record after the fact; `corrects` names what it is about, where that is an event. */
export interface Amendment extends JobEvent {
  readonly words: string;
  readonly reason: string;
}

export const amendments: FamilyDescriptor<Amendment> = {
  ...PLAIN,
  label: 'amendment',
  subjects: ['job', 'record'],
  readWith: 'job',
  release: 'only_after',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: { corrects: 'event_of_job' },
  blackable: ['words', 'reason'],
  leastRole: 'lead',
};
