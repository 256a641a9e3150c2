import { axleOf, type Connection, type ConnectionKind, type Corner, type Layout, type Slot } from '@dauer/core';

/** A slot as it is drawn: where, which way it faces, and what it carries. */
export interface Drawn {
  readonly slot: Slot;
  readonly x: number;
  readonly y: number;
  /** +1 faces right (left wheels), −1 faces left. */
  readonly dir: 1 | -1;
  readonly label: string | null;
  /** Where the mark stands, relative to (x, y). */
  readonly mark: { readonly x: number; readonly y: number };
  readonly hit: { readonly w: number; readonly h: number };
}

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

const WHEEL: Readonly<Record<Corner, { x: number; y: number; dir: 1 | -1 }>> = {
  FL: { x: 60, y: 82, dir: 1 },
  FR: { x: 324, y: 82, dir: -1 },
  RL: { x: 60, y: 304, dir: 1 },
  RR: { x: 324, y: 304, dir: -1 },
  F: { x: 192, y: 82, dir: 1 },
  R: { x: 192, y: 304, dir: 1 },
};
/** Where the wheel name stands above each wheel. */
export const WHEELS = WHEEL;

/** Parts that share one drawing at a wheel with the part that carries their mark. */
const DRAWN_KINDS: readonly Slot['kind'][] = [
  'rotor',
  'drum',
  'caliper',
  'wheel_cylinder',
  'hose',
  'union',
  'master_cylinder',
  'reservoir',
  'servo',
  'pedal',
  'hand_lever',
  'balance_bar',
  'valve',
  'parking_lever',
  'equaliser',
  'clutch_master',
  'clutch_slave',
];

/** The corner's slots whose mark a drawn part carries with its own. */
export function carried(layout: Layout, slot: Slot): Slot[] {
  const mates: Partial<Record<Slot['kind'], readonly Slot['kind'][]>> = {
    rotor: ['hub'],
    drum: ['shoes', 'hub'],
    caliper: ['piston', 'pads'],
  };
  const kinds = mates[slot.kind] ?? [];
  return layout.slots.filter((s) => s.corner === slot.corner && slot.corner !== null && kinds.includes(s.kind));
}

/** One wheel before the other: no body is drawn round them. */
export function isInLine(layout: Layout): boolean {
  return layout.slots.some((s) => s.corner === 'F');
}

const cylinderDrop = 24;

function inletY(layout: Layout, corner: Corner): number {
  const drum = layout.slots.some((s) => s.kind === 'drum' && s.corner === corner);
  return WHEEL[corner].y - (drum ? cylinderDrop : 0);
}

