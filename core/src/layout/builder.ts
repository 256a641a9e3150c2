import type { Connection, ConnectionKind, Slot } from './graph.ts';
import type { ComponentKind, Corner } from './kinds.ts';

/** How one axle of a template is braked. */
export interface Axle {
  readonly unit: 'disc' | 'drum';
  readonly circuit: number | null;
  readonly caliper?: 'fixed' | 'floating';
  readonly pistons?: number;
  readonly cylinders?: number;
  readonly pistonMm?: number;
  /** One hose for the whole axle, or one at each wheel. */
  readonly hoses: 'axle' | 'wheel';
}

/** Gathers the places and connections of a layout that is being built. */
export class Builder {
  readonly slots: Slot[] = [];
  readonly connections: Connection[] = [];
  private readonly makeId: () => string;
  constructor(makeId: () => string) {
    this.makeId = makeId;
  }
  slot(kind: ComponentKind, name: string, more: Partial<Omit<Slot, 'id' | 'kind' | 'name'>> = {}): Slot {
    const slot: Slot = {
      id: this.makeId(),
      kind,
      name,
      corner: null,
      circuits: [],
      parentId: null,
      boreMm: null,
      lengthMm: null,
      style: null,
      ...more,
    };
    this.slots.push(slot);
    return slot;
  }
  join(from: Slot, to: Slot, kind: ConnectionKind, circuit: number | null = null, lengthMm: number | null = null): void {
    this.connections.push({ id: this.makeId(), from: from.id, to: to.id, kind, circuit, lengthMm, boreMm: kind === 'line' ? 3.2 : null });
  }
}

/** One wheel's brake: disc or drum, with what belongs to it. Returns where its fluid enters; null where it takes none. */
export function wheelUnit(b: Builder, corner: Corner, axle: Axle): Slot | null {
  const circuits = axle.circuit === null ? [] : [axle.circuit];
  let inlet: Slot | null = null;
  if (axle.unit === 'disc') {
    b.slot('rotor', 'Rotor', { corner });
    inlet = b.slot('caliper', 'Caliper', { corner, circuits, style: axle.caliper ?? 'fixed' });
    for (let n = 1; n <= (axle.pistons ?? 1); n += 1) {
      b.slot('piston', `Piston ${n}`, { corner, circuits, parentId: inlet.id, boreMm: axle.pistonMm ?? null });
    }
    b.slot('pads', 'Pads', { corner });
  } else {
    b.slot('drum', 'Drum', { corner });
    b.slot('shoes', 'Shoes', { corner });
    for (let n = 1; n <= (axle.cylinders ?? 1); n += 1) {
      const name = (axle.cylinders ?? 1) > 1 ? `Wheel cylinder ${n}` : 'Wheel cylinder';
      const cylinder = b.slot('wheel_cylinder', name, { corner, circuits, boreMm: axle.pistonMm ?? null });
      if (inlet) b.join(inlet, cylinder, 'line', axle.circuit, 220);
      inlet ??= cylinder;
    }
  }
  if (inlet) b.slot('bleeder', 'Bleeder', { corner, circuits, parentId: inlet.id });
  b.slot('hub', 'Hub', { corner });
  return inlet;
}
