import { Builder, wheelUnit } from './builder.ts';
import { type TemplateFacts, cylinder, hose } from './builtTemplates.ts';
import type { Layout } from './graph.ts';

/** Templates beyond four wheels and two: six wheels, a sidecar, a trailer; a brake on the propeller shaft; calipers on a cable. */

export const SIX_WHEELS: TemplateFacts = {
  id: 'six_wheels_drums',
  name: 'Six wheels, six drums, tandem cylinder, servo',
  about: 'One circuit for the front axle, one for the two behind; a hand lever and cables to the last axle.',
};
export const SIDECAR: TemplateFacts = {
  id: 'sidecar_outfit',
  name: 'Motorcycle with a sidecar, front disc, two drums on the foot lever',
  about: 'The hand lever presses the front disc; the foot lever presses the rear drum and that of the sidecar together.',
};
export const TRAILER: TemplateFacts = {
  id: 'trailer_overrun',
  name: 'Trailer, one axle, overrun brake on rods',
  about: 'The drawbar pushes a rod to an equaliser and cables to two drums; a parking lever on the same rod. Nothing hydraulic.',
};
export const SHAFT_BRAKE: TemplateFacts = {
  id: 'drums_shaft_brake',
  name: 'Four drums, parking drum on the propeller shaft',
  about: 'One circuit; the parking lever pulls a drum behind the gearbox, which holds only through both driven wheels.',
};
export const BANDS_ON_RODS: TemplateFacts = {
  id: 'bands_rear_rods',
  name: 'Two bands behind on rods, a band on the propeller shaft',
  about: 'No fluid and no brake in front: the pedal draws a band round each rear drum, the parking lever one behind the gearbox.',
};
export const CABLE_CALIPERS: TemplateFacts = {
  id: 'discs_cable_calipers',
  name: 'Four discs, a cable caliper of its own on each rear disc',
  about: 'Fixed calipers on two circuits; the parking lever pulls a second, smaller caliper on each rear rotor.',
};

const built = (b: Builder, facts: TemplateFacts, id: string, vehicleId: string): Layout => ({
  ...{ id, vehicleId, template: facts.id, drive: 'right', slots: b.slots, connections: b.connections },
});

/** Three axles, the two behind on one circuit. */
export function buildSixWheels(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const servo = b.slot('servo', 'Servo', { style: 'on_cylinder' });
  const master = cylinder(b, 'Master cylinder', [1, 2], 31.75, 'tandem');
  b.join(pedal, servo, 'rod');
  b.join(servo, master, 'rod');
  const drum = (circuit: number) => ({ unit: 'drum', circuit, cylinders: 1, pistonMm: 25.4, hoses: 'wheel' }) as const;
  const front = b.slot('union', 'Front union', { circuits: [1] });
  b.join(master, front, 'line', 1, 600);
  for (const corner of ['FL', 'FR'] as const) hose(b, corner, 1, front, wheelUnit(b, corner, drum(1)), corner === 'FL' ? 520 : 480);
  const middle = b.slot('union', 'Middle union', { circuits: [2] });
  b.join(master, middle, 'line', 2, 1900);
  for (const corner of ['ML', 'MR'] as const) hose(b, corner, 2, middle, wheelUnit(b, corner, drum(2)), corner === 'ML' ? 460 : 420);
  const rear = b.slot('union', 'Rear union', { circuits: [2] });
  b.join(middle, rear, 'line', 2, 1300);
  for (const corner of ['RL', 'RR'] as const) hose(b, corner, 2, rear, wheelUnit(b, corner, drum(2)), corner === 'RL' ? 460 : 420);
  const lever = b.slot('parking_lever', 'Parking lever');
  const equaliser = b.slot('equaliser', 'Equaliser');
  b.join(lever, equaliser, 'cable');
  for (const s of b.slots.filter((x) => x.kind === 'drum' && (x.corner === 'RL' || x.corner === 'RR'))) b.join(equaliser, s, 'cable');
  return built(b, SIX_WHEELS, id, vehicleId);
}

/** A motorcycle whose foot lever presses the sidecar's wheel as well. */
export function buildSidecar(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const lever = b.slot('hand_lever', 'Hand lever');
  const front = cylinder(b, 'Front cylinder', [1], 12.7, 'single');
  b.join(lever, front, 'rod');
  hose(b, 'F', 1, front, wheelUnit(b, 'F', { unit: 'disc', circuit: 1, caliper: 'fixed', pistons: 2, pistonMm: 38, hoses: 'wheel' }), 620);
  const foot = b.slot('foot_lever', 'Foot lever');
  const rear = cylinder(b, 'Rear cylinder', [2], 15.87, 'single');
  b.join(foot, rear, 'rod');
  const splitter = b.slot('union', 'Rear splitter', { circuits: [2], style: 'splitter' });
  b.join(rear, splitter, 'line', 2, 400);
  for (const corner of ['R', 'S'] as const) {
    const unit = wheelUnit(b, corner, { unit: 'drum', circuit: 2, cylinders: 1, pistonMm: 17.46, hoses: 'wheel' });
    hose(b, corner, 2, splitter, unit, corner === 'R' ? 260 : 900);
  }
  return built(b, SIDECAR, id, vehicleId);
}

