import type { Slot } from '../layout/graph.ts';
import { canBeOff } from '../layout/runs.ts';
import { CAME, type PartEvent } from '../ledger/families/partEvents.ts';
import type { JobHistory } from './jobHistory.ts';
import { lastPartIn, partsInOrder } from './whereabouts.ts';

/** How a place came to the shop. */
export type Arrival = 'there' | 'loose' | 'missing' | 'unknown';

/** A place with how it came to this job. */
export interface ArrivalRow {
  readonly slot: Slot;
  readonly arrival: Arrival;
  readonly partId: string;
  /** The record that says that it did not come whole; null where nothing says so. */
  readonly came: PartEvent | null;
  /** It was worked on in this job, so how it came stands. */
  readonly settled: boolean;
}

const ARRIVAL: Readonly<Partial<Record<PartEvent['kind'], Arrival>>> = {
  came_loose: 'loose',
  came_missing: 'missing',
  came_unknown: 'unknown',
};

/** Whether anything was done to a part in a job besides saying how it came. */
export function isWorkedOnIn(partId: string, jobId: string, events: readonly PartEvent[]): boolean {
  return events.some((e) => e.partId === partId && e.jobId === jobId && e.kind !== 'found' && !CAME.includes(e.kind));
}

/** Whether work on what belongs to a place has begun in this job: it was taken off, worked on, or another was fitted. */
export function workBegun(history: JobHistory, slotId: string): boolean {
  const { job, partEvents } = history.records;
  const events = partsInOrder(history.active(partEvents));
  const partId = lastPartIn(slotId, events);
  return partId !== null && isWorkedOnIn(partId, job.id, events);
}

/** How every article of the vehicle came to this job. Source: handbook 15, Parts. */
export function arrivalsOf(history: JobHistory): ArrivalRow[] {
  const { layout, job, partEvents } = history.records;
  const events = partsInOrder(history.active(partEvents));
  return layout.slots
    .filter((s) => canBeOff(s.kind))
    .flatMap((slot): ArrivalRow[] => {
      const first = events.find((e) => e.slotId === slot.id && e.jobId === job.id && e.kind !== 'found');
      const came = events.findLast((e) => e.slotId === slot.id && e.jobId === job.id && CAME.includes(e.kind)) ?? null;
      const partId = came?.partId ?? first?.partId ?? lastPartIn(slot.id, events);
      if (partId === null) return [];
      return [{ slot, arrival: (came && ARRIVAL[came.kind]) ?? 'there', partId, came, settled: isWorkedOnIn(partId, job.id, events) }];
    });
}
