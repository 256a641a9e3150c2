import { type Connection, type ConnectionKind, type Layout, type Slot, placeName, slotById } from './graph.ts';
import { type ComponentKind, KIND_FACTS } from './kinds.ts';

/** Connections that are an article of their own, which is looked at, decided upon and renewed. */
const RUNS: Readonly<Partial<Record<ConnectionKind, { readonly kind: ComponentKind; readonly name: string }>>> = {
  line: { kind: 'line', name: 'Line' },
  cable: { kind: 'cable', name: 'Cable' },
  rod: { kind: 'rod', name: 'Rod' },
};

/** Kinds of place that a connection is. */
export const RUN_KINDS: readonly ComponentKind[] = ['line', 'cable', 'rod'];

/** What a hand or foot moves, and what passes that on: there from the first, and touched only where something is done about it. */
export const LEVER_KINDS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever', 'parking_lever', 'equaliser', 'cross_shaft'];

/**
 * Kinds that are there with the vehicle, without anybody having written them down: no word is said of them until something is
 * found, touched or renewed. Their first part is known by the id of its place.
 * Source: handbook 15, Things: a part exists from the first thing said about it.
 */
export const ASSUMED_THERE: readonly ComponentKind[] = [...RUN_KINDS, ...LEVER_KINDS];

/** Whether what belongs to a place can be taken off it and another be put there. */
export function canBeOff(kind: ComponentKind): boolean {
  return KIND_FACTS[kind].article || ASSUMED_THERE.includes(kind);
}

function placeOf(layout: Layout, c: Connection): Slot[] {
  const run = RUNS[c.kind];
  const from = slotById(layout, c.from);
  const to = slotById(layout, c.to);
  if (!run || !from || !to) return [];
  // One that stays at a wheel, a bridge pipe mostly, belongs to it.
  const corner = from.corner === to.corner ? from.corner : null;
  const end = (s: Slot): string => (corner === null ? placeName(s) : s.name).toLowerCase();
  return [
    {
      id: c.id,
      kind: run.kind,
      name: `${run.name}, ${end(from)} to ${end(to)}`,
      corner,
      circuits: c.kind === 'line' && c.circuit !== null ? [c.circuit] : [],
      ...{ parentId: null, boreMm: c.boreMm, lengthMm: c.lengthMm, style: null },
    },
  ];
}

const known = new WeakMap<Layout, Layout>();

/** A layout in which every line, cable and rod is a place too, under the id of its connection. The same one for the same layout. */
export function withRuns(layout: Layout): Layout {
  const before = known.get(layout);
  if (before) return before;
  const missing = layout.connections.filter((c) => slotById(layout, c.id) === undefined);
  const whole = missing.length === 0 ? layout : { ...layout, slots: [...layout.slots, ...missing.flatMap((c) => placeOf(layout, c))] };
  known.set(layout, whole);
  known.set(whole, whole);
  return whole;
}

/** The connection that a place is; nothing where it is none. */
export function connectionAt(layout: Layout, slotId: string): Connection | undefined {
  return layout.connections.find((c) => c.id === slotId);
}
