import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { FOUR, FRONT, SAID, STANDING, proveAll, ruth, tomasz, traced } from './common.ts';

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
    first.gauge(car.slot('hub', corner), 'hub_end_float', 'as_found', rack.dial, ['0.02']);
    for (const kind of ['rotor', 'caliper', 'pads', 'hub'] as const) first.look(car.slot(kind, corner), 'Clean, nothing to remark.');
    for (const piston of car.layout.slots.filter((s) => s.kind === 'piston' && s.corner === corner))
      first.look(piston, 'Moves freely, chrome clean.');
    first.look(car.slot('hose', corner), 'Supple, no cracks.');
    first.torque(`wheel:${corner}`, null, '88 Nm', '88 Nm');
    first.torque(`caliper:${car.slot('caliper', corner).id}`, car.slot('caliper', corner), '68 Nm', '68 Nm');
  }
  for (const kind of ['master_cylinder', 'servo', 'valve'] as const) first.look(car.slot(kind), 'Dry, free.');
  first.look(car.slot('hose', null), 'Supple.');
  first.cause('rotor_runout_f', car.slot('rotor', 'FL'), 'found', 0.58, 1);
  first.cause('rotor_uneven', car.slot('rotor', 'FL'), 'absent', 0.31, 2);
  first.cause('bearing_loose', car.slot('hub', 'FR'), 'absent', 0.12, 3);
  first.nothingElse();
  proveAll(first, FRONT);
  first.release(['leak_next_day', 'retorque', 'bedding_in']);

  const fluid = car.job(ruth, story.ago(610), { complaint: '', kind: 'fluid', wants: 'Fluid change', scopeCorners: [] });
  fluid.counter('52,800 km');
  fluid.fluid('Class 4 fluid, shop drum', 'L 0418');
  for (const item of STANDING) fluid.prove(item, 'passed', null, SAID[item]);
  fluid.release(['leak_next_day']);

  const now = car.job(tomasz, story.ago(6), {
    complaint: 'Judders when braking from speed',
    wants: 'No judder, ready for the parade',
    authorisedMinor: 90_000,
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
  now.gauge(car.slot('hub', 'FL'), 'hub_end_float', 'as_found', rack.dial, ['0.01']);
  now.gauge(car.slot('pads', 'FL'), 'pad_total', 'as_found', rack.caliper, ['10.24', '10.66']);
  const pitted = car.slot('piston', 'FL', 'Piston 2');
  now.gauge(pitted, 'piston_seal', 'as_found', rack.depth, ['19.4', '8.0', '3.0', '34.0']);
  now.gauge(pitted, 'piston_diameter', 'as_found', rack.mic, ['47.962', '47.960', '47.961', '47.958']);
  now.pit(pitted, 'Three pits 11 to 14 mm from the pad face, where new pads put the seal.', [11, 14], 0.1, 'reject', [
    'use_again',
    'put_off',
  ]);
  now.look(car.slot('hose', 'FL'), 'Fine cracks at the crimp.', 'watch');
  now.decide(car.slot('piston', 'FL', 'Piston 2'), 'replace', 'Pitted in the seal zone.');
  car.tag(car.slot('caliper', 'FL'), 'P 2211');
  car.tag(car.slot('piston', 'FL', 'Piston 2'), 'P 2212');
}
