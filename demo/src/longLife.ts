import { fillRack, PEOPLE } from './shop.ts';
import { Car, Story } from './story.ts';
import { FOUR, proveAll, traced } from './vehicles/common.ts';

const COMPLAINTS = [
  'Judders from speed',
  'Long pedal',
  'Pulls to the left',
  'Squeals when cold',
  'Rear left runs hot',
  'Lever holds badly',
];

/**
 * One vehicle with six jobs over as many years, each measured, fitted, filled and handed back: what a shop's book is grown
 * from to measure how fast it is when it is old.
 * @param today instant, ms
 */
export function longLife(today: number): Story {
  const story = new Story(today);
  const rack = fillRack(story);
  story.gauges.splice(0, story.gauges.length, ...story.gauges.map((g, i) => ({ ...g, tag: `X-${i}` })));
  const car = new Car(
    story,
    {
      ...{ tag: 'L 0001', name: 'Tavell Corrie GT', make: 'Tavell', model: 'Corrie', year: 1971, variant: 'GT', body: 'coupé' },
      ...{ use: 'seasonal', climate: 'temperate', storage: 'dry', standsYears: null, distanceUnit: 'km' },
    },
    'coupe_disc_disc_tandem_servo',
  );
  COMPLAINTS.forEach((complaint, n) => {
    const job = car.job(PEOPLE.tomasz.id, story.ago(3300 - n * 540), { complaint, wants: 'Sound brakes' });
    job.counter(`${30000 + n * 9000} km`);
    traced(job, FOUR);
    for (const corner of FOUR) {
      const about = (corner.startsWith('F') ? 12.6 : 9.8) - n * 0.05;
      const round = Array.from({ length: 8 }, (_, k) => (about + 0.004 * Math.cos(k)).toFixed(3));
      job.gauge(car.slot('rotor', corner), 'rotor_thickness', 'as_found', rack.mic, round);
      const sweep = Array.from({ length: 8 }, (_, k) => (0.03 + 0.02 * Math.cos((k * Math.PI) / 4)).toFixed(2));
      job.gauge(car.slot('rotor', corner), 'rotor_runout', 'as_found', rack.dial, sweep);
      job.gauge(car.slot('pads', corner), 'pad_lining', 'as_found', rack.caliper, ['6.40', '6.31', '6.22', '6.28']);
      if (car.layout.slots.some((s) => s.kind === 'hub' && s.corner === corner))
        job.gauge(car.slot('hub', corner), 'hub_end_float', 'as_found', rack.dial, ['0.02']);
      for (const kind of ['caliper', 'rotor', 'pads', 'hub', 'hose'] as const)
        if (car.layout.slots.some((s) => s.kind === kind && s.corner === corner)) job.look(car.slot(kind, corner), 'Nothing to remark.');
    }
    if (n === 0) car.tag(car.slot('rotor', 'FL'), 'LP 0001');
    job.fluid('Class 4 fluid, tin', `L 0${n}`);
    proveAll(job, FOUR);
    job.release();
  });
  return story;
}
