import { type DueAccess, type DueRuleId } from '../../service/dueRules.ts';
import { fluidClass } from '../../catalogue/fluids.ts';
import type { FluidProposal, FluidProposalWhy } from '../../history/proposedFluid.ts';
import type { ExerciseKind } from '../../ledger/families/exercises.ts';
import { placeName, type Slot } from '../../layout/graph.ts';
import { groupThousands, lowerFirst } from '../../quantity/display.ts';
import type { Due, DueWhy } from '../../service/dues.ts';
import { fluidCauseWords } from './history.ts';

const MOST_PLACES = 4;
const places = (slots: readonly Slot[]): string => {
  const names = slots.slice(0, MOST_PLACES).map((s) => lowerFirst(placeName(s)));
  return `${names.join(', ')}${slots.length > MOST_PLACES ? ` and ${slots.length - MOST_PLACES} more` : ''}`;
};

const WHAT: Readonly<Record<DueRuleId, (slots: readonly Slot[]) => string>> = {
  exercise: () => 'Exercise it: drive it, or press hard ten times',
  open: (slots) => `Open and clean: ${places(slots)}`,
  hoses: (slots) => `Renew: ${places(slots)}`,
  bearings: (slots) => `Bearing play: ${places(slots)}`,
  parking: () => 'Parking brake, tried on its slope',
};

/** What falls due, in a line. */
export function dueWhat(due: Due): string {
  if (due.about === 'fluid') return 'Change the fluid';
  if (due.about === 'after_care') return due.said ?? '';
  if (due.about === 'limits') return `Check what was entered once: ${due.said ?? ''}`;
  if (due.about === 'put_off') return `Put off: ${places(due.slots)}`;
  return WHAT[due.about](due.slots);
}

const RULE: Readonly<Record<DueRuleId, string>> = {
  exercise: 'it stands',
  open: 'what dries behind the pistons stays there, whatever the fluid looks like',
  hoses: 'rubber ages from inside',
  bearings: 'play grows unseen',
  parking: 'cables seize and linings wear',
};

const interval = (months: number): string =>
  months % 12 === 0 ? (months === 12 ? 'every year' : `every ${months / 12} years`) : `every ${months} months`;

/** Why it falls due, and by which rule. */
export function dueWhy(why: DueWhy): string {
  switch (why.kind) {
    case 'fluid':
      return fluidCauseWords(why.cause);
    case 'interval':
      return `${interval(why.months)} (generic): ${RULE[why.rule]}`;
    case 'unknown':
      return why.rule === 'fluid' ? 'no change is on record' : `nobody knows when last: ${RULE[why.rule]}`;
    case 'after_care':
      return why.why;
    case 'unchecked':
      return 'a limit that one person typed is a slip until another has read it';
    case 'put_off':
      return [why.temporary ? 'fitted for now' : '', why.reason, why.until ? `until ${why.until}` : ''].filter(Boolean).join('; ');
  }
}

const PROPOSED: Readonly<Record<FluidProposalWhy, string>> = {
  as_known: 'as it is known to be in it',
  hot: 'since it runs hot',
  usual: 'as is usual; what was in it is not known',
};

/** The fluid that is proposed, and why. */
export function proposedWords(p: FluidProposal): string {
  return `Proposed: ${fluidClass(p.fluidClass)?.name ?? p.fluidClass}, ${PROPOSED[p.why]}${p.lowMoisture ? '; one that takes up little water, since it stands or is damp' : ''}. The maker’s word comes first.`;
}

/** Its distance, where it has one. */
export const dueAt = (km: number | null): string => (km === null ? '' : `at ${groupThousands(km)} km`);

/** What is done together, as it is said. */
export const ACCESS_NAME: Readonly<Record<DueAccess, string>> = {
  wheels_off: 'While the wheels are off',
  driven: 'On a drive',
  standing: 'As it stands',
};

export const EXERCISE_NAME: Readonly<Record<ExerciseKind, string>> = {
  driven: 'Driven',
  pressed: 'Pressed hard ten times',
  pressed_and_parked: 'Pressed, and the parking brake worked',
};
