import { toResult } from '../quantity/domainError.ts';
import type { Evidence, Network } from './faultNetwork.ts';
import { infer } from './noisyOr.ts';

/** How much one observation speaks for a fault or against it. */
export interface Contribution {
  readonly observation: string;
  /** Natural log of the odds with all the evidence, less that with this observation unchecked: positive speaks for the fault. */
  readonly logOdds: number;
}

const without = (evidence: Evidence, id: string): Evidence => {
  const { [id]: _gone, ...observations } = evidence.observations;
  return { ...evidence, observations };
};
const logOdds = (p: number): number => Math.log(p) - Math.log1p(-p);

/**
 * What speaks for a fault and against it, the strongest first; null where the fault is certain either way. The evidence is
 * weighed without each observation once, whatever number of faults is asked about.
 * @returns by the fault's number in the network
 * Source: handbook 30, Explain.
 */
export function contributionsOf(network: Network, evidence: Evidence): (fault: number) => Contribution[] | null {
  const now = infer(network, evidence).posterior;
  const less = Object.keys(evidence.observations).map((observation) => ({
    observation,
    posterior: infer(network, without(evidence, observation)).posterior,
  }));
  return (fault) => {
    const p = now[fault];
    if (p === undefined || p === 0 || p === 1) return null;
    return less
      .map(({ observation, posterior }): Contribution => ({ observation, logOdds: logOdds(p) - logOdds(posterior[fault] ?? 0) }))
      .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds));
  };
}

/** Two things that do not go together. */
export interface Contradiction {
  readonly observation: string;
  /** What it goes together with least. */
  readonly against: string | null;
  /** How likely it was, given all the others, 0 to 1. */
  readonly likelihood: number;
}

/** An observation less likely than this, given all the others, does not go together with them. */
const ODD = 0.03;
/** If it is the others that make it so: it is by so much less likely than it would be with nothing else known. */
const MADE_ODD = 1 / 3;
/** So many of them are looked into, the least likely first. */
const MAX_ODD = 2;

/**
 * Evidence that does not go together: an observation that all the others make very unlikely, and the one of them that
 * does so most. Taken out, either leaves a far likelier whole. What is rare anyway is not odd for that.
 * Source: handbook 30; the ratio of the marginal likelihoods with and without.
 */
export function contradictions(network: Network, evidence: Evidence): Contradiction[] {
  const ids = Object.keys(evidence.observations);
  const likely = (e: Evidence): number => {
    const done = toResult(() => infer(network, e).logLikelihood);
    return done.ok ? done.value : -Infinity;
  };
  const all = likely(evidence);
  const certain = likely({ ...evidence, observations: {} });
  /** How likely one thing is with nothing else observed. */
  const alone = (id: string, state: 'seen' | 'not_seen'): number =>
    Math.exp(likely({ ...evidence, observations: { [id]: state } }) - certain);
  const odd = ids
    .flatMap((observation) => {
      const rest = likely(without(evidence, observation));
      const likelihood = rest === -Infinity ? 1 : Math.exp(all - rest);
      const isOdd = likelihood < ODD && likelihood < MADE_ODD * alone(observation, evidence.observations[observation] ?? 'seen');
      return isOdd ? [{ observation, rest, likelihood }] : [];
    })
    .sort((a, b) => a.likelihood - b.likelihood)
    .slice(0, MAX_ODD);
  return odd.map(({ observation, rest, likelihood }): Contradiction => {
    let against: { id: string; gain: number } | null = null;
    for (const other of ids) {
      if (other === observation) continue;
      const less = without(evidence, other);
      const gain = likely(less) - likely(without(less, observation)) - (all - rest);
      if (against === null || gain > against.gain) against = { id: other, gain };
    }
    return { observation, against: against && against.gain > Math.LN2 ? against.id : null, likelihood };
  });
}
