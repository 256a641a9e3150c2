import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What happens to something that was ordered. Fitting is told of the part. Source: handbook 40, Orders. */
export const ORDER_STEPS = [
  ...(['promised', 'chased', 'arrived', 'checked', 'returned', 'credited', 'cancelled'] as const),
  /** The old unit: sent back for its core money, that money credited, or kept and the money let go. */
  ...(['core_sent', 'core_credited', 'core_kept'] as const),
] as const;
export type OrderStepKind = (typeof ORDER_STEPS)[number];

/** What a look at something that arrived came to. */
export const ARRIVAL_RESULTS = ['right', 'wrong', 'damaged', 'not_for_build'] as const;
export type ArrivalResult = (typeof ARRIVAL_RESULTS)[number];

export interface OrderStep extends JobEvent {
  readonly lineId: string;
  readonly kind: OrderStepKind;
  /** Of how many. */
  readonly count: number;
  /** Of a promise: for when; of what is not right: until when it goes back or is claimed; of an arrival with a core: until when that goes back. */
  readonly day: string | null;
  readonly result: ArrivalResult | null;
  /** Of a check: the place whose old part it was held against. */
  readonly slotId: string | null;
  /** Credited, net, minor units. */
  readonly amount: number | null;
  readonly note: string;
}

export const orderSteps: FamilyDescriptor<OrderStep> = {
  ...PLAIN,
  label: 'step of an order',
  subjects: ['order_line', 'slot'],
  readWith: 'job',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { lineId: 'event_of_job', slotId: 'place' },
  blackable: ['note'],
  price: ['amount'],
  sending: 'online',
};
