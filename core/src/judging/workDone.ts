import type { JobHistory } from '../history/jobHistory.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { Component } from './components.ts';

/** Whether seals went in after its bore was worked on, by the order in which it happened. */
function resealedAfter(mine: readonly PartEvent[], work: 'honed' | 'sleeved'): boolean {
  const done = mine.findLast((e) => e.kind === work);
  return done !== undefined && mine.some((e) => e.kind === 'resealed' && e.happenedAt >= done.happenedAt);
}

/** Whether what was decided about a place has been done to the part that sits there. */
export function workDone(history: JobHistory, c: Component): boolean {
  const mine = history.active(history.records.partEvents).filter((e) => e.jobId === history.records.job.id && e.partId === c.part?.id);
  switch (c.decision?.option) {
    case 'replace':
      return c.fittedHere;
    case 'machine':
      return mine.some((e) => e.kind === 'machined');
    case 'reseal':
      return mine.some((e) => e.kind === 'resealed');
    case 'hone':
      return resealedAfter(mine, 'honed');
    case 'sleeve':
      return resealedAfter(mine, 'sleeved');
    default:
      return true;
  }
}
