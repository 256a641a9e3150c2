import { expect } from 'chai';
import fc from 'fast-check';
import {
  boilingPoint,
  boilingTau,
  type Climate,
  type DueInput,
  fluidDue,
  type FluidKind,
  refitWater,
  waterAfter,
  waterConstant,
} from '../src/catalogue/fluids.ts';
import { plannedPositions, positionKey } from '../src/catalogue/positions.ts';
import { drumPair, reduceDrum, turning } from '../src/metrology/drum.ts';
import { reducePads } from '../src/metrology/padLining.ts';
import { splitRunout, warpAt, wobbleAt } from '../src/metrology/rotorRunout.ts';
import { machining, reduceThickness } from '../src/metrology/rotorThickness.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { vectorTests } from './vectors.ts';

describe('rotor thickness', () => {
  vectorTests('rotor-thickness', (i: Record<string, number> & { outer_ring_mm: number[]; inner_ring_mm?: number[] }) => {
    const t = reduceThickness(i.outer_ring_mm, i.inner_ring_mm);
    const m = machining({
      min: t.min,
      discard: i.discard_mm!,
      machineTo: i.machine_to_mm,
      scoreInner: i.score_depth_inner_face_mm,
      scoreOuter: i.score_depth_outer_face_mm,
      warp: i.warp_tir2_mm,
      wobbleRemoved: i.wobble_removed_tir_mm,
      cleanUp: i.clean_up_mm,
      wearPer1000Km: i.wear_mm_per_1000km,
      kmToNextService: i.km_to_next_service,
    });
    return {
      min_mm: t.min,
      min_ring: t.minRing,
      min_position: t.minPosition,
      mean_outer_mm: t.outer.mean,
      mean_inner_mm: t.inner?.mean ?? null,
      dtv_outer_mm: t.outer.variation,
      dtv_inner_mm: t.inner?.variation ?? null,
      taper_mm: t.taper,
      removal_inner_face_mm: m.removalInner,
      removal_outer_face_mm: m.removalOuter,
      after_mm: m.after,
      state: m.state,
      under_discard_before_service: m.underDiscardBeforeService,
    };
  });
  it('its minimum and variation do not depend on where the ring begins', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 5, max: 30, noNaN: true }), { minLength: 4, maxLength: 12 }), fc.nat(11), (ring, k) => {
        const turned = [...ring.slice(k % ring.length), ...ring.slice(0, k % ring.length)];
        expect(reduceThickness(turned).min).to.equal(reduceThickness(ring).min);
        expect(reduceThickness(turned).outer.variation).to.equal(reduceThickness(ring).outer.variation);
      }),
    );
  });
});

describe('rotor runout', () => {
  vectorTests(
    'rotor-runout',
    (i: { angles_deg: number[]; readings_mm: number[]; bearing_end_float_mm?: number; bearing_end_float_limit_mm?: number }) => {
      const bearing =
        i.bearing_end_float_mm !== undefined && i.bearing_end_float_limit_mm !== undefined
          ? { endFloat: i.bearing_end_float_mm, limit: i.bearing_end_float_limit_mm }
          : null;
      const r = splitRunout(i.angles_deg, i.readings_mm, bearing);
      return {
        tir_mm: r.tir,
        a0_mm: r.a0,
        a1_mm: r.a1,
        b1_mm: r.b1,
        a2_mm: r.a2,
        b2_mm: r.b2,
        wobble_tir_mm: r.wobble,
        wobble_high_angle_deg: r.wobbleHighAngle,
        warp_tir_mm: r.warp,
        residual_mm: r.residual,
        share_wobble: r.shareWobble,
        share_warp: r.shareWarp,
        share_residual: r.shareResidual,
        bearing_first: r.bearingFirst,
      };
    },
  );
  it('finds the wobble and warp it was made of, wherever the dial was zeroed', () => {
    const amplitude = fc.double({ min: -0.2, max: 0.2, noNaN: true });
    fc.assert(
      fc.property(
        fc.tuple(amplitude, amplitude, amplitude, amplitude, amplitude),
        fc.integer({ min: 6, max: 24 }),
        ([a0, a1, b1, a2, b2], n) => {
          const h = { a0, a1, b1, a2, b2 };
          const angles = Array.from({ length: n }, (_, i) => (360 * i) / n);
          const r = splitRunout(
            angles,
            angles.map((a) => wobbleAt(h, a) + warpAt(h, a)),
          );
          expect(r.wobble).to.be.closeTo(2 * Math.hypot(a1, b1), 1e-9);
          expect(r.warp).to.be.closeTo(2 * Math.hypot(a2, b2), 1e-9);
          expect(r.residual).to.be.below(1e-9);
        },
      ),
    );
  });
});

