import { type ComponentKind, isGripped, KIND_FACTS } from './kinds.ts';
import { CLUTCH_CIRCUIT, type ConnectionKind, type Layout, type Slot, placeName } from './graph.ts';

/** Something a hand or foot presses: a control, with everything that moves when it does. */
export interface Control {
  /** The slot of the pedal or lever; of the clutch its master cylinder. */
  readonly slotId: string;
  readonly name: string;
  readonly kind: 'pedal' | 'parking' | 'clutch';
  /** Slot ids that pressing it reaches, wheel units whole. */
  readonly reach: ReadonlySet<string>;
}

/** What force or pressure passes through: the pedal's rods and lines, the parking lever's cables and rods. */
const CARRIES: Readonly<Record<Control['kind'], readonly ConnectionKind[]>> = {
  pedal: ['rod', 'line'],
  parking: ['cable', 'rod'],
  clutch: ['line'],
};

const ON_SHAFT: readonly ComponentKind[] = ['drum', 'rotor', 'band_drum', 'shoes', 'pads', 'band', 'expander'];
const SHARES_OUT: readonly ComponentKind[] = ['equaliser', 'cross_shaft', 'balance_bar'];
const SENDS_ON: readonly ComponentKind[] = ['master_cylinder', 'hose', 'union', 'valve'];

function reachFrom(layout: Layout, from: Slot, carries: readonly ConnectionKind[]): Set<string> {
  const found = new Set([from.id]);
  const queue = [from.id];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    const kind = layout.slots.find((s) => s.id === at)?.kind;
    for (const c of layout.connections) {
      // A lever may pull a cable, also over what shares its pull out; never back out of a wheel by the cable of another.
      const pulls = c.kind === 'cable' && (at === from.id || (kind !== undefined && SHARES_OUT.includes(kind)));
      // A cylinder that the linkage presses sends fluid on, through what stands in its lines.
      if (!carries.includes(c.kind) && !pulls && !(c.kind === 'line' && kind !== undefined && SENDS_ON.includes(kind))) continue;
      const next = c.from === at ? c.to : c.to === at ? c.from : null;
      if (next !== null && !found.has(next)) {
        found.add(next);
        queue.push(next);
      }
    }
  }
  // The lines, cables and rods between what it reaches, where they are places of their own.
  for (const c of layout.connections) if (c.kind !== 'feed' && found.has(c.from) && found.has(c.to)) found.add(c.id);
  // A wheel unit moves as one: whatever is missing at the corner lets its pistons or shoes go too far.
  const corners = new Set(layout.slots.filter((s) => found.has(s.id) && s.corner !== null).map((s) => s.corner));
  // So does a brake on the propeller shaft, which sits at no wheel.
  const shaft = layout.slots.some((s) => found.has(s.id) && s.corner === null && isGripped(s.kind));
  if (shaft) for (const s of layout.slots) if (s.corner === null && ON_SHAFT.includes(s.kind)) found.add(s.id);
  for (const s of layout.slots) {
    const inUnit = s.corner !== null && corners.has(s.corner);
    if (inUnit || (s.parentId !== null && found.has(s.parentId))) found.add(s.id);
  }
  return found;
}

/** What is worked out of a layout, once of each, since a layout is only ever replaced. */
function onceALayout<T>(of: (layout: Layout) => readonly T[]): (layout: Layout) => readonly T[] {
  const known = new WeakMap<Layout, readonly T[]>();
  return (layout) => {
    const now = known.get(layout) ?? of(layout);
    known.set(layout, now);
    return now;
  };
}

const controlsOnce = onceALayout(workedOut);

function workedOut(layout: Layout): readonly Control[] {
  return layout.slots.flatMap((slot): Control[] => {
    const kind =
      slot.kind === 'pedal' || slot.kind === 'hand_lever' || slot.kind === 'foot_lever'
        ? 'pedal'
        : slot.kind === 'parking_lever'
          ? 'parking'
          : slot.kind === 'clutch_master' && slot.circuits.includes(CLUTCH_CIRCUIT)
            ? 'clutch'
            : null;
    if (kind === null) return [];
    const name = kind === 'clutch' ? 'Clutch pedal' : kind === 'parking' ? 'Parking lever' : placeName(slot);
    return [{ slotId: slot.id, name, kind, reach: reachFrom(layout, slot, CARRIES[kind]) }];
  });
}

