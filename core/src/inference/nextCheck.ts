import { DomainError } from '../quantity/domainError.ts';
import { type Evidence, type Inference, type Network, seenIn } from './faultNetwork.ts';
import { MAX_OPEN, type Plan, planFor } from './networkPlan.ts';
import { MIN_SOME, entropySum, infer, inferBy, logOfLeaks, logNoFault, weightsOf } from './noisyOr.ts';
import { type SubnetworkSum, type Weights, sumSubnetwork } from './subnetworkSum.ts';

/** A check settles some observations and costs its minutes. */
export interface NetworkCheck {
  readonly id: string;
  readonly minutes: number;
  /** Ids of the observations it settles. */
  readonly observations: readonly string[];
  /** It is done by driving. */
  readonly drives?: boolean;
}

/** One way a check may come out. */
interface Outcome {
  /** What of its observations is seen then. */
  readonly seen: readonly string[];
  readonly probability: number;
  /** Of each fault, in the order of the network's. */
  readonly posterior: readonly number[];
}

export interface Worth {
  readonly check: NetworkCheck;
  /** Expected drop of the summed entropy of the faults' posteriors, bits. */
  readonly entropyDrop: number;
  readonly entropyDropPerMinute: number;
  /**
   * False where it settles more at once than can be gone through: the drop is then the sum of what each thing would say by
   * itself, and the outcomes are nothing seen and single things seen, whatever else is.
   */
  readonly exact: boolean;
  readonly outcomes: readonly Outcome[];
}

/** Below this share of the evidence's own probability a difference of two sums is no longer exact enough. */
const RARE = 1e-4;
/** A check that settles more unchecked observations than this at once is not weighed over all its joint outcomes. */
const MAX_AT_ONCE = 4;
/** Outcomes described of such a check: none of it, and the likeliest things by themselves. */
const MAX_SINGLE = 4;

/** The sums under the evidence, and what each part comes to; what is asked about is held against it. */
class Weighed {
  private readonly now: Inference;
  private readonly plan: Plan;
  private readonly weights: Weights;
  private readonly sums: readonly SubnetworkSum[];
  private readonly partOf = new Map<number, number>();
  private readonly leaks: number;
  private readonly at: ReadonlyMap<string, number>;
  private readonly network: Network;
  private readonly evidence: Evidence;
  /** Probability that there is no fault at all, where that is known not to be so; else 0. */
  private readonly noFault: number;
  /** @param something that at least one fault is present is known */
  constructor(network: Network, evidence: Evidence, something: boolean) {
    this.network = network;
    this.evidence = evidence;
    this.at = new Map(network.faults.map((f, i) => [f.id, i]));
    this.plan = planFor(network, seenIn(evidence));
    if (this.plan.parts.some((p) => p.widest > MAX_OPEN))
      throw new DomainError('too_large', 'Too many things seen hang together to weigh the next check exactly.');
    this.weights = weightsOf(network, evidence);
    this.leaks = logOfLeaks(this.plan, evidence);
    this.sums = this.plan.parts.map((p) => sumSubnetwork(this.plan, p, this.weights));
    this.plan.parts.forEach((p, k) => p.faults.forEach((f) => this.partOf.set(f, k)));
    this.now = inferBy(this.plan, this.weights, this.sums, this.leaks);
    this.noFault = something ? Math.exp(logNoFault(network, evidence, this.weights) - this.now.logLikelihood) : 0;
  }

  /** What is known of each fault now. */
  get known(): readonly number[] {
    return this.outcome([], [], 1, this.now.posterior).posterior;
  }
  /** An outcome, without the share of it in which there is no fault at all. */
  private outcome(ids: readonly string[], seen: readonly string[], probability: number, posterior: readonly number[]): Outcome {
    if (this.noFault === 0) return { seen, probability, posterior };
    const none = ids.reduce((q, id) => {
      const leak = this.network.observations.find((o) => o.id === id)?.leak ?? 0;
      return q * (seen.includes(id) ? leak : 1 - leak);
    }, this.noFault);
    const some = Math.max(probability - none, probability * MIN_SOME);
    return {
      ...{ seen, probability: some / Math.max(1 - this.noFault, MIN_SOME) },
      posterior: posterior.map((p) => Math.min(1, (p * probability) / some)),
    };
  }

