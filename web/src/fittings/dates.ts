const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const NEAR = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A day as the shop says it: "Thu 3 Dec" within half a year, "6 Oct 2021" else. */
export function dayText(iso: string, today = new Date()): string {
  const at = new Date(`${iso.slice(0, 10)}T00:00:00Z`);
  return Math.abs(at.getTime() - today.getTime()) < 183 * 86400000 ? NEAR.format(at) : DAY.format(at);
}
