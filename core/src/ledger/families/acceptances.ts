import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Acceptance extends JobEvent {
  /** Key of the obligation that is accepted. */
  readonly obligation: string;
  readonly reason: string;
}

/** Letters that the reason of an acceptance has at least: it stands on the sheet, and somebody has to be able to answer for it. */
const REASON_LETTERS = 12;

/** Whether a text is a reason: words, and not the same letter again and again. */
export function isReason(text: string): boolean {
  const letters = [...text.toLowerCase()].filter((c) => /\p{L}/u.test(c));
  return letters.length >= REASON_LETTERS && new Set(letters).size >= 5 && text.trim().split(/\s+/).length >= 2;
}

export const acceptances: FamilyDescriptor<Acceptance> = {
  ...PLAIN,
  label: 'acceptance',
  subjects: ['job'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['reason'],
  sending: 'online',
  aside: ['password'],
};
