import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import type { OwnerChoice } from '../ledger/families/ownerChoices.ts';
import { priceBookOf } from './book.ts';
import { decidedDoings, decideRows, leadOption } from './rows.ts';
import { rowCost } from './spent.ts';
import { sumNow } from './sum.ts';

/** What the owner chose on this job, the newest word; null where he has not answered. */
export function ownerChoiceOf(history: JobHistory): OwnerChoice | null {
  const { job, ownerChoices } = history.records;
  return history.active(ownerChoices).findLast((c) => c.jobId === job.id) ?? null;
}

/** What he has authorised: the sum of the sheet that he agreed to, else what was said when it was booked in. Minor units, gross. */
export function authorisedNow(history: JobHistory): { readonly sum: number | null; readonly choice: OwnerChoice | null } {
  const choice = ownerChoiceOf(history);
  return { sum: choice?.answer === 'yes' ? choice.sum : history.records.job.authorisedMinor, choice };
}

/** What is decided, held against the authorised sum. */
export interface Crossing {
  readonly sum: number;
  readonly authorised: number;
  /** Over the authorised sum; nothing or less where it stays under. */
  readonly by: number;
  readonly currency: string | null;
  /** The row that more was spent on than it was reckoned with, the dearest first; `row` null for the vehicle as a whole. */
  readonly spent: { readonly row: string | null; readonly gross: number } | null;
  /** The place that was decided last, with the finding that stands on it. */
  readonly since: { readonly component: Component; readonly finding: string | null } | null;
}

/**
 * What is decided on a job against what the owner authorised; null where either is not known.
 * Source: handbook 40, The authorised sum is a line across the estimate.
 */
export function crossing(history: JobHistory, components: readonly Component[]): Crossing | null {
  const { sum: authorised } = authorisedNow(history);
  if (authorised === null) return null;
  const book = priceBookOf(history.records);
  if (book.rates === null && book.articles.length === 0) return null;
  const rows = decideRows(history, components);
  const picked = rows.flatMap((row) => {
    const doings = decidedDoings(row);
    const option = doings ? leadOption(doings) : undefined;
    return doings && option ? [{ row, option, doings, cost: rowCost(history, book, rows, row, doings, option) }] : [];
  });
  if (picked.length === 0) return null;
  const { gross, beyond } = sumNow(history, book, rows, picked);
  const spent = picked
    .flatMap((p) => p.cost.terms.flatMap((t) => (t.id === 'spent' && t.gross > 0 ? [{ row: p.row.name, gross: t.gross }] : [])))
    .sort((a, b) => b.gross - a.gross);
  const last = picked
    .flatMap((p) => p.doings)
    .map((d) => d.component)
    .sort((a, b) => ((a.decision?.happenedAt ?? '') < (b.decision?.happenedAt ?? '') ? 1 : -1))[0];
  const finding = last?.findings.find((f) => f.severity !== 'note')?.words ?? null;
  return {
    sum: gross,
    authorised,
    by: gross - authorised,
    currency: book.rates?.currency ?? null,
    spent: spent[0] ?? (beyond.gross > 0 ? { row: null, gross: beyond.gross } : null),
    since: last ? { component: last, finding } : null,
  };
}
