import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** An answer to an item of after-care, after hand-back. */
export interface AfterCareAnswer extends JobEvent {
  readonly item: string;
  readonly result: 'done' | 'taken_over' | 'failed';
  readonly note: string;
}

export const afterCares: FamilyDescriptor<AfterCareAnswer> = {
  ...PLAIN,
  label: 'after-care',
  subjects: ['vehicle'],
  readWith: 'job',
  release: 'only_after',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['note'],
};
