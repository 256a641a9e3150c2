import { CLUTCH_CIRCUIT, type Connection, type Layout, type Slot, pathFromMaster, placeName } from './graph.ts';
import type { ComponentKind } from './kinds.ts';
import { isStandalone } from './standaloneUnits.ts';

export type LayoutIssueCode =
  | 'unreached'
  | 'dangling'
  | 'no_cylinder'
  | 'open_end'
  | 'not_pressed'
  | 'other_circuit'
  | 'too_many_circuits'
  | 'no_bleeder'
  | 'no_brake'
  | 'same_name'
  | 'to_itself'
  | 'empty';

/** What is wrong with a layout, and where. */
export interface LayoutIssue {
  readonly code: LayoutIssueCode;
  /** The first place concerned; null where no place is. */
  readonly slotId: string | null;
  /** Every place concerned, to be lit on the map. */
  readonly slotIds: readonly string[];
  readonly message: string;
  /** In a word or two, for a flag on the map. */
  readonly flag: string;
}

const fault = (code: LayoutIssueCode, slots: readonly Slot[], message: string, flag: string): LayoutIssue => ({
  code,
  slotId: slots[0]?.id ?? null,
  slotIds: slots.map((s) => s.id),
  message,
  flag,
});

const PRESSES: readonly ComponentKind[] = [
  ...(['pedal', 'hand_lever', 'foot_lever', 'servo', 'balance_bar', 'cross_shaft'] as const),
  // A cylinder of its own for the parking brake.
  ...(['parking_lever', 'equaliser'] as const),
];
/** Fluid goes in at one side of these and out at the other. */
const PASSES: readonly ComponentKind[] = ['hose', 'union', 'valve'];
const lower = (s: Slot): string => placeName(s).toLowerCase();
const list = (n: readonly number[]): string => n.join(' and ');

const ends = (layout: Layout, id: string, kinds: readonly Connection['kind'][]): Connection[] =>
  layout.connections.filter((c) => kinds.includes(c.kind) && (c.from === id || c.to === id));

function connectionFaults(layout: Layout, byId: ReadonlyMap<string, Slot>): LayoutIssue[] {
  return layout.connections.flatMap((c): LayoutIssue[] => {
    const [from, to] = [byId.get(c.from), byId.get(c.to)];
    if (!from || !to) {
      const known = [from, to].filter((s): s is Slot => s !== undefined);
      const where = known[0] ? ` at the ${lower(known[0])}` : '';
      return [fault('dangling', known, `A connection${where} ends at nothing.`, 'ends at nothing')];
    }
    if (from.id === to.id) return [fault('to_itself', [from], `The ${lower(from)} is connected to itself.`, 'to itself')];
    if (c.kind !== 'line') return [];
    const common = from.circuits.filter((n) => to.circuits.includes(n));
    if (common.length === 0 || (c.circuit !== null && !common.includes(c.circuit)))
      return [
        fault(
          'other_circuit',
          [from, to],
          `The line from the ${lower(from)} to the ${lower(to)} joins circuits that are not the same.`,
          'other circuit',
        ),
      ];
    return [];
  });
}

