import type { OptionId } from '../../catalogue/repairOptions.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Terms of what an option costs. Source: handbook 40, What decides. */
export const COST_TERMS = ['parts', 'consumables', 'labour', 'sending', 'core', 'rework', 'line_risk'] as const;
export type CostTerm = (typeof COST_TERMS)[number];

/** A person's own figure for one term of an option, on one job, in place of what is reckoned. */
export interface CostEntry extends JobEvent {
  /** The first place of its row. */
  readonly slotId: string;
  readonly option: OptionId;
  readonly term: CostTerm;
  /** Net, minor units of the shop's currency; null for labour, and where the reckoned figure counts again. */
  readonly amount: number | null;
  /** Of labour: attended minutes; null where the card's count again. */
  readonly minutes: number | null;
  readonly reason: string;
}

/** Why an entry says nothing that can be counted; null where it does. Core money is given back, everything else is paid. */
export function whyNotCounted(
  e: Pick<CostEntry, 'term' | 'amount' | 'minutes'>,
): 'minutes_of_labour' | 'below_nothing' | 'given_back' | null {
  if (e.term === 'labour' ? e.amount !== null : e.minutes !== null) return 'minutes_of_labour';
  if (e.amount === null) return null;
  if (e.term === 'core') return e.amount > 0 ? 'given_back' : null;
  return e.amount < 0 ? 'below_nothing' : null;
}

export const costEntries: FamilyDescriptor<CostEntry> = {
  ...PLAIN,
  label: 'cost entry',
  subjects: ['slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['reason'],
  price: ['amount'],
  sending: 'online',
};
