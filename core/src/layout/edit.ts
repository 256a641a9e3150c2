import { DomainError } from '../quantity/domainError.ts';
import { type Axle, Builder, wheelUnit } from './builder.ts';
import { CLUTCH_CIRCUIT, type Connection, type ConnectionKind, type Layout, type Slot, childrenOf, placeName, slotById } from './graph.ts';
import { type ComponentKind, type Corner, isGripped, KIND_FACTS, STYLES, axleOf } from './kinds.ts';

/** Makes a fresh id; the core makes none itself. */
export type MakeId = () => string;

/** Fluid passes through these: taken out of a line, the line closes over them. */
const PASSES: readonly ComponentKind[] = ['hose', 'union', 'valve', 'switch'];
/** Most pistons of a caliper. */
export const MAX_PISTONS = 6;

/** The place of an id. @throws DomainError no_place */
export function needSlot(layout: Layout, id: string): Slot {
  const slot = slotById(layout, id);
  if (!slot) throw new DomainError('no_place', 'This place is not in the layout any more.');
  return slot;
}

/** A name that no other place of this corner has: the wanted one, or with the next number. */
function freeName(layout: Layout, wanted: string, corner: Corner | null, except?: string): string {
  const taken = new Set(layout.slots.filter((s) => s.id !== except).map(placeName));
  const full = (name: string): string => placeName({ name, corner } as Slot);
  if (!taken.has(full(wanted))) return wanted;
  for (let n = 2; ; n += 1) if (!taken.has(full(`${wanted} ${n}`))) return `${wanted} ${n}`;
}

/** Kinds that stand at a wheel, and those that stand in the middle of the vehicle. */
export const AT_WHEEL: readonly ComponentKind[] = [
  'rotor',
  'caliper',
  'pads',
  'drum',
  'band',
  'band_drum',
  'shoes',
  'wheel_cylinder',
  'hose',
  'hub',
  'expander',
  'parking_shoes',
];
export const IN_MIDDLE: readonly ComponentKind[] = [
  'pedal',
  'hand_lever',
  'foot_lever',
  'servo',
  'master_cylinder',
  'reservoir',
  'union',
  'valve',
  'switch',
  'hose',
  'balance_bar',
  'parking_lever',
  'equaliser',
  'cross_shaft',
  'clutch_master',
  'clutch_slave',
];

export interface NewComponent {
  readonly kind: ComponentKind;
  readonly corner: Corner | null;
  /** Circuit that it belongs to; null for mechanical parts. */
  readonly circuit: number | null;
}

/**
 * Adds a component. A caliper comes with a piston and a bleeder; a wheel cylinder with a bleeder where its drum has
 * none; what is pressed and what is fed still has to be connected.
 * @throws DomainError code at_wheel where the kind does not belong at the given place
 */
export function addComponent(layout: Layout, what: NewComponent, makeId: MakeId): Layout {
  const fits = what.corner === null ? IN_MIDDLE : AT_WHEEL;
  const kindName = KIND_FACTS[what.kind].name;
  if (!fits.includes(what.kind))
    throw new DomainError(
      'at_wheel',
      `${kindName} ${what.corner === null ? 'stands at a wheel: say at which' : 'does not stand at a wheel'}.`,
    );
  const b = new Builder(makeId);
  const clutch = what.kind === 'clutch_master' || what.kind === 'clutch_slave';
  const wet = KIND_FACTS[what.kind].hydraulic;
  const circuits = clutch ? [CLUTCH_CIRCUIT] : wet && what.circuit !== null ? [what.circuit] : [];
  const main = b.slot(what.kind, freeName(layout, kindName, what.corner), {
    corner: what.corner,
    circuits,
    style: STYLES[what.kind]?.[0]?.id ?? null,
  });
  const child = (kind: ComponentKind, name: string): Slot =>
    b.slot(kind, freeName({ ...layout, slots: [...layout.slots, ...b.slots] }, name, what.corner), {
      corner: what.corner,
      circuits,
      parentId: main.id,
    });
  if (what.kind === 'caliper') child('piston', 'Piston 1');
  const bled = layout.slots.some((s) => s.kind === 'bleeder' && s.corner === what.corner && what.corner !== null);
  if (what.kind === 'caliper' || what.kind === 'clutch_slave' || (what.kind === 'wheel_cylinder' && !bled))
    child('bleeder', clutch ? 'Clutch bleeder' : 'Bleeder');
  return { ...layout, slots: [...layout.slots, ...b.slots] };
}

/**
 * Adds a whole wheel with its brake; its line still has to be connected.
 * @throws DomainError code wheel_there where the corner has a brake already, or where one wheel and two would share an axle
 */
