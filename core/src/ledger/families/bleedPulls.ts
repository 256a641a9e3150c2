import { readTold } from '../../quantity/told.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** How fluid is moved at a bleeder. The pedal and pressure on the reservoir press the whole control. */
export type BleedMethod = 'pedal' | 'vacuum' | 'pressure' | 'gravity' | 'reverse';

/** Methods that press the whole control: refused while anything that it reaches is open. Source: handbook 05, One open corner. */
export const PRESSING: readonly BleedMethod[] = ['pedal', 'pressure'];

export interface BleedPull extends JobEvent {
  readonly slotId: string;
  readonly volumeTyped: string;
  readonly volumeMl: number;
  readonly colour: 'dark' | 'amber' | 'clear';
  readonly air: 'none' | 'bubbles' | 'foam';
  readonly closed: boolean;
  /** Null where it was not said. */
  readonly method: BleedMethod | null;
}

export const bleedPulls: FamilyDescriptor<BleedPull, Pick<BleedPull, 'volumeTyped'>> = {
  ...PLAIN,
  label: 'bleeding',
  subjects: ['slot', 'fill'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: [],
  derive: ({ volumeTyped }) => ({ volumeMl: readTold('bled', volumeTyped, 'mL').canonical }),
};
