import type { Followed } from '../catalogue/cards/types.ts';
import { departsFrom } from '../catalogue/houseRules.ts';
import { ENDS_PLACE, type OptionId, optionsFor, RENEWS, STAYS, WAITS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { leastCare } from '../judging/care.ts';
import type { Component } from '../judging/components.ts';
import { placeName } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { followedIn } from '../ledger/priceRecords.ts';
import { isSeized, optionsOf, whyNotHoned } from '../readiness/options.ts';
import { OPTION_WORDS } from '../wording/en/estimate.ts';
import type { PriceBook } from './book.ts';
import type { Cost, Doing } from './cost.ts';
import { risksOf } from './risks.ts';
import type { DecideRow } from './rows.ts';
import { rowCost } from './spent.ts';

/** One way of doing a whole row. */
export interface RowOption {
  readonly option: OptionId;
  readonly name: string;
  /** What it decides about each place. */
  readonly plan: readonly Doing[];
  /** Why it cannot be chosen, with the place that says so; null where it can. */
  readonly ruledOut: string | null;
  /** The place whose record rules it out. */
  readonly because: string | null;
  /** It is only a figure that is missing. */
  readonly unknown: boolean;
  /** The house rule that it departs from: it is chosen with a reason. */
  readonly departs: string | null;
  /** A variant may take it by itself: it may be released for the use of the vehicle, and needs no word of a person. */
  readonly byItself: boolean;
  /** Everything that it comes down to has a price, but for small things. */
  readonly priced: boolean;
  readonly cost: Cost;
  /** What it leaves at risk, a sentence each. */
  readonly risks: readonly string[];
}

/** What happens to what sits inside a member when the row is done one way. */
function insideOf(
  history: JobHistory,
  row: DecideRow,
  whole: OptionId,
  at: (c: Component) => OptionId,
): (Doing & { readonly why: string | null; readonly unknown: boolean })[] {
  return row.inside.flatMap((c) => {
    const carrier = row.members.find((m) => m.slot.id === c.slot.parentId);
    const option = carrier ? at(carrier) : whole;
    if (RENEWS.includes(option)) return [];
    const options = optionsOf(history, c);
    const want = STAYS.includes(option) ? option : 'use_again';
    const stay = options.find((o) => o.id === want);
    if (stay?.ruledOut == null) return { component: c, option: want, why: null, unknown: false };
    // Opened anyway, a piston that must not go back in is renewed with it.
    const renewed = STAYS.includes(option) ? undefined : options.find((o) => o.id === 'replace' && o.ruledOut === null);
    return renewed
      ? { component: c, option: 'replace', why: null, unknown: false }
      : { component: c, option: want, why: stay.ruledOut, unknown: stay.unknown };
  });
}

/** Of what wears and pulls as one both sides are always done alike, whatever the school. */
const ALIKE: readonly ComponentKind[] = ['pads', 'shoes', 'parking_shoes', 'rotor', 'drum', 'band', 'band_drum'];

/** Whether a part cannot go on as it is. */
const failed = (history: JobHistory, c: Component): boolean => {
  const again = optionsOf(history, c).find((o) => o.id === 'use_again');
  return again !== undefined && again.ruledOut !== null && !again.unknown;
};

/** What is done at each side of a row done one way: where the shop renews only what failed, the other stays as it is. */
function sidesOf(history: JobHistory, followed: Followed, row: DecideRow, option: OptionId): (c: Component) => OptionId {
  const both = followed('pairs') !== 'failed' || row.members.length < 2 || ALIKE.includes(row.kind);
  const works = !STAYS.includes(option) && !WAITS.includes(option) && !ENDS_PLACE.includes(option);
  if (both || !works || !row.members.some((m) => failed(history, m))) return () => option;
  return (c) => (failed(history, c) ? option : 'use_again');
}

/** Whether a unit that was seized is brought far enough by an option, for the use of its vehicle. */
function enough(history: JobHistory, row: DecideRow, option: OptionId): boolean {
  if (!row.members.some((m) => isSeized(history, m))) return true;
  if (RENEWS.includes(option)) return true;
  const least = leastCare(history);
  return least === 'renewed' ? false : !STAYS.includes(option);
}

/** Whether the metal of every bore that would be honed is on record, and may be. */
function metalKnown(members: readonly Component[]): boolean {
  return members.every((m) => whyNotHoned(m.decision?.metal ?? null) === null);
}

/** The house rule that an option departs from at a place, in words; null where it departs from none. */
export function departure(history: JobHistory, c: Component, option: OptionId): string | null {
  const found = departsFrom(c.slot.kind, option, followedIn(history.records), isSeized(history, c));
  return found && OPTION_WORDS.departs(found.rule.name, found.school.name);
}

/** Every way of doing a row, those first that change least. */
export function rowOptions(history: JobHistory, book: PriceBook, rows: readonly DecideRow[], row: DecideRow): RowOption[] {
  return optionsFor(row.kind).map((option): RowOption => {
    const at = sidesOf(history, book.followed, row, option);
    const own = row.members.map((c) => ({ component: c, option: at(c), ...optionsOf(history, c).find((o) => o.id === at(c)) }));
    const inside = insideOf(history, row, option, at);
    const done = own.filter((o) => o.option === option);
    const plan: Doing[] = [...own, ...inside].map(({ component, option: o }) => ({ component, option: o }));
    const cost = rowCost(history, book, rows, row, plan, option);
    const unmade = RENEWS.includes(option)
      ? cost.articles.find((a) => a.article.scarcity === 'out_of_make' && a.article.kind === row.kind)
      : undefined;
    const against = [
      ...own.flatMap((o) => (o.ruledOut ? [{ at: o.component, why: o.ruledOut, unknown: o.unknown ?? false }] : [])),
      ...inside.flatMap((o) => (o.why ? [{ at: o.component, why: o.why, unknown: o.unknown }] : [])),
    ];
    const worst = against.find((a) => !a.unknown) ?? against[0];
    const ruledOut = worst
      ? OPTION_WORDS.at(row.members.length + row.inside.length > 1 ? placeName(worst.at.slot) : null, worst.why)
      : unmade
        ? OPTION_WORDS.outOfMake(unmade.article)
        : null;
    const departs = done.flatMap((o) => departure(history, o.component, option) ?? [])[0] ?? null;
    return {
      ...{
        option,
        name: OPTION_WORDS.name(option, done.length < own.length ? done.map((o) => o.component.slot) : []),
        plan,
        ruledOut,
        because: worst?.at.slot.id ?? null,
        cost,
      },
      unknown: worst?.unknown ?? false,
      departs,
      byItself:
        ruledOut === null &&
        departs === null &&
        option !== 'used' &&
        !WAITS.includes(option) &&
        !ENDS_PLACE.includes(option) &&
        (option !== 'hone' || metalKnown(done.map((o) => o.component))) &&
        enough(history, row, option),
      risks: risksOf(history, row, option, plan),
      priced: cost.terms.every((t) => t.id === 'consumables' || t.missing.length === 0),
    };
  });
}
