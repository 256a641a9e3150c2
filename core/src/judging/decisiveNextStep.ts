import { GENERIC_GAUGE, type GaugeKind, halfWidth } from '../catalogue/gaugeKinds.ts';
import type { Reading } from '../ledger/families/readings.ts';
import type { GaugeVersion } from '../ledger/gaugeRecords.ts';
import { rootSumSquares, singleReading } from '../verdict/uncertainty.ts';
import { finestOf, gaugesOf, onTheRack } from './finest.ts';
import type { Judged } from './judge.ts';

/** A reading that a figure leans on: with which kind of gauge, and what was used. */
interface Leans {
  readonly reading: Reading;
  readonly kind: GaugeKind;
  readonly used: GaugeVersion | undefined;
}

function leansOn(judged: Judged, versions: readonly GaugeVersion[]): Leans[] {
  const kinds = gaugesOf(judged);
  return judged.reduced.governing.flatMap((reading, i) => {
    const used = versions.find((g) => g.id === reading.gaugeVersionId);
    const kind = used?.kind ?? kinds[i];
    return kind ? [{ reading, kind, used }] : [];
  });
}

/** Standard uncertainty of a figure were its readings taken with these gauges; over its short span where one gauge gave them all. */
function withGauges(judged: Judged, leans: readonly Leans[], pick: (l: Leans) => GaugeVersion | undefined): number {
  const picked = leans.map((l) => ({ l, gauge: pick(l) }));
  const one = new Set(picked.map(({ l, gauge }) => gauge?.gaugeId ?? `usual:${l.kind}`)).size === 1;
  const short = one && (leans.length > 1 || judged.characteristic.readAsDifference);
  return rootSumSquares(
    ...picked.map(({ l, gauge }) => {
      const facts = gauge ?? GENERIC_GAUGE[l.kind];
      const stated = short ? Math.min(facts.shortSpan, facts.accuracy) : facts.accuracy;
      const own = gauge && gauge.gaugeId === l.used?.gaugeId ? l.reading.resolution : 0;
      return singleReading({
        accuracy: halfWidth(gauge?.kind ?? l.kind, stated, l.reading.canonical),
        resolution: Math.max(gauge ? gauge.resolution : l.reading.resolution, own),
      });
    }),
  );
}

/** The cheapest way out of a figure that cannot be told from its limit. */
export type NextStep =
  | { readonly kind: 'look_at_number' | 'say_it' | 'bearing_first' | 'third_time' }
  /** This gauge tells to U; of a figure that leans on two kinds of gauge, it takes again what that kind gave. */
  | { readonly kind: 'finer'; readonly tag: string; readonly u: number; readonly of: GaugeKind | null }
  | { readonly kind: 'finest_together'; readonly tags: readonly string[]; readonly u: number }
  /** No gauge on the rack tells that near. */
  | { readonly kind: 'no_gauge'; readonly kinds: readonly GaugeKind[] };

/**
 * The cheapest way out of a figure that cannot be told from its limit: the coarsest gauge on the rack that would tell, one
 * kind of gauge at a time where it leans on two, or what else there is. What is promised is what the figure's own rule
 * would make of that gauge.
 * @param room distance of the figure to its limit, positive on the good side, in its unit
 * Source: handbook 10, Decision rule: what would settle it (a finer gauge, more repeats, cleaning).
 */
export function decisiveNextStep(judged: Judged, room: number, versions: readonly GaugeVersion[]): NextStep {
  if (judged.contradicts !== null) return { kind: 'look_at_number' };
  if (judged.unsaid !== null) return { kind: 'say_it' };
  if (judged.bearingFirst) return { kind: 'bearing_first' };
  if (judged.second && !judged.second.agrees) return { kind: 'third_time' };
  const leans = leansOn(judged, versions);
  const now = withGauges(judged, leans, (l) => l.used);
  // What the rule makes of its readings: a share, or one radius over another.
  const factor = now > 0 ? judged.reduced.expanded / (2 * now) : 1;
  const decides = (u: number): boolean => u <= Math.abs(room) + 1e-12;
  const kinds = [...new Set(leans.map((l) => l.kind))];
  const used = new Set(leans.flatMap((l) => l.used?.gaugeId ?? []));
  const [coarsest] = kinds
    .flatMap((kind) =>
      onTheRack(versions)
        .filter((g) => g.kind === kind && !used.has(g.gaugeId))
        .map((gauge) => ({ kind, gauge, u: 2 * factor * withGauges(judged, leans, (l) => (l.kind === kind ? gauge : l.used)) })),
    )
    .filter((o) => decides(o.u))
    .sort((a, b) => b.u - a.u);
  if (coarsest) return { kind: 'finer', tag: coarsest.gauge.tag, u: coarsest.u, of: kinds.length > 1 ? coarsest.kind : null };
  const finest = kinds.flatMap((k) => finestOf(k, versions) ?? []);
  if (kinds.length > 1 && finest.length === kinds.length && finest.every((g) => !used.has(g.gaugeId))) {
    const u = 2 * factor * withGauges(judged, leans, (l) => finestOf(l.kind, versions));
    if (decides(u)) return { kind: 'finest_together', tags: finest.map((g) => g.tag), u };
  }
  return { kind: 'no_gauge', kinds };
}
