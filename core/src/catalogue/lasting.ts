import type { Verdict } from '../verdict/decide.ts';
import type { OptionId } from './repairOptions.ts';

/** Chance that the same place is opened again for the same fault within its interval: a house guess, generic, until comebacks say better. Source: handbook 40, Cost of an option. */
export const REWORK_GUESS: Readonly<Record<OptionId, number>> = {
  use_again: 0.06,
  for_now: 0.25,
  reseal: 0.06,
  hone: 0.1,
  sleeve: 0.03,
  machine: 0.05,
  reline: 0.04,
  replace: 0.02,
  exchange: 0.07,
  used: 0.15,
  convert: 0.08,
  take_off: 0.02,
  put_off: 0.3,
};

/** Work that lasts or does not: what a comeback is a comeback of. */
export const LASTS: readonly OptionId[] = ['reseal', 'hone', 'sleeve', 'machine', 'reline', 'replace', 'exchange', 'used'];

/** Cases that a guess weighs as much as, so that nothing jumps with the first comebacks. */
const GUESS_WEIGHS = 10;

/**
 * Chance of doing it again, by the shop's own comebacks and the guess.
 * @param cases of this option on this kind of part, handed back
 * @returns (comebacks + 10 × guess) / (cases + 10). Source: handbook 40.
 */
export function reworkChance(guess: number, comebacks = 0, cases = 0): number {
  return (comebacks + GUESS_WEIGHS * guess) / (cases + GUESS_WEIGHS);
}

/** Chance that a part left as it is has to be renewed within five years, by what its figures say; generic. */
const LEFT: Readonly<Record<Verdict, number>> = { holds: 0.12, watch: 0.75, no_limit: 0.3, not_gauged: 0.4, cant_tell: 0.5, past: 1 };

/** Chance that a part that was worked on has to be opened again within five years; generic. */
const WORKED: Readonly<Partial<Record<OptionId, number>>> = {
  ...{ reseal: 0.12, hone: 0.2, sleeve: 0.05, machine: 0.15, reline: 0.08, replace: 0.04, exchange: 0.1, used: 0.35 },
};

/** Rubber whose age nobody knows and that stays. */
const OLD_RUBBER = 0.6;

/** Chance that a place is opened again within five years after an option. @param rubber it stays, of unknown age */
export function laterChance(option: OptionId, verdict: Verdict | null, rubber: boolean): number {
  const worked = WORKED[option];
  if (worked !== undefined) return worked;
  if (option === 'put_off' || option === 'for_now') return 1;
  return Math.max(LEFT[verdict ?? 'not_gauged'], rubber ? OLD_RUBBER : 0);
}

/** Days that a coat takes until fluid does not strip it at once; generic. Source: handbook 50, Coats (7 days in air). */
export const CURES_DAYS = 7;
