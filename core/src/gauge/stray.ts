import { attempt } from '../refusal.ts';
import { mean } from '../verdict/uncertainty.ts';
import { outOfFamily } from './family.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';
import { splitRunout, warpAt, wobbleAt } from './rotorRunout.ts';

/** A figure at its place, as far as the family check needs it. */
export interface Placed {
  readonly key: string;
  readonly angleDeg: number | null;
  readonly place: string | null;
  readonly value: number;
}

/**
 * Figures of a set that lie out of their family, by what the reduction leaves over: of a sweep the residual of the fit
 *, otherwise the deviation within its ring or depth. Named places are no family.
 * @param expanded expanded uncertainty of one reading, canonical unit
 * @returns keys of the figures to ask about
 * Source: handbook 10, Plausible, in the family.
 */
export function strayIn(id: MeasurementId, points: readonly Placed[], expanded: number): string[] {
  const { pattern, frame } = MEASUREMENTS[id];
  const round = points.filter((p) => p.angleDeg !== null);
  if (pattern.form !== 'round' && frame !== 'pads') return [];
  if (frame === 'hub_stud') {
    const fit = attempt(() =>
      splitRunout(
        round.map((p) => p.angleDeg ?? 0),
        round.map((p) => p.value),
      ),
    );
    // Six readings leave a fit of five terms nothing over to tell a stray one by.
    if (!fit.ok || round.length < 8) return [];
    const { value: f } = fit;
    const left = round.map((p) => p.value - wobbleAt(f, p.angleDeg ?? 0) - warpAt(f, p.angleDeg ?? 0));
    return outOfFamily(left, expanded).flatMap((i) => round[i]?.key ?? []);
  }
  const groups = new Map<string, Placed[]>();
  for (const p of frame === 'pads' ? points : round) {
    const group = frame === 'pads' ? ((p.place ?? '').split(':')[0] ?? '') : (p.place ?? '');
    groups.set(group, [...(groups.get(group) ?? []), p]);
  }
  return [...groups.values()].flatMap((list) => {
    const middle = mean(list.map((p) => p.value));
    return outOfFamily(
      list.map((p) => p.value - middle),
      expanded,
    ).flatMap((i) => list[i]?.key ?? []);
  });
}
