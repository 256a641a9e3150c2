import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';
import type { BleedMethod } from './bleedPulls.ts';

/** A session of bleeding, live: begun by one device, which counts; others follow. */
export interface BleedSession extends JobEvent {
  readonly circuits: readonly number[];
  readonly method: BleedMethod;
  readonly product: string;
  readonly fluidClass: FluidClass;
  /** What its reservoir holds to the mark, and its lowest safe mark, mL. */
  readonly fullMl: number;
  readonly safeMl: number;
  /** What one stroke or pull moves, mL: a guess until a look at the level corrects it. */
  readonly strokeMl: number;
}

export const bleedSessions: FamilyDescriptor<BleedSession> = {
  ...PLAIN,
  label: 'bleeding session',
  subjects: ['job', 'fill'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['product'],
};