function place(layout: Layout, slot: Slot): Omit<Drawn, 'slot'> | null {
  const tandem = layout.slots.some((s) => s.kind === 'master_cylinder' && s.style === 'tandem');
  const servo = layout.slots.some((s) => s.kind === 'servo');
  const beside = { x: 22, y: 0 };
  const at = (x: number, y: number, more: Partial<Omit<Drawn, 'slot' | 'x' | 'y'>> = {}): Omit<Drawn, 'slot'> => ({
    x,
    y,
    dir: 1,
    label: null,
    mark: beside,
    hit: { w: 44, h: 36 },
    ...more,
  });
  const bike = isInLine(layout);
  const masterY = bike ? 140 : 150;
  const masters = layout.slots.filter((s) => s.kind === 'master_cylinder');
  const two = masters.length > 1;
  /** Of two cylinders the front one stands on the left, with what belongs to it. */
  const first = two && (slot.id === masters[0]?.id || layout.connections.some((c) => c.from === slot.id && c.to === masters[0]?.id));
  const middleX = bike ? 282 : first ? 154 : 226;
  if (slot.corner) {
    const w = WHEEL[slot.corner];
    switch (slot.kind) {
      case 'rotor':
      case 'drum':
        return { ...w, label: null, mark: { x: 0, y: 0 }, hit: { w: 76, h: 76 } };
      case 'caliper':
        return { x: w.x + 31 * w.dir, y: w.y, dir: w.dir, label: null, mark: { x: 0, y: 0 }, hit: { w: 26, h: 48 } };
      case 'wheel_cylinder': {
        const second = slot.name.endsWith('2');
        return {
          x: w.x,
          y: w.y + (second ? cylinderDrop : -cylinderDrop),
          dir: w.dir,
          label: null,
          mark: { x: 41 * w.dir, y: 0 },
          hit: { w: 30, h: 18 },
        };
      }
      case 'hose':
        return {
          x: w.x + 64 * w.dir,
          y: inletY(layout, slot.corner),
          dir: w.dir,
          label: null,
          mark: { x: 0, y: 16 },
          hit: { w: 40, h: 28 },
        };
      default:
        return null;
    }
  }
  const rearY = inletY(layout, 'RL');
  const frontY = inletY(layout, 'FL');
  const front =
    slot.circuits.length > 0 &&
    layout.connections.some((c) => (c.from === slot.id || c.to === slot.id) && reaches(layout, slot.id, 'front'));
  switch (slot.kind) {
    case 'master_cylinder':
      return two
        ? at(middleX, masterY, { label: slot.name, mark: { x: first ? -24 : 24, y: 0 } })
        : at(middleX, masterY, { label: 'Master cylinder', mark: { x: 24, y: tandem ? -6 : 0 } });
    case 'reservoir':
      return at(middleX, masterY - (tandem ? 42 : 36), { label: null, mark: { x: 20, y: 0 }, hit: { w: 30, h: 22 } });
    case 'servo':
      return at(226, masterY + 46, { label: 'Servo', mark: { x: 36, y: 0 }, hit: { w: 52, h: 34 } });
    case 'hand_lever':
      return at(middleX, two ? 206 : 200, { label: slot.name, mark: { x: first ? -20 : 20, y: 0 } });
    case 'balance_bar':
      return at(190, 200, { label: slot.name, mark: { x: -52, y: 0 }, hit: { w: 80, h: 26 } });
    case 'pedal':
      if (two) {
        const bar = layout.slots.some((s) => s.kind === 'balance_bar');
        return at(bar ? 190 : 226, bar ? 238 : 206, { label: slot.name, mark: { x: bar ? -24 : 24, y: 0 } });
      }
      if (bike) return at(middleX, 272, { label: slot.name, mark: { x: 24, y: 0 } });
      return at(226, servo ? masterY + 82 : layout.slots.some((s) => s.kind === 'master_cylinder') ? masterY + 62 : 166, {
        label: 'Pedal',
        mark: { x: 24, y: 0 },
      });
    case 'valve':
      return at(172, 206, { label: slot.name, mark: { x: -20, y: 0 }, hit: { w: 40, h: 36 } });
    case 'union':
      return front
        ? at(192, frontY - 26, { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } })
        : at(two ? 242 : 172, rearY, { mark: { x: 0, y: 16 }, hit: { w: 28, h: 24 } });
    case 'hose':
      return at(172, 248, { label: null, mark: { x: -18, y: 0 }, hit: { w: 30, h: 40 } });
    case 'parking_lever':
      return at(208, 272, { label: 'Lever', mark: { x: 2, y: 0 }, hit: { w: 28, h: 40 } });
    case 'equaliser':
      return layout.slots.some((s) => s.kind === 'master_cylinder')
        ? at(208, 346, { mark: { x: 0, y: 14 }, hit: { w: 30, h: 20 } })
        : at(192, 204, { label: slot.name, mark: { x: 24, y: -12 } });
    case 'clutch_master':
      return at(130, 150, { label: 'Clutch', mark: { x: 16, y: 0 }, hit: { w: 24, h: 34 } });
    case 'clutch_slave':
      return at(130, 214, { label: null, mark: { x: 18, y: 0 }, hit: { w: 26, h: 32 } });
    default:
      return null;
  }
}

/** Whether a slot's line reaches a wheel of an axle without passing the master cylinder. */
function reaches(layout: Layout, from: string, axle: 'front' | 'rear'): boolean {
  const seen = new Set([from]);
  const queue = [from];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    for (const c of layout.connections) {
      const next = c.from === at ? c.to : c.to === at ? c.from : null;
      const slot = layout.slots.find((s) => s.id === next);
      if (!slot || seen.has(slot.id) || slot.kind === 'master_cylinder') continue;
      if (axleOf(slot.corner) === axle) return true;
      seen.add(slot.id);
      queue.push(slot.id);
    }
  }
  return false;
}

