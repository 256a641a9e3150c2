import type { MeasurementId } from '../../catalogue/measurements.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export type Phase = 'as_found' | 'after_machining' | 'as_fitted' | 'at_service';

export type Surface = 'dirty' | 'wiped' | 'clean';

export interface ReadingSet extends JobEvent {
  readonly slotId: string;
  readonly partId: string | null;
  readonly measurement: MeasurementId;
  readonly phase: Phase;
  readonly surface: Surface;
  readonly cold: boolean;
  readonly averages: boolean;
  /** Positions meant to be taken round. */
  readonly count: number;
  /** Studs the rotor was turned on by from where it first sat, for a sweep; 0 where it was not turned. */
  readonly turn: number;
  /** Studs of the hub, where a sweep goes with them; null where nobody counted. */
  readonly studs: number | null;
  /** A second measure by another person who did not see the first: it confirms, it does not replace. */
  readonly blind: boolean;
}

/** A set of the part as it sits, taken in sight of all. */
export const PLAIN_SET = { turn: 0, studs: null, blind: false } as const satisfies Partial<ReadingSet>;

export const sets: FamilyDescriptor<ReadingSet> = {
  ...PLAIN,
  label: 'set of readings',
  subjects: ['slot', 'part'],
  readWith: 'parts',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', partId: 'part' },
  blackable: [],
};
