import { dayIn, millisecondsInDay, USUAL_LOCALE } from '@dauer/core/quantity';

const NEAR_MS = 183 * millisecondsInDay;

/** Figures and calendar of the book, whatever the locale. */
export const SAME = { numberingSystem: 'latn', calendar: 'gregory' } as const;

const FORMS = {
  near: { weekday: 'short', day: 'numeric', month: 'short' },
  far: { day: 'numeric', month: 'short', year: 'numeric' },
  time: { hour: '2-digit', minute: '2-digit' },
  clock: { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
  whole: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
  month: { month: 'long', year: 'numeric' },
  shortMonth: { month: 'short' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>;

/** Ways of writing a day or an instant, each made when it is first needed: a page is shown before most of them are. */
function formats(zone: string, locale: string): (form: keyof typeof FORMS) => Intl.DateTimeFormat {
  const made: Partial<Record<keyof typeof FORMS, Intl.DateTimeFormat>> = {};
  return (form) => (made[form] ??= new Intl.DateTimeFormat(locale, { ...SAME, ...FORMS[form], timeZone: zone }));
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
  const isNear = Math.abs(at.getTime() - today.getTime()) < NEAR_MS;
  return (isDay ? plain : shop)(isNear ? 'near' : 'far').format(at);
}

/** The day that it is in the shop, YYYY-MM-DD. */
export const dayHere = (): string => dayIn(new Date().toISOString(), zoneHere);

/** A day with nothing left out: "Thursday 3 December 2026". */
export function wholeDayText(day: string): string {
  return plain('whole').format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

/** A month: "Dec", or "December 2026" whole. @param month YYYY-MM */
export function monthText(month: string, whole = false): string {
  const at = new Date(`${month}-01T00:00:00Z`);
  return plain(whole ? 'month' : 'shortMonth').format(at);
}

/** Minutes as a clock is read: "3 h 12". */
export function hoursText(minutes: number): string {
  return `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
}

/** Time of day of an instant, by the shop's clock. */
export function timeText(iso: string): string {
  return shop('time').format(new Date(iso));
}

/** Day and time of day of an instant, by the shop's clock. */
export function clockText(at: Date): string {
  return shop('clock').format(at);
}

/** "at 10:31", and on which day where that is not today. */
export function whenText(at: string): string {
  const day = dayText(at);
  return `${day === dayText(new Date().toISOString()) ? '' : `on ${day} `}at ${timeText(at)}`;
}
