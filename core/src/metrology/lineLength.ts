import type { LineShape } from '../ledger/families/lineShapes.ts';
import { DomainError } from '../quantity/domainError.ts';

/** A point of a tube's centre line, mm: along the vehicle, across it, up. */
export type TubePoint = readonly [number, number, number];

/** A tube as it is to be: the corners of its centre line, and how it is bent and flared. */
export interface TubeShape {
  /** Corners of the centre line, mm; the first and the last are its finished ends. */
  readonly points: readonly TubePoint[];
  /** To the centre line, mm. */
  readonly bendRadiusMm: number;
  readonly outsideMm: number;
  /** Tube that each flare uses up, mm: measured on one's own flaring tool with a test piece. */
  readonly flareStartMm: number;
  readonly flareEndMm: number;
  /** Kept over at the last straight, mm. */
  readonly slackMm: number;
}

/** A bend, as it is marked on the straight tube. */
export interface TubeBend {
  /** Which of the points it stands at, from 0. */
  readonly point: number;
  readonly deflectionDeg: number;
  /** By how much its plane is turned from that of the bend before, to the right seen along the tube from its first end, −180 to 180°; 0 for the first. */
  readonly turnDeg: number;
  /** From the corner to where the bend begins, mm. */
  readonly tangentMm: number;
  readonly arcMm: number;
  /** Along the cut tube from its first cut end, mm. */
  readonly markStartMm: number;
  readonly markEndMm: number;
}

export interface TubeCut {
  /** From point to point, mm. */
  readonly straightSumMm: number;
  readonly bends: readonly TubeBend[];
  readonly centreLineMm: number;
  readonly cutMm: number;
}

/** A straight of a tube up to the corner where the next begins. */
export interface TubeStretch {
  /** From corner to corner, mm. */
  readonly lengthMm: number;
  /** Change of direction at its end, 0 to under 180°; nothing at the last. */
  readonly deflectionDeg: number;
  /** By how much its plane is turned from that of the bend before, as in `TubeBend`, degrees. */
  readonly turnDeg: number;
}

/** Tightest bend of a tube, in outside diameters, to its centre line. */
export const TIGHTEST_BEND = 3;
/** Below this there is no bend, and above its supplement the tube lies on itself, degrees. */
const NO_BEND_DEG = 1e-6;
/** By how much what just touches may pass, mm. */
const TOUCH_MM = 1e-9;

const degrees = 180 / Math.PI;
type Vector = readonly [number, number, number];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const long = (a: Vector): number => Math.hypot(...a);
const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** Angle between two directions, degrees: exact also where they nearly agree. */
const angleBetween = (a: Vector, b: Vector): number => Math.atan2(long(cross(a, b)), dot(a, b)) * degrees;

/** A corner at which the tube is bent. */
interface Corner {
  readonly point: number;
  readonly deflectionDeg: number;
  readonly tangentMm: number;
  readonly arcMm: number;
  readonly turnDeg: number;
  /** From point to point up to here, mm. */
  readonly alongMm: number;
}

/** What is bad about figures that have nothing to do with where the points lie. */
function checkFigures({ points, bendRadiusMm, outsideMm, flareStartMm, flareEndMm, slackMm }: TubeShape): void {
  if (points.length < 2) throw new DomainError('too_few_points', 'A line has two ends at least.');
  if (points.some((p) => !p.every(Number.isFinite))) throw new DomainError('bad_length', 'A point is three figures.');
  if (!(bendRadiusMm > 0) || !(outsideMm > 0)) throw new DomainError('bad_length', 'A tube has a diameter, and a bend a radius.');
  if (![flareStartMm, flareEndMm, slackMm].every((mm) => mm >= 0))
    throw new DomainError('bad_length', 'A flare uses up nothing or more, and slack is nothing or more.');
}

function cornersOf({ points, bendRadiusMm, outsideMm }: Pick<TubeShape, 'points' | 'bendRadiusMm' | 'outsideMm'>): {
  readonly corners: readonly Corner[];
  readonly sumMm: number;
} {
  const legs = points.slice(1).map((p, i) => minus(p, points[i] ?? p));
  const twice = legs.findIndex((l) => long(l) === 0);
  if (twice >= 0) throw new DomainError('repeated_point', `Points ${twice + 1} and ${twice + 2} are the same.`);
  const corners: Corner[] = [];
  let alongMm = 0;
  let plane: Vector | null = null;
  legs.slice(0, -1).forEach((leg, i) => {
    const next = legs[i + 1] ?? leg;
    alongMm += long(leg);
    const deflectionDeg = angleBetween(leg, next);
    if (deflectionDeg <= NO_BEND_DEG) return;
    const point = i + 1;
    if (bendRadiusMm < TIGHTEST_BEND * outsideMm - TOUCH_MM)
      throw new DomainError('bend_too_tight', `The tube is bent no tighter than ${TIGHTEST_BEND} times its diameter.`);
    if (deflectionDeg >= 180 - NO_BEND_DEG) throw new DomainError('doubles_back', `At point ${point + 1} the line turns back upon itself.`);
    const theta = deflectionDeg / degrees;
    const normal = cross(leg, next);
    const turned: number = plane === null ? 0 : Math.atan2(dot(leg, cross(plane, normal)) / long(leg), dot(plane, normal)) * degrees;
    plane = normal;
    corners.push({
      ...{ point, deflectionDeg, alongMm, turnDeg: turned },
      tangentMm: bendRadiusMm * Math.tan(theta / 2),
      arcMm: bendRadiusMm * theta,
    });
  });
  return { corners, sumMm: alongMm + long(legs.at(-1) ?? [0, 0, 0]) };
}

