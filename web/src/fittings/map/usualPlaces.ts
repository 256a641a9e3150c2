import { type Axle, axleOf, type Corner, cornersOf, type Layout, pathFromMaster, type Slot } from '@dauer/core/layout';

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
export type Place = Omit<Drawn, 'slot'>;

/** Width of the drawing, and where its units come from. */
export const WIDTH = 384;
/** Where the wheel name stands above each wheel. */
export const WHEELS: Readonly<Record<Corner, { x: number; y: number; dir: 1 | -1 }>> = {
  FL: { x: 60, y: 82, dir: 1 },
  FR: { x: 324, y: 82, dir: -1 },
  ML: { x: 60, y: 196, dir: 1 },
  MR: { x: 324, y: 196, dir: -1 },
  RL: { x: 60, y: 304, dir: 1 },
  RR: { x: 324, y: 304, dir: -1 },
  F: { x: 192, y: 82, dir: 1 },
  R: { x: 192, y: 304, dir: 1 },
  S: { x: 324, y: 326, dir: -1 },
};

/** Which of two a place is, by its name; 0 where it is the only one. */
export const sideOf = (slot: Slot): -1 | 0 | 1 => (slot.name.startsWith('Left ') ? -1 : slot.name.startsWith('Right ') ? 1 : 0);

/** One wheel before the other: no body is drawn round them. */
export function isInLine(layout: Layout): boolean {
  const corners = cornersOf(layout);
  return corners.includes('F') && corners.every((c) => c.length === 1);
}

const cylinderDrop = 24;

/** The axles that a slot's lines lead to, away from its cylinder. */
function leadsTo(layout: Layout, from: string): Set<Axle> {
  const found = new Set<Axle>();
  const before = pathFromMaster(layout, from).at(-2);
  const seen = new Set([from, ...(before ? [before] : [])]);
  const queue = [from];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    for (const c of layout.connections) {
      const next = c.kind !== 'line' ? null : c.from === at ? c.to : c.to === at ? c.from : null;
      const slot = layout.slots.find((s) => s.id === next);
      if (!slot || seen.has(slot.id)) continue;
      const axle = axleOf(slot.corner);
      if (axle) found.add(axle);
      seen.add(slot.id);
      queue.push(slot.id);
    }
  }
  return found;
}

/** What the places hang on, worked out once for a layout. */
export class Setting {
  readonly layout: Layout;
  readonly bike: boolean;
  readonly tandem: boolean;
  readonly servo: boolean;
  readonly masters: readonly Slot[];
  readonly two: boolean;
  readonly bar: boolean;
  readonly masterY: number;
  /** Lines cross to the rear drums at the height of the lever. */
  readonly hosesBehind: boolean;
  constructor(layout: Layout) {
    this.layout = layout;
    this.bike = isInLine(layout);
    this.tandem = layout.slots.some((s) => s.kind === 'master_cylinder' && s.style === 'tandem');
    this.servo = layout.slots.some((s) => s.kind === 'servo' && s.style !== 'remote');
    this.masters = layout.slots.filter((s) => s.kind === 'master_cylinder');
    this.two = this.masters.length > 1;
    this.bar = layout.slots.some((s) => s.kind === 'balance_bar');
    this.masterY = this.bike ? (this.two ? 176 : 140) : 150;
    this.hosesBehind = layout.slots.some((s) => s.kind === 'hose' && axleOf(s.corner) === 'rear') && this.inletY('RL') < WHEELS.RL.y;
  }

  /** Of two cylinders the front one stands on one side, with what belongs to it. */
  first(slot: Slot): boolean {
    const [one] = this.masters;
    return (
      slot.id === one?.id ||
      this.layout.connections.some((c) => (c.from === slot.id && c.to === one?.id) || (c.to === slot.id && c.from === one?.id))
    );
  }

  inletY(corner: Corner): number {
    const drum = this.layout.slots.some((s) => (s.kind === 'drum' || s.kind === 'band_drum') && s.corner === corner);
    return WHEELS[corner].y - (drum ? cylinderDrop : 0);
  }

  /** Which of its kind at its corner a slot is, from 0. */
  rank(slot: Slot): number {
    return this.layout.slots.filter((s) => s.kind === slot.kind && s.corner === slot.corner).findIndex((s) => s.id === slot.id);
  }
}

export function atWheel(s: Setting, slot: Slot, corner: Corner): Place | null {
  const side = sideOf(slot);
  const w = { ...WHEELS[corner] };
  const double = side !== 0 && corner.length === 1;
  if (double) {
    w.x += 92 * side;
    w.dir = side === -1 ? 1 : -1;
  } else if (corner === 'R' && s.bike && s.two) w.dir = -1;
  const rank = s.rank(slot);
  switch (slot.kind) {
    case 'rotor':
    case 'drum':
    case 'band_drum':
      return { ...w, label: null, mark: { x: 0, y: 0 }, hit: { w: 76, h: 76 } };
    case 'caliper': {
      // A second caliper of one rotor grips it from the other side.
      const dir = double || rank === 0 ? w.dir : w.dir === 1 ? -1 : 1;
      return { x: w.x + 31 * dir, y: w.y, dir, label: null, mark: { x: 0, y: 0 }, hit: { w: 26, h: 48 } };
    }
    case 'wheel_cylinder':
      return {
        x: w.x,
        y: w.y + (rank === 0 ? -cylinderDrop : cylinderDrop),
        dir: w.dir,
        label: null,
        mark: { x: 41 * w.dir, y: 0 },
        hit: { w: 30, h: 18 },
      };
    case 'hose':
      return { x: w.x + 64 * w.dir, y: s.inletY(corner), dir: w.dir, label: null, mark: { x: 0, y: 16 }, hit: { w: 40, h: 28 } };
    default:
      return null;
  }
}

