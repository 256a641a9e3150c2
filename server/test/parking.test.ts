import { jointsOf } from '@dauer/core/readiness';
import { PARK_REFUSED } from '@dauer/core/wording';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, PASSWORD, type Shop, type Visitor } from './harness.ts';

const LEFT = { standsOn: 'stands', heldBy: 'Four stands', knows: 'Ruth' } as const;

describe('a job left for longer than a night', () => {
  let shop: Shop;
  let car: Booked;
  let caliper: string;
  let taker: Visitor;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    caliper = car.slot('caliper', 'FL');
  });
  after(() => shop.close());

  const park = (body: object = LEFT, who: Visitor = shop.technician) => who.event<'parkings'>(car.jobId, 'parkings', body as never);
  const putIn = (slotId: string, what: string) =>
    shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId, what, note: '' } as never);
  const parked = async (): Promise<string> => (await shop.technician.file(car.jobId)).parkings.at(-1)!.id;
  const takeOver = async (parkingId: string, who: Visitor = shop.technician) =>
    who.event<'takeOvers'>(car.jobId, 'take-overs', { parkingId } as never);
  /** Work at the vehicle: a line opened at a place. */
  const openLine = async (slotId: string, over: object = {}, who: Visitor = shop.technician) => {
    const joint = jointsOf((await who.file(car.jobId)).layout).find((j) => j.slot.id === slotId)!;
    return who.event<'jointEvents'>(car.jobId, 'joints', {
      ...{ connectionId: joint.connection.id, slotId, kind: 'opened', seal: null, note: '' },
      ...over,
    } as never);
  };

  it('is not left with a part hanging on its hose, a port open or a pedal that invites; a record closes each, and no tick', async () => {
    const { partEvents } = await shop.technician.file(car.jobId);
    const partId = partEvents.find((e) => e.slotId === caliper)!.partId;
    const off = { partId, kind: 'removed', slotId: caliper, note: '', lineOn: true } as const;
    expect((await shop.technician.event<'partEvents'>(car.jobId, 'part-events', off)).status).to.equal(200);
    expect((await park()).body.detail).to.match(/front left caliper is off with its line on/);
    await putIn(caliper, 'hung');
    expect((await park()).body.detail).to.match(/do not press it, and nothing on it says so/);
    await putIn(car.slot('pedal'), 'board');
    // Nothing hangs any more once the line is off, and a port stands open instead.
    expect((await openLine(caliper)).status).to.equal(200);
    const shut = await park();
    expect(shut.body.code).to.equal('not_possible');
    expect(shut.body.detail).to.match(/^A port stands open at the front left caliper, end towards the .+, with no cap or plug on record/);
    await putIn(caliper, 'cap');
    expect((await park({ ...LEFT, heldBy: '  ' })).body.detail).to.equal(PARK_REFUSED.held);
    expect((await park({ ...LEFT, knows: '' })).body.detail).to.equal(PARK_REFUSED.knows);
    expect((await park({ ...LEFT, until: '2020-01-01' })).body.detail).to.equal(PARK_REFUSED.behind);
    expect((await park(LEFT, shop.reader)).status).to.equal(403);
  });

  it('is parked once, however many tablets press at the same moment, and a repeat is answered', async () => {
    const both = await Promise.all([park(), park(LEFT, shop.lead)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(PARK_REFUSED.already);
    const id = await parked();
    const { heldBy, knows, standsOn, happenedAt } = (await shop.technician.file(car.jobId)).parkings.at(-1)!;
    const author = both[0]!.status === 200 ? shop.technician : shop.lead;
    const again = await author.event<'parkings'>(car.jobId, 'parkings', { id, happenedAt, heldBy, knows, standsOn } as never);
    expect(again.body.status, JSON.stringify(again.body)).to.equal('already_stored');
  });

  it('and work that is told at the same instant stand against each other: one of them is refused, never both taken', async () => {
    const shutter = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    const at = shutter.slot('caliper', 'RL');
    const joint = jointsOf(shutter.layout).find((j) => j.slot.id === at)!;
    for (let round = 0; round < 6; round += 1) {
      const happenedAt = new Date().toISOString();
      const opened = { connectionId: joint.connection.id, slotId: at, kind: 'opened', seal: null, note: '', happenedAt };
      const both = await Promise.all([
        shop.technician.event<'jointEvents'>(shutter.jobId, 'joints', opened as never),
        shop.lead.event<'parkings'>(shutter.jobId, 'parkings', { ...LEFT, happenedAt } as never),
      ]);
      expect(both.map((b) => b.status).sort(), JSON.stringify(both.map((b) => b.body))).to.deep.equal([200, 422]);
      const taken = both.find((b) => b.status === 200)!;
      const author = taken === both[0] ? shop.technician : shop.lead;
      await author.event<'takeBacks'>(shutter.jobId, 'take-backs', { corrects: taken.body.record.id, reason: '' } as never);
    }
  });

  it('takes no work at the vehicle before somebody has read it, in any way in; a reading, a parcel and what was before are taken', async () => {
    const before = (await shop.technician.file(car.jobId)).parkings.at(-1)!.happenedAt;
    for (const who of [shop.technician, shop.lead]) {
      const refused = await openLine(car.slot('caliper', 'RR'), {}, who);
      expect(refused.status).to.equal(422);
      expect(refused.body).to.include({ code: 'not_possible', detail: PARK_REFUSED.first });
    }
    const proof = { item: 'pedal_pumped', slotId: null, corner: null, result: 'passed', note: '' };
    expect((await shop.technician.event<'proofs'>(car.jobId, 'proofs', proof as never)).status).to.be.within(400, 499);
    const handedBack = await shop.lead.ask<{ detail: string }>('POST', `/api/jobs/${car.jobId}/release`, { id: v7(), password: PASSWORD });
    expect(handedBack.body.detail).to.equal(PARK_REFUSED.first);
    const set = {
      ...{ slotId: car.slot('rotor', 'FR'), partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean' },
      ...{ cold: true, averages: false, count: 4 },
    };
    expect((await shop.technician.event<'sets'>(car.jobId, 'sets', set as never)).status).to.equal(200);
    // Told late, from a device that had been away: it happened before it was left.
    const late = await openLine(car.slot('caliper', 'RL'), { happenedAt: new Date(Date.parse(before) - 60000).toISOString() });
    expect(late.status, JSON.stringify(late.body)).to.equal(200);
  });

  it('is read as a card for the windscreen by whoever is signed in, and by nobody else', async () => {
    const card = await shop.reader.raw(`/api/jobs/${car.jobId}/parking.pdf`);
    expect(card).to.include({ status: 200, type: 'application/pdf' });
    expect(card.bytes.subarray(0, 5).toString()).to.equal('%PDF-');
    expect((await shop.nobody.raw(`/api/jobs/${car.jobId}/parking.pdf`)).status).to.equal(401);
    const yard = await shop.reader.ask<{ jobs: { jobId: string; waits: string[] }[] }>('GET', '/api/yard');
    expect(yard.body.jobs.find((j) => j.jobId === car.jobId)!.waits[0]).to.match(/: parked$/);
  });

  it('is taken over once, by name, and then goes on', async () => {
    const id = await parked();
    expect((await takeOver(id, shop.reader)).status).to.equal(403);
    expect((await takeOver(v7())).status).to.be.within(400, 499);
    const both = await Promise.all([takeOver(id), takeOver(id, shop.lead)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(PARK_REFUSED.notParked);
    taker = both[0]!.status === 200 ? shop.technician : shop.lead;
    expect((await openLine(car.slot('caliper', 'RR'))).status).to.equal(200);
  });

  it('is parked again where who took it over had not read it and takes that back', async () => {
    const { takeOvers } = await shop.technician.file(car.jobId);
    const back = await taker.event<'takeBacks'>(car.jobId, 'take-backs', { corrects: takeOvers.at(-1)!.id, reason: 'Not read' } as never);
    expect(back.status, JSON.stringify(back.body)).to.equal(200);
    expect((await openLine(car.slot('caliper', 'FR'))).body.detail).to.equal(PARK_REFUSED.first);
  });
});
