import type { OptionId } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type Taken, takenOf } from '../history/taken.ts';
import type { TaxKind } from '../ledger/priceRecords.ts';
import { grossOf } from '../quantity/money.ts';
import { inHand, type LineState, orderStates } from '../supply/orders.ts';
import { type OutState, outStates } from '../supply/outs.ts';
import { SPENT } from '../wording/en/account.ts';
import { permilleOf, type PriceBook } from './book.ts';
import { type Cost, costOf, type Doing, type Term } from './cost.ts';
import { decidedDoings, type DecideRow, leadOption } from './rows.ts';
import type { SharedThing } from './shared.ts';

/** A sum of money, minor units. */
export interface Sum {
  readonly net: number;
  readonly gross: number;
}

export const NOTHING: Sum = { net: 0, gross: 0 };
const plus = (...sums: readonly Sum[]): Sum => sums.reduce((all, s) => ({ net: all.net + s.net, gross: all.gross + s.gross }), NOTHING);
const minus = (a: Sum, b: Sum): Sum => ({ net: a.net - b.net, gross: a.gross - b.gross });
const orNothing = (s: Sum): Sum => (s.gross > 0 ? s : NOTHING);

/** What was taken and bought for a row, or for the vehicle as a whole. */
export interface Spent {
  /** Attended minutes; null where no work on it is logged. */
  readonly minutes: number | null;
  readonly labour: Sum;
  /** Ordered and not to go back, sent out, less the core money that came. */
  readonly goods: Sum;
  /** What stands in the goods: order lines and send-outs. */
  readonly lines: readonly LineState[];
  readonly outs: readonly OutState[];
  /** Ordered with no price told. */
  readonly unpriced: readonly string[];
}

/** What is logged and bought on a job, by the row that it is for; by `null` what is for no row. */
type Ledger = ReadonlyMap<string | null, { readonly taken: Taken[]; readonly lines: LineState[]; readonly outs: OutState[] }>;

const slotsOf = (row: DecideRow): string[] => [...row.members, ...row.inside].map((c) => c.slot.id);

const known = new WeakMap<JobHistory, { readonly key: string; readonly ledger: Ledger }>();

function ledgerOf(history: JobHistory, rows: readonly DecideRow[]): Ledger {
  const key = rows.map((r) => r.id).join('|');
  const had = known.get(history);
  if (had?.key === key) return had.ledger;
  const of = new Map(rows.flatMap((r) => slotsOf(r).map((s) => [s, r.id] as const)));
  const ledger = new Map<string | null, { taken: Taken[]; lines: LineState[]; outs: OutState[] }>();
  const at = (id: string | null): { taken: Taken[]; lines: LineState[]; outs: OutState[] } => {
    const found = ledger.get(id) ?? { taken: [], lines: [], outs: [] };
    ledger.set(id, found);
    return found;
  };
  for (const t of takenOf(history)) at(of.get(t.operation.slotId ?? '') ?? null).taken.push(t);
  for (const s of orderStates(history)) {
    if (s.line.shopsOwn) continue;
    const wanted = rows.find((r) => s.line.need?.startsWith(`${r.id}:`) === true)?.id;
    at(wanted ?? s.line.places.flatMap((p) => of.get(p) ?? [])[0] ?? null).lines.push(s);
  }
  for (const o of outStates(history)) if (!o.dropped) at(of.get(o.out.slotId) ?? null).outs.push(o);
  known.set(history, { key, ledger });
  return ledger;
}

/** The tax kind of what was ordered: of its article where the price book still has it. */
const taxOf = (history: JobHistory, s: LineState): TaxKind =>
  history.records.articles.find((a) => a.id === s.line.articleId)?.tax ?? 'standard';

/** Core money that came for a line, net. */
const coreCame = (s: LineState): number => s.steps.filter((x) => x.kind === 'core_credited').reduce((sum, x) => sum + (x.amount ?? 0), 0);

/** What a line comes to, of what is to stay: at its price. */
function paidFor(history: JobHistory, book: PriceBook, s: LineState, less = 0): Sum {
  const net = (s.line.price ?? 0) * inHand(s) - less;
  return { net, gross: grossOf(net, permilleOf(book.rates, taxOf(history, s))) };
}

