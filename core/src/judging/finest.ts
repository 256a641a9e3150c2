import type { GaugeKind } from '../catalogue/gaugeKinds.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS, usualGaugeAt } from '../catalogue/measurements.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { GaugeVersion } from '../ledger/gaugeRecords.ts';
import { singleReading } from '../verdict/uncertainty.ts';
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
  const kinds = gaugesOf(judged);
  for (const [i, r] of judged.reduced.governing.entries()) {
    const used = versions.find((g) => g.id === r.gaugeVersionId);
    const kind = kinds[i];
    const finest = kind && finestOf(kind, versions);
    if (finest && (used === undefined || singleReading(used) > singleReading(finest) + 1e-12)) return finest;
  }
  return null;
}

/** The measurement that a reading of a frame belongs to, where a figure is made of two. */
const OF_FRAME: Readonly<Partial<Record<Reading['frame'], MeasurementId>>> = {
  bore: 'bore_diameter',
  piston: 'piston_diameter',
  drum_mark: 'drum_diameter',
};

/** The kind of gauge that each reading a figure leans on is usually taken with. */
export function gaugesOf(judged: Judged): GaugeKind[] {
  const { takenFrom } = judged.characteristic;
  return judged.reduced.governing.map((r) => {
    const own = MEASUREMENTS[takenFrom].frame === r.frame ? takenFrom : (OF_FRAME[r.frame] ?? takenFrom);
    return usualGaugeAt(own, r.place);
  });
}
