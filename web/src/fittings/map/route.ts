import TinyQueue from 'tinyqueue';

/** Finds a way for a line over a grid, round what stands in between. */

export interface Point {
  readonly x: number;
  readonly y: number;
}
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const STEP = 6;
const BEND = 5;
const CROSSING = 14;
const ALONG = 30;
const NEAR = 3;

export const inside = (p: Point, b: Box): boolean => p.x > b.left && p.x < b.right && p.y > b.top && p.y < b.bottom;

/** Points of a path of straight pieces: M, L, H and V with absolute figures. */
export function pointsOf(d: string): Point[] {
  const found: Point[] = [];
  for (const [, command, text] of d.matchAll(/([MLHV])([^MLHV]*)/g)) {
    const n = (text ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const last = found.at(-1) ?? { x: 0, y: 0 };
    if (command === 'H') found.push({ x: n[0] ?? 0, y: last.y });
    else if (command === 'V') found.push({ x: last.x, y: n[0] ?? 0 });
    else found.push({ x: n[0] ?? 0, y: n[1] ?? 0 });
  }
  return found;
}

/** Whether a path of straight pieces goes through a box. */
export function goesThrough(points: readonly Point[], box: Box): boolean {
  return points.slice(1).some((q, i) => {
    const p = points[i] ?? q;
    const steps = Math.max(1, Math.ceil(Math.hypot(q.x - p.x, q.y - p.y)));
    for (let n = 0; n <= steps; n += 1)
      if (inside({ x: p.x + ((q.x - p.x) * n) / steps, y: p.y + ((q.y - p.y) * n) / steps }, box)) return true;
    return false;
  });
}

const turn = (a: Point, b: Point, c: Point): number => Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x));

/** How often two paths cross or lie on each other; ends that meet do not count. */
export function meets(one: readonly Point[], other: readonly Point[]): number {
  let n = 0;
  for (let i = 1; i < one.length; i += 1)
    for (let j = 1; j < other.length; j += 1) {
      const [a, b, c, d] = [one[i - 1], one[i], other[j - 1], other[j]];
      if (!a || !b || !c || !d) continue;
      const crosses = turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
      const level = a.y === b.y && c.y === d.y && Math.abs(a.y - c.y) < 3;
      const upright = a.x === b.x && c.x === d.x && Math.abs(a.x - c.x) < 3;
      const shares = (p: number, q: number, r: number, s: number): boolean =>
        Math.min(Math.max(p, q), Math.max(r, s)) - Math.max(Math.min(p, q), Math.min(r, s)) > 4;
      if (crosses || (level && shares(a.x, b.x, c.x, d.x)) || (upright && shares(a.y, b.y, c.y, d.y))) n += 1;
    }
  return n;
}

/** What has been drawn on the grid so far: cells with the direction that runs there. */
export class Lanes {
  private readonly width: number;
  private readonly height: number;
  private readonly taken = new Map<number, { level: boolean; upright: boolean }>();
  constructor(width: number, height: number) {
    this.width = Math.floor(width / STEP);
    this.height = Math.floor(height / STEP);
  }

  private cell(x: number, y: number): number {
    return y * (this.width + 1) + x;
  }

  /** Marks a drawn path, so that others keep to lanes of their own. */
  draw(points: readonly Point[]): void {
    points.slice(1).forEach((q, i) => {
      const p = points[i] ?? q;
      const steps = Math.max(1, Math.ceil(Math.hypot(q.x - p.x, q.y - p.y) / STEP));
      for (let n = 0; n <= steps; n += 1) {
        const at = this.cell(Math.round((p.x + ((q.x - p.x) * n) / steps) / STEP), Math.round((p.y + ((q.y - p.y) * n) / steps) / STEP));
        const was = this.taken.get(at) ?? { level: false, upright: false };
        const level = Math.abs(q.x - p.x) >= Math.abs(q.y - p.y);
        this.taken.set(at, { level: was.level || level, upright: was.upright || !level });
      }
    });
  }

