import type { EventBase, JobEvent } from '../ledger/eventBase.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import type { SheetLine } from '../ledger/release.ts';
import { SHEET } from '../wording/en/sheet.ts';
import { cameFrom } from './sheetRefs.ts';

/** What was held against the old parts, what came back from outside, and out of which lots something went in. */
export function suppliedLines(
  here: <T extends JobEvent>(events: readonly T[]) => readonly T[],
  line: (e: Pick<EventBase, 'id' | 'authorId' | 'happenedAt'>, place: string, text: string) => SheetLine,
  place: (slotId: string | null) => string,
  records: JobRecords,
): SheetLine[] {
  return [
    ...here(records.orderSteps).flatMap((s) => {
      const of = records.orderLines.find((l) => l.id === s.lineId);
      if (s.kind !== 'checked' || !of || s.result === null || of.shopsOwn) return [];
      return [line(s, place(s.slotId), SHEET.arrival(cameFrom(of.id, 'name', of.name), s.result, s.count))];
    }),
    ...here(records.sendOutSteps).flatMap((s) => {
      const of = records.sendOuts.find((o) => o.id === s.sendOutId);
      return s.kind === 'checked' && of && s.result
        ? [line(s, place(of.slotId), SHEET.cameBack(of.process, cameFrom(of.id, 'size', of.size), s.result))]
        : [];
    }),
    ...here(records.lotUses).flatMap((u) => {
      const lot = records.lots.find((l) => l.seriesId === u.lotId);
      return lot ? [line(u, u.slotId === null ? SHEET.hydraulics : place(u.slotId), SHEET.lot(lot))] : [];
    }),
  ];
}
