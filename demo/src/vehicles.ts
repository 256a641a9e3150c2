import { type Corner, KIND_FACTS } from '@dauer/core';
import { PEOPLE, type Rack, typeLimit } from './shop.ts';
import { Car, type Story, type Telling } from './story.ts';

const { ines, tomasz, ruth } = { ines: PEOPLE.ines.id, tomasz: PEOPLE.tomasz.id, ruth: PEOPLE.ruth.id };
const FOUR = ['FL', 'FR', 'RL', 'RR'] as const;
const FRONT: readonly Corner[] = ['FL', 'FR'];
const REAR: readonly Corner[] = ['RL', 'RR'];

/** What every vehicle with fluid is asked before it goes. */
const STANDING = [
  'pedal_hold',
  'pedal_reserve',
  'warning_lamps',
  'hose_clear',
  'leak_look',
  'pedal_return',
  'parking',
  'stop_lamp',
  'road_walk',
  'road',
];

function proveAll(t: Telling, corners: readonly Corner[], seen: readonly (readonly [string, Corner | null])[] = []): void {
  t.prove('complaint', 'gone');
  for (const [code, corner] of seen) t.prove(`again:${code}`, 'gone', corner);
  for (const item of STANDING) t.prove(item);
  for (const c of corners) t.prove('release', 'passed', c);
}

function traced(t: Telling, corners: readonly Corner[]): void {
  t.see('pedal_spongy', 'not_seen');
  t.see('level_low', 'not_seen');
  for (const c of corners) t.see('drags', 'not_seen', c);
  t.see('park_no_hold', 'not_seen');
}

