import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What a vehicle stands on while it is left. */
export const STANDINGS = ['wheels', 'stands', 'lift', 'dollies', 'trailer', 'bench'] as const;
export type Standing = (typeof STANDINGS)[number];

/** A job left for longer than a night. Source: handbook 50, Parking a job. */
export interface Parking extends JobEvent {
  readonly standsOn: Standing;
  /** What keeps it from rolling or falling, in words. */
  readonly heldBy: string;
  /** Who knows of it. */
  readonly knows: string;
  /** What it waits for. */
  readonly waitsFor: string;
  /** Until about which day, ISO; null where nobody knows. */
  readonly until: string | null;
}

export const parkings: FamilyDescriptor<Parking> = {
  ...PLAIN,
  label: 'job parked',
  subjects: ['job'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['heldBy', 'knows', 'waitsFor'],
};
