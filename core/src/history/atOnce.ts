/** What was pressed within so many milliseconds of each other was pressed at once. */
const AT_ONCE_MS = 5000;

/**
 * The instant as of which something is held: of two who press at once the one that comes in second is held against the first,
 * whichever pressed a moment before; what comes late is held against what was on record then.
 * @param others what came in of the same before
 * @param at ISO instant at which it was pressed
 * @returns ISO instant, never before `at`
 */
export function heldAsOf(others: readonly { readonly happenedAt: string }[], at: string): string {
  const near = others.filter((t) => Math.abs(Date.parse(t.happenedAt) - Date.parse(at)) < AT_ONCE_MS);
  return near.reduce((last, t) => (t.happenedAt > last ? t.happenedAt : last), at);
}
