import { readTold } from '../../quantity/told.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';
import type { BleedPull } from './bleedPulls.ts';

/** What came at a bleeder when it was bled again after hand-back. */
export interface AfterPull extends JobEvent {
  readonly slotId: string;
  readonly volumeTyped: string;
  readonly volumeMl: number;
  readonly air: BleedPull['air'];
  readonly closed: boolean;
}

export const afterPulls: FamilyDescriptor<AfterPull, Pick<AfterPull, 'volumeTyped'>> = {
  ...PLAIN,
  label: 'second bleeding',
  subjects: ['slot', 'fill'],
  readWith: 'job',
  release: 'only_after',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: { slotId: 'place' },
  blackable: [],
  derive: ({ volumeTyped }) => ({ volumeMl: readTold('bled', volumeTyped, 'mL').canonical }),
};
