import type { GaugeVersion } from '../records/readingRecords.ts';
import { singleReading } from '../verdict/uncertainty.ts';
import { onTheRack } from './finest.ts';
import { GAUGE_KIND_NAME, halfWidth } from './gaugeKinds.ts';
import { figureText } from './words.ts';
import type { Judged } from './judge.ts';
import { MEASUREMENTS } from './measurements.ts';

/** How many readings a figure leans on at once, for its uncertainty: a range or difference of two, or one. */
const READINGS_IN: Readonly<Record<string, number>> = {
  ...{
    range: 2,
    range_within: 2,
    sweep: 2,
    sweep_scaled: 2,
    means_apart: 2,
    barrel: 2,
    means_spread: 2,
    apart: 2,
    pairs_apart: 2,
    between: 2,
  },
};

/**
 * The cheapest way out of a figure that cannot be told from its limit: the coarsest gauge on the rack that would tell,
 * or what else there is.
 * @param room distance of the figure to its limit, positive on the good side, in its unit
 * Source: handbook 10, Decision rule: what would settle it (a finer gauge, more repeats, cleaning).
 */
export function wayOut(judged: Judged, room: number, versions: readonly GaugeVersion[]): string {
  if (judged.bearingFirst) return 'Put the bearing right first, then sweep again.';
  if (judged.second && !judged.second.agrees) return 'Measure it a third time, both of you together.';
  const { usualGauge } = MEASUREMENTS[judged.characteristic.takenFrom];
  const readings = READINGS_IN[judged.characteristic.reduction.op] ?? 1;
  const short = readings > 1;
  const expanded = (g: GaugeVersion): number => {
    const accuracy = halfWidth(g.kind, short ? Math.min(g.shortSpan, g.accuracy) : g.accuracy, judged.reduced.value);
    return 2 * Math.sqrt(readings) * singleReading({ accuracy, resolution: g.resolution });
  };
  const enough = onTheRack(versions)
    .filter((g) => g.kind === usualGauge && expanded(g) <= Math.abs(room) + 1e-12)
    .sort((a, b) => expanded(b) - expanded(a));
  const [coarsest] = enough;
  if (coarsest) {
    const u = figureText(judged.characteristic, expanded(coarsest), Math.min(4, judged.reduced.decimals + 1));
    return `${coarsest.tag} tells to ±${u}: take it again with that.`;
  }
  const kind = GAUGE_KIND_NAME[usualGauge].toLowerCase();
  if (judged.lies === 'past') return `No ${kind} on the rack tells that near. It lies outside: decide as if it were past.`;
  const who =
    judged.characteristic.gravity === 'safety'
      ? 'a lead may accept it after the finest gauge was used'
      : 'it may be accepted with a reason';
  return `No ${kind} on the rack tells that near. Clean it and take it once more; it lies inside, and ${who}.`;
}
