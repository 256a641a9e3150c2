import { attendedMinutes, cardFor, piecesFor, stepsFor } from '../catalogue/cards/cards.ts';
import { reworkChance, REWORK_GUESS } from '../catalogue/lasting.ts';
import { type OptionId, RENEWS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import type { CostTerm } from '../ledger/families/costEntries.ts';
import type { IntakeState } from '../ledger/families/intakeLooks.ts';
import type { ArticleVersion, Process, Supply } from '../ledger/priceRecords.ts';
import { grossOf } from '../quantity/money.ts';
import { COST } from '../wording/en/estimate.ts';
import { articleFor, permilleOf, type PriceBook } from './book.ts';

/** One term of what an option costs. */
export interface Term {
  readonly id: CostTerm | 'spent';
  /** Net, minor units; below nothing for what is given back. */
  readonly net: number;
  readonly permille: number;
  readonly gross: number;
  /** Where it comes from, in words. */
  readonly from: string;
  /** The owner pays it; what is only reckoned with is not billed. */
  readonly billed: boolean;
  /** A person's own figure in place of what is reckoned. */
  readonly entered: boolean;
  /** What nobody has a price for yet. */
  readonly missing: readonly string[];
}

export interface Cost {
  readonly terms: readonly Term[];
  /** Attended minutes of the work itself. */
  readonly minutes: number;
  /** Working days until what it needs is there. */
  readonly lead: number;
  readonly articles: readonly { readonly article: ArticleVersion; readonly count: number }[];
}

/** What one place is done by. */
export interface Doing {
  readonly component: Component;
  readonly option: OptionId;
}

/** As what the main article of an option is bought. */
export const BOUGHT_AS: Readonly<Partial<Record<OptionId, Supply>>> = {
  ...{ replace: 'new', exchange: 'exchange', used: 'used' },
  ...{ reseal: 'kit', hone: 'kit', sleeve: 'kit' },
};
const SENT_FOR: Readonly<Partial<Record<OptionId, Process>>> = { sleeve: 'sleeve', machine: 'machine', reline: 'reline' };

/** Chance that a union rounds or a line breaks when it is undone, by how it answered at intake; generic. Source: handbook 58, A09. */
const BREAKS: Readonly<Partial<Record<IntakeState, number>>> = { sound: 0.02, stiff: 0.15, rounded: 0.6, seized: 0.7 };

interface Bought {
  readonly article: ArticleVersion | null;
  readonly name: string;
  readonly count: number;
}

/** What is bought for places that are done, one article a place or one an axle. */
function boughtFor(book: PriceBook, doings: readonly Doing[]): Bought[] {
  const bought: Bought[] = [];
  const add = (b: Bought): void => {
    const had = bought.findIndex((x) => x.name === b.name && x.article?.id === b.article?.id);
    const old = bought[had];
    if (old === undefined) bought.push(b);
    else if (old.article?.covers !== 'axle') bought[had] = { ...old, count: old.count + b.count };
  };
  for (const { component: c, option } of doings) {
    const number = c.part?.partNumber ?? null;
    const supply = BOUGHT_AS[option];
    if (supply) {
      const article = articleFor(book, { supply, kind: c.slot.kind }, c.slot, number);
      add({ article, name: article?.name ?? COST.noArticle(supply, c.slot.kind), count: 1 });
    }
    for (const p of piecesFor(c.slot, option, book.followed)) {
      const named = { kind: null, name: p.name };
      const article =
        articleFor(book, { supply: 'consumable', ...named }, c.slot, number) ??
        articleFor(book, { supply: 'piece', ...named }, c.slot, number);
      add({ article, name: p.name, count: p.count });
    }
  }
  return bought;
}

/** Attended minutes of places that are done; a process that is bought takes none of the shop's finishing. */
function minutesOf(book: PriceBook, { component: c, option }: Doing): number {
  const process = SENT_FOR[option];
  const sent = process && articleFor(book, { supply: 'process', kind: c.slot.kind, process }, c.slot, null);
  const work = cardFor(c.slot, option);
  if (!sent || !work || option === 'sleeve') return attendedMinutes(c.slot, option, book.followed);
  return stepsFor(work, option, book.followed)
    .filter((s) => s.group !== 'finish')
    .reduce((sum, s) => sum + s.minutes, 0);
}

/** Chance of a broken line at the wheels that are opened. */
function lineBreaks(history: JobHistory, doings: readonly Doing[]): number {
  const looks = history.active(history.records.intakeLooks);
  const corners = new Set(
    doings.flatMap(({ component: c, option }) => (KIND_FACTS[c.slot.kind].hydraulic && option !== 'use_again' ? [c.slot.corner] : [])),
  );
  const dry = history.records.vehicle.climate === 'dry' ? 0.5 : 1;
  return [...corners].reduce((sum, corner) => {
    const state = looks.findLast((l) => l.corner === corner && l.thing === 'unions')?.state;
    return sum + (state ? (BREAKS[state] ?? 0) * dry : 0);
  }, 0);
}

/**
 * What it costs to do places of one row one way: every term with where it comes from.
 * cost = parts + consumables + attended minutes × rate + sending out − core money + rework risk; what is shared between rows
 * (getting there, bleeding, postage) and waiting is added where a job is put together.
 * Source: handbook 40, What decides.
 */
export function costOf(history: JobHistory, book: PriceBook, doings: readonly Doing[], option: OptionId): Cost {
  const { rates } = book;
  const leadSlots = new Set(doings.map((d) => d.component.slot.id));
  const said = new Map(
    history
      .active(history.records.costEntries)
      .filter((e) => e.jobId === history.records.job.id && e.option === option && leadSlots.has(e.slotId))
      .map((e) => [e.term, e] as const),
  );
  const bought = boughtFor(book, doings);
  const isPart = (b: Bought): boolean => b.article?.supply !== 'consumable' && b.article?.supply !== 'piece' && !isPiece(b, doings);
  const terms: Term[] = [];
  const term = (id: CostTerm, net: number, permille: number, from: string, more: Partial<Term> = {}): void => {
    const own = said.get(id);
    if (own?.amount != null) {
      const entered = own.amount;
      terms.push({
        id,
        net: entered,
        permille,
        gross: grossOf(entered, permille),
        from: COST.entered(own.reason),
        billed: more.billed ?? true,
        entered: true,
        missing: [],
      });
    } else if (net !== 0 || (more.missing?.length ?? 0) > 0) {
      terms.push({ id, net, permille, gross: grossOf(net, permille), from, billed: true, entered: false, missing: [], ...more });
    }
  };
  const bundle = (id: CostTerm, list: readonly Bought[]): number => {
    const net = list.reduce((sum, b) => sum + (b.article?.price ?? 0) * b.count, 0);
    const missing = list.flatMap((b) => (b.article?.price == null ? [b.name] : []));
    const permille = permilleOf(rates, list[0]?.article?.tax ?? 'standard');
    term(id, net, permille, COST.bought(list.flatMap((b) => (b.article ? [{ article: b.article, count: b.count }] : []))), { missing });
    return net;
  };
  const parts = bundle('parts', bought.filter(isPart));
  bundle(
    'consumables',
    bought.filter((b) => !isPart(b)),
  );
  const minutes = said.get('labour')?.minutes ?? doings.reduce((sum, d) => sum + minutesOf(book, d), 0);
  const labour = Math.round((minutes * (rates?.hourly ?? 0)) / 60);
  term('labour', labour, permilleOf(rates, 'standard'), COST.labour(minutes, rates !== null), {
    missing: minutes > 0 && rates === null ? [COST.noRate] : [],
    entered: said.get('labour')?.minutes != null,
  });
  const process = SENT_FOR[option];
  const sent = process
    ? doings.flatMap(({ component: c, option: own }) =>
        SENT_FOR[own] === process
          ? [
              {
                name: COST.process(process),
                count: 1,
                article: articleFor(book, { supply: 'process', kind: c.slot.kind, process }, c.slot, null),
              },
            ]
          : [],
      )
    : [];
  // A sleeve is always sent out; turning and lining may be done in the house.
  const away = sent.filter((b) => b.article !== null || process === 'sleeve');
  const sending = bundle('sending', away);
  const core = bought.reduce((sum, b) => sum + (b.article?.core ?? 0) * b.count, 0);
  term('core', -core, permilleOf(rates, 'standard'), COST.core);
  const kind = doings[0]?.component.slot.kind;
  // The shop’s own comebacks with this option on this kind of part.
  const comebacks = history.records.comebackCounts.find((c) => c.option === option && c.kind === kind) ?? { comebacks: 0, cases: 0 };
  const chance = reworkChance(REWORK_GUESS[option], comebacks.comebacks, comebacks.cases);
  const again = labour + (RENEWS.includes(option) ? 0 : parts) + sending + (rates?.towing ?? 0);
  term('rework', Math.round(chance * again), 0, COST.rework(chance, comebacks.cases), { billed: false });
  const breaks = lineBreaks(history, doings);
  const line = articleFor(book, { supply: 'new', kind: 'line' }, null, null);
  const lineMade =
    (line?.price ?? 0) + Math.round((attendedMinutes({ kind: 'line', style: null }, 'replace', book.followed) * (rates?.hourly ?? 0)) / 60);
  term('line_risk', Math.round(breaks * lineMade), 0, COST.lineRisk(breaks), { billed: false });
  const all = [...bought, ...away].flatMap((b) => (b.article ? [{ article: b.article, count: b.count }] : []));
  return { terms, minutes, lead: all.reduce((most, a) => Math.max(most, a.article.leadDays ?? 0), 0), articles: all };
}

/** Whether something is taken by a step, rather than being the article that the option is about. */
function isPiece(b: Bought, doings: readonly Doing[]): boolean {
  return b.article === null && doings.some((d) => piecesFor(d.component.slot, d.option).some((p) => p.name === b.name));
}

/** What the owner pays of it, gross, minor units: each term taxed and rounded for itself. */
export function billed(cost: Cost): number {
  return cost.terms.filter((t) => t.billed).reduce((sum, t) => sum + t.gross, 0);
}

/** What it is expected to cost, net, minor units: with what it may cost to do it again. */
export function expected(cost: Cost): number {
  return cost.terms.reduce((sum, t) => sum + t.net, 0);
}

/** What nobody has a price for yet. */
export function unpriced(cost: Cost): string[] {
  return [...new Set(cost.terms.flatMap((t) => t.missing))];
}
