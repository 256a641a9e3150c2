import { expect } from 'chai';
import fc from 'fast-check';
import { familyOutlier } from '../src/metrology/familyOutlier.ts';
import { paintBands } from '../src/metrology/paintBands.ts';
import { holeOnStudOne, type Phasor, phasorFrom, phasorOf, reindex, stepsToTurn } from '../src/metrology/reindexing.ts';
import { splitRunout } from '../src/metrology/rotorRunout.ts';
import { stableValue } from '../src/metrology/stableValue.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { vectorTests } from './vectors.ts';

interface Sweep {
  readonly angles_deg: number[];
  readonly readings_mm: number[];
}

describe('hub against rotor, and re-indexing', () => {
  vectorTests(
    'rotor-indexing',
    (i: {
      stud_count: number;
      steps_turned: number;
      limit_mm: number;
      sweep_0?: Sweep;
      sweep_k?: Sweep;
      wobble_0?: { tir_mm: number; high_angle_deg: number };
      wobble_k?: { tir_mm: number; high_angle_deg: number };
    }) => {
      const of = (sweep?: Sweep, wobble?: { tir_mm: number; high_angle_deg: number }): Phasor =>
        sweep ? phasorOf(splitRunout(sweep.angles_deg, sweep.readings_mm)) : phasorFrom(wobble!.tir_mm, wobble!.high_angle_deg);
      const r = reindex({
        studs: i.stud_count,
        steps: i.steps_turned,
        limit: i.limit_mm,
        first: of(i.sweep_0, i.wobble_0),
        second: of(i.sweep_k, i.wobble_k),
      });
      return {
        rotor_tir_mm: r.rotor.tir,
        rotor_high_angle_deg: r.rotor.highAngle,
        hub_tir_mm: r.hub.tir,
        hub_high_angle_deg: r.hub.highAngle,
        predicted_tir_mm: r.predicted,
        best_position: r.best,
        best_tir_mm: r.bestTir,
        hub_over_limit: r.hubOverLimit,
        best_within_limit: r.bestWithinLimit,
      };
    },
  );

  /** Height of a face at an angle: harmonics 0 to 3, mm. */
  const surface = fc.array(fc.tuple(fc.double({ min: 0, max: 0.2, noNaN: true }), fc.double({ min: 0, max: 360, noNaN: true })), {
    minLength: 4,
    maxLength: 4,
  });
  const heightOf = (s: readonly (readonly [number, number])[], degrees: number): number =>
    s.reduce((sum, [size, at], n) => sum + size * Math.cos((n * (degrees - at) * Math.PI) / 180), 0);

  it('agrees with a rotor turned on its hub and swept in every position, for any surfaces', () => {
    fc.assert(
      fc.property(
        surface,
        surface,
        fc.integer({ min: 3, max: 10 }),
        fc.nat(20),
        fc.integer({ min: 8, max: 24 }),
        (rotor, hub, studs, k, n) => {
          const steps = 1 + (k % (studs - 1));
          const angles = Array.from({ length: n }, (_, i) => (360 * i) / n);
          // The hub only tilts the rotor: of its face nothing but the first harmonic reaches it.
          const tilt = hub.slice(0, 2);
          const sweep = (j: number): number[] => angles.map((a) => heightOf(tilt, a) + heightOf(rotor, a - (360 * j) / studs));
          const at = (j: number): ReturnType<typeof splitRunout> => splitRunout(angles, sweep(j));
          const r = reindex({ studs, steps, limit: 0.1, first: phasorOf(at(0)), second: phasorOf(at(steps)) });
          r.predicted.forEach((p, j) => expect(p).to.be.closeTo(at(j).wobble, 1e-9));
          expect(at(r.best).wobble).to.be.at.most(Math.min(...r.predicted) + 1e-8);
        },
      ),
    );
  });
  it('the split of a random surface gives its harmonics back, at any angles', () => {
    fc.assert(
      fc.property(surface, fc.array(fc.double({ min: -12, max: 12, noNaN: true }), { minLength: 12, maxLength: 12 }), (s, shifts) => {
        const angles = shifts.map((d, i) => 30 * i + d);
        const flat = s.slice(0, 3);
        const r = splitRunout(
          angles,
          angles.map((a) => heightOf(flat, a)),
        );
        expect(r.wobble).to.be.closeTo(2 * (s[1]?.[0] ?? 0), 1e-9);
        expect(r.warp).to.be.closeTo(2 * (s[2]?.[0] ?? 0), 1e-9);
        expect(r.residual).to.be.closeTo(0, 1e-9);
      }),
    );
  });
  it('turns nearest half a turn for the second sweep, and names the hole that comes onto stud 1', () => {
    expect([3, 4, 5, 6].map(stepsToTurn)).to.deep.equal([1, 2, 2, 3]);
    expect([0, 1, 2, 3, 4].map((k) => holeOnStudOne(k, 5))).to.deep.equal([1, 5, 4, 3, 2]);
    for (const studs of [0, 2, 4.5, NaN])
      expect(() => stepsToTurn(studs))
        .to.throw(DomainError)
        .with.property('code', 'bad_stud_count');
  });
});

describe('a reading out of its family', () => {
  it('is asked about from five readings on, beyond four scales', () => {
    expect(familyOutlier([12.1, 12.11, 12.1, 21.1], 0.01)).to.deep.equal([]);
    expect(familyOutlier([12.1, 12.11, 12.1, 12.09, 21.1], 0.01)).to.deep.equal([4]);
    expect(familyOutlier([12.1, 12.11, 12.1, 12.09, 12.13], 0.01)).to.deep.equal([]);
  });
  it('is not asked about within the gauge’s own uncertainty, however tight the rest is', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 5, maxLength: 20 }), (list) => {
        expect(familyOutlier(list, 0.6)).to.deep.equal([]);
      }),
    );
  });
});

describe('a live gauge', () => {
  const steady = Array.from({ length: 20 }, (_, i) => ({ value: 12.1, at: i * 100 }));
  it('has settled once it stood still long enough', () => {
    expect(stableValue(steady, 0.01, 1900)).to.equal(12.1);
    expect(stableValue(steady.slice(0, 3), 0.01, 300)).to.equal(null);
  });
  it('has not while it moves', () => {
    const moving = steady.map((v, i) => ({ ...v, value: 12 + i * 0.01 }));
    expect(stableValue(moving, 0.01, 1900)).to.equal(null);
  });
});

describe('paint bands', () => {
  it('bracket the temperature reached', () => {
    expect(
      paintBands([
        { turnsAt: 430, turned: true },
        { turnsAt: 560, turned: true },
        { turnsAt: 630, turned: false },
      ]),
    ).to.deep.equal({ atLeast: 560, under: 630 });
    expect(paintBands([])).to.deep.equal({ atLeast: null, under: null });
  });
  it('that contradict each other are refused', () => {
    expect(() =>
      paintBands([
        { turnsAt: 430, turned: false },
        { turnsAt: 560, turned: true },
      ]),
    )
      .to.throw(DomainError)
      .with.property('code', 'bands_disagree');
  });
});
