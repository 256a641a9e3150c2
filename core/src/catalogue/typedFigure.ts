import { type Quantity, parseQuantity } from '../quantity/parse.ts';
import { DomainError, toResult } from '../quantity/domainError.ts';
import type { UnitId } from '../quantity/units.ts';
import { GAUGE_KIND_NAME, GAUGE_QUANTITY, GENERIC_GAUGE, type GaugeKind } from './gaugeKinds.ts';
import type { MeasurementId } from './measurements.ts';
import { MEASUREMENTS, usualGaugeAt } from './measurements.ts';
import { requirePossible } from './possible.ts';

/** How much a figure changes with each of the two it was worked out of. */
interface Gains {
  readonly first: number;
  readonly second: number;
}
/** A figure as it was read: as such, or of two that it follows from. */
export interface TypedFigure extends Quantity {
  readonly of: { readonly first: Quantity; readonly second: Quantity; readonly gains: Gains } | null;
}

/** Figures that may be typed as two: what the two are, and what follows from them. Canonical units. */
interface FromTwo {
  readonly first: readonly ['force' | 'length', UnitId];
  readonly names: readonly [string, string];
  readonly example: string;
  readonly value: (a: number, b: number) => number;
  readonly gains: (a: number, b: number) => Gains;
  /** The gauge that gives the first, where that decides; it takes no plain figure here. */
  readonly by: GaugeKind | null;
  /** Accuracy of the second, canonical. */
  readonly secondAccuracy: number | null;
}
/** Torque = force × radius, N·m of N and mm. */
const FORCE_AT_RADIUS: FromTwo = {
  ...{ first: ['force', 'N'], names: ['force', 'radius'], example: '38 N × 312 mm', by: 'spring_scale' },
  value: (force, radius) => (force * radius) / 1000,
  gains: (force, radius) => ({ first: radius / 1000, second: force / 1000 }),
  secondAccuracy: GENERIC_GAUGE.tape.accuracy,
};
const FROM_TWO: Readonly<Partial<Record<MeasurementId, FromTwo>>> = {
  wheel_drag: FORCE_AT_RADIUS,
  parking_drag: FORCE_AT_RADIUS,
  /** Diameter of an arc from a chord and its sag: D = c²/4s + s. Source: geometry of the circle; JCGM 100, 5.1.2. */
  shoe_arc: {
    ...{ first: ['length', 'mm'], names: ['chord', 'sag'], example: '180 × 28.6', by: null },
    value: (chord, sag) => chord ** 2 / (4 * sag) + sag,
    gains: (chord, sag) => ({ first: chord / (2 * sag), second: 1 - chord ** 2 / (4 * sag ** 2) }),
    secondAccuracy: null,
  },
};
/** Between two figures that are typed as one. */
const TIMES = /^(.*\S)\s*[×x*@]\s*(\S.*)$/i;

/**
 * Reads a figure of a measurement as it is typed: as such, or as the two that it follows from (force × radius, chord × sag),
 * whose resolutions are propagated. What no such thing can be is refused.
 * @param gauge kind of gauge it is taken with; null where none is named
 * @throws DomainError as parseQuantity, and impossible, wrong_gauge, two_figures
 */
export function readFigure(id: MeasurementId, place: string | null, typed: string, unit: UnitId, gauge: GaugeKind | null): TypedFigure {
  const { kind } = MEASUREMENTS[id];
  const two = FROM_TWO[id];
  const [, first, second] = (two && TIMES.exec(typed.trim())) ?? [];
  if (two && first !== undefined && second !== undefined) {
    if (two.by !== null && gauge !== null && gauge !== two.by)
      throw new DomainError(
        'wrong_gauge',
        `A ${GAUGE_KIND_NAME[gauge].toLowerCase()} shows no ${two.names[0]}. Choose the gauge it was read on.`,
      );
    const [a, b] = [parseQuantity(first, ...two.first), parseQuantity(second, 'length', 'mm')];
    if (!(a.canonical >= 0) || !(b.canonical > 0))
      throw new DomainError('impossible', `“${typed.trim()}”: ${two.names.join(' and ')} are more than nothing.`);
    const gains = two.gains(a.canonical, b.canonical);
    const canonical = two.value(a.canonical, b.canonical);
    requirePossible(id, place, canonical, typed);
    const resolution = Math.hypot(gains.first * a.resolution, gains.second * b.resolution);
    return { typed, kind, unit: MEASUREMENTS[id].unit, canonical, resolution, fraction: false, of: { first: a, second: b, gains } };
  }
  if (two && two.by !== null && gauge === two.by)
    throw new DomainError(
      'two_figures',
      `With a ${GAUGE_KIND_NAME[gauge].toLowerCase()} it takes ${two.names.join(' and ')}: type it like ${two.example}.`,
    );
  if (gauge !== null && GAUGE_QUANTITY[gauge] !== kind)
    throw new DomainError('wrong_gauge', `A ${GAUGE_KIND_NAME[gauge].toLowerCase()} does not show such a figure. Choose another gauge.`);
  const quantity = parseQuantity(typed, kind, unit);
  requirePossible(id, place, quantity.canonical, typed);
  return { ...quantity, of: null };
}

/** Whether a kind of gauge can give a figure of a measurement at all. */
export function takes(id: MeasurementId, gauge: GaugeKind): boolean {
  return GAUGE_QUANTITY[gauge] === MEASUREMENTS[id].kind || FROM_TWO[id]?.by === gauge;
}

/**
 * The accuracy of a figure that was worked out of two, from that of the gauge.
 * @param accuracy half-width of the gauge, in the unit of what it shows
 * @returns half-width of the figure, canonical unit; the same where it was read as such
 * Source: JCGM 100, 5.1.2: root of the sum of squares of gain times half-width.
 */
export function accuracyOf(id: MeasurementId, place: string | null, typed: string, unit: UnitId, accuracy: number): number {
  const two = FROM_TWO[id];
  if (!two || !TIMES.test(typed.trim())) return accuracy;
  const read = toResult(() => readFigure(id, place, typed, unit, two.by));
  const of = read.ok ? read.value.of : null;
  return of ? Math.hypot(of.gains.first * accuracy, of.gains.second * (two.secondAccuracy ?? accuracy)) : accuracy;
}

/** The gauge whose generic accuracy a figure takes where none is named: of one worked out of two that of the first. */
export function usualGaugeOf(id: MeasurementId, place: string | null, typed: string): GaugeKind {
  const by = FROM_TWO[id]?.by ?? null;
  return by !== null && TIMES.test(typed.trim()) ? by : usualGaugeAt(id, place);
}
