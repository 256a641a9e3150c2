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

/** Room for the tables of a part: where each stands and how long it is, one before the first step and one after each. */
interface Room {
  readonly at: readonly number[];
  readonly size: readonly number[];
  readonly tables: Float64Array;
  /** Two tables for the way back. */
  readonly back: readonly [Float64Array, Float64Array];
}

const rooms = new WeakMap<Subnetwork, Room>();

/** A part is summed over and over with other weights: its room is made once, and nothing of a sum is left in it that the next one reads. */
function roomOf(part: Subnetwork): Room {
  const known = rooms.get(part);
  if (known) return known;
  const [at, size] = [[0], [1]];
  for (const step of part.steps) {
    const [from, n] = [at.at(-1) ?? 0, size.at(-1) ?? 1];
    at.push(from + n);
    size.push(step.kind === 'open' ? n * 2 : step.kind === 'close' ? n / 2 : n);
  }
  const widest = Math.max(...size);
  const room: Room = {
    ...{ at, size, tables: new Float64Array((at.at(-1) ?? 0) + (size.at(-1) ?? 1)) },
    back: [new Float64Array(widest), new Float64Array(widest)],
  };
  rooms.set(part, room);
  return room;
}

/** Where an entry of a closed table stood: the closed bit set. */
const wasAt = (m: number, bit: number): number => ((m >> bit) << (bit + 1)) | (1 << bit) | (m & ((1 << bit) - 1));

/** The table after a step, from the one before it: both of the same room. */
function forward(t: Float64Array, from: number, to: number, n: number, step: Step, leak: number, w: Weights): void {
  if (step.kind === 'open') {
    for (let m = 0; m < n; m += 1) {
      const v = t[from + m] ?? 0;
      t[to + m] = (1 - leak) * v;
      t[to + m + n] = leak * v;
    }
    return;
  }
  if (step.kind === 'close') {
    for (let m = 0; m < n / 2; m += 1) t[to + m] = t[from + wasAt(m, step.bit)] ?? 0;
    return;
  }
  const [absent, present] = [w.absent[step.of] ?? 0, w.present[step.of] ?? 0];
  t.copyWithin(to, from, from + n);
  for (const [bit, s] of step.sets) {
    const high = 1 << bit;
    for (let m = 0; m < n; m += 1)
      if ((m & high) === 0) {
        const v = t[to + m] ?? 0;
        t[to + (m | high)] = (t[to + (m | high)] ?? 0) + s * v;
        t[to + m] = (1 - s) * v;
      }
  }
  for (let m = 0; m < n; m += 1) t[to + m] = absent * (t[from + m] ?? 0) + present * (t[to + m] ?? 0);
}

/**
 * Sums one part exactly, by positive terms only: a table over the subsets of the open observations that are explained
 * already, leaks first, one fault after another; an observation is closed once nothing more can explain it. The same
 * backwards gives every fault's share at once.
 * Source: handbook 30, How the evidence is weighed.
 */
export function sumSubnetwork(plan: Plan, part: Subnetwork, w: Weights): SubnetworkSum {
  const { at, size, tables: t, back } = roomOf(part);
  const { steps } = part;
  const leakOf = (step: Step): number => (step.kind === 'open' ? (plan.network.observations[step.of]?.leak ?? 0) : 0);
  t[0] = 1;
  steps.forEach((step, i) => forward(t, at[i] ?? 0, at[i + 1] ?? 0, size[i] ?? 1, step, leakOf(step), w));
  const total = t[at[steps.length] ?? 0] ?? 0;
  const shares = new Map<number, number>();
  let [adjoint, other] = back;
  adjoint[0] = 1;
  for (let i = steps.length - 1; i >= 0; i -= 1) {
    const step = steps[i];
    if (!step) continue;
    const [was, n] = [at[i] ?? 0, size[i] ?? 1];
    if (step.kind === 'open') {
      const leak = leakOf(step);
      for (let m = 0; m < n; m += 1) adjoint[m] = (1 - leak) * (adjoint[m] ?? 0) + leak * (adjoint[m + n] ?? 0);
      continue;
    }
    if (step.kind === 'close') {
      other.fill(0, 0, n);
      for (let m = 0; m < n / 2; m += 1) other[wasAt(m, step.bit)] = adjoint[m] ?? 0;
      [adjoint, other] = [other, adjoint];
      continue;
    }
    const [absent, present] = [w.absent[step.of] ?? 0, w.present[step.of] ?? 0];
    for (let m = 0; m < n; m += 1) other[m] = adjoint[m] ?? 0;
    for (const [bit, s] of step.sets) {
      const high = 1 << bit;
      for (let m = 0; m < n; m += 1) if ((m & high) === 0) other[m] = (1 - s) * (other[m] ?? 0) + s * (other[m | high] ?? 0);
    }
    let share = 0;
    for (let m = 0; m < n; m += 1) {
      share += (t[was + m] ?? 0) * (other[m] ?? 0);
      adjoint[m] = absent * (adjoint[m] ?? 0) + present * (other[m] ?? 0);
    }
    shares.set(step.of, present * share);
  }
  return { total, present: part.faults.map((f) => shares.get(f) ?? 0) };
}
