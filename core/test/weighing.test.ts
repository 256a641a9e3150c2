import { expect } from 'chai';
import fc from 'fast-check';
import {
  contradictions,
  entropySum,
  type Evidence,
  evenNumbers,
  givenSomething,
  infer,
  type Network,
  type NetworkCheck,
  Refusal,
  speakingOf,
  worthOf,
} from '../src/index.ts';
import { vectorTests } from './vectors.ts';

interface Given {
  faults: { id: string; prior: number }[];
  observations: { id: string; leak: number; strengths: Record<string, number> }[];
  evidence: Record<string, 'seen' | 'not_seen'>;
  certain?: Record<string, 'present' | 'absent'>;
  checks?: { id: string; minutes: number; observations: string[] }[];
  explain?: string;
}
const byFault = (network: Network, list: readonly number[]): Record<string, number> =>
  Object.fromEntries(network.faults.map((f, i) => [f.id, list[i] ?? NaN]));

const speaksFor = (network: Network, evidence: Evidence, id: string) =>
  speakingOf(network, evidence)(network.faults.findIndex((f) => f.id === id));

describe('weighing the evidence', () => {
  vectorTests('diagnosis', (i: Given) => {
    const network: Network = { faults: i.faults, observations: i.observations };
    const evidence: Evidence = { observations: i.evidence, certain: i.certain ?? {} };
    const { posterior, logLikelihood } = infer(network, evidence);
    const worth = worthOf(network, evidence, i.checks ?? []);
    const speaks = i.explain === undefined ? undefined : speaksFor(network, evidence, i.explain);
    return {
      posterior: byFault(network, posterior),
      log_marginal_likelihood: logLikelihood,
      entropy_bits: entropySum(posterior),
      checks: Object.fromEntries(
        (i.checks ?? []).map((c) => {
          const w = worth.find((x) => x.check.id === c.id);
          return [
            c.id,
            w
              ? {
                  expected_drop_bits: w.drop,
                  drop_bits_per_minute: w.dropPerMinute,
                  outcomes: w.outcomes.map((o) => ({ ...o, posterior: byFault(network, o.posterior) })),
                }
              : null,
          ];
        }),
      ),
      check_order: worth.map((w) => w.check.id),
      explain: speaks ? Object.fromEntries(speaks.map((s) => [s.observation, s.logOdds])) : null,
    };
  });
});

/** Every state of every fault, one after the other. */
function byHand(network: Network, evidence: Evidence): { posterior: number[]; likelihood: number } {
  const { faults, observations } = network;
  const present = faults.map(() => 0);
  let all = 0;
  for (let state = 0; state < 1 << faults.length; state += 1) {
    let p = 1;
    faults.forEach((f, i) => {
      const on = (state & (1 << i)) !== 0;
      const known = evidence.certain[f.id];
      p *= on ? (known === 'absent' ? 0 : f.prior) : known === 'present' ? 0 : 1 - f.prior;
    });
    for (const o of observations) {
      const as = evidence.observations[o.id];
      if (as === undefined) continue;
      const none = faults.reduce((q, f, i) => ((state & (1 << i)) === 0 ? q : q * (1 - (o.strengths[f.id] ?? 0))), 1 - o.leak);
      p *= as === 'seen' ? 1 - none : none;
    }
    all += p;
    faults.forEach((_, i) => {
      if ((state & (1 << i)) !== 0) present[i] = (present[i] ?? 0) + p;
    });
  }
  return { posterior: present.map((p) => p / all), likelihood: all };
}

const share = fc.double({ min: 0.001, max: 1, noNaN: true });
const few = fc.oneof(
  { weight: 6, arbitrary: fc.double({ min: 0.01, max: 0.6, noNaN: true }) },
  { weight: 1, arbitrary: fc.constantFrom(0, 1) },
);
/** Small networks with whatever evidence. */
const small = fc
  .record({
    priors: fc.array(few, { minLength: 1, maxLength: 8 }),
    observations: fc.array(
      fc.record({
        leak: fc.oneof(
          { weight: 8, arbitrary: fc.double({ min: 0.001, max: 0.3, noNaN: true }) },
          { weight: 1, arbitrary: fc.constant(0) },
        ),
        strengths: fc.array(fc.oneof({ weight: 2, arbitrary: fc.constant(0) }, { weight: 3, arbitrary: share }), {
          minLength: 8,
          maxLength: 8,
        }),
        as: fc.constantFrom('seen' as const, 'not_seen' as const, undefined),
      }),
      { minLength: 1, maxLength: 9 },
    ),
    certain: fc.array(fc.constantFrom('present' as const, 'absent' as const, undefined, undefined, undefined), {
      minLength: 8,
      maxLength: 8,
    }),
  })
  .map((g) => {
    const network: Network = {
      faults: g.priors.map((prior, i) => ({ id: `f${i}`, prior })),
      observations: g.observations.map((o, k) => ({
        id: `o${k}`,
        leak: o.leak,
        strengths: Object.fromEntries(g.priors.flatMap((_, i) => ((o.strengths[i] ?? 0) > 0 ? [[`f${i}`, o.strengths[i] ?? 0]] : []))),
      })),
    };
    const evidence: Evidence = {
      observations: Object.fromEntries(g.observations.flatMap((o, k) => (o.as ? [[`o${k}`, o.as]] : []))),
      certain: Object.fromEntries(g.priors.flatMap((_, i) => (g.certain[i] ? [[`f${i}`, g.certain[i]]] : []))),
    };
    return { network, evidence };
  });

