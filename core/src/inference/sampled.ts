import { gibbsChain } from './gibbs.ts';
import { seededUniform } from './seededUniform.ts';
import { type Evidence, type Inference, type Network, checkNetwork } from './faultNetwork.ts';
import { weightsOf } from './noisyOr.ts';

/** Chains, and how often each goes through all faults; the first tenth is thrown away. */
const CHAINS = 8;
const SWEEPS = 1500;
const START = 20260101;

export interface SampledInference extends Inference {
  /** Standard error of the worst posterior, from the spread of the chains, 0 to 1. */
  readonly error: number;
}

/**
 * Posteriors by Gibbs sampling, for more things seen at once than can be weighed exactly. Each fault in turn is drawn
 * given all the others; a chain starts with every fault that something seen may come from, present by an even chance.
 * The marginal likelihood is not reckoned: it is NaN.
 * @throws DomainError as infer, but too_large
 * Source: Geman and Geman, Stochastic relaxation, Gibbs distributions and the Bayesian restoration of images (1984); error
 * by the spread of independent chains.
 */
export function inferSampled(network: Network, evidence: Evidence): SampledInference {
  checkNetwork(network, evidence);
  const w = weightsOf(network, evidence);
  const random = seededUniform(START);
  const means: number[][] = [];
  for (let chain = 0; chain < CHAINS; chain += 1) {
    const { present, sweep } = gibbsChain(network, evidence, w, () => random() < 0.5, random);
    const count = new Float64Array(present.length);
    const burn = Math.floor(SWEEPS / 10);
    for (let n = 0; n < SWEEPS; n += 1) {
      sweep();
      if (n >= burn) for (let i = 0; i < present.length; i += 1) if (present[i]) count[i] = (count[i] ?? 0) + 1;
    }
    means.push([...count].map((c) => c / (SWEEPS - burn)));
  }
  let error = 0;
  const posterior = network.faults.map((_, i) => {
    const mine = means.map((m) => m[i] ?? 0);
    const mean = mine.reduce((s, x) => s + x, 0) / CHAINS;
    const spread = mine.reduce((s, x) => s + (x - mean) ** 2, 0) / (CHAINS - 1);
    error = Math.max(error, Math.sqrt(spread / CHAINS));
    return mean;
  });
  return { posterior, logLikelihood: NaN, error };
}