const at = (x: number, y: number, more: Partial<Omit<Place, 'x' | 'y'>> = {}): Place => ({
  x,
  y,
  dir: 1,
  label: null,
  mark: { x: 22, y: 0 },
  hit: { w: 44, h: 36 },
  ...more,
});

/** Where things of the middle stand, for a driver on the right. */
export function inMiddle(s: Setting, slot: Slot): Place | null {
  const first = s.two && s.first(slot);
  const left = s.two && (s.bike ? !first : first);
  const middleX = s.bike ? (left ? 102 : 282) : s.two ? (first ? 154 : 226) : 226;
  const y = s.bike && left ? 216 : s.masterY;
  const outward = left ? -1 : 1;
  switch (slot.kind) {
    case 'master_cylinder':
      return at(middleX, y, { label: s.two ? slot.name : 'Master cylinder', mark: { x: 24 * outward, y: s.tandem ? -6 : 0 } });
    case 'reservoir': {
      const feeds = s.layout.connections.filter((c) => c.kind === 'feed' && c.from === slot.id);
      const shared = feeds.length > 1;
      return at(shared ? 190 : middleX, y - (s.tandem ? 42 : 36), { mark: { x: 20, y: 0 }, hit: { w: 30, h: 22 } });
    }
    case 'servo':
      return slot.style === 'remote'
        ? at(172, 194, { mark: { x: -36, y: 0 }, hit: { w: 52, h: 34 } })
        : at(226, s.masterY + 46, { label: 'Servo', mark: { x: 36, y: 0 }, hit: { w: 52, h: 34 } });
    case 'hand_lever':
    case 'foot_lever':
      if (slot.kind === 'foot_lever' && s.bike && !s.two) return at(middleX, 272, { label: slot.name, mark: { x: 24, y: 0 } });
      return at(middleX, s.bike ? y + 60 : s.two ? 206 : 200, { label: slot.name, mark: { x: (left ? -20 : 20) + 4 * outward, y: 0 } });
    case 'balance_bar':
      return at(190, 200, { label: slot.name, mark: { x: -52, y: 0 }, hit: { w: 80, h: 26 } });
    case 'pedal': {
      if (s.two) return at(s.bar ? 190 : middleX, s.bar ? 238 : 206, { label: slot.name, mark: { x: s.bar ? -24 : 24, y: 0 } });
      if (s.bike) return at(middleX, 272, { label: slot.name, mark: { x: 24, y: 0 } });
      const below = s.servo ? s.masterY + 82 : s.masters.length > 0 ? s.masterY + 62 : 138;
      return at(s.masters.length > 0 ? 226 : 192, below, { label: 'Pedal', mark: { x: 24, y: 0 } });
    }
    case 'valve':
      return at(172, 206, { label: slot.name, mark: { x: -20, y: 0 }, hit: { w: 40, h: 36 } });
    case 'switch':
      return at(262, slot.circuits.length > 0 ? 150 : 232, { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } });
    case 'union': {
      if (s.bike) return at(192, 130, { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } });
      const axles = leadsTo(s.layout, slot.id);
      if (axles.has('middle')) return at(172, s.inletY('ML'), { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } });
      if (axles.size === 2) return at(172, 180, { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } });
      return axles.has('front')
        ? at(192, s.inletY('FL') - 26, { mark: { x: 0, y: -14 }, hit: { w: 28, h: 24 } })
        : at(s.two ? 242 : 172, s.inletY('RL'), { mark: { x: 0, y: 16 }, hit: { w: 28, h: 24 } });
    }
    case 'hose':
      return at(172, 248, { mark: { x: -18, y: 0 }, hit: { w: 30, h: 40 } });
    case 'parking_lever':
      if (s.hosesBehind) return at(208, 314, { label: 'Lever', mark: { x: 2, y: 0 }, hit: { w: 28, h: 36 } });
      return at(208, 272, { label: 'Lever', mark: { x: 2, y: 0 }, hit: { w: 28, h: 40 } });
    case 'equaliser':
      return s.masters.length > 0
        ? at(208, 346, { mark: { x: 0, y: 14 }, hit: { w: 30, h: 20 } })
        : at(192, 204, { label: slot.name, mark: { x: 24, y: -12 } });
    case 'cross_shaft':
      return at(192, 204, { label: slot.name, mark: { x: 24, y: -12 } });
    // On the propeller shaft.
    case 'drum':
    case 'rotor':
    case 'band_drum':
      return at(192, 350, { label: slot.name, mark: { x: 40, y: 0 }, hit: { w: 76, h: 76 } });
    case 'clutch_master':
      return at(130, 150, { label: 'Clutch', mark: { x: 16, y: 0 }, hit: { w: 24, h: 34 } });
    case 'clutch_slave':
      return at(130, 214, { mark: { x: 18, y: 0 }, hit: { w: 26, h: 32 } });
    default:
      return null;
  }
}
