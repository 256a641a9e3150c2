import { KIND_FACTS } from '../layout/kinds.ts';
import { ASSUMED_THERE, withRuns } from '../layout/runs.ts';
import type { Slot } from '../layout/graph.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';

/** Before everything that anybody wrote down. */
const EVER = '0001-01-01T00:00:00.000Z';

function thereFromTheFirst(slot: Slot): PartEvent {
  return {
    ...{ id: `there:${slot.id}`, jobId: '', authorId: '', device: '', happenedAt: EVER, recordedAt: EVER, corrects: null },
    ...{ partId: slot.id, kind: 'found', slotId: slot.id, note: '', temporary: false, until: null, lot: null, lineOn: false },
  };
}

/** Whether nobody wrote an event down: it only says that something is there with the vehicle. */
export function isAssumed(event: Pick<PartEvent, 'happenedAt'>): boolean {
  return event.happenedAt === EVER;
}

/**
 * The records with every line, cable, rod and lever as a place, and what sits there from the first: under the id of its place,
 * until something else is fitted.
 */
export function withAssumed(records: JobRecords): JobRecords {
  const layout = withRuns(records.layout);
  const places = layout.slots.filter((s) => ASSUMED_THERE.includes(s.kind));
  if (places.length === 0) return records;
  const written = new Set(records.parts.map((p) => p.id));
  return {
    ...records,
    layout,
    partEvents: [...places.map(thereFromTheFirst), ...records.partEvents],
    parts: [
      ...records.parts,
      ...places
        .filter((s) => !written.has(s.id))
        .map((s) => ({ id: s.id, tag: null, kind: s.kind, name: KIND_FACTS[s.kind].name, partNumber: null, note: '' })),
    ],
  };
}
