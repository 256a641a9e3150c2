import { axleOf, type Connection, type ConnectionKind, type Layout, isGripped } from '@dauer/core/layout';
import { boxOf, carried, placesOf } from './places.ts';
import { type Drawn, WIDTH } from './usualPlaces.ts';
import { type Box, goesThrough, inside, Lanes, meets, pathOf, type Point, pointsOf } from './route.ts';

export interface Route {
  readonly id: string;
  readonly kind: ConnectionKind;
  /** How it is drawn: the first circuit solid, the second double, the third dash-dot. */
  readonly stroke: 1 | 2 | 3;
  readonly d: string;
}

export interface MapPlan {
  readonly height: number;
  readonly drawn: readonly Drawn[];
  readonly routes: readonly Route[];
  readonly circuits: readonly number[];
  readonly mechanical: boolean;
}

/** Where a line leaves or enters a drawn part. */
function port(d: Drawn, other: Drawn, circuit: number | null): Point {
  const right = other.x > d.x;
  const up = other.y < d.y;
  switch (d.slot.kind) {
    case 'master_cylinder': {
      const chamber = d.slot.circuits.indexOf(circuit ?? 0) === 0 ? -15 : 15;
      return { x: d.x + (right ? 8 : -8), y: d.y + (d.slot.style === 'tandem' ? chamber : up ? -8 : 10) };
    }
    case 'caliper':
      return { x: d.x + 12 * d.dir, y: d.y };
    case 'wheel_cylinder':
      return { x: d.x + 10 * d.dir, y: d.y };
    case 'hose':
      return d.slot.corner
        ? { x: d.x + (Math.sign(other.x - d.x) || 1) * 18, y: d.y }
        : { x: d.x, y: d.y + (Math.sign(other.y - d.y) || 1) * 18 };
    case 'valve':
      return { x: d.x, y: d.y + (Math.sign(other.y - d.y) || 1) * 10 };
    case 'servo':
      return { x: d.x + (right ? 24 : -24), y: d.y };
    case 'clutch_master':
      return { x: d.x, y: d.y + 12 };
    case 'clutch_slave':
      return { x: d.x, y: d.y - 10 };
    default:
      return { x: d.x, y: d.y };
  }
}

/** The way a line takes where nothing is in its way. */
function usualLine(a: Drawn, b: Drawn, p: Point, q: Point): string {
  if (Math.abs(p.x - q.x) < 0.5 || Math.abs(p.y - q.y) < 0.5) return `M${p.x} ${p.y}L${q.x} ${q.y}`;
  if (a.slot.kind === 'wheel_cylinder' && b.slot.kind === 'wheel_cylinder') return `M${p.x} ${p.y}H${p.x + 30 * a.dir}V${q.y}H${q.x}`;
  // A rear wheel fed straight from a cylinder: down past its hose's inner end, clear of what stands in the middle.
  const straight = a.slot.kind === 'master_cylinder' && b.slot.kind === 'hose' && axleOf(b.slot.corner) === 'rear';
  if (straight) return `M${p.x} ${p.y}H${q.x + 12 * Math.sign(b.x - q.x)}V${q.y}`;
  const verticalFirst = a.slot.kind === 'hose' || a.slot.kind === 'valve' || a.slot.kind === 'clutch_master';
  return verticalFirst ? `M${p.x} ${p.y}V${q.y}H${q.x}` : `M${p.x} ${p.y}H${q.x}V${q.y}`;
}

/** Where a rod or cable takes hold at a wheel, and how it gets there. */
function usualRod(a: Drawn, b: Drawn): string {
  if (b.slot.corner) {
    // From the middle, also to what grips its rotor from outside.
    const inward = b.slot.corner.length === 1 ? b.dir : b.x < WIDTH / 2 ? 1 : -1;
    const inner = b.x + (b.slot.kind === 'caliper' ? 4 : 22) * inward;
    if (a.slot.kind === 'equaliser' && Math.abs(a.y - b.y) < 70) return `M${a.x} ${a.y}H${inner + 34 * inward}L${inner} ${b.y + 26}`;
    return `M${a.x + 10 * -inward} ${a.y}L${inner} ${b.y + (a.y > b.y ? 14 : -14)}`;
  }
  return `M${a.x} ${a.y}L${b.x} ${b.y}`;
}

