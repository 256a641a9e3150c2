import { Car, type Story } from '../story.ts';
import { SAID, STANDING, ines, ruth } from './common.ts';

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
  for (const item of STANDING) done.prove(item, 'passed', null, SAID[item]);
  const same = done.prove('complaint', 'same', null, 'for the first two stops only');
  done.by(ines).accept(`proof:complaint|lead|${same}`, 'Linings are sound; the owner will live with it until the spring.');
  done.release(['leak_next_day']);
}
