import type { RungOwes } from '../../catalogue/ladders.ts';
import { owesWords } from './ladders.ts';
import { MEASUREMENTS } from '../../catalogue/measurements.ts';
import type { MeasurementId } from '../../catalogue/measurements.ts';
import { RESULT_WORD, type ProofResult } from '../../catalogue/proofItems.ts';
import { OPTION_NAME, type OptionId } from '../../catalogue/repairOptions.ts';
import { type Slot, placeName } from '../../layout/graph.ts';
import { SPENT } from './account.ts';
import { lower } from './lower.ts';
import { CORNER_NAME, type Corner } from '../../layout/kinds.ts';
import type { PutInKind } from '../../ledger/families/putIns.ts';
import type { Phase } from '../../ledger/families/sets.ts';
import { PHASE_WORD } from './phases.ts';
import { PUT_IN_NAME } from './places.ts';
import type { ClassFacts } from '../../catalogue/fluids.ts';
import type { FluidBefore } from '../../history/knownFluid.ts';
import { moneyText } from '../../quantity/locale.ts';
import { majorOf } from '../../quantity/money.ts';
import { displayWithUnit, upperFirst } from '../../quantity/display.ts';

const measured = (m: MeasurementId): string => MEASUREMENTS[m].name.toLowerCase();

/** What is owed, as it stands in a list. */
export const TITLE = {
  came: (slot: Slot): string => `Say whether the ${lower(slot)} came with it`,
  complaint: 'The complaint, in the owner’s words',
  wants: 'What the owner wants',
  counter: 'Distance run, read off the counter',
  scope: (corners: boolean): string => (corners ? 'Corners taken in' : 'What is taken in'),
  pedal: 'Feel the pedal',
  pedals: (names: readonly string[]): string => `Feel the ${names.map((n) => n.toLowerCase()).join(' and the ')}`,
  reservoir: 'Look into the reservoir',
  reservoirs: (names: readonly string[]): string => `Look into the ${names.map((n) => n.toLowerCase()).join(' and the ')}`,
  parking: 'Work the parking brake',
  wheel: (c: Corner): string => `Spin the ${CORNER_NAME[c].toLowerCase()} wheel`,
  second: (slot: Slot, figure: string): string => `${placeName(slot)} ${TITLE.secondHere(figure)}`,
  secondHere: (figure: string): string => `${figure.toLowerCase()}: measured again, blind`,
  moved: (m: MeasurementId): string => `Say where the ${measured(m)} was taken`,
  impossible: (typed: string, m: MeasurementId, place: string | null): string =>
    `Take back ${typed} for ${measured(m)}${place === null ? '' : `, ${place}`}`,
  stray: (m: MeasurementId | null, label: string, place: string): string =>
    `Say where ${m === null ? `this ${label}` : `the ${measured(m)}`} belongs: ${place.toLowerCase()} is gone`,
  gauge: (slot: Slot, name: string, phase: Phase): string => `${placeName(slot)} ${TITLE.gaugeHere(name, phase)}`,
  gaugeHere: (name: string, phase: Phase): string => `${name.toLowerCase()}, ${PHASE_WORD[phase]}`,
  look: (slot: Slot): string => `Look at the ${lower(slot)}`,
  lookHere: 'a look',
  openFor: (slot: Slot): string => `${placeName(slot)}: seals, but has deposits behind: open it, or put it off until a day`,
  openForHere: 'opened, or put off until a day',
  lookFor: (slot: Slot, what: string): string => `${placeName(slot)}: ${TITLE.lookForHere(what)}`,
  driveOil: 'oil from the final drive',
  lookForHere: (what: string): string => `look for ${what}`,
  foundOrNot: (slot: Slot, what: string): string => `${placeName(slot)}: ${TITLE.foundOrNotHere(what)}`,
  foundOrNotHere: (what: string): string => `${what}; found or not`,
  figure: (slot: Slot, name: string): string => `${placeName(slot)} ${name.toLowerCase()}`,
  wanted: (slot: Slot, name: string): string => `${placeName(slot)}: ${name.toLowerCase()}`,
  decide: (slot: Slot): string => `Decide about the ${lower(slot)}`,
  authorised: 'The owner’s answer to the sum',
  card: (slot: Slot, open: number): string => `${placeName(slot)}: ${open} ${open === 1 ? 'step' : 'steps'} of its card open`,
  strip: (slot: Slot): string => `${placeName(slot)}: what came off it goes back, or is left over by name`,
  freed: (slot: Slot): string => `${placeName(slot)}: what freeing it has left owed`,
  cardDone: (slot: Slot): string => `${placeName(slot)}: its card is told to the end`,
  application: (slot: Slot): string => `Wrong application: ${lower(slot)}`,
  work: (slot: Slot, option: OptionId | null): string => `${placeName(slot)}: ${option === null ? '' : OPTION_NAME[option].toLowerCase()}`,
  missing: (slot: Slot): string => `${placeName(slot)} is missing: find it, or fit another`,
  fit: (slot: Slot): string => `${placeName(slot)} is off the vehicle`,
  forNow: (slot: Slot): string => `${placeName(slot)} is fitted for now only`,
  make: (joint: string): string => `Make the joint: ${joint}`,
  torqueJoint: (joint: string): string => `Torque the joint: ${joint}`,
  heldJoint: (joint: string): string => `${upperFirst(joint)}: dry under held pressure`,
  torque: (fastener: string): string => `Torque of ${fastener.toLowerCase()}`,
  care: (slot: Slot): string => `${placeName(slot)} was found seized`,
  clamped: (slot: Slot, hours: number): string => `${placeName(slot)} was clamped for ${hours} h: renew it`,
  fluid: 'Name the fluid that goes in',
  identify: (slot: Slot): string => `${placeName(slot)}: the fluid is unknown, and being changed`,
  otherFluid: (known: ClassFacts): string => `${known.name} was in it, and another kind goes in`,
  bleed: (slot: Slot): string => `Bleed at the ${lower(slot)}`,
  finding: (slot: Slot, words: string): string => `${placeName(slot)}: ${words}`,
  hazard: (slot: Slot): string => `${placeName(slot)} is out of scope, and a hazard`,
  lock: (control: string): string => `${control} is locked`,
  board: (control: string): string => `Put a board on the ${control.toLowerCase()}: a lock on a screen stops nobody in the seat`,
  out: (slot: Slot, what: PutInKind): string =>
    what === 'board'
      ? `Take the board off the ${lower(slot)}, last of all`
      : what === 'made_safe'
        ? 'Uncage the springs and fill the tanks again, once every line is closed'
        : what === 'way_in'
          ? `What was off to reach the ${lower(slot)} goes back: body, floor or tank`
          : `Take out: ${PUT_IN_NAME[what].toLowerCase()} at the ${lower(slot)}`,
  yard: 'Yard only, with a person and chocks',
  otherMeans: 'Yard only, by other means: its stand, chocks, two people',
};

