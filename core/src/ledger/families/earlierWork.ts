import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export type EarlierWhat = 'fluid_changed' | 'renewed' | 'overhauled' | 'machined' | 'inspected' | 'other';

export type KnownFrom = 'invoice' | 'service_book' | 'owner' | 'marked_on_part' | 'other';

/** Work of before the shop's own records, with its own, perhaps partial, date and where it is known from. */
export interface EarlierWork extends JobEvent {
  readonly what: EarlierWhat;
  readonly slotId: string | null;
  /** As much of the day as is known: YYYY, YYYY-MM or YYYY-MM-DD. */
  readonly on: string;
  /** The date is a guess. */
  readonly about: boolean;
  readonly knownFrom: KnownFrom;
  /** Invoice number, page, who said it. */
  readonly source: string;
  /** Distance run then, km; null where it is not known. */
  readonly km: number | null;
  readonly note: string;
}

export const earlierWork: FamilyDescriptor<EarlierWork> = {
  ...PLAIN,
  label: 'earlier work',
  subjects: ['vehicle', 'slot'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['source', 'note'],
};
