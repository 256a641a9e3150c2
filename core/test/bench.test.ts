import { expect } from 'chai';
import fc from 'fast-check';
import {
  boreWearLimit,
  chooseLifts,
  holeOnStudOne,
  judgeBore,
  liningCircle,
  LiningsDoNotFit,
  outOfFamily,
  paintBands,
  phasorFrom,
  phasorOf,
  type Phasor,
  pitZone,
  type Reach,
  Refusal,
  reindex,
  settledAt,
  shoeArc,
  splitRunout,
  stepsToTurn,
} from '../src/index.ts';
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
        .to.throw(Refusal)
        .with.property('code', 'bad_stud_count');
  });
});

describe('bores', () => {
  vectorTests(
    'bore',
    (i: {
      nominal_mm: number;
      readings_mm: number[][];
      piston_mm: number[];
      pits: { depth_mm: number; from_mm: number; to_mm: number }[];
      swept_from_mm: number;
      swept_to_mm: number;
      material: 'iron' | 'steel' | 'aluminium';
      hone_to_mm?: number;
      wear_limit_mm?: number;
      clearance_limit_mm?: number;
    }) => {
      const b = judgeBore({
        nominal: i.nominal_mm,
        depths: i.readings_mm,
        piston: i.piston_mm,
        pits: i.pits.map((p) => ({ depth: p.depth_mm, from: p.from_mm, to: p.to_mm })),
        sweptFrom: i.swept_from_mm,
        sweptTo: i.swept_to_mm,
        material: i.material,
        honeTo: i.hone_to_mm ?? null,
        ...(i.wear_limit_mm !== undefined && { wearLimit: i.wear_limit_mm }),
        ...(i.clearance_limit_mm !== undefined && { clearanceLimit: i.clearance_limit_mm }),
      });
      return {
        max_mm: b.max,
        wear_mm: b.wear,
        out_of_round_mm: b.outOfRound,
        taper_mm: b.taper,
        clearance_mm: b.clearance,
        deepest_pit_in_zone_mm: b.deepestPitInZone,
        after_hone_mm: b.afterHone,
        clearance_after_hone_mm: b.clearanceAfterHone,
        wear_past: b.wearPast,
        clearance_past: b.clearancePast,
        decision: b.decision,
      };
    },
  );
  it('a larger bore may wear a little more', () => {
    expect(boreWearLimit(25)).to.equal(0.08);
    expect(boreWearLimit(25.4)).to.equal(0.1);
  });
});

