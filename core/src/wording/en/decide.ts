/** What is said where a part is decided about. */

import { type OptionId, OPTION_NAME } from '../../catalogue/repairOptions.ts';
import type { PutOff } from '../../history/putOffs.ts';
import type { Component } from '../../judging/components.ts';
import type { Honing } from '../../judging/honing.ts';
import type { Judged } from '../../judging/judge.ts';
import { type Slot, placeName } from '../../layout/graph.ts';
import type { Decision } from '../../ledger/families/decisions.ts';
import type { BoreJudged } from '../../metrology/bore.ts';
import type { Person } from '../../ledger/job.ts';
import { groupThousands } from '../../quantity/display.ts';
import { partialDateText } from '../../quantity/partialDate.ts';
import { honingWords } from './bench.ts';
import { REASON } from './duties.ts';
import { figureOf, limitText, mm } from './verdicts.ts';

const figure = (j: Judged): string => `${j.characteristic.name} ${figureOf(j)}, limit ${limitText(j)}`;

/** Why an option cannot be chosen. */
export const RULED_OUT = {
  neverCame: 'It did not come with the vehicle.',
  finding: (words: string): string => `Finding: ${words}`,
  past: (j: Judged): string => `${figure(j)}: past.`,
  noMachineTo: 'No machine-to figure on file.',
  seized: 'Found seized: it is freed, opened and resealed, or renewed. Put off it would go back into use.',
  pitInBore: (depth: number): string =>
    `${depth > 0 ? `A pit ${mm(depth, 2)} deep` : 'A pit'} lies where the seal runs: it would leak past it.`,
  pitSomewhere: (bore: Honing): string => `A pit is on record, and whether the seal runs over it is not known. ${honingWords(bore)}`,
  pitAtSeal: 'A pit of the piston lies where its seal sweeps or rests.',
  pitUnderSeal: 'A pit of the piston is on record, and whether its seal comes over it is not known: gauge where the seal runs.',
  noHoneTo: 'No hone-to figure on file.',
  tooWornToHone: 'It is worn or too loose already: honing takes more away.',
  pastHoneTo: (bore: number, honeTo: number): string => `The bore is ${mm(bore, 3)} already; hone-to is ${mm(honeTo, 3)}.`,
  afterHone: (r: BoreJudged, honeTo: number): string =>
    `Honed clean the bore would be ${mm(r.afterHone ?? r.max, 3)}, with a clearance of ${mm(r.clearanceAfterHone ?? r.clearance, 3)}; hone-to is ${mm(honeTo, 3)}.`,
  metalNotSaid: 'Say what metal the bore is: aluminium is never honed.',
  aluminium: 'Aluminium is never honed, bare or anodised: it is sleeved, or the unit is renewed.',
  beyondMachining: (j: Judged): string => `${figure(j)}: beyond machining.`,
  afterCut: (j: Judged, after: number, machineTo: number): string =>
    `From ${mm(j.reduced.value, j.reduced.decimals)} it would come out at ${mm(after, 2)}; machine-to is ${mm(machineTo, 2)}.`,
};

/** Why nothing is promised, or put off, until a day or distance. */
export const UNTIL_PAST = {
  day: (on: string): string => `${partialDateText({ on, about: false })} has passed. Name a day that is still to come.`,
  run: (km: number, now: number): string =>
    `The counter stands at ${groupThousands(now)} km, past ${groupThousands(km)} km. Name a distance that is still to come.`,
};

/** Until when something is put off, in words. */
export function putOffWords(d: Pick<Decision, 'reviewOn' | 'untilKm' | 'access'>): string {
  const until = [
    d.reviewOn ? `until ${d.reviewOn}` : null,
    d.untilKm !== null ? `until ${groupThousands(d.untilKm)} km` : null,
    d.access ? `until ${d.access}` : null,
  ].filter((x) => x !== null);
  return until.length > 0 ? `Put off ${until.join(', or ')}.` : 'Put off; until when is not said.';
}

/** A place at which something was put off, and until which distance where one was said. */
export function putOffPlace(slot: Slot, km: number | null): string {
  return km === null ? placeName(slot) : `${placeName(slot)}, until ${groupThousands(km)} km`;
}

/** That something was put off, and why it is asked again now. */
export function putOffDueWords({ decision, due, of }: PutOff): string {
  const before = of === 'earlier' ? 'Put off on an earlier job' : 'Put off';
  const because = decision.reason ? ` (${decision.reason})` : '';
  switch (due?.kind) {
    case 'day':
      return `${before}${because} until ${partialDateText({ on: due.on, about: false })}: that is now.`;
    case 'run':
      return `${before}${because} until ${groupThousands(due.km)} km: the counter stands at ${groupThousands(due.now)}.`;
    case 'access':
      return `${before}${because} until ${due.name}: it is now.`;
    case 'not_said':
      return `${before}${because}; until when was not said.`;
    default:
      return `${before}${because}. ${putOffWords(decision)}`;
  }
}

/** That two people decided without knowing of each other, in a sentence; null where nothing stands against a decision. */
export function againstWords(people: readonly Person[], c: Pick<Component, 'decision' | 'against' | 'slot'>): string | null {
  if (!c.decision || c.against.length === 0) return null;
  return REASON.against([c.decision, ...c.against].map((d) => ({ option: d.option, by: people.find((p) => p.id === d.authorId)?.name })));
}

/** That the two sides of an axle are decided otherwise without a reason. */
export function decidedOtherwise(other: Slot, option: OptionId): string {
  return `${placeName(other)} is decided otherwise (${OPTION_NAME[option].toLowerCase()}). Both sides alike, or a reason.`;
}

/** What is usually done about a cause. */
export function proposalWords(option: OptionId, usual: OptionId, fault: string, state: 'wanted' | 'found'): string {
  if (option !== usual)
    return `${fault} ${state === 'found' ? 'was found' : 'is looked for'}. ${OPTION_NAME[usual]} is ruled out here: ${OPTION_NAME[option].toLowerCase()}.`;
  return `Usually ${OPTION_NAME[option].toLowerCase()}: ${fault.toLowerCase()} ${state === 'found' ? 'was found' : 'is looked for'}.`;
}

/** What was found at places that are decided in one, a line: the worst figure or finding, whose it is, or that all hold. */
export function foundWords(components: readonly Component[]): string {
  const worstOne = (c: Component): string | null => {
    const finding =
      c.findings.find((f) => f.severity === 'reject') ?? c.findings.find((f) => f.severity === 'doubt' || f.severity === 'watch');
    const figureOff = c.judged.find((j) => j.verdict === c.verdict && j.verdict !== 'holds' && !j.characteristic.recorded);
    if (figureOff && c.verdict === 'past') return `${figure(figureOff)}`;
    if (finding) return finding.words;
    return figureOff ? figure(figureOff) : null;
  };
  const said = components.flatMap((c) => {
    const words = worstOne(c);
    return words === null ? [] : [{ c, words }];
  });
  const [first] = said;
  if (first) {
    if (components.length === 1) return first.words;
    const more = said.length > 1 ? ` (${said.length - 1} more)` : '';
    return `${placeName(first.c.slot)}: ${first.words}${more}`;
  }
  const open = components.filter((c) => c.verdict === 'not_gauged').length;
  if (open > 0) return open === components.length ? 'Not gauged' : `${open} of ${components.length} not gauged`;
  return components.some((c) => c.verdict !== null) ? 'Holds' : 'Looked at, no figure';
}
