import { DomainError } from '../quantity/domainError.ts';
import { type Bound, beyond } from './decide.ts';
import { rootSumSquares } from './uncertainty.ts';

/** One dated figure of one characteristic of one part. */
export interface WearPoint {
  /** Distance run when it was taken, km (or years, where nothing is counted: the sums are the same). */
  readonly run: number;
  /** When it was taken, ISO 8601; where every point says it, that is their order. */
  readonly at?: string | null;
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
 * @param points dated figures, any order: put in that of their time where all have one, else of their run
 * @param direction what wear does to the figure
 * @param limit limit in the unit of the values
 * @param toNextService run to the next service, unit of `run`
 * @param fresh nominal figure at a known fitting, used only when one point counts and no machining came before it
 * @throws DomainError no_points, one_point, bad_figure, ran_backwards, no_distance, wrong_sign, within_error
 * Source: handbook, Wear; ordinary least squares.
 */
export function wear(
  points: readonly WearPoint[],
  direction: 'falls' | 'grows',
  limit: number,
  toNextService: number,
  fresh?: { readonly run: number; readonly value: number } | null,
): Wear {
  const said = [...points, ...(fresh ? [fresh] : [])];
  if (
    said.some((p) => !Number.isFinite(p.run) || p.run < 0 || !Number.isFinite(p.value)) ||
    !Number.isFinite(limit) ||
    !(toNextService >= 0 && Number.isFinite(toNextService))
  )
    throw new DomainError('bad_figure', 'A distance or a figure among the earlier ones is none: no rate can be made of them.');
  const timed = points.every((p) => p.at != null);
  const sorted = [...points].sort((a, b) =>
    timed ? ((a.at ?? '') < (b.at ?? '') ? -1 : (a.at ?? '') > (b.at ?? '') ? 1 : 0) : a.run - b.run,
  );
  const cut = sorted.findLastIndex((p) => p.afterMachining === true);
  const counting: WearPoint[] = cut >= 0 ? sorted.slice(cut) : sorted;
  if (counting.length === 0) throw new DomainError('no_points', 'There is no earlier figure of this part.');
  if (counting.length === 1) {
    if (!fresh || cut >= 0) throw new DomainError('one_point', 'One figure alone shows no wear.');
    counting.unshift({ run: fresh.run, value: fresh.value });
  }
  if (counting.some((p, i) => i > 0 && p.run < (counting[i - 1]?.run ?? 0) - sameRun(counting)))
    throw new DomainError('ran_backwards', 'The counter stood lower at a later figure: no rate can be made of such distances.');
  const fit = slopeOf(counting);
  const sign = direction === 'falls' ? -1 : 1;
  if (fit.slope * sign <= 0) throw new DomainError('wrong_sign', 'The figures do not move the way wear moves them.');
  if (fit.error !== null && Math.abs(fit.slope) <= fit.error) {
    throw new DomainError('within_error', 'The change is no larger than the gauges could make it.');
  }
  const latest = counting.at(-1)?.value ?? 0;
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

/** Distances nearer than this are one: a millionth of what was run, and no less than a millimetre of a kilometre. */
function sameRun(points: readonly WearPoint[]): number {
  return Math.max(1e-6, 1e-6 * Math.max(...points.map((p) => p.run)));
}

function slopeOf(points: readonly WearPoint[]): { slope: number; error: number | null } {
  const n = points.length;
  const meanRun = points.reduce((s, p) => s + p.run, 0) / n;
  const meanValue = points.reduce((s, p) => s + p.value, 0) / n;
  const sxx = points.reduce((s, p) => s + (p.run - meanRun) ** 2, 0);
  const [lowest, highest] = [Math.min(...points.map((p) => p.run)), Math.max(...points.map((p) => p.run))];
  if (highest - lowest <= sameRun(points)) throw new DomainError('no_distance', 'All figures were taken at the same distance.');
  const slope = points.reduce((s, p) => s + (p.run - meanRun) * (p.value - meanValue), 0) / sxx;
  if (n >= 3) {
    const residual = points.reduce((s, p) => s + (p.value - meanValue - slope * (p.run - meanRun)) ** 2, 0);
    return { slope, error: Math.sqrt(residual / (n - 2) / sxx) };
  }
  const [first, second] = points;
  if (first?.u == null || second?.u == null) return { slope, error: null };
  return { slope, error: rootSumSquares(first.u, second.u) / Math.abs(second.run - first.run) };
}
