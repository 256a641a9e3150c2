import type { Evidence, Network } from './faultNetwork.ts';
import { gibbsChain } from './gibbs.ts';
import { linksOf } from './networkPlan.ts';
import { seededUniform } from './seededUniform.ts';
import type { Weights } from './subnetworkSum.ts';

/** Sweeps before the first draw, and from one draw to the next. */
const BEFORE = 120;
const BETWEEN = 8;
const START = 20260601;
/** Which faults are present, in the order of the network's. */
export type State = readonly boolean[];

/**
 * Draws states of the faults as the evidence has them, by Gibbs sampling. The same network and evidence give the same draws.
 * @param something only states with at least one fault count
 * Source: Geman and Geman, Stochastic relaxation, Gibbs distributions and the Bayesian restoration of images (1984).
 */
export function drawStates(network: Network, evidence: Evidence, weights: Weights, draws: number, something: boolean): State[] {
  const random = seededUniform(START);
  const { present, sweep } = gibbsChain(network, evidence, weights, () => true, random);
  for (let k = 0; k < BEFORE; k += 1) sweep();
  return Array.from({ length: draws }, () => {
    for (let k = 0; k < BETWEEN || (something && k < 20 * BETWEEN && !present.some(Boolean)); k += 1) sweep();
    return [...present];
  });
}

/**
 * Draws ways in which some unchecked observations may come out together: what each state of the faults shows of them.
 * @returns ids of what is seen, one list a state, in the order given
 */
export function drawOutcomes(network: Network, states: readonly State[], ids: readonly string[]): string[][] {
  const { observationAt, byObservation } = linksOf(network);
  const random = seededUniform(START);
  return states.map((present) =>
    ids.filter((id) => {
      const o = observationAt.get(id) ?? -1;
      const leak = network.observations[o]?.leak ?? 0;
      const q = (byObservation[o] ?? []).reduce((rest, [i, s]) => (present[i] ? rest * (1 - s) : rest), 1 - leak);
      return random() < 1 - q;
    }),
  );
}
