import type { Connection, ConnectionKind, Layout, Slot } from './graph.ts';
import { CLUTCH_CIRCUIT } from './graph.ts';
import { axleOf, type ComponentKind, type Corner, CORNERS } from './kinds.ts';

export interface TemplateFacts {
  readonly id: string;
  readonly name: string;
  readonly about: string;
}

interface Axle {
  readonly unit: 'disc' | 'drum';
  readonly circuit: number | null;
  readonly caliper?: 'fixed' | 'floating';
  readonly pistons?: number;
  readonly cylinders?: number;
  readonly pistonMm?: number;
  /** One hose for the whole axle, or one at each wheel. */
  readonly hoses: 'axle' | 'wheel';
}

interface FourWheelPlan extends TemplateFacts {
  readonly front: Axle;
  readonly rear: Axle;
  readonly cylinder: 'single' | 'tandem' | 'none';
  readonly cylinderMm: number | null;
  readonly servo: boolean;
  readonly rearValve: boolean;
  readonly clutch: boolean;
}

const PLANS: readonly FourWheelPlan[] = [
  {
    id: 'saloon_disc_drum_single',
    name: 'Saloon, front discs, rear drums, one circuit',
    about: 'Fixed two-piston calipers in front, one wheel cylinder each behind, no servo, hydraulic clutch with its own reservoir.',
    front: { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 2, pistonMm: 53.98, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 19.05, hoses: 'axle' },
    cylinder: 'single',
    cylinderMm: 19.05,
    servo: false,
    rearValve: false,
    clutch: true,
  },
  {
    id: 'coupe_disc_disc_tandem_servo',
    name: 'Coupé, four discs, tandem cylinder, servo',
    about: 'Fixed two-piston calipers in front, floating calipers with parking lever behind, one circuit an axle, limiting valve behind.',
    front: { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 2, pistonMm: 48, hoses: 'wheel' },
    rear: { unit: 'disc', circuit: 2, caliper: 'floating', pistons: 1, pistonMm: 38.1, hoses: 'axle' },
    cylinder: 'tandem',
    cylinderMm: 20.64,
    servo: true,
    rearValve: true,
    clutch: false,
  },
  {
    id: 'lorry_drums_single_servo',
    name: 'Light lorry, four drums, one circuit, servo',
    about: 'Two wheel cylinders a drum in front, one behind, single circuit with servo.',
    front: { unit: 'drum', circuit: 1, cylinders: 2, pistonMm: 28.58, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 25.4, hoses: 'axle' },
    cylinder: 'single',
    cylinderMm: 25.4,
    servo: true,
    rearValve: false,
    clutch: false,
  },
  {
    id: 'utility_rods',
    name: 'Four drums on rods, no fluid',
    about: 'Rods and wedges to four drums; nothing hydraulic.',
    front: { unit: 'drum', circuit: null, cylinders: 0, hoses: 'axle' },
    rear: { unit: 'drum', circuit: null, cylinders: 0, hoses: 'axle' },
    cylinder: 'none',
    cylinderMm: null,
    servo: false,
    rearValve: false,
    clutch: false,
  },
];

const MOTORCYCLE: TemplateFacts = {
  id: 'motorcycle_disc_rod',
  name: 'Motorcycle, front disc on the hand lever, rear drum on a rod',
  about: 'One fixed two-piston caliper on its own cylinder at the handlebar; a foot lever and a rod to the rear drum.',
};

export const TEMPLATES: readonly TemplateFacts[] = [...PLANS.map(({ id, name, about }) => ({ id, name, about })), MOTORCYCLE];

