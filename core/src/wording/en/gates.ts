import type { BleedTick } from '../../ledger/families/bleedSessions.ts';
import { CORNER_NAME, type Corner } from '../../layout/kinds.ts';
import { placeName, type Slot } from '../../layout/graph.ts';
import { lowerFirst, upperFirst } from '../../quantity/display.ts';

/** What stands before the first bleeder, as stages name it; wording leans on nothing above it. */
type Gate =
  | { readonly kind: 'open' | 'loose'; readonly slot: Slot; readonly why: string }
  | { readonly kind: 'shut'; readonly slot: Slot; readonly what: 'clamp' | 'plug' | 'cap' }
  | { readonly kind: 'stuck'; readonly corner: Corner; readonly state: string }
  | { readonly kind: 'paint'; readonly slot: Slot; readonly on: string }
  | { readonly kind: 'sludge'; readonly slot: Slot }
  | { readonly kind: 'unknown'; readonly slot: Slot; readonly rubber: number; readonly other: boolean }
  | { readonly kind: 'master'; readonly slot: Slot; readonly school: string | null }
  | { readonly kind: 'mind'; readonly what: 'shoes' | 'wheel_nuts' | 'load_sensing' | 'servo' | 'uppermost' };

const MIND = {
  shoes: 'Shoes set out to the drum first, and back afterwards: a slack shoe feels like air.',
  wheel_nuts: 'Drums and rotors that only the wheel holds are clamped by their nuts before the pedal moves.',
  load_sensing: 'The load-sensing valve held open, or the axle at ride height.',
  servo: 'The servo’s vacuum used up, engine stopped.',
  uppermost: 'Every bleeder uppermost; a caliper that is turned for it gets a block of the rotor’s thickness, entered as put in.',
} as const;
const SCHOOL: Readonly<Record<string, string>> = {
  bench: 'on the bench, before it is fitted',
  place: 'in its place',
};
const ENDS = 'no bubble from either tube over ten slow strokes, then the stroke short and hard with its outlets closed';

/** What stands before the first bleeder, in a sentence. */
export function gateWords(gate: Gate): string {
  switch (gate.kind) {
    case 'open':
      return `Open: ${gate.why}.`;
    case 'shut':
      return `A ${gate.what} is in the ${lowerFirst(placeName(gate.slot))}: it comes out first.`;
    case 'loose':
      return `${upperFirst(gate.why)}.`;
    case 'stuck':
      return `${CORNER_NAME[gate.corner]}: its bleeder was ${gate.state} when it came, and nothing is told of it since.`;
    case 'sludge':
      return `${placeName(gate.slot)}: sludge was seen in it. It comes off, and is washed with its washers, float and cap seal.`;
    case 'unknown':
      return `${gate.other ? 'Another kind goes in than was in it' : 'Nobody knows what was in it: test it first'}${gate.other ? '' : ', or renew all its rubber'}: ${gate.rubber === 1 ? lowerFirst(placeName(gate.slot)) : `${lowerFirst(placeName(gate.slot))} and ${gate.rubber - 1} more`} lay in it.`;
    case 'paint':
      return `${placeName(gate.slot)}: its coat is fresh. Cover it; fluid that runs there is washed off at once.`;
    case 'master':
      return `${placeName(gate.slot)}, dry: bled first${gate.school ? `, by the house ${SCHOOL[gate.school] ?? ''}` : ', on the bench or in its place'}; at its end ${ENDS}.`;
    case 'mind':
      return MIND[gate.what];
  }
}

/** What is told before the first bleeder. */
export const BLEED_TICK: Readonly<Record<BleedTick, (product: string) => string>> = {
  reservoir_filled: (product) => `Emptied, wiped and filled to its mark with ${product || 'fresh fluid'}`,
  reservoir_off: () => 'Taken off, washed and back on with its washers',
  master_no_bubble: () => 'Master cylinder: no bubble from either tube over ten slow strokes',
  master_hard: () => 'Master cylinder: stroke short and hard with its outlets closed',
};

/** Why a method is unfit. */
export const UNFIT = {
  residual_valve: 'A residual-pressure valve lies in the way: nothing runs by itself.',
  never_opened: 'A unit was never opened: what lies behind its piston would be pushed up into the cylinder.',
  no_pedal: 'There is no pedal or lever to press.',
} as const;
