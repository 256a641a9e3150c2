import type { LotKind, LotVersion } from '../ledger/lotRecords.ts';
import { earliestDay } from '../quantity/partialDate.ts';
import { yearsBetween } from '../quantity/calendar.ts';

/** Years on the shelf, generic: hoses and seals five; what hardens or takes water in, less. Source: handbook 40, The part's life. */
export const SHELF_YEARS: Readonly<Record<LotKind, number | null>> = { rubber: 5, fluid: 3, lining: null, adhesive: 2, coating: 3 };

/** Months that an opened tin keeps, generic. */
const OPENED_MONTHS: Readonly<Partial<Record<LotKind, number>>> = { fluid: 12 };

/** Why taking something out of a lot asks for a reason; null where it does not. */
export type LotQuestion =
  | { readonly kind: 'recalled'; readonly why: string }
  | { readonly kind: 'old'; readonly years: number; readonly limit: number }
  | { readonly kind: 'open_long'; readonly months: number; readonly limit: number }
  | { readonly kind: 'age_unknown' };

/** The newest version of each lot. */
export function lotsNow(versions: readonly LotVersion[]): LotVersion[] {
  const newest = new Map<string, LotVersion>();
  for (const v of versions) {
    const had = newest.get(v.seriesId);
    if (!had || had.enteredAt < v.enteredAt || (had.enteredAt === v.enteredAt && had.id < v.id)) newest.set(v.seriesId, v);
  }
  return [...newest.values()];
}

/**
 * What is to be answered before something is taken out of a lot. Its age counts from when it was made, else bought.
 * @param today ISO 8601
 */
export function lotQuestion(lot: LotVersion, today: string): LotQuestion | null {
  if (lot.recalled !== '') return { kind: 'recalled', why: lot.recalled };
  const limit = lot.shelfYears ?? SHELF_YEARS[lot.kind];
  const since = lot.made ?? lot.bought;
  if (limit !== null) {
    if (since === null) return { kind: 'age_unknown' };
    const years = yearsBetween(earliestDay(since), today);
    if (years > limit) return { kind: 'old', years, limit };
  }
  const months = OPENED_MONTHS[lot.kind];
  if (months !== undefined && lot.opened !== null) {
    const open = yearsBetween(earliestDay(lot.opened), today) * 12;
    if (open > months) return { kind: 'open_long', months: open, limit: months };
  }
  return null;
}

/** Nothing may be taken out of it, whatever the reason. */
export const isBarred = (q: LotQuestion | null): boolean => q?.kind === 'recalled';
