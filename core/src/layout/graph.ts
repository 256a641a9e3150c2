import { CORNERS, CORNER_NAME, type ComponentKind, type Corner, INBOARD_FLANGE, axleOf } from './kinds.ts';

/** A place in a vehicle's layout, or inside a part of it (a piston, a bleeder). */
export interface Slot {
  readonly id: string;
  readonly kind: ComponentKind;
  readonly name: string;
  readonly corner: Corner | null;
  /** Hydraulic circuits it belongs to; none for mechanical parts. The clutch is circuit 9. */
  readonly circuits: readonly number[];
  /** The slot whose part carries this one. */
  readonly parentId: string | null;
  /** Bore or piston diameter, mm. */
  readonly boreMm: number | null;
  /** Hoses: length, mm. */
  readonly lengthMm: number | null;
  /** fixed or floating, leading and trailing, tandem …: what the kind alone does not say. */
  readonly style: string | null;
}

export type ConnectionKind = 'line' | 'rod' | 'cable' | 'feed';

export interface Connection {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly kind: ConnectionKind;
  readonly circuit: number | null;
  readonly lengthMm: number | null;
  readonly boreMm: number | null;
}

export type Drive = 'left' | 'right';

export interface Layout {
  readonly id: string;
  readonly vehicleId: string;
  readonly template: string;
  /** Which side the driver sits on. */
  readonly drive: Drive;
  readonly slots: readonly Slot[];
  readonly connections: readonly Connection[];
}

/** One version of a vehicle's layout: as first drawn, put right (it was always so), or converted (from then on). */
export interface LayoutRevision {
  readonly id: string;
  readonly revision: 'first' | 'correction' | 'conversion';
  readonly why: string;
  readonly enteredBy: string | null;
  /** Instant, ISO 8601 UTC. */
  readonly enteredAt: string;
  /** Names of places, against the revision before. */
  readonly added: readonly string[];
  readonly removed: readonly string[];
  readonly changed: readonly string[];
  /** Ids of the places and connections that it took out, with what they were. */
  readonly removedPlaces: readonly RemovedPlace[];
}

/** A place or a connection that a revision took out. */
export interface RemovedPlace {
  readonly id: string;
  readonly name: string;
  /** Null for a connection. */
  readonly kind: ComponentKind | null;
}

export const CLUTCH_CIRCUIT = 9;

export function slotById(layout: Layout, id: string): Slot | undefined {
  return layout.slots.find((s) => s.id === id);
}

/** Slots inside another. */
export function childrenOf(layout: Layout, id: string): Slot[] {
  return layout.slots.filter((s) => s.parentId === id);
}

/** Full name of a slot: its corner and its own name. */
export function placeName(slot: Slot): string {
  const corner = slot.corner ? CORNER_NAME[slot.corner] : null;
  return corner ? `${corner} ${slot.name.toLowerCase()}` : slot.name;
}

/** The name of a place with left and right changed over; null where it says neither. */
function acrossName(name: string): string | null {
  if (name.startsWith('Left ')) return `Right ${name.slice('Left '.length)}`;
  return name.startsWith('Right ') ? `Left ${name.slice('Right '.length)}` : null;
}

/** The slot of the same kind and name on the other side of the axle; of two discs at one wheel the other of the two. */
export function counterpart(layout: Layout, slot: Slot): Slot | undefined {
  if (!slot.corner) return undefined;
  const axle = axleOf(slot.corner);
  const across = acrossName(slot.name);
  return (
    layout.slots.find((s) => s.kind === slot.kind && s.name === slot.name && s.corner !== slot.corner && axleOf(s.corner) === axle) ??
    layout.slots.find((s) => s.kind === slot.kind && s.name === across && s.corner === slot.corner)
  );
}

/** Which of two units at one wheel a place belongs to, by its name or that of what carries it; null where there is one. */
function unitOf(layout: Layout, slot: Slot): string | null {
  const [first] = /^(Left|Right) /.exec(slot.name) ?? [];
  if (first !== undefined) return first.trim();
  const parent = slot.parentId === null ? undefined : slotById(layout, slot.parentId);
  return parent ? unitOf(layout, parent) : null;
}

