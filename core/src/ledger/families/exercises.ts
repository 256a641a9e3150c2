import { readTold } from '../../quantity/told.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What was done to a vehicle that stands, so that its pistons move. Source: handbook 60, Next change due; 05, Standing still. */
export const EXERCISES = ['driven', 'pressed', 'pressed_and_parked'] as const;
export type ExerciseKind = (typeof EXERCISES)[number];

/** A vehicle that stands was exercised; told with its newest job, open or handed back, by whoever is signed in. Source: handbook 15, People. */
export interface Exercise extends JobEvent {
  readonly vehicleId: string;
  readonly what: ExerciseKind;
  /** The counter after it, as typed; null where nobody read it. */
  readonly typed: string | null;
  readonly km: number | null;
  readonly note: string;
}

export const exercises: FamilyDescriptor<Exercise, { readonly typed?: string | null; readonly unit?: 'km' | 'mi' }> = {
  ...PLAIN,
  label: 'exercise',
  leastRole: 'reader',
  subjects: ['vehicle'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['note'],
  aside: ['unit'],
  derive: (sent, { vehicleId }) => ({
    vehicleId,
    typed: sent.typed ?? null,
    km: sent.typed ? readTold('counter', sent.typed, sent.unit ?? 'km').canonical : null,
  }),
};
