/** What is said while tracing: places of faults, what speaks for them, what goes with nothing, what the pedal tells. */

import type { OptionId } from '../../catalogue/repairOptions.ts';
import { type PedalTells, pastExpected } from '../../judging/pedalGauge.ts';
import { type Corner, CORNER_NAME } from '../../layout/kinds.ts';

export const TRACE_PLACE = {
  system: 'the whole vehicle',
  outsideBrakes: (corner: Corner): string => `${CORNER_NAME[corner].toLowerCase()}, outside the brakes`,
  circuit: (circuit: number): string => `circuit ${circuit}`,
};

/** What was done since an answer was given. */
export const CHANGED = { fluid: 'fluid changed', bled: 'bled' };

/** "front left or rear right". */
export const orWords = (list: readonly string[]): string =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} or ${list.at(-1) ?? ''}`;

/** What is done about a fault, as it goes on in a sentence. */
export const DONE_ABOUT: Readonly<Record<OptionId, string>> = {
  use_again: 'set right',
  reseal: 'resealed',
  hone: 'honed and resealed',
  sleeve: 'sleeved',
  for_now: 'left in for now',
  machine: 'machined',
  reline: 're-lined',
  replace: 'renewed',
  exchange: 'exchanged',
  used: 'replaced by a used one',
  convert: 'converted',
  take_off: 'taken off the vehicle',
  put_off: 'put off',
};

/** Heading of what is asked at a pedal or lever. */
export const ASKED_AT = (control: string): string => `At the ${control.toLowerCase()}`;

/** Heading of what is seen of lines and hoses, where each reservoir has its own. */
export const LINES = 'Lines and hoses';

/** Heading of what is seen in a reservoir of several. */
export const SEEN_IN = (reservoir: string): string => `In the ${reservoir.toLowerCase()}`;

export const TRACE = {
  oneOfPlaces: (n: number, places: readonly string[]): string => `one of ${n}, at ${orWords(places)}`,
  notSeen: ': not seen',
  noneOfIt: 'None of it',
  thenFirst: (fault: string, where: string, likely: string): string => `: then first ${fault.toLowerCase()}, ${where}, ${likely}`,
  work: (fault: string, option: string, minutes: number): string => `${fault} (${option}, about ${minutes} min)`,
  changed: (takenUp: readonly string[], letBe: readonly string[]): string =>
    `${takenUp.length > 0 ? `; taken up: ${takenUp.join('; ')}` : ''}${letBe.length > 0 ? `; let be: ${letBe.join('; ')}` : ''}${
      takenUp.length + letBe.length === 0 ? '; nothing done otherwise' : ''
    }`,
  advice: (minutes: number, helper: boolean, opens: boolean, one: string, other: string): string =>
    `${minutes} min${helper ? ' for two' : ''}${opens ? ' and a bleeding, since it opens the circuit' : ''}; then you know which it is: ${one}, or ${other}.`,
  goesWithNothing: (one: string): string => `${one}: that goes with nothing else that is known. Look again.`,
  notTogether: (one: string, other: string, reason: string | null = null): string =>
    `These two do not go together: ${one}; ${other}.${reason === null ? '' : ` ${reason}.`} Look at both again.`,
};

/** What it comes to, in a sentence or two. */
export function pedalWords(tells: PedalTells, cornerName: (c: Corner) => string): string[] {
  const { all, expected, at } = tells;
  const ml = (v: number): string => `${v.toFixed(1)} mL`;
  const worst = [...at].sort((a, b) => b.softMl - a.softMl)[0];
  const where = worst && worst.softMl > 0.05 ? `, ${ml(worst.softMl)} of it ${cornerName(worst.corner).toLowerCase()}` : '';
  const lines = [
    `${ml(all.softMl)} soft${where}; ${ml(expected.softMl)} is to be expected of hoses and units at ${Math.round(all.pressureBar)} bar.`,
    `${ml(all.freeMl)} free; ${ml(expected.freeMl)} is to be expected of clearances.`,
  ];
  const soft = pastExpected(all.softMl, expected.softMl);
  if (soft === false)
    lines.push('Another bleed will not make it harder: there is no more give than the hoses and units have by themselves.');
  else if (worst && worst.softMl > all.softMl / 2)
    lines.push(
      `Most of it is beyond the clamp ${cornerName(worst.corner).toLowerCase()}: its hose, its unit, or air in them. Bleeding the others will not help.`,
    );
  if (pastExpected(all.freeMl, expected.freeMl) === true)
    lines.push('The free part is clearance: shoes to be taken up, or pads knocked back. Bleeding takes none of it away.');
  return lines;
}
