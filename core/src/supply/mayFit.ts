import type { JobHistory } from '../history/jobHistory.ts';
import { whereabouts } from '../history/whereabouts.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { WHOLE } from './arrival.ts';
import { type LineState, orderStates } from './orders.ts';
import { outStates } from './outs.ts';

/** Why something is not fitted, sealed or scrapped yet, for what was ordered or sent out. */
export type SupplyRefusal =
  | { readonly kind: 'on_order' | 'not_checked' | 'not_right' | 'pattern'; readonly line: LineState }
  | { readonly kind: 'core'; readonly line: LineState }
  | { readonly kind: 'back_unchecked' | 'back_wrong'; readonly supplier: string };

/** Lines of a place that stand: not all of it was cancelled. */
function linesAt(history: JobHistory, slotId: string, whole: boolean): LineState[] {
  return orderStates(history).filter(
    (s) =>
      s.line.places.includes(slotId) && s.cancelled < s.line.count && (whole ? WHOLE.includes(s.line.supply) : s.line.supply === 'kit'),
  );
}

/** How many of a line may be used at one place: those found right there, or for the axle as one. */
function rightAt(s: LineState, slotId: string): number {
  return s.steps
    .filter(
      (x) =>
        x.kind === 'checked' && x.result === 'right' && (x.slotId === null || x.slotId === slotId || s.line.count < s.line.places.length),
    )
    .reduce((sum, x) => sum + x.count, 0);
}

/**
 * What lines of one place keep from being used there: none was found right that is not used yet, and one is on its way, here
 * and not looked at, or here and not right. A line of which everything went back blocks nothing more.
 * @param used how many were used there already
 */
function waiting(lines: readonly LineState[], slotId: string, used: number): SupplyRefusal | null {
  if (lines.reduce((sum, s) => sum + rightAt(s, slotId), 0) > used) return null;
  const unlooked = lines.find((s) => s.toCheck > 0);
  if (unlooked) return { kind: 'not_checked', line: unlooked };
  const coming = lines.find((s) => s.coming > 0);
  if (coming) return { kind: 'on_order', line: coming };
  const bad = lines.find((s) => s.toReturn > 0);
  return bad ? { kind: 'not_right', line: bad } : null;
}

/**
 * Why what was ordered for a place keeps something from being done there; null where it does not.
 * @param event what is to be done; a part that is fitted for now only is kept out by nothing
 * Source: handbook 40, Check on arrival: a mismatch blocks fitting, the old part is not scrapped before.
 */
export function supplyRefusal(
  history: JobHistory,
  event: Pick<PartEvent, 'id' | 'partId' | 'kind' | 'slotId'> & { readonly temporary?: boolean },
): SupplyRefusal | null {
  const events = history.active(history.records.partEvents).filter((e) => e.id !== event.id);
  const known = events.some((e) => e.partId === event.partId);
  // What is said to have been found at a place for which another one is on its way was put there as well.
  const puts = event.kind === 'fitted' || (event.kind === 'found' && !known);
  if (puts && event.slotId !== null && !event.temporary) {
    if (known) return backRefusal(history, event.partId);
    const at = event.slotId;
    const lines = linesAt(history, at, true);
    const since = lines.map((s) => s.line.happenedAt).sort()[0] ?? '';
    const fitted = events.filter(
      (e) => e.kind === 'fitted' && e.slotId === at && !e.temporary && e.happenedAt > since && isNew(events, e),
    ).length;
    return waiting(lines, at, fitted);
  }
  if (event.kind === 'resealed') {
    const at = event.slotId ?? events.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
    return at === null ? null : waiting(linesAt(history, at, false), at, 0);
  }
  if (event.kind === 'scrapped') {
    const at = events.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
    const lines = at === null ? [] : linesAt(history, at, true);
    const found = lines.some((s) => at !== null && rightAt(s, at) > 0);
    for (const s of lines) {
      // Only the part that was there when it was ordered: what came on the line may be scrapped.
      const before = events.some((e) => e.partId === event.partId && e.happenedAt <= s.line.happenedAt);
      if (before && !found && s.coming + s.toCheck + s.toReturn > 0) return { kind: 'pattern', line: s };
      if (before && s.core === 'here') return { kind: 'core', line: s };
    }
  }
  return null;
}

/** Whether an event of fitting is of a part that nothing was told of before it. */
function isNew(events: readonly PartEvent[], e: PartEvent): boolean {
  return !events.some((x) => x.partId === e.partId && (x.happenedAt < e.happenedAt || (x.happenedAt === e.happenedAt && x.id < e.id)));
}

/** What came back from outside is looked at before it goes on. */
function backRefusal(history: JobHistory, partId: string): SupplyRefusal | null {
  const out = outStates(history).findLast((o) => o.out.partId === partId && !o.dropped);
  if (!out?.back || whereabouts(partId, history.active(history.records.partEvents)).at !== 'shelf') return null;
  if (out.checked === null) return { kind: 'back_unchecked', supplier: out.out.supplier };
  return out.checked === 'right' ? null : { kind: 'back_wrong', supplier: out.out.supplier };
}

/** What a place waits for: something on its way to it, or here and not looked at; null where it waits for nothing ordered. */
export function waitsForSupply(history: JobHistory, slotId: string): SupplyRefusal | null {
  return waiting(linesAt(history, slotId, true), slotId, 0) ?? waiting(linesAt(history, slotId, false), slotId, 0);
}
