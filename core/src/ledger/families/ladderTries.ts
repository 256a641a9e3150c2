import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** One try at freeing what will not move: which rung of its ladder, how long, and whether it moved. Source: handbook 55, Ladders. */
export interface LadderTry extends JobEvent {
  readonly slotId: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly moved: boolean;
  /** Attended minutes. */
  readonly minutes: number;
  readonly note: string;
}

export const ladderTries: FamilyDescriptor<LadderTry> = {
  ...PLAIN,
  label: 'try at freeing',
  subjects: ['slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['note'],
};