/** V 071: judder; a front rotor that runs out and one pitted piston, rears still to be gauged. */
export function corrie(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 071',
      name: 'Tavell Corrie GT',
      make: 'Tavell',
      model: 'Corrie',
      year: 1971,
      variant: 'GT',
      body: 'coupé',
      use: 'seasonal',
      climate: 'temperate',
      storage: 'dry',
      standsYears: null,
      distanceUnit: 'km',
    },
    'coupe_disc_disc_tandem_servo',
  );
  const manual = 'works manual, section K4, page 212';
  typeLimit(story, car, 'rotor_thickness', 'front', { bound: 'lower', nominal: 12.7, machineTo: 11.4, at: 11, gravity: 'safety' }, manual);
  typeLimit(story, car, 'rotor_thickness', 'rear', { bound: 'lower', nominal: 10, machineTo: 9.2, at: 8.9, gravity: 'safety' }, manual);
  typeLimit(story, car, 'rotor_thickness_variation', null, { bound: 'upper', nominal: 0, at: 0.02, gravity: 'function' }, manual);
  typeLimit(
    story,
    car,
    'rotor_runout',
    null,
    { bound: 'upper', nominal: 0, at: 0.1, gravity: 'function' },
    'works manual, section K4, page 214',
    false,
  );
  typeLimit(
    story,
    car,
    'pad_lining',
    'front',
    { bound: 'lower', nominal: 10, at: 2.5, gravity: 'safety' },
    'works manual, section K5, page 220',
  );

  const first = car.job(tomasz, story.ago(880), { complaint: 'Long pedal, pulls to the right', scopeCorners: FRONT, kind: 'inspection' });
  first.counter('41,200 km');
  traced(first, FRONT);
  for (const [corner, tag] of [
    ['FL', 'P 2207'],
    ['FR', 'P 2208'],
  ] as const) {
    first.fitNew(car.slot('rotor', corner), tag, 'TC 4411', 'new, pair');
    first.gauge(car.slot('rotor', corner), 'rotor_thickness', 'as_fitted', rack.mic, [
      '12.704',
      '12.702',
      '12.703',
      '12.705',
      '12.704',
      '12.702',
      '12.701',
      '12.703',
    ]);
    first.gauge(car.slot('rotor', corner), 'rotor_runout', 'as_fitted', rack.dial, [
      '0.00',
      '0.01',
      '0.02',
      '0.03',
      '0.03',
      '0.02',
      '0.02',
      '0.01',
      '0.00',
      '0.00',
      '0.00',
      '0.00',
    ]);
    first.gauge(car.slot('pads', corner), 'pad_lining', 'as_found', rack.caliper, [
      '9.10',
      '9.06',
      '9.12',
      '9.08',
      '9.02',
      '9.00',
      '9.05',
      '9.03',
    ]);
    for (const kind of ['rotor', 'caliper', 'pads', 'hub'] as const) first.look(car.slot(kind, corner), 'Clean, nothing to remark.');
    for (const piston of car.layout.slots.filter((s) => s.kind === 'piston' && s.corner === corner))
      first.look(piston, 'Moves freely, chrome clean.');
    first.look(car.slot('hose', corner), 'Supple, no cracks.');
    first.torque(`wheel:${corner}`, null, '88 Nm', '88 Nm');
    first.torque(`caliper:${car.slot('caliper', corner).id}`, car.slot('caliper', corner), '68 Nm', '68 Nm');
  }
  for (const kind of ['master_cylinder', 'servo', 'valve'] as const) first.look(car.slot(kind), 'Dry, free.');
  first.look(car.slot('hose', null), 'Supple.');
  proveAll(first, FRONT);
  first.release(ines, ['leak_next_day', 'retorque', 'bedding_in']);

  const fluid = car.job(ruth, story.ago(610), { complaint: '', kind: 'fluid', wants: 'Fluid change', scopeCorners: [] });
  fluid.counter('52,800 km');
  fluid.fluid('Class 4 fluid, shop drum', 'L 0418');
  for (const item of STANDING) fluid.prove(item);
  fluid.release(ines, ['leak_next_day']);

  const now = car.job(tomasz, story.ago(6), {
    complaint: 'Judders when braking from speed',
    wants: 'No judder, ready for the parade',
    promised: story.day(30),
  });
  now.counter('79,400 km');
  now.see('judder', 'seen');
  now.see('pedal_pulses', 'seen');
  now.see('pedal_spongy', 'not_seen');
  now.see('level_low', 'not_seen');
  for (const c of FOUR) now.see('drags', c === 'FL' ? 'seen' : 'not_seen', c);
  now.see('park_no_hold', 'not_seen');
  now.later(story.ago(2)).add('cautionAcks', { caution: 'asbestos' });
  now.gauge(car.slot('rotor', 'FL'), 'rotor_thickness', 'as_found', rack.mic, [
    '12.079',
    '12.076',
    '12.071',
    '12.067',
    '12.066',
    '12.070',
    '12.075',
    '12.078',
  ]);
  now.gauge(car.slot('rotor', 'FL'), 'rotor_runout', 'as_found', rack.dial, [
    '0.04',
    '0.05',
    '0.08',
    '0.11',
    '0.13',
    '0.12',
    '0.08',
    '0.03',
    '0.01',
    '0.00',
    '0.00',
    '0.02',
  ]);
  now.gauge(car.slot('rotor', 'FR'), 'rotor_thickness', 'as_found', rack.mic, [
    '12.084',
    '12.080',
    '12.077',
    '12.074',
    '12.071',
    '12.073',
    '12.079',
    '12.082',
  ]);
  now.gauge(car.slot('rotor', 'FR'), 'rotor_runout', 'as_found', rack.dial, [
    '0.03',
    '0.04',
    '0.05',
    '0.05',
    '0.05',
    '0.04',
    '0.03',
    '0.02',
    '0.01',
    '0.00',
    '0.01',
    '0.02',
  ]);
  now.gauge(car.slot('pads', 'FL'), 'pad_lining', 'as_found', rack.caliper, [
    '4.62',
    '4.70',
    '4.58',
    '4.66',
    '5.04',
    '5.10',
    '5.01',
    '5.08',
  ]);
  now.gauge(car.slot('pads', 'FR'), 'pad_lining', 'as_found', rack.caliper, [
    '3.22',
    '3.18',
    '3.15',
    '3.20',
    '4.90',
    '4.95',
    '4.88',
    '4.92',
  ]);
  now.look(car.slot('rotor', 'FL'), 'Swept faces bright, faint rust under the hat.');
  now.look(car.slot('rotor', 'FR'), 'Bright, no lip.');
  now.look(car.slot('pads', 'FL'), 'Dry, worn evenly along their length.');
  now.look(car.slot('pads', 'FR'), 'Dry; the inner pad is the thinner one.');
  now.look(car.slot('caliper', 'FL'), 'Bore clean, seal groove clean to metal.');
  now.look(car.slot('piston', 'FL', 'Piston 1'), 'Chrome clean all round.');
  now.look(car.slot('piston', 'FL', 'Piston 2'), 'Three pits 11 to 14 mm from the pad face, where new pads put the seal.', 'reject', [
    'use_again',
    'put_off',
  ]);
  now.look(car.slot('hose', 'FL'), 'Fine cracks at the crimp.', 'watch');
  now.decide(car.slot('piston', 'FL', 'Piston 2'), 'replace', 'Pitted in the seal zone.');
  car.tag(car.slot('caliper', 'FL'), 'P 2211');
  car.tag(car.slot('piston', 'FL', 'Piston 2'), 'P 2212');
}

