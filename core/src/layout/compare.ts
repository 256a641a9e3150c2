import { type Connection, type RemovedPlace, type Layout, placeName, type Slot, slotById } from './graph.ts';

/** The places and connections that a revision takes out, by the ids under which records name them. */
export function removedPlacesOf(before: Layout, after: Layout): RemovedPlace[] {
  const slots = new Set(after.slots.map((s) => s.id));
  const lines = new Set(after.connections.map((c) => c.id));
  const nameOf = (slotId: string): string => {
    const slot = slotById(before, slotId);
    return slot ? placeName(slot).toLowerCase() : '';
  };
  return [
    ...before.slots.filter((s) => !slots.has(s.id)).map((s) => ({ id: s.id, name: placeName(s), kind: s.kind })),
    ...before.connections
      .filter((c) => !lines.has(c.id))
      .map((c) => ({ id: c.id, name: `Connection of the ${nameOf(c.from)} and the ${nameOf(c.to)}`, kind: null })),
  ];
}

export interface LayoutDifference {
  readonly added: readonly Slot[];
  readonly removed: readonly Slot[];
  readonly changed: readonly Slot[];
  /** Connections that are new, gone, or of another length or bore. */
  readonly connections: number;
}

/** What a revision changes: places by their ids, which they keep across revisions. */
export function compareLayouts(before: Layout, after: Layout): LayoutDifference {
  const old = new Map(before.slots.map((s) => [s.id, s]));
  const now = new Map(after.slots.map((s) => [s.id, s]));
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const key = (s: Slot): unknown => [s.kind, s.name, s.corner, s.circuits, s.parentId, s.boreMm, s.lengthMm, s.style];
  const wire = (c: Connection): string => JSON.stringify([c.from, c.to, c.kind, c.circuit, c.lengthMm, c.boreMm]);
  const [were, are] = [new Set(before.connections.map(wire)), new Set(after.connections.map(wire))];
  return {
    added: after.slots.filter((s) => !old.has(s.id)),
    removed: before.slots.filter((s) => !now.has(s.id)),
    changed: after.slots.filter((s) => {
      const was = old.get(s.id);
      return was !== undefined && !same(key(was), key(s));
    }),
    connections: [...are].filter((w) => !were.has(w)).length + [...were].filter((w) => !are.has(w)).length,
  };
}
