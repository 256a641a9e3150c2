/** What is said of whole jobs: what comes out otherwise, what waits, what follows, what cannot be derived. */

import { partialDateText } from '../../quantity/partialDate.ts';
import { type Slot, placeName } from '../../layout/graph.ts';
import type { BeddingStep } from '../../ledger/families/beddingPlans.ts';
import { lower } from './lower.ts';
import { type Corner, CORNER_NAME } from '../../layout/kinds.ts';
import { upperFirst } from '../../quantity/display.ts';
import type { Verdict } from '../../verdict/decide.ts';
import type { LimitVersion } from '../../verdict/limits.ts';
import { VERDICT_WORD, SOURCE_WORD, SCOPE_WORD } from './names.ts';

/** That a place came out otherwise with what came late. */
export function judgedOtherwise(slot: Slot, then: Verdict, now: Verdict): string {
  return `${placeName(slot)}: ${VERDICT_WORD[then]} then, ${VERDICT_WORD[now]} with it`;
}

/** What keeps a job from being derived. */
export const STUCK = {
  notUnderstood: 'It holds something that this Dauer does not understand.',
  /** A record: "Reading 12.40 of rotor thickness, front left rotor". */
  record: (what: { readonly reading: string } | { readonly family: string }, measurement: string | null, slot: Slot | null): string => {
    const name = 'reading' in what ? `Reading ${what.reading}` : upperFirst(what.family);
    return `${name}${measurement === null ? '' : ` of ${measurement.toLowerCase()}`}${slot ? `, ${placeName(slot).toLowerCase()}` : ''}`;
  },
};

/** That the owner was asked, and has not answered. @param on day of the sheet, ISO 8601 */
export function ownerWords(on: string): string {
  return `the owner’s answer, asked ${partialDateText({ on, about: false })}`;
}

/** Parts that are away, told together where they went together: "4 drums, to the turner". */
/** A lever that is tied, for so many hours; `over` once the night is. */
export function tiedWords(slot: Slot, hours: number, over: boolean): string {
  const since = hours < 1 ? 'just now' : `for ${hours} h`;
  return over ? `${placeName(slot)} tied ${since}: untie it, then bleed a second time` : `${placeName(slot)} tied ${since}, overnight`;
}

export function awayWords(names: readonly string[], note: string): string {
  const [first = 'part'] = names;
  const alike = new Set(names).size === 1;
  const what = names.length === 1 ? first : `${names.length} ${alike ? `${first}s` : 'parts'}`;
  return `${what}, ${note || 'sent out'}`;
}

/** Bedding in, as far as it is told here. */
interface Bedded {
  readonly counted: number;
  readonly total: number;
  readonly plan: { readonly product: string };
  readonly steps: readonly (BeddingStep & { readonly done: number })[];
}

/** What is owed after hand-back, and why. */
export const AFTER_CARE = {
  leaks: 'Look again for leaks, hours later',
  leaksWhy: 'A leak shows tomorrow.',
  secondBleed: 'Bleed a second time',
  secondBleedWhy: (because: 'dry' | 'air' | 'tied'): string =>
    ({
      dry: 'A component was fitted dry or resealed.',
      air: 'Air came while bleeding.',
      tied: 'A lever was tied overnight: what air rose is let out.',
    })[because],
  secondBleedLeft: (bleeders: readonly Slot[]): string =>
    `It is closed by what came, not by a tick. Enter the volume at: ${bleeders.map(lower).join(', ')}, each closed and without air.`,
  retorque: (corners: readonly Corner[]): string => `Wheel nuts again: ${corners.map((c) => CORNER_NAME[c].toLowerCase()).join(', ')}`,
  retorqueWhy: 'After 50 to 100 km.',
  paint: (slots: readonly Slot[]): string => `Look at the coat again: ${slots.map(lower).join(', ')}`,
  paintWhy: 'Fluid was moved over it before it had cured: what it lifts shows in days. Rinse with water.',
  bedding: 'Bed the linings in to the end',
  beddingWhy: 'By the lining maker’s own procedure.',
  beddingLeft: ({ counted, total, steps, plan }: Bedded): string =>
    `${counted} of ${total} stops done here, by ${plan.product}; still to do: ${steps
      .filter((s) => s.done < s.stops)
      .map((s) => `${s.stops - s.done} from ${s.fromKmh} to ${s.toKmh} km/h${s.coolS > 0 ? `, ${s.coolS} s free between two` : ''}`)
      .join('; ')}.`,
};

/** What of the work before a step closes an access. */
export function closingWords(slot: Slot): string {
  return `Before the ${placeName(slot).toLowerCase()} closes it`;
}

/** What of the work before a way in to a brake inboard is closed: body, floor or tank. */
export function wayInWords(slot: Slot): string {
  return `Before body, floor or tank goes back over the ${placeName(slot).toLowerCase()}`;
}

/** What of the work before a unit is sealed. */
export function sealingWords(slot: Slot): string {
  return `Before the ${placeName(slot).toLowerCase()} is sealed again`;
}

/** Which limit applies and why, or that there is none. */
export function limitWhy(governing: readonly LimitVersion[], others: readonly LimitVersion[]): string {
  const [first] = governing;
  if (!first) return 'Nothing on file.';
  if (governing.length > 1) return `Two of one rank: ${governing.map((l) => l.sourceText).join(' and ')}. The worse verdict holds.`;
  const text = upperFirst(first.sourceText);
  const said =
    first.source === 'generic' ? `Generic (${first.sourceText})` : `${text} (${SOURCE_WORD[first.source]}), for ${SCOPE_WORD[first.scope]}`;
  const [next] = others;
  return next
    ? `${said}, not ${next.source === 'generic' ? 'the generic one' : `that for ${SCOPE_WORD[next.scope]}`}: it is the nearer one.`
    : `${said}.`;
}

/** Why a row of a list is not taken as it is. */
export const ROW = {
  sameArticle: (line: number): string => `Row ${line} is of the same article.`,
  newerArticle: (on: string): string => `The price of ${on} is superseded.`,
  sameLimit: (row: number): string => `Row ${row} is about the same.`,
  samePosition: (row: number): string => `Row ${row} is of the same position.`,
  readingStands: (typed: string): string => `${typed} stands there. Take that back first, or leave this row out.`,
  limitStands: (source: string): string => `The book says otherwise: ${source}. Enter a new version there, or leave this row out.`,
};

/** "one check", "3 checks". */
export const checksText = (n: number): string => (n === 1 ? 'one check' : `${n} checks`);
