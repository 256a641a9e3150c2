import { buildStandalone } from '@dauer/core/layout';
import { v7 } from 'uuid';
import { Car, type Story } from '../story.ts';
import { ruth, tomasz } from './common.ts';

/** V 078: two calipers that came by post, resealed and on the bench: one holds, the other drops when it is held high. */
export function parcel(story: Story): void {
  const car = new Car(
    story,
    {
      ...{ tag: 'V 078', name: 'Two calipers, by post', make: 'Tavell', model: 'Corrie', year: 1970, variant: null, body: '' },
      ...{ use: 'seasonal', climate: 'temperate', storage: 'dry', standsYears: null, distanceUnit: 'none' },
    },
    (vehicleId) => buildStandalone([{ kind: 'caliper', count: 2, pistons: 2 }], v7(), vehicleId, v7),
  );
  const t = car.job(ruth, story.ago(6), {
    ...{ complaint: 'One piston stuck in each', wants: 'Freed, sealed and held', kind: 'unit', promised: story.day(4), scopeCorners: [] },
    scopeIn: car.layout.slots.map((s) => s.id),
  });
  const calipers = car.layout.slots.filter((s) => s.kind === 'caliper');
  const pistons = car.layout.slots.filter((s) => s.kind === 'piston');
  for (const p of pistons) t.look(p, 'Polished by its seal, no pit where it runs.');
  for (const c of calipers) {
    t.look(c, 'Groove full of deposit, bore sound once it was clean.', 'note');
    t.decide(c, 'reseal');
  }
  for (const p of pistons) t.decide(p, 'use_again');
  t.by(tomasz).later(story.ago(2));
  for (const c of calipers) {
    t.part(c, 'opened', '');
    t.part(c, 'resealed', 'kit of P 0117');
  }
  t.later(story.ago(1));
  const [sound, drops] = calipers;
  if (!sound || !drops) throw new Error('two calipers');
  t.held(sound, 'bench_low', ['3.05', '3.05'], 5);
  t.held(sound, 'bench_high', ['70', '69'], 2);
  t.held(drops, 'bench_low', ['3.00', '3.00'], 5);
  t.held(drops, 'bench_high', ['70', '58'], 2);
  t.look(drops, 'Weeps at the outer piston when it is held high, dry when it is held low.', 'doubt');
}
