import { readTold } from '../../quantity/told.ts';
import type { UnitId } from '../../quantity/units.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Torque extends JobEvent {
  readonly slotId: string | null;
  readonly point: string;
  readonly targetTyped: string;
  readonly target: number;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly wrench: string;
}

export const torques: FamilyDescriptor<Torque, Pick<Torque, 'targetTyped' | 'typed' | 'unit'>> = {
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
  derive: ({ targetTyped, typed, unit }) => ({
    // Without a book there is nothing to hold it against.
    target: targetTyped.trim() === '' ? 0 : readTold('torque', targetTyped, unit).canonical,
    canonical: readTold('torque', typed, unit).canonical,
  }),
};
