import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/**
 * Says that a lead hands in what somebody else left on a device and cannot send: it stands under the name of who took it, with
 * the lead's beside. It is said before the event itself arrives. Source: handbook 15, Offline and People.
 */
export interface HandIn extends JobEvent {
  /** The event that is handed in. */
  readonly eventId: string;
}

export const handIns: FamilyDescriptor<HandIn> = {
  ...PLAIN,
  label: 'handed in',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: {},
  blackable: [],
  leastRole: 'lead',
  sending: 'online',
};
