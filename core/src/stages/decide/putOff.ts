import type { Decision } from '../../ledger/families/decisions.ts';
import type { CounterReading } from '../../ledger/families/counters.ts';
import { UNTIL_PAST } from '../../wording/en/decide.ts';

/**
 * Why nothing is put off until then; null where it can be. What lies behind when it is said would never fall due again.
 * @param counters of the vehicle that stand, in order
 * @param at instant of the decision, ISO 8601
 * @param day that it was in the shop then
 */
export function putOffRefusal(
  until: Pick<Decision, 'reviewOn' | 'untilKm'>,
  counters: readonly Pick<CounterReading, 'km' | 'happenedAt'>[],
  at: string,
  day: string,
): string | null {
  if (until.reviewOn !== null && until.reviewOn < day) return UNTIL_PAST.day(until.reviewOn);
  const km = counters.findLast((c) => c.happenedAt <= at)?.km;
  return until.untilKm !== null && km !== undefined && until.untilKm <= km ? UNTIL_PAST.run(until.untilKm, km) : null;
}
