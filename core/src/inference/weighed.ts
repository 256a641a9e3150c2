import { DomainError } from '../quantity/domainError.ts';
import { type Evidence, type Inference, type Network, checkNetwork, seenIn } from './faultNetwork.ts';
import { drawOutcomes, drawStates, type State } from './drawOutcomes.ts';
import { linksOf, MAX_OPEN, type Plan, planFor } from './networkPlan.ts';
import { MIN_SOME, inferBy, inferChecked, logOfLeaks, logNoFault, weightsOf } from './noisyOr.ts';
import { type SubnetworkSum, type Weights, sumSubnetwork } from './subnetworkSum.ts';

/** One way a check may come out. */
export interface Outcome {
  /** What of its observations is seen then. */
  readonly seen: readonly string[];
  readonly probability: number;
  /** Of each fault, in the order of the network's. */
  readonly posterior: readonly number[];
}

/** Below this share of the evidence's own probability a difference of two sums is no longer exact to the last digits asked of it. */
const RARE = 1e-4;
/** Rarer ways than this for five things and more to come out together change nothing that is shown. */
const NEVER = 1e-10;
/** All joint outcomes of so many unchecked observations are listed, each by itself; of so many they are summed. Source: handbook 35. */
const MAX_LISTED = 4;
const MAX_SUMMED = 10;
/** The sum over so many takes as long as two to that number of them and of what stands open together; beyond this it is drawn as well. */
const MAX_WORK = 13;
/** Outcomes described of a check that settles more than are listed. */
const MAX_DESCRIBED = 5;
/** Of what was drawn nothing is weighed in which more would stand open together. */
const MAX_DRAWN_WIDTH = 10;
/** Outcomes drawn of a check that settles more than are summed. */
const DRAWN = 24;

/** What a check would make of the measure, in expectation, and how it may come out. */
interface Weighing {
  readonly expected: number;
  readonly outcomes: readonly Outcome[];
  readonly exact: boolean;
}

/** What is asked to fall: of the posteriors of all faults. */
export type Measure = (posterior: ArrayLike<number>) => number;

const likeliest = <T extends { readonly probability: number }>(outcomes: readonly T[]): T[] =>
  [...outcomes].sort((a, b) => b.probability - a.probability).slice(0, MAX_DESCRIBED);

/** The sums under the evidence, and what each part comes to; what is asked about is held against it. */
export class Weighed {
  private readonly now: Inference;
  private readonly plan: Plan;
  private readonly weights: Weights;
  private readonly sums: readonly SubnetworkSum[];
  private readonly partOf = new Map<number, number>();
  private readonly leaks: number;
  private readonly observation: ReadonlyMap<string, Network['observations'][number]>;
  /** States of the faults that stand for all, of checks that settle too much at once to go through it. */
  private states: readonly State[] | null = null;
  private readonly network: Network;
  private readonly evidence: Evidence;
  /** Probability that there is no fault at all, where that is known not to be so; else 0. */
  private readonly noFault: number;
  private readonly measure: Measure;
  /**
   * @param something that at least one fault is present is known
   * @param measureOf what is asked to fall, by what each fault is taken for now
   */
  constructor(network: Network, evidence: Evidence, something: boolean, measureOf: (now: readonly number[]) => Measure) {
    checkNetwork(network, evidence);
    this.network = network;
    this.evidence = evidence;
    this.observation = new Map(network.observations.map((o) => [o.id, o]));
    this.plan = planFor(network, seenIn(evidence));
    if (this.plan.parts.some((p) => p.widest > MAX_OPEN))
      throw new DomainError('too_large', 'Too many things seen hang together to weigh the next check exactly.');
    this.weights = weightsOf(network, evidence);
    this.leaks = logOfLeaks(this.plan, evidence);
    this.sums = this.plan.parts.map((p) => sumSubnetwork(this.plan, p, this.weights));
    this.plan.parts.forEach((p, k) => p.faults.forEach((f) => this.partOf.set(f, k)));
    this.now = inferBy(this.plan, this.weights, this.sums, this.leaks);
    this.measure = measureOf(this.now.posterior);
    this.noFault = something ? Math.exp(logNoFault(network, evidence, this.weights) - this.now.logLikelihood) : 0;
  }

  /** The measure as things stand. */
  get before(): number {
    return this.measure(this.outcome([], [], 1, this.now.posterior).posterior);
  }
  /** What of a probability is left without the share in which there is no fault at all. */
  private some(probability: number, none: number): number {
    return this.noFault === 0 ? probability : Math.max(probability - none, probability * MIN_SOME);
  }
  /** An outcome, without the share of it in which there is no fault at all. */
  private outcome(ids: readonly string[], seen: readonly string[], probability: number, posterior: readonly number[]): Outcome {
    if (this.noFault === 0) return { seen, probability, posterior };
    const none = ids.reduce((q, id) => {
      const leak = this.observation.get(id)?.leak ?? 0;
      return q * (seen.includes(id) ? leak : 1 - leak);
    }, this.noFault);
    const some = this.some(probability, none);
    return {
      ...{ seen, probability: some / Math.max(1 - this.noFault, MIN_SOME) },
      posterior: posterior.map((p) => Math.min(1, (p * probability) / some)),
    };
  }

