import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Takes another event back: `corrects` names it. Of somebody else's entry with a reason; both are shown. */
export interface TakeBack extends JobEvent {
  readonly reason: string;
}

export const takeBacks: FamilyDescriptor<TakeBack> = {
  ...PLAIN,
  label: 'take-back',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { corrects: 'event_of_job' },
  blackable: ['reason'],
};
