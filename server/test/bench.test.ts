import { expect } from 'chai';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { connect } from '../src/db/connect.ts';
import { EVENT_TABLES } from '../src/db/eventTables.ts';
import { rowsOfEach } from '../src/records/rows.ts';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

const SET = { partId: null, phase: 'as_found', surface: 'clean', cold: true, averages: false, count: 1 } as const;

describe('the bench', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  it('begins a set only where such a figure is taken', async () => {
    const sent = { ...SET, measurement: 'hub_end_float' } as const;
    const wrong = await shop.technician.event<'sets'>(car.jobId, 'sets', { ...sent, slotId: car.slot('hose', 'FL') });
    expect([wrong.status, wrong.body.code]).to.deep.equal([422, 'wrong_place']);
    const right = await shop.technician.event<'sets'>(car.jobId, 'sets', { ...sent, slotId: car.slot('hub', 'FL') });
    expect(right.status).to.equal(200);
    expect(right.body.record).to.include({ turn: 0, studs: null, blind: false });
  });

  it('takes a reading only at a position that its measurement has, in a unit of its kind', async () => {
    const setId = v7();
    await shop.technician.event<'sets'>(car.jobId, 'sets', { ...SET, id: setId, measurement: 'wheel_drag', slotId: car.slot('hub', 'FL') });
    const read = (place: string | null, angleDeg: number | null, frame: 'place' | 'hub_stud', unit: 'Nm' | 'mm' | 'lbf_ft') =>
      shop.technician.event<'readings'>(car.jobId, 'readings', {
        setId,
        frame,
        angleDeg,
        place,
        pass: 1,
        gaugeVersionId: null,
        typed: '3',
        unit,
      });
    for (const [place, angle, frame] of [
      ['sideways', null, 'place'],
      [null, 30, 'hub_stud'],
      ['before', 30, 'place'],
      [null, null, 'place'],
    ] as const)
      expect((await read(place, angle, frame, 'Nm')).body.code, `${place} ${angle}`).to.equal('wrong_position');
    expect((await read('before', null, 'place', 'mm')).body.code).to.equal('wrong_kind');
    const kept = await read('after', null, 'place', 'lbf_ft');
    expect(kept.status).to.equal(200);
    expect(kept.body.record['canonical']).to.be.closeTo(4.0674538449942, 1e-9);
  });

  it('keeps where a finding lies, and refuses a stretch that ends before it begins', async () => {
    const said = {
      ...{ slotId: car.slot('piston', 'FL'), partId: null, words: 'Pits.', rulesOut: [], settles: null },
      ...({ severity: 'doubt', cleaning: 'after' } as const),
    };
    const turned = await shop.technician.event<'findings'>(car.jobId, 'findings', { ...said, entry: 'piston_pit', fromMm: 14, toMm: 11 });
    expect([turned.status, turned.body.code]).to.deep.equal([422, 'upside_down']);
    const id = v7();
    const kept = await shop.technician.event<'findings'>(car.jobId, 'findings', {
      ...said,
      id,
      entry: 'piston_pit',
      fromMm: 11,
      toMm: 14,
      depthMm: 0.1,
    });
    expect(kept.body.record).to.include({ entry: 'piston_pit', fromMm: 11, toMm: 14, depthMm: 0.1, place: null });
    const plain = await shop.technician.event<'findings'>(car.jobId, 'findings', said);
    expect(plain.body.record).to.include({ entry: null, fromMm: null, code: null });
    expect((await shop.reader.file(car.jobId)).findings.find((f) => f.id === id)?.toMm).to.equal(14);
  });

  it('what is left undone by name is kept by name, once, and only of places that the vehicle has', async () => {
    const slotId = car.slot('piston', 'FL');
    const body = { id: v7(), closedBy: car.slot('pads', 'FL'), slotId, item: `gauge:${slotId}:piston_diameter:as_found`, what: 'Piston' };
    const first = await shop.technician.event<'leftItems'>(car.jobId, 'left-items', body);
    expect([first.status, first.body.status]).to.deep.equal([200, 'stored']);
    expect((await shop.technician.event<'leftItems'>(car.jobId, 'left-items', body)).body.status).to.equal('already_stored');
    expect((await shop.technician.event<'leftItems'>(car.jobId, 'left-items', { ...body, what: 'Another' })).status).to.equal(409);
    for (const bad of [{ slotId: v7() }, { closedBy: v7() }])
      expect(
        (await shop.technician.event<'leftItems'>(car.jobId, 'left-items', { ...body, id: v7(), ...bad })).status,
        JSON.stringify(bad),
      ).to.equal(422);
    for (const bad of [{ item: '' }, { what: 'x'.repeat(301) }, { slotId: null }])
      expect((await shop.technician.event<'leftItems'>(car.jobId, 'left-items', { ...body, id: v7(), ...bad } as never)).status).to.equal(
        400,
      );
    expect((await shop.reader.event<'leftItems'>(car.jobId, 'left-items', { ...body, id: v7() })).status).to.equal(403);
    const kept = (await shop.reader.file(car.jobId)).leftItems;
    expect(kept.map((l) => [l.id, l.slotId, l.closedBy, l.item])).to.deep.equal([[body.id, slotId, body.closedBy, body.item]]);
  });

  it('the shop adds findings of its own to the catalogue; nobody changes or removes one', async () => {
    const id = v7();
    const body = { id, kinds: ['hose'], name: 'Clip missing', looks: 'It hangs free.', matters: 'It rubs through.', severity: 'watch' };
    expect((await shop.reader.ask('POST', '/api/finding-entries', body)).status).to.equal(403);
    const first = await shop.technician.ask<{ name: string }>('POST', '/api/finding-entries', body);
    const again = await shop.technician.ask<{ name: string }>('POST', '/api/finding-entries', body);
    expect([first.body.name, again.body.name]).to.deep.equal(['Clip missing', 'Clip missing']);
    const other = await shop.technician.ask<{ code: string }>('POST', '/api/finding-entries', { ...body, name: 'Other' });
    expect([other.status, other.body.code]).to.deep.equal([409, 'id_reused']);
    const list = await shop.reader.ask<{ id: string }[]>('GET', '/api/finding-entries');
    expect(list.body.map((e) => e.id)).to.deep.equal([id]);
    expect((await shop.technician.ask('POST', '/api/finding-entries', { ...body, id: v7(), kinds: ['teapot'] })).status).to.equal(400);
    expect((await shop.technician.ask('POST', '/api/finding-entries', { ...body, id: v7(), name: '' })).status).to.equal(400);
  });

  it('rows made by the database are those that the schema would make, of every family', async () => {
    const { db, close } = connect(shop.url);
    try {
      let seen = 0;
      for (const [name, table] of Object.entries(EVENT_TABLES)) {
        const where = sql`true order by id`;
        const plain = await db.select().from(table).where(where);
        const asked = { one: [table, where], none: [table, sql`false`] } as const;
        expect(await rowsOfEach(db, { name: `all_of_${name}`, queries: asked }, {}), name).to.deep.equal({ one: plain, none: [] });
        seen += plain.length;
      }
      expect(seen).to.be.greaterThan(20);
    } finally {
      await close();
    }
  });

  it('a second measure is kept as one, and a sweep with what the rotor was turned on by', async () => {
    const sweep = { ...SET, measurement: 'rotor_runout', slotId: car.slot('rotor', 'FL'), count: 12 } as const;
    const turned = await shop.technician.event<'sets'>(car.jobId, 'sets', { ...sweep, turn: 2, studs: 5 });
    expect(turned.body.record).to.include({ turn: 2, studs: 5, blind: false });
    const blind = await shop.lead.event<'sets'>(car.jobId, 'sets', { ...sweep, blind: true });
    expect(blind.body.record).to.include({ turn: 0, studs: null, blind: true });
    for (const bad of [{ turn: -1 }, { turn: 1.5 }, { studs: 0 }, { studs: 2 }])
      expect((await shop.technician.event<'sets'>(car.jobId, 'sets', { ...sweep, ...bad })).status, JSON.stringify(bad)).to.equal(400);
  });
});
