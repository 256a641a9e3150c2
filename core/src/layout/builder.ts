import type { Connection, ConnectionKind, Slot } from './graph.ts';
import { type ComponentKind, type Corner, INBOARD_FLANGE } from './kinds.ts';

/** How one axle of a template is braked. */
export interface Axle {
  readonly unit: 'disc' | 'drum' | 'band';
  /** The brake sits at the final drive, the wheel at the other end of a shaft. */
  readonly inboard?: boolean;
  readonly circuit: number | null;
  readonly caliper?: 'fixed' | 'floating' | 'floating_parking';
  readonly pistons?: number;
  /** What spreads the shoes where no cylinder does; a cam if not said. */
  readonly expander?: 'cam' | 'wedge';
  readonly cylinders?: number;
  readonly pistonMm?: number;
  /** Shoes of a parking brake in a drum inside the rotor. */
  readonly parkingShoes?: boolean;
  /** Before the names, where a wheel has two of a thing. */
  readonly prefix?: 'Left ' | 'Right ';
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
    const named = (name: string): string => (axle.prefix ? axle.prefix + name.toLowerCase() : name);
    b.slot('rotor', named('Rotor'), { corner, style: axle.parkingShoes ? 'drum_in_disc' : null });
    inlet = b.slot('caliper', named('Caliper'), { corner, circuits, style: axle.caliper ?? 'fixed' });
    for (let n = 1; n <= (axle.pistons ?? 1); n += 1) {
      b.slot('piston', named(`Piston ${n}`), { corner, circuits, parentId: inlet.id, boreMm: axle.pistonMm ?? null });
    }
    b.slot('pads', named('Pads'), { corner });
    if (axle.parkingShoes) b.slot('parking_shoes', 'Parking shoes', { corner });
  } else if (axle.unit === 'band') {
    b.slot('band_drum', 'Band drum', { corner });
    b.slot('band', 'Band', { corner });
  } else {
    b.slot('drum', 'Drum', { corner });
    b.slot('shoes', 'Shoes', { corner });
    if (axle.cylinders === 0) {
      const style = axle.expander ?? 'cam';
      b.slot('expander', style === 'cam' ? 'Cam' : 'Wedge', { corner, style });
    }
    for (let n = 1; n <= (axle.cylinders ?? 1); n += 1) {
      const name = (axle.cylinders ?? 1) > 1 ? `Wheel cylinder ${n}` : 'Wheel cylinder';
      const cylinder = b.slot('wheel_cylinder', name, { corner, circuits, boreMm: axle.pistonMm ?? null });
      if (inlet) b.join(inlet, cylinder, 'line', axle.circuit, 220);
      inlet ??= cylinder;
    }
  }
  if (inlet) b.slot('bleeder', axle.prefix ? `${axle.prefix}bleeder` : 'Bleeder', { corner, circuits, parentId: inlet.id });
  if (axle.prefix !== 'Right ')
    b.slot('hub', axle.inboard ? 'Drive flange' : 'Hub', { corner, style: axle.inboard ? INBOARD_FLANGE : null });
  return inlet;
}
