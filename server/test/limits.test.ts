import { plannedPositions } from '@dauer/core/catalogue';
import type { LimitVersion } from '@dauer/core/verdict';
import { readLimitList, rowOfLimit } from '@dauer/core/views';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { bookIn, limitBody as limit, openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

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

describe('a new version of a limit', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  interface Entered {
    readonly id: string;
    readonly code: string;
    readonly current: { readonly id: string };
    readonly changed: {
      readonly jobId: string;
      readonly place: string;
      readonly characteristic: string;
      readonly was: string;
      readonly is: string;
    }[];
  }
  const enter = (body: object, who: Visitor = shop.technician) => who.ask<Entered>('POST', '/api/limits', body);
  async function measured(over: Record<string, unknown> = {}): Promise<string> {
    const { jobId, slot } = await bookIn(shop.technician, undefined, over);
    const setId = v7();
    await shop.technician.event<'sets'>(jobId, 'sets', {
      ...{ id: setId, slotId: slot('rotor', 'FL'), partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean' },
      ...{ cold: true, averages: false, count: 8 },
    } as never);
    for (const p of plannedPositions('rotor_thickness', 8))
      await shop.technician.event<'readings'>(jobId, 'readings', {
        ...{ setId, frame: p.frame, angleDeg: p.angleDeg, place: p.place, pass: 1, gaugeVersionId: null, typed: '11.60', unit: 'mm' },
      } as never);
    return jobId;
  }

  it('judges open jobs again and lists what fell differently, and nothing of other types', async () => {
    const first = limit();
    expect((await enter(first)).body.changed).to.deep.equal([]);
    const jobId = await measured();
    const stricter = await enter({ ...first, id: v7(), replaces: first.id, machineTo: 12.2, at: 11.8 });
    expect(stricter.body.changed.map((c) => [c.jobId, c.place, c.characteristic, c.was, c.is])).to.deep.equal([
      [jobId, 'Front left rotor', 'Rotor thickness', 'holds', 'past'],
    ]);
    const other = await enter(limit({ model: 'Marl', machineTo: 12.2, at: 11.9 }));
    expect(other.body.changed).to.deep.equal([]);
    const back = await shop.technician.ask<{ changed: unknown[] }>('POST', '/api/limits/import', {
      limits: [limit({ variant: 'GT', at: 11 })],
    });
    expect(back.body.changed).to.have.length(1);
  });

  it('does not pass over a newer one of somebody else: both stay on record, and the second is told', async () => {
    const first = limit({ model: 'Sallow', axle: 'rear' });
    await enter(first);
    const [mine, theirs] = [limit({ ...first, id: v7(), at: 10.8 }), limit({ ...first, id: v7(), at: 10.9 })];
    const answers = await Promise.all([enter({ ...mine, replaces: first.id }), enter({ ...theirs, replaces: first.id }, shop.lead)]);
    expect(answers.map((a) => a.status).sort()).to.deep.equal([200, 409]);
    const lost = answers.findIndex((a) => a.status === 409);
    const kept = [mine, theirs][1 - lost]!;
    expect(answers[lost]!.body.current.id).to.equal(kept.id);
    expect((await enter({ ...[mine, theirs][lost]!, id: v7(), replaces: kept.id })).status).to.equal(200);
    const all = await shop.reader.ask<{ at: number; enteredByName: string }[]>('GET', `/api/limits/series/${first.seriesId}`);
    expect(all.body.map((l) => l.at)).to.have.members([first.at, 10.8, 10.9]);
    for (const l of all.body) expect(l.enteredByName.length).to.be.above(0);
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

describe('a limit of one vehicle or part', () => {
  it('is listed with whose it is', async () => {
    const shop = await openShop();
    const { jobId, vehicleId } = await bookIn(shop.technician);
    const own = limit({ scope: 'vehicle', appliesTo: vehicleId, make: null, model: null });
    await shop.technician.ask('POST', '/api/limits', own);
    const { partEvents, vehicle } = await shop.technician.file(jobId);
    const partId = partEvents[0]!.partId;
    await shop.technician.ask('POST', `/api/parts/${partId}/tag`, { tag: 'P 9001', partNumber: null });
    await shop.technician.ask('POST', '/api/limits', limit({ scope: 'part', appliesTo: partId, make: null, model: null, axle: null }));
    await shop.technician.ask(
      'POST',
      '/api/limits',
      limit({ scope: 'part', appliesTo: 'no id at all', make: null, model: null, axle: 'rear' }),
    );
    const book = (await shop.reader.ask<{ scope: string; appliesName: string | null }[]>('GET', '/api/limits')).body;
    expect(book.find((l) => l.scope === 'vehicle')!.appliesName).to.equal(vehicle.tag);
    expect(book.filter((l) => l.scope === 'part').map((l) => l.appliesName)).to.have.members(['P 9001', null]);
    await shop.close();
  });

  it('a generic torque is agreed to by name, once each, and stands in every job file; another one there is not', async () => {
    const shop = await openShop();
    interface Listed {
      readonly id: string;
      readonly agreed: readonly { readonly checkedBy: string; readonly checkedByName: string }[];
    }
    const agree = (torque: string) => shop.lead.ask<{ torque: string }>('POST', `/api/torques/${torque}/check`, {});
    expect((await agree('hub_nut')).status).to.equal(404);
    for (let n = 0; n < 2; n += 1) expect((await agree('union')).body.torque).to.equal('union');
    await shop.technician.ask('POST', '/api/torques/union/check', {});
    const listed = (await shop.technician.ask<Listed[]>('GET', '/api/torques')).body;
    const by = (id: string): number => new Set(listed.find((t) => t.id === id)?.agreed.map((c) => c.checkedByName)).size;
    expect([by('union'), by('banjo_iron')]).to.deep.equal([2, 0]);
    const { jobId } = await bookIn(shop.technician);
    expect((await shop.technician.file(jobId)).torqueChecks.map((c) => c.torque)).to.deep.equal(['union', 'union']);
    await shop.close();
  });
});
