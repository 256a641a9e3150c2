import type { BleedMethod } from '../../ledger/families/bleedPulls.ts';

/** How fluid is moved by one method: what it takes, how it goes, and where it deceives. */
interface MethodFacts {
  readonly gear: readonly string[];
  readonly steps: readonly string[];
  readonly traps: readonly string[];
}

/** Source: handbook 60, Methods; 58, D12, D28, D32; 80. */
export const BLEED_METHODS: Readonly<Record<BleedMethod, MethodFacts>> = {
  pedal: {
    gear: ['Two people', 'clear hose into a bottle with fluid in it', 'block under the pedal where the cylinder is old'],
    steps: [
      'Pedal pressed slowly and held; it is said aloud.',
      'Bleeder opened half a turn, closed before the pedal is at its end.',
      'Only then is the pedal let up, slowly, and a breath waited.',
    ],
    traps: [
      'Never a full stroke on an old cylinder: its seals run into rust where they never go.',
      'A bleeder that closes late draws in what it let out.',
    ],
  },
  vacuum: {
    gear: ['Hand pump or vacuum bottle', 'grease or tape at the bleeder’s thread'],
    steps: [
      'Vacuum set, bleeder opened a quarter to half a turn.',
      'One pull is one stroke here; the bottle is read.',
      'Closed while fluid still runs.',
    ],
    traps: ['Air past the bleeder’s thread shows bubbles that are not in the circuit.', 'The reservoir empties without a word.'],
  },
  pressure: {
    gear: ['Pressure bleeder with the cap that fits', 'its gauge: 1 bar at most, or the maker’s figure'],
    steps: [
      'Cap and hose tried at low pressure, looked at for leaks.',
      'Bleeder opened, the bottle read, closed under flow.',
      'Pressure let off before the cap is taken off.',
    ],
    traps: ['More than 1 bar bursts a reservoir.', 'What foams under pressure looks clear, and is not.'],
  },
  gravity: {
    gear: ['Clear hose and bottle at every bleeder', 'time'],
    steps: [
      'Cap loose, bleeder opened; the time until fluid first runs is looked at.',
      'Level looked at again and again.',
      'Closed while it runs.',
    ],
    traps: ['Nothing runs past a residual-pressure valve by itself.', 'A slow bleeder says: hose shut inside, or port not free.'],
  },
  reverse: {
    gear: ['Syringe or pump with a tight fit on the bleeder', 'an empty place in the reservoir'],
    steps: [
      'Fluid drawn off the reservoir first, so that it does not run over.',
      'Pushed in slowly at the bleeder; bubbles come up in the reservoir.',
      'Closed while it is pushed.',
    ],
    traps: [
      'Dirt behind the pistons is pushed up into the cylinder: only into a circuit that was opened and cleaned.',
      'It runs over onto paint.',
    ],
  },
};
