import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Something that could only be done now, and was left undone by name when an access was closed. */
export interface LeftItem extends JobEvent {
  /** The place whose fitting closes the access; null where it is the wheel. */
  readonly closedBy: string | null;
  /** The place of what was left. */
  readonly slotId: string;
  /** Stable name of what was left: of the obligation, or of the figure. */
  readonly item: string;
  /** As it was said on screen. */
  readonly what: string;
}

export const leftItems: FamilyDescriptor<LeftItem> = {
  ...PLAIN,
  label: 'left by name',
  subjects: ['slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', closedBy: 'place' },
  blackable: ['what'],
};
