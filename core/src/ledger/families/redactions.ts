import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Says that a text was blacked out: `corrects` names the event it stood in. */
export interface Redaction extends JobEvent {
  readonly field: string;
  /** The line of a hand-back sheet that was picked by sight; null where record and field say which. */
  readonly line: string | null;
  readonly reason: string;
}

export const redactions: FamilyDescriptor<Redaction> = {
  ...PLAIN,
  label: 'blacked out',
  subjects: ['record'],
  readWith: 'job',
  release: 'either_side',
  late: 'afterwards',
  dropsWhenVoid: () => false,
  names: {},
  blackable: ['reason'],
  leastRole: 'lead',
  sending: 'online',
};
