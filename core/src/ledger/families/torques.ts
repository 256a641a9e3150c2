import { readTold } from '../../quantity/told.ts';
import type { UnitId } from '../../quantity/units.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Torque extends JobEvent {
  readonly slotId: string | null;
  readonly point: string;
  readonly targetTyped: string;
  readonly target: number;
  /** Upper end of the range that the book gives, as typed and in N·m; empty and 0 where it gives one figure. */
  readonly toTyped?: string;
  readonly targetTo?: number;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  /** Passes in which it was drawn up. */
  readonly passes?: number;
  /** Further by an angle after the figure, degrees; null where none is asked for. */
  readonly angleDeg?: number | null;
  readonly wrench: string;
}

export const torques: FamilyDescriptor<Torque, Pick<Torque, 'targetTyped' | 'toTyped' | 'typed' | 'unit'>> = {
  ...PLAIN,
  label: 'torque',
  subjects: ['slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['wrench'],
  derive: ({ targetTyped, toTyped, typed, unit }) => ({
    // Without a book there is nothing to hold it against.
    target: targetTyped.trim() === '' ? 0 : readTold('torque', targetTyped, unit).canonical,
    targetTo: toTyped === undefined || toTyped.trim() === '' ? 0 : readTold('torque', toTyped, unit).canonical,
    canonical: readTold('torque', typed, unit).canonical,
  }),
};
