import { KIND_FACTS } from '@dauer/core/layout';
import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { ines, ruth, tomasz, traced } from './common.ts';

const WHEELS = ['FL', 'FR', 'R'] as const;

/** V 072: a farm quad, all of it done and being proved. */
export function rooke(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 072',
      name: 'Rooke Trundle',
      make: 'Rooke',
      model: 'Trundle',
      year: 1986,
      variant: null,
      body: 'farm quad',
      use: 'work',
      climate: 'damp',
      storage: 'outside',
      standsYears: null,
      distanceUnit: 'none',
    },
    'quad_lever_foot',
  );
  const manual = 'owner’s handbook, page 54';
  typeLimit(story, car, 'rotor_thickness', null, { bound: 'lower', nominal: 4, machineTo: null, at: 3.4, gravity: 'safety' }, manual);
  typeLimit(story, car, 'rotor_runout', null, { bound: 'upper', nominal: 0, at: 0.3, gravity: 'function' }, manual);
  typeLimit(story, car, 'rotor_thickness_variation', null, { bound: 'upper', nominal: 0, at: 0.05, gravity: 'function' }, manual);
  typeLimit(story, car, 'pad_lining', null, { bound: 'lower', nominal: 4.5, at: 1, gravity: 'safety' }, manual);
  const now = car.job(tomasz, story.ago(15), {
    complaint: 'Front grinds',
    wants: 'Ready for the hay',
    promised: story.day(2),
    scopeCorners: [...WHEELS],
  });
  traced(now, WHEELS);
  now.later(story.ago(13));
  for (const corner of WHEELS) {
    const rotor = car.slot('rotor', corner);
    now.gauge(rotor, 'rotor_thickness', 'as_found', rack.mic, ['3.82', '3.81', '3.82', '3.83', '3.82', '3.81', '3.82', '3.82']);
    now.gauge(rotor, 'rotor_runout', 'as_found', rack.dial, [
      ...['0.00', '0.02', '0.04', '0.06', '0.07', '0.06'],
      ...['0.04', '0.02', '0.01', '0.00', '0.00', '0.00'],
    ]);
    if (corner === 'R')
      now.gauge(
        car.slot('pads', corner),
        'pad_lining',
        'as_found',
        rack.caliper,
        Array.from({ length: 8 }, () => '3.60'),
      );
  }
  for (const hub of car.layout.slots.filter((s) => s.kind === 'hub')) now.gauge(hub, 'hub_end_float', 'as_found', rack.dial, ['0.02']);
  for (const slot of car.layout.slots.filter((s) => KIND_FACTS[s.kind].article)) {
    const front = slot.kind === 'pads' && slot.corner !== 'R';
    if (!front) now.look(slot, 'Looked at, nothing found.');
    now.decide(slot, front ? 'replace' : 'use_again', front ? 'Worn to the backing, both sides.' : '');
  }
  now.by(ruth).later(story.ago(4));
  for (const corner of ['FL', 'FR'] as const) {
    now.fitNew(car.slot('pads', corner), null, 'RT 118', 'bed in: ten stops from 30 km/h');
    now.gauge(
      car.slot('pads', corner),
      'pad_lining',
      'as_fitted',
      rack.caliper,
      Array.from({ length: 8 }, () => '4.50'),
    );
  }
  for (const corner of WHEELS) now.torque(`wheel:${corner}`, null, '55 Nm', '55 Nm');
  now.by(ines).later(story.ago(1)).prove('pedal_return');
}
