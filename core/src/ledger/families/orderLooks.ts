import type { Corner } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Small things that a second order is made for. Source: handbook 05, The costly order is the second one. */
export const ORDER_THINGS = ['feeds', 'hoses', 'adjusters', 'hardware', 'seals', 'washers', 'bleeders'] as const;
export type OrderThing = (typeof ORDER_THINGS)[number];

/** Before the first order: whether small things of a wheel are needed. */
export interface OrderLook extends JobEvent {
  /** The wheel; null for the middle of the vehicle. */
  readonly corner: Corner | null;
  readonly thing: OrderThing;
  /** Left: ordered without a look, by name. */
  readonly answer: 'needed' | 'not_needed' | 'left';
  readonly note: string;
}

export const orderLooks: FamilyDescriptor<OrderLook> = {
  ...PLAIN,
  label: 'look before the order',
  subjects: ['vehicle'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { corner: 'corner' },
  blackable: ['note'],
};
