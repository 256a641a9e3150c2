import type { OptionId } from '../../catalogue/repairOptions.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** How the owner's word came. Source: handbook 40. */
export const CHOICE_WAYS = ['in_shop', 'by_phone', 'by_file'] as const;
export type ChoiceWay = (typeof CHOICE_WAYS)[number];

/** What the owner chose of a sheet that he was shown, or that he wants none of it. */
export interface OwnerChoice extends JobEvent {
  readonly offerId: string;
  readonly answer: 'yes' | 'no';
  /** The variant that it is; null where he chose row by row. */
  readonly variant: string | null;
  readonly picks: readonly { readonly row: string; readonly option: OptionId }[];
  /** What it comes to on his sheet, gross, minor units. */
  readonly sum: number;
  /** Who said so. */
  readonly by: string;
  readonly how: ChoiceWay;
  /** The code that he read out, of a choice file. */
  readonly code: string | null;
  /** What he wishes for later; it stays with the vehicle. */
  readonly wishes: string;
}

export const ownerChoices: FamilyDescriptor<OwnerChoice> = {
  ...PLAIN,
  label: 'owner’s choice',
  subjects: ['job'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['by', 'wishes'],
  personal: ['by'],
  price: ['sum'],
  sending: 'online',
};
