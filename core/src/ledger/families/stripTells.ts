import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What became of a piece: it, or the new one in its stead, is in again; or it is left over. */
export const STRIP_TELLS = ['in', 'left'] as const;
export type StripTellKind = (typeof STRIP_TELLS)[number];

export interface StripTell extends JobEvent {
  readonly markId: string;
  readonly kind: StripTellKind;
  /** Why it is left over. */
  readonly note: string;
}

export const stripTells: FamilyDescriptor<StripTell> = {
  ...PLAIN,
  label: 'what became of a piece',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { markId: 'event_of_job' },
  blackable: ['note'],
};
