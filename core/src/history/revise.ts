import { compareLayouts } from '../layout/compare.ts';
import { type Layout, type Slot, placeName } from '../layout/graph.ts';
import type { JobFile } from '../ledger/jobFile.ts';
import { standing, retractedIds } from '../ledger/retraction.ts';

/** Why a revision cannot be taken: the places concerned and a sentence. */
export interface RevisionBlock {
  readonly slotIds: readonly string[];
  readonly message: string;
}

/**
 * What stands in the way of a revision of the layout during a job. A correction says that it was always so, so it must
 * not take away a place at which something was recorded; a conversion may, but not while something put in there is still
 * to come out. No place may turn into one of another kind: what was recorded there would be of another thing.
 * Source: handbook 15, Layout revision.
 */
export function revisionBlocks(file: JobFile, after: Layout, revision: 'correction' | 'conversion'): RevisionBlock[] {
  const { removed } = compareLayouts(file.layout, after);
  const was = new Map(file.layout.slots.map((s) => [s.id, s]));
  const turned = after.slots.filter((s) => (was.get(s.id)?.kind ?? s.kind) !== s.kind);
  const retracted = retractedIds(file.takeBacks);
  const out = new Set(standing(file.takenOuts, retracted).map((t) => t.putInId));
  const stillIn = standing(file.putIns, retracted).filter((p) => !out.has(p.id));
  const at = (events: readonly { readonly slotId: string | null }[]): Set<string | null> => new Set(events.map((e) => e.slotId));
  const recordedSlots = at([
    ...standing(file.sets, retracted),
    ...standing(file.findings, retracted),
    ...standing(file.decisions, retracted),
    ...standing(file.operations, retracted),
    ...standing(file.torques, retracted),
    ...standing(file.bleedPulls, retracted),
    ...standing(file.jointEvents, retracted),
    ...standing(file.partEvents, retracted).filter((e) => e.kind !== 'found'),
  ]);
  const names = (slots: readonly Slot[]): string => slots.map((s) => placeName(s).toLowerCase()).join(', ');
  const block = (slots: readonly Slot[], message: string): RevisionBlock[] =>
    slots.length === 0 ? [] : [{ slotIds: slots.map((s) => s.id), message }];
  const plugged = removed.filter((s) => stillIn.some((p) => p.slotId === s.id));
  const recorded = revision === 'correction' ? removed.filter((s) => recordedSlots.has(s.id)) : [];
  return [
    ...block(turned, `A place cannot become another kind of thing: ${names(turned)}. Take it out and add the other one.`),
    ...block(plugged, `Something put in is still at: ${names(plugged)}. Take it out first.`),
    ...block(
      recorded,
      `Something is on record at: ${names(recorded)}. If it was there and is going now, this is a conversion; if it never was, take the records back first.`,
    ),
  ];
}