/** How much of a part a line must not go through. */
function bodyOf(d: Drawn): Box {
  if (isGripped(d.slot.kind)) return boxOf({ ...d, hit: { w: 60, h: 60 } });
  if (d.slot.kind === 'servo') return boxOf({ ...d, hit: { w: 48, h: 28 } });
  if (d.slot.kind === 'balance_bar') return boxOf({ ...d, hit: { w: 76, h: 6 } });
  return boxOf({ ...d, hit: { w: Math.min(d.hit.w, 30) - 8, h: Math.min(d.hit.h, 52) - 8 } });
}

/**
 * Lays a brake system out in plan view, front up, from its graph alone. Box 384 wide, as high as it takes. Each line
 * takes its usual way where nothing stands in it; otherwise one round the parts, crossing others as little as may be.
 */
export function planMap(layout: Layout): MapPlan {
  const { drawn, height } = placesOf(layout);
  const byId = new Map(drawn.map((d) => [d.slot.id, d]));
  /** What sits in another part is drawn with it, and so are the ends that lead to it. */
  for (const d of drawn) for (const s of carried(layout, d.slot)) if (!byId.has(s.id)) byId.set(s.id, d);
  const circuits = [...new Set(layout.connections.map((c) => c.circuit).filter((n): n is number => n !== null))].sort((x, y) => x - y);
  const strokeOf = (circuit: number | null): 1 | 2 | 3 => (circuit === 2 ? 2 : circuit === 9 || circuit === 3 ? 3 : 1);
  const lanes = new Lanes(WIDTH, height);
  const done: { readonly points: readonly Point[]; readonly c: Connection }[] = [];
  const seen = layout.connections.filter((c) => c.kind !== 'feed' && byId.has(c.from) && byId.has(c.to));
  // Lines first: rods and cables may lie under them.
  const order = [...seen.filter((c) => c.kind === 'line'), ...seen.filter((c) => c.kind !== 'line')];
  const routed = order.map((c): Route => {
    const [a, b] = [byId.get(c.from), byId.get(c.to)] as [Drawn, Drawn];
    const [p, q] = [port(a, b, c.circuit), port(b, a, c.circuit)];
    const usual = pointsOf(c.kind === 'line' ? usualLine(a, b, p, q) : usualRod(a, b));
    const standing = drawn.filter((d) => d !== a && d !== b).map(bodyOf);
    const clear = (points: readonly Point[]): boolean => {
      const ends = [points[0], points.at(-1)];
      return !standing.some((box) => !ends.some((e) => e && inside(e, box)) && goesThrough(points, box));
    };
    const apart = c.kind !== 'line' || !done.some((o) => o.c.kind === 'line' && meets(usual, o.points) > 0 && !branches(c, o.c));
    let points: readonly Point[] = usual;
    if (!clear(usual) || !apart) {
      const ends = c.kind === 'line' ? { from: p, to: q } : { from: usual[0] ?? p, to: usual.at(-1) ?? q };
      const blocks = standing.filter((box) => !inside(ends.from, box) && !inside(ends.to, box));
      points = lanes.find(ends.from, ends.to, [...blocks, ...own(a, ends.from), ...own(b, ends.to)]) ?? usual;
    }
    lanes.draw(points);
    done.push({ points, c });
    return { id: c.id, kind: c.kind, stroke: strokeOf(c.circuit), d: pathOf(points) };
  });
  const routes = seen.flatMap((c) => routed.filter((r) => r.id === c.id));
  return { height, drawn, routes, circuits, mechanical: layout.connections.some((c) => c.kind === 'cable' || c.kind === 'rod') };
}

/** A line leaves a part at its side, not through it. */
function own(d: Drawn, end: Point): Box[] {
  const box = bodyOf(d);
  return inside(end, box) ? [] : [box];
}

/** Lines of one circuit that leave one place together may share their beginning. */
function branches(a: Connection, b: Connection): boolean {
  return a.circuit === b.circuit && (a.from === b.from || a.to === b.to || a.from === b.to || a.to === b.from);
}

/** The point half way along a route. */
export function middleOf(d: string): Point {
  const points = pointsOf(d);
  const lengths = points.slice(1).map((p, i) => Math.hypot(p.x - (points[i]?.x ?? 0), p.y - (points[i]?.y ?? 0)));
  let left = lengths.reduce((sum, l) => sum + l, 0) / 2;
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [points[i], points[i + 1]];
    if (a && b && left <= length) {
      const share = length === 0 ? 0 : left / length;
      return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
    }
    left -= length;
  }
  return points.at(-1) ?? { x: 0, y: 0 };
}
