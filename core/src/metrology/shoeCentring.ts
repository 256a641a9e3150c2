import { DomainError, SLACK } from '../quantity/domainError.ts';
import { mean } from '../verdict/uncertainty.ts';
import { solve } from './linearSolve.ts';

/** Distance from the axle centre to a lining, mm, seen from the wheel side, counter-clockwise from x to the right, y up. */
export interface ShoePoint {
  readonly angle: number;
  readonly distance: number;
}

export interface LiningCircle {
  /** Centre of the linings from the axle's, mm. */
  readonly dx: number;
  readonly dy: number;
  readonly radius: number;
  /** Drum radius less distance at each point, along the ray from the axle, mm. */
  readonly clearance: readonly number[];
  readonly unequal: number;
}

export const spread = (list: readonly number[]): number => Math.max(...list) - Math.min(...list);

/** Algebraic circle (least squares of x² + y² + Dx + Ey + F) as a start for the geometric one. */
function startOf(points: readonly { x: number; y: number }[]): { x: number; y: number } | null {
  const rows = points.map((p) => [p.x, p.y, 1]);
  const normal = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((s, r) => s + (r[i] ?? 0) * (r[j] ?? 0), 0)));
  const right = [0, 1, 2].map((i) => rows.reduce((s, r, k) => s - (r[i] ?? 0) * ((points[k]?.x ?? 0) ** 2 + (points[k]?.y ?? 0) ** 2), 0));
  const s = solve(normal, right);
  return s ? { x: -(s[0] ?? 0) / 2, y: -(s[1] ?? 0) / 2 } : null;
}

/**
 * The circle that the linings stand on: geometric least squares, the squared differences of true distances from the
 * centre to the radius made least (Gauss–Newton from the algebraic circle).
 * @param drumDiameter mm
 * @throws DomainError too_few_points below three different angles
 * Source: handbook 20, Shoe centring.
 */
export function liningCircle(points: readonly ShoePoint[], drumDiameter: number): LiningCircle {
  const angles = new Set(points.map((p) => Math.round(((p.angle % 360) + 360) * 1e6) % 360e6));
  if (angles.size < 3) throw new DomainError('too_few_points', 'A circle needs distances at three different angles or more.');
  const xy = points.map((p) => {
    const t = (p.angle * Math.PI) / 180;
    return { x: p.distance * Math.cos(t), y: p.distance * Math.sin(t) };
  });
  const start = startOf(xy);
  if (!start) throw new DomainError('too_few_points', 'These points lie on one line: no circle goes through them.');
  let { x, y } = start;
  let radius = 0;
  for (let step = 0; step < 100; step += 1) {
    const rays = xy.map((p) => ({ dx: x - p.x, dy: y - p.y, r: Math.hypot(x - p.x, y - p.y) || 1e-12 }));
    radius = mean(rays.map((r) => r.r));
    const rows = rays.map((r) => [r.dx / r.r, r.dy / r.r, -1]);
    const off = rays.map((r) => r.r - radius);
    const normal = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((s, r) => s + (r[i] ?? 0) * (r[j] ?? 0), 0)));
    const right = [0, 1, 2].map((i) => -rows.reduce((s, r, k) => s + (r[i] ?? 0) * (off[k] ?? 0), 0));
    const d = solve(normal, right);
    if (!d) break;
    x += d[0] ?? 0;
    y += d[1] ?? 0;
    if (Math.hypot(d[0] ?? 0, d[1] ?? 0) < 1e-12) break;
  }
  radius = mean(xy.map((p) => Math.hypot(x - p.x, y - p.y)));
  const clearance = points.map((p) => drumDiameter / 2 - p.distance);
  return { dx: x, dy: y, radius, clearance, unequal: spread(clearance) };
}

/** One lift for each end of each shoe, mm, towards the drum positive. */
export interface Lifts {
  readonly aHeel: number;
  readonly aToe: number;
  readonly bHeel: number;
  readonly bToe: number;
}

export interface ChooseInput {
  /** Shoe A heel, middle, toe, then shoe B heel, middle, toe. */
  readonly points: readonly ShoePoint[];
  readonly drumDiameter: number;
  readonly lifts: Readonly<Record<keyof Lifts, readonly number[]>>;
  /** Clearance wanted more at a point than at the others, mm: a bias towards the adjuster. */
  readonly wantedExtra?: readonly number[];
  readonly leastClearance?: number;
}