function hydraulicFaults(layout: Layout): LayoutIssue[] {
  const cylinders = layout.slots.filter((s) => s.kind === 'master_cylinder' || s.kind === 'clutch_master');
  const units = layout.slots.filter(
    (s) => (s.kind === 'caliper' && s.style !== 'cable') || s.kind === 'wheel_cylinder' || s.kind === 'clutch_slave',
  );
  const reached = new Set(units.filter((u) => pathFromMaster(layout, u.id).length > 0).map((u) => u.id));
  const found: LayoutIssue[] = units
    .filter((u) => !reached.has(u.id))
    .map((u) => fault('unreached', [u], `No line reaches the ${lower(u)}.`, 'no line'));
  // One on two circuits is plumbed into both, and bled on both.
  for (const u of units.filter((x) => x.circuits.length > 1 && reached.has(x.id))) {
    const own = layout.connections.filter((c) => c.kind === 'line' && (c.from === u.id || c.to === u.id));
    for (const circuit of u.circuits.filter((n) => !own.some((c) => c.circuit === n)))
      found.push(fault('unreached', [u], `No line of circuit ${circuit} reaches the ${lower(u)}.`, `no line of ${circuit}`));
  }
  const fed = new Set(cylinders.flatMap((s) => s.circuits));
  for (const circuit of new Set(layout.slots.flatMap((s) => s.circuits))) {
    if (fed.has(circuit)) continue;
    const here = layout.slots.filter((s) => s.circuits.includes(circuit));
    found.push(fault('no_cylinder', here, `Circuit ${circuit} has no cylinder.`, 'no cylinder'));
  }
  for (const s of layout.slots.filter((x) => PASSES.includes(x.kind))) {
    if (ends(layout, s.id, ['line']).length < 2)
      found.push(fault('open_end', [s], `The ${lower(s)} has an open end: fluid comes in and goes nowhere.`, 'open end'));
  }
  for (const s of cylinders) {
    const most = s.kind === 'clutch_master' || s.style !== 'tandem' ? 1 : 2;
    if (s.circuits.length > most)
      found.push(
        fault(
          'too_many_circuits',
          [s],
          `The ${lower(s)} feeds ${list(s.circuits)}, but has room for ${most} circuit.`,
          'too many circuits',
        ),
      );
    const pressed =
      s.kind === 'clutch_master' ||
      ends(layout, s.id, ['rod', 'cable']).some((c) =>
        layout.slots.some((o) => o.id !== s.id && (o.id === c.from || o.id === c.to) && PRESSES.includes(o.kind)),
      );
    if (!pressed) found.push(fault('not_pressed', [s], `Nothing presses the ${lower(s)}: no rod comes to it.`, 'not pressed'));
    if (ends(layout, s.id, ['line']).length === 0) found.push(fault('open_end', [s], `No line leaves the ${lower(s)}.`, 'open end'));
  }
  // Each corner and circuit needs a way out for air; a second cylinder of a drum is bled through the first.
  const seen = new Set<string>();
  for (const u of units) {
    for (const circuit of u.circuits.length > 0 ? u.circuits : [0]) {
      const key = `${u.corner ?? (circuit === CLUTCH_CIRCUIT ? 'clutch' : u.id)}:${circuit}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const mates = units.filter((o) => o.corner === u.corner && o.circuits.includes(circuit)).map((o) => o.id);
      const bleeders = layout.slots.filter((s) => s.kind === 'bleeder' && s.parentId !== null && mates.includes(s.parentId));
      if (bleeders.some((s) => s.circuits.length === 0 || s.circuits.includes(circuit))) continue;
      const air =
        bleeders.length > 0
          ? `Air of circuit ${circuit} cannot be let out of the ${lower(u)}: no bleeder of it is on that circuit.`
          : `Air cannot be let out of the ${lower(u)}: it has no bleeder.`;
      found.push(fault('no_bleeder', [u], air, 'no bleeder'));
    }
  }
  return found;
}

function wheelFaults(layout: Layout): LayoutIssue[] {
  const corner = (s: Slot): Slot[] => layout.slots.filter((o) => o.corner === s.corner);
  return layout.slots.flatMap((s): LayoutIssue[] => {
    if (s.kind === 'rotor' && !corner(s).some((o) => o.kind === 'caliper'))
      return [fault('no_brake', [s], `Nothing grips the ${lower(s)}: it has no caliper.`, 'no caliper')];
    if (s.kind === 'caliper' && s.style === 'cable' && ends(layout, s.id, ['rod', 'cable']).length === 0)
      return [fault('no_brake', [s], `Nothing pulls the ${lower(s)}: no cable comes to it.`, 'no cable')];
    if (s.kind === 'drum') {
      const mates = corner(s);
      if (!mates.some((o) => o.kind === 'shoes')) return [fault('no_brake', [s], `The ${lower(s)} has no shoes.`, 'no shoes')];
      const pushed =
        mates.some((o) => o.kind === 'wheel_cylinder') ||
        mates.some((o) => ['drum', 'shoes', 'expander'].includes(o.kind) && ends(layout, o.id, ['rod', 'cable']).length > 0);
      if (!pushed) return [fault('no_brake', [s], `Nothing presses the shoes of the ${lower(s)}.`, 'not pressed')];
    }
    if (s.kind === 'band_drum') {
      const mates = corner(s);
      if (!mates.some((o) => o.kind === 'band'))
        return [fault('no_brake', [s], `Nothing grips the ${lower(s)}: it has no band.`, 'no band')];
      const drawn =
        mates.some((o) => o.kind === 'wheel_cylinder') ||
        mates.some((o) => ['band_drum', 'band', 'expander'].includes(o.kind) && ends(layout, o.id, ['rod', 'cable']).length > 0);
      if (!drawn) return [fault('no_brake', [s], `Nothing draws the band of the ${lower(s)} together.`, 'not pressed')];
    }
    return [];
  });
}

/**
 * What is wrong with a layout: a wheel unit that no line reaches, an open end, a circuit without a cylinder, a cylinder
 * that nothing presses, a line between two circuits, a unit without a bleeder, a drum or rotor that nothing presses,
 * two places of one name. A layout of rods and cables has no circuits and none of the hydraulic faults.
 * Source: handbook 00, What is there; 15, Layout.
 */
export function checkLayout(layout: Layout): LayoutIssue[] {
  if (layout.slots.length === 0) return [fault('empty', [], 'The layout has no components.', 'empty')];
  const byId = new Map(layout.slots.map((s) => [s.id, s]));
  const orphans = layout.slots.filter((s) => s.parentId !== null && !byId.has(s.parentId));
  const names = new Map<string, Slot[]>();
  for (const s of layout.slots) names.set(placeName(s), [...(names.get(placeName(s)) ?? []), s]);
  const twice = [...names].filter(([, slots]) => slots.length > 1);
  const sames = twice.map(([name, slots]) => fault('same_name', slots, `${slots.length} places are called “${name}”.`, 'same name'));
  // Units that came without their vehicle are fed and pressed by nothing.
  if (isStandalone(layout)) return [...connectionFaults(layout, byId), ...sames];
  return [
    ...connectionFaults(layout, byId),
    ...orphans.map((s) => fault('dangling', [s], `The ${lower(s)} sits in nothing.`, 'sits in nothing')),
    ...hydraulicFaults(layout),
    ...wheelFaults(layout),
    ...sames,
  ];
}
