import { fluidVerdict } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, limitBody as limit, openShop, type Shop, takeOff } from './harness.ts';

interface PartFacts {
  part: { id: string; tag: string | null; partNumber: string | null };
  where: string;
  place: string | null;
  vehicleTag: string | null;
  life: { what: string; where: string; by: string }[];
}

describe('parts', () => {
  let shop: Shop;
  let car: Booked;
  let records: JobRecords;
  const partAt = (slotId: string): string => records.partEvents.find((e) => e.slotId === slotId)!.partId;
  const log = (partId: string, kind: 'removed' | 'sent' | 'returned' | 'fitted', slotId: string | null, note = '') =>
    shop.technician.event<'partEvents'>(car.jobId, 'part-events', { partId, kind, slotId, note, lineOn: kind === 'removed' });
  const look = async (partId: string): Promise<PartFacts> => (await shop.reader.ask<PartFacts>('GET', `/api/parts/${partId}`)).body;
  const bind = (partId: string, tag: string) =>
    shop.technician.ask<{ code: string; tag: string }>('POST', `/api/parts/${partId}/tag`, { tag, partNumber: 'TC 9' });
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    records = await shop.reader.file(car.jobId);
  });
  after(() => shop.close());

  it('a tag is bound once, and to one part', async () => {
    const rotor = partAt(car.slot('rotor', 'FL'));
    expect((await bind(rotor, 'P 0001')).body.tag).to.equal('P 0001');
    expect((await bind(rotor, 'P 0001')).status).to.equal(200);
    expect((await bind(rotor, 'P 0002')).body.code).to.equal('tagged');
    expect((await bind(partAt(car.slot('rotor', 'FR')), 'P 0001')).body.code).to.equal('already_used');
  });

  it('a part is where its events put it, and its life tells all of them, newest first', async () => {
    const slot = car.slot('caliper', 'FL');
    const part = partAt(slot);
    expect(await look(part)).to.include({ where: 'slot', place: 'Front left caliper' });
    await log(part, 'removed', slot);
    expect((await look(part)).where).to.equal('shelf');
    await log(part, 'sent', null, 'to the coater');
    const away = await look(part);
    expect([away.where, away.life[0]?.what, away.life[0]?.by]).to.deep.equal(['away', 'Sent out: to the coater', 'tess Person']);
    await log(part, 'returned', null);
    await log(part, 'fitted', slot);
    expect(await look(part)).to.include({ where: 'slot', place: 'Front left caliper' });
    expect((await look(part)).life.map((l) => l.what.split(':')[0])).to.deep.equal([
      'Fitted',
      'Back',
      'Sent out',
      'Taken off',
      'Found on the vehicle',
    ]);
  });

  it('an event taken back is not in its life, and the part is where it was', async () => {
    const slot = car.slot('hose', 'FR');
    const part = partAt(slot);
    await takeOff(shop.technician, car, slot);
    const off = (await shop.technician.file(car.jobId)).partEvents.find((e) => e.partId === part && e.kind === 'removed')!;
    await shop.technician.event<'takeBacks'>(car.jobId, 'take-backs', { corrects: off.id });
    expect((await look(part)).life.map((l) => l.what)).to.deep.equal(['Found on the vehicle']);
    expect(
      deriveJob(await shop.reader.file(car.jobId), new Date().toISOString()).components.find((c) => c.slot.id === slot)?.empty,
    ).to.equal(false);
  });

  it('a new part is described where it is fitted, and nothing is left of one whose job was closed', async () => {
    const partId = v7();
    await takeOff(shop.technician, car, car.slot('hose', 'FL'));
    const described = { tag: 'P 0300', kind: 'hose' as const, name: 'Hose', partNumber: 'H 12', note: '' };
    const fitted = await shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
      partId,
      kind: 'fitted',
      slotId: car.slot('hose', 'FL'),
      note: 'lot 7',
      temporary: true,
      part: described,
    });
    expect([fitted.status, fitted.body.record['temporary']]).to.deep.equal([200, true]);
    expect((await look(partId)).part).to.include({ tag: 'P 0300', partNumber: 'H 12' });
    const nowhere = await shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
      partId: v7(),
      kind: 'fitted',
      slotId: v7(),
      note: '',
      temporary: false,
      part: { ...described, tag: 'P 0301' },
    });
    expect(nowhere.body.code).to.equal('unknown_place');
    expect((await shop.reader.ask<unknown[]>('GET', '/api/parts?q=P%200301')).body).to.deep.equal([]);
  });

  it('are found by tag and number; what a search cannot mean finds nothing and breaks nothing', async () => {
    const find = async (q: string) => (await shop.reader.ask<{ title: string }[]>('GET', `/api/search?q=${encodeURIComponent(q)}`)).body;
    expect(await find('p 03')).to.have.length(1);
    expect(await find('h 12')).to.have.length(1);
    expect(await find('test coupé')).to.have.length(1);
    for (const q of ['%', '_', '\\', "' or 1=1 --", '   ']) expect(await find(q), q).to.deep.equal([]);
  });

  it('a vehicle is found by its complaint by anybody, by its owner’s name by a lead alone', async () => {
    const { jobId } = await bookIn(shop.technician, 'utility_rods', { complaint: 'Shudders downhill in the wet' });
    const find = async (who: Shop['lead'], q: string) =>
      (await who.ask<{ to: string; note: string }[]>('GET', `/api/search?q=${encodeURIComponent(q)}`)).body;
    const [hit] = await find(shop.reader, 'downhill');
    expect([hit?.to, hit?.note]).to.deep.equal([`/jobs/${jobId}`, 'Shudders downhill in the wet']);
    expect(await find(shop.technician, 'fenwick')).to.deep.equal([]);
    expect((await find(shop.lead, 'fenwick')).map((h) => h.to)).to.include(`/jobs/${jobId}`);
  });

  it('an unknown part is said to be unknown', async () => {
    expect((await shop.reader.ask('GET', `/api/parts/${v7()}`)).status).to.equal(404);
    expect((await bind(v7(), 'P 9')).status).to.equal(404);
  });
});

