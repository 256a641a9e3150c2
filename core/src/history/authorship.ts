import type { EventBase } from '../ledger/eventBase.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';

type Signed = Pick<EventBase, 'id' | 'authorId'>;

/** Who stands for an event, by id: who took it, and the lead who handed it in for them, if one did. */
export function signatories(records: Pick<JobRecords, 'handIns'>, event: Signed): readonly string[] {
  const lead = records.handIns.find((h) => h.eventId === event.id)?.authorId;
  return lead === undefined || lead === event.authorId ? [event.authorId] : [event.authorId, lead];
}

/**
 * Whether an event is another person's than a first one: nobody confirms what they handed in themselves, nor do two figures
 * that one person handed in confirm each other.
 */
export function isOfAnother(records: Pick<JobRecords, 'handIns'>, event: Signed, first: Signed): boolean {
  const of = signatories(records, first);
  return signatories(records, event).every((id) => !of.includes(id));
}