/**
 * The controls of a layout, each with what it reaches: through both chambers of a tandem cylinder, over the parking
 * linkage, never over a reservoir's feed.
 * Source: handbook 05, One open corner makes the whole vehicle's pedal dangerous.
 */
export function controlsOf(layout: Layout): readonly Control[] {
  return controlsOnce(layout);
}

/** The pedals and levers of the brakes: what is pressed to stop. */
export function pedalsOf(layout: Layout): Control[] {
  return controlsOf(layout).filter((c) => c.kind === 'pedal');
}

/** A reservoir, with everything that its fluid stands in. */
export interface Reservoir {
  /** The slot of the reservoir; of a clutch whose own is not drawn, its cylinder. */
  readonly slotId: string;
  readonly name: string;
  readonly circuits: readonly number[];
  readonly reach: ReadonlySet<string>;
  /** It is the only one on the map: what is said of the reservoir, and of none by name, is said of this one. */
  readonly plain: boolean;
}

const reservoirsOnce = onceALayout(reservoirsWorkedOut);

function reservoirsWorkedOut(layout: Layout): Reservoir[] {
  const feeds = layout.connections.filter((c) => c.kind === 'feed');
  const drawn = layout.slots.filter((s) => s.kind === 'reservoir');
  // A clutch that no reservoir on the map feeds has its own.
  const own = layout.slots.filter((s) => s.kind === 'clutch_master' && !feeds.some((c) => c.to === s.id));
  return [...drawn, ...own].map((slot): Reservoir => {
    const fed = slot.kind === 'reservoir' ? layout.slots.filter((s) => feeds.some((c) => c.from === slot.id && c.to === s.id)) : [slot];
    const found = new Set(fed.flatMap((s) => [...reachFrom(layout, s, ['line'])]));
    // Of a cylinder with two reservoirs each feeds its own circuit.
    const circuits = [...new Set([...slot.circuits, ...fed.flatMap((s) => (s.kind === 'clutch_master' ? s.circuits : []))])];
    const other = layout.slots.filter((s) => s.circuits.length > 0 && !s.circuits.some((c) => circuits.includes(c))).map((s) => s.id);
    const reach = new Set([slot.id, ...found].filter((id) => circuits.length === 0 || !other.includes(id)));
    const drawnAs = placeName(slot);
    // Beside that of the clutch, the one without a name of its own is that of the brakes.
    const name =
      slot.kind !== 'reservoir'
        ? 'Clutch reservoir'
        : drawnAs === KIND_FACTS.reservoir.name && own.length > 0
          ? 'Brake reservoir'
          : drawnAs;
    return {
      slotId: slot.id,
      name,
      circuits,
      reach,
      plain: slot.kind === 'reservoir' ? drawn.length === 1 : own.length === 1 && drawn.length === 0,
    };
  });
}

/**
 * The reservoirs of a layout, each with what it feeds.
 * Source: handbook 35, What is asked: what is seen in a reservoir belongs to that reservoir; the clutch has its own.
 */
export function reservoirsOf(layout: Layout): readonly Reservoir[] {
  return reservoirsOnce(layout);
}

/** Controls that are fed from the same reservoir as this one: pressure or a leak there concerns them too. */
export function sharesReservoir(layout: Layout, control: Control, others: readonly Control[]): Control[] {
  const feeds = layout.connections.filter((c) => c.kind === 'feed');
  const tanks = new Set(feeds.filter((c) => control.reach.has(c.to)).map((c) => c.from));
  return others.filter((o) => o.slotId !== control.slotId && feeds.some((c) => tanks.has(c.from) && o.reach.has(c.to)));
}