export function addWheel(layout: Layout, corner: Corner, axle: Axle, makeId: MakeId): Layout {
  if (layout.slots.some((s) => s.corner === corner && isGripped(s.kind)))
    throw new DomainError('wheel_there', 'There is a brake at this wheel already. Take it out first, or change it.');
  const alone = corner.length === 1;
  if (layout.slots.some((s) => axleOf(s.corner) === axleOf(corner) && (s.corner?.length === 1) !== alone))
    throw new DomainError('wheel_there', 'This axle has one wheel or two, not both.');
  const b = new Builder(makeId);
  wheelUnit(b, corner, axle);
  return { ...layout, slots: [...layout.slots, ...b.slots], connections: [...layout.connections, ...b.connections] };
}

/** Takes a wheel's whole brake out. */
export function removeWheel(layout: Layout, corner: Corner): Layout {
  const removed = new Set(layout.slots.filter((s) => s.corner === corner).map((s) => s.id));
  return {
    ...layout,
    slots: layout.slots.filter((s) => !removed.has(s.id)),
    connections: layout.connections.filter((c) => !removed.has(c.from) && !removed.has(c.to)),
  };
}

/** Takes a component out with what sits in it. A line closes over a hose, union, valve or switch that stood in it. */
export function removeComponent(layout: Layout, slotId: string, makeId: MakeId): Layout {
  const slot = needSlot(layout, slotId);
  const removed = new Set([slotId, ...childrenOf(layout, slotId).map((s) => s.id)]);
  const mine = layout.connections.filter((c) => c.from === slotId || c.to === slotId);
  const lines = mine.filter((c) => c.kind === 'line');
  const remaining = layout.connections.filter((c) => !removed.has(c.from) && !removed.has(c.to));
  const [a, b] = lines;
  const far = (c: Connection): string => (c.from === slotId ? c.to : c.from);
  const closes = PASSES.includes(slot.kind) && lines.length === 2 && a && b && far(a) !== far(b);
  const over: Connection[] = closes
    ? [
        {
          id: makeId(),
          from: far(a),
          to: far(b),
          kind: 'line',
          circuit: a.circuit,
          lengthMm: a.lengthMm === null && b.lengthMm === null ? null : (a.lengthMm ?? 0) + (b.lengthMm ?? 0),
          boreMm: a.boreMm,
        },
      ]
    : [];
  return { ...layout, slots: layout.slots.filter((s) => !removed.has(s.id)), connections: [...remaining, ...over] };
}

/** Puts a union, valve, switch or hose into a line; the line's length is halved between its two ends. */
export function insertInLine(layout: Layout, connectionId: string, kind: ComponentKind, makeId: MakeId): Layout {
  const line = layout.connections.find((c) => c.id === connectionId);
  if (line?.kind !== 'line') throw new DomainError('no_line', 'Pick a line of the layout: something is put into it there.');
  if (!PASSES.includes(kind) && kind !== 'servo')
    throw new DomainError('not_in_line', `${KIND_FACTS[kind].name} does not stand in a line.`);
  const circuits = line.circuit === null ? [] : [line.circuit];
  const b = new Builder(makeId);
  const ends = [slotById(layout, line.from), slotById(layout, line.to)];
  const corner = kind === 'hose' ? (ends.find((s) => s?.corner)?.corner ?? null) : null;
  const slot = b.slot(kind, freeName(layout, KIND_FACTS[kind].name, corner), {
    corner,
    circuits,
    style: kind === 'servo' ? 'remote' : (STYLES[kind]?.[0]?.id ?? null),
  });
  const half = line.lengthMm === null ? null : line.lengthMm / 2;
  b.join({ id: line.from } as Slot, slot, 'line', line.circuit, half);
  b.join(slot, { id: line.to } as Slot, 'line', line.circuit, half);
  const bored = b.connections.map((c) => ({ ...c, boreMm: line.boreMm }));
  return {
    ...layout,
    slots: [...layout.slots, slot],
    connections: layout.connections.flatMap((c) => (c.id === connectionId ? bored : [c])),
  };
}

/**
 * Connects two places. A line takes the circuit that both have; a place without any line yet takes the other's.
 * @throws DomainError code same_place, connected, or other_circuit
 */
