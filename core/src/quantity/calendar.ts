import { UTCDate } from '@date-fns/utc';
import { addDays } from 'date-fns/addDays';
import { addMonths } from 'date-fns/addMonths';
import { millisecondsInDay, millisecondsInHour, millisecondsInMinute } from 'date-fns/constants';

export { millisecondsInDay, millisecondsInHour, millisecondsInMinute };

/** Days of a year in sums of elapsed time: the Julian year of astronomers. */
const DAYS_IN_YEAR = 365.25;
/** ms of a year in sums of elapsed time. */
export const millisecondsInYear = DAYS_IN_YEAR * millisecondsInDay;

const day = (date: Date): string => date.toISOString().slice(0, 10);
/** A day of the book is a day of UTC, wherever the device is. */
const midnight = (iso: string): UTCDate => new UTCDate(`${iso.slice(0, 10)}T00:00:00Z`);

/**
 * Whole minutes until an instant, up; 0 where it is past.
 * @param until ISO instant
 * @param at ISO instant
 */
export function minutesUntil(until: string, at: string): number {
  return Math.max(0, Math.ceil((Date.parse(until) - Date.parse(at)) / millisecondsInMinute));
}

/**
 * The day some calendar months after another, clipped to the end of its month.
 * @param iso day or instant, ISO 8601
 */
export function monthsAfter(iso: string, months: number): string {
  return day(addMonths(midnight(iso), months));
}

/**
 * The day some days after another; before it where they are negative.
 * @param iso day or instant, ISO 8601
 */
export function daysAfter(iso: string, days: number): string {
  return day(addDays(midnight(iso), days));
}

/**
 * The day that a clock shows in a time zone at an instant.
 * @param zone IANA time zone
 */
export function dayIn(instant: string, zone: string): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, calendar: 'gregory', numberingSystem: 'latn' }).format(new Date(instant));
}

/** Years of 365.25 days between the days of two dates or instants, ISO 8601. */
export function yearsBetween(from: string, to: string): number {
  return (midnight(to).getTime() - midnight(from).getTime()) / millisecondsInYear;
}

/** The day so many years of 365.25 days after another, whole days only. */
export function yearsAfter(iso: string, years: number): string {
  return daysAfter(iso, Math.floor(years * DAYS_IN_YEAR + 1e-9));
}

/**
 * The day so many working days after one, Saturdays and Sundays left out.
 * @param on ISO 8601 day
 */
export function workingDaysAfter(on: string, days: number): string {
  let day = on;
  for (let left = days; left > 0;) {
    day = daysAfter(day, 1).slice(0, 10);
    const weekday = new Date(`${day}T00:00:00Z`).getUTCDay();
    if (weekday !== 0 && weekday !== 6) left -= 1;
  }
  return day;
}
