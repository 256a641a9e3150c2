import { expect } from 'chai';
import fc from 'fast-check';
import type { Evidence, Network } from '../src/inference/faultNetwork.ts';
import { concern, decisionLoss, isTakenUp } from '../src/inference/decisionLoss.ts';
import { expectedInfoGain, worthDoing } from '../src/inference/nextCheck.ts';
import { conditionOnAnyFault, entropySum, infer } from '../src/inference/noisyOr.ts';
import { seededUniform } from '../src/inference/seededUniform.ts';
import { networkOf, meaningful } from '../src/stages/trace/network.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { buildLayout } from '../src/layout/templates.ts';

/** A network of some faults, each sign brought about by some of them, with two things seen and one not. */
function made(seed: number, faults = 7, signs = 12): { network: Network; evidence: Evidence; open: string[] } {
  const next = seededUniform(seed);
  const network: Network = {
    faults: Array.from({ length: faults }, (_, i) => ({
      ...{ id: `f${i}`, prior: 0.02 + 0.3 * next(), miss: 100 + 900 * next(), needless: 10 + 100 * next() },
    })),
    observations: Array.from({ length: signs + 3 }, (_, k) => ({
      ...{ id: `o${k}`, leak: 0.01 + 0.1 * next() },
      strengths: Object.fromEntries(Array.from({ length: faults }, (__, i) => [`f${i}`, next() < 0.4 ? 0.1 + 0.8 * next() : 0])),
    })),
  };
  const evidence: Evidence = { observations: { o0: 'seen', o1: 'seen', o2: 'not_seen' }, certain: {} };
  return { network, evidence, open: network.observations.slice(3).map((o) => o.id) };
}

/** The measure expected after all joint outcomes of some things, one by one. */
function oneByOne(
  network: Network,
  evidence: Evidence,
  ids: readonly string[],
  some: boolean,
  measure: (p: readonly number[]) => number,
): number {
  const of = (e: Evidence) => (some ? conditionOnAnyFault(network, e, infer(network, e)) : infer(network, e));
  const now = of(evidence);
  let expected = 0;
  for (let set = 0; set < 1 << ids.length; set += 1) {
    const more = Object.fromEntries(ids.map((id, i) => [id, (set & (1 << i)) === 0 ? ('seen' as const) : ('not_seen' as const)]));
    const then = of({ ...evidence, observations: { ...evidence.observations, ...more } });
    expected += Math.exp(then.logLikelihood - now.logLikelihood) * measure(then.posterior);
  }
  return expected;
}

