import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { FOUR, FRONT, ruth, tomasz } from './common.ts';

/** V 059: rods and wedges, no fluid; shoes being centred, the front right wedge stripped by its card, a drum at the coater. */
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
    now.gauge(car.slot('shoes', corner), 'shoe_above_rivets', 'as_found', rack.depth, ['1.60', '2.10', '2.30', '1.80', '2.20', '2.40']);
    now.gauge(car.slot('hub', corner), 'hub_end_float', 'as_found', rack.dial, [corner === 'FL' ? '0.03' : '0.02']);
    for (const kind of ['drum', 'shoes', 'expander', 'hub'] as const) {
      now.look(car.slot(kind, corner), kind === 'shoes' ? 'Contact at the heel only.' : 'Looked at, nothing found.');
      const isWorn = kind === 'expander' && corner === 'FR';
      now.decide(
        car.slot(kind, corner),
        isWorn ? 'used' : 'use_again',
        isWorn ? 'Worn to a lip; one from the spares of the same year.' : '',
      );
    }
    now.torque(`wheel:${corner}`, null, '75 Nm', '75 Nm');
  }
  // Near its limit: another person measured it without seeing the first.
  now.by(tomasz).gauge(car.slot('hub', 'FL'), 'hub_end_float', 'as_found', rack.dial, ['0.03'], { blind: true });
  const shoes = car.slot('shoes', 'FL');
  now.by(ruth).gauge(shoes, 'adjuster_travel', 'as_found', rack.caliper, ['18.0', '0.25', '5.00', '148.60', '150.00', '18.20', '19.00']);
  now.gauge(shoes, 'shoe_arc', 'as_found', rack.caliper, ['254.20', '254.25']);
  now.gauge(shoes, 'shoe_centring', 'as_found', rack.depth, ['126.90', '126.80', '126.55', '126.90', '126.70', '126.40']);
  const centre = now.add('operations', {
    slotId: car.slot('shoes', 'FL').id,
    title: 'Centre the shoes, all four drums',
    attendedMinutes: 160,
  });
  // Both front drums are painted outside: the left one is away, the right one is still to go into its box.
  for (const [i, corner] of FRONT.entries()) now.later(story.ago(6, i)).part(car.slot('drum', corner), 'removed', '');
  now.later(story.ago(5)).part(car.slot('drum', 'FL'), 'sent', 'painted outside, back in a week');
  const wedge = car.slot('expander', 'FR');
  const run = now.later(story.ago(1)).card(wedge, 'used');
  now.part(wedge, 'removed', '');
  now.tell(run, 'cap_out');
  now.tell(run, 'noted', 'Fat end of the pins to the rear, links 149 mm, 2 mm of gap under them');
  now.tell(run, 'thread', 'Clean by hand, no tap needed');
  now.later(story.ago(0, 5)).add('operationEvents', { operationId: centre, kind: 'start', note: '' });
}
