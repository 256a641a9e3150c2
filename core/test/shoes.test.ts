import { expect } from 'chai';
import fc from 'fast-check';
import { shoeArc } from '../src/metrology/shoeArc.ts';
import { chooseLifts, liningCircle } from '../src/metrology/shoeCentring.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { vectorTests } from './vectors.ts';

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
      .to.throw(DomainError)
      .with.property('code', 'too_many_settings');
  });
});
