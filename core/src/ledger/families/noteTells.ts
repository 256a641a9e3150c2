import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What somebody says of a note: it helped, or it is no longer so. */
export const NOTE_TELLS = ['useful', 'wrong'] as const;
export type NoteTellKind = (typeof NOTE_TELLS)[number];

export interface NoteTell extends JobEvent {
  readonly noteId: string;
  readonly kind: NoteTellKind;
  /** Why it is no longer so. */
  readonly note: string;
}

export const noteTells: FamilyDescriptor<NoteTell> = {
  ...PLAIN,
  label: 'said of a note',
  subjects: ['shop', 'record'],
  readWith: 'pinned',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['note'],
};
