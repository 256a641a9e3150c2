import { expect } from 'chai';
import fc from 'fast-check';
import {
  cutOfShape,
  lineLength,
  pointsOfStretches,
  stretchesOfPoints,
  type TubePoint,
  type TubeShape,
  type TubeStretch,
} from '../src/metrology/lineLength.ts';
import { vectorTests } from './vectors.ts';

interface Input {
  readonly points_mm: readonly TubePoint[];
  readonly bend_radius_mm: number;
  readonly tube_od_mm: number;
  readonly flare_start_mm?: number;
  readonly flare_end_mm?: number;
  readonly slack_mm?: number;
}

/** Stretches that leave room for their bends at a radius of 15 mm: the tangent of 120° is 26 mm. */
const stretches: fc.Arbitrary<TubeStretch[]> = fc.array(
  fc.record({
    lengthMm: fc.double({ min: 55, max: 600, noNaN: true }),
    deflectionDeg: fc.double({ min: 1, max: 120, noNaN: true }),
    turnDeg: fc.double({ min: -179, max: 179, noNaN: true }),
  }),
  { minLength: 1, maxLength: 8 },
);
const shapeOf = (points: readonly TubePoint[]): TubeShape => ({
  ...{ points, bendRadiusMm: 15, outsideMm: 4.75, flareStartMm: 2.5, flareEndMm: 3.1, slackMm: 8 },
});

/** Walks along the bent tube in small steps and counts them: independent of the formula. */
function walked(points: readonly TubePoint[], radius: number): number {
  const unit = (a: TubePoint, b: TubePoint): TubePoint => {
    const d = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
    return [(b[0] - a[0]) / d, (b[1] - a[1]) / d, (b[2] - a[2]) / d];
  };
  let sum = 0;
  let from = points[0]!;
  for (let i = 1; i < points.length; i += 1) {
    const corner = points[i]!;
    const next = points[i + 1];
    if (!next) return sum + Math.hypot(corner[0] - from[0], corner[1] - from[1], corner[2] - from[2]);
    const [u, v] = [unit(corner, points[i - 1]!), unit(corner, next)];
    const cos = u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
    // The circle that touches both straights stands on the line that halves the angle between them.
    const half = Math.acos(Math.max(-1, Math.min(1, cos))) / 2;
    const tangent = radius / Math.tan(half);
    const [a, b] = [u, v].map((w): TubePoint => [corner[0] + w[0] * tangent, corner[1] + w[1] * tangent, corner[2] + w[2] * tangent]);
    sum += Math.hypot(a![0] - from[0], a![1] - from[1], a![2] - from[2]);
    const bisector: TubePoint = [u[0] + v[0], u[1] + v[1], u[2] + v[2]];
    const size = Math.hypot(...bisector);
    const far = radius / Math.sin(half);
    const along = (k: 0 | 1 | 2): number => corner[k] + (bisector[k] / size) * far;
    const centre: TubePoint = [along(0), along(1), along(2)];
    const chord = Math.hypot(a![0] - b![0], a![1] - b![1], a![2] - b![2]);
    expect(Math.hypot(a![0] - centre[0], a![1] - centre[1], a![2] - centre[2])).to.be.closeTo(radius, 1e-6);
    sum += 2 * radius * Math.asin(Math.min(1, chord / (2 * radius)));
    from = b!;
  }
  return sum;
}

