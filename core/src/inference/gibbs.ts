import type { Evidence, Network } from './faultNetwork.ts';
import type { Weights } from './subnetworkSum.ts';

/** Strengths and leaks of one are taken for hardly less, so that their logarithms are numbers. */
const BELOW_ONE = 1 - 1e-12;
const logNone = (p: number): number => Math.log1p(-Math.min(p, BELOW_ONE));

/** A chain of states of all faults under the evidence. */
export interface Chain {
  /** Which faults are present in the state it is in, in the order of the network's. */
  readonly present: readonly boolean[];
  /** Draws each fault in turn given all the others. */
  sweep(): void;
}

/**
 * A Gibbs chain over the faults of a network; what is certain stays as it is.
 * @param starts whether a fault that something seen may come from is present at first
 * @param random even numbers from 0 up to 1
 * Source: Geman and Geman, Stochastic relaxation, Gibbs distributions and the Bayesian restoration of images (1984).
 */
export function gibbsChain(network: Network, evidence: Evidence, w: Weights, starts: () => boolean, random: () => number): Chain {
  const at = new Map(network.faults.map((f, i) => [f.id, i]));
  const seen = network.observations.filter((o) => evidence.observations[o.id] === 'seen');
  const links: [number, number][][] = network.faults.map(() => []);
  seen.forEach((o, k) => {
    for (const [id, s] of Object.entries(o.strengths)) {
      const i = at.get(id);
      if (i !== undefined && s > 0) links[i]?.push([k, logNone(s)]);
    }
  });
  const odds = network.faults.map((_, i) => Math.log(w.present[i] ?? 0) - Math.log(w.absent[i] ?? 0));
  const present = odds.map((o, i) => o === Infinity || (o !== -Infinity && (links[i]?.length ?? 0) > 0 && starts()));
  // Logarithm of the chance that nothing brings each seen thing about.
  const none = seen.map((o) => logNone(o.leak));
  const flip = (i: number, way: 1 | -1): void => {
    for (const [k, s] of links[i] ?? []) none[k] = (none[k] ?? 0) + way * s;
  };
  present.forEach((on, i) => on && flip(i, 1));
  const sweep = (): void => {
    for (let i = 0; i < present.length; i += 1) {
      let now = odds[i] ?? 0;
      if (!Number.isFinite(now)) continue;
      if (present[i]) flip(i, -1);
      for (const [k, s] of links[i] ?? []) {
        const q = none[k] ?? 0;
        // P(seen) with the fault and without it; from q near 0 by expm1, so that a leak of nothing does not divide by zero.
        now += Math.log(-Math.expm1(q + s)) - Math.log(Math.max(-Math.expm1(q), 1e-300));
      }
      present[i] = random() < 1 / (1 + Math.exp(-now));
      if (present[i]) flip(i, 1);
    }
  };
  return { present, sweep };
}
