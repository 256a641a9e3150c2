/** What a bottle on a scale says of strokes: from which weight the next one is counted, and whether one is whole. */
export interface Weighed {
  readonly from: number;
  readonly stroke: boolean;
}

/**
 * Counts by weight. A bottle that is lifted off or emptied is weighed anew, and nothing that was counted is counted again.
 * @param from weight from which the next stroke is counted, g; null where nothing was weighed yet
 * @param grams what it shows now, g
 * @param each what one stroke weighs, g
 */
export function weighed(from: number | null, grams: number, each: number): Weighed {
  const begun = from === null || grams < from - each ? grams : from;
  return grams - begun >= each ? { from: begun + each, stroke: true } : { from: begun, stroke: false };
}