describe('the length of a line, and where it is bent', () => {
  vectorTests('line-length', (i: Input) => {
    const cut = lineLength({
      points: i.points_mm,
      bendRadiusMm: i.bend_radius_mm,
      outsideMm: i.tube_od_mm,
      flareStartMm: i.flare_start_mm ?? 0,
      flareEndMm: i.flare_end_mm ?? 0,
      slackMm: i.slack_mm ?? 0,
    });
    return {
      straight_sum_mm: cut.straightSumMm,
      centre_line_mm: cut.centreLineMm,
      cut_mm: cut.cutMm,
      bends: cut.bends.map((b) => ({
        point: b.point,
        deflection_deg: b.deflectionDeg,
        tangent_mm: b.tangentMm,
        arc_mm: b.arcMm,
        mark_start_mm: b.markStartMm,
        mark_end_mm: b.markEndMm,
      })),
    };
  });

  it('is what one walks along the bent tube, whatever its shape', () => {
    fc.assert(
      fc.property(stretches, (s) => {
        const points = pointsOfStretches(s);
        const cut = lineLength(shapeOf(points));
        expect(cut.centreLineMm).to.be.closeTo(walked(points, 15), 1e-6);
        expect(cut.cutMm).to.be.closeTo(cut.centreLineMm + 2.5 + 3.1 + 8, 1e-9);
      }),
    );
  });

  it('gives back the bends and turns that were measured, in order, and each mark after the one before', () => {
    fc.assert(
      fc.property(stretches, (s) => {
        const { bends } = lineLength(shapeOf(pointsOfStretches(s)));
        expect(bends).to.have.length(s.length - 1);
        bends.forEach((b, i) => {
          expect(b.deflectionDeg).to.be.closeTo(s[i]!.deflectionDeg, 1e-6);
          expect(b.turnDeg).to.be.closeTo(i === 0 ? 0 : s[i]!.turnDeg, 1e-4);
          expect(b.markStartMm).to.be.greaterThan(bends[i - 1]?.markEndMm ?? 2.5);
        });
      }),
    );
  });

  it('is the same by points as by straights and bends, wherever in the vehicle it was measured', () => {
    fc.assert(
      fc.property(
        stretches,
        fc.tuple(fc.double({ min: -500, max: 500, noNaN: true }), fc.double({ min: 0, max: 6, noNaN: true })),
        (s, [off, by]) => {
          const elsewhere = pointsOfStretches(s).map(([x, y, z]): TubePoint => [
            x * Math.cos(by) - z * Math.sin(by) + off,
            y - off,
            x * Math.sin(by) + z * Math.cos(by),
          ]);
          const end = { flare: 'double', thread: '', usedMm: 2.5 } as const;
          const plain = { outsideMm: 4.75, bendRadiusMm: 15, slackMm: 0, first: end, last: end };
          const one = cutOfShape({ ...plain, stretches: s });
          const other = cutOfShape({ ...plain, stretches: stretchesOfPoints(elsewhere) });
          expect(other.cutMm).to.be.closeTo(one.cutMm, 1e-6);
          other.bends.forEach((b, i) => {
            expect(b.markStartMm).to.be.closeTo(one.bends[i]!.markStartMm, 1e-6);
            expect(Math.cos(((b.turnDeg - one.bends[i]!.turnDeg) * Math.PI) / 180)).to.be.closeTo(1, 1e-6);
          });
        },
      ),
    );
  });

  it('is the same from the other end, but for its marks', () => {
    fc.assert(
      fc.property(stretches, (s) => {
        const points = pointsOfStretches(s);
        const one = lineLength(shapeOf(points));
        const other = lineLength({ ...shapeOf([...points].reverse()), flareStartMm: 3.1, flareEndMm: 2.5, slackMm: 0 });
        expect(other.cutMm + 8).to.be.closeTo(one.cutMm, 1e-6);
        [...other.bends].reverse().forEach((b, i) => {
          expect(other.cutMm - b.markEndMm).to.be.closeTo(one.bends[i]!.markStartMm, 1e-6);
        });
      }),
    );
  });

  it('refuses what no tube is', () => {
    const straight = shapeOf([
      [0, 0, 0],
      [100, 0, 0],
    ]);
    expect(() => lineLength({ ...straight, slackMm: -1 })).to.throw('slack');
    expect(() => lineLength({ ...straight, outsideMm: 0 })).to.throw('diameter');
    expect(() => lineLength({ ...straight, points: [[0, 0, Number.NaN], ...straight.points] })).to.throw('three figures');
    expect(() => pointsOfStretches([])).to.throw('two ends');
    expect(() => stretchesOfPoints([[0, 0, 0]])).to.throw('two ends');
    expect(() => pointsOfStretches([{ lengthMm: 0, deflectionDeg: 0, turnDeg: 0 }])).to.throw('no length');
    // Without a bend none is too tight.
    expect(lineLength({ ...straight, bendRadiusMm: 1 }).cutMm).to.be.closeTo(113.6, 1e-9);
    const back = pointsOfStretches([{ lengthMm: 60, deflectionDeg: 0, turnDeg: 0 }]);
    expect(() => lineLength(shapeOf([...back, [10, 0, 0]]))).to.throw('turns back');
    expect(() => lineLength(shapeOf([...back, [60, 0, 0]]))).to.throw('same');
  });
});
