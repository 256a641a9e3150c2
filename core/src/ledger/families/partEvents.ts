import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export type PartEventKind =
  | 'found'
  | 'removed'
  | 'fitted'
  | 'sent'
  | 'returned'
  | 'machined'
  | 'freed'
  | 'opened'
  | 'honed'
  | 'sleeved'
  | 'resealed'
  | 'relined'
  | 'coated'
  | 'scrapped'
  /** How a place came to the shop, where not whole: its part loose in a box, missing, or not known. */
  | 'came_loose'
  | 'came_missing'
  | 'came_unknown';

/** How a place came to the shop, where not whole. */
export const CAME: readonly PartEventKind[] = ['came_loose', 'came_missing', 'came_unknown'];

export interface PartEvent extends JobEvent {
  readonly partId: string;
  readonly kind: PartEventKind;
  readonly slotId: string | null;
  readonly note: string;
  /** Fitted for now only: shows everywhere until what belongs there is fitted. */
  readonly temporary: boolean;
  /** Day until which something fitted for now may stay; null where none was set. */
  readonly until: string | null;
  /** Kit or lot that went in, in words; empty where none is known, null where nobody was asked for it. */
  readonly lot: string | null;
  /** Taken off with its line still on: it hangs, and no fluid was let out. */
  readonly lineOn: boolean;
}

export const partEvents: FamilyDescriptor<PartEvent> = {
  ...PLAIN,
  label: 'part',
  subjects: ['part', 'slot'],
  readWith: 'places',
  release: 'frozen',
  late: 'late',
  /** What goes to a firm or comes back is not at the vehicle, nor is how it came. */
  waitsParked: ({ kind }) => !['found', 'sent', 'returned', ...CAME].includes(kind),
  /** That a part was found stays: the vehicle did not lose it. */
  dropsWhenVoid: (e) => e.kind !== 'found',
  /** Its part is looked at where part events are taken: a spare comes from another vehicle. */
  names: { slotId: 'place' },
  blackable: ['note', 'lot'],
  aside: ['part'],
  rereads: true,
};
