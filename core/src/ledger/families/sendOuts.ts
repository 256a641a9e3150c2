import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What is done to a part outside. Source: handbook 40, Send-out. */
export const SENT_FOR = ['machine', 'sleeve', 'reline', 'plate', 'powder', 'paint', 'blast', 'overhaul', 'other'] as const;
export type SentFor = (typeof SENT_FOR)[number];

/** A part that goes into a box to somebody who works on it. Sending and coming back are told of the part. */
export interface SendOut extends JobEvent {
  readonly supplierId: string;
  readonly supplier: string;
  /** The box or batch, as the shop calls it: parts of one batch wait for each other. */
  readonly batch: string;
  readonly partId: string;
  readonly slotId: string;
  readonly process: SentFor;
  /** To which size, of what is cut, sleeved or lined. */
  readonly size: string;
  readonly colour: string;
  readonly gloss: string;
  /** Faces, bores, threads and press fits that are to be masked. */
  readonly masks: readonly string[];
  /** How many pieces it is. */
  readonly count: number;
  readonly note: string;
}

export const sendOuts: FamilyDescriptor<SendOut> = {
  ...PLAIN,
  label: 'send-out',
  subjects: ['send_out', 'part', 'slot'],
  readWith: 'job',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { partId: 'part', slotId: 'place' },
  blackable: ['note', 'batch', 'size', 'colour', 'gloss'],
  sending: 'online',
};
