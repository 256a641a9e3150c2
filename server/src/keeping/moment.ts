import { millisecondsInDay } from 'date-fns/constants';

/** A moment that somebody named cannot be understood. */
export class NoMoment extends Error {}

/** Year, month, day, hour, minute, second that a clock in a zone shows at an instant. */
function clockIn(zone: string, at: number): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit', second: '2-digit' },
    hourCycle: 'h23',
  }).formatToParts(new Date(at));
  const of = (type: string): number => Number(parts.find((p) => p.type === type)?.value);
  return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second'));
}

/** The instant at which a clock in a zone shows this; of two, the earlier one. */
function instantOf(zone: string, shown: number): number {
  // The clock is off by what it shows at about that instant; once more, for the hours around a change of the clocks.
  const first = shown - (clockIn(zone, shown) - shown);
  return first - (clockIn(zone, first) - shown);
}

/**
 * A moment as it is said: "yesterday 14:00", "today 9:15", "14:00", "2026-11-27", "2026-11-27 14:00:30", or an instant of
 * ISO 8601 with its zone. Days and hours are the shop’s own.
 * @param zone IANA time zone
 * @param now ms
 * @returns ISO 8601 UTC
 * @throws NoMoment where it is none, or lies in the future
 */
export function momentOf(said: string, zone: string, now: number): string {
  const text = said.trim().toLowerCase();
  const found = /^(?:(today|yesterday|\d{4}-\d{2}-\d{2})[ t,]*)?(?:(\d{1,2}):(\d{2})(?::(\d{2}))?)?$/.exec(text);
  const instant = /t.*(z|[+-]\d{2}:?\d{2})$/.test(text) ? Date.parse(said.trim()) : NaN;
  if (Number.isNaN(instant) && (!found || text === ''))
    throw new NoMoment(`“${said}” is no moment. Say for instance: yesterday 14:00, or 2026-11-27 14:00`);
  let at = instant;
  if (found && Number.isNaN(instant)) {
    const [, day, hour, minute, second] = found;
    const midnight = Math.floor(clockIn(zone, now) / millisecondsInDay) * millisecondsInDay;
    const from =
      day === 'yesterday' ? midnight - millisecondsInDay : day === undefined || day === 'today' ? midnight : Date.parse(`${day}T00:00:00Z`);
    const [h, m, s] = [Number(hour ?? 23), Number(minute ?? 59), Number(second ?? (hour === undefined ? 59 : 0))];
    if (Number.isNaN(from) || h > 23 || m > 59 || s > 59) throw new NoMoment(`There is no such day or hour: “${said}”.`);
    at = instantOf(zone, from + ((h * 60 + m) * 60 + s) * 1000);
    // A day without an hour is that day to its end, today as far as it has come.
    if (hour === undefined && from === midnight) at = Math.min(at, now);
  }
  if (at > now) throw new NoMoment(`“${said}” has not been yet.`);
  return new Date(at).toISOString();
}
