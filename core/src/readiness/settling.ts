import type { FindingSeverity } from '../catalogue/findingKinds.ts';
import { BORED } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import type { Finding } from '../ledger/families/findings.ts';
import { SETTLING } from '../wording/en/bench.ts';
import { honing } from '../judging/honing.ts';
import { sealZone } from '../judging/sealZone.ts';

/** What is said to settle an earlier finding. */
export type Settling = Pick<Finding, 'slotId' | 'settles' | 'severity' | 'cleaning' | 'fromMm' | 'toMm' | 'authorId'>;

const RANK: readonly FindingSeverity[] = ['note', 'watch', 'doubt', 'reject'];

/** Whether the figures of a place say that its pits lie where no seal runs. */
function figuresClear(history: JobHistory, slot: Slot): boolean {
  if (slot.kind === 'piston') {
    const { result } = sealZone(history, slot);
    return result !== null && !result.reject;
  }
  if (!BORED.includes(slot.kind)) return false;
  const { result } = honing(history, slot, 'iron');
  return result !== null && result.afterHone === null;
}

/** Whether a place was machined, honed or sleeved since something was found there. */
function workedSince(history: JobHistory, found: Finding): boolean {
  return history
    .active(history.records.partEvents)
    .some(
      (e) =>
        ['machined', 'honed', 'sleeved'].includes(e.kind) &&
        e.happenedAt > found.happenedAt &&
        (e.slotId === found.slotId || (found.partId !== null && e.partId === found.partId)),
    );
}

/**
 * Why a finding does not settle an earlier one, in a sentence; null where it does. What has a position in figures is not talked
 * away: it is settled by a reading that clears it, by a look after work, or by a position in figures that somebody else took.
 * @param history of what had happened by then
 * Source: handbook 20, Does a pit matter? and Cylinder bores; 05, lesson 2.
 */
export function whyNotSettled(history: JobHistory, said: Settling): string | null {
  const found = history.active(history.records.findings).find((f) => f.id === said.settles);
  if (!found || (found.severity !== 'doubt' && found.severity !== 'reject')) return null;
  if (found.fromMm === null && found.depthMm === null) return null;
  if (RANK.indexOf(said.severity) >= RANK.indexOf(found.severity)) return null;
  const slot = slotById(history.records.layout, found.slotId);
  if (!slot || (said.cleaning === 'after' && workedSince(history, found)) || figuresClear(history, slot)) return null;
  if (said.fromMm === null || said.toMm === null) return SETTLING.needsFigures(found.words);
  return said.authorId === found.authorId ? SETTLING.needsAnother(found.words) : null;
}