describe('pits under the seal', () => {
  interface State {
    readonly pad_total_mm: number;
    readonly rotor_face_wear_mm: number;
    readonly inner_pad_total_mm: number;
    readonly outer_pad_total_mm: number;
    readonly rotor_thickness_mm: number;
  }
  vectorTests(
    'pit-zone',
    (i: {
      caliper: 'fixed' | 'floating';
      mouth_to_new_rotor_face_mm: number;
      mouth_to_fingers_mm: number;
      states: Record<'as_found' | 'new' | 'discard', State>;
      seal_below_mouth_mm: number;
      seal_width_mm: number;
      sealing_length_mm: number;
      allowance_mm?: number;
      running_clearance_mm?: number;
      pits: { from_mm: number; to_mm: number }[];
    }) => {
      const fixed = (s: State): { padTotal: number; rotorFaceWear: number } => ({
        padTotal: s.pad_total_mm,
        rotorFaceWear: s.rotor_face_wear_mm,
      });
      const floating = (s: State): { innerPadTotal: number; outerPadTotal: number; rotorThickness: number } => ({
        innerPadTotal: s.inner_pad_total_mm,
        outerPadTotal: s.outer_pad_total_mm,
        rotorThickness: s.rotor_thickness_mm,
      });
      const { as_found, new: fresh, discard } = i.states;
      const reach: Reach =
        i.caliper === 'fixed'
          ? {
              caliper: 'fixed',
              mouthToNewRotorFace: i.mouth_to_new_rotor_face_mm,
              states: { as_found: fixed(as_found), new: fixed(fresh), discard: fixed(discard) },
            }
          : {
              caliper: 'floating',
              mouthToFingers: i.mouth_to_fingers_mm,
              states: { as_found: floating(as_found), new: floating(fresh), discard: floating(discard) },
            };
      try {
        const z = pitZone(
          reach,
          {
            sealBelowMouth: i.seal_below_mouth_mm,
            sealWidth: i.seal_width_mm,
            sealingLength: i.sealing_length_mm,
            ...(i.allowance_mm !== undefined && { allowance: i.allowance_mm }),
            ...(i.running_clearance_mm !== undefined && { clearance: i.running_clearance_mm }),
          },
          i.pits.map((p) => ({ from: p.from_mm, to: p.to_mm })),
        );
        const pair = (s: { from: number; to: number }): number[] => [s.from, s.to];
        return {
          stand_out_mm: z.standOut,
          zone_mm: { as_found: pair(z.zone.as_found), new: pair(z.zone.new), discard: pair(z.zone.discard) },
          hull_mm: pair(z.hull),
          pit_rejects: z.pitRejects,
          reject: z.reject,
          worn_pad_trap: z.wornPadTrap,
          leaves_seal: z.leavesSeal,
        };
      } catch (error) {
        if (error instanceof LiningsDoNotFit) return { refused: true, reason: error.code, state: error.state };
        throw error;
      }
    },
  );
});

describe('shoe arc', () => {
  vectorTests(
    'shoe-arc',
    (i: {
      drum_diameter_mm: number;
      lining_arc_diameter_mm: number;
      half_arc_deg: number;
      drum_new_diameter_mm?: number;
      aim_low_mm?: number;
      aim_high_mm?: number;
    }) => {
      const a = shoeArc({
        drum: i.drum_diameter_mm,
        lining: i.lining_arc_diameter_mm,
        halfArc: i.half_arc_deg,
        drumNew: i.drum_new_diameter_mm ?? null,
        aim: { low: i.aim_low_mm ?? 0.2, high: i.aim_high_mm ?? 0.6 },
      });
      return {
        diameter_difference_mm: a.difference,
        contact: a.contact,
        heel_toe_gap_mm: a.heelToeGap,
        crown_gap_mm: a.crownGap,
        must_be_arced: a.mustBeArced,
        within_aim: a.withinAim,
        extra_lining_per_shoe_mm: a.extraLining,
      };
    },
  );
});

