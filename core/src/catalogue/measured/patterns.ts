import { upperFirst } from '../../quantity/display.ts';
import type { CharacteristicFacts, Pattern, Range, Spot } from './types.ts';

/** How the catalogue is written down. */
/** A place by its name; its label begins its sentence where none is given. */
export const spot = (id: string, label = id, name = upperFirst(label), angleDeg?: number): Spot =>
  angleDeg === undefined ? { id, label, name } : { id, label, name, angleDeg };
export const spots = (...list: readonly Spot[]): Pattern => ({ form: 'spots', spots: list });
export const round = (
  turn: 180 | 360,
  counts: readonly number[],
  usual: number,
  rings: readonly Spot[] = [],
  more: readonly Spot[] = [],
  also: readonly Spot[] = [],
): Pattern => ({ form: 'round', turn, counts, usual, rings, more, also });

export const IN_MM = { kind: 'length', unit: 'mm' } as const;

/** A size of something that is there: more than nothing. */
export const size = (to: number, from = 0.01): Range => [from, to];
/** What may be none: a wear, a play, a depth. */
export const upTo = (to: number): Range => [0, to];
/** What has a sense: a dial's reading, an offset. */
export const either = (to: number): Range => [-to, to];

/** A size that wear takes away or adds to, and that is discarded at its limit. */
export const dimension = (bound: 'lower' | 'upper'): Pick<CharacteristicFacts, 'bound' | 'wears' | 'gravity' | 'limitWord'> => ({
  bound,
  wears: bound === 'lower' ? 'falls' : 'grows',
  gravity: 'safety',
  limitWord: 'Discard',
});
