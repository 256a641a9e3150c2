import type { Characteristic } from '../catalogue/characteristics.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS, usualGaugeAt } from '../catalogue/measurements.ts';
import type { DomainError } from '../quantity/domainError.ts';
import { type GaugeErrors, mean, ofMean, ofSingle, ofTwo, rootSumSquares, singleReading } from '../verdict/uncertainty.ts';
import { type HoldFault, holdFault } from './holdFault.ts';
import { type Taken, splitOf } from './takenIn.ts';

/** Why enough readings do not make a figure yet: a gap in their angles, no ring with enough of them, angles that no fit takes, or a hold that is no test. */
export type NotYet =
  | { readonly kind: 'gap'; readonly degrees: number }
  | { readonly kind: 'no_ring' }
  | { readonly kind: 'refused'; readonly refusal: DomainError }
  | { readonly kind: 'hold'; readonly fault: HoldFault };

/** Why a figure is past whatever its limit. */
export type PastBecause = 'first_stroke_to_floor';

/** A figure made of readings, before it belongs to a set. */
export interface Figure {
  readonly value: number;
  readonly expanded: number;
  readonly governing: readonly Taken[];
  readonly taken: number;
  readonly needed: number;
  /** Why enough readings do not make a figure yet. */
  readonly notYet?: NotYet;
  /** Past whatever the limit. */
  readonly pastBecause?: PastBecause;
}

/** What a figure needs to know besides its readings. */
export interface ReduceContext {
  /** What it was when new, canonical unit; null where nobody knows. */
  readonly nominal: number | null;
}

const extremeOf = (list: readonly Taken[], pick: 'least' | 'greatest'): Taken | undefined => {
  const [first, ...rest] = list;
  return first && rest.reduce((a, b) => ((pick === 'least' ? b.value < a.value : b.value > a.value) ? b : a), first);
};
const at = (taken: readonly Taken[], place: string): Taken | undefined => taken.find((t) => t.reading.place === place);
const ringsOf = (taken: readonly Taken[]): Taken[][] => {
  const rings = new Map<string, Taken[]>();
  for (const t of taken) rings.set(t.reading.place ?? '', [...(rings.get(t.reading.place ?? '') ?? []), t]);
  return [...rings.values()];
};

/** Whether readings were all taken with one gauge: then most of its stated accuracy cancels between them. */
export function ofOneGauge(id: MeasurementId, list: readonly Taken[]): boolean {
  return new Set(list.map((t) => t.gaugeId ?? `usual:${usualGaugeAt(id, t.reading.place)}`)).size <= 1;
}

/** Errors between readings: over a short span where one gauge gave them all, the full ones of each otherwise. */
function between(id: MeasurementId, list: readonly Taken[]): (t: Taken) => GaugeErrors {
  return ofOneGauge(id, list) ? (t) => t.shortErrors : (t) => t.errors;
}

function singleOf(t: Taken, short: boolean): number {
  const errors = short ? t.shortErrors : t.errors;
  return t.repeats.length >= 4 ? ofMean(errors, t.repeats).expanded : ofSingle(errors).expanded;
}

function rangeOf(id: MeasurementId, list: readonly Taken[], needed: number): Figure | null {
  const high = extremeOf(list, 'greatest');
  const low = extremeOf(list, 'least');
  if (!high || !low || list.length < 2) return null;
  const errors = between(id, list);
  return {
    value: high.value - low.value,
    expanded: ofTwo(errors(high), errors(low)).expanded,
    governing: [high, low],
    taken: list.length,
    needed,
  };
}

/** How much wider than even a gap between readings round may be. */
const UNEVEN = 1.5;

/** Greatest gap between readings round, degrees; null where they have no angles. */
function greatestGap(list: readonly Taken[], turn: number): number | null {
  const angles = [...new Set(list.flatMap((t) => (t.reading.angleDeg === null ? [] : [((t.reading.angleDeg % turn) + turn) % turn])))];
  const sorted = angles.sort((a, b) => a - b);
  const [first] = sorted;
  if (first === undefined) return null;
  return Math.max(...sorted.map((a, i) => (sorted[i + 1] ?? first + turn) - a));
}

