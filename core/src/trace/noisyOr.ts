import { Refusal } from '../refusal.ts';

/** A fault as the network has it: present or not, by itself as likely as its prior. */
export interface NetworkFault {
  readonly id: string;
  /** Probability before anything is observed, 0 to 1. */
  readonly prior: number;
}

/** Something that can be seen or not: brought about by any of its faults, or by none of them. */
export interface NetworkObservation {
  readonly id: string;
  /** Probability that it is seen without any fault of the network, 0 to 1. */
  readonly leak: number;
  /** How often each fault brings it about by itself, 0 to 1. */
  readonly strengths: Readonly<Record<string, number>>;
}

export interface Network {
  readonly faults: readonly NetworkFault[];
  readonly observations: readonly NetworkObservation[];
}

/** What is known: an observation that is not listed is unchecked, which is no evidence. */
export interface Evidence {
  readonly observations: Readonly<Record<string, 'seen' | 'not_seen'>>;
  /** What the bench found: certain. */
  readonly certain: Readonly<Record<string, 'present' | 'absent'>>;
}

export interface Inference {
  /** Probability of each fault given the evidence, in the order of the network's faults. */
  readonly posterior: readonly number[];
  /** Natural logarithm of the probability of all the evidence, certain findings included; −Infinity where it cannot happen. */
  readonly logLikelihood: number;
}

const probability = (p: number, of: string): void => {
  if (!(p >= 0 && p <= 1)) throw new Refusal('bad_probability', `${of} is ${p}: a probability lies between 0 and 1.`);
};

/** @throws Refusal bad_probability, unknown_id (a strength, an observation or a finding that names nothing in the network) */
export function checkNetwork(network: Network, evidence?: Evidence): void {
  const faults = new Set(network.faults.map((f) => f.id));
  for (const f of network.faults) probability(f.prior, `The prior of ${f.id}`);
  for (const o of network.observations) {
    probability(o.leak, `The leak of ${o.id}`);
    for (const [fault, strength] of Object.entries(o.strengths)) {
      if (!faults.has(fault)) throw new Refusal('unknown_id', `${o.id} names a fault that is not in the network: ${fault}.`);
      probability(strength, `The strength of ${fault} for ${o.id}`);
    }
  }
  if (!evidence) return;
  const observations = new Set(network.observations.map((o) => o.id));
  for (const id of Object.keys(evidence.observations))
    if (!observations.has(id)) throw new Refusal('unknown_id', `There is no observation ${id} in the network.`);
  for (const id of Object.keys(evidence.certain))
    if (!faults.has(id)) throw new Refusal('unknown_id', `There is no fault ${id} in the network.`);
}

/** The most seen observations that may be open at once in the table of what is explained already. */
export const MOST_OPEN = 20;

interface Step {
  readonly kind: 'open' | 'fault' | 'close';
  /** Number of the fault or of the seen observation. */
  readonly of: number;
  /** Of a closing: where its bit stands. */
  readonly bit: number;
  /** Of a fault: the bits it may set, each with its strength. */
  readonly sets: readonly (readonly [bit: number, strength: number])[];
}

/** The order in which the faults that some seen observations join are gone through. */
export interface NetworkPart {
  readonly faults: readonly number[];
  readonly steps: readonly Step[];
  /** Most bits open at once. */
  readonly widest: number;
}

/** How a network is reckoned with a set of seen observations: it hangs on which are seen, not on how likely anything is. */
export interface Plan {
  readonly network: Network;
  readonly seen: readonly number[];
  readonly parts: readonly NetworkPart[];
  /** Faults that no seen observation may come from. */
  readonly apart: readonly number[];
  /** Seen observations that no fault brings about. */
  readonly leaksOnly: readonly number[];
}

