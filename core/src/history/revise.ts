import { compareLayouts } from '../layout/compare.ts';
import { type Layout, type Slot } from '../layout/graph.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { activeEvents, retractedIds } from '../ledger/retraction.ts';

/** Why a revision cannot be taken, and the places concerned: they would be of another kind, something is still put in, or something is on record. */
export interface RevisionBlock {
  readonly cause: 'other_kind' | 'put_in' | 'on_record';
  readonly slots: readonly Slot[];
}

/**
 * What stands in the way of a revision of the layout during a job. A correction says that it was always so, so it must
 * not take away a place at which something was recorded; a conversion may, but not while something put in there is still
 * to come out. No place may turn into one of another kind: what was recorded there would be of another thing.
 * Source: handbook 15, Layout revision.
 */
export function revisionBlocks(records: JobRecords, after: Layout, revision: 'correction' | 'conversion'): RevisionBlock[] {
  const { removed } = compareLayouts(records.layout, after);
  const was = new Map(records.layout.slots.map((s) => [s.id, s]));
  const turned = after.slots.filter((s) => (was.get(s.id)?.kind ?? s.kind) !== s.kind);
  const retracted = retractedIds(records.takeBacks);
  const out = new Set(activeEvents(records.takenOuts, retracted).map((t) => t.putInId));
  const stillIn = activeEvents(records.putIns, retracted).filter((p) => !out.has(p.id));
  const at = (events: readonly { readonly slotId: string | null }[]): Set<string | null> => new Set(events.map((e) => e.slotId));
  const recordedSlots = at([
    ...activeEvents(records.sets, retracted),
    ...activeEvents(records.findings, retracted),
    ...activeEvents(records.decisions, retracted),
    ...activeEvents(records.operations, retracted),
    ...activeEvents(records.torques, retracted),
    ...activeEvents(records.bleedPulls, retracted),
    ...activeEvents(records.jointEvents, retracted),
    ...activeEvents(records.partEvents, retracted).filter((e) => e.kind !== 'found'),
  ]);
  const block = (cause: RevisionBlock['cause'], slots: readonly Slot[]): RevisionBlock[] => (slots.length === 0 ? [] : [{ cause, slots }]);
  const plugged = removed.filter((s) => stillIn.some((p) => p.slotId === s.id));
  const recorded = revision === 'correction' ? removed.filter((s) => recordedSlots.has(s.id)) : [];
  return [...block('other_kind', turned), ...block('put_in', plugged), ...block('on_record', recorded)];
}
