import type { Corner, Slot } from '@dauer/core/layout';
import type { CameWith, IntakeState, IntakeThing } from '@dauer/core/ledger';
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
      massKg: 540,
      massFrontKg: 235,
      wheelbaseMm: 2380,
      cgHeightMm: 320,
      tyreRadiusFrontMm: 270,
      tyreRadiusRearMm: 290,
    },
    'single_seater_balance_bar',
  );
  const job = car.job(PEOPLE.tomasz.id, story.ago(0, 20), {
    complaint: 'Long pedal after two runs, rears lock first when cold',
    wants: '',
    promised: story.day(18),
    fluidKnown: 'changed last season, kind not known',
    finish: 'driver',
    authorisedMinor: 90_000,
  });
  const years = (n: number): string => String(Number(story.day(0).slice(0, 4)) - n);
  job.add('earlierWork', {
    ...{ what: 'fluid_changed', slotId: null, on: `${years(1)}-09`, about: false, knownFrom: 'owner', source: 'the driver' },
    ...{ km: null, note: 'Kind not remembered' },
  });
  job.add('earlierWork', {
    ...{ what: 'overhauled', slotId: car.slot('caliper', 'FL').id, on: years(6), about: true, knownFrom: 'invoice', source: 'no. 2214' },
    ...{ km: null, note: '' },
  });
  const came = (name: string, place: Slot | null, fits: CameWith['fits'], count = 1, partNumber: string | null = null): void => {
    job.add('cameWith', { name, kind: place?.kind ?? null, slotId: place?.id ?? null, partNumber, count, fits, note: '' });
  };
  came('Pads, competition, boxed', car.slot('pads', 'FL'), 'fits', 2, 'FP 204');
  came('Caliper seal kit', car.slot('caliper', 'RL'), 'does_not_fit', 1, 'SK 38');
  came('Braided hose', car.slot('hose', 'RR'), 'not_tried');
  const look = (corner: Corner | null, thing: IntakeThing, state: IntakeState): void => {
    job.add('intakeLooks', { corner, thing, state, note: '' });
  };
  for (const thing of ['unions', 'hoses', 'fasteners', 'springs'] as const) look('FL', thing, 'sound');
  look('FL', 'bleeders', 'stiff');
  look('FR', 'bleeders', 'rounded');
  look('FR', 'unions', 'sound');
}
