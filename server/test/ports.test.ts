import { jointsOf } from '@dauer/core/readiness';
import { expect } from 'chai';
import { type Booked, bookIn, openShop, type Shop, type Visitor } from './harness.ts';

describe('ports of a unit', () => {
  let shop: Shop;
  let car: Booked;
  let slotId: string;
  let connectionId: string;
  let partId: string | null;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    slotId = car.slot('caliper', 'FL');
    const file = await shop.technician.file(car.jobId);
    connectionId = jointsOf(file.layout).find((j) => j.slot.id === slotId)!.connection.id;
    partId = file.partEvents.find((e) => e.slotId === slotId)?.partId ?? null;
    expect((await joint('opened')).status).to.equal(200);
  });
  after(() => shop.close());

  const joint = (kind: string, seal: string | null = null, who: Visitor = shop.technician) =>
    who.event<'jointEvents'>(car.jobId, 'joints', { connectionId, slotId, kind, seal, note: '' } as never);
  const putIn = (what: string, port: string | null) =>
    shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId, what, note: '', port } as never);
  const describePort = (body: object) =>
    shop.technician.event<'portFacts'>(car.jobId, 'port-facts', { slotId, partId, port: connectionId, ...body } as never);

  it('is not joined while its plug is in, whoever tells it, and is once it came out', async () => {
    const cap = await putIn('plug', connectionId);
    expect(cap.status).to.equal(200);
    for (const who of [shop.technician, shop.lead])
      expect((await joint('made', 'flare', who)).body.detail).to.match(/^Plug still in this port/);
    const out = await shop.technician.event<'takenOuts'>(car.jobId, 'taken-outs', { putInId: cap.body.record.id } as never);
    expect(out.status).to.equal(200);
    expect((await joint('made', 'flare')).status).to.equal(200);
    expect((await joint('opened')).status).to.equal(200);
  });

  it('is a port of the place, closed by what closes a port', async () => {
    expect((await putIn('block', connectionId)).body.detail).to.match(/no such port/);
    const line = (await shop.technician.file(car.jobId)).layout.connections.find(
      (c) => c.kind === 'line' && c.from !== slotId && c.to !== slotId,
    )!;
    expect((await putIn('cap', line.id)).body.detail).to.match(/no such port/);
    expect((await putIn('cap', 'somewhere')).status).to.equal(400);
    expect((await describePort({ port: line.id, seat: 'cone' })).body.detail).to.match(/no such port/);
    expect((await describePort({ partId: partId === null ? car.jobId : null, seat: 'cone' })).status).to.be.oneOf([404, 409, 422]);
  });

  it('is joined by what seals on its seat alone; what is corrected counts', async () => {
    expect((await describePort({ seat: 'flat', thread: 'M10 × 1', lies: 'Inboard' })).status).to.equal(200);
    expect((await joint('made', 'flare')).body.detail).to.match(/^“Flare, dry” does not seal here: this port is flat face/);
    const banjo = await joint('made', 'washers');
    expect(banjo.status).to.equal(200);
    // What stands is what was told; the newest of the part counts for what is made next.
    expect((await describePort({ seat: 'cone', thread: 'M10 × 1' })).status).to.equal(200);
    expect((await joint('opened')).status).to.equal(200);
    expect((await joint('made', 'washers')).body.detail).to.match(/takes a single or double flare/);
    expect((await joint('made', 'flare')).status).to.equal(200);
  });
});