/** Why it is owed still, or what it waits for. */
export const REASON = {
  freed: (owes: readonly RungOwes[]): string => `Still owed: ${owesWords(owes)}.`,
  wrongApplication: (w: {
    readonly peak: { readonly atLeast: number; readonly by: 'paint' | 'blue' };
    readonly rated: number;
    readonly of: 'part' | 'coating';
    readonly now: 'same' | 'too_low' | 'unknown' | 'bears';
  }): string => {
    const by = w.peak.by === 'paint' ? 'by its paint bands' : 'by its colour, generic';
    const got = `It got to ${w.peak.atLeast} °C at least, ${by}; ${w.of === 'part' ? 'it is' : 'its coating is'} rated to ${w.rated} °C.`;
    if (w.now === 'too_low') return `${got} What sits there now is rated lower than that too.`;
    if (w.now === 'unknown') return `${got} Of what sits there now nobody said what it is rated to.`;
    return `${got} Another grade, or the owner’s word; a like part ends the same way.`;
  },
  overAuthorised: (o: {
    readonly sum: number;
    readonly authorised: number;
    readonly by: number;
    readonly currency: string | null;
    readonly spent: { readonly row: string | null; readonly gross: number } | null;
    readonly since: { readonly component: { readonly slot: Slot }; readonly finding: string | null } | null;
  }): string => {
    const since = o.since
      ? `, since the ${lower(o.since.component.slot)} was decided${o.since.finding ? ` (${o.since.finding})` : ''}`
      : '';
    const sum = (minor: number): string => moneyText(majorOf(minor, o.currency), o.currency);
    return `What is decided comes to ${sum(o.sum)}: ${sum(o.by)} over the ${sum(o.authorised)} that is authorised${since}.${o.spent ? ` ${SPENT.crossed(o.spent, o.currency)}` : ''}`;
  },
  accepted: 'Accepted with a reason.',
  blindNear: 'It lies within twice the gauge’s uncertainty of a safety limit: another person measures it without seeing the first.',
  blindContradicts: (what: string): string => `${what} Another person measures it without seeing the first.`,
  movedTwice: (now: Slot | undefined, said: readonly (Slot | undefined)[]): string => {
    const place = (slot: Slot | undefined): string => (slot ? lower(slot) : 'a place that is no more');
    return `It counts at the ${place(now)}; somebody who did not know that said ${said.map((s) => `the ${place(s)}`).join(', ')}.`;
  },
  impossible: 'No such thing can have that figure. It is used for nothing.',
  stray: (isSet: boolean): string =>
    `It came in after its place was taken out of the layout, and is judged nowhere. ${isSet ? 'Move it, or take it back.' : 'Take it back, and enter it where it belongs.'}`,
  takenSoFar: (n: number): string => `${n} taken so far`,
  notMachinedYet: 'Its bore was not worked on yet.',
  notFittedYet: 'Nothing fitted here yet.',
  becauseOf: (what: string): string => `Because of ${what}.`,
  mayBeAtFault: (fault: string): string => `It may be at fault: ${fault.toLowerCase()}.`,
  ruledOut: (option: string, why: string): string => `“${option}” was decided and is ruled out since. ${why}`,
  against: (said: readonly { readonly option: OptionId; readonly by: string | undefined }[]): string => {
    const [first, ...others] = said.map((s) => `“${OPTION_NAME[s.option]}” by ${s.by ?? 'somebody'}`);
    return `${first ?? ''} is in force, and ${others.join(', ')} was decided without knowing of it. Choose one.`;
  },
  sentOut: (note: string): string => `Sent out${note ? `: ${note}` : ''}.`,
  forNow: (until: string | null): string =>
    `${until ? `Until ${until}. ` : ''}What belongs there has to be fitted; proofs taken meanwhile are provisional.`,
  weeps: 'It weeps.',
  lookedWithoutPressure: 'Looked at without pressure only.',
  clamped: (limitHours: number): string => `Longer than ${limitHours} h (generic).`,
  noTarget: 'It has no target to be held against.',
  offTarget: 'More than a tenth off its target.',
  outOfRange: 'Outside the range of the book.',
  rangeTurned: 'The upper end of the range lies below the lower.',
  unknownFluid: 'What is in it is not known: nothing is mixed, every bleeder of the reservoir is drawn clear.',
  fallsShort: (drawn: number, stood: number): string =>
    `${displayWithUnit(drawn, 'volume', 1, 'mL')} drawn; ${displayWithUnit(stood, 'volume', 1, 'mL')} stand between the reservoir and it.`,
  identify: ({ known, old, drawn }: FluidBefore): string => {
    const rubber = old.slice(0, 4).map(lower).join(', ');
    const more = old.length > 4 ? ` and ${old.length - 4} more` : '';
    const test = known === null ? 'Tell it by a test before it is moved, or renew' : 'Renew';
    const left = old.length > 0 ? ` Not renewed: ${rubber}${more}.` : drawn ? '' : ' Not every bleeder is drawn through yet.';
    return `${test} every rubber part that it touches and draw every bleeder through.${left}`;
  },
  hydraulicFirst: (slots: readonly Slot[]): string => `All hydraulic parts first: ${slots.map(lower).join(', ')}.`,
  bleederOpen: 'The bleeder is not closed.',
  airStill: 'Air was still coming.',
  notClear: 'The fluid was not clear yet.',
  finestGauge: (sentence: string, tag: string): string => `${sentence} Take it with ${tag}, the finest on the rack.`,
  doubt: 'Needs a further look that settles it.',
  reject: 'The part has to go, or a later look has to settle it.',
  hazard: (what: string): string => `${what} Take it in, or a lead leaves it out by name.`,
  answered: (result: ProofResult): string => `Answered: ${RESULT_WORD[result].toLowerCase()}.`,
  otherMeans: 'It has no parking brake. Say who moves it, and by what it is held.',
  yard: 'The parking brake is not proved, the vehicle has none, or a control is locked.',
};