  /** The same with some observations not seen besides. */
  private without(ids: readonly string[]): Inference {
    let at = { present: this.weights.present, sums: this.sums, leaks: this.leaks };
    for (const id of ids) at = { ...this.withUnseen(id, at.present, at.sums, at.leaks) };
    return inferBy(this.plan, { absent: this.weights.absent, present: at.present }, at.sums, at.leaks);
  }

  knows(id: string): boolean {
    return this.observation.has(id);
  }
  /** What some unchecked things together would make of the measure: gone through as far as that takes a reasonable time, drawn beyond. */
  ask(ids: readonly string[]): Weighing {
    if (ids.length <= MAX_LISTED) return this.listed(ids);
    const widest = Math.max(0, ...this.plan.parts.map((p) => p.widest));
    return ids.length <= MAX_SUMMED && ids.length + widest <= MAX_WORK ? this.summed(ids) : this.drawn(ids);
  }
  /** What five to ten things together would make of the measure, and the likeliest ways in which they come out. */
  private summed(ids: readonly string[]): Weighing {
    const [ways, size] = [1 << ids.length, this.network.faults.length];
    // P(evidence, those of a set not seen), relative to the evidence's own, and the same with each fault present.
    const mass = new Float64Array(ways);
    const joint = new Float64Array(ways * size);
    const into = (set: number, inference: Inference): void => {
      const share = Math.exp(inference.logLikelihood - this.now.logLikelihood);
      mass[set] = share;
      for (let f = 0; f < size; f += 1) joint[set * size + f] = share * (inference.posterior[f] ?? 0);
    };
    const go = (set: number, from: number, present: Float64Array, sums: readonly SubnetworkSum[], leaks: number): void => {
      into(set, inferBy(this.plan, { absent: this.weights.absent, present }, sums, leaks));
      for (let i = from; i < ids.length; i += 1) {
        const next = this.withUnseen(ids[i] ?? '', present, sums, leaks);
        go(set | (1 << i), i + 1, next.present, next.sums, next.leaks);
      }
    };
    go(0, 0, Float64Array.from(this.weights.present), this.sums, this.leaks);
    // From “at least these not seen” to “just these not seen”.
    for (let bit = 1; bit < ways; bit <<= 1)
      for (let set = 0; set < ways; set += 1) {
        if ((set & bit) !== 0) continue;
        mass[set] = (mass[set] ?? 0) - (mass[set | bit] ?? 0);
        for (let f = 0; f < size; f += 1) joint[set * size + f] = (joint[set * size + f] ?? 0) - (joint[(set | bit) * size + f] ?? 0);
      }
    const leaks = ids.map((id) => this.observation.get(id)?.leak ?? 0);
    const posterior = new Float64Array(size);
    let expected = 0;
    const ranked: { readonly set: number; readonly probability: number }[] = [];
    for (let set = 0; set < ways; set += 1) {
      const all = mass[set] ?? 0;
      if (all < NEVER) continue;
      const some = this.some(
        all,
        leaks.reduce((q, leak, i) => q * ((set & (1 << i)) === 0 ? leak : 1 - leak), this.noFault),
      );
      for (let f = 0; f < size; f += 1) posterior[f] = Math.min(1, Math.max(0, (joint[set * size + f] ?? 0) / some));
      const probability = some / Math.max(1 - this.noFault, MIN_SOME);
      expected += probability * this.measure(posterior);
      ranked.push({ set, probability });
    }
    const outcomes = likeliest(ranked).map(({ set, probability }) => {
      const seen = ids.filter((_, i) => (set & (1 << i)) === 0);
      const share = mass[set] ?? 0;
      const known = Array.from({ length: size }, (_, f) => Math.min(1, Math.max(0, (joint[set * size + f] ?? 0) / share)));
      return { ...this.outcome(ids, seen, share, known), probability };
    });
    return { expected, outcomes, exact: true };
  }
  /** The same of more things, over ways that were drawn; one that would take long to weigh by itself is left out. */
  private drawn(ids: readonly string[]): Weighing {
    this.states ??= drawStates(this.network, this.evidence, this.weights, DRAWN, this.noFault > 0);
    const drawn = drawOutcomes(this.network, this.states, ids);
    const known = seenIn(this.evidence);
    const counted = new Map<string, { readonly seen: readonly string[]; readonly posterior: readonly number[]; times: number }>();
    for (const seen of drawn) {
      const key = seen.join();
      const before = counted.get(key);
      if (before) {
        before.times += 1;
        continue;
      }
      const plan = planFor(this.network, [...known, ...seen]);
      // What would stand open together takes as long as two to that number.
      if (plan.parts.some((p) => p.widest > MAX_DRAWN_WIDTH)) continue;
      const o = this.direct(ids, seen, plan);
      if (o) counted.set(key, { seen, posterior: o.posterior, times: 1 });
    }
    const list = [...counted.values()];
    const all = list.reduce((n, o) => n + o.times, 0);
    const expected = all === 0 ? this.before : list.reduce((sum, o) => sum + o.times * this.measure(o.posterior), 0) / all;
    const outcomes = list.map((o) => ({ seen: o.seen, probability: o.times / all, posterior: o.posterior }));
    return { expected, outcomes: likeliest(outcomes), exact: false };
  }
  /** One observation not seen besides: only the parts that its faults are in are summed again. */
  private withUnseen(
    id: string,
    before: Float64Array,
    sums: readonly SubnetworkSum[],
    leaks: number,
  ): { readonly present: Float64Array; readonly sums: readonly SubnetworkSum[]; readonly leaks: number } {
    const o = this.observation.get(id);
    const present = Float64Array.from(before);
    if (!o) return { present, sums, leaks };
    const touched = new Set<number>();
    const { observationAt, byObservation } = linksOf(this.network);
    for (const [i, strength] of byObservation[observationAt.get(id) ?? -1] ?? []) {
      present[i] = (present[i] ?? 0) * (1 - strength);
      const part = this.partOf.get(i);
      if (part !== undefined) touched.add(part);
    }
    const w = { absent: this.weights.absent, present };
    const next =
      touched.size === 0
        ? sums
        : this.plan.parts.map((part, k) => (touched.has(k) ? sumSubnetwork(this.plan, part, w) : (sums[k] ?? { total: 0, present: [] })));
    return { present, sums: next, leaks: leaks + Math.log1p(-o.leak) };
  }

