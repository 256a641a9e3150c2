import { laterChance } from '../catalogue/lasting.ts';
import { type OptionId, SEALED, STAYS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import { worst } from '../verdict/severity.ts';
import { VARIANT } from '../wording/en/estimate.ts';
import type { VariantName } from '../wording/reasons.ts';
import { type PriceBook, priceBookOf } from './book.ts';
import { chooseCheapest, type Way } from './choose.ts';
import { billed, type Cost, type Doing, expected } from './cost.ts';
import { keepsOldRubber } from './risks.ts';
import { rowOptions, type RowOption } from './rowOptions.ts';
import { decidedDoings, type DecideRow, decideRows, leadOption } from './rows.ts';
import { type SharedThing, sharedOf } from './shared.ts';
import { rowCost, type Sum } from './spent.ts';
import { type JobSum, type Picked, sumNow, sumOf } from './sum.ts';

/** A row with every way of doing it. */
export interface PricedRow {
  readonly row: DecideRow;
  readonly options: readonly RowOption[];
  /** How it is decided now, priced; null while something of it is undecided. */
  readonly decided: { readonly doings: readonly Doing[]; readonly option: OptionId; readonly cost: Cost } | null;
}

export type VariantId = VariantName;
export const VARIANT_IDS: readonly VariantId[] = ['least', 'sound', 'renewed'];

export interface Variant extends JobSum {
  readonly id: VariantId;
  readonly name: string;
  /** What it does with each row, by the row's id. */
  readonly picks: ReadonlyMap<string, RowOption>;
  /** How much cheaper it could be at most, in what it was chosen by; 0 where it is exact. */
  readonly gap: number;
  /** That it is another one, or costs no more than one that renews less. */
  readonly says: string | null;
}

export interface Estimate {
  readonly book: PriceBook;
  readonly rows: readonly PricedRow[];
  readonly variants: readonly Variant[];
  /** As it is decided now; rows that are not decided yet count for nothing. */
  readonly now: JobSum;
  readonly undecided: readonly DecideRow[];
  /** Rows that nothing may be done about by itself: no variant counts them. */
  readonly stuck: readonly DecideRow[];
}

const verdictOf = (row: DecideRow): Component['verdict'] => worst([...row.members, ...row.inside].flatMap((c) => c.verdict ?? []));

/** Whether an option renews every rubber part and everything whose figures do not hold. Source: handbook 40, renewed. */
function renews(row: DecideRow, option: OptionId): boolean {
  const holds = verdictOf(row) === 'holds';
  const anew = option === 'replace' || option === 'exchange';
  if (row.kind === 'hose' || row.kind === 'servo') return anew;
  if (SEALED.includes(row.kind)) return anew || (holds && !STAYS.includes(option));
  return holds || anew || option === 'reline';
}

/** What a place left so is expected to cost within five years: its chance, times doing it as a job of its own. */
function laterCost(history: JobHistory, book: PriceBook, row: DecideRow, options: readonly RowOption[], o: RowOption): number {
  const anew = options.filter((x) => x.ruledOut === null && (x.option === 'replace' || x.option === 'exchange' || x.option === 'reseal'));
  const alone = anew.map((x) => expected(x.cost) + sharedOf(history, book, x.plan, x.cost).reduce((sum, s) => sum + s.net, 0));
  const chance = laterChance(o.option, verdictOf(row), keepsOldRubber(history, row));
  return alone.length > 0 ? Math.round(chance * Math.min(...alone)) : 0;
}

interface Weighed {
  readonly least: readonly Way[];
  readonly sound: readonly Way[];
  readonly options: readonly RowOption[];
}

function variantsOf(history: JobHistory, book: PriceBook, rows: readonly PricedRow[], beyond: Sum): Variant[] {
  const ids = new Map<string, number>();
  const [gross, net]: [number[], number[]] = [[], []];
  const indexOf = (s: SharedThing): number => {
    const had = ids.get(s.id);
    if (had !== undefined) return had;
    ids.set(s.id, ids.size);
    gross.push(s.gross);
    net.push(s.net);
    return ids.size - 1;
  };
  const weighed = rows.map(({ row, options }): Weighed => {
    const own = options.filter((o) => o.byItself);
    const ways = own.map((o) => ({ o, needs: sharedOf(history, book, o.plan, o.cost).map(indexOf), lead: o.cost.lead }));
    return {
      options: own,
      least: ways.map(({ o, needs, lead }) => ({ cost: billed(o.cost), needs, lead })),
      sound: ways.map(({ o, needs, lead }) => ({ cost: expected(o.cost) + laterCost(history, book, row, options, o), needs, lead })),
    };
  });
  const perDay = book.rates?.bayADay ?? 0;
  const solve = (id: VariantId): Variant | null => {
    const fitting = rows.map(({ row }, i) => {
      const w = weighed[i];
      const all = w?.options.map((_, n) => n) ?? [];
      const strict = all.filter((n) => renews(row, w?.options[n]?.option ?? 'use_again'));
      const fit = id === 'renewed' && strict.length > 0 ? strict : all;
      // What has no price is not cheap for that.
      const priced = fit.filter((n) => w?.options[n]?.priced);
      return priced.length > 0 ? priced : fit;
    });
    const by = id === 'sound' ? 'sound' : 'least';
    const found = chooseCheapest({
      rows: fitting.map((list, i) => list.flatMap((n) => weighed[i]?.[by][n] ?? [])),
      shared: by === 'sound' ? net : gross,
      delay: (lead) => (by === 'sound' ? lead * perDay : 0),
    });
    if (!found) return null;
    const picks = new Map<string, RowOption>();
    const picked = rows.flatMap(({ row }, i): Picked[] => {
      const o = weighed[i]?.options[fitting[i]?.[found.ways[i] ?? 0] ?? 0];
      if (!o) return [];
      picks.set(row.id, o);
      return [{ row, option: o.option, doings: o.plan, cost: o.cost }];
    });
    return {
      id,
      name: VARIANT.name[id],
      picks,
      gap: Math.round(found.cost - found.bound),
      says: null,
      ...sumOf(history, book, picked, beyond),
    };
  };
  const found = VARIANT_IDS.flatMap((id) => solve(id) ?? []);
  return said(withLeast(found));
}

/** Where the search was cut off, another variant may be cheaper than the one that is to be cheapest: then it is that one. */
function withLeast(variants: readonly Variant[]): Variant[] {
  const cheapest = variants.reduce<Variant | null>((least, v) => (least === null || v.gross < least.gross ? v : least), null);
  return variants.map((v) => (v.id === 'least' && cheapest ? { ...cheapest, id: v.id, name: v.name, gap: v.gap } : v));
}

const samePicks = (a: Variant, b: Variant): boolean => [...a.picks].every(([row, o]) => b.picks.get(row)?.option === o.option);

/** What two variants have in common: they are the same, or the one that renews more costs no more. */
function said(variants: readonly Variant[]): Variant[] {
  return variants.map((v, i) => {
    const same = variants.slice(0, i).find((x) => samePicks(x, v));
    if (same) return { ...v, says: VARIANT.sameAs(same.name) };
    const dearer = variants.slice(0, i).find((x) => x.id === 'sound' && v.gross <= x.gross);
    return dearer ? { ...v, says: VARIANT.noDearer(dearer.name) } : v;
  });
}

/** Everything that Decide shows of money and time, from the records of a job. Source: handbook 40. */
export function estimateOf(history: JobHistory, components: readonly Component[]): Estimate {
  const book = priceBookOf(history.records);
  const all = decideRows(history, components);
  const rows = all.map((row): PricedRow => {
    const doings = decidedDoings(row);
    const option = doings ? leadOption(doings) : undefined;
    return {
      row,
      options: rowOptions(history, book, all, row),
      decided: doings && option ? { doings, option, cost: rowCost(history, book, all, row, doings, option) } : null,
    };
  });
  const able = rows.filter((r) => r.options.some((o) => o.byItself));
  const picked = rows.flatMap(({ row, decided }) => (decided ? [{ row, ...decided }] : []));
  const now = sumNow(history, book, all, picked);
  return {
    ...{ book, rows, variants: variantsOf(history, book, able, now.beyond), now },
    undecided: rows.filter((r) => r.decided === null).map((r) => r.row),
    stuck: rows.filter((r) => !able.includes(r)).map((r) => r.row),
  };
}
