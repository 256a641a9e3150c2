import type { OptionId } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { PriceBook } from './book.ts';
import { billed, type Cost, type Doing, unpriced } from './cost.ts';
import { risksOf } from './risks.ts';
import type { DecideRow } from './rows.ts';
import { type SharedThing, sharedOf } from './shared.ts';
import { NOTHING, type Sum, wholeOver } from './spent.ts';

/** What a whole job comes to, done one way. */
export interface JobSum {
  /** What the owner pays, gross, minor units. */
  readonly gross: number;
  readonly net: number;
  readonly minutes: number;
  /** Working days: the longest wait and the attended hours over the hours that the shop gives a vehicle in a day. */
  readonly days: number;
  /** What stays at risk, by row. */
  readonly leaves: readonly { readonly row: string; readonly risks: readonly string[] }[];
  /** What nobody has a price for yet. */
  readonly missing: readonly string[];
  readonly shared: readonly SharedThing[];
  /** What was taken and bought for the vehicle as a whole beyond what rows share; it is in the sums. */
  readonly beyond: Sum;
}

/** A row as it is done. */
export interface Picked {
  readonly row: DecideRow;
  readonly option: OptionId;
  readonly doings: readonly Doing[];
  readonly cost: Cost;
}

/** What rows come to together, what they share counted once. */
export function sumOf(history: JobHistory, book: PriceBook, picked: readonly Picked[], beyond: Sum = NOTHING): JobSum {
  const shared = new Map(picked.flatMap((p) => sharedOf(history, book, p.doings, p.cost)).map((s) => [s.id, s] as const));
  const minutes = picked.reduce((sum, p) => sum + p.cost.minutes, 0) + [...shared.values()].reduce((sum, s) => sum + s.minutes, 0);
  const lead = picked.reduce((most, p) => Math.max(most, p.cost.lead), 0);
  const bill = (list: readonly Picked[], of: (c: Cost) => number): number => list.reduce((sum, p) => sum + of(p.cost), 0);
  const sharedSum = (of: 'gross' | 'net'): number => [...shared.values()].reduce((sum, s) => sum + s[of], 0);
  const whole = new Map(picked.flatMap((p) => p.doings.map((d) => [d.component.slot.id, d.option] as const)));
  const netBilled = (c: Cost): number => c.terms.filter((t) => t.billed).reduce((sum, t) => sum + t.net, 0);
  return {
    gross: bill(picked, billed) + sharedSum('gross') + beyond.gross,
    net: bill(picked, netBilled) + sharedSum('net') + beyond.net,
    minutes,
    days: lead + Math.ceil(minutes / 60 / (book.rates?.hoursADay ?? 6)),
    leaves: picked.flatMap((p) => {
      const risks = risksOf(history, p.row, p.option, p.doings, whole);
      return risks.length > 0 ? [{ row: p.row.name, risks }] : [];
    }),
    missing: [...new Set(picked.flatMap((p) => unpriced(p.cost)))],
    shared: [...shared.values()],
    beyond,
  };
}

/** What rows come to as they are decided, with what was spent on the vehicle as a whole beyond what they share. */
export function sumNow(history: JobHistory, book: PriceBook, rows: readonly DecideRow[], picked: readonly Picked[]): JobSum {
  const planned = sumOf(history, book, picked);
  return sumOf(history, book, picked, wholeOver(history, book, rows, planned.shared));
}
