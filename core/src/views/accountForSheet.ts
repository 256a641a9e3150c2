import { accountOf } from '../estimate/account.ts';
import { estimateOf } from '../estimate/variants.ts';
import type { JobState } from '../job/job.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { SheetAccount, SheetLine } from '../ledger/release.ts';
import { majorOf, minorDigits } from '../quantity/money.ts';
import { ACCOUNT } from '../wording/en/account.ts';
import { cameFrom } from './sheetRefs.ts';

/**
 * The account of a job for its sheet: what was authorised, by whose word, what was reckoned, and what it took, line by line.
 * @param today instant of the sheet
 * @returns nothing for what was handed back before these records, since nobody knows what prices were then, and where nothing
 *   was reckoned or taken
 */
export function accountForSheet(
  { history, components, records }: JobState,
  line: (e: Pick<EventBase, 'id' | 'authorId' | 'happenedAt'>, place: string, text: string) => SheetLine,
  today: string,
): { readonly account?: SheetAccount } {
  if (records.imported !== null && today < records.imported.importedAt) return {};
  const estimate = estimateOf(history, components);
  const account = accountOf(history, estimate);
  const { choice, authorised } = account;
  if (account.lines.length === 0 && authorised === null) return {};
  const agreed = choice
    ? line(
        choice,
        '',
        choice.answer === 'yes'
          ? ACCOUNT.agreed(cameFrom(choice.id, 'by', choice.by), choice.how)
          : ACCOUNT.refused(cameFrom(choice.id, 'by', choice.by), choice.how),
      )
    : authorised === null
      ? null
      : { place: '', text: ACCOUNT.atBookIn, by: '', on: records.job.openedAt };
  return {
    account: {
      ...{ currency: estimate.book.rates?.currency ?? null, authorised, agreed, reckoned: account.reckoned, actual: account.actual },
      lines: account.lines.map((l) => {
        // The finding that the newest decision of the row was made on.
        const places = l.row ? [...l.row.members, ...l.row.inside] : [];
        const found = places.flatMap((c) => c.findings.filter((f) => f.severity !== 'note' && f.jobId === records.job.id));
        const finding = [...found].sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1)).at(-1);
        const decided = places.flatMap((c) => c.decision ?? []).findLast((d) => d.reason !== '');
        const why = ACCOUNT.because(
          finding ? cameFrom(finding.id, 'words', finding.words) : '',
          decided ? cameFrom(decided.id, 'reason', decided.reason) : '',
        );
        return {
          ...{ what: l.name, reckoned: l.reckoned, reckonedMinutes: l.reckonedMinutes, minutes: l.minutes, actual: l.actual },
          why: [...(why ? [why] : []), ...(l.unpriced.length > 0 ? [ACCOUNT.without(l.unpriced)] : [])].join('; '),
        };
      }),
    },
  };
}

/** Columns of the account as it goes into the books. */
export const ACCOUNT_COLUMNS = ['for', 'reckoned', 'reckoned_minutes', 'taken_minutes', 'taken', 'difference', 'currency', 'why'] as const;

/** The account a row each, sums in whole units of the currency with a point; the authorised sum first, the whole last. */
export function accountRows(a: SheetAccount): Readonly<Record<(typeof ACCOUNT_COLUMNS)[number], string>>[] {
  const money = (minor: number): string => majorOf(minor, a.currency).toFixed(minorDigits(a.currency));
  const row = (what: string, l: Omit<SheetAccount['lines'][number], 'what'>): ReturnType<typeof accountRows>[number] => ({
    ...{ for: what, reckoned: money(l.reckoned), reckoned_minutes: String(l.reckonedMinutes), taken: money(l.actual), why: l.why },
    ...{ taken_minutes: l.minutes === null ? '' : String(l.minutes), difference: money(l.actual - l.reckoned) },
    currency: a.currency ?? '',
  });
  const minutes = (of: (l: SheetAccount['lines'][number]) => number): number => a.lines.reduce((sum, l) => sum + of(l), 0);
  return [
    ...(a.authorised === null
      ? []
      : [
          {
            ...{
              for: ACCOUNT.authorised,
              reckoned: money(a.authorised),
              reckoned_minutes: '',
              taken_minutes: '',
              taken: '',
              difference: '',
            },
            ...{ currency: a.currency ?? '', why: a.agreed?.text ?? '' },
          },
        ]),
    ...a.lines.map(({ what, ...l }) => row(what, l)),
    row(ACCOUNT.together, {
      ...{ reckoned: a.reckoned, actual: a.actual, why: '' },
      ...{ reckonedMinutes: minutes((l) => l.reckonedMinutes), minutes: minutes((l) => l.minutes ?? 0) },
    }),
  ];
}
