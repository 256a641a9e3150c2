import type { Judged } from '../judging/judge.ts';

/** A figure at a distance run: km, and the unit of the characteristic. */
interface CoursePoint {
  readonly run: number;
  readonly value: number;
}
/** How a part wore, and how it goes on if nothing is done. */
export interface WearCourse {
  /** Oldest first; one that does not count was taken before the part was cut. */
  readonly points: readonly (CoursePoint & { readonly counts: boolean })[];
  readonly limit: number;
  /** From the latest figure on to the limit or the next service, whichever comes first; null where nothing is foretold. */
  readonly foretold: readonly [CoursePoint, CoursePoint] | null;
}

/**
 * The course of one figure of a part over the distance it ran.
 * @returns null where fewer than two distances are on record, or no limit stands on one side
 */
export function wearCourse(judged: Pick<Judged, 'wearPoints' | 'bound' | 'wear' | 'toNextService'>): WearCourse | null {
  const { wearPoints, bound, wear, toNextService } = judged;
  const last = wearPoints.at(-1);
  if (!last || new Set(wearPoints.map((p) => p.run)).size < 2 || (bound.kind !== 'lower' && bound.kind !== 'upper')) return null;
  const cut = wearPoints.findLastIndex((p) => p.afterMachining === true);
  const ahead = wear ? Math.min(toNextService, wear.remaining) : 0;
  return {
    points: wearPoints.map(({ run, value }, i) => ({ run, value, counts: i >= cut })),
    limit: bound.at,
    foretold: wear && ahead > 0 ? [last, { run: last.run + ahead, value: last.value + wear.slope * ahead }] : null,
  };
}
