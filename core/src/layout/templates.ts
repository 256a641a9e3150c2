import { type Axle, Builder, wheelUnit } from './builder.ts';
import {
  DIAGONAL,
  MOTORCYCLE,
  QUAD,
  SINGLE_SEATER,
  type TemplateFacts,
  buildDiagonal,
  buildMotorcycle,
  buildQuad,
  buildSingleSeater,
} from './builtTemplates.ts';
import { CLUTCH_CIRCUIT, type Layout, type Slot } from './graph.ts';
import { CORNERS, type Corner, axleOf } from './kinds.ts';
import {
  buildBands,
  buildCableCalipers,
  buildShaftBrake,
  buildSidecar,
  buildSixWheels,
  buildTrailer,
  BANDS_ON_RODS,
  CABLE_CALIPERS,
  SHAFT_BRAKE,
  SIDECAR,
  SIX_WHEELS,
  TRAILER,
} from './furtherTemplates.ts';
import { DOUBLE_DISC, TRIKE, buildDoubleDisc, buildTrike } from './threeAndTwoWheels.ts';

export type { TemplateFacts } from './builtTemplates.ts';

interface FourWheelPlan extends TemplateFacts {
  readonly front: Axle;
  readonly rear: Axle;
  readonly cylinder: 'single' | 'tandem' | 'none';
  readonly cylinderMm: number | null;
  readonly servo: boolean;
  /** The servo stands in the line, away from the cylinder. */
  readonly remoteServo?: boolean;
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
    rear: { unit: 'disc', circuit: 2, caliper: 'floating_parking', pistons: 1, pistonMm: 38.1, hoses: 'axle' },
    cylinder: 'tandem',
    cylinderMm: 20.64,
    servo: true,
    rearValve: true,
    clutch: false,
  },
  {
    id: 'lorry_drums_single_servo',
    name: 'Light lorry, four drums, one circuit, remote servo',
    about: 'Two wheel cylinders a drum in front, one behind; the servo on the frame, in the line.',
    front: { unit: 'drum', circuit: 1, cylinders: 2, pistonMm: 28.58, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 25.4, hoses: 'axle' },
    cylinder: 'single',
    cylinderMm: 25.4,
    servo: false,
    remoteServo: true,
    rearValve: false,
    clutch: false,
  },
  {
    id: 'tandem_disc_drum_servo',
    name: 'Front discs, rear drums, tandem cylinder, servo',
    about: 'Floating calipers in front, one wheel cylinder each behind, one circuit an axle, limiting valve behind.',
    front: { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 1, pistonMm: 54, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 2, cylinders: 1, pistonMm: 20.64, hoses: 'axle' },
    cylinder: 'tandem',
    cylinderMm: 22.2,
    servo: true,
    rearValve: true,
    clutch: false,
  },
  {
    id: 'drums_single',
    name: 'Four drums, one circuit',
    about: 'Two wheel cylinders a drum in front, one behind, single cylinder, no servo.',
    front: { unit: 'drum', circuit: 1, cylinders: 2, pistonMm: 22.2, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 19.05, hoses: 'axle' },
    cylinder: 'single',
    cylinderMm: 19.05,
    servo: false,
    rearValve: false,
    clutch: false,
  },
  {
    id: 'disc_disc_parking_drum',
    name: 'Four discs, tandem cylinder, servo, parking drums in the rear discs',
    about: 'Floating calipers in front and behind, one circuit an axle; shoes in a drum inside each rear disc, on cables.',
    front: { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 1, pistonMm: 57, hoses: 'wheel' },
    rear: { unit: 'disc', circuit: 2, caliper: 'floating', pistons: 1, pistonMm: 36, parkingShoes: true, hoses: 'wheel' },
    cylinder: 'tandem',
    cylinderMm: 23.81,
    servo: true,
    rearValve: true,
    clutch: false,
  },
  {
    id: 'discs_inboard_rear',
    name: 'Four discs, the rear ones inboard, tandem cylinder, servo',
    about: 'Fixed calipers in front; behind, floating calipers with parking lever at the final drive, rotors bolted to its flanges.',
    front: { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 2, pistonMm: 54, hoses: 'wheel' },
    rear: { unit: 'disc', circuit: 2, caliper: 'floating_parking', pistons: 1, pistonMm: 38.1, inboard: true, hoses: 'axle' },
    cylinder: 'tandem',
    cylinderMm: 22.2,
    servo: true,
    rearValve: true,
    clutch: false,
  },
  {
    id: 'disc_drum_remote_servo',
    name: 'Front discs, rear drums, one circuit, remote servo, hydraulic clutch',
    about: 'The servo stands in the line between cylinder and wheels; fixed three-piston calipers in front.',
    front: { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 3, pistonMm: 41.3, hoses: 'wheel' },
    rear: { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 17.46, hoses: 'axle' },
    cylinder: 'single',
    cylinderMm: 17.78,
    servo: false,
    remoteServo: true,
    rearValve: false,
    clutch: true,
  },
  {
    id: 'utility_rods',
    name: 'Four drums on rods, no fluid',
    about: 'Rods and wedges to four drums; nothing hydraulic.',
    front: { unit: 'drum', circuit: null, cylinders: 0, expander: 'wedge', hoses: 'axle' },
    rear: { unit: 'drum', circuit: null, cylinders: 0, expander: 'wedge', hoses: 'axle' },
    cylinder: 'none',
    cylinderMm: null,
    servo: false,
    rearValve: false,
    clutch: false,
  },
];

