import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** One kind of piece of a kit as it was laid out. */
export interface KitPiece {
  readonly name: string;
  /** What the card takes. */
  readonly wanted: number;
  readonly found: number;
}

/** A kit laid out and counted before the old unit is opened: short pieces are found then. Source: handbook 55, kit. */
export interface KitCount extends JobEvent {
  readonly slotId: string;
  readonly runId: string;
  readonly pieces: readonly KitPiece[];
  /** Pieces that are not for this build. */
  readonly note: string;
}

export const kitCounts: FamilyDescriptor<KitCount> = {
  ...PLAIN,
  label: 'kit laid out',
  subjects: ['slot', 'record'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', runId: 'event_of_job' },
  blackable: ['note'],
};
