import { withShop } from '../catalogue/cards/shopCard.ts';
import type { Followed, WorkCard } from '../catalogue/cards/types.ts';
import type { OptionId } from '../catalogue/repairOptions.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { LimitAxle } from '../verdict/limits.ts';
import type { ShopCardVersion } from './shopCards.ts';

/** As what an article is bought. Source: handbook 40, Options for a part. */
export const SUPPLIES = ['new', 'exchange', 'used', 'kit', 'piece', 'process', 'consumable'] as const;
export type Supply = (typeof SUPPLIES)[number];

/** Work that is sent out, or charged apart from the shop's own minutes. */
export const PROCESSES = ['sleeve', 'machine', 'reline'] as const;
export type Process = (typeof PROCESSES)[number];

/** How easily it is to be had. */
export const SCARCITIES = ['available', 'scarce', 'out_of_make'] as const;
export type Scarcity = (typeof SCARCITIES)[number];

/** Which rate of tax a price is under. */
export const TAX_KINDS = ['standard', 'reduced', 'none'] as const;
export type TaxKind = (typeof TAX_KINDS)[number];

/** What an article fits: everything of its kind, one type of vehicle, one vehicle, or in place of one part number. */
export const FITS = ['shop', 'type', 'vehicle', 'part_number'] as const;
export type Fits = (typeof FITS)[number];

/** One version of one article of the price book. Prices are never edited: a new version of the series supersedes. */
export interface ArticleVersion {
  readonly id: string;
  /** The article that this is a version of. */
  readonly seriesId: string;
  readonly name: string;
  readonly partNumber: string | null;
  readonly supply: Supply;
  /** What it is for; null for a consumable, which is found by its name. */
  readonly kind: ComponentKind | null;
  /** Of a process: which. */
  readonly process: Process | null;
  readonly fits: Fits;
  /** Vehicle's id or part number; null for shop and type. */
  readonly appliesTo: string | null;
  readonly make: string | null;
  readonly model: string | null;
  /** Front and rear mostly differ; null fits both. */
  readonly axle: LimitAxle | null;
  readonly supplierId: string | null;
  /** Net, minor units; null where nobody knows it yet. */
  readonly price: number | null;
  readonly tax: TaxKind;
  /** Day that the price was told, ISO 8601. */
  readonly pricedOn: string;
  /** Working days from order to arrival; null where not said. */
  readonly leadDays: number | null;
  /** Given back for the old unit, net, minor units. */
  readonly core: number;
  readonly scarcity: Scarcity;
  /** One serves one place, or both sides of an axle. */
  readonly covers: 'one' | 'axle';
  /** Of a kit: what it holds. Of a piece: the unit that it is a piece of. */
  readonly contents: readonly { readonly name: string; readonly count: number }[];
  /** What its seller states of it: figures and features by which articles are known, by id, as they are typed. */
  readonly states: Readonly<Record<string, string>>;
  /** Not bought any more. */
  readonly retired: boolean;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** Who sells or works for the shop. */
export interface Supplier {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
  readonly active: boolean;
  readonly version: number;
}

/** What the shop's time and money are reckoned with, one version. Newer ones supersede. */
export interface RatesVersion {
  readonly id: string;
  /** What sums of the shop are in; ISO 4217, null where none is set. */
  readonly currency: string | null;
  /** Net, minor units per attended hour. */
  readonly hourly: number;
  /** Attended hours that the shop gives a vehicle in a working day. */
  readonly hoursADay: number;
  /** What a blocked bay costs a working day, minor units; 0 where it is not reckoned. */
  readonly bayADay: number;
  /** Of each supplier once an order, net, minor units. */
  readonly shipping: number;
  /** What a vehicle that is towed back costs, net, minor units. */
  readonly towing: number;
  readonly standardPermille: number;
  readonly reducedPermille: number;
  readonly reason: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** Which of two schools the shop follows, one version. Source: handbook 40, House rules. */
export interface HouseRuleVersion {
  readonly id: string;
  readonly rule: string;
  readonly school: string;
  readonly reason: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** How often work of one kind came back for the same within its interval, over all vehicles: what the reckoning takes. */
export interface ComebackCount {
  readonly option: OptionId;
  readonly kind: ComponentKind;
  /** Handed back. */
  readonly cases: number;
  readonly comebacks: number;
}

/** The newest version of each article that is still bought. */
export function articlesNow(versions: readonly ArticleVersion[]): ArticleVersion[] {
  const newest = new Map<string, ArticleVersion>();
  for (const a of versions) {
    const had = newest.get(a.seriesId);
    if (!had || had.enteredAt < a.enteredAt || (had.enteredAt === a.enteredAt && had.id < a.id)) newest.set(a.seriesId, a);
  }
  return [...newest.values()].filter((a) => !a.retired);
}

/** The newest of a list of versions; null where there is none. */
export function newestVersion<T extends { readonly id: string; readonly enteredAt: string }>(versions: readonly T[]): T | null {
  return versions.reduce<T | null>(
    (had, v) => (had === null || had.enteredAt < v.enteredAt || (had.enteredAt === v.enteredAt && had.id < v.id) ? v : had),
    null,
  );
}

/** The school that the shop follows in a rule; null where it has picked none. */
export function schoolOf(versions: readonly HouseRuleVersion[], rule: string): HouseRuleVersion | null {
  return newestVersion(versions.filter((v) => v.rule === rule));
}

/** How the shop works: the schools of the house rules, and its cards, by their newest versions. */
export function followedIn(records: {
  readonly houseRules: readonly HouseRuleVersion[];
  readonly shopCards: readonly ShopCardVersion[];
}): Followed {
  const school = (rule: string): string | null => schoolOf(records.houseRules, rule)?.school ?? null;
  const card = (work: WorkCard): WorkCard => withShop(work, newestVersion(records.shopCards.filter((v) => v.cardId === work.id)));
  return Object.assign(school, { card });
}
