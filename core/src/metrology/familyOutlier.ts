/** Least readings from which a stray one is asked about. Source: handbook 10, Plausible, in the family. */
const MIN_FAMILY = 5;
/** How many scales off a reading has to lie to be asked about. */
const OUT_OF_FAMILY = 4;
/** Makes the median of absolute deviations a standard deviation, for normal scatter. */
const MAD_TO_SIGMA = 1.4826;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = Math.floor(sorted.length / 2);
  const [low = 0, high = 0] = [sorted[mid - 1], sorted[mid]];
  return sorted.length % 2 === 1 ? high : (low + high) / 2;
}

/**
 * Which readings lie out of their family: more than four scales from the middle of what the reduction leaves over.
 * @param left what is left over of each reading, canonical unit (runout: residual of the fit; others: the figure itself)
 * @param expanded expanded uncertainty U of one reading, same unit; the scale is never less
 * @returns indices, none below five readings
 * Source: handbook 10, Plausible, in the family: scale = the larger of 1.4826 × MAD and U.
 */
export function familyOutlier(left: readonly number[], expanded: number): number[] {
  if (left.length < MIN_FAMILY) return [];
  const middle = median(left);
  const scale = Math.max(MAD_TO_SIGMA * median(left.map((v) => Math.abs(v - middle))), expanded);
  return left.flatMap((v, i) => (Math.abs(v - middle) > OUT_OF_FAMILY * scale ? [i] : []));
}