  /** The same with some observations not seen besides: only the parts that their faults are in are summed again. */
  private without(ids: readonly string[]): Inference {
    const present = Float64Array.from(this.weights.present);
    const touched = new Set<number>();
    let leaks = this.leaks;
    for (const id of ids) {
      const o = this.network.observations.find((x) => x.id === id);
      if (!o) continue;
      leaks += Math.log1p(-o.leak);
      for (const [fault, strength] of Object.entries(o.strengths)) {
        const i = this.at.get(fault);
        if (i === undefined || strength === 0) continue;
        present[i] = (present[i] ?? 0) * (1 - strength);
        const part = this.partOf.get(i);
        if (part !== undefined) touched.add(part);
      }
    }
    const w = { absent: this.weights.absent, present };
    const sums = this.plan.parts.map((p, k) =>
      touched.has(k) ? sumSubnetwork(this.plan, p, w) : (this.sums[k] ?? { total: 0, present: [] }),
    );
    return inferBy(this.plan, w, sums, leaks);
  }

  private readonly alone = new Map<string, { readonly drop: number; readonly seen: Outcome }>();
  /** What one thing would say by itself, whether it is seen or not. */
  single(id: string): { readonly drop: number; readonly seen: Outcome } {
    const known = this.alone.get(id);
    if (known) return known;
    const outcomes = this.outcomes([id]);
    const drop = entropySum(this.known) - outcomes.reduce((s, o) => s + o.probability * entropySum(o.posterior), 0);
    const seen = outcomes.find((o) => o.seen.length > 0) ?? { seen: [id], probability: 0, posterior: this.known };
    this.alone.set(id, { drop, seen });
    return { drop, seen };
  }
  /** None of some things seen. */
  none(ids: readonly string[]): Outcome {
    const inference = this.without(ids);
    return this.outcome(ids, [], Math.exp(inference.logLikelihood - this.now.logLikelihood), inference.posterior);
  }

  /** All ways in which some unchecked observations may come out together, in the order of binary counting. */
  outcomes(ids: readonly string[]): Outcome[] {
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
  private direct(ids: readonly string[], seen: readonly string[]): Outcome | null {
    const more = Object.fromEntries(ids.map((id) => [id, seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]));
    try {
      const inference = infer(this.network, { ...this.evidence, observations: { ...this.evidence.observations, ...more } });
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

/**
 * What each check would be worth now: the expected drop of the summed entropy of the faults' posteriors over all joint
 * outcomes of what it settles and is still unchecked, divided by its minutes; the most first, equal ones in the order given.
 * A check of which everything is known already is left out.
 * @param complaint that at least one fault is present is known
 * @throws DomainError too_large, and those of infer
 * Source: handbook 30, Next check worth doing.
 */
export function expectedInfoGain(network: Network, evidence: Evidence, checks: readonly NetworkCheck[], complaint = false): Worth[] {
  const weighed = new Weighed(network, evidence, complaint);
  const before = entropySum(weighed.known);
  const known = new Set(network.observations.map((o) => o.id));
  return checks
    .flatMap((check): Worth[] => {
      const open = check.observations.filter((id) => evidence.observations[id] === undefined && known.has(id));
      if (open.length === 0) return [];
      if (open.length > MAX_AT_ONCE) {
        const singles = open.map((id) => weighed.single(id));
        const drop = Math.min(
          before,
          singles.reduce((s, x) => s + x.drop, 0),
        );
        const likeliest = singles.map((x) => x.seen).sort((a, b) => b.probability - a.probability);
        const outcomes = [weighed.none(open), ...likeliest.slice(0, MAX_SINGLE)];
        return [{ check, entropyDrop: drop, entropyDropPerMinute: drop / check.minutes, exact: false, outcomes }];
      }
      const outcomes = weighed.outcomes(open);
      const drop = before - outcomes.reduce((s, o) => s + o.probability * entropySum(o.posterior), 0);
      return [{ check, entropyDrop: drop, entropyDropPerMinute: drop / check.minutes, exact: true, outcomes }];
    })
    .map((w, i) => ({ w, i }))
    .sort((a, b) => b.w.entropyDropPerMinute - a.w.entropyDropPerMinute || a.i - b.i)
    .map(({ w }) => w);
}
