/** Where a figure stands on a sketch, and on which side of its point it is written. */
interface SketchSpot {
  readonly at: readonly [number, number];
  readonly anchor: 'start' | 'middle' | 'end';
  /** Lines that show what is measured: arrows, dimension lines. */
  readonly shows: string;
}

export interface Sketch {
  /** Outlines of the part. */
  readonly part: readonly string[];
  /** Thin lines: axes, what stands behind. */
  readonly thin: readonly string[];
  readonly spots: Readonly<Record<string, SketchSpot>>;
  readonly height: number;
}

/** A figure's place on a sketch, and the lines that show what it is of. */
export const s = (x: number, y: number, shows: string, anchor: SketchSpot['anchor'] = 'start'): SketchSpot => ({
  at: [x, y],
  anchor,
  shows,
});
/** A dimension line between two points, with ends. */
export const dim = (x1: number, y1: number, x2: number, y2: number): string => {
  const along = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [dx, dy] = [(x2 - x1) / along, (y2 - y1) / along];
  const end = (x: number, y: number, to: 1 | -1): string =>
    `M${x + to * 7 * dx - 3.5 * dy} ${y + to * 7 * dy + 3.5 * dx}L${x} ${y}L${x + to * 7 * dx + 3.5 * dy} ${y + to * 7 * dy - 3.5 * dx}`;
  return `M${x1} ${y1}L${x2} ${y2}${end(x1, y1, 1)}${end(x2, y2, -1)}`;
};
