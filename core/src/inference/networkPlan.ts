import type { Network } from './faultNetwork.ts';

/** The most seen observations that may be open at once in the table of what is explained already. */
export const MAX_OPEN = 20;

/** One step of going through a part: an observation opened, a fault reckoned in, an observation closed. */
export interface Step {
  readonly kind: 'open' | 'fault' | 'close';
  /** Number of the fault or of the seen observation. */
  readonly of: number;
  /** Of a closing: where its bit stands. */
  readonly bit: number;
  /** Of a fault: the bits it may set, each with its strength. */
  readonly sets: readonly (readonly [bit: number, strength: number])[];
}

/** The order in which the faults that some seen observations join are gone through. */
export interface Subnetwork {
  readonly faults: readonly number[];
  readonly steps: readonly Step[];
  /** Most bits open at once. */
  readonly widest: number;
}

/** How a network is reckoned with a set of seen observations: it hangs on which are seen, not on how likely anything is. */
export interface Plan {
  readonly network: Network;
  readonly seen: readonly number[];
  readonly parts: readonly Subnetwork[];
  /** Faults that no seen observation may come from. */
  readonly apart: readonly number[];
  /** Seen observations that no fault brings about. */
  readonly leaksOnly: readonly number[];
}

function orderOf(faults: readonly number[], linksOf: ReadonlyMap<number, ReadonlyMap<number, number>>): Subnetwork {
  const left = new Set(faults);
  const remaining = new Map<number, number>();
  for (const f of faults) for (const o of linksOf.get(f)?.keys() ?? []) remaining.set(o, (remaining.get(o) ?? 0) + 1);
  const open: number[] = [];
  const steps: Step[] = [];
  const order: number[] = [];
  let widest = 0;
  while (left.size > 0) {
    // Next the fault that opens least, and of those the one that closes most.
    let best: { f: number; opens: number; closes: number } | null = null;
    for (const f of left) {
      const links = [...(linksOf.get(f)?.keys() ?? [])];
      const opens = links.filter((o) => !open.includes(o)).length;
      const closes = links.filter((o) => remaining.get(o) === 1).length;
      if (best === null || opens - closes < best.opens - best.closes || (opens - closes === best.opens - best.closes && opens < best.opens))
        best = { f, opens, closes };
    }
    if (best === null) break;
    const { f } = best;
    left.delete(f);
    order.push(f);
    const links = linksOf.get(f) ?? new Map<number, number>();
    for (const o of links.keys())
      if (!open.includes(o)) {
        open.push(o);
        steps.push({ kind: 'open', of: o, bit: open.length - 1, sets: [] });
      }
    widest = Math.max(widest, open.length);
    steps.push({ kind: 'fault', of: f, bit: 0, sets: [...links].map(([o, strength]) => [open.indexOf(o), strength] as const) });
    for (const o of links.keys()) {
      const rest = (remaining.get(o) ?? 1) - 1;
      remaining.set(o, rest);
      if (rest > 0) continue;
      const bit = open.indexOf(o);
      steps.push({ kind: 'close', of: o, bit, sets: [] });
      open.splice(bit, 1);
    }
  }
  return { faults: order, steps, widest };
}

/**
 * Splits a network into the parts that some seen observation joins, and orders each so that as few observations as
 * possible stand open at once.
 * @param seen ids of the seen observations
 */
export function planFor(network: Network, seen: readonly string[]): Plan {
  const faultAt = new Map(network.faults.map((f, i) => [f.id, i]));
  const wanted = new Set(seen);
  const numbers = network.observations.flatMap((o, i) => (wanted.has(o.id) ? [i] : []));
  const linksOf = new Map<number, Map<number, number>>();
  const leaksOnly: number[] = [];
  const joins = network.faults.map((_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (joins[at] !== at) at = joins[at] ?? at;
    return at;
  };
  for (const o of numbers) {
    const links = Object.entries(network.observations[o]?.strengths ?? {}).filter(([, s]) => s > 0);
    if (links.length === 0) leaksOnly.push(o);
    let first: number | null = null;
    for (const [id, strength] of links) {
      const f = faultAt.get(id);
      if (f === undefined) continue;
      const mine = linksOf.get(f) ?? new Map<number, number>();
      mine.set(o, strength);
      linksOf.set(f, mine);
      if (first === null) first = f;
      else joins[root(f)] = root(first);
    }
  }
  const groups = new Map<number, number[]>();
  const apart: number[] = [];
  for (let f = 0; f < network.faults.length; f += 1) {
    if (!linksOf.has(f)) apart.push(f);
    else groups.set(root(f), [...(groups.get(root(f)) ?? []), f]);
  }
  return { network, seen: numbers, parts: [...groups.values()].map((g) => orderOf(g, linksOf)), apart, leaksOnly };
}
