import { KIND_FACTS } from '@dauer/core/layout';
import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { ruth, traced } from './common.ts';

/** V 074: caliper resealed and bled, then a joint opened again, and made: the bleeding has lapsed, and it stands ready for the next. */
export function marrek(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 074',
      name: 'Marrek 500S',
      make: 'Marrek',
      model: '500S',
      year: 1974,
      variant: null,
      body: 'motorcycle',
      use: 'seasonal',
      climate: 'temperate',
      storage: 'dry',
      standsYears: 2,
      distanceUnit: 'km',
    },
    'motorcycle_disc_rod',
  );
  typeLimit(
    story,
    car,
    'rotor_thickness',
    'front',
    { bound: 'lower', nominal: 6.5, machineTo: null, at: 5.8, gravity: 'safety' },
    'workshop manual, page 63',
  );
  const now = car.job(ruth, story.ago(11), {
    complaint: 'Lever goes to the grip, front drags',
    wants: 'A lever that is hard',
    promised: story.day(5),
    scopeCorners: ['F', 'R'],
  });
  now.counter('22,310 km');
  traced(now, ['F', 'R']);
  const rotor = car.slot('rotor', 'F');
  now.gauge(rotor, 'rotor_thickness', 'as_found', rack.mic, ['6.312', '6.310', '6.309', '6.311', '6.313', '6.312', '6.310', '6.311']);
  now.gauge(rotor, 'rotor_runout', 'as_found', rack.dial, [
    '0.02',
    '0.03',
    '0.04',
    '0.05',
    '0.05',
    '0.04',
    '0.03',
    '0.02',
    '0.01',
    '0.01',
    '0.00',
    '0.01',
  ]);
  now.gauge(car.slot('pads', 'F'), 'pad_lining', 'as_found', rack.caliper, [
    '4.10',
    '4.12',
    '4.08',
    '4.11',
    '4.15',
    '4.14',
    '4.12',
    '4.13',
  ]);
  now.gauge(
    car.slot('drum', 'R'),
    'drum_diameter',
    'as_found',
    rack.drum,
    Array.from({ length: 12 }, (_, k) => (k % 3 === 0 ? '160.25' : '160.20')),
  );
  for (const hub of car.layout.slots.filter((s) => s.kind === 'hub')) now.gauge(hub, 'hub_end_float', 'as_found', rack.dial, ['0.01']);
  for (const shoes of car.layout.slots.filter((s) => s.kind === 'shoes'))
    now.gauge(shoes, 'shoe_lining', 'as_found', rack.caliper, ['3.1', '3.3', '3.2', '3.0', '3.3', '3.2']);
  for (const slot of car.layout.slots.filter((s) => KIND_FACTS[s.kind].article)) {
    const seized = slot.kind === 'piston' && slot.name === 'Piston 2';
    now.look(
      slot,
      seized ? 'Would not come out by fluid; came free after a day of soaking.' : 'Looked at, nothing found.',
      seized ? 'watch' : 'note',
    );
    now.decide(slot, slot.kind === 'caliper' ? 'reseal' : 'use_again', slot.kind === 'caliper' ? 'Weeping at the seals.' : '');
  }
  const caliper = car.slot('caliper', 'F');
  const stuck = car.layout.slots.find((s) => s.kind === 'piston' && s.name === 'Piston 2');
  if (stuck) {
    now.later(story.ago(5)).try(stuck, 'piston', 'soak', 10, false, 'oil at the lip of the boot');
    now.later(story.ago(4)).try(stuck, 'piston', 'clamp', 15, true, 'rocked in and out, the other one held');
  }
  now.later(story.ago(3)).part(caliper, 'opened', '');
  // What came off it, and is in again: the last first.
  const off = [
    [0.75, 0.35, 'Slide pin, upper', 'The one with the sleeve'],
    [0.75, 0.62, 'Slide pin, lower', 'Plain'],
    [0.5, 0.5, 'Anti-rattle spring', 'Long leg to the front'],
    [0.36, 0.5, 'Piston boot', 'Groove in the piston first'],
  ] as const;
  const marks = off.map(([x, y, what, note]) =>
    now.add('stripMarks', {
      ...{ slotId: caliper.id, x, y, what, note, fate: what === 'Piston boot' ? 'renewed' : 'back', hash: null },
      ...{ colour: '', wireMm: null, freeMm: null },
    }),
  );
  now.part(caliper, 'resealed', 'kit, batch K 91');
  for (const markId of [...marks].reverse()) now.add('stripTells', { markId, kind: 'in', note: '' });
  for (const corner of ['F', 'R'] as const) now.torque(`wheel:${corner}`, null, '75 Nm', '75 Nm');
  now.torque(`caliper:${caliper.id}`, caliper, '36 Nm', '36 Nm');
  now.fluid('Class 4 fluid, tin', 'L 0522');
  now.prove('pedal_hold', 'passed');
  // The hose was turned to clear the fork: what had been bled is air again.
  const hose = car.slot('hose', 'F');
  now.later(story.ago(1)).joint(hose, 'opened');
  now.joint(hose, 'made', 'washers');
  now.joint(hose, 'torqued');
}