describe('shoe centring', () => {
  vectorTests(
    'shoe-centring',
    (i: {
      op: 'fit' | 'choose';
      points: { angle_deg: number; distance_mm: number }[];
      drum_diameter_mm: number;
      lifts_mm?: Record<'a_heel' | 'a_toe' | 'b_heel' | 'b_toe', number[]>;
      wanted_extra_mm?: number[];
      least_clearance_mm?: number;
    }) => {
      const points = i.points.map((p) => ({ angle: p.angle_deg, distance: p.distance_mm }));
      if (i.op === 'fit') {
        const c = liningCircle(points, i.drum_diameter_mm);
        return { dx_mm: c.dx, dy_mm: c.dy, radius_mm: c.radius, clearance_mm: c.clearance, unequal_mm: c.unequal };
      }
      const c = chooseLifts({
        points,
        drumDiameter: i.drum_diameter_mm,
        lifts: { aHeel: i.lifts_mm!.a_heel, aToe: i.lifts_mm!.a_toe, bHeel: i.lifts_mm!.b_heel, bToe: i.lifts_mm!.b_toe },
        ...(i.wanted_extra_mm && { wantedExtra: i.wanted_extra_mm }),
        ...(i.least_clearance_mm !== undefined && { leastClearance: i.least_clearance_mm }),
      });
      return {
        best_lifts_mm: { a_heel: c.lifts.aHeel, a_toe: c.lifts.aToe, b_heel: c.lifts.bHeel, b_toe: c.lifts.bToe },
        before_clearance_mm: c.before,
        after_clearance_mm: c.after,
        score_mm: c.score,
        settings_tried: c.tried,
        settings_left_out: c.leftOut,
      };
    },
  );
  it('finds any circle again from six points on it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: 80, max: 150, noNaN: true }),
        (dx, dy, radius) => {
          const points = [-50, 0, 55, 130, 180, 235].map((angle) => {
            const t = (angle * Math.PI) / 180;
            const along = dx * Math.cos(t) + dy * Math.sin(t);
            return { angle, distance: along + Math.sqrt(along * along + radius * radius - dx * dx - dy * dy) };
          });
          const c = liningCircle(points, 300);
          expect(c.dx).to.be.closeTo(dx, 1e-7);
          expect(c.dy).to.be.closeTo(dy, 1e-7);
          expect(c.radius).to.be.closeTo(radius, 1e-7);
        },
      ),
    );
  });
  it('no setting tried by hand beats the chosen one', () => {
    const list = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(
        list,
        list,
        list,
        list,
        fc.array(fc.double({ min: 124, max: 126, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (aHeel, aToe, bHeel, bToe, d) => {
          const points = d.map((distance, i) => ({ angle: 60 * i, distance }));
          const c = chooseLifts({ points, drumDiameter: 256, lifts: { aHeel, aToe, bHeel, bToe } });
          for (const ah of aHeel)
            for (const at of aToe)
              for (const bh of bHeel)
                for (const bt of bToe) {
                  const moved = [ah, (ah + at) / 2, at, bh, (bh + bt) / 2, bt];
                  const clear = d.map((x, i) => 128 - x - (moved[i] ?? 0));
                  if (Math.min(...clear) >= 0) expect(Math.max(...clear) - Math.min(...clear)).to.be.at.least(c.score - 1e-8);
                }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('too many settings are refused by name', () => {
    const many = Array.from({ length: 50 }, (_, i) => i / 100);
    const points = [0, 60, 120, 180, 240, 300].map((angle) => ({ angle, distance: 120 }));
    expect(() => chooseLifts({ points, drumDiameter: 256, lifts: { aHeel: many, aToe: many, bHeel: many, bToe: many } }))
      .to.throw(Refusal)
      .with.property('code', 'too_many_settings');
  });
});

describe('a reading out of its family', () => {
  it('is asked about from five readings on, beyond four scales', () => {
    expect(outOfFamily([12.1, 12.11, 12.1, 21.1], 0.01)).to.deep.equal([]);
    expect(outOfFamily([12.1, 12.11, 12.1, 12.09, 21.1], 0.01)).to.deep.equal([4]);
    expect(outOfFamily([12.1, 12.11, 12.1, 12.09, 12.13], 0.01)).to.deep.equal([]);
  });
  it('is not asked about within the gauge’s own uncertainty, however tight the rest is', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 5, maxLength: 20 }), (list) => {
        expect(outOfFamily(list, 0.6)).to.deep.equal([]);
      }),
    );
  });
});

describe('a live gauge', () => {
  const steady = Array.from({ length: 20 }, (_, i) => ({ value: 12.1, at: i * 100 }));
  it('has settled once it stood still long enough', () => {
    expect(settledAt(steady, 0.01, 1900)).to.equal(12.1);
    expect(settledAt(steady.slice(0, 3), 0.01, 300)).to.equal(null);
  });
  it('has not while it moves', () => {
    const moving = steady.map((v, i) => ({ ...v, value: 12 + i * 0.01 }));
    expect(settledAt(moving, 0.01, 1900)).to.equal(null);
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
      .to.throw(Refusal)
      .with.property('code', 'bands_disagree');
  });
});
