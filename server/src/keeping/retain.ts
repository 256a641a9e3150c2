import { UTCDate } from '@date-fns/utc';
import { millisecondsInDay, millisecondsInHour, millisecondsInMinute, millisecondsInWeek } from 'date-fns/constants';
import { startOfISOWeek } from 'date-fns/startOfISOWeek';
import type { CopyNote } from './target.ts';

/** How long copies are kept: every one for days, then one a week, then one a month. */
export const KEPT = { days: 8, weeks: 6, months: 12 } as const;
/** Beside the book, on its own disk, they guard against a slip alone, and only for days. */
export const KEPT_BESIDE = { days: 3, weeks: 0, months: 0 } as const;
export interface KeptFor {
  readonly days: number;
  readonly weeks: number;
  readonly months: number;
}

/** The Monday that begins the week of a moment: weeks of ISO 8601, in UTC. */
const weekOf = (at: Date): string => startOfISOWeek(new UTCDate(at)).toISOString().slice(0, 10);

/**
 * Which copies go: of those past their days the newest of each week and month stays, while those last; and the newest of
 * all never goes.
 * @param copies the oldest first
 * @param now ms
 */
export function outlived(copies: readonly Pick<CopyNote, 'name' | 'endedAt'>[], now: number, retention: KeptFor): Set<string> {
  const stays = new Set<string>();
  const weeks = new Set<string>();
  const months = new Set<string>();
  for (const [i, copy] of [...copies].reverse().entries()) {
    const at = new Date(copy.endedAt);
    const age = (now - at.getTime()) / millisecondsInDay;
    const month = copy.endedAt.slice(0, 7);
    if (i === 0 || age <= retention.days) stays.add(copy.name);
    if (!weeks.has(weekOf(at)) && age <= retention.weeks * 7) stays.add(copy.name);
    if (!months.has(month) && age <= retention.months * 31) stays.add(copy.name);
    weeks.add(weekOf(at));
    months.add(month);
  }
  return new Set(copies.filter((c) => !stays.has(c.name)).map((c) => c.name));
}

/**
 * The first segment of the log that is still needed: of the oldest copy from which any moment since can be restored.
 * Older copies are restored as they are.
 */
export function firstNeeded(copies: readonly Pick<CopyNote, 'endedAt' | 'fromSegment'>[], now: number, retention: KeptFor): string | null {
  const recent = copies.filter((c) => (now - Date.parse(c.endedAt)) / millisecondsInDay <= retention.days);
  return (recent[0] ?? copies.at(-1))?.fromSegment ?? null;
}

/** Whether a copy is due: there is none, the night has come, or none was made for longer than a day. */
export function isDue(last: Pick<CopyNote, 'endedAt'> | null, now: Date, zone: string): boolean {
  if (!last) return true;
  const of = (at: Date, options: Intl.DateTimeFormatOptions): string =>
    new Intl.DateTimeFormat('sv-SE', { timeZone: zone, ...options }).format(at);
  const at = new Date(last.endedAt);
  if (now.getTime() - at.getTime() > 26 * millisecondsInHour) return true;
  const day = (d: Date): string => of(d, { year: 'numeric', month: '2-digit', day: '2-digit' });
  const hour = Number(of(now, { hour: '2-digit', hourCycle: 'h23' }));
  return day(at) !== day(now) && hour >= NIGHT_HOUR && now.getTime() - at.getTime() > 6 * millisecondsInHour;
}
/** In the shop’s own time. */
const NIGHT_HOUR = 2;

/** Whether a trial is due: a week after the last good one, an hour after one that was not, and soon after the first copy. */
export function trialIsDue(last: { readonly at: string; readonly good: boolean } | null, firstCopyAt: string | null, now: number): boolean {
  if (!firstCopyAt) return false;
  if (!last) return now - Date.parse(firstCopyAt) > 10 * millisecondsInMinute;
  return now - Date.parse(last.at) > (last.good ? millisecondsInWeek : millisecondsInHour);
}
