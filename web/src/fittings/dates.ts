import { dayIn, millisecondsInDay, USUAL_LOCALE } from '@dauer/core/quantity';

const NEAR_MS = 183 * millisecondsInDay;

/** Figures and calendar of the book, whatever the locale. */
export const SAME = { numberingSystem: 'latn', calendar: 'gregory' } as const;

function formats(
  zone: string,
  locale: string,
): {
  near: Intl.DateTimeFormat;
  far: Intl.DateTimeFormat;
  time: Intl.DateTimeFormat;
  clock: Intl.DateTimeFormat;
  whole: Intl.DateTimeFormat;
  month: Intl.DateTimeFormat;
  shortMonth: Intl.DateTimeFormat;
} {
  return {
    near: new Intl.DateTimeFormat(locale, { ...SAME, weekday: 'short', day: 'numeric', month: 'short', timeZone: zone }),
    far: new Intl.DateTimeFormat(locale, { ...SAME, day: 'numeric', month: 'short', year: 'numeric', timeZone: zone }),
    time: new Intl.DateTimeFormat(locale, { ...SAME, hour: '2-digit', minute: '2-digit', timeZone: zone }),
    whole: new Intl.DateTimeFormat(locale, { ...SAME, weekday: 'long', day: 'numeric', month: 'long', year: 'numeric', timeZone: zone }),
    month: new Intl.DateTimeFormat(locale, { ...SAME, month: 'long', year: 'numeric', timeZone: zone }),
    shortMonth: new Intl.DateTimeFormat(locale, { ...SAME, month: 'short', timeZone: zone }),
    clock: new Intl.DateTimeFormat(locale, {
      ...SAME,
      ...{ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', timeZone: zone },
    }),
  };
}
let zoneHere = 'UTC';
let plain = formats('UTC', USUAL_LOCALE);
let shop = plain;

/** Days and instants are told in the shop's one time zone and in its way of writing from now on, wherever this device is. */
export function useZone(zone: string, locale: string): void {
  zoneHere = zone;
  plain = formats('UTC', locale);
  shop = formats(zone, locale);
}

/** A day as the shop says it: "Thu 3 Dec" within half a year, "6 Oct 2021" else. Takes a day or an instant. */
export function dayText(iso: string, today = new Date()): string {
  if (iso === '') return '';
  const isDay = iso.length === 10;
  const at = new Date(isDay ? `${iso}T00:00:00Z` : iso);
  const { near, far } = isDay ? plain : shop;
  return (Math.abs(at.getTime() - today.getTime()) < NEAR_MS ? near : far).format(at);
}

/** The day that it is in the shop, YYYY-MM-DD. */
export const dayHere = (): string => dayIn(new Date().toISOString(), zoneHere);

/** A day with nothing left out: "Thursday 3 December 2026". */
export function wholeDayText(day: string): string {
  return plain.whole.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

/** A month: "Dec", or "December 2026" whole. @param month YYYY-MM */
export function monthText(month: string, whole = false): string {
  const at = new Date(`${month}-01T00:00:00Z`);
  return (whole ? plain.month : plain.shortMonth).format(at);
}

/** Minutes as a clock is read: "3 h 12". */
export function hoursText(minutes: number): string {
  return `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
}

/** Time of day of an instant, by the shop's clock. */
export function timeText(iso: string): string {
  return shop.time.format(new Date(iso));
}

/** Day and time of day of an instant, by the shop's clock. */
export function clockText(at: Date): string {
  return shop.clock.format(at);
}

/** "at 10:31", and on which day where that is not today. */
export function whenText(at: string): string {
  const day = dayText(at);
  return `${day === dayText(new Date().toISOString()) ? '' : `on ${day} `}at ${timeText(at)}`;
}
