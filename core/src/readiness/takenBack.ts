import { openHistory, type JobHistory } from '../history/jobHistory.ts';
import { slotById } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';
import { restsOn } from '../wording/en/work.ts';
import { whyNotDone } from './workRefusal.ts';

/** Where a part is or was when something was done to it. */
function placeOf(events: readonly PartEvent[], e: PartEvent): string | null {
  return e.slotId ?? events.findLast((x) => x.partId === e.partId && x.slotId !== null && x.happenedAt <= e.happenedAt)?.slotId ?? null;
}

/**
 * Why an entry cannot be taken back, in a sentence that names what rests on it; null where it can. What was done later
 * could not have been done without it: a cylinder sealed behind a drum that then was never off, a unit taken off a line
 * that then was never opened. That is taken back first.
 * @param id of the entry
 * Source: handbook 05, Before you close it; lesson 2.
 */
export function whyNotTakenBack(history: JobHistory, id: string): string | null {
  const { records } = history;
  const lists: readonly (readonly EventBase[])[] = [
    ...[records.partEvents, records.jointEvents, records.putIns, records.decisions, records.findings],
  ];
  const entry = lists.flat().find((e) => e.id === id);
  if (!entry) return null;
  const events = inOrder(history.active(records.partEvents));
  const later = events.filter((e) => e.jobId === records.job.id && e.id !== id && e.happenedAt >= entry.happenedAt);
  if (later.length === 0) return null;
  const takeBack = { ...entry, jobId: records.job.id, id: `without:${id}`, corrects: id, reason: '' };
  const without = openHistory({ ...records, takeBacks: [...records.takeBacks, takeBack] });
  const rests = later.find((e) => whyNotDone(history, e, e.happenedAt) === null && whyNotDone(without, e, e.happenedAt) !== null);
  const slot = rests && slotById(records.layout, placeOf(events, rests) ?? '');
  return rests && slot ? restsOn(slot, rests.kind) : null;
}
