/** What is said of the hours taken and the things bought, beside what they were reckoned with. */
import type { ChoiceWay } from '../../ledger/families/ownerChoices.ts';
import { moneyText } from '../../quantity/locale.ts';
import { majorOf } from '../../quantity/money.ts';
import { timeWords } from './estimate.ts';

const sum = (minor: number, currency: string | null): string => moneyText(majorOf(minor, currency), currency);

export const SPENT = {
  whole: 'Time and material beyond what was reckoned',
  /** @param goods gross, minor units: ordered beyond what was reckoned, or for less */
  from: (minutes: number | null, decided: boolean, goods: number): string =>
    [
      ...(minutes === null ? [] : [decided ? `${timeWords(minutes)} taken` : `${timeWords(minutes)} taken on it already`]),
      ...(goods > 0 ? ['ordered beyond what was reckoned'] : goods < 0 ? ['ordered for less than was reckoned'] : []),
    ].join('; '),
  crossed: (spent: { readonly row: string | null; readonly gross: number }, currency: string | null): string =>
    `${spent.row ?? 'On the vehicle as a whole'}: ${sum(spent.gross, currency)} more taken and bought than was reckoned.`,
};

/** How the owner's word came. */
export const CHOICE_WAY_SAYS: Readonly<Record<ChoiceWay, string>> = {
  in_shop: 'in the shop',
  by_phone: 'by phone',
  by_file: 'by choice file',
};

export const ACCOUNT = {
  authorised: 'Authorised',
  together: 'Together',
  whole: 'Wheels, bleeding and the whole vehicle',
  atBookIn: 'Said when it was booked in',
  agreed: (by: string, how: ChoiceWay): string => `Agreed by ${by}, ${CHOICE_WAY_SAYS[how]}`,
  refused: (by: string, how: ChoiceWay): string => `${by} said no, ${CHOICE_WAY_SAYS[how]}`,
  /** Why a line came to something else than it was reckoned with. */
  because: (finding: string, decided: string): string =>
    finding === '' || decided === '' ? `${finding}${decided}` : `${finding} (${decided})`,
  soFar: (a: { readonly minutes: number; readonly actual: number; readonly reckoned: number }, currency: string | null): string =>
    `So far ${a.minutes > 0 ? `${timeWords(a.minutes)} are logged and ` : ''}${sum(a.actual, currency)} taken and bought, of ${sum(a.reckoned, currency)} reckoned.`,
  unlogged: 'no work logged',
  without: (names: readonly string[]): string => `no price told: ${names.join(', ')}`,
  foot: 'Reckoned is what the decisions come to by the price book; taken is what clocks ran for and what was ordered and not sent back, with tax. What no clock ran for and no order stands for is not in it.',
};