describe('drum', () => {
  vectorTests(
    'drum',
    (
      i: Record<string, number> & {
        op: string;
        open_mm?: number[];
        middle_mm?: number[];
        closed_mm?: number[];
        left_turnable?: boolean;
        right_turnable?: boolean;
      },
    ) => {
      if (i.op === 'pair') {
        const p = drumPair(
          { after: i.left_after_mm!, turnable: i.left_turnable ?? false },
          { after: i.right_after_mm!, turnable: i.right_turnable ?? false },
          i.machine_to_mm!,
          i.allowed_difference_mm,
        );
        return {
          difference_mm: p.difference,
          pair_ok: p.ok,
          left_turn_to_mm: p.leftTo,
          right_turn_to_mm: p.rightTo,
          pair_turnable: p.turnable,
        };
      }
      const d = reduceDrum({ open: i.open_mm, middle: i.middle_mm, closed: i.closed_mm });
      const t = turning({
        max: d.max,
        discard: i.discard_mm!,
        machineTo: i.machine_to_mm,
        scoreDepth: i.score_depth_mm,
        cleanUp: i.clean_up_mm,
        radialWobble: i.radial_wobble_tir_mm,
      });
      return { max_mm: d.max, out_of_round_mm: d.outOfRound, taper_mm: d.taper, barrel_mm: d.barrel, after_mm: t.after, state: t.state };
    },
  );
});

describe('fluid', () => {
  interface DueVector {
    op: string;
    kind: FluidKind;
    changed: string;
    climate: Climate;
    low_moisture: boolean;
    stands: boolean;
    competition: boolean;
    dry_C: number;
    wet_C: number;
    hottest_fluid_C: number | null;
    maker_months: number | null;
    measured: { date: string; water_percent: number } | null;
    water_percent: number;
    years: number;
    measured_percent: number;
  }
  vectorTests('fluid', (i: DueVector) => {
    if (i.op === 'boiling')
      return { tau_percent: boilingTau(i.dry_C, i.wet_C), boiling_C: boilingPoint(i.dry_C, i.wet_C, i.water_percent, i.kind) };
    if (i.op === 'water') {
      const T = waterConstant(i.climate, i.low_moisture);
      return { T_years: T, water_percent: waterAfter(i.years, T) };
    }
    if (i.op === 'refit') return { T_years: refitWater(i.years, i.measured_percent) };
    const input: DueInput = {
      kind: i.kind,
      changed: i.changed,
      climate: i.climate,
      lowMoisture: i.low_moisture,
      stands: i.stands,
      competition: i.competition,
      dry: i.dry_C,
      wet: i.wet_C,
      hottest: i.hottest_fluid_C,
      makerMonths: i.maker_months,
      measured: i.measured ? { date: i.measured.date, water: i.measured.water_percent } : null,
    };
    return { ...fluidDue(input) };
  });
});

describe('pads', () => {
  const even = { 'leading top': 6, 'trailing top': 6, 'leading bottom': 6, 'trailing bottom': 6 };
  it('takes the thinnest corner of either pad', () => {
    const r = reducePads({ inner: even, outer: { ...even, 'trailing top': 4.1 } }, 'floating');
    expect([r.min, r.minPad, r.minCorner]).to.deep.equal([4.1, 'outer', 'trailing top']);
  });
  it('reads uneven wear by the kind of caliper', () => {
    const thin = { 'leading top': 4, 'trailing top': 4, 'leading bottom': 4, 'trailing bottom': 4 };
    expect(reducePads({ inner: thin, outer: even }, 'floating').patterns.map((p) => p.code)).to.deep.equal(['inner_thinner']);
    expect(reducePads({ inner: even, outer: thin }, 'floating').patterns.map((p) => p.code)).to.deep.equal(['outer_thinner']);
    expect(reducePads({ inner: even, outer: thin }, 'fixed').patterns.map((p) => p.code)).to.deep.equal(['fixed_uneven']);
    expect(
      reducePads({ inner: { ...even, 'trailing top': 4.5, 'trailing bottom': 4.5 } }, 'fixed').patterns.map((p) => p.code),
    ).to.deep.equal(['lengthwise']);
    expect(reducePads({ inner: even, outer: even }, 'fixed').patterns).to.deep.equal([]);
  });
  it('refuses nothing and less than nothing', () => {
    expect(() => reducePads({}, 'fixed')).to.throw(DomainError);
    expect(() => reducePads({ inner: { 'leading top': -1 } }, 'fixed')).to.throw(DomainError);
  });
});

describe('positions', () => {
  it('are never the same twice within a measurement', () => {
    for (const id of ['rotor_thickness', 'rotor_runout', 'drum_diameter', 'pad_lining'] as const) {
      const keys = plannedPositions(id).map(positionKey);
      expect(new Set(keys).size, id).to.equal(keys.length);
    }
  });
  it('position 3 of 8 is not position 3 of 12', () => {
    const key = (n: number): string | undefined => plannedPositions('rotor_thickness', n).map(positionKey)[2];
    expect(key(8)).to.not.equal(key(12));
  });
});
