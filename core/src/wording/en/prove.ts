import { type MeasurementId, MEASUREMENTS } from '../../catalogue/measurements.ts';
import type { ProofAsks } from '../../catalogue/proofItems.ts';
import { lowerFirst } from '../../quantity/display.ts';
import type { LeavingHow } from '../../ledger/families/leavings.ts';
import { placeName, type Slot } from '../../layout/graph.ts';

/** How a vehicle leaves, where it is not driven. */
export const LEAVES = {
  left: (how: LeavingHow): string =>
    how === 'not_driven' ? 'It is not driven away: to be done before it is.' : 'It leaves as not to be driven: to be done before it is.',
  /** The first line of the sheet. */
  line: (how: LeavingHow, note: string): string =>
    `${how === 'not_driven' ? 'Not driven here' : 'NOT TO BE DRIVEN'}${note ? `: ${note}` : '.'}`,
  before: 'Before it is driven.',
};

/** Why a board stays where it is. */
export const BOARD_LAST = (control: string, causes: readonly string[]): string =>
  `The board on the ${control.toLowerCase()} comes off last: ${causes.slice(0, 3).join(', ')}.`;

/** Why something cannot be proved yet, and what comes first. */
export const PROOF_REFUSAL = {
  firstPress: 'Pump the pedal up first, in short strokes, the level watched: it has to be high and to stay.',
  notBled: (what: readonly string[]): string => {
    const [first = ''] = what;
    return `There is no fluid that holds yet: ${first.toLowerCase()}${what.length > 1 ? `, and ${what.length - 1} more` : ''}.`;
  },
  noFluid: (slot: Slot): string =>
    `There is no fluid under it yet: since the joint at the ${placeName(slot).toLowerCase()} was made nothing was drawn through its circuit.`,
  notForTheRoad: 'Not everything that can be proved standing is: it is not for the road yet.',
  walkFirst: 'First stops at walking pace come before the road.',
  otherStep: 'Another step of bedding in is driven now: read the screen again.',
  doNotMove: 'It must not be moved yet.',
  because: (question: string): string => `${question}: say why it cannot be tried here.`,
  figures: (question: string, what: readonly string[]): string => `${question}: its figures first, ${what.join(', ')}.`,
  figure: (measurement: MeasurementId, slot: Slot): string =>
    `${placeName(slot).toLowerCase()} ${MEASUREMENTS[measurement].name.toLowerCase()}`,
  /** What ended a figure. */
  lapsed: (what: string): string => `ended: ${what}`,
  past: (said: string): string => `A figure says otherwise: ${said}`,
  howFar: (question: string): string => `${question}: say how far it was driven.`,
  whatFelt: (question: string): string => `${question}: say what was felt, or that nothing was.`,
  feltOnRoad: (felt: readonly string[]): string =>
    `Felt on the road: ${felt.map(lowerFirst).join(', ')}. That is not passed: it failed, or it is traced first.`,
  second: 'A second person drives it and answers under their own name.',
  secondIsSame: 'The house wants a second person: this is the same one again.',
  sayMore: (question: string, { label, figure }: ProofAsks): string =>
    `${question}: say ${lowerFirst(label)}${figure ? ', with figures' : ''}.`,
};
