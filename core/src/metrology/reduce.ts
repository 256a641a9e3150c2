import { type CharacteristicId, characteristicsFrom } from '../catalogue/characteristics.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { type NotYet, type PastBecause, type ReduceContext, reduceCharacteristic } from './figures.ts';
import { type Taken, decimalsOf } from './takenIn.ts';

export interface Reduced {
  readonly characteristic: CharacteristicId;
  readonly value: number;
  /** Expanded uncertainty U. */
  readonly expanded: number;
  /** Readings that govern the figure. */
  readonly governing: readonly Reading[];
  readonly taken: number;
  readonly needed: number;
  readonly decimals: number;
  /** Why enough readings do not make a figure yet: their angles, or how long and at what they were held. */
  readonly notYet?: NotYet;
  /** Past whatever the limit. */
  readonly pastBecause?: PastBecause;
  /** Of a figure that is judged by its amount: which way it goes, in words, and with its sign. */
  readonly sense?: string;
  readonly signed?: number;
}

/**
 * Reduces a set to the figures of every characteristic taken from it. Below its least number of
 * positions a figure is still given, for what can be said already; `taken` and `needed` tell.
 * @param taken what stands in the set, see takenIn
 */
export function reduceSet(set: ReadingSet, taken: readonly Taken[], context: ReduceContext = { nominal: null }): Reduced[] {
  return characteristicsFrom(set.measurement).flatMap((c): Reduced[] => {
    const figure = reduceCharacteristic(c, taken, context);
    if (!figure) return [];
    const amount = c.senses !== null;
    return [
      {
        characteristic: c.id,
        // A zero has no sign.
        value: (amount ? Math.abs(figure.value) : figure.value) + 0,
        ...(c.senses && { signed: figure.value + 0, ...(figure.value !== 0 && { sense: c.senses[figure.value > 0 ? 0 : 1] }) }),
        ...(figure.pastBecause !== undefined && { pastBecause: figure.pastBecause }),
        expanded: figure.expanded,
        governing: figure.governing.map((t) => t.reading),
        taken: figure.taken,
        needed: figure.needed,
        ...(figure.notYet !== undefined && { notYet: figure.notYet }),
        decimals: c.unit === MEASUREMENTS[set.measurement].unit ? decimalsOf(taken) : 2,
      },
    ];
  });
}