/** What a send-out cost, as far as it is known. */
function sentFor(book: PriceBook, o: OutState): Sum {
  const net = o.cost ?? 0;
  return { net, gross: grossOf(net, permilleOf(book.rates, 'standard')) };
}

/** What was taken and bought for one row; for the vehicle as a whole where none is named. */
export function spentOn(history: JobHistory, book: PriceBook, rows: readonly DecideRow[], row: DecideRow | null): Spent {
  const mine = ledgerOf(history, rows).get(row?.id ?? null);
  const minutes = mine && mine.taken.length > 0 ? mine.taken.reduce((sum, t) => sum + t.minutes, 0) : null;
  const [lines, outs] = [mine?.lines ?? [], mine?.outs ?? []];
  const goods = plus(...lines.map((s) => paidFor(history, book, s, coreCame(s))), ...outs.map((o) => sentFor(book, o)));
  return {
    ...{ minutes, labour: labourOf(book, minutes ?? 0), goods, lines, outs },
    unpriced: lines.flatMap((s) => (s.line.price === null && inHand(s) > 0 ? [s.line.name] : [])),
  };
}

/** What attended minutes come to at the shop's rate. */
function labourOf(book: PriceBook, minutes: number): Sum {
  const net = Math.round((minutes * (book.rates?.hourly ?? 0)) / 60);
  return { net, gross: grossOf(net, permilleOf(book.rates, 'standard')) };
}

const termOf = (cost: Cost, id: Term['id']): Sum => cost.terms.find((t) => t.id === id) ?? NOTHING;

/** What was bought beyond what is reckoned for the same thing; below nothing where it was bought cheaper. */
function goodsOver(history: JobHistory, book: PriceBook, spent: Spent, row: DecideRow | null, cost: Cost | null): Sum {
  const own = new Set(cost?.terms.flatMap((t) => (t.entered ? [t.id] : [])));
  const overs = spent.lines.map((s): Sum => {
    const permille = permilleOf(book.rates, taxOf(history, s));
    const reckoned = cost?.articles.find(
      ({ article: a }) => s.line.need?.toLowerCase() === `${row?.id ?? ''}:${a.supply}:${a.name}`.toLowerCase(),
    )?.article;
    // A figure that a person entered in place of the price book stands for whatever the parts come to, until it is passed.
    if (own.has('parts') || own.has('consumables')) return NOTHING;
    const each = s.line.price === null ? 0 : s.line.price - (reckoned?.price ?? 0);
    const letGo = s.steps.filter((x) => x.kind === 'core_kept').reduce((sum, x) => sum + x.count, 0);
    const came = s.steps.filter((x) => x.kind === 'core_credited').reduce((sum, x) => sum + x.count, 0);
    const core = reckoned ? (reckoned.core ?? 0) * (letGo + came) - coreCame(s) : -coreCame(s);
    const net = each * inHand(s) + core;
    return { net, gross: grossOf(net, permille) };
  });
  const entered = own.has('parts') || own.has('consumables');
  const bought = cost ? plus(termOf(cost, 'parts'), termOf(cost, 'consumables')) : NOTHING;
  const linesSum = plus(...spent.lines.map((s) => paidFor(history, book, s)));
  const sent = plus(...spent.outs.map((o) => sentFor(book, o)));
  const sentOver = minus(sent, cost ? termOf(cost, 'sending') : NOTHING);
  // What is away and has no bill yet is not cheaper for that.
  const billedAll = spent.outs.length > 0 && spent.outs.every((o) => o.cost !== null);
  return plus(...overs, entered ? orNothing(minus(linesSum, bought)) : NOTHING, billedAll ? sentOver : orNothing(sentOver));
}

/** A price that nobody had for something is known once it is ordered. */
function withoutOrdered(cost: Cost, spent: Spent, row: DecideRow): Cost {
  const bought = new Set(
    spent.lines.flatMap((s) =>
      s.line.price !== null && inHand(s) > 0 && s.line.need?.startsWith(`${row.id}:`) === true
        ? [s.line.need.split(':').slice(2).join(':')]
        : [],
    ),
  );
  return { ...cost, terms: cost.terms.map((t) => ({ ...t, missing: t.missing.filter((name) => !bought.has(name)) })) };
}

