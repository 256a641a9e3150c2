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
  const at = new Map(network.faults.map((f, i) => [f.id, i]));
  const seen = network.observations.filter((o) => evidence.observations[o.id] === 'seen');
  const linksOf: [number, number][][] = network.faults.map(() => []);
  seen.forEach((o, k) => {
    for (const [id, s] of Object.entries(o.strengths)) {
      const i = at.get(id);
      if (i !== undefined && s > 0) linksOf[i]?.push([k, s]);
    }
  });
  const random = seededUniform(START);
  const means: number[][] = [];
  for (let chain = 0; chain < CHAINS; chain += 1) {
    const on = network.faults.map((_, i) =>
      w.absent[i] === 0 ? true : w.present[i] !== 0 && (linksOf[i]?.length ?? 0) > 0 && random() < 0.5,
    );
    const count = new Float64Array(on.length);
    // Logarithm of the chance that nothing brings each seen thing about; links of strength 1 are counted apart.
    const unseen = seen.map((o) => Math.log1p(-Math.min(o.leak, 1 - 1e-12)));
    const flip = (i: number, way: 1 | -1): void => {
      for (const [k, s] of linksOf[i] ?? []) unseen[k] = (unseen[k] ?? 0) + way * Math.log1p(-Math.min(s, 1 - 1e-12));
    };
    on.forEach((present, i) => present && flip(i, 1));
    const burn = Math.floor(SWEEPS / 10);
    for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
      for (let i = 0; i < on.length; i += 1) {
        if (w.absent[i] === 0 || w.present[i] === 0) {
          if (sweep >= burn && on[i]) count[i] = (count[i] ?? 0) + 1;
          continue;
        }
        if (on[i]) flip(i, -1);
        let odds = Math.log(w.present[i] ?? 0) - Math.log(w.absent[i] ?? 0);
        for (const [k, s] of linksOf[i] ?? []) {
          const q = unseen[k] ?? 0;
          // P(seen) with the fault and without it; from q near 0 by expm1, so that a leak of nothing does not divide by zero.
          odds += Math.log(-Math.expm1(q + Math.log1p(-Math.min(s, 1 - 1e-12)))) - Math.log(Math.max(-Math.expm1(q), 1e-300));
        }
        on[i] = random() < 1 / (1 + Math.exp(-odds));
        if (on[i]) flip(i, 1);
        if (sweep >= burn && on[i]) count[i] = (count[i] ?? 0) + 1;
      }
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
