import type { GaugeVersion } from '../records/readingRecords.ts';
import { singleReading } from '../verdict/uncertainty.ts';
import type { GaugeKind } from './gaugeKinds.ts';
import { MEASUREMENTS } from './measurements.ts';
import type { Judged } from './judge.ts';

/** Newest version of every gauge on the rack. */
export function onTheRack(versions: readonly GaugeVersion[]): GaugeVersion[] {
  return [...new Map([...versions].sort((a, b) => (a.id < b.id ? -1 : 1)).map((g) => [g.gaugeId, g])).values()];
}

/** The gauge of a kind with the smallest standard uncertainty of one reading; undefined where the rack has none. */
export function finestOf(kind: GaugeKind, versions: readonly GaugeVersion[]): GaugeVersion | undefined {
  return onTheRack(versions)
    .filter((g) => g.kind === kind)
    .sort((a, b) => singleReading(a) - singleReading(b))[0];
}

/**
 * A finer gauge than those that gave a figure, where the rack has one; null where the finest was used.
 * @param versions all versions of the shop's gauges
 * Source: handbook 10, The limit book: what cannot be told on safety is accepted only after the finest gauge was used.
 */
export function finerGauge(judged: Judged, versions: readonly GaugeVersion[]): GaugeVersion | null {
  const finest = finestOf(MEASUREMENTS[judged.characteristic.takenFrom].usualGauge, versions);
  if (!finest) return null;
  const least = singleReading(finest);
  const used = judged.reduced.governing.map((r) => versions.find((g) => g.id === r.gaugeVersionId));
  return used.every((g) => g !== undefined && singleReading(g) <= least + 1e-12) ? null : finest;
}
