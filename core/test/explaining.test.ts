import { expect } from 'chai';
import { contradictions, contributionsOf } from '../src/inference/explain.ts';
import type { Evidence, Network } from '../src/inference/faultNetwork.ts';
import { conditionOnAnyFault, infer } from '../src/inference/noisyOr.ts';
import { seededUniform } from '../src/inference/seededUniform.ts';

const speaksFor = (network: Network, evidence: Evidence, id: string) =>
  contributionsOf(network, evidence)(network.faults.findIndex((f) => f.id === id));

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
    const next = seededUniform(4);
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
      const { posterior, logLikelihood } = conditionOnAnyFault(
        { faults, observations },
        evidence,
        infer({ faults, observations }, evidence),
      );
      posterior.forEach((p, i) => expect(p).to.be.closeTo((mass[i] ?? 0) / all, 1e-9));
      expect(Math.exp(logLikelihood)).to.be.closeTo(all, 1e-12);
    }
  });
});