/** When the way in which a row is decided now was first taken, after another; null where it never was another. */
function changedAt(history: JobHistory, row: DecideRow): string | null {
  const lead = row.members[0]?.slot.id;
  const { job, decisions } = history.records;
  const all = history.active(decisions).filter((d) => d.slotId === lead && d.jobId === job.id);
  const last = all.at(-1);
  const other = all.findLastIndex((d) => d.option !== last?.option);
  return other < 0 ? null : (all[other + 1]?.happenedAt ?? null);
}

/** Attended minutes of a row that were taken before an instant. */
function takenBefore(history: JobHistory, rows: readonly DecideRow[], row: DecideRow, on: string): number {
  const events = history.active(history.records.operationEvents);
  return (ledgerOf(history, rows).get(row.id)?.taken ?? [])
    .filter((t) => (events.findLast((e) => e.operationId === t.operation.id)?.happenedAt ?? '') < on)
    .reduce((sum, t) => sum + t.minutes, 0);
}

/**
 * What a way of doing a row costs, with what was spent on it already. Of the way that is decided, what was taken and bought
 * beyond what it was reckoned with; of every other, the time that is gone whichever way is taken.
 * Source: handbook 40, The authorised sum; 05, Both prices matter.
 */
export function rowCost(
  history: JobHistory,
  book: PriceBook,
  rows: readonly DecideRow[],
  row: DecideRow,
  doings: readonly Doing[],
  option: OptionId,
): Cost {
  let cost = costOf(history, book, doings, option);
  const spent = spentOn(history, book, rows, row);
  if (spent.minutes === null && spent.lines.length === 0 && spent.outs.length === 0) return cost;
  const now = leadOption(decidedDoings(row) ?? []) ?? null;
  const labour = termOf(cost, 'labour');
  const minutes = spent.minutes ?? 0;
  const changed = now === option ? changedAt(history, row) : null;
  const sunk = now === null ? 0 : now !== option ? minutes : changed === null ? 0 : takenBefore(history, rows, row, changed);
  const hours = plus(labourOf(book, sunk), orNothing(minus(labourOf(book, minutes - sunk), labour)));
  const goods = now === option ? goodsOver(history, book, spent, row, cost) : NOTHING;
  const over = plus(hours, goods);
  if (now === option) cost = withoutOrdered(cost, spent, row);
  if (over.gross === 0 && over.net === 0) return cost;
  const term: Term = {
    ...{ id: 'spent', ...over, permille: permilleOf(book.rates, 'standard'), billed: true, entered: false, missing: [] },
    from: SPENT.from(hours.gross > 0 ? minutes : null, now === option, goods.gross),
  };
  return { ...cost, terms: [...cost.terms, term] };
}

/** What was taken and bought for the vehicle as a whole, beyond what is reckoned for what rows share; nothing where it is within. */
export function wholeOver(
  history: JobHistory,
  book: PriceBook,
  rows: readonly DecideRow[],
  shared: readonly Pick<SharedThing, 'minutes' | 'fluid'>[],
): Sum {
  const spent = spentOn(history, book, rows, null);
  const reckoned = labourOf(
    book,
    shared.reduce((sum, s) => sum + s.minutes, 0),
  );
  // Fluid is reckoned with what rows share; more than that was ordered beyond it.
  const isFluid = (s: LineState): boolean => s.line.need?.startsWith('fluid:') === true;
  const sumOf = (s: LineState): Sum => paidFor(history, book, s, coreCame(s));
  const planned = shared.reduce((sum, s) => sum + s.fluid, 0);
  const fluid = plus(...spent.lines.filter(isFluid).map(sumOf));
  const fluidOver = orNothing(minus(fluid, { net: planned, gross: grossOf(planned, permilleOf(book.rates, 'standard')) }));
  const lines = [fluidOver, ...spent.lines.filter((s) => !isFluid(s)).map(sumOf)];
  const outs = spent.outs.map((o) => sentFor(book, o));
  return plus(orNothing(minus(spent.labour, reckoned)), ...lines, ...outs);
}
