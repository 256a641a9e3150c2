import { expect } from 'chai';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

const STEPS = [{ stops: 3, fromKmh: 50, toKmh: 10, coolS: 30 }];

describe('bedding in', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, undefined, { kind: 'fluid', scopeCorners: [] });
  });
  after(() => shop.close());
  const plan = (steps: object[] = STEPS) =>
    shop.technician.event<'beddingPlans'>(car.jobId, 'bedding-plans', { product: 'Pads 12', steps: steps as typeof STEPS, source: '' });
  const count = (planId: string, step = 0) => shop.technician.event<'beddingStops'>(car.jobId, 'bedding-stops', { planId, step });

  it('takes steps that slow down, and nonsense not', async () => {
    expect((await plan([{ ...STEPS[0], toKmh: 60 }])).body.code).to.equal('upside_down');
    for (const bad of [{ stops: 0 }, { stops: 2.5 }, { fromKmh: 900 }, { coolS: -1 }])
      expect((await plan([{ ...STEPS[0], ...bad }])).status, JSON.stringify(bad)).to.equal(400);
    expect((await plan([])).status).to.equal(400);
    expect((await plan()).status).to.equal(200);
  });

  it('counts no stop of a vehicle that must not be driven yet, nor of a plan of another job', async () => {
    const { beddingPlans } = await shop.technician.file(car.jobId);
    const early = await count(beddingPlans[0]!.id);
    expect([early.status, early.body.code]).to.deep.equal([422, 'not_proved_yet']);
    const other = await bookIn(shop.technician, undefined, { kind: 'fluid', scopeCorners: [] });
    const theirs = await shop.technician.event<'beddingStops'>(other.jobId, 'bedding-stops', { planId: beddingPlans[0]!.id, step: 0 });
    expect(theirs.status).to.not.equal(200);
  });
});
