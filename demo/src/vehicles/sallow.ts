import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { REAR, proveAll, ruth, tomasz, traced } from './common.ts';

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
    old.gauge(car.slot('shoes', corner), 'shoe_lining', 'as_found', rack.caliper, ['3.9', '4.2', '4.1', '3.8', '4.1', '4.0']);
    old.gauge(car.slot('hub', corner), 'hub_end_float', 'as_found', rack.dial, ['0.02']);
    for (const kind of ['drum', 'shoes', 'wheel_cylinder', 'hub'] as const) old.look(car.slot(kind, corner), 'Nothing to remark.');
    old.torque(`wheel:${corner}`, null, '62 Nm', '62 Nm');
  }
  for (const slot of [car.slot('master_cylinder'), car.slot('hose'), car.slot('clutch_master'), car.slot('clutch_slave')])
    old.look(slot, 'Dry.');
  old.fluid('Class 4 fluid, tin', 'L 0107');
  old.cause('adjuster_seized', car.slot('shoes', 'RL'), 'absent', 0.41, 1);
  old.cause('park_maladjusted', car.slot('parking_lever'), 'found', 0.35, 2);
  old.cause('over_adjusted', car.slot('shoes', 'RL'), 'absent', 0.12, 3);
  old.nothingElse();
  proveAll(old, REAR);
  old.release(['leak_next_day', 'retorque']);

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
