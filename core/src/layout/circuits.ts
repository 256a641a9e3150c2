import { DomainError } from '../quantity/domainError.ts';
import { type MakeId, needSlot } from './edit.ts';
import { type Connection, type Layout, type Slot, childrenOf, pathFromMaster, placeName, slotById } from './graph.ts';
import { axleOf } from './kinds.ts';

/** Every slot that hangs on this one away from its cylinder, itself included: what would be cut off with it. */
function branchOf(layout: Layout, slotId: string): { readonly head: string; readonly ids: ReadonlySet<string> } {
  const path = pathFromMaster(layout, slotId);
  const masters = new Set(layout.slots.filter((s) => s.kind === 'master_cylinder' || s.kind === 'clutch_master').map((s) => s.id));
  const behind = (start: string, from: string | null): Set<string> => {
    const found = new Set([start]);
    const queue = [start];
    for (let at = queue.shift(); at !== undefined; at = queue.shift())
      for (const c of layout.connections) {
        if (c.kind !== 'line') continue;
        const next = c.from === at ? c.to : c.to === at ? c.from : null;
        if (next === null || next === from || masters.has(next) || found.has(next)) continue;
        found.add(next);
        queue.push(next);
      }
    for (const s of layout.slots) if (s.parentId !== null && found.has(s.parentId)) found.add(s.id);
    return found;
  };
  const wheels = (ids: ReadonlySet<string>): string =>
    [...new Set(layout.slots.filter((s) => ids.has(s.id) && s.corner !== null).map((s) => s.corner))].sort().join();
  let head = slotId;
  let ids = behind(slotId, path.at(-2) ?? null);
  for (let i = path.length - 2; i >= 1; i -= 1) {
    const up = path[i] ?? '';
    const wider = behind(up, path[i - 1] ?? null);
    // As far up as it still leads to the same wheels only.
    if (wheels(wider) !== wheels(ids)) break;
    head = up;
    ids = wider;
  }
  return { head, ids };
}

/**
 * Moves a component to another circuit, with everything that only it feeds and everything that only feeds it: its line
 * is taken off where the old circuit branches and joined to the new one, at a union of its axle where there is one,
 * else at the cylinder. A tandem cylinder with one circuit gets its second by it.
 * @throws DomainError code no_cylinder where nothing can press the new circuit; mechanical for what has no circuit
 */
export function moveToCircuit(layout: Layout, slotId: string, circuit: number, makeId: MakeId): Layout {
  const slot = needSlot(layout, slotId);
  if (slot.circuits.length === 0)
    throw new DomainError('mechanical', `The ${placeName(slot).toLowerCase()} has no fluid, so it has no circuit.`);
  if (slot.kind === 'master_cylinder' || slot.kind === 'clutch_master' || slot.kind === 'reservoir')
    throw new DomainError('is_cylinder', 'A cylinder is not moved to a circuit: say which circuits it feeds.');
  if (slot.circuits.includes(circuit)) return layout;
  const path = pathFromMaster(layout, slot.parentId ?? slotId);
  if (path.length === 0) {
    // Nothing feeds it yet: it is only said to belong elsewhere.
    const own = new Set([slotId, ...childrenOf(layout, slotId).map((s) => s.id)]);
    return { ...layout, slots: layout.slots.map((s) => (own.has(s.id) && s.circuits.length > 0 ? { ...s, circuits: [circuit] } : s)) };
  }
  const { head, ids } = branchOf(layout, slot.parentId ?? slotId);
  const pressing = layout.slots.filter((s) => s.kind === 'master_cylinder');
  let target = pressing.find((s) => s.circuits.includes(circuit));
  let slots = layout.slots;
  if (!target) {
    const room = pressing.find((s) => s.style === 'tandem' && s.circuits.length < 2);
    if (!room)
      throw new DomainError(
        'no_cylinder',
        `No cylinder presses circuit ${circuit}. Make the cylinder a tandem one, or add a cylinder first.`,
      );
    const feeds = new Set([room.id, ...layout.connections.filter((c) => c.kind === 'feed' && c.to === room.id).map((c) => c.from)]);
    slots = slots.map((s) => (feeds.has(s.id) ? { ...s, circuits: [...s.circuits, circuit].sort((x, y) => x - y) } : s));
    target = slotById({ ...layout, slots }, room.id) ?? room;
  }
  const axle = axleOf(slot.corner);
  const feedsAxle = (u: Slot): boolean =>
    layout.connections.some((c) => {
      const other = slotById(layout, c.from === u.id ? c.to : c.to === u.id ? c.from : '');
      return c.kind === 'line' && other !== undefined && axleOf(other.corner) === axle && axle !== null;
    });
  const union = layout.slots.find((s) => s.kind === 'union' && s.circuits.includes(circuit) && !ids.has(s.id) && feedsAxle(s));
  const cut = path[path.indexOf(head) - 1];
  const old = layout.connections.find((c) => c.kind === 'line' && ((c.from === cut && c.to === head) || (c.to === cut && c.from === head)));
  const join: Connection = {
    id: makeId(),
    from: (union ?? target).id,
    to: head,
    kind: 'line',
    circuit,
    lengthMm: old?.lengthMm ?? null,
    boreMm: old?.boreMm ?? 3.2,
  };
  return {
    ...layout,
    slots: slots.map((s) => (ids.has(s.id) && s.circuits.length > 0 ? { ...s, circuits: [circuit] } : s)),
    connections: [
      ...layout.connections
        .filter((c) => c.id !== old?.id)
        .map((c) => (c.kind === 'line' && ids.has(c.from) && ids.has(c.to) ? { ...c, circuit } : c)),
      join,
    ],
  };
}
