import type { Followed } from '../catalogue/cards/types.ts';
import type { Slot } from '../layout/graph.ts';
import { axleOf, type ComponentKind } from '../layout/kinds.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import {
  articlesNow,
  type ArticleVersion,
  followedIn,
  newestVersion,
  type Process,
  type RatesVersion,
  type Supply,
  type TaxKind,
} from '../ledger/priceRecords.ts';

/** What a job is priced with: the articles that may be for its vehicle, and the newest rates. */
export interface PriceBook {
  readonly articles: readonly ArticleVersion[];
  readonly rates: RatesVersion | null;
  /** Schools that the shop follows where they differ: they are in its prices and minutes. */
  readonly followed: Followed;
}

/** Whether an article may be for a vehicle at all. */
function isFor(a: ArticleVersion, { vehicle }: JobRecords): boolean {
  if (a.fits === 'vehicle') return a.appliesTo === vehicle.id;
  return a.fits !== 'type' || (a.make === vehicle.make && (a.model === null || a.model === vehicle.model));
}

export function priceBookOf(records: JobRecords): PriceBook {
  return {
    articles: articlesNow(records.articles).filter((a) => isFor(a, records)),
    rates: newestVersion(records.rates),
    followed: followedIn(records),
  };
}

const RANK = { part_number: 3, vehicle: 2, type: 1, shop: 0 } as const;

/** What is looked for in the price book. */
export interface Wanted {
  readonly supply: Supply;
  readonly kind: ComponentKind | null;
  readonly process?: Process;
  /** Of consumables and pieces: by its name. */
  readonly name?: string;
}

/**
 * The article that fits a place best: in place of the old part's own number before the vehicle's before the type's before one
 * for everything of its kind; of one axle before of both; with a price before without; the newest of equals.
 */
export function articleFor(book: PriceBook, wanted: Wanted, slot: Slot | null, partNumber: string | null): ArticleVersion | null {
  const axle = axleOf(slot?.corner ?? null);
  const fits = book.articles.filter(
    (a) =>
      a.supply === wanted.supply &&
      (wanted.kind === null || a.kind === wanted.kind) &&
      (wanted.process === undefined || a.process === wanted.process) &&
      (wanted.name === undefined || a.name.toLowerCase() === wanted.name.toLowerCase()) &&
      (a.axle === null || a.axle === axle) &&
      (a.fits !== 'part_number' || (partNumber !== null && a.appliesTo === partNumber)),
  );
  const better = (a: ArticleVersion, b: ArticleVersion): number =>
    RANK[b.fits] - RANK[a.fits] ||
    Number(b.axle !== null) - Number(a.axle !== null) ||
    Number(b.price !== null) - Number(a.price !== null) ||
    (a.pricedOn < b.pricedOn ? 1 : -1);
  return [...fits].sort(better)[0] ?? null;
}

/** Rate of tax in thousandths. */
export function permilleOf(rates: RatesVersion | null, tax: TaxKind): number {
  if (rates === null || tax === 'none') return 0;
  return tax === 'standard' ? rates.standardPermille : rates.reducedPermille;
}