/** V 068: stood four years; being traced. Its last gauging was six years ago. */
export function sallow(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 068',
      name: 'Brindle Sallow 1300',
      make: 'Brindle',
      model: 'Sallow',
      year: 1966,
      variant: '1300',
      body: 'saloon',
      use: 'stands',
      climate: 'damp',
      storage: 'outside',
      standsYears: 4,
      distanceUnit: 'mi',
    },
    'saloon_disc_drum_single',
  );
  const manual = 'works manual, section M2, page 88';
  typeLimit(story, car, 'rotor_thickness', 'front', { bound: 'lower', nominal: 9.53, machineTo: 8.9, at: 8.64, gravity: 'safety' }, manual);
  typeLimit(
    story,
    car,
    'drum_diameter',
    'rear',
    { bound: 'upper', nominal: 228.6, machineTo: 229.6, at: 230.1, gravity: 'safety' },
    'works manual, section M3, page 95',
  );

  const old = car.job(tomasz, story.ago(2240), { complaint: 'Yearly look', kind: 'inspection', scopeCorners: REAR });
  old.counter('38,100 mi');
  traced(old, REAR);
  for (const corner of REAR) {
    old.gauge(car.slot('drum', corner), 'drum_diameter', 'as_found', rack.drum, [
      '228.75',
      '228.80',
      '228.75',
      '228.80',
      '228.75',
      '228.75',
      '228.75',
      '228.80',
      '228.70',
      '228.75',
      '228.70',
      '228.75',
    ]);
    for (const kind of ['drum', 'shoes', 'wheel_cylinder', 'hub'] as const) old.look(car.slot(kind, corner), 'Nothing to remark.');
    old.torque(`wheel:${corner}`, null, '62 Nm', '62 Nm');
  }
  for (const slot of [car.slot('master_cylinder'), car.slot('hose'), car.slot('clutch_master'), car.slot('clutch_slave')])
    old.look(slot, 'Dry.');
  old.fluid('Class 4 fluid, tin', 'L 0107');
  proveAll(old, REAR);
  old.release(ines, ['leak_next_day', 'retorque']);

  const now = car.job(ruth, story.ago(3), {
    complaint: 'Stood four years. Pedal spongy, rear left hot after a short run',
    wants: 'Drive it to the parade without worry',
    promised: story.day(44),
    fluidKnown: 'not changed since it was laid up',
  });
  now.counter('41,960 mi');
  now.add('cautionAcks', { caution: 'stands' });
  now.see('pedal_spongy', 'seen');
  now.see('pedal_sinks', 'not_seen');
  now.see('level_low', 'seen');
  now.see('fluid_dark', 'seen');
  now.see('drags', 'seen', 'RL');
  now.see('hot', 'seen', 'RL');
  now.see('drags', 'not_seen', 'RR');
  now.see('fluid_at_wheel', 'not_seen', 'RR');
  now.putIn(car.slot('caliper', 'FL'), 'block', 'piston pushed back to try the other one');
}