export const TEMPLATES: readonly TemplateFacts[] = [
  ...PLANS.map(({ id, name, about }) => ({ id, name, about })),
  MOTORCYCLE,
  DOUBLE_DISC,
  QUAD,
  TRIKE,
  SINGLE_SEATER,
  DIAGONAL,
  CABLE_CALIPERS,
  SHAFT_BRAKE,
  BANDS_ON_RODS,
  SIX_WHEELS,
  SIDECAR,
  TRAILER,
];

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

const OTHERS: Readonly<Record<string, (id: string, vehicleId: string, makeId: () => string) => Layout>> = {
  [MOTORCYCLE.id]: buildMotorcycle,
  [DOUBLE_DISC.id]: buildDoubleDisc,
  [TRIKE.id]: buildTrike,
  [QUAD.id]: buildQuad,
  [SINGLE_SEATER.id]: buildSingleSeater,
  [DIAGONAL.id]: buildDiagonal,
  [CABLE_CALIPERS.id]: buildCableCalipers,
  [SHAFT_BRAKE.id]: buildShaftBrake,
  [BANDS_ON_RODS.id]: buildBands,
  [SIX_WHEELS.id]: buildSixWheels,
  [SIDECAR.id]: buildSidecar,
  [TRAILER.id]: buildTrailer,
};

/**
 * Builds a layout from a template.
 * @param makeId gives a fresh id at each call (the core makes none itself)
 * @throws Error for an unknown template
 */
export function buildLayout(templateId: string, id: string, vehicleId: string, makeId: () => string): Layout {
  const other = OTHERS[templateId];
  if (other) return other(id, vehicleId, makeId);
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
    let source = master;
    if (plan.remoteServo) {
      source = b.slot('servo', 'Servo', { circuits, style: 'remote' });
      b.join(master, source, 'line', circuits[0] ?? null, 420);
    }
    plumbAxle(b, source, plan.front, 'front', units);
    let rearFeed = source;
    if (plan.rearValve) {
      rearFeed = b.slot('valve', 'Limiting valve', { circuits: plan.rear.circuit === null ? [] : [plan.rear.circuit] });
      b.join(source, rearFeed, 'line', plan.rear.circuit, 380);
    }
    plumbAxle(b, rearFeed, plan.rear, 'rear', units);
  }
  addParking(b, pedal, plan);
  if (plan.clutch) addClutch(b);
  return { id, vehicleId, template: plan.id, drive: 'right', slots: b.slots, connections: b.connections };
}

function addParking(b: Builder, pedal: Slot, plan: FourWheelPlan): void {
  const lever = b.slot('parking_lever', 'Parking lever');
  const equaliser = plan.cylinder === 'none' ? b.slot('cross_shaft', 'Cross shaft') : b.slot('equaliser', 'Equaliser');
  const mechanical = plan.cylinder === 'none' ? 'rod' : 'cable';
  b.join(lever, equaliser, mechanical);
  if (plan.cylinder === 'none') b.join(pedal, equaliser, 'rod');
  const shoesInDisc = b.slots.some((s) => s.kind === 'parking_shoes');
  for (const slot of b.slots) {
    const braked = shoesInDisc
      ? slot.kind === 'parking_shoes'
      : slot.kind === 'drum' || (slot.kind === 'caliper' && slot.style?.startsWith('floating') === true);
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
