import type { JobHistory } from '../history/jobHistory.ts';
import type { OptionId } from '../catalogue/repairOptions.ts';
import type { PartEvent, PartEventKind } from '../ledger/families/partEvents.ts';
import { careLeft } from './care.ts';
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
    case 'exchange':
    case 'used':
      return c.fittedHere;
    case 'machine':
      return mine.some((e) => e.kind === 'machined');
    case 'reseal':
      return mine.some((e) => e.kind === 'resealed');
    case 'hone':
      return resealedAfter(mine, 'honed');
    case 'sleeve':
      return resealedAfter(mine, 'sleeved');
    case 'reline':
      return mine.some((e) => e.kind === 'relined');
    case 'convert':
    case 'take_off':
      // Done when the layout has the place no more.
      return false;
    default:
      return true;
  }
}

/** Work that each decision asks for, in its order. */
const STEPS: Readonly<Partial<Record<OptionId, readonly PartEventKind[]>>> = {
  reseal: ['resealed'],
  hone: ['honed', 'resealed'],
  sleeve: ['sleeved', 'resealed'],
  machine: ['machined'],
  reline: ['relined'],
};

/** What has still to be done to what belongs to a place, in its order: as decided, and how far a seized unit has to be brought. */
export function workLeft(history: JobHistory, c: Component): PartEventKind[] {
  const partId = c.part?.id ?? c.bench;
  const mine = history.active(history.records.partEvents).filter((e) => e.jobId === history.records.job.id && e.partId === partId);
  const steps = STEPS[c.decision?.option ?? 'use_again'] ?? [];
  // Seals that went in before the bore was worked on go in again.
  const since = mine.findLast((e) => e.kind === 'honed' || e.kind === 'sleeved')?.happenedAt ?? '';
  const did = (k: PartEventKind): boolean => mine.some((e) => e.kind === k && (k !== 'resealed' || e.happenedAt >= since));
  return [...new Set([...careLeft(history, c), ...steps])].filter((k) => !did(k));
}
