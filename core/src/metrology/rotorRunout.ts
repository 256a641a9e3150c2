import { DomainError, SLACK } from '../quantity/domainError.ts';
import { solve } from './linearSolve.ts';

export interface Harmonics {
  readonly a0: number;
  readonly a1: number;
  readonly b1: number;
  readonly a2: number;
  readonly b2: number;
}

export interface Runout extends Harmonics {
  /** Total indicator reading: max − min of the raw readings, mm. */
  readonly tir: number;
  /** First harmonic as TIR, mm: seating face, debris, bent hub, nut order. */
  readonly wobble: number;
  /** Angle of the wobble's high spot from stud 1, degrees in [0, 360); null without wobble. */
  readonly wobbleHighAngle: number | null;
  /** Second harmonic as TIR, mm: heat or casting stress. */
  readonly warp: number;
  /** What the fit leaves, peak to peak, mm: surface, noise. */
  readonly residual: number;
  readonly shareWobble: number | null;
  readonly shareWarp: number | null;
  readonly shareResidual: number | null;
  /** The bearing's end float is past its limit, so runout means nothing yet. */
  readonly bearingFirst: boolean;
}

/** Least readings of a sweep. */
const MIN_RUNOUT = 6;

const TERMS = [0, 1, 2, 3, 4];
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const basis = (t: number): number[] => [1, Math.cos(t), Math.sin(t), Math.cos(2 * t), Math.sin(2 * t)];

function wrap(degrees: number): number {
  return ((degrees % 360) + 360) % 360;
}

function checkSweep(angles: readonly number[], readings: readonly number[]): void {
  if (angles.length !== readings.length) throw new DomainError('lengths_differ', 'Every reading needs its angle.');
  if (readings.length < MIN_RUNOUT) {
    throw new DomainError('too_few_readings', `A sweep needs at least ${MIN_RUNOUT} readings round the rotor.`);
  }
  const sorted = [...new Set(angles.map((a) => Math.round(wrap(a) * 1e6) / 1e6))].sort((a, b) => a - b);
  if (sorted.length < 5) throw new DomainError('too_few_angles', 'A sweep needs at least five different angles.');
  const gaps = sorted.map((a, i) => (sorted[i + 1] ?? (sorted[0] ?? 0) + 360) - a);
  if (Math.max(...gaps) > 90 + SLACK) throw new DomainError('gap_too_wide', 'There is a gap of more than 90° in the sweep.');
}

/**
 * Splits a lateral runout sweep by least squares into wobble (once a turn), warp (twice) and surface.
 * @param angles angle of the point under the dial from hub stud 1, degrees, in the direction in which studs are counted
 * @param readings dial readings, mm, plunger pushed in = positive, any zero
 * @param bearing end float and its limit, mm, where they are known
 * @throws DomainError lengths_differ, too_few_readings, too_few_angles, gap_too_wide
 * Source: handbook, Rotor: runout; discrete Fourier terms by ordinary least squares.
 */
export function splitRunout(
  angles: readonly number[],
  readings: readonly number[],
  bearing?: { readonly endFloat: number; readonly limit: number } | null,
): Runout {
  checkSweep(angles, readings);
  const rows = angles.map((a) => basis(radians(a)));
  const normal = TERMS.map((i) => TERMS.map((j) => rows.reduce((s, r) => s + (r[i] ?? 0) * (r[j] ?? 0), 0)));
  const right = TERMS.map((i) => rows.reduce((s, r, k) => s + (r[i] ?? 0) * (readings[k] ?? 0), 0));
  const solved = solve(normal, right);
  if (!solved) throw new DomainError('too_few_angles', 'These angles cannot be told apart by the fit. Take more of them.');
  const [a0 = 0, a1 = 0, b1 = 0, a2 = 0, b2 = 0] = solved;
  const left = rows.map((r, k) => (readings[k] ?? 0) - r.reduce((s, v, i) => s + v * (solved[i] ?? 0), 0));
  const wobble = 2 * Math.hypot(a1, b1);
  const warp = 2 * Math.hypot(a2, b2);
  const residual = Math.max(...left) - Math.min(...left);
  const sum = wobble + warp + residual;
  const share = (part: number): number | null => (sum > 1e-12 ? part / sum : null);
  return {
    tir: Math.max(...readings) - Math.min(...readings),
    a0,
    a1,
    b1,
    a2,
    b2,
    wobble,
    warp,
    residual,
    wobbleHighAngle: wobble < 1e-9 ? null : wrap((Math.atan2(b1, a1) * 180) / Math.PI),
    shareWobble: share(wobble),
    shareWarp: share(warp),
    shareResidual: share(residual),
    bearingFirst: bearing ? bearing.endFloat > bearing.limit + SLACK : false,
  };
}

/** The wobble part of the fit at an angle, mm about a0, for drawing. */
export function wobbleAt(h: Harmonics, angle: number): number {
  const t = radians(angle);
  return h.a0 + h.a1 * Math.cos(t) + h.b1 * Math.sin(t);
}

/** The warp part of the fit at an angle, mm, for drawing. */
export function warpAt(h: Harmonics, angle: number): number {
  const t = radians(angle);
  return h.a2 * Math.cos(2 * t) + h.b2 * Math.sin(2 * t);
}
