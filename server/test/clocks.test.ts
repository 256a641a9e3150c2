import { TIMER_REFUSED } from '@dauer/core/wording';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, takeOff } from './harness.ts';

const HOUR = 3600000;
const POWDER = { process: 'powder_cure', minutes: 20, fromC: 190, toC: 210, metal: 'iron_or_steel' } as const;

describe('processes by the clock, and lines by their shape', () => {
  let shop: Shop;
  let car: Booked;
  let caliper: string;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    caliper = car.slot('caliper', 'FL');
  });
  after(() => shop.close());

  const start = (body: object) => shop.technician.event<'timers'>(car.jobId, 'timers', body as never);
  const tell = (timerId: string, body: object) =>
    shop.technician.event<'timerSteps'>(car.jobId, 'timer-steps', { timerId, ...body } as never);
  const partOf = async (slotId: string): Promise<string> =>
    (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === slotId)!.partId;
  const work = async (slotId: string, kind: string, lot: string | null = null) =>
    shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
      ...{ partId: await partOf(slotId), kind, slotId: null, note: '', lot },
    } as never);
  const place = (kind: string, corner: string) => car.layout.slots.find((s) => s.kind === kind && s.corner === corner)!;
  const earlier = (hours: number): string => new Date(Date.now() - hours * HOUR).toISOString();

  it('heats nothing that is on, has its seals in, or loses its strength', async () => {
    const body = { slotId: caliper, ...POWDER };
    expect((await start(body)).body.detail).to.match(/is on. What is heated is off/);
    await takeOff(shop.technician, car, caliper);
    expect((await start(body)).body.detail).to.match(/seals of the front left caliper are in it/);
    expect((await work(caliper, 'opened')).status).to.equal(200);
    expect((await start({ ...body, metal: null })).body.detail).to.equal(TIMER_REFUSED.metal);
    expect((await start({ ...body, metal: 'aluminium' })).body.detail).to.equal(TIMER_REFUSED.aluminium);
    // Other figures than the usual ones go by a sheet.
    expect((await start({ ...body, minutes: 5 })).body.detail).to.equal(TIMER_REFUSED.sheet);
    expect((await start({ ...body, fromC: 120, toC: 140 })).body.detail).to.equal(TIMER_REFUSED.sheet);
    expect((await start({ ...body, fromC: null, toC: null })).body.detail).to.equal(TIMER_REFUSED.heat(true));
    expect((await start({ ...body, fromC: 210, toC: 190, sheet: 'Powder 7' })).body.detail).to.equal(TIMER_REFUSED.window);
    expect((await start({ ...body, process: 'soak', minutes: 1440 })).body.detail).to.equal(TIMER_REFUSED.heat(false));
    expect((await start({ ...body, slotId: car.slot('hose', 'FL') })).body.detail).to.equal(TIMER_REFUSED.neverHeated(place('hose', 'FL')));
    expect((await start({ slotId: v7(), process: 'soak', minutes: 1440 })).status).to.be.within(400, 499);
  });

  it('counts from when the part is hot, not the oven; a colder measure begins it anew; it does not end before its time', async () => {
    // A bleeder is no part of its own that could be on.
    const body = { slotId: car.slot('bleeder', 'FL'), ...POWDER, happenedAt: earlier(2) };
    const both = await Promise.all([start(body), start(body)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(TIMER_REFUSED.running);
    // Of two tablets that press at once the one whose press comes in second may have pressed a moment before.
    const sooner = new Date(Date.parse(body.happenedAt) - 2000).toISOString();
    expect((await start({ ...body, happenedAt: sooner })).body.detail).to.equal(TIMER_REFUSED.running);
    const id = both.find((b) => b.status === 200)!.body.record.id;
    const clocks = async () => (await shop.reader.ask<{ timerId: string; overAt: string | null }[]>('GET', '/api/clocks')).body;
    expect((await clocks()).map((c) => [c.timerId, c.overAt])).to.deep.equal([[id, null]]);
    expect((await tell(id, { kind: 'ended' })).body.detail).to.match(/does not count yet/);
    expect((await tell(id, { kind: 'measured', typed: 'warm' })).status).to.be.within(400, 499);
    expect((await tell(id, { kind: 'measured' })).body.detail).to.equal(TIMER_REFUSED.noFigure);
    expect((await tell(id, { kind: 'measured', typed: '392 F', happenedAt: earlier(1.9) })).body.record['tempC']).to.be.closeTo(200, 0.01);
    expect((await clocks())[0]!.overAt).to.equal(
      new Date(Date.parse(earlier(1.9)) + HOUR / 3).toISOString().slice(0, 16) + (await clocks())[0]!.overAt!.slice(16),
    );
    await tell(id, { kind: 'measured', typed: '150', happenedAt: earlier(1.8) });
    await tell(id, { kind: 'measured', typed: '195', happenedAt: earlier(0.1) });
    // An hour and a half of it was too cold: of 20 minutes six are over.
    expect((await tell(id, { kind: 'ended' })).body.detail).to.match(/left. Where it was broken off/);
    expect((await tell(id, { kind: 'broken_off' })).body.detail).to.equal(TIMER_REFUSED.why);
    expect((await tell(id, { kind: 'broken_off', note: 'The door stood open' })).status).to.equal(200);
    expect((await tell(id, { kind: 'ended' })).body.detail).to.equal(TIMER_REFUSED.ended);
    const justBefore = new Date(Date.now() - 2000).toISOString();
    expect((await tell(id, { kind: 'broken_off', note: 'So do I', happenedAt: justBefore })).body.detail).to.equal(TIMER_REFUSED.ended);
    expect(await clocks()).to.deep.equal([]);
  });

  it('is a start in the book: it goes on whoever is there, is over in its time, and a take-back lets it run again', async () => {
    const id = (await start({ slotId: car.slot('bleeder', 'FR'), ...POWDER, happenedAt: earlier(1) })).body.record.id;
    await tell(id, { kind: 'measured', typed: '200', happenedAt: earlier(0.9) });
    await shop.restart();
    expect((await shop.reader.ask<object[]>('GET', '/api/clocks')).body).to.have.length(1);
    const ended = await tell(id, { kind: 'ended' });
    expect(ended.status).to.equal(200);
    expect((await shop.reader.ask<object[]>('GET', '/api/clocks')).body).to.deep.equal([]);
    await shop.technician.event<'takeBacks'>(car.jobId, 'take-backs', { corrects: ended.body.record.id, reason: '' } as never);
    expect((await shop.reader.ask<object[]>('GET', '/api/clocks')).body).to.have.length(1);
  });

  it('keeps no shape that no tube can have, and prints one that it can as a strip, a sheet a quarter of a metre', async () => {
    const line = car.layout.connections.find((c) => c.kind === 'line')!;
    const end = { flare: 'double', thread: 'M10 x 1', usedMm: 2.5 };
    const shape = { connectionId: line.id, outsideMm: 4.75, bendRadiusMm: 15, slackMm: 0, by: 'wire', first: end, last: end };
    const send = (stretches: object[], over: object = {}) =>
      shop.technician.event<'lineShapes'>(car.jobId, 'line-shapes', { ...shape, stretches, ...over } as never);
    const strip = (of: string) => shop.reader.raw(`/api/jobs/${car.jobId}/lines/${of}/strip.pdf`);
    const bent = [
      { lengthMm: 400, deflectionDeg: 90, turnDeg: 0 },
      { lengthMm: 200, deflectionDeg: 0, turnDeg: 0 },
    ];
    expect((await strip(line.id)).status).to.equal(404);
    expect((await send(bent, { bendRadiusMm: 10 })).body).to.include({ code: 'bend_too_tight' });
    expect((await send([{ lengthMm: 10, deflectionDeg: 90, turnDeg: 0 }, ...bent])).body).to.include({ code: 'bends_overlap' });
    expect((await send(bent)).status).to.equal(200);
    const { bytes, status, type } = await strip(line.id);
    expect([status, type]).to.deep.equal([200, 'application/pdf']);
    // 598.6 mm on sheets of 250 that share 10.
    expect(bytes.toString('latin1').match(/\/Type \/Page\b/g)).to.have.length(3);
    expect((await strip(v7())).status).to.equal(404);
  });
});
