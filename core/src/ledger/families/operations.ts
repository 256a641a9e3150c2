import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Operation extends JobEvent {
  readonly slotId: string | null;
  readonly title: string;
  readonly attendedMinutes: number;
}

export const operations: FamilyDescriptor<Operation> = {
  ...PLAIN,
  label: 'operation',
  subjects: ['job', 'slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['title'],
};