/** V 063: drums at the turner, the rest waiting for them. */
export function quillon(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 063',
      name: 'Quillon T40',
      make: 'Quillon',
      model: 'T40',
      year: 1957,
      variant: null,
      body: 'light lorry',
      use: 'work',
      climate: 'temperate',
      storage: 'dry',
      standsYears: null,
      distanceUnit: 'mi',
    },
    'lorry_drums_single_servo',
  );
  typeLimit(
    story,
    car,
    'drum_diameter',
    null,
    { bound: 'upper', nominal: 279.4, machineTo: 280.9, at: 281.4, gravity: 'safety' },
    'cast on the drum, and workshop book, page 41',
  );
  const now = car.job(tomasz, story.ago(24), {
    complaint: 'Pulls hard to the left, brakes grab',
    wants: 'A working lorry',
    promised: story.day(9),
  });
  now.counter('88,430 mi');
  now.see('pulls_left', 'seen');
  traced(now, FOUR);
  const figures: Readonly<Record<(typeof FOUR)[number], readonly [string, string]>> = {
    FL: ['280.20', '280.35'],
    FR: ['280.10', '280.15'],
    RL: ['279.90', '280.05'],
    RR: ['279.85', '279.95'],
  };
  FOUR.forEach((corner, i) => {
    const drum = car.slot('drum', corner);
    car.tag(drum, `P 21${60 + i}`);
    const [low, high] = figures[corner];
    now.gauge(
      drum,
      'drum_diameter',
      'as_found',
      rack.drum,
      Array.from({ length: 12 }, (_, k) => (k % 4 === 1 ? high : low)),
    );
    for (const slot of car.layout.slots.filter((s) => s.corner === corner && ['drum', 'shoes', 'wheel_cylinder', 'hub'].includes(s.kind))) {
      now.look(
        slot,
        slot.kind === 'drum'
          ? 'Grooved at the open end.'
          : slot.kind === 'shoes'
            ? 'Linings down to the rivets at the heel.'
            : 'Looked at, nothing found.',
        slot.kind === 'shoes' ? 'watch' : 'note',
      );
      now.decide(
        slot,
        slot.kind === 'drum' ? 'machine' : slot.kind === 'shoes' ? 'replace' : slot.kind === 'wheel_cylinder' ? 'reseal' : 'use_again',
        slot.kind === 'drum' ? 'Grooved and out of round, both of the axle.' : '',
      );
    }
    now.later(story.ago(9, i)).part(drum, 'removed', '');
    now.part(drum, 'sent', 'to the turner, back in a week');
  });
  for (const slot of [car.slot('master_cylinder'), car.slot('servo'), ...car.all('hose')]) {
    now.look(slot, 'Looked at, nothing found.');
    now.decide(slot, 'use_again');
  }
  for (const corner of FRONT) {
    for (const cylinder of car.layout.slots.filter((s) => s.kind === 'wheel_cylinder' && s.corner === corner))
      now.part(cylinder, 'resealed', 'kit, batch K 77');
  }
  now.part(car.slot('wheel_cylinder', 'RL'), 'removed', '');
  now.part(car.slot('wheel_cylinder', 'RL'), 'sent', 'to the coater, Friday');
  now.fitForNow(car.slot('hose', null), 'old hose, until the new one comes', story.day(12));
  const coat = now.add('operations', { slotId: null, title: 'Coat the backing plates', attendedMinutes: 90 });
  now.later(story.ago(0, 3)).add('operationEvents', { operationId: coat, kind: 'start', note: 'first coat' });
}

