import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** How a finish looks when the part is seen again. */
export const COAT_STATES = ['sound', 'chipped', 'lifting', 'rust', 'burnt'] as const;
export type CoatState = (typeof COAT_STATES)[number];

/** A finish looked at, mostly at the next visit: what held, and what did not. Source: handbook 50, Coats. */
export interface CoatLook extends JobEvent {
  /** The record that the part was coated, on whichever job of the vehicle. */
  readonly eventId: string;
  readonly state: CoatState;
  readonly note: string;
}

export const coatLooks: FamilyDescriptor<CoatLook> = {
  ...PLAIN,
  label: 'look at a finish',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { eventId: 'event_of_vehicle' },
  blackable: ['note'],
};
