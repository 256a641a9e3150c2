import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface CautionAck extends JobEvent {
  readonly caution: string;
}

export const cautionAcks: FamilyDescriptor<CautionAck> = {
  ...PLAIN,
  label: 'caution acknowledged',
  subjects: ['job'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: [],
};
