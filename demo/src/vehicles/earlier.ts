import type { Corner } from '@dauer/core/layout';
import { Car, type Story, type Telling } from '../story.ts';
import { FOUR, FRONT, proveAll, ruth, tomasz, traced } from './common.ts';

/** Calipers of the front stripped and resealed, filled and handed back. */
function resealed(t: Telling, corners: readonly Corner[], batch: string): void {
  for (const corner of corners) {
    const caliper = t.car.slot('caliper', corner);
    t.look(caliper, 'Piston stiff, groove of the seal full.', 'doubt');
    t.decide(caliper, 'reseal');
    t.part(caliper, 'opened', '');
    t.part(caliper, 'resealed', `kit of ${batch}`);
    t.torque(`caliper:${caliper.id}`, caliper, '68 Nm', '68 Nm');
    t.torque(`wheel:${corner}`, null, '75 Nm', '75 Nm');
  }
  t.fluid('Class 4 fluid, tin', batch);
  proveAll(t, corners);
  t.release(['leak_next_day']);
}

/** The museum’s vehicles that stand: three of them, two overdue for exercise. */
export function fleet(story: Story): void {
  const stands = (tag: string, name: string, make: string, model: string, year: number, template: string, years: number): Car =>
    new Car(
      story,
      {
        ...{ tag, name, make, model, year, variant: null, body: 'museum', use: 'stands', climate: 'damp', storage: 'dry' },
        ...{ standsYears: years, distanceUnit: 'km' },
      },
      template,
    );
  const made = (car: Car, days: number, km: string, exercised: readonly number[]): void => {
    const t = car.job(tomasz, story.ago(days), { complaint: 'To run in the parade', kind: 'fluid', scopeCorners: [] });
    t.counter(km);
    t.fluid('Class 4 fluid, low moisture', `L ${days}`);
    proveAll(t, []);
    t.release(['leak_next_day']);
    for (const ago of exercised) t.later(story.ago(ago)).exercise('pressed_and_parked');
  };
  made(stands('V 033', 'Rooke post van', 'Rooke', 'Post', 1958, 'drums_single', 6), 330, '41,880 km', [150]);
  made(stands('V 036', 'Osken crew bus', 'Osken', 'Crew', 1961, 'saloon_disc_drum_single', 2), 280, '112,300 km', [190, 100, 25]);
  made(stands('V 039', 'Quillon tourer', 'Quillon', 'Tourer', 1966, 'coupe_disc_disc_tandem_servo', 9), 200, '63,050 km', []);
}

/** Three vehicles of years ago: what was resealed then, one that came back for it, and when each was last seen. */
export function earlier(story: Story): void {
  const car = (tag: string, name: string, make: string, model: string, year: number, template: string): Car =>
    new Car(
      story,
      {
        ...{ tag, name, make, model, year, variant: null, body: 'saloon', use: 'seasonal', climate: 'temperate', storage: 'dry' },
        ...{ standsYears: null, distanceUnit: 'km' },
      },
      template,
    );
  const job = (c: Car, days: number, complaint: string, km: string, corners: readonly Corner[] = FRONT): Telling => {
    const t = c.job(days % 2 === 0 ? tomasz : ruth, story.ago(days), { complaint, scopeCorners: [...corners] });
    t.counter(km);
    traced(t, corners);
    return t;
  };
  const seen = (c: Car, days: number, km: string): void => {
    const t = c.job(ruth, story.ago(days), { complaint: 'Yearly look', kind: 'fluid', scopeCorners: [] });
    t.counter(km);
    t.fluid('Class 4 fluid, tin', `L ${days}`);
    proveAll(t, []);
    t.release(['leak_next_day']);
  };
  const coupe = car('V 012', 'Tavell Corrie', 'Tavell', 'Corrie', 1970, 'coupe_disc_disc_tandem_servo');
  const first = job(coupe, 1910, 'Pulls to the left', '52,300 km');
  resealed(first, FRONT, 'L 0102');
  const again = job(coupe, 1430, 'Front left hot again', '58,900 km');
  again.add('comebacks', {
    ...{ slotId: coupe.slot('caliper', 'FL').id, repairedIn: first.jobId, answer: 'comeback' },
    note: 'The same piston: its bore was pitted under the old seal',
  });
  resealed(again, ['FL'], 'L 0131');
  seen(coupe, 420, '71,200 km');

  const saloon = car('V 023', 'Brindle Sallow', 'Brindle', 'Sallow', 1965, 'saloon_disc_drum_single');
  resealed(job(saloon, 1560, 'Long pedal, front drags', '88,000 km'), FRONT, 'L 0117');
  seen(saloon, 300, '97,400 km');

  const tourer = car('V 030', 'Tavell Corrie', 'Tavell', 'Corrie', 1972, 'coupe_disc_disc_tandem_servo');
  resealed(job(tourer, 1120, 'Stood two winters, seized', '34,600 km', FOUR), FOUR, 'L 0148');
  seen(tourer, 260, '41,050 km');
}