/** Why readings of a ring are no turn: fewer angles than it takes, or a gap between them; null where they are one. */
function notRound(id: MeasurementId, ring: readonly Taken[], least: number): NotYet | null {
  const { pattern } = MEASUREMENTS[id];
  if (pattern.form !== 'round') return null;
  const gap = greatestGap(ring, pattern.turn);
  if (gap === null || gap <= (UNEVEN * pattern.turn) / least + 1e-6) return null;
  return { kind: 'gap', degrees: Math.round(gap) };
}

/** A figure of readings round; where they leave too wide a gap it is not enough yet, and says so. */
function evenly(id: MeasurementId, rings: readonly (readonly Taken[])[], least: number, figure: Figure): Figure {
  if (MEASUREMENTS[id].pattern.form !== 'round' || figure.taken < figure.needed) return figure;
  const reasons = rings.map((ring): NotYet | null => (ring.length < least ? { kind: 'no_ring' } : notRound(id, ring, least)));
  if (reasons.includes(null)) return figure;
  const notYet = reasons.find((r) => r?.kind === 'gap') ?? { kind: 'no_ring' };
  return { ...figure, needed: figure.taken + 1, notYet };
}

/** Range of a sweep. Where its angles do not let it be split, it is not enough yet, and says why. */
function sweepOf(id: MeasurementId, list: readonly Taken[], least: number): Figure | null {
  const range = rangeOf(id, list, least);
  if (!range || list.length < least) return range;
  const fit = splitOf(list);
  return fit.ok ? range : { ...range, needed: list.length + 1, notYet: { kind: 'refused', refusal: fit.refusal } };
}

function apart(id: MeasurementId, of: Taken | undefined, less: Taken | undefined): Omit<Figure, 'taken' | 'needed'> | null {
  if (!of || !less) return null;
  const errors = between(id, [of, less]);
  return { value: of.value - less.value, expanded: ofTwo(errors(of), errors(less)).expanded, governing: [of, less] };
}

function meansApart(id: MeasurementId, of: readonly Taken[], less: readonly Taken[]): Omit<Figure, 'taken' | 'needed'> | null {
  const [a] = of;
  const [b] = less;
  if (!a || !b) return null;
  const errors = between(id, [...of, ...less]);
  const largest = (list: readonly Taken[]): number => Math.max(...list.map((t) => singleReading(errors(t))));
  return {
    value: mean(of.map((t) => t.value)) - mean(less.map((t) => t.value)),
    expanded: 2 * rootSumSquares(largest(of), largest(less)),
    governing: [a, b],
  };
}

/** Positions that one ring or depth of a measurement needs. */
function leastOfRing(id: MeasurementId): number {
  const { pattern, least } = MEASUREMENTS[id];
  return pattern.form === 'round' && pattern.rings.length > 1 && least >= pattern.rings.length * 2
    ? Math.ceil(least / pattern.rings.length)
    : least;
}

/** By how much a second height lies over the first; a first one that no rule tells from the floor is past, whatever the second. */
function riseOf(of: Taken, over: Taken): Figure {
  const none = singleOf(over, false);
  const floor = over.value <= none;
  const from = floor ? Math.max(none, over.errors.resolution) : over.value;
  const [u, v] = [singleReading(of.errors) / from, (singleReading(over.errors) * of.value) / from ** 2];
  return {
    value: (of.value - from) / from,
    expanded: 2 * rootSumSquares(u, v),
    governing: [of, over],
    taken: 2,
    needed: 2,
    ...(floor && { pastBecause: 'first_stroke_to_floor' as const }),
  };
}

/**
 * Reduces readings to the figure of a characteristic; null where they do not give one.
 * Source: handbook 20; 10, Gauges and uncertainty.
 */
