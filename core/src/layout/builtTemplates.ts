import { Builder, wheelUnit } from './builder.ts';
import type { Layout, Slot } from './graph.ts';
import type { Corner } from './kinds.ts';

/** Templates that are built line by line: one wheel before the other, three wheels, two cylinders, split across. */

export interface TemplateFacts {
  readonly id: string;
  readonly name: string;
  readonly about: string;
}

export const MOTORCYCLE: TemplateFacts = {
  id: 'motorcycle_disc_rod',
  name: 'Motorcycle, front disc on the hand lever, rear drum on a rod',
  about: 'One fixed two-piston caliper on its own cylinder at the handlebar; a foot lever and a rod to the rear drum.',
};
export const QUAD: TemplateFacts = {
  id: 'quad_lever_foot',
  name: 'Quad, two front discs on the hand lever, one rear disc on the foot',
  about: 'Two cylinders that know nothing of each other: the lever for the front, the foot for one disc on the rear axle.',
};
export const SINGLE_SEATER: TemplateFacts = {
  id: 'single_seater_balance_bar',
  name: 'Competition, four discs, two cylinders, balance bar',
  about: 'Fixed four-piston calipers all round, a cylinder an axle, one pedal on a balance bar; no servo, no parking brake.',
};
export const DIAGONAL: TemplateFacts = {
  id: 'hatch_diagonal_split',
  name: 'Front discs, rear drums, diagonal split, servo',
  about: 'Each circuit takes one front wheel and the rear wheel across from it; floating calipers in front.',
};

/** A cylinder with its own reservoir. */
export function cylinder(b: Builder, name: string, circuits: readonly number[], boreMm: number, style: string): Slot {
  const master = b.slot('master_cylinder', name, { circuits, boreMm, style });
  const reservoir = b.slot('reservoir', name === 'Master cylinder' ? 'Reservoir' : `${name.split(' ')[0] ?? ''} reservoir`, { circuits });
  b.join(reservoir, master, 'feed');
  return master;
}

/** A wheel's hose, from where its line comes to the unit. */
export function hose(b: Builder, corner: Corner, circuit: number, from: Slot, unit: Slot | null, lineMm: number): void {
  if (!unit) return;
  const flexible = b.slot('hose', 'Hose', { corner, circuits: [circuit], lengthMm: 320, boreMm: 3.2 });
  b.join(from, flexible, 'line', circuit, lineMm);
  b.join(flexible, unit, 'line', circuit, 60);
}

/** Two front discs on the hand lever, one rear disc on the foot. */
export function buildQuad(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const lever = b.slot('hand_lever', 'Hand lever');
  const front = cylinder(b, 'Front cylinder', [1], 12.7, 'single');
  b.join(lever, front, 'rod');
  const foot = b.slot('foot_lever', 'Foot lever');
  const rear = cylinder(b, 'Rear cylinder', [2], 12.7, 'single');
  b.join(foot, rear, 'rod');
  const union = b.slot('union', 'Front union', { circuits: [1] });
  b.join(front, union, 'line', 1, 700);
  for (const corner of ['FL', 'FR'] as const) {
    const unit = wheelUnit(b, corner, { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 1, pistonMm: 33.96, hoses: 'wheel' });
    hose(b, corner, 1, union, unit, corner === 'FL' ? 420 : 380);
  }
  const unit = wheelUnit(b, 'R', { unit: 'disc', circuit: 2, caliper: 'floating', pistons: 1, pistonMm: 33.96, hoses: 'wheel' });
  hose(b, 'R', 2, rear, unit, 900);
  return { id, vehicleId, template: QUAD.id, drive: 'right', slots: b.slots, connections: b.connections };
}

/** Four fixed discs, a cylinder an axle, one pedal on a balance bar. */
export function buildSingleSeater(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const bar = b.slot('balance_bar', 'Balance bar');
  b.join(pedal, bar, 'rod');
  const axles = [
    { name: 'Front', circuit: 1, bore: 17.78, corners: ['FL', 'FR'], run: 480, pistonMm: 38.1 },
    { name: 'Rear', circuit: 2, bore: 19.05, corners: ['RL', 'RR'], run: 1700, pistonMm: 34.93 },
  ] as const;
  for (const a of axles) {
    const master = cylinder(b, `${a.name} cylinder`, [a.circuit], a.bore, 'single');
    b.join(bar, master, 'rod');
    const union = b.slot('union', `${a.name} union`, { circuits: [a.circuit] });
    b.join(master, union, 'line', a.circuit, a.run);
    for (const corner of a.corners) {
      const unit = wheelUnit(b, corner, {
        unit: 'disc',
        circuit: a.circuit,
        caliper: 'fixed',
        pistons: 4,
        pistonMm: a.pistonMm,
        hoses: 'wheel',
      });
      hose(b, corner, a.circuit, union, unit, corner.endsWith('L') ? 620 : 580);
    }
  }
  return { id, vehicleId, template: SINGLE_SEATER.id, drive: 'right', slots: b.slots, connections: b.connections };
}

/** One front wheel and the rear wheel across from it in each circuit. */
export function buildDiagonal(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const servo = b.slot('servo', 'Servo');
  const master = cylinder(b, 'Master cylinder', [1, 2], 20.64, 'tandem');
  b.join(pedal, servo, 'rod');
  b.join(servo, master, 'rod');
  const circuitOf = { FL: 1, RR: 1, FR: 2, RL: 2 } as const;
  for (const corner of ['FL', 'FR', 'RL', 'RR'] as const) {
    const circuit = circuitOf[corner];
    const front = corner.startsWith('F');
    const unit = wheelUnit(
      b,
      corner,
      front
        ? { unit: 'disc', circuit, caliper: 'floating', pistons: 1, pistonMm: 48, hoses: 'wheel' }
        : { unit: 'drum', circuit, cylinders: 1, pistonMm: 17.46, hoses: 'wheel' },
    );
    hose(b, corner, circuit, master, unit, front ? 900 : 2600);
  }
  const lever = b.slot('parking_lever', 'Parking lever');
  const equaliser = b.slot('equaliser', 'Equaliser');
  b.join(lever, equaliser, 'cable');
  for (const drum of b.slots.filter((s) => s.kind === 'drum')) b.join(equaliser, drum, 'cable');
  return { id, vehicleId, template: DIAGONAL.id, drive: 'right', slots: b.slots, connections: b.connections };
}

/** One disc on the hand lever, a drum on a rod. */
export function buildMotorcycle(id: string, vehicleId: string, makeId: () => string): Layout {
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
  const foot = b.slot('foot_lever', 'Foot lever');
  const drum = b.slots.find((s) => s.kind === 'drum');
  if (drum) b.join(foot, drum, 'rod');
  return { id, vehicleId, template: MOTORCYCLE.id, drive: 'right', slots: b.slots, connections: b.connections };
}
