import type { OptionId } from '../catalogue/repairOptions.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { ComebackCount } from '../ledger/priceRecords.ts';
import { millisecondsInDay } from '../quantity/calendar.ts';

/** Months within which the same place opened again for the same kind of fault is a comeback; generic. */
const COMEBACK_MONTHS = 24;

/** One piece of work that was handed back, and how long it is known to have lasted. */
export interface LastingCase {
  readonly option: OptionId;
  readonly kind: ComponentKind;
  /** Lots of which something went in there, by their labels. */
  readonly lots: readonly string[];
  /** Instants: handed back, and came back for the same, or the last time that the vehicle was seen. */
  readonly from: string;
  readonly until: string;
  /** It came back; else it had not when the vehicle was last seen. */
  readonly cameBack: boolean;
}

/** Where a curve steps down: days since the hand-back, the share that lasts longer, and its band. */
export interface Step {
  readonly days: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** How many were still watched just before. */
  readonly watched: number;
}

/** Fewer cases say nothing that a curve may be drawn of. Source: handbook 40, What our work lasted. */
export const LEAST_CASES = 5;
/** Two-sided, 95 %. */
const Z = 1.959964;

const daysOf = (c: Pick<LastingCase, 'from' | 'until'>): number =>
  Math.max(0, (Date.parse(c.until) - Date.parse(c.from)) / millisecondsInDay);

/**
 * Survival by the product-limit estimate, censored at the last time each vehicle was seen, with the log-log band of
 * Greenwood's variance: a band that never leaves 0 to 1. Source: Kaplan and Meier 1958; Kalbfleisch and Prentice, The
 * Statistical Analysis of Failure Time Data, 1.4.
 * @returns null where there are fewer than five cases
 */
export function survival(cases: readonly Pick<LastingCase, 'from' | 'until' | 'cameBack'>[]): Step[] | null {
  if (cases.length < LEAST_CASES) return null;
  const times = cases.map((c) => ({ days: daysOf(c), cameBack: c.cameBack }));
  const events = [...new Set(times.filter((t) => t.cameBack).map((t) => t.days))].sort((a, b) => a - b);
  let share = 1;
  let sum = 0;
  return events.map((days) => {
    const watched = times.filter((t) => t.days >= days).length;
    const failed = times.filter((t) => t.cameBack && t.days === days).length;
    share *= 1 - failed / watched;
    // The last of those watched came back: nothing is left to vary.
    sum += watched === failed ? 0 : failed / (watched * (watched - failed));
    if (share <= 0) return { days, share: 0, low: 0, high: 0, watched };
    const log = Math.log(share);
    const spread = (Z * Math.sqrt(sum)) / log;
    return { days, share, low: Math.pow(share, Math.exp(-spread)), high: Math.pow(share, Math.exp(spread)), watched };
  });
}

/** Counts by option and kind: cases that were handed back, and those that came back within the interval. */
export function comebackCounts(cases: readonly LastingCase[]): ComebackCount[] {
  const counts = new Map<string, ComebackCount>();
  for (const c of cases) {
    const key = `${c.option}|${c.kind}`;
    const had = counts.get(key) ?? { option: c.option, kind: c.kind, cases: 0, comebacks: 0 };
    const again = c.cameBack && daysOf(c) <= COMEBACK_MONTHS * 30.44;
    counts.set(key, { ...had, cases: had.cases + 1, comebacks: had.comebacks + (again ? 1 : 0) });
  }
  return [...counts.values()];
}