describe('exact inference', () => {
  it('agrees with trying every state of every fault, whatever the network and the evidence', () => {
    let weighed = 0;
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const want = byHand(network, evidence);
        if (want.likelihood < 1e-14) return;
        const got = infer(network, evidence);
        weighed += 1;
        expect(Math.abs(got.logLikelihood - Math.log(want.likelihood))).to.be.at.most(1e-9);
        got.posterior.forEach((p, i) => expect(Math.abs(p - (want.posterior[i] ?? NaN)), `f${i}`).to.be.at.most(1e-9));
      }),
      { numRuns: 400 },
    );
    expect(weighed).to.be.greaterThan(200);
  });
  it('what cannot happen is refused, and an unchecked observation changes nothing', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const { likelihood } = byHand(network, evidence);
        if (likelihood === 0) {
          expect(() => infer(network, evidence))
            .to.throw(Refusal)
            .with.property('code', 'impossible_evidence');
          return;
        }
        if (likelihood < 1e-14) return;
        const more: Network = { ...network, observations: [...network.observations, { id: 'more', leak: 0.4, strengths: { f0: 0.9 } }] };
        expect(infer(more, evidence).posterior).to.deep.equal(infer(network, evidence).posterior);
      }),
    );
  });
  it('a check’s outcomes add up to one, and average to what is believed now', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        if (byHand(network, evidence).likelihood < 1e-12) return;
        const now = infer(network, evidence).posterior;
        const open = network.observations.filter((o) => evidence.observations[o.id] === undefined).map((o) => o.id);
        const check: NetworkCheck = { id: 'c', minutes: 3, observations: open.slice(0, 3) };
        const [worth] = worthOf(network, evidence, [check]);
        if (open.length === 0) {
          expect(worth).to.equal(undefined);
          return;
        }
        const sum = (of: (o: NonNullable<typeof worth>['outcomes'][number]) => number): number =>
          (worth?.outcomes ?? []).reduce((s, o) => s + of(o), 0);
        expect(sum((o) => o.probability)).to.be.closeTo(1, 1e-9);
        now.forEach((p, i) => expect(sum((o) => o.probability * (o.posterior[i] ?? 0))).to.be.closeTo(p, 1e-9));
        for (const o of worth?.outcomes ?? []) {
          const more = Object.fromEntries(
            check.observations.map((id) => [id, o.seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]),
          );
          const direct = infer(network, { ...evidence, observations: { ...evidence.observations, ...more } }).posterior;
          direct.forEach((p, i) => expect(o.posterior[i]).to.be.closeTo(p, 1e-8));
        }
      }),
      { numRuns: 200 },
    );
  });
});

/** The same networks with nothing certain in them, where it is known that something is at fault. */
describe('a check of a vehicle that has a fault', () => {
  it('comes out as inference with that knowledge has it, and averages to what is believed now', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const now = byHand(network, evidence).likelihood < 1e-12 ? null : givenSomething(network, evidence, infer(network, evidence));
        // Without a share of something to speak of both sums are rounding alone.
        if (now === null || now.logLikelihood < Math.log(1e-6)) return;
        const open = network.observations.filter((o) => evidence.observations[o.id] === undefined).map((o) => o.id);
        const [worth] = worthOf(network, evidence, [{ id: 'c', minutes: 3, observations: open.slice(0, 3) }], true);
        const outcomes = worth?.outcomes ?? [];
        if (worth === undefined) return;
        expect(outcomes.reduce((s, o) => s + o.probability, 0)).to.be.closeTo(1, 1e-7);
        now.posterior.forEach((p, i) =>
          expect(outcomes.reduce((s, o) => s + o.probability * (o.posterior[i] ?? 0), 0)).to.be.closeTo(p, 1e-7),
        );
        for (const o of outcomes.filter((x) => x.probability > 1e-4)) {
          const more = Object.fromEntries(
            open.slice(0, 3).map((id) => [id, o.seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]),
          );
          const then = { ...evidence, observations: { ...evidence.observations, ...more } };
          const direct = givenSomething(network, then, infer(network, then)).posterior;
          direct.forEach((p, i) => expect(o.posterior[i]).to.be.closeTo(p, 1e-6));
        }
        expect(worth.drop).to.be.closeTo(
          entropySum(now.posterior) - outcomes.reduce((s, o) => s + o.probability * entropySum(o.posterior), 0),
          1e-9,
        );
      }),
      { numRuns: 300 },
    );
  });
});

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
    expect(took).to.be.lessThan(2000);
  });
});