/** Two drums that the drawbar presses as the trailer runs up. Source: handbook 58, D23. */
export function buildTrailer(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const drawbar = b.slot('hand_lever', 'Drawbar', { style: 'drawbar' });
  const lever = b.slot('parking_lever', 'Parking lever');
  const equaliser = b.slot('equaliser', 'Equaliser');
  b.join(drawbar, equaliser, 'rod');
  b.join(lever, equaliser, 'rod');
  for (const corner of ['RL', 'RR'] as const)
    wheelUnit(b, corner, { unit: 'drum', circuit: null, cylinders: 0, expander: 'cam', hoses: 'wheel' });
  for (const s of b.slots.filter((x) => x.kind === 'drum')) b.join(equaliser, s, 'cable');
  return built(b, TRAILER, id, vehicleId);
}

/** Four drums, and one on the shaft. Source: handbook 58, D02. */
export function buildShaftBrake(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const master = cylinder(b, 'Master cylinder', [1], 25.4, 'single');
  b.join(pedal, master, 'rod');
  const drum = { unit: 'drum', circuit: 1, cylinders: 1, pistonMm: 25.4, hoses: 'wheel' } as const;
  const front = b.slot('union', 'Front union', { circuits: [1] });
  b.join(master, front, 'line', 1, 520);
  for (const corner of ['FL', 'FR'] as const) hose(b, corner, 1, front, wheelUnit(b, corner, drum), corner === 'FL' ? 760 : 640);
  const rearHose = b.slot('hose', 'Rear hose', { circuits: [1], lengthMm: 290, boreMm: 3.2 });
  b.join(front, rearHose, 'line', 1, 2100);
  const rear = b.slot('union', 'Rear union', { circuits: [1] });
  b.join(rearHose, rear, 'line', 1, 40);
  for (const corner of ['RL', 'RR'] as const) {
    const unit = wheelUnit(b, corner, drum);
    if (unit) b.join(rear, unit, 'line', 1, corner === 'RL' ? 760 : 640);
  }
  const shaft = b.slot('drum', 'Shaft drum');
  b.slot('shoes', 'Shaft shoes');
  b.slot('expander', 'Shaft cam', { style: 'cam' });
  const lever = b.slot('parking_lever', 'Parking lever');
  b.join(lever, shaft, 'rod');
  return built(b, SHAFT_BRAKE, id, vehicleId);
}

/** Four discs, and behind a caliper for the parking brake alone, with pads of its own. Source: handbook 58, D24. */
export function buildCableCalipers(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const servo = b.slot('servo', 'Servo', { style: 'on_cylinder' });
  const master = cylinder(b, 'Master cylinder', [1, 2], 22.2, 'tandem');
  b.join(pedal, servo, 'rod');
  b.join(servo, master, 'rod');
  for (const [name, circuit, corners] of [
    ['Front union', 1, ['FL', 'FR']],
    ['Rear union', 2, ['RL', 'RR']],
  ] as const) {
    const union = b.slot('union', name, { circuits: [circuit] });
    b.join(master, union, 'line', circuit, circuit === 1 ? 520 : 2100);
    for (const corner of corners) {
      const unit = wheelUnit(b, corner, {
        unit: 'disc',
        circuit,
        caliper: 'fixed',
        pistons: 2,
        pistonMm: circuit === 1 ? 48.1 : 38.1,
        hoses: 'wheel',
      });
      hose(b, corner, circuit, union, unit, corner.endsWith('L') ? 760 : 640);
    }
  }
  const lever = b.slot('parking_lever', 'Parking lever');
  const equaliser = b.slot('equaliser', 'Equaliser');
  b.join(lever, equaliser, 'cable');
  for (const corner of ['RL', 'RR'] as const) {
    const parking = b.slot('caliper', 'Parking caliper', { corner, style: 'cable' });
    b.slot('pads', 'Parking pads', { corner });
    b.join(equaliser, parking, 'cable');
  }
  return built(b, CABLE_CALIPERS, id, vehicleId);
}

/** Bands on the rear wheels and on the shaft, which contract on their drums from outside. Source: handbook 58, D24. */
export function buildBands(id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  const pedal = b.slot('pedal', 'Pedal');
  const cross = b.slot('cross_shaft', 'Cross shaft');
  b.join(pedal, cross, 'rod');
  for (const corner of ['RL', 'RR'] as const) wheelUnit(b, corner, { unit: 'band', circuit: null, hoses: 'wheel' });
  for (const drum of b.slots.filter((s) => s.kind === 'band_drum')) b.join(cross, drum, 'rod');
  const shaft = b.slot('band_drum', 'Shaft band drum');
  b.slot('band', 'Shaft band');
  const lever = b.slot('parking_lever', 'Parking lever');
  b.join(lever, shaft, 'rod');
  return built(b, BANDS_ON_RODS, id, vehicleId);
}
