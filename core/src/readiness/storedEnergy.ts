import type { JobHistory } from '../history/jobHistory.ts';
import type { Slot } from '../layout/graph.ts';
import { KIND_FACTS, type ComponentKind } from '../layout/kinds.ts';
import type { PutIn } from '../ledger/families/putIns.ts';

/** Whether a vehicle holds energy that lets go by itself when a line is opened: air tanks and spring chambers, an accumulator. */
function storesEnergy(history: JobHistory): boolean {
  const { stored } = history.records.vehicle;
  return stored === 'air' || stored === 'accumulator';
}

/**
 * That the tanks are drained and the springs caged, by an instant, on this job; null where nobody has said so.
 * @param instant ISO 8601; all of it where none is given
 */
export function madeSafe(history: JobHistory, instant?: string): PutIn | null {
  const { job, putIns, takenOuts } = history.records;
  const until = <T extends { readonly happenedAt: string }>(list: readonly T[]): readonly T[] =>
    instant === undefined ? list : list.filter((e) => e.happenedAt <= instant);
  const out = new Set(until(history.active(takenOuts)).map((t) => t.putInId));
  return until(history.active(putIns)).findLast((p) => p.jobId === job.id && p.what === 'made_safe' && !out.has(p.id)) ?? null;
}

/** Kinds behind whose fasteners a spring or pressure waits. */
const BEHIND: readonly ComponentKind[] = ['expander', 'servo'];

/** Whether opening or taking off what sits in a place lets stored energy go. */
export function letsGo(slot: Slot): boolean {
  return KIND_FACTS[slot.kind].hydraulic || slot.circuits.length > 0 || BEHIND.includes(slot.kind);
}

/**
 * Whether a line must not be opened yet: the vehicle stores energy, and it was not made safe by then.
 * Source: handbook 58, D14; 80.
 */
export function isCharged(history: JobHistory, instant?: string): boolean {
  return storesEnergy(history) && madeSafe(history, instant) === null;
}
