import { type LimitVersion, readLimitList, rowOfLimit } from '@dauer/core';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { limitBody as limit, openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

describe('a list of limits', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const book = async () => (await shop.reader.ask<LimitVersion[]>('GET', '/api/limits')).body;
  const send = (limits: object[], who: Visitor = shop.technician) =>
    who.ask<{ written: number; code: string }>('POST', '/api/limits/import', { limits });

  it('is taken in whole and unchecked, and a repeat of the very list writes nothing', async () => {
    const list = [limit(), limit({ axle: 'rear', nominal: 10, machineTo: 9.2, at: 8.9 })];
    expect((await send(list)).body.written).to.equal(2);
    expect((await send(list)).body.written).to.equal(0);
    const now = await book();
    expect(now.map((l) => l.at).sort()).to.deep.equal([11, 8.9]);
    expect(now.every((l) => l.checkedBy === null)).to.equal(true);
  });

  it('one row that conflicts by now, or contradicts itself, keeps all of it out', async () => {
    const good = limit({ model: 'Marl' });
    expect((await send([good, limit({ at: 10 })])).body.code).to.equal('conflicts');
    expect((await send([good, { ...good, id: v7(), seriesId: v7() }])).body.code).to.equal('conflicts');
    expect((await send([good, limit({ model: 'Other', at: 14 })])).status).to.equal(422);
    expect((await send([good, limit({ model: 'Other', characteristic: 'colour' })])).body.code).to.equal('unknown_characteristic');
    expect((await send([good], shop.reader)).status).to.equal(403);
    expect(await book()).to.have.length(2);
  });

  it('what comes out goes in again as what stands there already', async () => {
    const now = await book();
    expect(readLimitList(now.map(rowOfLimit), now).map((r) => r.verdict)).to.deep.equal(['same', 'same']);
  });

  it('two people sending the same rows at once: one list goes in', async () => {
    const lists = [1, 2].map(() => [limit({ model: 'Sallow' }), limit({ model: 'Sallow', axle: 'rear' })]);
    const [a, b] = await Promise.all([send(lists[0]!), send(lists[1]!, shop.lead)]);
    expect([a.status, b.status].sort()).to.deep.equal([200, 409]);
    expect((await book()).filter((l) => l.model === 'Sallow')).to.have.length(2);
  });
});

describe('a shop of one', () => {
  it('checks its own limit on a later day, and it shows as checked alone', async () => {
    const shop = await openShop();
    const people = (await shop.lead.ask<{ id: string; role: string; version: number }[]>('GET', '/api/people')).body;
    for (const p of people.filter((x) => x.role === 'technician'))
      await shop.lead.ask('PATCH', `/api/people/${p.id}`, { version: p.version, active: false });
    const own = limit();
    await shop.lead.ask('POST', '/api/limits', own);
    const check = () => shop.lead.ask<{ code: string; checkedBy: string; enteredBy: string }>('POST', `/api/limits/${own.id}/check`, {});
    expect((await check()).body.code).to.equal('same_day');
    // A day goes by.
    const db = new pg.Client({ connectionString: shop.url });
    await db.connect();
    await db.query('alter table limit_version disable trigger only_added');
    await db.query(`update limit_version set entered_at = entered_at - interval '1 day'`);
    await db.query('alter table limit_version enable trigger only_added');
    await db.end();
    const done = (await check()).body;
    expect(done.checkedBy).to.equal(done.enteredBy);
    const another = new Visitor(() => shop.app);
    await shop.lead.ask('POST', '/api/people', { id: v7(), name: 'Two', login: 'two', password: PASSWORD, role: 'technician' });
    await another.ask('POST', '/api/sign-in', { login: 'two', password: PASSWORD });
    const later = limit({ model: 'Marl' });
    await another.ask('POST', '/api/limits', later);
    expect((await another.ask<{ code: string }>('POST', `/api/limits/${later.id}/check`, {})).body.code).to.equal('own_limit');
    await shop.close();
  });
});
