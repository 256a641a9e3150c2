import { PERSON_HEADER, TAKEN_BY_HEADER } from '@dauer/contract';
import { BLACKED } from '@dauer/core/ledger';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

const fluidJob = (shop: Shop) =>
  bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { kind: 'fluid', complaint: '', scopeCorners: [] });

describe('people', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  it('somebody else’s entry is taken back with a reason, one’s own without; both are shown', async () => {
    const put = await shop.lead.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('caliper', 'FL'), what: 'block', note: '' });
    const back = (who: Visitor, corrects: string, reason = '') => who.event<'takeBacks'>(car.jobId, 'take-backs', { corrects, reason });
    expect((await back(shop.technician, put.body.record.id)).body.code).to.equal('reason_missing');
    expect((await back(shop.technician, put.body.record.id, 'it is the other side')).status).to.equal(200);
    const records = await shop.reader.file(car.jobId);
    expect(records.putIns).to.have.length(1);
    expect(records.takeBacks.map((t) => t.reason)).to.deep.equal(['it is the other side']);
    const own = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('caliper', 'FL'), what: 'plug', note: '' });
    expect((await back(shop.technician, own.body.record.id)).status).to.equal(200);
  });

  it('a PIN switches on a tablet of the shop and nowhere else, and five wrong ones are enough', async () => {
    const tess = (await shop.lead.ask<{ id: string; login: string }[]>('GET', '/api/people')).body.find((p) => p.login === 'tess')!;
    const pin = { pin: '2468', password: PASSWORD };
    expect((await shop.technician.ask('POST', '/api/pin', { ...pin, password: 'wrong' })).body['code']).to.equal('wrong_password');
    expect((await shop.technician.ask('POST', '/api/pin', pin)).status).to.equal(200);
    const tablet = new Visitor(() => shop.app);
    const to = (typed: string) =>
      tablet.ask<{ person: { name: string }; code: string }>('POST', '/api/switch', { personId: tess.id, pin: typed });
    expect((await to('2468')).body.code).to.equal('not_a_tablet');
    await tablet.ask('POST', '/api/sign-in', { login: 'lea', password: PASSWORD });
    const id = v7();
    await tablet.ask('POST', '/api/tablets', { id, name: 'Bench tablet', password: PASSWORD });
    expect((await to('2468')).body.person.name).to.equal('tess Person');
    expect((await tablet.ask<{ person: { role: string } }>('GET', '/api/me')).body.person.role).to.equal('technician');
    await tablet.ask('POST', '/api/sign-out');
    const known = await tablet.ask<{ tablet: { name: string }; people: { name: string }[] }>('GET', '/api/on-tablet');
    expect(known.body.tablet.name).to.equal('Bench tablet');
    expect(known.body.people.map((p) => p.name)).to.deep.equal(['tess Person']);
    for (let i = 0; i < 5; i += 1) expect((await to('0000')).status).to.equal(401);
    expect((await to('2468')).body.code).to.equal('too_many_tries');
    const ended = await shop.lead.ask('POST', `/api/tablets/${id}/end`, {});
    expect(ended.status).to.equal(200);
    expect((await tablet.ask<{ tablet: null }>('GET', '/api/on-tablet')).body.tablet).to.equal(null);
  });

  it('what a page sends for one person does not go into the book under another', async () => {
    const people = (await shop.lead.ask<{ id: string; login: string }[]>('GET', '/api/people')).body;
    const idOf = (login: string): string => people.find((p) => p.login === login)?.id ?? '';
    const tablet = new Visitor(() => shop.app);
    await tablet.ask('POST', '/api/sign-in', { login: 'tess', password: PASSWORD });
    const body = () => ({
      ...{ id: v7(), happenedAt: new Date().toISOString(), device: 'test' },
      ...{ slotId: car.slot('caliper', 'FR'), what: 'block', note: '' },
    });
    const put = (believed: string) =>
      tablet.ask<{ code: string; detail: string }>('POST', `/api/jobs/${car.jobId}/put-ins`, body(), { [PERSON_HEADER]: believed });
    expect((await put(idOf('tess'))).status).to.equal(200);
    // Somebody else signs in from the next page; the first one goes on sending.
    await tablet.ask('POST', '/api/sign-in', { login: 'lea', password: PASSWORD });
    const refused = await put(idOf('tess'));
    expect([refused.status, refused.body.code]).to.deep.equal([401, 'someone_else']);
    expect(refused.body.detail).to.contain('Lea Dunmore is signed in');
    // Nor does it sign the other one out, read, or listen.
    const as = { [PERSON_HEADER]: idOf('tess') };
    expect((await tablet.ask('POST', '/api/sign-out', undefined, as)).body['code']).to.equal('someone_else');
    expect((await tablet.ask('GET', '/api/yard', undefined, as)).body['code']).to.equal('someone_else');
    expect((await tablet.ask('GET', `/api/live?person=${idOf('tess')}`)).body['code']).to.equal('someone_else');
    expect((await tablet.ask<{ person: { id: string } }>('GET', '/api/me')).body.person.id).to.equal(idOf('lea'));
    const mine = (await shop.reader.file(car.jobId)).putIns.filter((p) => p.slotId === car.slot('caliper', 'FR'));
    expect(mine.map((p) => p.authorId)).to.deep.equal([idOf('tess')]);
  });

  it('a lead hands in what somebody left on a tablet: under the name of who took it, with the lead’s beside, and nothing else', async () => {
    const people = (await shop.lead.ask<{ id: string; login: string }[]>('GET', '/api/people')).body;
    const idOf = (login: string): string => people.find((p) => p.login === login)?.id ?? '';
    const told = () => ({ id: v7(), happenedAt: new Date().toISOString(), device: 'test' });
    const block = { ...told(), slotId: car.slot('caliper', 'RL'), what: 'block', note: '' };
    const send = (who: Visitor, body: { readonly id: string } = block, path = 'put-ins', takenBy = idOf('tess')) =>
      who.ask<{ code: string; status: string; record: { authorId: string } }>('POST', `/api/jobs/${car.jobId}/${path}`, body, {
        [TAKEN_BY_HEADER]: takenBy,
      });
    const say = (who: Visitor, eventId: string, of = told()) => who.event<'handIns'>(car.jobId, 'hand-ins', { ...of, eventId });
    // Not without saying so, not by a technician, not by a lead who did not say it.
    expect((await send(shop.lead)).body.code).to.equal('not_handed_in');
    expect((await say(shop.technician, block.id)).body.code).to.equal('role');
    const said = told();
    expect((await say(shop.lead, block.id, said)).status).to.equal(200);
    expect((await send(shop.technician, block, 'put-ins', idOf('lea'))).body.code).to.equal('not_handed_in');
    expect((await send(shop.lead, block, 'put-ins', v7())).body.code).to.equal('not_handed_in');
    expect((await send(shop.lead, { ...block, id: v7() })).body.code).to.equal('not_handed_in');
    const first = await send(shop.lead);
    expect([first.status, first.body.status, first.body.record.authorId]).to.deep.equal([200, 'stored', idOf('tess')]);
    // Said and sent again after an answer that was lost, it is the same.
    expect((await say(shop.lead, block.id, said)).body.status).to.equal('already_stored');
    expect((await send(shop.lead)).body.status).to.equal('already_stored');
    expect((await say(shop.lead, block.id)).body.code).to.equal('on_record');
    const file = await shop.reader.file(car.jobId);
    expect(file.handIns.map((h) => [h.authorId, h.eventId])).to.deep.equal([[idOf('lea'), block.id]]);
    // What asks for the password of its author is theirs alone.
    const accepted = { ...told(), obligation: 'x', reason: 'it was seen', password: PASSWORD };
    await say(shop.lead, accepted.id);
    expect((await send(shop.lead, accepted, 'acceptances')).body.code).to.equal('not_handed_in');
    expect((await say(shop.technician, v7())).body.code).to.equal('role');
  });

  it('who signs in on a device ends the session that was open there; the cookie outlives the browser, and answers no cache', async () => {
    const tablet = new Visitor(() => shop.app);
    await tablet.ask('POST', '/api/sign-in', { login: 'tess', password: PASSWORD });
    const before = new Visitor(() => shop.app, tablet.cookies);
    const reply = await shop.app.inject({
      method: 'POST',
      url: '/api/sign-in',
      headers: { cookie: tablet.cookies },
      payload: { login: 'lea', password: PASSWORD },
    });
    expect(String(reply.headers['set-cookie'])).to.match(/Max-Age=34560000/);
    expect(reply.headers['cache-control']).to.equal('no-store');
    expect(reply.json<{ until: string }>().until > new Date(Date.now() + 13 * 86400000).toISOString()).to.equal(true);
    expect((await before.ask('GET', '/api/me')).status).to.equal(401);
  });

  it('the password is not tried out by whoever finds somebody signed in', async () => {
    const id = v7();
    await shop.lead.ask('POST', '/api/people', { id, name: 'Third Person', login: 'third', password: PASSWORD, role: 'technician' });
    const third = new Visitor(() => shop.app);
    await third.ask('POST', '/api/sign-in', { login: 'third', password: PASSWORD });
    const set = (password: string) => third.ask<{ code: string }>('POST', '/api/pin', { pin: '1111', password });
    for (let i = 0; i < 8; i += 1) expect((await set(`guess number ${i}`)).body.code).to.equal('wrong_password');
    expect((await set(PASSWORD)).body.code).to.equal('too_many_tries');
  });

  it('whoever is on a tablet that is no more the shop’s is signed out; signing out everywhere ends every session', async () => {
    const other = new Visitor(() => shop.app);
    await other.ask('POST', '/api/sign-in', { login: 'rhys', password: PASSWORD });
    await shop.reader.ask('POST', '/api/sign-out-everywhere');
    expect((await other.ask('GET', '/api/me')).status).to.equal(401);
    await shop.reader.ask('POST', '/api/sign-in', { login: 'rhys', password: PASSWORD });
  });

  it('a release by somebody whose role just changed is refused', async () => {
    const id = v7();
    await shop.lead.ask('POST', '/api/people', { id, name: 'Second Lead', login: 'second', password: PASSWORD, role: 'lead' });
    const second = new Visitor(() => shop.app);
    await second.ask('POST', '/api/sign-in', { login: 'second', password: PASSWORD });
    const done = await fluidJob(shop);
    await finishFluid(shop, done);
    // The role changes after the request was let in, and before it is written down.
    const db = new pg.Client({ connectionString: shop.url });
    await db.connect();
    await db.query('begin');
    await db.query(`update account set role = 'technician' where id = $1`, [id]);
    const asked = second.ask('POST', `/api/jobs/${done.jobId}/release`, { id: v7(), password: PASSWORD });
    await new Promise((go) => setTimeout(go, 700));
    await db.query('commit');
    await db.end();
    expect((await asked).body['code']).to.equal('role');
    expect((await shop.reader.file(done.jobId)).release).to.equal(null);
  });

  it('the owner is blanked for good: the row stays, the name is gone everywhere', async () => {
    expect((await shop.technician.ask('POST', `/api/vehicles/${car.vehicleId}/owner/erase`, { reason: 'asked for it' })).status).to.equal(
      403,
    );
    const erased = await shop.lead.ask<{ erasedAt: string }>('POST', `/api/vehicles/${car.vehicleId}/owner/erase`, {
      reason: 'asked for it',
    });
    expect(erased.status).to.equal(200);
    const row = await shop.lead.ask<{ name: string; erasedAt: string }>('GET', `/api/vehicles/${car.vehicleId}/owner`);
    expect([row.body.name, row.body.erasedAt]).to.deep.equal(['', erased.body.erasedAt]);
  });

  it('a text is blacked out: the original goes, from the record and the sheet, and an event says who and why', async () => {
    const done = await bookIn(shop.technician, 'utility_rods', { kind: 'fluid', complaint: 'Call Ada on 555 0100', scopeCorners: [] });
    const f = await shop.technician.event<'findings'>(done.jobId, 'findings', {
      slotId: done.slot('drum', 'FL'),
      partId: null,
      words: 'Seen by Ada Fenwick, 555 0100',
      severity: 'watch',
      cleaning: 'after',
      rulesOut: [],
      settles: null,
    });
    const redact = (who: Visitor, corrects: string, field: string) =>
      who.event<'redactions'>(done.jobId, 'redactions', { corrects, field, reason: 'a telephone number' });
    expect((await redact(shop.technician, f.body.record.id, 'words')).body.code).to.equal('role');
    expect((await redact(shop.lead, f.body.record.id, 'severity')).body.code).to.equal('unknown_reference');
    expect((await redact(shop.lead, f.body.record.id, 'words')).status).to.equal(200);
    expect((await redact(shop.lead, done.jobId, 'complaint')).status).to.equal(200);
    expect((await redact(shop.lead, done.jobId, 'complaint')).body.code).to.equal('nothing_there');
    const records = await shop.reader.file(done.jobId);
    expect(records.findings[0]?.words).to.equal(BLACKED);
    expect(records.job.complaint).to.equal(BLACKED);
    expect(records.redactions.map((r) => r.reason)).to.deep.equal(['a telephone number', 'a telephone number']);
    expect(JSON.stringify(records)).to.not.include('555 0100');
    // Sent again by a device that still has it, it is the same event, and stays as it is.
    const again = await shop.technician.event<'findings'>(done.jobId, 'findings', {
      ...{ id: f.body.record.id, slotId: done.slot('drum', 'FL'), partId: null, words: 'Seen by Ada Fenwick, 555 0100', severity: 'watch' },
      ...{ cleaning: 'after', rulesOut: [], settles: null },
    });
    expect([again.body.status, again.body.record['words']]).to.deep.equal(['already_stored', BLACKED]);
    const db = new pg.Client({ connectionString: shop.url });
    await db.connect();
    const refused = await db.query('update finding set words = $1', ['another']).then(
      () => 'changed',
      () => 'refused',
    );
    await db.end();
    expect(refused).to.equal('refused');
  });

  it('a black-out strikes one field of one record in a sheet that was written already; the sheet prints, and old ones by sight', async () => {
    const done = await fluidJob(shop);
    await finishFluid(shop, done);
    const services = (await shop.reader.file(done.jobId)).fluidServices;
    expect((await shop.lead.ask('POST', `/api/jobs/${done.jobId}/release`, { id: v7(), password: PASSWORD })).status).to.equal(200);
    const strike = (corrects: string, field: string, line: string | null = null) =>
      shop.lead.event<'redactions'>(done.jobId, 'redactions', { corrects, field, line, reason: 'a name' });
    const before = (await shop.reader.file(done.jobId)).release!;
    expect((await strike(services[0]!.id, 'batch')).status).to.equal(200);
    const after = (await shop.reader.file(done.jobId)).release!;
    const changed = before.sheet.fluid.flatMap((l, i) => (l.text === after.sheet.fluid[i]!.text ? [] : [after.sheet.fluid[i]!.text]));
    expect(changed).to.deep.equal([before.sheet.fluid[0]!.text.replace('L 1', BLACKED)]);
    expect({ ...after.sheet, fluid: [], made: [] }).to.deep.equal({ ...before.sheet, fluid: [], made: [] });
    expect((await strike(before.id, 'sheet', 'proofs.0.text')).status).to.equal(200);
    expect((await strike(before.id, 'sheet', 'proofs.0.on')).body.code).to.equal('unknown_reference');
    expect((await shop.reader.file(done.jobId)).release!.sheet.proofs[0]?.text).to.equal(BLACKED);
    expect((await shop.lead.raw(`/api/jobs/${done.jobId}/sheet.pdf`)).status).to.equal(200);
  });

  it('every text of a job that somebody types can be blacked out', async () => {
    const job = await bookIn(shop.technician);
    const slotId = job.slot('caliper', 'FL');
    const events: readonly (readonly [string, object, string])[] = [
      [
        'part-events',
        {
          partId: (await shop.reader.file(job.jobId)).partEvents.find((e) => e.slotId === slotId)!.partId,
          kind: 'freed',
          slotId,
          note: 'N',
        },
        'note',
      ],
      ['torques', { slotId, point: 'x', targetTyped: '10', typed: '10', unit: 'Nm', wrench: 'N' }, 'wrench'],
      ['came-with', { name: 'N', kind: null, slotId: null, partNumber: 'N', count: 1, fits: 'not_tried', note: 'N' }, 'partNumber'],
      [
        'earlier-work',
        { what: 'fluid_changed', slotId: null, on: '2020', about: false, knownFrom: 'owner', source: 'N', km: null, note: '' },
        'source',
      ],
      ['fluid-services', { product: 'Fluid', fluidClass: '4', batch: 'N', lowMoisture: false }, 'batch'],
    ];
    for (const [path, body, field] of events) {
      const made = await shop.technician.event<'takeBacks'>(job.jobId, path, body as never);
      expect(made.status, `${path}: ${made.body.detail}`).to.equal(200);
      const struck = await shop.lead.event<'redactions'>(job.jobId, 'redactions', {
        corrects: made.body.record.id,
        field,
        reason: 'a name',
      });
      expect(struck.status, `${path}.${field}: ${struck.body.detail}`).to.equal(200);
    }
    for (const [corrects, field] of [
      [job.vehicleId, 'name'],
      [job.jobId, 'wants'],
    ] as const)
      expect((await shop.lead.event<'redactions'>(job.jobId, 'redactions', { corrects, field, reason: 'a name' })).status, field).to.equal(
        200,
      );
    const records = await shop.reader.file(job.jobId);
    expect([records.vehicle.name, records.job.wants, records.torques[0]?.wrench, records.cameWith[0]?.partNumber]).to.deep.equal(
      Array(4).fill(BLACKED),
    );
  });
});
