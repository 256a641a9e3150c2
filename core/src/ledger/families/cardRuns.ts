import type { CardStep } from '../../catalogue/cards/types.ts';
import type { OptionId } from '../../catalogue/repairOptions.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A work card begun at a place: its steps as they were then, so that a newer program changes no running card. Source: handbook 55. */
export interface CardRun extends JobEvent {
  readonly slotId: string;
  readonly cardId: string;
  /** The decision that it serves. */
  readonly option: OptionId;
  readonly steps: readonly CardStep[];
}

export const cardRuns: FamilyDescriptor<CardRun> = {
  ...PLAIN,
  label: 'work card begun',
  subjects: ['slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: [],
};