  /**
   * The cheapest way of level and upright pieces from one point to another, not through the boxes; null where none is.
   */
  find(from: Point, to: Point, boxes: readonly Box[]): Point[] | null {
    const start = { x: Math.round(from.x / STEP), y: Math.round(from.y / STEP) };
    const goal = { x: Math.round(to.x / STEP), y: Math.round(to.y / STEP) };
    const free = (x: number, y: number): boolean => {
      if (x < 1 || y < 1 || x >= this.width || y >= this.height) return false;
      if ((x === start.x && y === start.y) || (x === goal.x && y === goal.y)) return true;
      const p = { x: x * STEP, y: y * STEP };
      return !boxes.some((b) => inside(p, b));
    };
    const close = (x: number, y: number): boolean =>
      boxes.some((b) =>
        inside({ x: x * STEP, y: y * STEP }, { left: b.left - 5, top: b.top - 5, right: b.right + 5, bottom: b.bottom + 5 }),
      );
    const MOVES = [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const;
    interface Node {
      readonly x: number;
      readonly y: number;
      readonly dir: number;
      readonly cost: number;
      readonly back: Node | null;
    }
    const best = new Map<number, number>();
    const guess = (n: Node): number => n.cost + Math.abs(n.x - goal.x) + Math.abs(n.y - goal.y);
    const open = new TinyQueue<Node>([{ ...start, dir: -1, cost: 0, back: null }], (a, b) => guess(a) - guess(b));
    for (let node = open.pop(); node; node = open.pop()) {
      const at = node;
      if (node.x === goal.x && node.y === goal.y) {
        const cells: Point[] = [];
        for (let cell: Node | null = node; cell; cell = cell.back) cells.unshift({ x: cell.x * STEP, y: cell.y * STEP });
        return straightened(from, cells, to);
      }
      MOVES.forEach(([dx, dy], dir) => {
        const [x, y] = [at.x + dx, at.y + dy];
        if (!free(x, y)) return;
        const here = this.taken.get(this.cell(x, y));
        const level = dx !== 0;
        const price =
          1 +
          (at.dir !== -1 && at.dir !== dir ? BEND : 0) +
          (here && (level ? here.level : here.upright) ? ALONG : 0) +
          (here && (level ? here.upright : here.level) ? CROSSING : 0) +
          (close(x, y) ? NEAR : 0);
        const cost = at.cost + price;
        const key = this.cell(x, y) * 4 + dir;
        if (cost >= (best.get(key) ?? Infinity)) return;
        best.set(key, cost);
        open.push({ x, y, dir, cost, back: at });
      });
    }
    return null;
  }
}

/** Grid cells as few points as possible, with the true ends, and every piece still level or upright. */
function straightened(from: Point, cells: readonly Point[], to: Point): Point[] {
  const corners = cells.filter((p, i) => {
    const [a, b] = [cells[i - 1], cells[i + 1]];
    return !a || !b || (a.x - p.x) * (b.y - p.y) - (a.y - p.y) * (b.x - p.x) !== 0;
  });
  const inner = corners.slice(1, -1).map((p) => ({ ...p }));
  const upright = (a: Point | undefined, b: Point | undefined): boolean => a !== undefined && b !== undefined && a.x === b.x;
  const first = inner[0];
  const last = inner.at(-1);
  if (first && upright(corners[0], corners[1])) first.x = from.x;
  else if (first) first.y = from.y;
  if (last && upright(corners.at(-2), corners.at(-1))) last.x = to.x;
  else if (last) last.y = to.y;
  const all = [from, ...inner, to];
  // Where the ends do not lie on the grid a piece may stand askew: a knee makes it straight again.
  return all.flatMap((p, i) => {
    const before = all[i - 1];
    return before && before.x !== p.x && before.y !== p.y ? [{ x: p.x, y: before.y }, p] : [p];
  });
}

export const pathOf = (points: readonly Point[]): string =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${Number(p.x.toFixed(1))} ${Number(p.y.toFixed(1))}`).join('');
