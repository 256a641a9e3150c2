import type { Subnetwork, Plan, Step } from './networkPlan.ts';

/** Weights of a fault: of its being absent, and of its being present given the observations that were not seen. */
export interface Weights {
  readonly absent: Float64Array;
  readonly present: Float64Array;
}

/** What one part comes to: the probability of its evidence, and for each of its faults the joint one with it present. */
export interface SubnetworkSum {
  readonly total: number;
  readonly present: readonly number[];
}

/**
 * Sums one part exactly, by positive terms only: a table over the subsets of the open observations that are explained
 * already, leaks first, one fault after another; an observation is closed once nothing more can explain it. The same
 * backwards gives every fault's share at once.
 * Source: handbook 30, How the evidence is weighed.
 */
export function sumSubnetwork(plan: Plan, part: Subnetwork, w: Weights): SubnetworkSum {
  const before: Float64Array[] = [];
  let table = new Float64Array([1]);
  for (const step of part.steps) {
    before.push(table);
    table =
      step.kind === 'open'
        ? opened(table, plan.network.observations[step.of]?.leak ?? 0)
        : step.kind === 'close'
          ? closed(table, step.bit)
          : withoutObservation(table, step, w);
  }
  const total = table[0] ?? 0;
  const shares = new Map<number, number>();
  let adjoint = new Float64Array([1]);
  for (let i = part.steps.length - 1; i >= 0; i -= 1) {
    const step = part.steps[i];
    const was = before[i];
    if (!step || !was) continue;
    if (step.kind === 'open') adjoint = unopened(adjoint, plan.network.observations[step.of]?.leak ?? 0);
    else if (step.kind === 'close') adjoint = unclosed(adjoint, step.bit);
    else {
      const [absent, present] = [w.absent[step.of] ?? 0, w.present[step.of] ?? 0];
      const set = Float64Array.from(adjoint);
      for (const [bit, s] of step.sets) {
        const high = 1 << bit;
        for (let m = 0; m < set.length; m += 1) if ((m & high) === 0) set[m] = (1 - s) * (set[m] ?? 0) + s * (set[m | high] ?? 0);
      }
      let share = 0;
      for (let m = 0; m < set.length; m += 1) {
        share += (was[m] ?? 0) * (set[m] ?? 0);
        adjoint[m] = absent * (adjoint[m] ?? 0) + present * (set[m] ?? 0);
      }
      shares.set(step.of, present * share);
    }
  }
  return { total, present: part.faults.map((f) => shares.get(f) ?? 0) };
}

function opened(table: Float64Array, leak: number): Float64Array<ArrayBuffer> {
  const next = new Float64Array(table.length * 2);
  for (let m = 0; m < table.length; m += 1) {
    next[m] = (1 - leak) * (table[m] ?? 0);
    next[m + table.length] = leak * (table[m] ?? 0);
  }
  return next;
}
function unopened(adjoint: Float64Array, leak: number): Float64Array<ArrayBuffer> {
  const half = adjoint.length / 2;
  const next = new Float64Array(half);
  for (let m = 0; m < half; m += 1) next[m] = (1 - leak) * (adjoint[m] ?? 0) + leak * (adjoint[m + half] ?? 0);
  return next;
}
/** Where an entry of a closed table stood: the closed bit set. */
const wasAt = (m: number, bit: number): number => ((m >> bit) << (bit + 1)) | (1 << bit) | (m & ((1 << bit) - 1));
function closed(table: Float64Array, bit: number): Float64Array<ArrayBuffer> {
  const next = new Float64Array(table.length / 2);
  for (let m = 0; m < next.length; m += 1) next[m] = table[wasAt(m, bit)] ?? 0;
  return next;
}
function unclosed(adjoint: Float64Array, bit: number): Float64Array<ArrayBuffer> {
  const next = new Float64Array(adjoint.length * 2);
  for (let m = 0; m < adjoint.length; m += 1) next[wasAt(m, bit)] = adjoint[m] ?? 0;
  return next;
}
function withoutObservation(table: Float64Array, step: Step, w: Weights): Float64Array<ArrayBuffer> {
  const [absent, present] = [w.absent[step.of] ?? 0, w.present[step.of] ?? 0];
  const set = Float64Array.from(table);
  for (const [bit, s] of step.sets) {
    const high = 1 << bit;
    for (let m = 0; m < set.length; m += 1)
      if ((m & high) === 0) {
        const v = set[m] ?? 0;
        set[m | high] = (set[m | high] ?? 0) + s * v;
        set[m] = (1 - s) * v;
      }
  }
  for (let m = 0; m < set.length; m += 1) set[m] = absent * (table[m] ?? 0) + present * (set[m] ?? 0);
  return set;
}