class Builder {
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

function wheelUnit(b: Builder, corner: Corner, axle: Axle): Slot | null {
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

function plumbAxle(b: Builder, source: Slot, axle: Axle, which: 'front' | 'rear', units: ReadonlyMap<Corner, Slot>): void {
  if (axle.circuit === null) return;
  const circuits = [axle.circuit];
  let feed = source;
  const run = which === 'front' ? 520 : 2100;
  if (axle.hoses === 'axle') {
    const hose = b.slot('hose', which === 'rear' ? 'Rear hose' : 'Front hose', { circuits, lengthMm: 290, boreMm: 3.2 });
    b.join(feed, hose, 'line', axle.circuit, run);
    feed = hose;
  }
  const union = b.slot('union', which === 'front' ? 'Front union' : 'Rear union', { circuits });
  b.join(feed, union, 'line', axle.circuit, axle.hoses === 'axle' ? 40 : run);
  for (const corner of CORNERS.filter((c) => axleOf(c) === which)) {
    const unit = units.get(corner);
    if (!unit) continue;
    const length = corner.endsWith('L') ? 760 : 640;
    if (axle.hoses === 'wheel') {
      const hose = b.slot('hose', 'Hose', { corner, circuits, lengthMm: 320, boreMm: 3.2 });
      b.join(union, hose, 'line', axle.circuit, length);
      b.join(hose, unit, 'line', axle.circuit, 60);
    } else {
      b.join(union, unit, 'line', axle.circuit, length);
    }
  }
}

function buildMotorcycle(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const circuits = [1];
  const lever = b.slot('hand_lever', 'Hand lever');
  const master = b.slot('master_cylinder', 'Master cylinder', { circuits, boreMm: 15.87, style: 'single' });
  const reservoir = b.slot('reservoir', 'Reservoir', { circuits });
  b.join(reservoir, master, 'feed');
  b.join(lever, master, 'rod');
  const caliper = wheelUnit(b, 'F', { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 2, pistonMm: 38.1, hoses: 'wheel' });
  const hose = b.slot('hose', 'Hose', { corner: 'F', circuits, lengthMm: 780, boreMm: 3.2 });
  b.join(master, hose, 'line', 1, 60);
  if (caliper) b.join(hose, caliper, 'line', 1, 40);
  wheelUnit(b, 'R', { unit: 'drum', circuit: null, cylinders: 0, hoses: 'axle' });
  const foot = b.slot('pedal', 'Foot lever');
  const drum = b.slots.find((s) => s.kind === 'drum');
  if (drum) b.join(foot, drum, 'rod');
  return { id, vehicleId, template: MOTORCYCLE.id, slots: b.slots, connections: b.connections };
}

/**
 * Builds a layout from a template.
 * @param makeId gives a fresh id at each call (the core makes none itself)
 * @throws Error for an unknown template
 */
export function buildLayout(templateId: string, id: string, vehicleId: string, makeId: () => string): Layout {
  if (templateId === MOTORCYCLE.id) return buildMotorcycle(id, vehicleId, makeId);
  const plan = PLANS.find((p) => p.id === templateId);
  if (!plan) throw new Error(`unknown layout template ${templateId}`);
  const b = new Builder(makeId);
  const circuits = [...new Set([plan.front.circuit, plan.rear.circuit].filter((c): c is number => c !== null))];
  const pedal = b.slot('pedal', 'Pedal');
  const servo = plan.servo ? b.slot('servo', 'Servo') : null;
  const master =
    plan.cylinder === 'none'
      ? null
      : b.slot('master_cylinder', 'Master cylinder', { circuits, boreMm: plan.cylinderMm, style: plan.cylinder });
  if (master) {
    const reservoir = b.slot('reservoir', 'Reservoir', { circuits });
    b.join(reservoir, master, 'feed');
    if (servo) b.join(pedal, servo, 'rod');
    b.join(servo ?? pedal, master, 'rod');
  }
  const units = new Map<Corner, Slot>();
  const wheel = (corner: Corner, axle: Axle): void => {
    const inlet = wheelUnit(b, corner, axle);
    if (inlet) units.set(corner, inlet);
  };
  wheel('FL', plan.front);
  wheel('FR', plan.front);
  wheel('RL', plan.rear);
  wheel('RR', plan.rear);
  if (master) {
    plumbAxle(b, master, plan.front, 'front', units);
    let rearFeed = master;
    if (plan.rearValve) {
      rearFeed = b.slot('valve', 'Limiting valve', { circuits: plan.rear.circuit === null ? [] : [plan.rear.circuit] });
      b.join(master, rearFeed, 'line', plan.rear.circuit, 380);
    }
    plumbAxle(b, rearFeed, plan.rear, 'rear', units);
  }
  addParking(b, pedal, plan);
  if (plan.clutch) addClutch(b);
  return { id, vehicleId, template: plan.id, slots: b.slots, connections: b.connections };
}

function addParking(b: Builder, pedal: Slot, plan: FourWheelPlan): void {
  const lever = b.slot('parking_lever', 'Hand lever');
  const equaliser = b.slot('equaliser', plan.cylinder === 'none' ? 'Cross shaft' : 'Equaliser');
  const mechanical = plan.cylinder === 'none' ? 'rod' : 'cable';
  b.join(lever, equaliser, mechanical);
  if (plan.cylinder === 'none') b.join(pedal, equaliser, 'rod');
  for (const slot of b.slots) {
    const braked = slot.kind === 'drum' || (slot.kind === 'caliper' && slot.style === 'floating');
    if (!braked || !slot.corner) continue;
    if (axleOf(slot.corner) === 'rear' || plan.cylinder === 'none') b.join(equaliser, slot, mechanical);
  }
}

function addClutch(b: Builder): void {
  const circuits = [CLUTCH_CIRCUIT];
  const master = b.slot('clutch_master', 'Clutch master', { circuits, boreMm: 15.87 });
  const slave = b.slot('clutch_slave', 'Clutch slave', { circuits, boreMm: 22.2 });
  b.join(master, slave, 'line', CLUTCH_CIRCUIT, 900);
  b.slot('bleeder', 'Clutch bleeder', { circuits, parentId: slave.id });
}
