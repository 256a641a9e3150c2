import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop } from './harness.ts';

const FLUID = { kind: 'fluid', complaint: '', wants: 'Fluid change', scopeCorners: [] };
const TRAILER = 'It goes home on a trailer, the road untried';

describe('how a vehicle leaves', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', FLUID);
  });
  after(() => shop.close());
  const leave = (who: 'lead' | 'technician', how: 'driven' | 'not_driven' | 'not_to_be_driven', note: string) =>
    shop[who].event<'leavings'>(car.jobId, 'leavings', { how, note });

  it('is said by a lead, in words', async () => {
    expect((await leave('technician', 'not_driven', TRAILER)).status).to.equal(403);
    for (const note of ['', 'abc', 'aaaaaaaaaaaaaa'])
      expect((await leave('lead', 'not_to_be_driven', note)).body.code, note).to.equal('reason_missing');
    expect((await leave('lead', 'not_to_be_driven', 'Rear line rusted through to the tank')).status).to.equal(200);
    expect((await leave('lead', 'driven', '')).status, 'after all').to.equal(200);
  });

  it('stands on the first line of the sheet, with what is left; and what was put off comes back in the yard and in the next job', async () => {
    const hose = car.slot('hose', 'FL');
    const put = await shop.technician.event<'decisions'>(car.jobId, 'decisions', {
      ...{ slotId: hose, partId: null, option: 'put_off', reason: 'Owner waits', untilKm: null, access: null },
      reviewOn: new Date(Date.now() + 5 * 86400000).toISOString().slice(0, 10),
    });
    expect(put.status, JSON.stringify(put.body)).to.equal(200);
    expect((await leave('lead', 'not_driven', TRAILER)).status).to.equal(200);
    await finishFluid(shop, car);
    const back = await shop.lead.ask<{ sheet: { leaves?: string; putOff: { place: string }[] } }>(
      'POST',
      `/api/jobs/${car.jobId}/release`,
      {
        ...{ id: v7(), password: PASSWORD },
      },
    );
    expect(back.status, JSON.stringify(back.body)).to.equal(200);
    expect(back.body.sheet.leaves).to.equal(`Not driven here: ${TRAILER}`);
    expect(back.body.sheet.putOff.map((l) => l.place)).to.deep.equal(['Front left hose']);
    const yard = await shop.reader.ask<{ putOffs: { jobId: string; what: string }[] }>('GET', '/api/yard');
    expect(yard.body.putOffs.map((p) => [p.jobId, p.what])).to.deep.equal([[car.jobId, 'Front left hose']]);
    const next = v7();
    const booked = await shop.technician.ask('POST', `/api/vehicles/${car.vehicleId}/jobs`, {
      ...{ id: next, kind: 'overhaul', complaint: 'Pulls', wants: 'Straight', fluidKnown: '', promised: null, scopeCorners: ['FL', 'FR'] },
    });
    expect(booked.status, JSON.stringify(booked.body)).to.equal(200);
    const records = await shop.technician.file(next);
    expect(records.decisions.map((d) => [d.jobId, d.slotId])).to.deep.equal([[car.jobId, hose]]);
    const now = await shop.reader.ask<{ putOffs: unknown[] }>('GET', '/api/yard');
    expect(now.body.putOffs, 'it is in the shop').to.deep.equal([]);
  });
});

describe('what came, and what lies on a pedal', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());
  const came = async (slotId: string, kind: 'came_loose' | 'came_missing' | 'removed') => {
    const partId = (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === slotId)!.partId;
    return shop.technician.event<'partEvents'>(car.jobId, 'part-events', { partId, kind, slotId, note: '', lineOn: true });
  };

  it('is said of what was not worked on, and its life says that it was never found', async () => {
    const caliper = car.slot('caliper', 'FL');
    expect((await came(caliper, 'came_missing')).status).to.equal(200);
    expect((await came(caliper, 'came_loose')).body.detail).to.match(/not in its place/);
    const partId = (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === caliper)!.partId;
    const life = await shop.reader.ask<{ where: string; life: { what: string }[] }>('GET', `/api/parts/${partId}`);
    expect([life.body.where, life.body.life.map((l) => l.what)]).to.deep.equal(['missing', ['Missing when the vehicle came']]);
    expect((await came(car.slot('pads', 'FR'), 'removed')).status).to.equal(200);
    expect((await came(car.slot('pads', 'FR'), 'came_missing')).body.detail).to.match(/was worked on in this job/);
  });

  it('a board comes off last, by whatever way that is sent', async () => {
    const board = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('pedal'), what: 'board', note: '' });
    expect(board.status).to.equal(200);
    const off = await shop.technician.event<'takenOuts'>(car.jobId, 'taken-outs', { putInId: board.body.record.id });
    expect([off.status, off.body.code]).to.deep.equal([409, 'control_locked']);
    expect(off.body.detail).to.match(/^The board on the pedal comes off last: front left caliper is missing/);
  });
});