/** Where a line leaves or enters a drawn part. */
function port(d: Drawn, other: Drawn, circuit: number | null, tandem: boolean): { x: number; y: number } {
  switch (d.slot.kind) {
    case 'master_cylinder':
      return { x: d.x + (other.x > d.x ? 8 : -8), y: d.y + (tandem ? (circuit === 1 ? -15 : 15) : reachesUp(other, d) ? -8 : 10) };
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
    case 'clutch_master':
      return { x: d.x, y: d.y + 12 };
    case 'clutch_slave':
      return { x: d.x, y: d.y - 10 };
    default:
      return { x: d.x, y: d.y };
  }
}
const reachesUp = (other: Drawn, d: Drawn): boolean => other.y < d.y;

function lineRoute(c: Connection, a: Drawn, b: Drawn, tandem: boolean): string {
  const p = port(a, b, c.circuit, tandem);
  const q = port(b, a, c.circuit, tandem);
  if (Math.abs(p.x - q.x) < 0.5 || Math.abs(p.y - q.y) < 0.5) return `M${p.x} ${p.y}L${q.x} ${q.y}`;
  if (a.slot.kind === 'wheel_cylinder' && b.slot.kind === 'wheel_cylinder') return `M${p.x} ${p.y}H${p.x + 30 * a.dir}V${q.y}H${q.x}`;
  // A rear wheel fed straight from a cylinder: down past its hose's inner end, clear of what stands in the middle.
  const straight = a.slot.kind === 'master_cylinder' && b.slot.kind === 'hose' && axleOf(b.slot.corner) === 'rear';
  if (straight) return `M${p.x} ${p.y}H${q.x + 12 * Math.sign(b.x - q.x)}V${q.y}`;
  const verticalFirst = a.slot.kind === 'hose' || a.slot.kind === 'valve' || a.slot.kind === 'clutch_master';
  return verticalFirst ? `M${p.x} ${p.y}V${q.y}H${q.x}` : `M${p.x} ${p.y}H${q.x}V${q.y}`;
}

function rodRoute(a: Drawn, b: Drawn): string {
  if (b.slot.corner) {
    const inner = b.x + (b.slot.kind === 'caliper' ? 4 : 22) * b.dir;
    const y = b.y + 26;
    if (a.slot.kind === 'equaliser' && Math.abs(a.y - b.y) < 70) return `M${a.x} ${a.y}H${inner + 34 * b.dir}L${inner} ${y}`;
    return `M${a.x + 10 * -b.dir} ${a.y}L${inner} ${b.y + (a.y > b.y ? 14 : -14)}`;
  }
  return `M${a.x} ${a.y}L${b.x} ${a.slot.kind === 'parking_lever' && b.slot.kind !== 'equaliser' ? a.y : b.y}`;
}

/** Lays a brake system out in plan view, front up, from its graph alone. Box 384 wide. */
export function planMap(layout: Layout): MapPlan {
  const drawn = layout.slots
    .filter((s) => DRAWN_KINDS.includes(s.kind))
    .flatMap((slot): Drawn[] => {
      const placed = place(layout, slot);
      return placed ? [{ slot, ...placed }] : [];
    });
  const byId = new Map(drawn.map((d) => [d.slot.id, d]));
  const tandem = layout.slots.some((s) => s.kind === 'master_cylinder' && s.style === 'tandem');
  const circuits = [...new Set(layout.connections.map((c) => c.circuit).filter((n): n is number => n !== null))].sort((x, y) => x - y);
  const strokeOf = (circuit: number | null): 1 | 2 | 3 => (circuit === 2 ? 2 : circuit === 9 || circuit === 3 ? 3 : 1);
  const routes = layout.connections.flatMap((c): Route[] => {
    const a = byId.get(c.from);
    const b = byId.get(c.to);
    if (!a || !b || c.kind === 'feed') return [];
    const d = c.kind === 'line' ? lineRoute(c, a, b, tandem) : rodRoute(a, b);
    return [{ id: c.id, kind: c.kind, stroke: strokeOf(c.circuit), d }];
  });
  return { height: 380, drawn, routes, circuits, mechanical: layout.connections.some((c) => c.kind === 'cable' || c.kind === 'rod') };
}
