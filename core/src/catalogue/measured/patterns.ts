import { upperFirst } from '../../quantity/display.ts';
import type { Measurement, Pattern, Spot } from './types.ts';

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

export type Given = Omit<Measurement, 'id'>;
export const IN_MM = { kind: 'length', unit: 'mm' } as const;