export function reduceCharacteristic(c: Characteristic, all: readonly Taken[], context: ReduceContext): Figure | null {
  const how = c.reduction;
  const id = c.takenFrom;
  const { least, pattern } = MEASUREMENTS[id];
  const ringLeast = leastOfRing(id);
  const round = all.filter((t) => t.reading.angleDeg !== null && pattern.form === 'round');
  const short = c.readAsDifference;
  switch (how.op) {
    case 'least':
    case 'greatest': {
      const list = how.places ? all.filter((t) => how.places?.includes(t.reading.place ?? '')) : all;
      const one = extremeOf(list, how.op);
      const needed = how.places ? how.places.length : least;
      if (!one) return null;
      return evenly(id, ringsOf(round), ringLeast, {
        ...{ value: one.value, expanded: singleOf(one, short), governing: [one], taken: list.length, needed },
      });
    }
    case 'over_nominal': {
      const one = extremeOf(all, 'greatest');
      if (!one || context.nominal === null) return null;
      return evenly(id, ringsOf(round), ringLeast, {
        ...{ value: one.value - context.nominal, expanded: singleOf(one, short), governing: [one], taken: all.length, needed: least },
      });
    }
    case 'range_within': {
      const ranges = ringsOf(all).flatMap((ring) => {
        const range = rangeOf(id, ring, ringLeast);
        return range ? [evenly(id, [ring], ringLeast, range)] : [];
      });
      // A ring with enough readings governs, and of those the worst; until one has, the one that is nearest to it.
      const full = ranges.filter((r) => r.taken >= r.needed);
      const [first, ...rest] = full.length > 0 ? full : [...ranges].sort((a, b) => b.taken - a.taken).slice(0, 1);
      return first ? rest.reduce((a, b) => (b.value > a.value ? b : a), first) : null;
    }
    case 'range':
      return rangeOf(id, all, least);
    case 'sweep':
      return sweepOf(id, all, least);
    case 'sweep_scaled': {
      const [times, over] = [at(all, how.times), at(all, how.over)];
      const sweep = all.filter((t) => t.reading.angleDeg !== null);
      const range = sweepOf(id, sweep, least);
      if (!range || !times || !over || !(over.value > 0) || !(times.value > 0)) return null;
      const factor = times.value / over.value;
      return { ...range, value: range.value * factor, expanded: range.expanded * factor };
    }
    case 'means_apart': {
      const [of, less] = [how.of, how.less].map((ring) => all.filter((t) => t.reading.place === ring));
      const figure = meansApart(id, of ?? [], less ?? []);
      if (!figure) return null;
      return evenlyAll(id, [of ?? [], less ?? []], ringLeast, {
        ...{ ...figure, taken: Math.min(of?.length ?? 0, less?.length ?? 0), needed: ringLeast },
      });
    }
    case 'barrel': {
      const middle = all.filter((t) => t.reading.place === how.middle);
      const ends = how.ends.map((end) => all.filter((t) => t.reading.place === end));
      if (ends.some((e) => e.length === 0)) return null;
      const figure = meansApart(id, middle, ends.flat());
      if (!figure) return null;
      const endMean = mean(ends.map((e) => mean(e.map((t) => t.value))));
      return evenlyAll(id, [middle, ...ends], ringLeast, {
        ...figure,
        value: mean(middle.map((t) => t.value)) - endMean,
        taken: Math.min(middle.length, ...ends.map((e) => e.length)),
        needed: ringLeast,
      });
    }
    case 'means_spread': {
      const rings = ringsOf(all);
      const sorted = [...rings].sort((a, b) => mean(a.map((t) => t.value)) - mean(b.map((t) => t.value)));
      const figure = rings.length < 2 ? null : meansApart(id, sorted.at(-1) ?? [], sorted[0] ?? []);
      return figure ? { ...figure, taken: all.length, needed: least } : null;
    }
    case 'at': {
      const one = at(all, how.place);
      return one ? { value: one.value, expanded: singleOf(one, short), governing: [one], taken: 1, needed: 1 } : null;
    }
    case 'apart': {
      const figure = apart(id, at(all, how.of), at(all, how.less));
      const fault = figure && holdFault(id, all);
      if (fault) return { ...figure, taken: 2, needed: 3, notYet: { kind: 'hold', fault } };
      return figure ? { ...figure, taken: 2, needed: 2 } : null;
    }
    case 'pairs_apart': {
      const figures = how.pairs.flatMap(([of, less]) => apart(id, at(all, of), at(all, less)) ?? []);
      const sized = how.either ? figures.map((f) => ({ ...f, value: Math.abs(f.value) })) : figures;
      const [first, ...rest] = sized;
      const largest = first && rest.reduce((a, b) => (b.value > a.value ? b : a), first);
      return largest ? { ...largest, taken: 2 * figures.length, needed: 2 } : null;
    }
    case 'rise': {
      const [of, over] = [at(all, how.of), at(all, how.over)];
      return of && over ? riseOf(of, over) : null;
    }
    case 'between':
      return null;
  }
}

/** A figure of several rings that each have to be a turn. */
function evenlyAll(id: MeasurementId, rings: readonly (readonly Taken[])[], least: number, figure: Figure): Figure {
  return rings.reduce((f, ring) => (ring.length < least ? f : evenly(id, [ring], least, f)), figure);
}
