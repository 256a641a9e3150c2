import { inOrder } from '../records/standing.ts';
import type { GaugeVersion, Reading, ReadingSet } from '../records/types.ts';
import { attempt } from '../refusal.ts';
import { placesFor } from '../quantity/display.ts';
import { type GaugeErrors, mean, ofMean, ofSingle, ofTwo, rootSumSquares, singleReading } from '../verdict/uncertainty.ts';
import { type CharacteristicId, GENERIC_GAUGE, MEASUREMENTS } from './characteristics.ts';
import { DRUM_DEPTHS, type DrumDepth, LEAST_DRUM, reduceDrum } from './drum.ts';
import { LEAST_THICKNESS } from './rotorThickness.ts';
import { LEAST_RUNOUT, type Runout, splitRunout } from './rotorRunout.ts';
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
  const usual = GENERIC_GAUGE[MEASUREMENTS[set.measurement].usualGauge];
  const facts = gauge ?? usual;
  return {
    accuracy:
      (short ? Math.min(facts.shortSpan, facts.accuracy) : facts.accuracy) + doubt(callBacksOn(gauge, reading.happenedAt, callBacks)),
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

const decimalsOf = (taken: readonly Taken[]): number =>
  Math.max(...taken.map((t) => placesFor(t.reading.fraction ? 0.0254 : t.reading.resolution)), 0);

function singleOf(t: Taken): number {
  return t.repeats.length >= 4 ? ofMean(t.errors, t.repeats).expanded : ofSingle(t.errors).expanded;
}

function extreme(id: CharacteristicId, taken: readonly Taken[], pick: 'min' | 'max', needed: number): Reduced[] {
  const [first] = taken;
  if (!first) return [];
  const governing = taken.reduce((a, b) => ((pick === 'min' ? b.value < a.value : b.value > a.value) ? b : a), first);
  return [
    {
      characteristic: id,
      value: governing.value,
      expanded: singleOf(governing),
      governing: [governing.reading],
      taken: taken.length,
      needed,
      decimals: decimalsOf(taken),
    },
  ];
}

function range(id: CharacteristicId, taken: readonly Taken[], needed: number): Reduced[] {
  const [first] = taken;
  if (!first || taken.length < 2) return [];
  const high = taken.reduce((a, b) => (b.value > a.value ? b : a), first);
  const low = taken.reduce((a, b) => (b.value < a.value ? b : a), first);
  return [
    {
      characteristic: id,
      value: high.value - low.value,
      expanded: ofTwo(high.shortErrors, low.shortErrors).expanded,
      governing: [high.reading, low.reading],
      taken: taken.length,
      needed,
      decimals: decimalsOf(taken),
    },
  ];
}

/** Worst of several figures of one characteristic. */
const largest = (list: readonly Reduced[]): Reduced[] => {
  const [first, ...rest] = list;
  return first ? [rest.reduce((a, b) => (b.value > a.value ? b : a), first)] : [];
};

function reduceDrumSet(taken: readonly Taken[]): Reduced[] {
  const at = (depth: DrumDepth): Taken[] => taken.filter((t) => t.reading.place === depth);
  const roundness = largest(DRUM_DEPTHS.flatMap((d) => range('drum_out_of_round', at(d), LEAST_DRUM)));
  const open = at('open');
  const closed = at('closed');
  const [anyOpen] = open;
  const [anyClosed] = closed;
  const taper: Reduced[] =
    anyOpen && anyClosed
      ? [
          {
            characteristic: 'drum_taper',
            value: mean(open.map((t) => t.value)) - mean(closed.map((t) => t.value)),
            expanded: 2 * rootSumSquares(singleReading(anyOpen.shortErrors), singleReading(anyClosed.shortErrors)),
            governing: [anyOpen.reading, anyClosed.reading],
            taken: Math.min(open.length, closed.length),
            needed: LEAST_DRUM,
            decimals: decimalsOf(taken),
          },
        ]
      : [];
  return [...extreme('drum_diameter', taken, 'max', LEAST_DRUM), ...roundness, ...taper];
}

/**
 * Reduces a set to the figures of every characteristic taken from it. Below its least number of
 * positions a figure is still given, for what can be said already; `taken` and `needed` tell.
 * @param taken what stands in the set, see takenIn
 */
export function reduceSet(set: ReadingSet, taken: readonly Taken[]): Reduced[] {
  switch (set.measurement) {
    case 'rotor_thickness': {
      const rings = ['outer ring', 'inner ring'].map((ring) => taken.filter((t) => t.reading.place === ring));
      return [
        ...extreme('rotor_thickness', taken, 'min', LEAST_THICKNESS),
        ...largest(rings.flatMap((ring) => range('rotor_thickness_variation', ring, LEAST_THICKNESS))),
      ];
    }
    case 'rotor_runout': {
      const fit = runoutOf(taken);
      return range('rotor_runout', taken, fit || taken.length < LEAST_RUNOUT ? LEAST_RUNOUT : taken.length + 1);
    }
    case 'drum_diameter':
      return reduceDrumSet(taken);
    case 'pad_lining':
      return extreme('pad_lining', taken, 'min', MEASUREMENTS.pad_lining.least);
  }
}

/** The split of a runout sweep, null while it cannot be split. */
export function runoutOf(taken: readonly Taken[]): Runout | null {
  const angles = taken.map((t) => t.reading.angleDeg ?? 0);
  const fit = attempt(() =>
    splitRunout(
      angles,
      taken.map((t) => t.value),
    ),
  );
  return fit.ok ? fit.value : null;
}

/** Drum figures of a set, null while a depth is incomplete. */
export function drumOf(taken: readonly Taken[]): ReturnType<typeof reduceDrum> | null {
  const at = (depth: DrumDepth): number[] => taken.filter((t) => t.reading.place === depth).map((t) => t.value);
  const done = attempt(() => reduceDrum({ open: at('open'), middle: at('middle'), closed: at('closed') }));
  return done.ok ? done.value : null;
}
