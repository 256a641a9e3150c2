import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface OperationEvent extends JobEvent {
  readonly operationId: string;
  readonly kind: 'start' | 'stop' | 'done';
  readonly note: string;
}

export const operationEvents: FamilyDescriptor<OperationEvent> = {
  ...PLAIN,
  label: 'operation logged',
  subjects: ['record'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { operationId: 'event_of_job' },
  blackable: ['note'],
};
