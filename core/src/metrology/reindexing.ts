import { DomainError, SLACK } from '../quantity/domainError.ts';
import type { Harmonics } from './rotorRunout.ts';

/** A wobble as an arrow: length half its TIR, mm, pointing at its high spot, angles from hub stud 1. */
export interface Phasor {
  readonly re: number;
  readonly im: number;
}

interface Wobble {
  /** TIR, mm. */
  readonly tir: number;
  /** Degrees in [0, 360); null where there is no wobble to speak of. */
  readonly highAngle: number | null;
}

export interface Reindexing {
  /** The rotor's own share, as it was mounted in the first sweep. */
  readonly rotor: Wobble;
  /** What stays whichever way the rotor sits. */
  readonly hub: Wobble;
  /** Wobble TIR to be expected with the rotor turned by 0, 1 … n − 1 studs from the first sweep, mm. */
  readonly predicted: readonly number[];
  /** Studs to turn on from the first sweep; the smallest of equals. */
  readonly best: number;
  readonly bestTir: number;
  /** The hub alone is over the limit: no position helps. */
  readonly hubOverLimit: boolean;
  readonly bestWithinLimit: boolean;
}

/** Least studs of an even bolt circle. */
const MIN_STUDS = 3;

const times = (a: Phasor, b: Phasor): Phasor => ({ re: a.re * b.re - a.im * b.im, im: a.re * b.im + a.im * b.re });
const less = (a: Phasor, b: Phasor): Phasor => ({ re: a.re - b.re, im: a.im - b.im });
const plus = (a: Phasor, b: Phasor): Phasor => ({ re: a.re + b.re, im: a.im + b.im });
const turned = (degrees: number): Phasor => ({ re: Math.cos((degrees * Math.PI) / 180), im: Math.sin((degrees * Math.PI) / 180) });
const over = (a: Phasor, b: Phasor): Phasor => {
  const d = b.re * b.re + b.im * b.im;
  return { re: (a.re * b.re + a.im * b.im) / d, im: (a.im * b.re - a.re * b.im) / d };
};
function asWobble(p: Phasor): Wobble {
  const tir = 2 * Math.hypot(p.re, p.im);
  const angle = (Math.atan2(p.im, p.re) * 180) / Math.PI;
  return { tir, highAngle: tir < 1e-9 ? null : (angle + 360) % 360 };
}

/** The first harmonic of a sweep as a phasor, mm. */
export function phasorOf(h: Pick<Harmonics, 'a1' | 'b1'>): Phasor {
  return { re: h.a1, im: h.b1 };
}

/** A phasor from a wobble's TIR, mm, and the angle of its high spot, degrees. */
export function phasorFrom(tir: number, highAngle: number): Phasor {
  const unit = turned(highAngle);
  return { re: (tir / 2) * unit.re, im: (tir / 2) * unit.im };
}

/** How many studs to turn the rotor for the second sweep: nearest half a turn, which separates best. */
export function stepsToTurn(studs: number): number {
  checkStuds(studs);
  return Math.floor(studs / 2);
}

function checkStuds(studs: number): void {
  if (!Number.isInteger(studs) || studs < MIN_STUDS) {
    throw new DomainError('bad_stud_count', `A rotor that can be turned on its studs has at least ${MIN_STUDS} of them, evenly round.`);
  }
}

/**
 * Separates hub and rotor from two sweeps, the rotor turned by k studs between them, and predicts the wobble in
 * every position. Only for an even bolt circle that nothing ties to one position.
 * @param input.studs number of studs n
 * @param input.steps studs the rotor was turned on by between the sweeps, in the direction in which studs are counted
 * @param input.first wobble of the first sweep, angles from hub stud 1
 * @param input.second wobble of the second sweep, angles from hub stud 1 (not from a mark on the rotor)
 * @param input.limit runout limit, mm TIR
 * @throws DomainError bad_stud_count, no_turn
 * Source: handbook 20, Hub against rotor: V0 = H + R, Vk = H + R·e^(iφ), φ = 360°·k/n.
 */
export function reindex(input: {
  readonly studs: number;
  readonly steps: number;
  readonly limit: number;
  readonly first: Phasor;
  readonly second: Phasor;
}): Reindexing {
  const { studs, steps, limit, first, second } = input;
  checkStuds(studs);
  if (!Number.isInteger(steps) || steps % studs === 0) {
    throw new DomainError('no_turn', 'The rotor stands where it stood in the first sweep: turn it by at least one stud.');
  }
  const rotor = over(less(second, first), less(turned((360 * steps) / studs), { re: 1, im: 0 }));
  const hub = less(first, rotor);
  const predicted = Array.from({ length: studs }, (_, j) => asWobble(plus(hub, times(rotor, turned((360 * j) / studs)))).tir);
  const least = Math.min(...predicted);
  const best = predicted.findIndex((p) => p <= least + SLACK);
  const bestTir = predicted[best] ?? least;
  const ofHub = asWobble(hub);
  return {
    rotor: asWobble(rotor),
    hub: ofHub,
    predicted,
    best,
    bestTir,
    hubOverLimit: ofHub.tir > limit + SLACK,
    bestWithinLimit: bestTir <= limit + SLACK,
  };
}

/**
 * Which hole of the rotor comes onto hub stud 1, counted from the one that sat there in the first sweep as hole 1.
 * @param steps studs the rotor is turned on by
 * @returns 1-based hole
 */
export function holeOnStudOne(steps: number, studs: number): number {
  checkStuds(studs);
  return ((((-steps % studs) + studs) % studs) % studs) + 1;
}