describe('what speaks for a fault, and what does not go together', () => {
  const network: Network = {
    faults: [
      { id: 'piston', prior: 0.1 },
      { id: 'hose', prior: 0.05 },
    ],
    observations: [
      { id: 'drags', leak: 0.02, strengths: { piston: 0.99, hose: 0.85 } },
      { id: 'still_drags', leak: 0.001, strengths: { piston: 0.95 } },
      { id: 'quiet', leak: 0.001, strengths: { hose: 0.2 } },
    ],
  };
  it('ranks by the change of the log-odds', () => {
    const speaks = speaksFor(network, { observations: { drags: 'seen', still_drags: 'not_seen' }, certain: {} }, 'hose')!;
    expect(speaks.map((s) => [s.observation, Math.sign(s.logOdds)])).to.deep.equal([
      ['drags', 1],
      ['still_drags', 1],
    ]);
    expect(speaksFor(network, { observations: {}, certain: { hose: 'present' } }, 'hose')).to.equal(null);
  });
  it('what is rare anyway is not odd; what the others rule out is', () => {
    const rare: Network = {
      faults: [
        { id: 'pivot', prior: 0.01 },
        { id: 'hose', prior: 0.3 },
      ],
      observations: [
        { id: 'no_return', leak: 0.002, strengths: { pivot: 0.9 } },
        { id: 'stiff', leak: 0.001, strengths: { pivot: 0.97 } },
        { id: 'drags', leak: 0.02, strengths: { hose: 0.8 } },
      ],
    };
    const odd = (observations: Evidence['observations']) => contradictions(rare, { observations, certain: {} });
    expect(odd({ no_return: 'seen' })).to.deep.equal([]);
    expect(odd({ no_return: 'seen', drags: 'not_seen' })).to.deep.equal([]);
    expect(odd({ no_return: 'seen', stiff: 'not_seen' }).map((c) => [c.observation, c.against])).to.deep.include(['no_return', 'stiff']);
  });
  it('names two that contradict each other, and nothing where all fits', () => {
    const odd = contradictions(network, { observations: { still_drags: 'seen', drags: 'not_seen' }, certain: {} });
    expect(odd.map((c) => [c.observation, c.against])).to.deep.include(['drags', 'still_drags']);
    expect(contradictions(network, { observations: { drags: 'seen', still_drags: 'seen' }, certain: {} })).to.deep.equal([]);
  });
});

describe('a vehicle that somebody complains about', () => {
  it('has at least one fault: brute force over small networks', () => {
    const next = evenNumbers(4);
    for (let n = 0; n < 20; n += 1) {
      const faults = Array.from({ length: 5 }, (_, i) => ({ id: `f${i}`, prior: 0.02 + 0.3 * next() }));
      const observations = Array.from({ length: 3 }, (_, k) => ({
        ...{ id: `o${k}`, leak: 0.02 + 0.1 * next() },
        strengths: Object.fromEntries(faults.flatMap((f) => (next() < 0.6 ? [[f.id, next()]] : []))) as Record<string, number>,
      }));
      const evidence = { observations: { o0: 'seen', o1: 'not_seen' } as const, certain: {} };
      const mass = faults.map(() => 0);
      let all = 0;
      for (let set = 1; set < 32; set += 1) {
        let p = faults.reduce((q, f, i) => q * (set & (1 << i) ? f.prior : 1 - f.prior), 1);
        for (const o of observations.slice(0, 2)) {
          const none = faults.reduce((q, f, i) => (set & (1 << i) ? q * (1 - (o.strengths[f.id] ?? 0)) : q), 1 - o.leak);
          p *= o.id === 'o0' ? 1 - none : none;
        }
        all += p;
        faults.forEach((_, i) => {
          if (set & (1 << i)) mass[i] = (mass[i] ?? 0) + p;
        });
      }
      const { posterior, logLikelihood } = givenSomething({ faults, observations }, evidence, infer({ faults, observations }, evidence));
      posterior.forEach((p, i) => expect(p).to.be.closeTo((mass[i] ?? 0) / all, 1e-9));
      expect(Math.exp(logLikelihood)).to.be.closeTo(all, 1e-12);
    }
  });
});
