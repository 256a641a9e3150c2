import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from './components.ts';

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
    default:
      return true;
  }
}
