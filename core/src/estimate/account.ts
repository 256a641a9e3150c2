import type { JobHistory } from '../history/jobHistory.ts';
import type { OwnerChoice } from '../ledger/families/ownerChoices.ts';
import { ACCOUNT } from '../wording/en/account.ts';
import { authorisedNow } from './authorised.ts';
import { billed } from './cost.ts';
import type { DecideRow } from './rows.ts';
import { spentOn } from './spent.ts';
import type { Estimate } from './variants.ts';

/** One line of the account: what it was reckoned with, and what it took. Sums gross, minor units. */
export interface AccountLine {
  readonly id: string;
  readonly name: string;
  /** The row it is of; null for the vehicle as a whole, and for what is decided no more. */
  readonly row: DecideRow | null;
  readonly reckoned: number;
  readonly reckonedMinutes: number;
  /** Attended minutes; null where no work on it is logged. */
  readonly minutes: number | null;
  readonly labour: number;
  readonly goods: number;
  /** What is taken and bought so far. */
  readonly actual: number;
  /** Ordered with no price told: the sum is without it. */
  readonly unpriced: readonly string[];
}

/** The account of a job: authorised, reckoned, actual. Source: handbook 40, The authorised sum; 58, A59. */
export interface Account {
  readonly authorised: number | null;
  readonly choice: OwnerChoice | null;
  readonly lines: readonly AccountLine[];
  readonly reckoned: number;
  readonly reckonedMinutes: number;
  readonly minutes: number;
  readonly actual: number;
}

/** Line by line, what a job was reckoned with and what it took; a line for the vehicle as a whole at its end. */
export function accountOf(history: JobHistory, estimate: Estimate): Account {
  const { book, rows, now } = estimate;
  const all = rows.map((r) => r.row);
  const line = (row: DecideRow | null, name: string, reckoned: number, reckonedMinutes: number): AccountLine => {
    const spent = spentOn(history, book, all, row);
    const { minutes, labour, goods, unpriced } = spent;
    return {
      ...{ id: row?.id ?? 'whole', name, row, reckoned, reckonedMinutes, minutes, unpriced },
      ...{ labour: labour.gross, goods: goods.gross, actual: labour.gross + goods.gross },
    };
  };
  const lines = [
    ...rows.map(({ row, decided }) => {
      const spent = decided?.cost.terms.find((t) => t.id === 'spent')?.gross ?? 0;
      return line(row, row.name, decided ? billed(decided.cost) - spent : 0, decided?.cost.minutes ?? 0);
    }),
    line(
      null,
      ACCOUNT.whole,
      now.shared.reduce((sum, s) => sum + s.gross, 0),
      now.shared.reduce((sum, s) => sum + s.minutes, 0),
    ),
  ].filter((l) => l.reckoned !== 0 || l.actual !== 0 || l.minutes !== null);
  const sum = (of: (l: AccountLine) => number): number => lines.reduce((n, l) => n + of(l), 0);
  const { sum: authorised, choice } = authorisedNow(history);
  return {
    ...{ authorised, choice, lines },
    ...{ reckoned: sum((l) => l.reckoned), reckonedMinutes: sum((l) => l.reckonedMinutes) },
    ...{ minutes: sum((l) => l.minutes ?? 0), actual: sum((l) => l.actual) },
  };
}
