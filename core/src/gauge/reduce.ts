import { inOrder } from '../records/standing.ts';
import type { GaugeVersion, Reading, ReadingSet } from '../records/readingRecords.ts';
import { attempt } from '../refusal.ts';
import { placesFor } from '../quantity/display.ts';
import { type GaugeErrors, mean, ofMean, ofSingle, ofTwo, rootSumSquares, singleReading } from '../verdict/uncertainty.ts';
import { type Characteristic, type CharacteristicId, characteristicsFrom } from './characteristics.ts';
import { GENERIC_GAUGE, halfWidth } from './gaugeKinds.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';
import { type Runout, splitRunout } from './rotorRunout.ts';
import { type CallBack, callBacksOn, doubt } from './rack.ts';
import { positionKey } from './positions.ts';

/** What stands at one position: its newest reading, or the mean of its repeats where the set averages. */
export interface Taken {
  readonly key: string;
  readonly reading: Reading;
  readonly value: number;
  readonly errors: GaugeErrors;
  readonly shortErrors: GaugeErrors;
  readonly repeats: readonly number[];
}

export interface Reduced {
  readonly characteristic: CharacteristicId;
  readonly value: number;
  /** Expanded uncertainty U. */
  readonly expanded: number;
  /** Readings that govern the figure. */
  readonly governing: readonly Reading[];
  readonly taken: number;
  readonly needed: number;
  readonly decimals: number;
  /** Why enough readings do not make a figure yet: their angles. */
  readonly why?: string;
}

/**
 * Errors of a reading: of its gauge, or the generic ones of the usual gauge; the coarser resolution counts, and what a
 * call-back puts in doubt is added.
 */
export function errorsOf(
  reading: Reading,
  gauge: GaugeVersion | undefined,
  set: ReadingSet,
  short: boolean,
  callBacks: readonly CallBack[] = [],
): GaugeErrors {
  const { usualGauge } = MEASUREMENTS[set.measurement];
  const facts = gauge ?? GENERIC_GAUGE[usualGauge];
  const stated = short ? Math.min(facts.shortSpan, facts.accuracy) : facts.accuracy;
  return {
    accuracy: halfWidth(gauge?.kind ?? usualGauge, stated, reading.canonical) + doubt(callBacksOn(gauge, reading.happenedAt, callBacks)),
    resolution: Math.max(gauge ? gauge.resolution : 0, reading.resolution),
  };
}

/** Readings of a set by position, newest standing ones, in the order of the positions. */
export function takenIn(
  set: ReadingSet,
  readings: readonly Reading[],
  gauges: readonly GaugeVersion[],
  callBacks: readonly CallBack[] = [],
): Taken[] {
  const byKey = new Map<string, Reading[]>();
  for (const r of inOrder(readings.filter((x) => x.setId === set.id))) {
    byKey.set(positionKey(r), [...(byKey.get(positionKey(r)) ?? []), r]);
  }
  const taken = [...byKey.entries()].flatMap(([key, list]): Taken[] => {
    const newest = list.at(-1);
    if (!newest) return [];
    const gauge = gauges.find((g) => g.id === newest.gaugeVersionId);
    const repeats = set.averages ? list.map((r) => r.canonical) : [newest.canonical];
    return [
      {
        key,
        reading: newest,
        repeats,
        value: mean(repeats),
        errors: errorsOf(newest, gauge, set, false, callBacks),
        shortErrors: errorsOf(newest, gauge, set, true, callBacks),
      },
    ];
  });
  return taken.sort(
    (a, b) => (a.reading.place ?? '').localeCompare(b.reading.place ?? '') || (a.reading.angleDeg ?? 0) - (b.reading.angleDeg ?? 0),
  );
}

export const decimalsOf = (taken: readonly Taken[]): number =>
  Math.max(...taken.map((t) => placesFor(t.reading.fraction ? 0.0254 : t.reading.resolution)), 0);

