import { openHistory, type JobHistory } from '../history/jobHistory.ts';
import { slotById } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';
import { holdsWithout, orderStates } from '../supply/orders.ts';
import { outStates } from '../supply/outs.ts';
import { SESSION_RESTS } from '../wording/en/session.ts';
import { SUPPLY_RESTS } from '../wording/en/supply.ts';
import { restsOn } from '../wording/en/work.ts';
import { whyNotDone } from './workRefusal.ts';

/** Where a part is or was when something was done to it. */
function placeOf(events: readonly PartEvent[], e: PartEvent): string | null {
  return e.slotId ?? events.findLast((x) => x.partId === e.partId && x.slotId !== null && x.happenedAt <= e.happenedAt)?.slotId ?? null;
}

/** Whether something was told of an order line or a send-out that could not have been without an entry. */
function suppliedSince(history: JobHistory, id: string): boolean {
  const line = orderStates(history).find((s) => s.line.id === id || s.steps.some((x) => x.id === id));
  if (line?.line.id === id) return line.steps.some((x) => x.kind !== 'promised' && x.kind !== 'chased');
  if (line) return !holdsWithout(line, id);
  return outStates(history).some((o) => o.out.id === id && o.sent !== null);
}

/** Whether something was counted in a session of bleeding after an entry of it. */
function countedSince(history: JobHistory, id: string): boolean {
  const steps = history.active(history.records.bleedSteps);
  const at = steps.find((s) => s.id === id);
  return at ? steps.findLast((s) => s.sessionId === at.sessionId)?.id !== id : steps.some((s) => s.sessionId === id);
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
    ...[records.orderLines, records.orderSteps, records.sendOuts, records.sendOutSteps],
  ];
  if (countedSince(history, id)) return SESSION_RESTS;
  const entry = lists.flat().find((e) => e.id === id);
  if (!entry) return null;
  if (suppliedSince(history, id)) return SUPPLY_RESTS;
  const events = inOrder(history.active(records.partEvents));
  const later = events.filter((e) => e.jobId === records.job.id && e.id !== id && e.happenedAt >= entry.happenedAt);
  if (later.length === 0) return null;
  const takeBack = { ...entry, jobId: records.job.id, id: `without:${id}`, corrects: id, reason: '' };
  const without = openHistory({ ...records, takeBacks: [...records.takeBacks, takeBack] });
  const rests = later.find((e) => whyNotDone(history, e, e.happenedAt) === null && whyNotDone(without, e, e.happenedAt) !== null);
  const slot = rests && slotById(records.layout, placeOf(events, rests) ?? '');
  return rests && slot ? restsOn(slot, rests.kind) : null;
}
