import { DomainError } from '../quantity/domainError.ts';

/** Half-width accuracy and resolution of a gauge, both in the unit of the figure. */
export interface GaugeErrors {
  readonly accuracy: number;
  readonly resolution: number;
}

export type Reduction = 'single' | 'min' | 'max' | 'range' | 'mean_of_repeats' | 'difference_of_means' | 'difference_of_gauges';

export interface Uncertainty {
  /** Standard uncertainty u. */
  readonly standard: number;
  /** Expanded uncertainty U = 2u, what "±" means on screen. */
  readonly expanded: number;
}

const expand = (standard: number): Uncertainty => ({ standard, expanded: 2 * standard });

/** Root of the sum of squares. */
export function rootSumSquares(...terms: readonly number[]): number {
  return Math.sqrt(terms.reduce((sum, t) => sum + t * t, 0));
}

/**
 * Standard uncertainty of one reading, u² = (a/√3)² + (d/√12)²: rectangular distributions of the
 * stated accuracy and of the resolution (JCGM 100, 4.3.7).
 * @throws DomainError negative_uncertainty
 */
export function singleReading(gauge: GaugeErrors): number {
  if (!(gauge.accuracy >= 0) || !(gauge.resolution >= 0)) {
    throw new DomainError('negative_uncertainty', 'A gauge cannot have a negative accuracy or resolution.');
  }
  return rootSumSquares(gauge.accuracy / Math.sqrt(3), gauge.resolution / Math.sqrt(12));
}

/** Arithmetic mean; throws DomainError too_few_readings on an empty list. */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new DomainError('too_few_readings', 'There is nothing to average.');
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** Sample standard deviation with n − 1; throws DomainError too_few_repeats below two values. */
export function sampleDeviation(values: readonly number[]): number {
  if (values.length < 2) throw new DomainError('too_few_repeats', 'A spread needs at least two readings.');
  const m = mean(values);
  return Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1));
}

/** Uncertainty of a minimum, maximum or single reading taken with one gauge (factor √1). */
export function ofSingle(gauge: GaugeErrors): Uncertainty {
  return expand(singleReading(gauge));
}

/** Uncertainty of a range or of a difference: root of the sum of squares of the two governing readings. */
export function ofTwo(first: GaugeErrors, second: GaugeErrors): Uncertainty {
  return expand(rootSumSquares(singleReading(first), singleReading(second)));
}

/**
 * Uncertainty of the mean of n ≥ 2 repeats: the gauge's own term and s/√n.
 * @throws DomainError too_few_repeats
 */
export function ofMean(gauge: GaugeErrors, repeats: readonly number[]): Uncertainty {
  const s = sampleDeviation(repeats);
  return expand(rootSumSquares(singleReading(gauge), s / Math.sqrt(repeats.length)));
}

/**
 * Uncertainty of a reduction.
 * @param gauges one gauge, or exactly two for a difference of gauges
 * @param repeats the repeats of mean_of_repeats
 * @throws DomainError two_gauges_needed, too_few_repeats, negative_uncertainty
 * Source: handbook, Gauges and uncertainty; JCGM 100.
 */
export function ofReduction(gauges: readonly GaugeErrors[], reduction: Reduction, repeats: readonly number[] = []): Uncertainty {
  const [first, second] = gauges;
  if (reduction === 'difference_of_gauges') {
    if (!first || !second || gauges.length !== 2) {
      throw new DomainError('two_gauges_needed', 'A difference of two gauges needs exactly two gauges.');
    }
    return ofTwo(first, second);
  }
  if (!first) throw new DomainError('two_gauges_needed', 'No gauge was named.');
  if (reduction === 'mean_of_repeats') return ofMean(first, repeats);
  if (reduction === 'range' || reduction === 'difference_of_means') return ofTwo(first, first);
  return ofSingle(first);
}
