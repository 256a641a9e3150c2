import { PEOPLE } from '../shop.ts';
import { Car, type Story } from '../story.ts';

/** V 076: a hill-climb single-seater, just booked in. */
export function osken(story: Story): void {
  const car = new Car(
    story,
    {
      tag: 'V 076',
      name: 'Osken Hillrunner',
      make: 'Osken',
      model: 'Hillrunner',
      year: 1982,
      variant: null,
      body: 'single-seater',
      use: 'competition',
      climate: 'temperate',
      storage: 'heated',
      standsYears: null,
      distanceUnit: 'none',
    },
    'single_seater_balance_bar',
  );
  car.job(PEOPLE.tomasz.id, story.ago(0, 20), {
    complaint: 'Long pedal after two runs, rears lock first when cold',
    wants: '',
    promised: story.day(18),
    fluidKnown: 'changed last season, kind not known',
  });
}
