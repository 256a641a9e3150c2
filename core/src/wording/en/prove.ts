import { placeName, type Slot } from '../../layout/graph.ts';

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
  doNotMove: 'It must not be moved yet.',
  sayMore: (question: string, label: string): string => `${question}: say ${label.charAt(0).toLowerCase()}${label.slice(1)}, with figures.`,
};
