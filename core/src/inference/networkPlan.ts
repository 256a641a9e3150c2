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

/** Where each fault stands in the network, and which faults bring each observation about: strengths of nothing left out. */
export interface Links {
  readonly faultAt: ReadonlyMap<string, number>;
  readonly observationAt: ReadonlyMap<string, number>;
  /** Of each observation, its faults by number. */
  readonly byObservation: readonly (readonly (readonly [fault: number, strength: number])[])[];
}

const linksOfNetwork = new WeakMap<Network, Links>();

/** The links of a network by numbers, worked out once. */
export function linksOf(network: Network): Links {
  const known = linksOfNetwork.get(network);
  if (known) return known;
  const faultAt = new Map(network.faults.map((f, i) => [f.id, i]));
  const byObservation = network.observations.map((o) =>
    Object.entries(o.strengths).flatMap(([id, strength]): [number, number][] => {
      const f = faultAt.get(id);
      return f === undefined || strength === 0 ? [] : [[f, strength]];
    }),
  );
  const links = { faultAt, observationAt: new Map(network.observations.map((o, i) => [o.id, i])), byObservation };
  linksOfNetwork.set(network, links);
  return links;
}

/** Of each fault of a part the seen observations that it may bring about, by number, with its strength. */
type OfFault = ReadonlyMap<number, readonly (readonly [observation: number, strength: number])[]>;

/** How it stands with each seen observation while a part is gone through: whether it is open, and how many faults are left that bring it about. */
interface Standing {
  readonly isOpen: Uint8Array;
  readonly left: Int32Array;
}

/** The fault that opens least, and of those the one that closes most; the first of equal ones. */
function nextFault(among: ReadonlySet<number>, ofFault: OfFault, { isOpen, left }: Standing): number | null {
  let best: number | null = null;
  let [bestOpens, bestNet] = [Infinity, Infinity];
  for (const f of among) {
    let [opens, closes] = [0, 0];
    for (const [o] of ofFault.get(f) ?? []) {
      if (isOpen[o] === 0) opens += 1;
      if (left[o] === 1) closes += 1;
    }
    if (opens - closes < bestNet || (opens - closes === bestNet && opens < bestOpens))
      [best, bestOpens, bestNet] = [f, opens, opens - closes];
  }
  return best;
}

function orderOf(faults: readonly number[], ofFault: OfFault, observations: number): Subnetwork {
  const among = new Set(faults);
  const standing: Standing = { isOpen: new Uint8Array(observations), left: new Int32Array(observations) };
  const { isOpen, left } = standing;
  for (const f of faults) for (const [o] of ofFault.get(f) ?? []) left[o] = (left[o] ?? 0) + 1;
  const open: number[] = [];
  const steps: Step[] = [];
  const order: number[] = [];
  let widest = 0;
  while (among.size > 0) {
    const f = nextFault(among, ofFault, standing);
    if (f === null) break;
    among.delete(f);
    order.push(f);
    const links = ofFault.get(f) ?? [];
    for (const [o] of links)
      if (isOpen[o] === 0) {
        isOpen[o] = 1;
        open.push(o);
        steps.push({ kind: 'open', of: o, bit: open.length - 1, sets: [] });
      }
    widest = Math.max(widest, open.length);
    steps.push({ kind: 'fault', of: f, bit: 0, sets: links.map(([o, strength]) => [open.indexOf(o), strength] as const) });
    for (const [o] of links) {
      const rest = (left[o] ?? 1) - 1;
      left[o] = rest;
      if (rest > 0) continue;
      const bit = open.indexOf(o);
      steps.push({ kind: 'close', of: o, bit, sets: [] });
      open.splice(bit, 1);
      isOpen[o] = 0;
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
  const { byObservation } = linksOf(network);
  const wanted = new Set(seen);
  const numbers = network.observations.flatMap((o, i) => (wanted.has(o.id) ? [i] : []));
  const ofFault = new Map<number, [number, number][]>();
  const leaksOnly: number[] = [];
  const joins = network.faults.map((_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (joins[at] !== at) at = joins[at] ?? at;
    return at;
  };
  for (const o of numbers) {
    const links = byObservation[o] ?? [];
    const [first] = links;
    if (!first) leaksOnly.push(o);
    for (const [f, strength] of links) {
      const mine = ofFault.get(f);
      if (mine) mine.push([o, strength]);
      else ofFault.set(f, [[o, strength]]);
      if (first && f !== first[0]) joins[root(f)] = root(first[0]);
    }
  }
  const groups = new Map<number, number[]>();
  const apart: number[] = [];
  for (let f = 0; f < network.faults.length; f += 1) {
    if (!ofFault.has(f)) {
      apart.push(f);
      continue;
    }
    const group = groups.get(root(f));
    if (group) group.push(f);
    else groups.set(root(f), [f]);
  }
  return {
    network,
    seen: numbers,
    parts: [...groups.values()].map((g) => orderOf(g, ofFault, network.observations.length)),
    apart,
    leaksOnly,
  };
}
