import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import { toResult } from '../quantity/domainError.ts';
import { mean } from '../verdict/uncertainty.ts';
import { familyOutlier } from './familyOutlier.ts';
import { splitRunout, warpAt, wobbleAt } from './rotorRunout.ts';

/** A figure at its place, as far as the family check needs it. */
export interface Placed {
  readonly key: string;
  readonly angleDeg: number | null;
  readonly place: string | null;
  readonly value: number;
}

/** Six readings leave a fit of five terms nothing over to tell a stray one by. */
const MIN_SWEEP = 8;

/** Whether one figure of a sweep lies out of the family of the others: held against the fit of all but itself, which it would bend. */
function straysFromSweep(points: readonly Placed[], index: number, expanded: number): boolean {
  const own = points[index];
  const rest = points.filter((_, i) => i !== index);
  const fit = toResult(() =>
    splitRunout(
      rest.map((p) => p.angleDeg ?? 0),
      rest.map((p) => p.value),
    ),
  );
  if (!own || !fit.ok) return false;
  const { value: f } = fit;
  const left = (p: Placed): number => p.value - wobbleAt(f, p.angleDeg ?? 0) - warpAt(f, p.angleDeg ?? 0);
  return familyOutlier([...rest.map(left), left(own)], expanded).includes(rest.length);
}

/**
 * Figures of a set that lie out of their family, by what the reduction leaves over: of a sweep what it lies off the fit of all
 * the others, otherwise the deviation within its ring or depth. Named places are no family.
 * @param expanded expanded uncertainty of one reading, canonical unit
 * @returns keys of the figures to ask about
 * Source: handbook 10, Plausible, in the family; the residual is that of the fit without the figure (deleted residual),
 * since a least-squares fit of five terms to a dozen readings bends towards the one that is wrong and hides it.
 */
export function findOutliers(id: MeasurementId, points: readonly Placed[], expanded: number): string[] {
  const { pattern, frame } = MEASUREMENTS[id];
  const round = points.filter((p) => p.angleDeg !== null);
  if (pattern.form !== 'round' && frame !== 'pads') return [];
  if (frame === 'hub_stud')
    return round.length < MIN_SWEEP ? [] : round.filter((_, i) => straysFromSweep(round, i, expanded)).map((p) => p.key);
  const groups = new Map<string, Placed[]>();
  for (const p of frame === 'pads' ? points : round) {
    const group = frame === 'pads' ? ((p.place ?? '').split(':')[0] ?? '') : (p.place ?? '');
    groups.set(group, [...(groups.get(group) ?? []), p]);
  }
  return [...groups.values()].flatMap((list) => {
    const middle = mean(list.map((p) => p.value));
    return familyOutlier(
      list.map((p) => p.value - middle),
      expanded,
    ).flatMap((i) => list[i]?.key ?? []);
  });
}
