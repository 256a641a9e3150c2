import type { Evidence, Network } from './faultNetwork.ts';
import { MIN_SOME } from './noisyOr.ts';

/** What it costs to leave a fault in, and to work on it in vain, minutes, where the network does not say; generic. */
const [MISS, NEEDLESS] = [150, 60];
/**
 * Least that deciding now costs in expectation, each fault either left in or worked on: the sum over faults of
 * weight × min(p × miss, (1 − p) × needless), minutes.
 * @param posterior of each fault, 0 to 1, in the order of the network's
 * @param weights of each fault, in the same order; one where none are given
 * Source: handbook 35, What a check is worth.
 */
export function decisionLoss(network: Network, posterior: ArrayLike<number>, weights?: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < network.faults.length; i += 1) {
    const [fault, p] = [network.faults[i], posterior[i] ?? 0];
    sum += (weights?.[i] ?? 1) * Math.min(p * (fault?.miss ?? MISS), (1 - p) * (fault?.needless ?? NEEDLESS));
  }
  return sum;
}

/** Whether a fault is worked on, as likely as it is: leaving it in would cost more. */
export function isTakenUp(fault: Network['faults'][number] | undefined, p: number): boolean {
  return p * (fault?.miss ?? MISS) > (1 - p) * (fault?.needless ?? NEEDLESS);
}

/** What no complaint points at counts so much beside it, as long as nothing is found that explains what was seen. */
const BESIDE = 0.06;
/** A cause explains what was seen once it is this likely; a link weaker than that does not count. */
const [EXPLAINS, A_LINK] = [0.5, 0.1];

/**
 * How much each fault counts in what a check is worth: the share of its probability that what was seen has brought, so that
 * the complaint comes first; the rest of the vehicle the more, the better what was seen is explained. All in full where
 * nothing was seen.
 * Source: handbook 35: complaints come first.
 */
export function concern(network: Network, evidence: Evidence, posterior: readonly number[]): Float64Array {
  const seen = network.observations.filter((o) => evidence.observations[o.id] === 'seen');
  const likely = new Map(network.faults.map((f, i) => [f.id, posterior[i] ?? 0]));
  const explained = seen.map((o) => Math.max(0, ...Object.entries(o.strengths).map(([f, s]) => (s >= A_LINK ? (likely.get(f) ?? 0) : 0))));
  const mean = explained.length === 0 ? 1 : explained.reduce((a, b) => a + b, 0) / explained.length;
  const beside = BESIDE + (1 - BESIDE) * (mean > EXPLAINS ? mean : 0);
  return Float64Array.from(network.faults, (f, i) => Math.max(beside, 1 - f.prior / Math.max(posterior[i] ?? 0, f.prior, MIN_SOME)));
}
