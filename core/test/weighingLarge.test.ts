import { expect } from 'chai';
import type { Evidence, Network } from '../src/inference/faultNetwork.ts';
import { infer } from '../src/inference/noisyOr.ts';

const SCALE = 1000n;

describe('exact inference of a hundred faults and fifteen seen', () => {
  interface Whole {
    readonly prior: readonly bigint[];
    readonly leak: readonly bigint[];
    /** Of each fault, by observation; none where it brings it never about. */
    readonly strength: readonly ReadonlyMap<number, bigint>[];
  }
  /** Priors, leaks and strengths in thousandths, so that whole numbers carry them exactly. */
  function large(seed: number): { network: Network; evidence: Evidence; whole: Whole } {
    let state = seed;
    const next = (): number => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 32;
    };
    const prior = Array.from({ length: 100 }, () => BigInt(10 + Math.floor(next() * 200)));
    const leak = Array.from({ length: 15 }, () => BigInt(5 + Math.floor(next() * 60)));
    const strength = prior.map(
      () => new Map(leak.flatMap((_, k) => (next() < 0.12 ? [[k, BigInt(200 + Math.floor(next() * 750))] as const] : []))),
    );
    const of = (v: bigint): number => Number(v) / Number(SCALE);
    const network: Network = {
      faults: prior.map((p, i) => ({ id: `f${i}`, prior: of(p) })),
      observations: leak.map((l, k) => ({
        id: `o${k}`,
        leak: of(l),
        strengths: Object.fromEntries(strength.flatMap((list, i) => (list.has(k) ? [[`f${i}`, of(list.get(k) ?? 0n)]] : []))),
      })),
    };
    const evidence: Evidence = { observations: Object.fromEntries(leak.map((_, k) => [`o${k}`, 'seen' as const])), certain: {} };
    return { network, evidence, whole: { prior, leak, strength } };
  }
  /** Inclusion and exclusion over the subsets of what was seen, in whole numbers: slow, and without any rounding. */
  function inWholeNumbers({ prior, leak, strength }: Whole, faults: readonly number[]): number[] {
    /** Of a fault in a subset: present, and present or absent, over the same denominator whatever the subset. */
    const known = strength.map(() => new Map<number, readonly [bigint, bigint]>());
    const factor = (i: number, set: number): readonly [bigint, bigint] => {
      const links = strength[i] ?? new Map<number, bigint>();
      const mine = [...links.keys()].reduce((m, k) => m | (set & (1 << k)), 0);
      const cached = known[i]?.get(mine);
      if (cached) return cached;
      let present = prior[i] ?? 0n;
      for (const [k, s] of links) present *= (mine & (1 << k)) === 0 ? SCALE : SCALE - s;
      const both = present + (SCALE - (prior[i] ?? 0n)) * SCALE ** BigInt(links.size);
      known[i]?.set(mine, [present, both]);
      return [present, both];
    };
    let all = 0n;
    const having = faults.map(() => 0n);
    for (let set = 0; set < 1 << leak.length; set += 1) {
      let term = 1n;
      let odd = false;
      leak.forEach((l, k) => {
        const inIt = (set & (1 << k)) !== 0;
        term *= inIt ? SCALE - l : SCALE;
        if (inIt) odd = !odd;
      });
      for (let i = 0; i < prior.length; i += 1) term *= factor(i, set)[1];
      if (odd) term = -term;
      all += term;
      faults.forEach((i, n) => {
        const [present, both] = factor(i, set);
        having[n] = (having[n] ?? 0n) + (term / both) * present;
      });
    }
    return having.map((h) => Number((h * 10n ** 18n) / all) / 1e18);
  }

  it('agrees with whole numbers to the ninth place', function () {
    this.timeout(120000);
    const { network, evidence, whole } = large(5);
    const { posterior } = infer(network, evidence);
    const some = [0, 17, 56, 99];
    inWholeNumbers(whole, some).forEach((want, n) => expect(posterior[some[n] ?? 0], `f${some[n]}`).to.be.closeTo(want, 1e-9));
  });
  it('is done within its time', () => {
    const { network, evidence } = large(11);
    infer(network, evidence);
    const begun = performance.now();
    const { posterior } = infer(network, evidence);
    const took = performance.now() - begun;
    expect(posterior).to.have.length(100);
    expect(took).to.be.lessThan(10000);
  });
});
