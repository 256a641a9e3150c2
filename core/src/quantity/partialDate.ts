import { upperFirst } from './display.ts';
import { DomainError, toResult } from './domainError.ts';
import { dayFirst } from './locale.ts';

/** As much of a day as is known. */
export interface PartialDate {
  /** YYYY, YYYY-MM or YYYY-MM-DD. */
  readonly on: string;
  readonly about: boolean;
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const two = (n: number): string => String(n).padStart(2, '0');

/** Years in which a brake may have been made or worked on, or will be: what lies beyond is a slip of the finger. */
export const [FIRST_YEAR, LAST_YEAR] = [1885, 2100] as const;

/** Whether a number is a year that a shop has to do with. */
export function isYear(year: number): boolean {
  return Number.isInteger(year) && year >= FIRST_YEAR && year <= LAST_YEAR;
}

function whole(year: number, month: number | null, day: number | null, about: boolean): PartialDate {
  if (!isYear(year)) throw new DomainError('no_such_year', `${year} is not a year in which a brake was worked on.`);
  if (month === null) return { on: String(year), about };
  if (month < 1 || month > 12) throw new DomainError('no_such_month', 'A year has twelve months.');
  if (day === null) return { on: `${year}-${two(month)}`, about };
  const date = new Date(Date.UTC(year, month - 1, day));
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day)
    throw new DomainError('no_such_day', 'There is no such day in that month.');
  return { on: `${year}-${two(month)}-${two(day)}`, about };
}

/**
 * Reads a date of which perhaps only a part is known: `1998`, `about 1998`, `3/1998`, `March 1998`, `1998-03`,
 * `12 Mar 1998`, `12.3.1998`, `1998-03-12`. Of two numbers before a year the day is the one that the shop writes first.
 * @throws DomainError not_a_date, no_such_year, no_such_month, no_such_day
 */
export function parsePartialDate(text: string): PartialDate {
  const about = /^\s*(about|ca\.?|c\.|circa|~)\s*/i.exec(text);
  const rest = (about ? text.slice(about[0].length) : text).trim();
  const n = (s: string | undefined): number => Number(s);
  const is = about !== null;
  let m = /^(\d{4})$/.exec(rest);
  if (m) return whole(n(m[1]), null, null, is);
  m = /^(\d{4})-(\d{1,2})(?:-(\d{1,2}))?$/.exec(rest);
  if (m) return whole(n(m[1]), n(m[2]), m[3] ? n(m[3]) : null, is);
  m = /^(?:(\d{1,2})[./])?(\d{1,2})[./](\d{4})$/.exec(rest);
  if (m) {
    const [month, day] = m[1] === undefined || dayFirst() ? [m[2], m[1]] : [m[1], m[2]];
    return whole(n(m[3]), n(month), day ? n(day) : null, is);
  }
  m = /^(?:(\d{1,2})\.?\s+)?([a-z]{3})[a-z]*\.?\s+(\d{4})$/i.exec(rest);
  const month = m ? MONTHS.indexOf((m[2] ?? '').toLowerCase()) : -1;
  if (m && month >= 0) return whole(n(m[3]), month + 1, m[1] ? n(m[1]) : null, is);
  throw new DomainError(
    'not_a_date',
    `“${text.trim()}” cannot be read as a date. Say as much as is known: 1998, 3/1998, 12 Mar 1998, about 1998.`,
  );
}

/** Whether a text is as much of a real day as it says. */
export function isPartialDate(on: string): boolean {
  const tried = toResult(() => parsePartialDate(on));
  return tried.ok && tried.value.on === on;
}

/** A partial date as it is said: `1998`, `Mar 1998`, `12 Mar 1998`, with `about` before it where it is a guess. */
export function partialDateText({ on, about }: PartialDate): string {
  const [year, month, day] = on.split('-');
  const name = month ? (MONTHS[Number(month) - 1] ?? '') : '';
  const said = [day ? String(Number(day)) : '', upperFirst(name), year].filter(Boolean).join(' ');
  return about ? `about ${said}` : said;
}

/** The first day that a partial date may be: for what runs out, the cautious reading. */
export function earliestDay(on: string): string {
  return on.length === 4 ? `${on}-01-01` : on.length === 7 ? `${on}-01` : on;
}