/**
 * Cut length of a tube through points, and where its bends are marked on it while it is straight: straights less 2 r tan(θ/2),
 * plus r θ at each bend, plus what the flares use up and the slack. Slack lies at the last straight and moves no mark.
 * @throws DomainError `too_few_points`, `repeated_point`, `bend_too_tight`, `doubles_back`, `bends_overlap`, `bad_length`
 * Source: handbook 70, Line length.
 */
export function lineLength(shape: TubeShape): TubeCut {
  checkFigures(shape);
  const { corners, sumMm } = cornersOf(shape);
  corners.forEach((c, i) => {
    const before = corners[i - 1];
    const room = c.alongMm - (before?.alongMm ?? 0) - (before?.tangentMm ?? 0);
    if (c.tangentMm > room + TOUCH_MM)
      throw new DomainError(
        'bends_overlap',
        before
          ? `The bends at points ${before.point + 1} and ${c.point + 1} stand too near to each other.`
          : `The bend at point ${c.point + 1} stands too near to the first end.`,
      );
  });
  const last = corners.at(-1);
  if (last && last.tangentMm > sumMm - last.alongMm + TOUCH_MM)
    throw new DomainError('bends_overlap', `The bend at point ${last.point + 1} stands too near to the last end.`);
  let saved = 0;
  const bends = corners.map(({ point, deflectionDeg, turnDeg, tangentMm, arcMm, alongMm }): TubeBend => {
    const markStartMm = shape.flareStartMm + alongMm - saved - tangentMm;
    saved += 2 * tangentMm - arcMm;
    return { point, deflectionDeg, turnDeg, tangentMm, arcMm, markStartMm, markEndMm: markStartMm + arcMm };
  });
  const centreLineMm = sumMm - saved;
  return { straightSumMm: sumMm, bends, centreLineMm, cutMm: centreLineMm + shape.flareStartMm + shape.flareEndMm + shape.slackMm };
}

/** A direction turned about an axis of length 1, degrees to the right seen along it. Source: Rodrigues' rotation formula. */
function turnedAbout(v: Vector, axis: Vector, deg: number): Vector {
  const a = deg / degrees;
  const along = scaled(axis, dot(axis, v) * (1 - Math.cos(a)));
  return plus(plus(scaled(v, Math.cos(a)), scaled(cross(axis, v), Math.sin(a))), along);
}

/**
 * Points of a tube that was measured as straights and bends. The first straight leads along the vehicle, and the first bend
 * lies level.
 * @throws DomainError `too_few_points`, `bad_length`, `doubles_back`
 */
export function pointsOfStretches(stretches: readonly TubeStretch[]): TubePoint[] {
  if (stretches.length === 0) throw new DomainError('too_few_points', 'A line has two ends at least.');
  let ahead: Vector = [1, 0, 0];
  let axis: Vector = [0, 0, 1];
  let at: Vector = [0, 0, 0];
  let bent = false;
  const points: TubePoint[] = [at];
  stretches.forEach(({ lengthMm, deflectionDeg, turnDeg }, i) => {
    if (!(lengthMm > 0)) throw new DomainError('bad_length', `Straight ${i + 1} has no length.`);
    at = plus(at, scaled(ahead, lengthMm));
    points.push(at);
    if (i === stretches.length - 1 || deflectionDeg === 0) return;
    if (!(deflectionDeg > 0 && deflectionDeg < 180))
      throw new DomainError('doubles_back', `Bend ${i + 1} is more than 0 and less than 180°.`);
    if (bent) axis = turnedAbout(axis, ahead, turnDeg);
    bent = true;
    ahead = turnedAbout(ahead, axis, deflectionDeg);
  });
  return points;
}

/**
 * Straights and bends of a tube that was measured by points; a point in line with its neighbours is none.
 * @throws DomainError `too_few_points`, `repeated_point`, `doubles_back`
 */
export function stretchesOfPoints(points: readonly TubePoint[]): TubeStretch[] {
  if (points.length < 2) throw new DomainError('too_few_points', 'A line has two ends at least.');
  const { corners, sumMm } = cornersOf({ points, bendRadiusMm: Infinity, outsideMm: 0 });
  return [...corners, null].map((c, i) => ({
    lengthMm: (c?.alongMm ?? sumMm) - (corners[i - 1]?.alongMm ?? 0),
    deflectionDeg: c?.deflectionDeg ?? 0,
    turnDeg: c?.turnDeg ?? 0,
  }));
}

/** A measured line with its points, and what it is cut and marked to. @throws DomainError as `pointsOfStretches` and `lineLength` */
export function cutOfShape(
  shape: Pick<LineShape, 'stretches' | 'outsideMm' | 'bendRadiusMm' | 'slackMm' | 'first' | 'last'>,
): TubeCut & { readonly points: readonly TubePoint[] } {
  const points = pointsOfStretches(shape.stretches);
  const { outsideMm, bendRadiusMm, slackMm, first, last } = shape;
  const cut = lineLength({ points, outsideMm, bendRadiusMm, slackMm, flareStartMm: first.usedMm, flareEndMm: last.usedMm });
  return { ...cut, points };
}
