import { expect } from 'chai';
import fc from 'fast-check';
import { contributionsOf } from '../src/inference/explain.ts';
import { type Evidence, type Network, seenIn } from '../src/inference/faultNetwork.ts';
import { planFor } from '../src/inference/networkPlan.ts';
import { expectedInfoGain, type NetworkCheck } from '../src/inference/nextCheck.ts';
import { conditionOnAnyFault, entropySum, infer, MIN_SOME, weightsOf } from '../src/inference/noisyOr.ts';
import { sumSubnetwork } from '../src/inference/subnetworkSum.ts';
import { DomainError } from '../src/quantity/domainError.ts';
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
  contributionsOf(network, evidence)(network.faults.findIndex((f) => f.id === id));

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

describe('weighing the evidence', () => {
  vectorTests('diagnosis', (i: Given) => {
    const network: Network = { faults: i.faults, observations: i.observations };
    const evidence: Evidence = { observations: i.evidence, certain: i.certain ?? {} };
    const { posterior, logLikelihood } = infer(network, evidence);
    const worth = expectedInfoGain(network, evidence, i.checks ?? []);
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
  it('a part that was summed with other weights meanwhile comes to what it came to before, to the last digit', () => {
    let summed = 0;
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const plan = planFor(network, seenIn(evidence));
        const w = weightsOf(network, evidence);
        const others = { absent: w.absent.map((p) => 1 - p), present: w.present.map((p) => 0.3 + p / 3) };
        for (const part of plan.parts) {
          summed += 1;
          const first = sumSubnetwork(plan, part, w);
          sumSubnetwork(plan, part, others);
          expect(sumSubnetwork(plan, part, w)).to.deep.equal(first);
        }
      }),
      { numRuns: 200 },
    );
    expect(summed).to.be.greaterThan(100);
  });
  it('what cannot happen is refused, and an unchecked observation changes nothing', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const { likelihood } = byHand(network, evidence);
        if (likelihood === 0) {
          expect(() => infer(network, evidence))
            .to.throw(DomainError)
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
        const [worth] = expectedInfoGain(network, evidence, [check]);
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
        const now = byHand(network, evidence).likelihood < 1e-12 ? null : conditionOnAnyFault(network, evidence, infer(network, evidence));
        // Without a share of something to speak of both sums are rounding alone.
        if (now === null || now.logLikelihood < Math.log(1e-6)) return;
        const open = network.observations.filter((o) => evidence.observations[o.id] === undefined).map((o) => o.id);
        const [worth] = expectedInfoGain(network, evidence, [{ id: 'c', minutes: 3, observations: open.slice(0, 3) }], true);
        const outcomes = worth?.outcomes ?? [];
        if (worth === undefined) return;
        // The share of “something is at fault” in an outcome is never taken for less than MIN_SOME, of all that there is of it.
        const some = Math.exp(now.logLikelihood - infer(network, evidence).logLikelihood);
        const within = 1e-7 + (outcomes.length * MIN_SOME) / some;
        expect(outcomes.reduce((s, o) => s + o.probability, 0)).to.be.closeTo(1, within);
        now.posterior.forEach((p, i) =>
          expect(outcomes.reduce((s, o) => s + o.probability * (o.posterior[i] ?? 0), 0)).to.be.closeTo(p, within),
        );
        for (const o of outcomes.filter((x) => x.probability > 1e-4)) {
          const more = Object.fromEntries(
            open.slice(0, 3).map((id) => [id, o.seen.includes(id) ? ('seen' as const) : ('not_seen' as const)]),
          );
          const then = { ...evidence, observations: { ...evidence.observations, ...more } };
          const direct = conditionOnAnyFault(network, then, infer(network, then)).posterior;
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
