import { Refusal } from '../refusal.ts';
import { type Bound, beyond } from './decide.ts';
import { rootSumSquares } from './uncertainty.ts';

/** One dated figure of one characteristic of one part. */
export interface WearPoint {
  /** Distance run when it was taken, km (or years, where nothing is counted: the sums are the same). */
  readonly run: number;
  readonly value: number;
  /** Standard uncertainty, same unit as the value. */
  readonly u?: number | null;
  /** Taken after machining or renewal: a cut is not wear, older points do not count. */
  readonly afterMachining?: boolean;
}

export interface Wear {
  /** Change per unit of run, signed. */
  readonly slope: number;
  /** Standard error of the slope; null where it cannot be known. */
  readonly error: number | null;
  readonly pointsUsed: number;
  /** Figure expected at the next service. */
  readonly predicted: number;
  readonly predictedPast: boolean;
  /** Figure expected with the rate taken one standard error to the bad side: what the watch verdict uses. */
  readonly predictedBad: number;
  /** Run left until the limit, never below 0. */
  readonly remaining: number;
}

/**
 * Rate of wear by least squares and what it foretells.
 * @param points dated figures, any order
 * @param direction what wear does to the figure
 * @param limit limit in the unit of the values
 * @param toNextService run to the next service, unit of `run`
 * @param fresh nominal figure at a known fitting, used only when one point counts and no machining came before it
 * @throws Refusal no_points, one_point, no_distance, wrong_sign, within_error
 * Source: handbook, Wear; ordinary least squares.
 */
export function wear(
  points: readonly WearPoint[],
  direction: 'falls' | 'grows',
  limit: number,
  toNextService: number,
  fresh?: { readonly run: number; readonly value: number } | null,
): Wear {
  const sorted = [...points].sort((a, b) => a.run - b.run);
  const cut = sorted.findLastIndex((p) => p.afterMachining === true);
  const counting: WearPoint[] = cut >= 0 ? sorted.slice(cut) : sorted;
  if (counting.length === 0) throw new Refusal('no_points', 'There is no earlier figure of this part.');
  if (counting.length === 1) {
    if (!fresh || cut >= 0) throw new Refusal('one_point', 'One figure alone shows no wear.');
    counting.unshift({ run: fresh.run, value: fresh.value });
  }
  const fit = slopeOf(counting);
  const sign = direction === 'falls' ? -1 : 1;
  if (fit.slope * sign <= 0) throw new Refusal('wrong_sign', 'The figures do not move the way wear moves them.');
  if (fit.error !== null && Math.abs(fit.slope) <= fit.error) {
    throw new Refusal('within_error', 'The change is no larger than the gauges could make it.');
  }
  const latest = counting.reduce((a, b) => (b.run >= a.run ? b : a)).value;
  const bound: Bound = { kind: direction === 'falls' ? 'lower' : 'upper', at: limit };
  const predicted = latest + fit.slope * toNextService;
  return {
    slope: fit.slope,
    error: fit.error,
    pointsUsed: counting.length,
    predicted,
    predictedPast: beyond(bound, predicted),
    predictedBad: latest + (fit.slope + sign * (fit.error ?? 0)) * toNextService,
    remaining: Math.max(0, (limit - latest) / fit.slope),
  };
}

function slopeOf(points: readonly WearPoint[]): { slope: number; error: number | null } {
  const n = points.length;
  const meanRun = points.reduce((s, p) => s + p.run, 0) / n;
  const meanValue = points.reduce((s, p) => s + p.value, 0) / n;
  const sxx = points.reduce((s, p) => s + (p.run - meanRun) ** 2, 0);
  if (sxx === 0) throw new Refusal('no_distance', 'All figures were taken at the same distance.');
  const slope = points.reduce((s, p) => s + (p.run - meanRun) * (p.value - meanValue), 0) / sxx;
  if (n >= 3) {
    const residual = points.reduce((s, p) => s + (p.value - meanValue - slope * (p.run - meanRun)) ** 2, 0);
    return { slope, error: Math.sqrt(residual / (n - 2) / sxx) };
  }
  const [first, second] = points;
  if (first?.u == null || second?.u == null) return { slope, error: null };
  return { slope, error: rootSumSquares(first.u, second.u) / Math.abs(second.run - first.run) };
}