describe('what a check is worth', () => {
  it('is summed over every joint outcome of up to ten things, whether something is known to be at fault or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10000 }), fc.integer({ min: 1, max: 8 }), fc.boolean(), (seed, n, some) => {
        const { network, evidence, open } = made(seed);
        const ids = open.slice(0, n);
        const check = { id: 'c', minutes: 4, cost: 25, observations: ids };
        const known = some ? conditionOnAnyFault(network, evidence, infer(network, evidence)) : infer(network, evidence);
        const [bits] = expectedInfoGain(network, evidence, [check], some);
        expect(bits?.exact).to.equal(true);
        expect(bits?.drop).to.be.closeTo(entropySum(known.posterior) - oneByOne(network, evidence, ids, some, entropySum), 1e-7);
        const weights = concern(network, evidence, infer(network, evidence).posterior);
        const loss = (p: readonly number[]): number => decisionLoss(network, p, weights);
        const [worth] = worthDoing(network, evidence, [check], some);
        expect(worth?.drop).to.be.closeTo(loss(known.posterior) - oneByOne(network, evidence, ids, some, loss), 1e-5);
        expect(worth?.dropPerMinute).to.be.closeTo((worth?.drop ?? NaN) / 25, 1e-12);
        // What is told never makes deciding dearer.
        expect(worth?.drop).to.be.greaterThan(-1e-6);
        for (const o of worth?.outcomes ?? []) {
          const more = Object.fromEntries(ids.map((id) => [id, o.seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]));
          const then = { ...evidence, observations: { ...evidence.observations, ...more } };
          const direct = some ? conditionOnAnyFault(network, then, infer(network, then)) : infer(network, then);
          if (o.probability > 1e-3) direct.posterior.forEach((p, i) => expect(o.posterior[i]).to.be.closeTo(p, 1e-6));
        }
      }),
      { numRuns: 40 },
    );
  });

  it('is drawn where more is settled at once, near to what all outcomes come to', () => {
    let [drawn, all] = [0, 0];
    for (let seed = 1; seed <= 5; seed += 1) {
      const { network, evidence, open } = made(seed);
      const [worth] = expectedInfoGain(network, evidence, [{ id: 'c', minutes: 4, observations: open }]);
      expect(worth?.exact).to.equal(false);
      expect(worth?.outcomes.length).to.be.within(1, 5);
      drawn += worth?.drop ?? NaN;
      all += entropySum(infer(network, evidence).posterior) - oneByOne(network, evidence, open, false, entropySum);
    }
    expect(drawn / all).to.be.within(0.85, 1.15);
  });

  it('is what the answer changes: a fault is taken up where leaving it in would cost more, and a danger much sooner', () => {
    const plain = { id: 'f', prior: 0.1, miss: 180, needless: 60 };
    expect([0.2, 0.3].map((p) => isTakenUp(plain, p))).to.deep.equal([false, true]);
    expect([0.02, 0.05].map((p) => isTakenUp({ ...plain, miss: 1800 }, p))).to.deep.equal([false, true]);
    const network: Network = { faults: [plain], observations: [] };
    // Of 180 for leaving it in and 60 for working on it in vain the lesser, as likely as either is.
    for (const [p, loss] of [
      [0, 0],
      [0.1, 18],
      [0.25, 45],
      [0.9, 6],
      [1, 0],
    ] as const)
      expect(decisionLoss(network, [p])).to.be.closeTo(loss, 1e-9);
  });

  it('puts what was seen first, and the rest of the vehicle again once that is explained', () => {
    const strengths = { a: 0.9 };
    const network: Network = {
      faults: [
        { id: 'a', prior: 0.05 },
        { id: 'b', prior: 0.05 },
      ],
      observations: [{ id: 'o', leak: 0.1, strengths }],
    };
    const of = (state: 'seen' | 'not_seen' | undefined, certain: Evidence['certain'] = {}): number[] => {
      const evidence: Evidence = { observations: state ? { o: state } : {}, certain };
      return [...concern(network, evidence, infer(network, evidence).posterior)];
    };
    expect(of(undefined)).to.deep.equal([1, 1]);
    const [suspect, beside] = of('seen');
    expect(suspect).to.be.within(0.7, 0.95);
    expect(beside).to.be.closeTo(0.06, 1e-9);
    expect(of('seen', { a: 'present' })[1]).to.be.closeTo(1, 1e-9);
  });
});

describe('the first check of a vehicle', () => {
  const COMPLAINTS = [
    ...['pedal_spongy', 'pedal_sinks', 'pedal_hard_no_stop', 'pulls_left', 'judder', 'drags@FL', 'park_no_hold', 'noise'],
    ...['level_low', 'smell', 'stop_lamp', 'locks_rear', 'clutch_spongy'],
  ];
  for (const [template, years] of [
    ['tandem_disc_drum_servo', 10],
    ['coupe_disc_disc_tandem_servo', 3],
    ['saloon_disc_drum_single', 15],
  ] as const)
    it(`differs with the complaint: at least six first checks, ${template}`, () => {
      let n = 0;
      const layout = buildLayout(template, 'l', 'v', () => `i${(n += 1)}`);
      const network = networkOf(layout, { years: new Map(), yearsOfAll: years, shifts: new Set(), fresh: new Set() }, TABLES);
      const firsts = COMPLAINTS.filter((id) => network.observations.some((o) => o.id === id)).map((id) => {
        const evidence: Evidence = { observations: { [id]: 'seen' }, certain: {} };
        return worthDoing(network, evidence, meaningful(network.checks, evidence.observations), true)[0]?.check.id;
      });
      expect(firsts).to.not.include(undefined);
      expect(new Set(firsts).size, firsts.join(' ')).to.be.at.least(6);
    }).timeout(120000);
});
