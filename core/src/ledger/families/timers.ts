import type { HeatedMetal, ProcessId } from '../../catalogue/processes.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A process begun at a place: a start and a duration in the book, never something that runs. Source: handbook 50, Process recipes. */
export interface Timer extends JobEvent {
  readonly slotId: string;
  readonly process: ProcessId;
  /** How long it is to take once it counts, minutes. */
  readonly minutes: number;
  /** Temperature of the part that it asks for, °C; null where it asks for none. */
  readonly fromC: number | null;
  readonly toC: number | null;
  /** Of what is heated; null where nothing is. */
  readonly metal: HeatedMetal | null;
  /** What the product's sheet says, or the maker's word; empty where generic figures are taken. */
  readonly sheet: string;
}

export const timers: FamilyDescriptor<Timer> = {
  ...PLAIN,
  label: 'clock of a process',
  subjects: ['slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['sheet'],
};
