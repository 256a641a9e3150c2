import { DomainError } from '../quantity/domainError.ts';
import { type Evidence, type Inference, type Network, checkNetwork, seenIn } from './faultNetwork.ts';
import { linksOf, MAX_OPEN, type Plan, planFor } from './networkPlan.ts';
import { type SubnetworkSum, type Weights, sumSubnetwork } from './subnetworkSum.ts';

/** Weights of every fault under the evidence: what was not seen multiplies straight in. */
export function weightsOf(network: Network, evidence: Evidence): Weights {
  const absent = new Float64Array(network.faults.length);
  const present = new Float64Array(network.faults.length);
  network.faults.forEach((f, i) => {
    const known = evidence.certain[f.id];
    absent[i] = known === 'present' ? 0 : 1 - f.prior;
    present[i] = known === 'absent' ? 0 : f.prior;
  });
  const { byObservation } = linksOf(network);
  network.observations.forEach((o, k) => {
    if (evidence.observations[o.id] !== 'not_seen') return;
    for (const [i, strength] of byObservation[k] ?? []) present[i] = (present[i] ?? 0) * (1 - strength);
  });
  return { absent, present };
}

/** Everything but the parts: leaks of what was not seen, and of what only a leak brings about. */
export function logOfLeaks(plan: Plan, evidence: Evidence): number {
  const { observations } = plan.network;
  const unseen = observations.reduce((s, o) => (evidence.observations[o.id] === 'not_seen' ? s + Math.log1p(-o.leak) : s), 0);
  return plan.leaksOnly.reduce((s, o) => s + Math.log(observations[o]?.leak ?? 0), unseen);
}

/** Most seen observations that stand open at once under the evidence: the sum takes as long as two to that power. */
export function maxWidth(network: Network, evidence: Evidence): number {
  return Math.max(0, ...planFor(network, seenIn(evidence)).parts.map((p) => p.widest));
}

/**
 * Exact posterior of every fault under noisy-OR with leaks, for any number of faults at once:
 * P(seen | faults) = 1 − (1 − leak) × Π over present faults of (1 − strength).
 * @throws DomainError bad_probability, unknown_id, impossible_evidence, too_large where more seen observations hang together than the table holds
 * Source: handbook 30, How the evidence is weighed.
 */
export function infer(network: Network, evidence: Evidence): Inference {
  checkNetwork(network, evidence);
  return inferChecked(network, evidence);
}

/**
 * The same of a network and evidence that were checked before.
 * @param plan of the same network and of what is seen
 */
export function inferChecked(network: Network, evidence: Evidence, plan: Plan = planFor(network, seenIn(evidence))): Inference {
  const widest = Math.max(0, ...plan.parts.map((p) => p.widest));
  if (widest > MAX_OPEN)
    throw new DomainError(
      'too_large',
      `${widest} things seen hang together: more than ${MAX_OPEN} cannot be weighed exactly in reasonable time.`,
    );
  const w = weightsOf(network, evidence);
  const inference = inferBy(
    plan,
    w,
    plan.parts.map((p) => sumSubnetwork(plan, p, w)),
    logOfLeaks(plan, evidence),
  );
  if (inference.logLikelihood === -Infinity)
    throw new DomainError('impossible_evidence', 'These findings cannot stand together: nothing in the network brings them about.');
  return inference;
}

/** Natural logarithm of the probability of the evidence together with no fault being present at all. */
export function logNoFault(network: Network, evidence: Evidence, w: Weights): number {
  const leaks = network.observations.reduce((s, o) => {
    const state = evidence.observations[o.id];
    return state === 'seen' ? s + Math.log(o.leak) : state === 'not_seen' ? s + Math.log1p(-o.leak) : s;
  }, 0);
  return w.absent.reduce((s, p) => s + Math.log(p), leaks);
}

/** Where nothing but leaks explains it, rounding must not divide by nothing. */
export const MIN_SOME = 1e-9;

/**
 * The same where it is known besides that at least one fault is present, as of a vehicle that somebody complains about:
 * every posterior over one less the probability that there is none.
 * @param inference of the same network and evidence
 */
export function conditionOnAnyFault(network: Network, evidence: Evidence, inference: Inference): Inference {
  const none = Math.exp(logNoFault(network, evidence, weightsOf(network, evidence)) - inference.logLikelihood);
  const some = Math.max(1 - none, MIN_SOME);
  return {
    posterior: inference.posterior.map((p) => Math.min(1, p / some)),
    logLikelihood: inference.logLikelihood + Math.log(some),
  };
}

/** Puts the sums of the parts together. */
export function inferBy(plan: Plan, w: Weights, sums: readonly SubnetworkSum[], leaks: number): Inference {
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
      // What is certain is so to the last digit.
      posterior[f] = !sum || sum.total <= 0 ? 0 : w.absent[f] === 0 ? 1 : (sum.present[i] ?? 0) / sum.total;
    });
  });
  return { posterior, logLikelihood };
}

function entropyTerm(q: number): number {
  return q > 0 ? -q * Math.log2(q) : 0;
}
/** Summed entropy of the faults' posteriors, each a yes or no, bits. */
export function entropySum(posterior: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < posterior.length; i += 1) sum += entropyTerm(posterior[i] ?? 0) + entropyTerm(1 - (posterior[i] ?? 0));
  return sum;
}