  /** What up to four things together would make of the measure, with every way in which they may come out. */
  private listed(ids: readonly string[]): Weighing {
    const outcomes = this.outcomes(ids);
    return { expected: outcomes.reduce((sum, o) => sum + o.probability * this.measure(o.posterior), 0), outcomes, exact: true };
  }
  /** All ways in which some unchecked observations may come out together, in the order of binary counting. */
  private outcomes(ids: readonly string[]): Outcome[] {
    const base = this.now.logLikelihood;
    const ways = 1 << ids.length;
    // P(evidence, those of a set not seen), relative to the evidence's own, and the same with each fault present.
    const mass: number[] = [];
    const joint: number[][] = [];
    for (let unseen = 0; unseen < ways; unseen += 1) {
      const list = ids.filter((_, i) => (unseen & (1 << (ids.length - 1 - i))) !== 0);
      const inference = list.length === 0 ? this.now : this.without(list);
      const share = Math.exp(inference.logLikelihood - base);
      mass.push(share);
      joint.push(inference.posterior.map((p) => p * share));
    }
    const result: Outcome[] = [];
    for (let pattern = 0; pattern < ways; pattern += 1) {
      const seen = ids.filter((_, i) => (pattern & (1 << (ids.length - 1 - i))) !== 0);
      const notSeen = ways - 1 - pattern;
      let probability = 0;
      const present = new Array<number>(this.network.faults.length).fill(0);
      // Inclusion and exclusion over what is seen: P(A seen, B not) = Σ over subsets of A of ±P(subset and B not).
      for (let sub = pattern; ; sub = (sub - 1) & pattern) {
        const sign = bits(sub) % 2 === 0 ? 1 : -1;
        const k = sub | notSeen;
        probability += sign * (mass[k] ?? 0);
        joint[k]?.forEach((v, f) => {
          present[f] = (present[f] ?? 0) + sign * v;
        });
        if (sub === 0) break;
      }
      if (seen.length > 0 && probability < RARE) {
        const direct = this.direct(ids, seen);
        if (direct) result.push(direct);
        continue;
      }
      const posterior = present.map((v) => Math.min(1, Math.max(0, v / probability)));
      if (probability > 0) result.push(this.outcome(ids, seen, probability, posterior));
    }
    return result;
  }
  /** A rare outcome reckoned by itself; null where it cannot happen. */
  private direct(ids: readonly string[], seen: readonly string[], plan?: Plan): Outcome | null {
    const more = Object.fromEntries(ids.map((id) => [id, seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]));
    try {
      const inference = inferChecked(this.network, { ...this.evidence, observations: { ...this.evidence.observations, ...more } }, plan);
      return this.outcome(ids, seen, Math.exp(inference.logLikelihood - this.now.logLikelihood), inference.posterior);
    } catch (error) {
      if (error instanceof DomainError && (error.code === 'impossible_evidence' || error.code === 'too_large')) return null;
      throw error;
    }
  }
}

const bits = (n: number): number => {
  let count = 0;
  for (let m = n; m !== 0; m &= m - 1) count += 1;
  return count;
};
