import type { OptionId } from '../catalogue/repairOptions.ts';
import { ENDS_PLACE, WAITS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import type { Offer, OfferRow, OfferSheet, OfferWay } from '../ledger/offerRecords.ts';
import { toResult } from '../quantity/domainError.ts';
import { optionsOf } from '../readiness/options.ts';
import { SPENT } from '../wording/en/account.ts';
import { CHOICE } from '../wording/en/estimate.ts';
import { foundWords } from '../wording/en/decide.ts';
import { authorisedNow } from './authorised.ts';
import { readCode, writeCode } from './choiceCode.ts';
import { billed } from './cost.ts';
import { sharedOf } from './shared.ts';
import type { Estimate, PricedRow } from './variants.ts';

/** What a row offers: what a variant may take and what is decided; what is ruled out stands there struck through. */
function isOffered(priced: PricedRow, option: OptionId): boolean {
  const o = priced.options.find((x) => x.option === option);
  if (!o || WAITS.includes(option) || ENDS_PLACE.includes(option)) return false;
  const struck = o.ruledOut !== null && !o.unknown && ['use_again', 'reseal', 'machine'].includes(option);
  // What has no price yet is not shown as if it cost nothing.
  return struck || (o.priced && (o.byItself || (priced.decided?.option === option && o.ruledOut === null)));
}

/** The sheet for the owner, as a job stands. @param made day in the shop's time, ISO 8601 */
export function sheetOf(history: JobHistory, estimate: Estimate, shop: string, made: string): OfferSheet {
  const { vehicle } = history.records;
  const shared = new Map<string, OfferSheet['shared'][number]>();
  const { gross: spent } = estimate.now.beyond;
  const beyond = spent === 0 ? [] : [{ id: 'spent', name: SPENT.whole, gross: spent, minutes: 0 }];
  const rows = estimate.rows.flatMap((priced): OfferRow[] => {
    const ways = priced.options
      .filter((o) => isOffered(priced, o.option))
      .map((o): OfferWay => {
        const things = [...sharedOf(history, estimate.book, o.plan, o.cost), ...beyond];
        for (const { id, name, gross, minutes } of things) shared.set(id, { id, name, gross, minutes });
        return {
          ...{
            option: o.option,
            name: o.name,
            gross: billed(o.cost),
            needs: things.map((s) => s.id),
            lead: o.cost.lead,
            minutes: o.cost.minutes,
          },
          ...{ risks: o.risks, ruledOut: o.ruledOut, plan: o.plan.map((d) => ({ slotId: d.component.slot.id, option: d.option })) },
        };
      });
    return ways.some((w) => w.ruledOut === null) ? [{ id: priced.row.id, name: priced.row.name, found: foundIn(priced), ways }] : [];
  });
  const offered = new Set(rows.map((r) => r.id));
  return {
    ...{ form: 1, shop, vehicle: { tag: vehicle.tag, name: vehicle.name }, made, rows, shared: [...shared.values()] },
    currency: estimate.book.rates?.currency ?? null,
    hoursADay: estimate.book.rates?.hoursADay ?? 6,
    authorised: authorisedNow(history).sum,
    without: estimate.rows.filter((r) => !offered.has(r.row.id)).map((r) => r.row.name),
    // A variant in which something has no price would be shown cheaper than it is.
    variants: estimate.variants
      .map((v) => ({ id: v.id, name: v.name, ways: [...v.picks].map(([row, o]) => ({ row, option: o.option })) }))
      .filter((v) => rows.every((r) => r.ways.some((w) => w.option === v.ways.find((x) => x.row === r.id)?.option)))
      .filter((v) => v.ways.length === rows.length),
  };
}

/** What was found in a row, a line. */
function foundIn({ row }: PricedRow): string {
  const all: readonly Component[] = [...row.members, ...row.inside];
  return foundWords(all);
}

export interface SheetSum {
  /** Gross, minor units. */
  readonly gross: number;
  readonly days: number;
}

const wayOf = (row: OfferRow, picks: readonly { readonly row: string; readonly option: OptionId }[]): OfferWay | undefined => {
  const pick = picks.find((p) => p.row === row.id);
  return row.ways.find((w) => w.option === pick?.option && w.ruledOut === null);
};

/** What picks come to on a sheet, what they share counted once; rows that nothing is picked of count for nothing. */
export function offerSum(sheet: OfferSheet, picks: readonly { readonly row: string; readonly option: OptionId }[]): SheetSum {
  const ways = sheet.rows.flatMap((r) => wayOf(r, picks) ?? []);
  const on = new Set(ways.flatMap((w) => w.needs));
  const shared = sheet.shared.filter((s) => on.has(s.id));
  const minutes = [...ways, ...shared].reduce((sum, x) => sum + x.minutes, 0);
  return {
    gross: [...ways, ...shared].reduce((sum, x) => sum + x.gross, 0),
    days: ways.reduce((most, w) => Math.max(most, w.lead), 0) + Math.ceil(minutes / 60 / sheet.hoursADay),
  };
}

/** Ways of a row that can be chosen, in the order of the sheet. */
export function waysShown(row: OfferRow): OfferWay[] {
  return row.ways.filter((w) => w.ruledOut === null);
}

/** Number of a sheet by which a code names it, 0 to 32767: the first fifteen bits of its hash. */
export function offerTag(offer: Pick<Offer, 'hash'>): number {
  return Number.parseInt(offer.hash.slice(0, 4), 16) >> 1;
}

/** Choices that a sheet has: one of each row, or none of it at all. */
function choicesOf(sheet: OfferSheet): bigint {
  return sheet.rows.reduce((n, r) => n * BigInt(waysShown(r).length), 1n) + 1n;
}

/** The code of a choice; no picks are a no. @throws DomainError bad_code where a row is not picked */
export function codeOf(
  offer: Pick<Offer, 'sheet' | 'hash'>,
  picks: readonly { readonly row: string; readonly option: OptionId }[] | null,
): string {
  const { sheet } = offer;
  let index = 0n;
  if (picks !== null) {
    for (const row of sheet.rows) {
      const ways = waysShown(row);
      const at = ways.findIndex((w) => w.option === picks.find((p) => p.row === row.id)?.option);
      index = index * BigInt(ways.length) + BigInt(at);
    }
    index += 1n;
  }
  return writeCode(offerTag(offer), index, choicesOf(sheet));
}

/** What a code says: the picks, `null` for a no, or what is wrong with it: its check first, then its sheet, then the choice. */
export type CodeSays =
  | { readonly ok: true; readonly offer: Offer; readonly picks: readonly { readonly row: string; readonly option: OptionId }[] | null }
  | { readonly ok: false; readonly why: string };

/** Reads a code against the sheets of a job; only the newest counts. @param offers the oldest first */
export function readChoice(offers: readonly Offer[], typed: string): CodeSays {
  const read = toResult(() => readCode(typed));
  if (!read.ok) return { ok: false, why: read.refusal.message };
  const offer = offers.findLast((o) => offerTag(o) === read.value.sheet);
  if (!offer) return { ok: false, why: CHOICE.otherSheet };
  if (offer.id !== offers.at(-1)?.id) return { ok: false, why: CHOICE.olderSheet(offer.sheet.made) };
  const { index } = read.value;
  if (index === 0n) return { ok: true, offer, picks: null };
  if (index >= choicesOf(offer.sheet)) return { ok: false, why: CHOICE.noSuch };
  let rest = index - 1n;
  const picks = [...offer.sheet.rows].reverse().map((row) => {
    const ways = waysShown(row);
    const at = Number(rest % BigInt(ways.length));
    rest /= BigInt(ways.length);
    return { row: row.id, option: ways[at]?.option ?? 'use_again' };
  });
  return { ok: true, offer, picks: picks.reverse() };
}

/** Why a choice cannot be taken of a sheet; null where it can. @param offers of the job, the oldest first */
export function choiceRefusal(
  offers: readonly Offer[],
  choice: {
    readonly offerId: string;
    readonly answer: 'yes' | 'no';
    readonly picks: readonly { readonly row: string; readonly option: OptionId }[];
    readonly sum: number;
    readonly code: string | null;
  },
): string | null {
  const offer = offers.find((o) => o.id === choice.offerId);
  if (!offer) return CHOICE.otherSheet;
  if (offer.id !== offers.at(-1)?.id) return CHOICE.olderSheet(offer.sheet.made);
  if (choice.code !== null) {
    const said = readChoice(offers, choice.code);
    if (!said.ok) return said.why;
    const plain = (picks: readonly { readonly row: string; readonly option: OptionId }[]): string =>
      picks
        .map((p) => `${p.row} ${p.option}`)
        .sort()
        .join('|');
    if (plain(said.picks ?? []) !== plain(choice.picks) || (said.picks === null) !== (choice.answer === 'no')) return CHOICE.otherCode;
  }
  if (choice.answer === 'no') return choice.picks.length > 0 ? CHOICE.noPicks : null;
  for (const row of offer.sheet.rows) {
    const pick = choice.picks.filter((p) => p.row === row.id);
    const way = row.ways.find((w) => w.option === pick[0]?.option);
    if (pick.length !== 1 || !way) return CHOICE.notPicked(row.name);
    if (way.ruledOut !== null) return CHOICE.ruledOut(row.name, way.name, way.ruledOut);
  }
  if (choice.picks.length !== offer.sheet.rows.length) return CHOICE.noSuch;
  return offerSum(offer.sheet, choice.picks).gross === choice.sum ? null : CHOICE.otherSum;
}

/**
 * What a record of after the sheet rules out of a choice, in words; null where nothing does. Its code and sum may be right: a
 * part that must not be used again cannot be chosen for use.
 */
export function ruledOutSince(
  history: JobHistory,
  components: readonly Component[],
  offer: Offer,
  picks: readonly { readonly row: string; readonly option: OptionId }[],
): string | null {
  for (const row of offer.sheet.rows)
    for (const { slotId, option } of wayOf(row, picks)?.plan ?? []) {
      const component = components.find((c) => c.slot.id === slotId);
      const found = component && optionsOf(history, component).find((o) => o.id === option);
      if (found?.ruledOut) return CHOICE.since(row.name, found.name, found.ruledOut);
    }
  return null;
}

/** What a newer sheet says otherwise than an older one, a line each. */
export function offerDifferences(
  older: OfferSheet,
  newer: OfferSheet,
): { readonly row: string; readonly was: string; readonly is: string }[] {
  const line = (w: OfferWay): string =>
    w.ruledOut === null ? `${w.name} ${CHOICE.sum(w.gross, newer.currency)}` : `${w.name}: ${w.ruledOut}`;
  const text = (r: OfferRow | undefined): string => r?.ways.map(line).join('; ') ?? CHOICE.notOnIt;
  const ids = [...new Set([...older.rows, ...newer.rows].map((r) => r.id))];
  return ids.flatMap((id) => {
    const [a, b] = [older.rows.find((r) => r.id === id), newer.rows.find((r) => r.id === id)];
    const [was, is] = [text(a), text(b)];
    return was === is ? [] : [{ row: (b ?? a)?.name ?? '', was, is }];
  });
}
