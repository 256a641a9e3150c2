import { readTold } from '../../quantity/told.ts';
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
  /** Of a joint torqued: what was set, as it was typed, and in N·m; null where no figure was given. Source: handbook 58, A51. */
  readonly typed: string | null;
  readonly torqueNm: number | null;
}

export const jointEvents: FamilyDescriptor<JointEvent, Pick<JointEvent, 'typed'>> = {
  ...PLAIN,
  label: 'joint',
  subjects: ['connection', 'slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { connectionId: 'line', slotId: 'place' },
  blackable: ['note'],
  derive: ({ typed }) => ({ torqueNm: typed === null ? null : readTold('torque', typed, 'Nm').canonical }),
};
