import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export const SEND_OUT_STEPS = ['promised', 'chased', 'checked', 'cost', 'dropped'] as const;
export type SendOutStepKind = (typeof SEND_OUT_STEPS)[number];

export interface SendOutStep extends JobEvent {
  readonly sendOutId: string;
  readonly kind: SendOutStepKind;
  readonly day: string | null;
  /** Of a check: whether it may go on the vehicle; how many pieces came. */
  readonly result: 'right' | 'wrong' | null;
  readonly count: number | null;
  /** What was looked at: threads, seats, masks. */
  readonly looked: readonly string[];
  /** What it cost, net, minor units. */
  readonly amount: number | null;
  readonly note: string;
}

export const sendOutSteps: FamilyDescriptor<SendOutStep> = {
  ...PLAIN,
  label: 'step of a send-out',
  subjects: ['send_out'],
  readWith: 'job',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { sendOutId: 'event_of_job' },
  blackable: ['note'],
  price: ['amount'],
  sending: 'online',
};