describe('the rack and the book', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const gauge = (over: Record<string, unknown> = {}) => ({
    id: v7(),
    gaugeId: v7(),
    tag: 'M-09',
    name: 'Micrometer 0 to 25 mm',
    kind: 'micrometer',
    resolution: 0.001,
    accuracy: 0.003,
    shortSpan: 0.001,
    rangeLow: 0,
    rangeHigh: 25,
    calibrationDue: '2030-01-01',
    ...over,
  });

  it('a gauge is never edited in place: a new version stands beside the old, the newest is shown', async () => {
    const first = gauge();
    expect((await shop.technician.ask('POST', '/api/gauges', first)).status).to.equal(200);
    await shop.technician.ask('POST', '/api/gauges', { ...first, id: v7(), accuracy: 0.02 });
    const rack = (await shop.reader.ask<{ tag: string; accuracy: number }[]>('GET', '/api/gauges')).body;
    expect(rack).to.have.length(1);
    expect(rack[0]).to.include({ tag: 'M-09', accuracy: 0.02 });
    const car = await bookIn(shop.technician);
    expect((await shop.reader.file(car.jobId)).gauges).to.have.length(2);
  });

  it('a gauge with a negative accuracy is refused', async () => {
    expect((await shop.technician.ask('POST', '/api/gauges', gauge({ accuracy: -1 }))).status).to.equal(400);
  });

  it('the book shows the newest version of a limit, a job keeps all of them', async () => {
    const first = limit();
    await shop.technician.ask('POST', '/api/limits', first);
    await shop.technician.ask('POST', '/api/limits', { ...first, id: v7(), at: 11.2 });
    const book = (await shop.reader.ask<{ at: number }[]>('GET', '/api/limits')).body;
    expect(book.map((l) => l.at)).to.deep.equal([11.2]);
    const car = await bookIn(shop.technician);
    const { limits } = await shop.reader.file(car.jobId);
    expect(limits.map((l) => l.at).sort()).to.deep.equal([11, 11.2]);
  });

  it('a repeated entry is answered as the first; another one under its id is refused', async () => {
    const once = limit({ axle: 'rear' });
    const first = await shop.technician.ask('POST', '/api/limits', once);
    expect((await shop.technician.ask('POST', '/api/limits', once)).body).to.deep.equal(first.body);
    expect((await shop.technician.ask<{ code: string }>('POST', '/api/limits', { ...once, at: 10 })).body.code).to.equal('id_reused');
  });
});

