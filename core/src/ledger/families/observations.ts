import type { Corner } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Observation extends JobEvent {
  readonly code: string;
  readonly corner: Corner | null;
  readonly state: 'seen' | 'not_seen' | 'not_checked';
}

export const observations: FamilyDescriptor<Observation> = {
  ...PLAIN,
  label: 'observation',
  subjects: ['vehicle'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { corner: 'corner' },
  blackable: [],
};