export interface Chosen {
  readonly lifts: Lifts;
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** max − min of clearance less what was wanted, mm. */
  readonly score: number;
  readonly tried: number;
  readonly leftOut: number;
}

/** The most settings that are tried: beyond it the lists want shortening. */
export const MAX_SETTINGS = 5_000_000;

/**
 * Tries every setting that the design offers and picks the one with the least unequal clearance: lifting an end moves
 * that end's point by the lift, the middle by half of it, the other end not. Of equals (1e-9) the smaller sum of
 * lifts, then the first in the order of the lists, heel of A slowest.
 * @throws DomainError too_few_points, empty_lift_list, too_many_settings, nothing_clears
 * Source: handbook 20, Shoe centring.
 */
export function chooseLifts(input: ChooseInput): Chosen {
  const { points, lifts } = input;
  if (points.length !== 6) throw new DomainError('too_few_points', 'Both shoes are measured at heel, middle and toe.');
  const lists = [lifts.aHeel, lifts.aToe, lifts.bHeel, lifts.bToe];
  if (lists.some((l) => l.length === 0))
    throw new DomainError('empty_lift_list', 'Every end needs at least one lift: 0 where it cannot be moved.');
  const settings = lists.reduce((n, l) => n * l.length, 1);
  if (settings > MAX_SETTINGS) {
    throw new DomainError('too_many_settings', `${settings} settings are too many to try: shorten the lists to those within reach.`);
  }
  const least = input.leastClearance ?? 0;
  const wanted = input.wantedExtra ?? [0, 0, 0, 0, 0, 0];
  const before = points.map((p) => input.drumDiameter / 2 - p.distance);
  const [b0 = 0, b1 = 0, b2 = 0, b3 = 0, b4 = 0, b5 = 0] = before;
  const [w0 = 0, w1 = 0, w2 = 0, w3 = 0, w4 = 0, w5 = 0] = wanted;
  let tried = 0;
  let leftOut = 0;
  let best: { score: number; sum: number; lifts: Lifts } | null = null;
  for (const ah of lifts.aHeel) {
    for (const at of lifts.aToe) {
      const c0 = b0 - ah;
      const c1 = b1 - (ah + at) / 2;
      const c2 = b2 - at;
      const leastA = Math.min(c0, c1, c2);
      const highA = Math.max(c0 - w0, c1 - w1, c2 - w2);
      const lowA = Math.min(c0 - w0, c1 - w1, c2 - w2);
      for (const bh of lifts.bHeel) {
        for (const bt of lifts.bToe) {
          tried += 1;
          const c3 = b3 - bh;
          const c4 = b4 - (bh + bt) / 2;
          const c5 = b5 - bt;
          if (Math.min(leastA, c3, c4, c5) < least - SLACK) {
            leftOut += 1;
            continue;
          }
          const score = Math.max(highA, c3 - w3, c4 - w4, c5 - w5) - Math.min(lowA, c3 - w3, c4 - w4, c5 - w5);
          const sum = Math.abs(ah) + Math.abs(at) + Math.abs(bh) + Math.abs(bt);
          const better = best === null || score < best.score - SLACK || (score <= best.score + SLACK && sum < best.sum - SLACK);
          if (better) best = { score, sum, lifts: { aHeel: ah, aToe: at, bHeel: bh, bToe: bt } };
        }
      }
    }
  }
  if (!best)
    throw new DomainError('nothing_clears', 'No setting leaves the least clearance everywhere: the linings are too thick for this drum.');
  const l = best.lifts;
  const after = [b0 - l.aHeel, b1 - (l.aHeel + l.aToe) / 2, b2 - l.aToe, b3 - l.bHeel, b4 - (l.bHeel + l.bToe) / 2, b5 - l.bToe];
  return { lifts: l, before, after, score: best.score, tried, leftOut };
}

/** The ends of both shoes that may be lifted, in the order in which settings are tried. */
export const SHOE_ENDS: readonly (keyof Lifts)[] = ['aHeel', 'aToe', 'bHeel', 'bToe'];