export function connect(layout: Layout, from: string, to: string, kind: ConnectionKind, makeId: MakeId): Layout {
  const [a, b] = [needSlot(layout, from), needSlot(layout, to)];
  if (from === to) throw new DomainError('same_place', 'A connection joins two places.');
  if (layout.connections.some((c) => c.kind === kind && ((c.from === from && c.to === to) || (c.from === to && c.to === from))))
    throw new DomainError('already_connected', `These two are joined by a ${kind} already.`);
  if (kind !== 'line') {
    const joined: Connection = { id: makeId(), from, to, kind, circuit: null, lengthMm: null, boreMm: null };
    return { ...layout, connections: [...layout.connections, joined] };
  }
  const lonely = (s: Slot): boolean => !layout.connections.some((c) => c.kind === 'line' && (c.from === s.id || c.to === s.id));
  let circuit = a.circuits.find((n) => b.circuits.includes(n)) ?? null;
  let slots = layout.slots;
  if (circuit === null) {
    const [taker, giver] =
      lonely(b) && b.kind !== 'master_cylinder' ? [b, a] : lonely(a) && a.kind !== 'master_cylinder' ? [a, b] : [null, a];
    circuit = taker ? (giver.circuits[0] ?? null) : null;
    if (taker === null || circuit === null)
      throw new DomainError(
        'other_circuit',
        `The ${placeName(a).toLowerCase()} and the ${placeName(b).toLowerCase()} are of different circuits. Move one of them to the other’s circuit.`,
      );
    const own = new Set([taker.id, ...childrenOf(layout, taker.id).map((s) => s.id)]);
    const taken = circuit;
    slots = slots.map((s) => (own.has(s.id) && (KIND_FACTS[s.kind].hydraulic || s.id === taker.id) ? { ...s, circuits: [taken] } : s));
  }
  const line: Connection = { id: makeId(), from, to, kind, circuit, lengthMm: null, boreMm: 3.2 };
  return { ...layout, slots, connections: [...layout.connections, line] };
}

export function disconnect(layout: Layout, connectionId: string): Layout {
  return { ...layout, connections: layout.connections.filter((c) => c.id !== connectionId) };
}

/** What may be said of a component: mm for bores, piston diameters and lengths. */
export type ComponentChange = Partial<Pick<Slot, 'name' | 'style' | 'boreMm' | 'lengthMm' | 'circuits'>>;

/**
 * Says more of a component. @throws DomainError code no_name for an empty name, not_positive for a length of nothing
 */
export function changeComponent(layout: Layout, slotId: string, change: ComponentChange): Layout {
  const slot = needSlot(layout, slotId);
  if (change.name?.trim() === '') throw new DomainError('no_name', 'A place needs a name.');
  for (const figure of [change.boreMm, change.lengthMm])
    if (figure !== undefined && figure !== null && !(figure > 0))
      throw new DomainError('not_positive', 'A bore or length is more than nothing.');
  const name = change.name === undefined ? slot.name : freeName(layout, change.name.trim(), slot.corner, slotId);
  return { ...layout, slots: layout.slots.map((s) => (s.id === slotId ? { ...s, ...change, name } : s)) };
}

/** Says length (mm) and bore (mm) of a line. @throws DomainError code not_positive */
export function changeConnection(layout: Layout, connectionId: string, change: Partial<Pick<Connection, 'lengthMm' | 'boreMm'>>): Layout {
  for (const figure of [change.boreMm, change.lengthMm])
    if (figure !== undefined && figure !== null && !(figure > 0))
      throw new DomainError('not_positive', 'A bore or length is more than nothing.');
  return { ...layout, connections: layout.connections.map((c) => (c.id === connectionId ? { ...c, ...change } : c)) };
}

/**
 * Gives a caliper its pistons; those that stay keep their places.
 * @param boreMm diameter of all of them, mm; null where it is not known
 * @throws DomainError code pistons outside one to six
 */
export function setPistons(layout: Layout, caliperId: string, count: number, boreMm: number | null, makeId: MakeId): Layout {
  const caliper = needSlot(layout, caliperId);
  if (!Number.isInteger(count) || count < 1 || count > MAX_PISTONS)
    throw new DomainError('piston_count', `A caliper has one to ${MAX_PISTONS} pistons.`);
  const has = childrenOf(layout, caliperId).filter((s) => s.kind === 'piston');
  const removed = new Set(has.slice(count).map((s) => s.id));
  const remaining = layout.slots.filter((s) => !removed.has(s.id)).map((s) => (has.some((h) => h.id === s.id) ? { ...s, boreMm } : s));
  let next: Layout = { ...layout, slots: remaining };
  for (let n = has.length; n < count; n += 1) {
    const b = new Builder(makeId);
    const prefix = /^(Left|Right) /.exec(caliper.name)?.[0] ?? '';
    const name = freeName(next, prefix === '' ? `Piston ${n + 1}` : `${prefix}piston ${n + 1}`, caliper.corner);
    b.slot('piston', name, { corner: caliper.corner, circuits: caliper.circuits, parentId: caliperId, boreMm });
    next = { ...next, slots: [...next.slots, ...b.slots] };
  }
  return next;
}
