import { daysAfter } from '@dauer/core/quantity';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, takeOff } from './harness.ts';

/** What is promised, lent or put off has to fall due one day: a day that lies behind never would. */
describe('a day or distance that lies behind', () => {
  let shop: Shop;
  let car: Booked;
  const today = new Date().toISOString().slice(0, 10);
  const yesterday = daysAfter(today, -1);
  const tomorrow = daysAfter(today, 1);
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  const change = async (promised: string | null) => {
    const { id: _i, vehicleId: _v, openedAt: _o, openedBy: _b, importId: _m, ...fields } = (await shop.technician.file(car.jobId)).job;
    return shop.technician.ask<{ code?: string; promised?: string }>('PATCH', `/api/jobs/${car.jobId}`, {
      ...fields,
      scopeCorners: [...fields.scopeCorners],
      promised,
    });
  };
  const putOff = (over: { reviewOn?: string | null; untilKm?: number | null; happenedAt?: string }) =>
    shop.technician.event<'decisions'>(car.jobId, 'decisions', {
      ...{
        slotId: car.slot('hose', 'FL'),
        partId: null,
        option: 'put_off',
        reason: 'The owner brings it back',
        reviewOn: null,
        untilKm: null,
      },
      ...over,
    } as never);
  const lend = (until: string) =>
    shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
      ...{ partId: v7(), kind: 'fitted', slotId: car.slot('hose', 'FL'), note: '', temporary: true, until },
      part: { tag: null, kind: 'hose', name: 'Hose, lent', partNumber: null, note: '' },
    });

  it('is promised at no desk, and by no way of booking in', async () => {
    expect((await change(yesterday)).body.code).to.equal('until_past');
    expect((await change(today)).body.promised).to.equal(today);
    expect((await change(tomorrow)).body.promised).to.equal(tomorrow);
    let refused = '';
    await bookIn(shop.technician, 'utility_rods', { promised: yesterday }).catch((error: Error) => (refused = error.message));
    expect(refused).to.include('has passed');
  });

  it('a promise that has passed since keeps nobody from changing the rest', async () => {
    await change(tomorrow);
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    await client.query('update job set promised = $1 where id = $2', [yesterday, car.jobId]);
    await client.end();
    expect((await change(yesterday)).status).to.equal(200);
  });

  it('is the end of nothing that is put off or fitted for now, and what is says why', async () => {
    const refused = await putOff({ reviewOn: yesterday });
    expect([refused.status, refused.body.code]).to.deep.equal([422, 'until_past']);
    expect(refused.body.detail).to.match(/^Front left hose: .* has passed\. Name a day that is still to come\.$/);
    await takeOff(shop.technician, car, car.slot('hose', 'FL'));
    expect((await lend(yesterday)).body.code).to.equal('until_past');
    const file = await shop.technician.file(car.jobId);
    expect(file.decisions.length + file.partEvents.filter((e) => e.temporary).length).to.equal(0);
    expect((await putOff({ reviewOn: today })).status).to.equal(200);
    expect((await lend(tomorrow)).status).to.equal(200);
  });

  it('is judged by when it was said, however late it comes in', async () => {
    const longAgo = new Date(Date.now() - 20 * 86400000).toISOString();
    expect((await putOff({ reviewOn: daysAfter(longAgo, 3), happenedAt: longAgo })).status).to.equal(200);
    expect((await putOff({ reviewOn: daysAfter(longAgo, -3), happenedAt: longAgo })).body.code).to.equal('until_past');
  });

  it('a distance that is run already puts nothing off', async () => {
    await shop.technician.event<'counters'>(car.jobId, 'counters', { typed: '41,960', unit: 'km' });
    const refused = await putOff({ untilKm: 41000 });
    expect(refused.body.code).to.equal('until_past');
    expect(refused.body.detail).to.include('The counter stands at 41,960 km, past 41,000 km');
    expect((await putOff({ untilKm: 45000 })).status).to.equal(200);
  });
});
