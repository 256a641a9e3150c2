import type { EventBase } from '../ledger/eventBase.ts';
import { type EventList, familyOf } from '../ledger/families.ts';
import { type Superseding, headsOf } from '../ledger/inForce.ts';
import type { JobHistory } from './jobHistory.ts';

/**
 * Ids of what a new event of a family would replace: what its author sees in force of the same thing, and what stands against
 * it; null where the family replaces nothing. It is sent along, so that no clock decides between two people.
 * @param sent what is about to be sent
 */
export function replacedBy(history: JobHistory, family: EventList, sent: object): string[] | null {
  const about = (e: EventBase): string | undefined => familyOf(family).supersedes?.(e);
  const of = about(sent as EventBase);
  if (of === undefined) return null;
  // A family that replaces something says what its author saw: the descriptor's field and this go together.
  const all = history.active<EventBase>(history.records[family]) as readonly (EventBase & Superseding)[];
  // Of what is read of the whole vehicle, one job replaces nothing of another.
  const here = (e: EventBase): boolean => familyOf(family).readWith !== 'vehicle' || e.jobId === history.records.job.id;
  return headsOf(all.filter((e) => about(e) === of && here(e)));
}
