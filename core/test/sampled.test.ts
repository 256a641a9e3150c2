import { expect } from 'chai';
import { infer } from '../src/inference/noisyOr.ts';
import { inferSampled } from '../src/inference/sampled.ts';
import { seededUniform } from '../src/inference/seededUniform.ts';
import { diagnose } from '../src/inference/diagnose.ts';
import { DomainError } from '../src/quantity/domainError.ts';

describe('too many things seen for an exact sum', () => {
  const network = (faults: number, signs: number, seed: number) => {
    const next = seededUniform(seed);
    const list = Array.from({ length: faults }, (_, i) => ({ id: `f${i}`, prior: 0.02 + 0.2 * next() }));
    const observations = Array.from({ length: signs }, (_, k) => ({
      id: `o${k}`,
      leak: 0.01 + 0.05 * next(),
      strengths: Object.fromEntries(list.flatMap((f) => (next() < 0.3 ? [[f.id, 0.2 + 0.7 * next()]] : []))),
    }));
    return { faults: list, observations };
  };
  it('is drawn by chance, and agrees with the exact one within some times the error it states', () => {
    for (let seed = 1; seed <= 6; seed += 1) {
      const n = network(12, 8, seed);
      const evidence = {
        observations: Object.fromEntries(n.observations.map((o, k) => [o.id, k % 3 === 0 ? ('not_seen' as const) : ('seen' as const)])),
        certain: { f0: 'absent' as const, f1: 'present' as const },
      };
      const exact = infer(n, evidence).posterior;
      const drawn = inferSampled(n, evidence);
      expect(drawn.error).to.be.within(0, 0.05);
      exact.forEach((p, i) => expect(drawn.posterior[i], `seed ${seed} f${i}`).to.be.closeTo(p, 5 * Math.max(drawn.error, 0.004)));
      expect([drawn.posterior[0], drawn.posterior[1]]).to.deep.equal([0, 1]);
    }
  });
  it('where one exact sum is quick and hundreds are not, the causes are exact and nothing is ranked', () => {
    const n = network(40, 16, 5);
    const all = {
      ...n,
      observations: n.observations.map((o) => ({ ...o, strengths: Object.fromEntries(n.faults.map((f) => [f.id, 0.3])) })),
    };
    const evidence = { observations: Object.fromEntries(all.observations.map((o) => [o.id, 'seen' as const])), certain: {} };
    const w = diagnose(all, evidence, []);
    expect([w.unranked, w.sampled, w.refused, w.next.length]).to.deep.equal([true, null, null, 0]);
    const exact = infer(all, evidence).posterior;
    for (const c of w.causes) expect(c.probability).to.equal(exact[c.fault]);
  });
  it('is what weighing falls back to, with its error stated and no check ranked', () => {
    const n = network(60, 40, 9);
    const evidence = { observations: Object.fromEntries(n.observations.map((o) => [o.id, 'seen' as const])), certain: {} };
    expect(() => infer(n, evidence)).to.throw(DomainError, /hang together/);
    const w = diagnose(n, evidence, [{ id: 'c', minutes: 1, observations: ['o1'] }]);
    expect([w.refused, w.next.length]).to.deep.equal([null, 0]);
    expect(w.sampled).to.be.within(1e-6, 0.2);
    expect(w.causes).to.have.length(60);
  });
});