/** V 059: rods and wedges, no fluid; shoes being centred. */
export function pellam(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 059',
      name: 'Pellam Utility',
      make: 'Pellam',
      model: 'Utility',
      year: 1949,
      variant: null,
      body: 'utility',
      use: 'seasonal',
      climate: 'temperate',
      storage: 'dry',
      standsYears: 1,
      distanceUnit: 'none',
    },
    'utility_rods',
  );
  typeLimit(
    story,
    car,
    'drum_diameter',
    null,
    { bound: 'upper', nominal: 254, machineTo: 255.5, at: 256, gravity: 'safety' },
    'instruction book, page 17',
  );
  const now = car.job(ruth, story.ago(40), {
    complaint: 'Hard pedal, hardly stops',
    wants: 'Works as it did when new',
    promised: story.day(20),
  });
  now.see('pedal_hard_no_stop', 'seen');
  for (const c of FOUR) now.see('drags', 'not_seen', c);
  now.see('park_no_hold', 'seen');
  for (const corner of FOUR) {
    now.gauge(
      car.slot('drum', corner),
      'drum_diameter',
      'as_found',
      rack.drum,
      Array.from({ length: 12 }, (_, k) => (k % 3 === 0 ? '254.60' : '254.55')),
    );
    for (const kind of ['drum', 'shoes', 'hub'] as const) {
      now.look(car.slot(kind, corner), kind === 'shoes' ? 'Contact at the heel only.' : 'Looked at, nothing found.');
      now.decide(car.slot(kind, corner), 'use_again');
    }
    now.torque(`wheel:${corner}`, null, '75 Nm', '75 Nm');
  }
  const centre = now.add('operations', {
    slotId: car.slot('shoes', 'FL').id,
    title: 'Centre the shoes, all four drums',
    attendedMinutes: 160,
  });
  now.later(story.ago(0, 5)).add('operationEvents', { operationId: centre, kind: 'start', note: '' });
}

/** V 041: handed back last year; its fluid falls due. */
export function marl(story: Story): void {
  const car = new Car(
    story,
    {
      tag: 'V 041',
      name: 'Tavell Marl Estate',
      make: 'Tavell',
      model: 'Marl',
      year: 1968,
      variant: 'Estate',
      body: 'estate',
      use: 'daily',
      climate: 'temperate',
      storage: 'outside',
      standsYears: null,
      distanceUnit: 'mi',
    },
    'saloon_disc_drum_single',
  );
  const done = car.job(ruth, story.ago(690), {
    complaint: 'Squeals when cold',
    kind: 'fluid',
    wants: 'Fluid change before the winter',
    scopeCorners: [],
  });
  done.counter('61,020 mi');
  done.fluid('Class 4 fluid, tin', 'L 0391');
  for (const item of STANDING) done.prove(item);
  const same = done.prove('complaint', 'same', null, 'for the first two stops only');
  done.by(ines).accept(`proof:complaint|lead|${same}`, 'Linings are sound; the owner will live with it until the spring.');
  done.release(ines, ['leak_next_day']);
}

/** V 074: caliper resealed and bled, then a joint opened again: the bleeding has lapsed. */
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
  now.later(story.ago(3)).part(caliper, 'opened', '');
  now.part(caliper, 'resealed', 'kit, batch K 91');
  for (const corner of ['F', 'R'] as const) now.torque(`wheel:${corner}`, null, '75 Nm', '75 Nm');
  now.torque(`caliper:${caliper.id}`, caliper, '36 Nm', '36 Nm');
  now.fluid('Class 4 fluid, tin', 'L 0522');
  now.prove('pedal_hold', 'passed');
  // The hose was turned to clear the fork: what had been bled is air again.
  const hose = car.slot('hose', 'F');
  now.later(story.ago(1)).joint(hose, 'opened');
  now.joint(hose, 'made', 'washers');
}
