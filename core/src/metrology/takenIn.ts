import { GENERIC_GAUGE, halfWidth } from '../catalogue/gaugeKinds.ts';
import { positionKey } from '../catalogue/positions.ts';
import { isPossible } from '../catalogue/possible.ts';
import { accuracyOf, usualGaugeOf } from '../catalogue/typedFigure.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { CallBack, GaugeVersion } from '../ledger/gaugeRecords.ts';
import { inOrder } from '../ledger/retraction.ts';
import { placesFor } from '../quantity/display.ts';
import { toResult } from '../quantity/domainError.ts';
import { type GaugeErrors, mean } from '../verdict/uncertainty.ts';
import { callBacksOn, doubt } from './rack.ts';
import { type Runout, splitRunout } from './rotorRunout.ts';

/** What stands at one position: its newest reading, or the mean of its repeats where the set averages. */
export interface Taken {
  readonly key: string;
  readonly reading: Reading;
  readonly value: number;
  readonly errors: GaugeErrors;
  readonly shortErrors: GaugeErrors;
  readonly repeats: readonly number[];
  /** The gauge of the rack that took it; null where none was named. */
  readonly gaugeId: string | null;
}

/**
 * Errors of a reading: of its gauge, or the generic ones of the usual gauge; the coarser resolution counts, and what a
 * call-back puts in doubt is added.
 */
function errorsOf(
  reading: Reading,
  gauge: GaugeVersion | undefined,
  set: ReadingSet,
  short: boolean,
  callBacks: readonly CallBack[] = [],
): GaugeErrors {
  const { measurement } = set;
  const usualGauge = usualGaugeOf(measurement, reading.place, reading.typed);
  const facts = gauge ?? GENERIC_GAUGE[usualGauge];
  const stated = short ? Math.min(facts.shortSpan, facts.accuracy) : facts.accuracy;
  return {
    accuracy: accuracyOf(
      measurement,
      reading.place,
      reading.typed,
      reading.unit,
      halfWidth(gauge?.kind ?? usualGauge, stated, reading.canonical) + doubt(callBacksOn(gauge, reading.happenedAt, callBacks)),
    ),
    resolution: Math.max(gauge ? gauge.resolution : 0, reading.resolution),
  };
}

/** Readings that no such thing can have, from before they were refused: kept in sight, and used for nothing. */
export function impossibleIn(set: ReadingSet, readings: readonly Reading[]): Reading[] {
  return readings.filter((r) => r.setId === set.id && !isPossible(set.measurement, r.place, r.canonical));
}

/**
 * Readings of a set by position, newest standing ones, in the order of the positions. One that was taken again in place of
 * another leaves nothing of that other; one that cannot be is none.
 */
export function takenIn(
  set: ReadingSet,
  readings: readonly Reading[],
  gauges: readonly GaugeVersion[],
  callBacks: readonly CallBack[] = [],
): Taken[] {
  const byKey = new Map<string, Reading[]>();
  const mine = readings.filter((r) => r.setId === set.id && isPossible(set.measurement, r.place, r.canonical));
  const replaced = new Set(mine.map((r) => r.corrects));
  for (const r of inOrder(mine.filter((x) => !replaced.has(x.id)))) {
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
        gaugeId: gauge?.gaugeId ?? null,
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

/** The split of a sweep, or why there is none. */
export function splitOf(taken: readonly Taken[]): ReturnType<typeof toResult<Runout>> {
  const round = taken.filter((t) => t.reading.angleDeg !== null);
  return toResult(() =>
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
