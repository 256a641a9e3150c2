import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';
import type { BleedMethod } from './bleedPulls.ts';

/**
 * What is told before the first bleeder: the reservoir filled; taken off and washed, where it held sludge; the ends of a master
 * cylinder that was dry. Source: handbook 60, Bleeding; 58, A39.
 */
export const BLEED_TICKS = ['reservoir_filled', 'reservoir_off', 'master_no_bubble', 'master_hard'] as const;
export type BleedTick = (typeof BLEED_TICKS)[number];

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
  /** What was told before the first bleeder; null of one that was begun before it was asked. */
  readonly prepared?: readonly BleedTick[] | null;
  /** Bleeders by a maker's order, and where that stands; null where it goes by the way. */
  readonly ordered?: readonly string[] | null;
  readonly orderSource?: string | null;
}

export const bleedSessions: FamilyDescriptor<BleedSession> = {
  ...PLAIN,
  label: 'bleeding session',
  subjects: ['job', 'fill'],
  // The next session of the vehicle proposes the order of the last.
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { ordered: 'place' },
  blackable: ['product', 'orderSource'],
};