function orderOf(faults: readonly number[], linksOf: ReadonlyMap<number, ReadonlyMap<number, number>>): NetworkPart {
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

/** Weights of a fault: as it were absent, and present with nothing seen that was not. */
export interface Weights {
  readonly absent: Float64Array;
  readonly present: Float64Array;
}

/** What one part comes to: the probability of its evidence, and for each of its faults the joint one with it present. */
export interface PartSum {
  readonly total: number;
  readonly present: readonly number[];
}

/**
 * Sums one part exactly, by positive terms only: a table over the subsets of the open observations that are explained
 * already, leaks first, one fault after another; an observation is closed once nothing more can explain it. The same
 * backwards gives every fault's share at once.
 * Source: handbook 30, How the evidence is weighed.
 */
export function sumPart(plan: Plan, part: NetworkPart, w: Weights): PartSum {
  const before: Float64Array[] = [];
  let table = new Float64Array([1]);
  for (const step of part.steps) {
    before.push(table);
    table =
      step.kind === 'open'
        ? opened(table, plan.network.observations[step.of]?.leak ?? 0)
        : step.kind === 'close'
          ? closed(table, step.bit)
          : gone(table, step, w);
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
function gone(table: Float64Array, step: Step, w: Weights): Float64Array<ArrayBuffer> {
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

/** Weights of every fault under the evidence: what was not seen multiplies straight in. */
export function weightsOf(network: Network, evidence: Evidence): Weights {
  const absent = new Float64Array(network.faults.length);
  const present = new Float64Array(network.faults.length);
  network.faults.forEach((f, i) => {
    const known = evidence.certain[f.id];
    absent[i] = known === 'present' ? 0 : 1 - f.prior;
    present[i] = known === 'absent' ? 0 : f.prior;
  });
  const at = new Map(network.faults.map((f, i) => [f.id, i]));
  for (const o of network.observations) {
    if (evidence.observations[o.id] !== 'not_seen') continue;
    for (const [id, strength] of Object.entries(o.strengths)) {
      const i = at.get(id);
      if (i !== undefined) present[i] = (present[i] ?? 0) * (1 - strength);
    }
  }
  return { absent, present };
}

/** Everything but the parts: leaks of what was not seen, and of what only a leak brings about. */
export function logOfLeaks(plan: Plan, evidence: Evidence): number {
  const { observations } = plan.network;
  const unseen = observations.reduce((s, o) => (evidence.observations[o.id] === 'not_seen' ? s + Math.log1p(-o.leak) : s), 0);
  return plan.leaksOnly.reduce((s, o) => s + Math.log(observations[o]?.leak ?? 0), unseen);
}

/** Most seen observations that stand open at once under the evidence: the sum takes as long as two to that power. */
export function widestOf(network: Network, evidence: Evidence): number {
  return Math.max(0, ...planFor(network, seenIn(evidence)).parts.map((p) => p.widest));
}

export const seenIn = (evidence: Evidence): string[] =>
  Object.entries(evidence.observations).flatMap(([id, v]) => (v === 'seen' ? [id] : []));

/**
 * Exact posterior of every fault under noisy-OR with leaks, for any number of faults at once:
 * P(seen | faults) = 1 − (1 − leak) × Π over present faults of (1 − strength).
 * @throws Refusal bad_probability, unknown_id, impossible_evidence, too_large where more seen observations hang together than the table holds
 * Source: handbook 30, How the evidence is weighed.
 */
export function infer(network: Network, evidence: Evidence): Inference {
  checkNetwork(network, evidence);
  const plan = planFor(network, seenIn(evidence));
  const widest = Math.max(0, ...plan.parts.map((p) => p.widest));
  if (widest > MOST_OPEN)
    throw new Refusal(
      'too_large',
      `${widest} things seen hang together: more than ${MOST_OPEN} cannot be weighed exactly in reasonable time.`,
    );
  const w = weightsOf(network, evidence);
  const inference = inferBy(
    plan,
    w,
    plan.parts.map((p) => sumPart(plan, p, w)),
    logOfLeaks(plan, evidence),
  );
  if (inference.logLikelihood === -Infinity)
    throw new Refusal('impossible_evidence', 'These findings cannot stand together: nothing in the network brings them about.');
  return inference;
}

/** Natural logarithm of the probability of the evidence together with no fault being present at all. */
export function logOfNone(network: Network, evidence: Evidence, w: Weights): number {
  const leaks = network.observations.reduce((s, o) => {
    const state = evidence.observations[o.id];
    return state === 'seen' ? s + Math.log(o.leak) : state === 'not_seen' ? s + Math.log1p(-o.leak) : s;
  }, 0);
  return w.absent.reduce((s, p) => s + Math.log(p), leaks);
}

/** Where nothing but leaks explains it, rounding must not divide by nothing. */
export const LEAST_SOME = 1e-9;

/**
 * The same where it is known besides that at least one fault is present, as of a vehicle that somebody complains about:
 * every posterior over one less the probability that there is none.
 * @param inference of the same network and evidence
 */
export function givenSomething(network: Network, evidence: Evidence, inference: Inference): Inference {
  const none = Math.exp(logOfNone(network, evidence, weightsOf(network, evidence)) - inference.logLikelihood);
  const some = Math.max(1 - none, LEAST_SOME);
  return {
    posterior: inference.posterior.map((p) => Math.min(1, p / some)),
    logLikelihood: inference.logLikelihood + Math.log(some),
  };
}

/** Puts the sums of the parts together. */
export function inferBy(plan: Plan, w: Weights, sums: readonly PartSum[], leaks: number): Inference {
  const posterior = new Array<number>(plan.network.faults.length).fill(0);
  let logLikelihood = leaks;
  for (const f of plan.apart) {
    const [absent, present] = [w.absent[f] ?? 0, w.present[f] ?? 0];
    posterior[f] = absent + present > 0 ? present / (absent + present) : 0;
    logLikelihood += Math.log(absent + present);
  }
  plan.parts.forEach((part, k) => {
    const sum = sums[k];
    logLikelihood += Math.log(sum?.total ?? 0);
    part.faults.forEach((f, i) => {
      posterior[f] = sum && sum.total > 0 ? (sum.present[i] ?? 0) / sum.total : 0;
    });
  });
  return { posterior, logLikelihood };
}

/** Entropy of a yes or no, bits. */
export function entropyOf(p: number): number {
  const term = (q: number): number => (q > 0 ? -q * Math.log2(q) : 0);
  return term(p) + term(1 - p);
}
/** Summed entropy of the faults' posteriors, bits. */
export const entropySum = (posterior: readonly number[]): number => posterior.reduce((s, p) => s + entropyOf(p), 0);