describe('the yard', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  interface Yard {
    jobs: {
      jobId: string;
      waits: string[];
      move: { level: string; reasons: string[] };
      running: { title: string }[];
      next: { what: string } | null;
    }[];
    fluid: { tag: string; why: string; due: string; changed: string | null }[];
  }
  const yard = async (): Promise<Yard> => (await shop.reader.ask<Yard>('GET', '/api/yard')).body;

  it('is empty in a new shop', async () => {
    expect(await yard()).to.deep.equal({ jobs: [], fluid: [], handedBack: [], late: [], stuck: [], putOffs: [], traffic: [] });
  });

  it('says what waits, what runs and how far a vehicle may be moved', async () => {
    const car = await bookIn(shop.technician);
    const records = await shop.reader.file(car.jobId);
    const slot = car.slot('rotor', 'FL');
    const partId = records.partEvents.find((e) => e.slotId === slot)!.partId;
    await takeOff(shop.technician, car, car.slot('caliper', 'FL'));
    for (const [kind, note] of [
      ['removed', ''],
      ['sent', 'to the turner'],
    ] as const)
      await shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
        partId,
        kind,
        slotId: slot,
        note,
        temporary: false,
        part: null,
      });
    const operation = await shop.technician.event<'operations'>(car.jobId, 'operations', {
      slotId: null,
      title: 'Soak',
      attendedMinutes: 5,
    });
    await shop.technician.event<'operationEvents'>(car.jobId, 'operation-events', {
      operationId: operation.body.record.id,
      kind: 'start',
      note: '',
    });
    const [job] = (await yard()).jobs;
    expect(job?.waits).to.deep.equal(['rotor, to the turner']);
    expect(job?.running.map((r) => r.title)).to.deep.equal(['Soak']);
    expect(job?.move).to.deep.include({ level: 'do_not_move' });
    expect(job?.move.reasons[0]).to.include('front left rotor is away');
    expect(job?.next?.what).to.equal('Distance run, read off the counter');
  });

  it('shows a fluid change that was left half done as due, until its last bleeder is closed', async () => {
    const car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { kind: 'fluid', scopeCorners: [] });
    await shop.technician.event<'fluidServices'>(car.jobId, 'fluid-services', {
      product: 'Class 4 fluid',
      fluidClass: '4',
      batch: '',
      lowMoisture: false,
    });
    const bleeders = car.layout.slots.filter((s) => s.kind === 'bleeder');
    const pull = (slotId: string) =>
      shop.technician.event<'bleedPulls'>(car.jobId, 'bleed-pulls', {
        slotId,
        volumeTyped: '120',
        colour: 'clear',
        air: 'none',
        closed: true,
      });
    for (const b of bleeders.slice(0, -1)) await pull(b.id);
    const [half] = (await yard()).fluid;
    const today = new Date().toISOString();
    expect(half?.why).to.match(/half done: one bleeder to go$/);
    expect(fluidVerdict(half!.due, today)).to.equal('past');
    await pull(bleeders.at(-1)!.id);
    const [whole] = (await yard()).fluid;
    expect([whole?.why, whole?.changed, fluidVerdict(whole!.due, today)]).to.deep.equal(['house interval', today.slice(0, 10), 'holds']);
  });

  it('a bleeder taken back is a bleeder not done', async () => {
    const [job] = (await yard()).jobs.filter((j) => j.waits.length === 0);
    const records = await shop.reader.file(job!.jobId);
    await shop.technician.event<'takeBacks'>(job!.jobId, 'take-backs', { corrects: records.bleedPulls[0]!.id });
    expect((await yard()).fluid[0]?.why).to.include('half done');
  });
});
