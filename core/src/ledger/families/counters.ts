import { readTold } from '../../quantity/told.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A reading of the distance counter. */
export interface CounterReading extends JobEvent {
  readonly vehicleId: string;
  readonly typed: string;
  readonly km: number;
}

export const counters: FamilyDescriptor<CounterReading, { readonly typed: string; readonly unit?: 'km' | 'mi' }> = {
  ...PLAIN,
  label: 'counter',
  subjects: ['vehicle'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: [],
  aside: ['unit'],
  derive: (sent, { vehicleId }) => ({
    vehicleId,
    // A file of the past has no unit: it tells of km.
    km: readTold('counter', sent.typed, sent.unit ?? 'km').canonical,
  }),
};