/** Places of a kind at the same wheel and, where the wheel has two units, of the same one. */
export function unitMates(layout: Layout, slot: Slot, kind: ComponentKind): Slot[] {
  const unit = unitOf(layout, slot);
  const here = layout.slots.filter((s) => s.kind === kind && s.corner === slot.corner && s.id !== slot.id);
  return here.filter((s) => {
    const theirs = unitOf(layout, s);
    return unit === null || theirs === null || theirs === unit;
  });
}

/** Whether a place is at a brake that sits inboard, at the final drive: its wheel is at the other end of a shaft. Source: handbook 58, D24. */
export function isInboard(layout: Pick<Layout, 'slots'>, slot: Pick<Slot, 'corner'>): boolean {
  return slot.corner !== null && layout.slots.some((s) => s.kind === 'hub' && s.corner === slot.corner && s.style === INBOARD_FLANGE);
}

/** The wheels a layout has, in their order. */
export function cornersOf(layout: Pick<Layout, 'slots'>): Corner[] {
  return CORNERS.filter((c) => layout.slots.some((s) => s.corner === c));
}

/** Whether a layout has any hydraulics that a pedal or lever presses. */
export function isHydraulic(layout: Layout): boolean {
  return layout.connections.length > 0 && layout.slots.some((s) => s.kind === 'master_cylinder');
}

/** Slots joined to this one by a connection, or by carrying it; of a line, cable or rod its two ends. */
export function neighbours(layout: Layout, id: string): string[] {
  const joined = layout.connections.flatMap((c) => (c.from === id ? [c.to] : c.to === id ? [c.from] : []));
  const own = slotById(layout, id);
  const run = layout.connections.find((c) => c.id === id);
  if (run) return [run.from, run.to];
  return [...joined, ...(own?.parentId ? [own.parentId] : []), ...childrenOf(layout, id).map((s) => s.id)];
}

/** Shortest hydraulic way from a master cylinder to a slot, as slot ids; empty where none exists. */
export function pathFromMaster(layout: Layout, target: string): string[] {
  const masters = layout.slots.filter((s) => s.kind === 'master_cylinder' || s.kind === 'clutch_master').map((s) => s.id);
  const cameFrom = new Map<string, string | null>(masters.map((m) => [m, null]));
  const queue = [...masters];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    if (at === target) break;
    for (const c of layout.connections) {
      if (c.kind !== 'line') continue;
      const next = c.from === at ? c.to : c.to === at ? c.from : null;
      if (next !== null && !cameFrom.has(next)) {
        cameFrom.set(next, at);
        queue.push(next);
      }
    }
  }
  if (!cameFrom.has(target)) return [];
  const path: string[] = [];
  for (let at: string | null = target; at !== null; at = cameFrom.get(at) ?? null) path.unshift(at);
  return path;
}

/**
 * Where an arrow key leads on the map: the neighbour lying most in that direction.
 * @param at drawn positions of the slots, px
 */
export function walk(
  layout: Layout,
  from: string,
  direction: 'up' | 'down' | 'left' | 'right',
  at: ReadonlyMap<string, { readonly x: number; readonly y: number }>,
): string | null {
  const origin = at.get(from);
  if (!origin) return null;
  const unit = { up: [0, -1], down: [0, 1], left: [-1, 0], right: [1, 0] }[direction];
  const score = (id: string): number => {
    const p = at.get(id);
    if (!p || id === from) return -Infinity;
    const [dx, dy] = [p.x - origin.x, p.y - origin.y];
    const length = Math.hypot(dx, dy) || 1;
    return (dx * (unit[0] ?? 0) + dy * (unit[1] ?? 0)) / length;
  };
  const best = neighbours(layout, from)
    .filter((id) => score(id) > 0.3)
    .sort((a, b) => score(b) - score(a))[0];
  if (best) return best;
  const near = [...at.keys()]
    .filter((id) => score(id) > 0.7)
    .sort((a, b) => {
      const pa = at.get(a) ?? origin;
      const pb = at.get(b) ?? origin;
      return Math.hypot(pa.x - origin.x, pa.y - origin.y) - Math.hypot(pb.x - origin.x, pb.y - origin.y);
    })[0];
  return near ?? null;
}
