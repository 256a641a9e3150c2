import type { Evidence, Network } from './faultNetwork.ts';
import { seededUniform } from './seededUniform.ts';
import type { Weights } from './subnetworkSum.ts';

/** Sweeps before the first draw, and from one draw to the next. */
const BEFORE = 120;
const BETWEEN = 8;
const START = 20260601;
/** Strengths and leaks of one are taken for hardly less, so that their logarithms are numbers. */
const BELOW_ONE = 1 - 1e-12;
const logNone = (p: number): number => Math.log1p(-Math.min(p, BELOW_ONE));

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
  const seen = network.observations.filter((o) => evidence.observations[o.id] === 'seen');
  const links: [number, number][][] = network.faults.map(() => []);
  seen.forEach((o, k) => {
    for (const [id, s] of Object.entries(o.strengths)) {
      const i = at.get(id);
      if (i !== undefined && s > 0) links[i]?.push([k, logNone(s)]);
    }
  });
  const random = seededUniform(START);
  const odds = network.faults.map((_, i) => Math.log(weights.present[i] ?? 0) - Math.log(weights.absent[i] ?? 0));
  const present = network.faults.map((_, i) => odds[i] === Infinity || (odds[i] !== -Infinity && (links[i]?.length ?? 0) > 0));
  // Logarithm of the chance that nothing brings each seen thing about.
  const none = seen.map((o) => logNone(o.leak));
  const flip = (i: number, way: 1 | -1): void => {
    for (const [k, s] of links[i] ?? []) none[k] = (none[k] ?? 0) + way * s;
  };
  present.forEach((on, i) => on && flip(i, 1));
  const sweep = (): void => {
    for (let i = 0; i < present.length; i += 1) {
      const prior = odds[i] ?? 0;
      if (!Number.isFinite(prior)) continue;
      if (present[i]) flip(i, -1);
      let now = prior;
      for (const [k, s] of links[i] ?? []) {
        const q = none[k] ?? 0;
        now += Math.log(-Math.expm1(q + s)) - Math.log(Math.max(-Math.expm1(q), 1e-300));
      }
      present[i] = random() < 1 / (1 + Math.exp(-now));
      if (present[i]) flip(i, 1);
    }
  };
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
