import type { Evidence, Network } from './faultNetwork.ts';
import { gibbsChain } from './gibbs.ts';
import { seededUniform } from './seededUniform.ts';
import type { Weights } from './subnetworkSum.ts';

/** Sweeps before the first draw, and from one draw to the next. */
const BEFORE = 120;
const BETWEEN = 8;
const START = 20260601;
/**
 * Draws ways in which some unchecked observations may come out together: faults as the evidence has them, by Gibbs sampling,
 * and what each state of them shows. The same network and evidence give the same draws.
 * @param something only states with at least one fault count
 * @returns ids of what is seen, one list a draw, in the order given
 * Source: Geman and Geman, Stochastic relaxation, Gibbs distributions and the Bayesian restoration of images (1984).
 */
export function drawOutcomes(
  network: Network,
  evidence: Evidence,
  weights: Weights,
  ids: readonly string[],
  draws: number,
  something: boolean,
): string[][] {
  const at = new Map(network.faults.map((f, i) => [f.id, i]));
  const byId = new Map(network.observations.map((o) => [o.id, o]));
  const random = seededUniform(START);
  const { present, sweep } = gibbsChain(network, evidence, weights, () => true, random);
  for (let k = 0; k < BEFORE; k += 1) sweep();
  const wanted = ids.flatMap((id) => {
    const o = byId.get(id);
    if (!o) return [];
    const by = Object.entries(o.strengths).flatMap(([f, s]): [number, number][] => {
      const i = at.get(f);
      return i === undefined ? [] : [[i, s]];
    });
    return [{ id, leak: o.leak, by }];
  });
  return Array.from({ length: draws }, () => {
    for (let k = 0; k < BETWEEN || (something && k < 20 * BETWEEN && !present.some(Boolean)); k += 1) sweep();
    return wanted.flatMap(({ id, leak, by }) => {
      const q = by.reduce((rest, [i, s]) => (present[i] ? rest * (1 - s) : rest), 1 - leak);
      return random() < 1 - q ? [id] : [];
    });
  });
}
