import { Builder, wheelUnit } from './builder.ts';
import { type TemplateFacts, cylinder, hose } from './builtTemplates.ts';
import type { Layout } from './graph.ts';

/** Templates with one wheel in front: a motorcycle with two front discs, and a three-wheeler. */

export const DOUBLE_DISC: TemplateFacts = {
  id: 'motorcycle_double_disc',
  name: 'Motorcycle, two front discs on the hand lever, rear disc on the foot',
  about: 'Two floating calipers fed from one splitter; a foot lever with its own cylinder for the rear disc.',
};
export const TRIKE: TemplateFacts = {
  id: 'trike_disc_drums',
  name: 'Three wheels, one front disc, two rear drums, tandem cylinder',
  about: 'One circuit for the front disc, one for the two drums behind; a hand lever and cables to the drums.',
};

/** Two discs at one wheel, each with its caliper; a rear disc on the foot. */
export function buildDoubleDisc(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const lever = b.slot('hand_lever', 'Hand lever');
  const front = cylinder(b, 'Front cylinder', [1], 15.87, 'single');
  b.join(lever, front, 'rod');
  const splitter = b.slot('union', 'Front splitter', { circuits: [1], style: 'splitter' });
  b.join(front, splitter, 'line', 1, 520);
  for (const prefix of ['Left ', 'Right '] as const) {
    const caliper = wheelUnit(b, 'F', { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 2, pistonMm: 27, hoses: 'wheel', prefix });
    const flexible = b.slot('hose', `${prefix}hose`, { corner: 'F', circuits: [1], lengthMm: 480, boreMm: 3.2 });
    b.join(splitter, flexible, 'line', 1, 40);
    if (caliper) b.join(flexible, caliper, 'line', 1, 40);
  }
  const foot = b.slot('foot_lever', 'Foot lever');
  const rear = cylinder(b, 'Rear cylinder', [2], 12.7, 'single');
  b.join(foot, rear, 'rod');
  const unit = wheelUnit(b, 'R', { unit: 'disc', circuit: 2, caliper: 'fixed', pistons: 2, pistonMm: 30.2, hoses: 'wheel' });
  hose(b, 'R', 2, rear, unit, 300);
  return { id, vehicleId, template: DOUBLE_DISC.id, drive: 'right', slots: b.slots, connections: b.connections };
}

/** One disc in front, two drums behind, a circuit each. */
export function buildTrike(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const master = cylinder(b, 'Master cylinder', [1, 2], 17.46, 'tandem');
  b.join(pedal, master, 'rod');
  const front = wheelUnit(b, 'F', { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 1, pistonMm: 38.1, hoses: 'wheel' });
  hose(b, 'F', 1, master, front, 700);
  const union = b.slot('union', 'Rear union', { circuits: [2] });
  b.join(master, union, 'line', 2, 1600);
  const lever = b.slot('parking_lever', 'Hand lever');
  const equaliser = b.slot('equaliser', 'Equaliser');
  b.join(lever, equaliser, 'cable');
  for (const corner of ['RL', 'RR'] as const) {
    const unit = wheelUnit(b, corner, { unit: 'drum', circuit: 2, cylinders: 1, pistonMm: 17.46, hoses: 'wheel' });
    hose(b, corner, 2, union, unit, corner === 'RL' ? 420 : 460);
  }
  for (const drum of b.slots.filter((s) => s.kind === 'drum')) b.join(equaliser, drum, 'cable');
  return { id, vehicleId, template: TRIKE.id, drive: 'right', slots: b.slots, connections: b.connections };
}