function singleOf(t: Taken): number {
  return t.repeats.length >= 4 ? ofMean(t.errors, t.repeats).expanded : ofSingle(t.errors).expanded;
}

/** What a figure needs to know besides its readings. */
export interface ReduceContext {
  /** What it was when new, canonical unit; null where nobody knows. */
  readonly nominal: number | null;
}

interface Figure {
  readonly value: number;
  readonly expanded: number;
  readonly governing: readonly Taken[];
  readonly taken: number;
  readonly needed: number;
  readonly why?: string;
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

/** Range of readings taken with the short-span accuracy, since most of the rest cancels. */
function rangeOf(list: readonly Taken[], needed: number): Figure | null {
  const high = extremeOf(list, 'greatest');
  const low = extremeOf(list, 'least');
  if (!high || !low || list.length < 2) return null;
  return {
    value: high.value - low.value,
    expanded: ofTwo(high.shortErrors, low.shortErrors).expanded,
    governing: [high, low],
    taken: list.length,
    needed,
  };
}

/** Range of a sweep. Where its angles do not let it be split, it is not enough yet, and says why. */
function sweepOf(list: readonly Taken[], least: number): Figure | null {
  const range = rangeOf(list, least);
  if (!range || list.length < least) return range;
  const fit = splitOf(list);
  return fit.ok ? range : { ...range, needed: list.length + 1, why: fit.refusal.message };
}

function apart(of: Taken | undefined, less: Taken | undefined): Omit<Figure, 'taken' | 'needed'> | null {
  if (!of || !less) return null;
  return { value: of.value - less.value, expanded: ofTwo(of.shortErrors, less.shortErrors).expanded, governing: [of, less] };
}

function meansApart(of: readonly Taken[], less: readonly Taken[]): Omit<Figure, 'taken' | 'needed'> | null {
  const [a] = of;
  const [b] = less;
  if (!a || !b) return null;
  return {
    value: mean(of.map((t) => t.value)) - mean(less.map((t) => t.value)),
    expanded: 2 * rootSumSquares(singleReading(a.shortErrors), singleReading(b.shortErrors)),
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

function figureOf(c: Characteristic, all: readonly Taken[], context: ReduceContext): Figure | null {
  const how = c.reduction;
  const { least } = MEASUREMENTS[c.takenFrom];
  const ringLeast = leastOfRing(c.takenFrom);
  switch (how.op) {
    case 'least':
    case 'greatest': {
      const list = how.places ? all.filter((t) => how.places?.includes(t.reading.place ?? '')) : all;
      const one = extremeOf(list, how.op);
      const needed = how.places ? how.places.length : least;
      return one ? { value: one.value, expanded: singleOf(one), governing: [one], taken: list.length, needed } : null;
    }
    case 'over_nominal': {
      const one = extremeOf(all, 'greatest');
      if (!one || context.nominal === null) return null;
      return { value: one.value - context.nominal, expanded: singleOf(one), governing: [one], taken: all.length, needed: least };
    }
    case 'range_within': {
      const ranges = ringsOf(all).flatMap((ring) => rangeOf(ring, ringLeast) ?? []);
      const [first, ...rest] = ranges;
      return first ? rest.reduce((a, b) => (b.value > a.value ? b : a), first) : null;
    }
    case 'range':
      return rangeOf(all, least);
    case 'sweep': {
      return sweepOf(all, least);
    }
    case 'sweep_scaled': {
      const [times, over] = [at(all, how.times), at(all, how.over)];
      const sweep = all.filter((t) => t.reading.angleDeg !== null);
      const range = sweepOf(sweep, least);
      if (!range || !times || !over || !(over.value > 0)) return null;
      const factor = times.value / over.value;
      return { ...range, value: range.value * factor, expanded: range.expanded * factor };
    }
    case 'means_apart': {
      const [of, less] = [how.of, how.less].map((ring) => all.filter((t) => t.reading.place === ring));
      const figure = meansApart(of ?? [], less ?? []);
      return figure ? { ...figure, taken: Math.min(of?.length ?? 0, less?.length ?? 0), needed: ringLeast } : null;
    }
    case 'barrel': {
      const middle = all.filter((t) => t.reading.place === how.middle);
      const ends = how.ends.map((end) => all.filter((t) => t.reading.place === end));
      if (ends.some((e) => e.length === 0)) return null;
      const figure = meansApart(middle, ends.flat());
      if (!figure) return null;
      const endMean = mean(ends.map((e) => mean(e.map((t) => t.value))));
      return {
        ...figure,
        value: mean(middle.map((t) => t.value)) - endMean,
        taken: Math.min(middle.length, ...ends.map((e) => e.length)),
        needed: ringLeast,
      };
    }
    case 'means_spread': {
      const rings = ringsOf(all);
      const sorted = [...rings].sort((a, b) => mean(a.map((t) => t.value)) - mean(b.map((t) => t.value)));
      const figure = rings.length < 2 ? null : meansApart(sorted.at(-1) ?? [], sorted[0] ?? []);
      return figure ? { ...figure, taken: all.length, needed: least } : null;
    }
    case 'at': {
      const one = at(all, how.place);
      return one ? { value: one.value, expanded: singleOf(one), governing: [one], taken: 1, needed: 1 } : null;
    }
    case 'apart': {
      const figure = apart(at(all, how.of), at(all, how.less));
      return figure ? { ...figure, taken: 2, needed: 2 } : null;
    }
    case 'pairs_apart': {
      const figures = how.pairs.flatMap(([of, less]) => apart(at(all, of), at(all, less)) ?? []);
      const sized = how.either ? figures.map((f) => ({ ...f, value: Math.abs(f.value) })) : figures;
      const [first, ...rest] = sized;
      const largest = first && rest.reduce((a, b) => (b.value > a.value ? b : a), first);
      return largest ? { ...largest, taken: 2 * figures.length, needed: 2 } : null;
    }
    case 'rise': {
      const [of, over] = [at(all, how.of), at(all, how.over)];
      if (!of || !over || !(over.value > 0)) return null;
      const [u, v] = [singleReading(of.errors) / over.value, (singleReading(over.errors) * of.value) / over.value ** 2];
      return {
        value: (of.value - over.value) / over.value,
        expanded: 2 * rootSumSquares(u, v),
        governing: [of, over],
        taken: 2,
        needed: 2,
      };
    }
    case 'between':
      return null;
  }
}

/**
 * Reduces a set to the figures of every characteristic taken from it. Below its least number of
 * positions a figure is still given, for what can be said already; `taken` and `needed` tell.
 * @param taken what stands in the set, see takenIn
 */
export function reduceSet(set: ReadingSet, taken: readonly Taken[], context: ReduceContext = { nominal: null }): Reduced[] {
  return characteristicsFrom(set.measurement).flatMap((c): Reduced[] => {
    const figure = figureOf(c, taken, context);
    if (!figure) return [];
    return [
      {
        characteristic: c.id,
        value: figure.value,
        expanded: figure.expanded,
        governing: figure.governing.map((t) => t.reading),
        taken: figure.taken,
        needed: figure.needed,
        ...(figure.why !== undefined && { why: figure.why }),
        decimals: c.unit === MEASUREMENTS[set.measurement].unit ? decimalsOf(taken) : 2,
      },
    ];
  });
}

function splitOf(taken: readonly Taken[]): ReturnType<typeof attempt<Runout>> {
  const round = taken.filter((t) => t.reading.angleDeg !== null);
  return attempt(() =>
    splitRunout(
      round.map((t) => t.reading.angleDeg ?? 0),
      round.map((t) => t.value),
    ),
  );
}

/** The split of a runout sweep, null while it cannot be split. */
export function runoutOf(taken: readonly Taken[]): Runout | null {
  const fit = splitOf(taken);
  return fit.ok ? fit.value : null;
}
