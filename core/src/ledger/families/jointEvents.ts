import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export type JointEventKind = 'opened' | 'made' | 'torqued' | 'looked' | 'held' | 'weeps';

export type JointSeal = 'flare' | 'washers' | 'taper_sealant' | 'o_ring' | 'other';

/** What happened to a joint: the end of a line at a place. */
export interface JointEvent extends JobEvent {
  readonly connectionId: string;
  readonly slotId: string;
  readonly kind: JointEventKind;
  /** How it was sealed when it was made. */
  readonly seal: JointSeal | null;
  readonly note: string;
}

export const jointEvents: FamilyDescriptor<JointEvent> = {
  ...PLAIN,
  label: 'joint',
  subjects: ['connection', 'slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { connectionId: 'line', slotId: 'place' },
  blackable: ['note'],
};
