import { acceptanceKey, deriveJob, jointsOf, lateEvents, type HandbackSheet, partIn, weighLate, writtenUpLater } from '@dauer/core';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { corrected } from '../src/platform/clock.ts';
import { printable } from '../src/features/prove/pdf.ts';
import { BLACKED } from '../src/features/bookin/redact.ts';
import { type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

const now = () => new Date().toISOString();

const fluidJob = (shop: Shop) =>
  bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { kind: 'fluid', complaint: '', scopeCorners: [] });

describe('after the hand-back', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await fluidJob(shop);
  });
  after(() => shop.close());
  const release = () =>
    shop.lead.ask<{ sheet: HandbackSheet; code: string }>('POST', `/api/jobs/${car.jobId}/release`, { id: v7(), password: PASSWORD });

  it('after-care and amendments belong to a job handed back, and to no other', async () => {
    const care = await shop.technician.event<'afterCares'>(car.jobId, 'after-cares', { item: 'leak_next_day', result: 'done', note: '' });
    expect([care.status, care.body.code]).to.deep.equal([409, 'not_released']);
    const amend = await shop.lead.event<'amendments'>(car.jobId, 'amendments', { words: 'The pads were used ones.', reason: 'forgotten' });
    expect(amend.body.code).to.equal('not_released');
  });

  it('the sheet names the after-care with its day, and only that is answered', async () => {
    await finishFluid(shop, car);
    const { body } = await release();
    expect(body.sheet.afterCare.map((a) => a.item)).to.deep.equal(['leak_next_day']);
    const answer = (item: string, result: 'done' | 'taken_over', note = '') =>
      shop.technician.event<'afterCares'>(car.jobId, 'after-cares', { item, result, note });
    expect((await answer('bedding_in', 'done')).body.code).to.equal('unknown_reference');
    expect((await answer('leak_next_day', 'taken_over')).body.code).to.equal('name');
    expect((await answer('leak_next_day', 'taken_over', 'Ada Fenwick')).status).to.equal(200);
  });

  it('work after it is refused; what happened before and comes late is kept, marked, and put before a lead', async () => {
    const finding = {
      slotId: car.slot('hose', 'FL'),
      partId: null,
      words: 'The hose weeps at the crimp',
      severity: 'reject',
      cleaning: 'after',
      rulesOut: [] as never[],
      settles: null,
    } as const;
    expect((await shop.technician.event<'findings'>(car.jobId, 'findings', finding)).body.code).to.equal('released');
    const before = new Date(Date.now() - 3600000).toISOString();
    const id = v7();
    const send = () =>
      shop.technician.ask<{ status: string }>('POST', `/api/jobs/${car.jobId}/findings`, {
        id,
        happenedAt: before,
        device: 'under the bench',
        ...finding,
      });
    expect((await send()).body.status).to.equal('stored');
    expect((await send()).body.status).to.equal('already_stored');
    const file = await shop.reader.file(car.jobId);
    expect(lateEvents(file).map((l) => [l.event.id, l.what, l.answered])).to.deep.equal([[id, 'finding', false]]);
    expect(deriveJob(file, now()).blocks, 'the record stays as it was').to.deep.equal([]);
    expect(weighLate(file, now()).blocks.join()).to.include('Front left hose is out of scope, and a hazard');
    const yard = () => shop.lead.ask<{ late: { jobId: string; count: number }[] }>('GET', '/api/yard');
    expect((await yard()).body.late.map((l) => [l.jobId, l.count])).to.deep.equal([[car.jobId, 1]]);
    const amend = (who: Visitor, corrects: string) =>
      who.event<'amendments'>(car.jobId, 'amendments', {
        corrects,
        words: 'The hose wept; the owner was called.',
        reason: 'the tablet lay under the bench',
      });
    expect((await amend(shop.technician, id)).body.code).to.equal('role');
    expect((await amend(shop.lead, v7())).body.code).to.equal('unknown_reference');
    expect((await amend(shop.lead, id)).status).to.equal(200);
    expect((await yard()).body.late).to.deep.equal([]);
    expect((await shop.reader.file(car.jobId)).amendments).to.have.length(1);
  });

  it('a repeat of what was there in time is not marked as late', async () => {
    const file = await shop.reader.file(car.jobId);
    const { recordedAt: _r, jobId, authorId: _a, volumeMl: _v, ...pull } = file.bleedPulls[0]!;
    const again = await shop.technician.ask<{ status: string }>('POST', `/api/jobs/${jobId}/bleed-pulls`, pull);
    expect(again.body.status).to.equal('already_stored');
    expect(lateEvents(await shop.reader.file(car.jobId))).to.have.length(1);
  });

  it('the sheet comes as PDF, the owner’s name taken in for a lead alone, and to nobody who is not signed in', async () => {
    const pdf = (cookie: string) => shop.app.inject({ method: 'GET', url: `/api/jobs/${car.jobId}/sheet.pdf`, headers: { cookie } });
    expect((await pdf('')).statusCode).to.equal(401);
    const signedIn = async (login: string): Promise<string> => {
      const reply = await shop.app.inject({ method: 'POST', url: '/api/sign-in', payload: { login, password: PASSWORD } });
      return String(reply.headers['set-cookie']).split(';')[0] ?? '';
    };
    const forLead = await pdf(await signedIn('lea'));
    expect(forLead.headers['content-type']).to.equal('application/pdf');
    expect(forLead.rawPayload.subarray(0, 5).toString()).to.equal('%PDF-');
    const forTechnician = await pdf(await signedIn('tess'));
    expect(forLead.rawPayload.length).to.be.greaterThan(forTechnician.rawPayload.length);
  });

  it('signs that the fonts lack are written out, never dropped', () => {
    expect(printable('≥ 12.08 mm, ≤ 3 → 4')).to.equal('at least  12.08 mm, at most  3 to  4');
    expect(printable(`so ${BLACKED}`)).to.equal('so [blacked out]');
  });
});

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
    expect((await back(shop.technician, put.body.record.id)).body.code).to.equal('reason');
    expect((await back(shop.technician, put.body.record.id, 'it is the other side')).status).to.equal(200);
    const file = await shop.reader.file(car.jobId);
    expect(file.putIns).to.have.length(1);
    expect(file.takeBacks.map((t) => t.reason)).to.deep.equal(['it is the other side']);
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
    const file = await shop.reader.file(done.jobId);
    expect(file.findings[0]?.words).to.equal(BLACKED);
    expect(file.job.complaint).to.equal(BLACKED);
    expect(file.redactions.map((r) => r.reason)).to.deep.equal(['a telephone number', 'a telephone number']);
    expect(JSON.stringify(file)).to.not.include('555 0100');
    const db = new pg.Client({ connectionString: shop.url });
    await db.connect();
    const refused = await db.query('update finding set words = $1', ['another']).then(
      () => 'changed',
      () => 'refused',
    );
    await db.end();
    expect(refused).to.equal('refused');
  });
});

describe('corrections', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  it('a job booked twice is voided by a lead: it leaves the yard, and the vehicle is free for another', async () => {
    const twice = await bookIn(shop.technician);
    expect((await shop.technician.event<'voids'>(twice.jobId, 'voids', { reason: 'booked twice' })).body.code).to.equal('role');
    const voided = await shop.lead.event<'voids'>(twice.jobId, 'voids', { reason: 'booked twice' });
    expect(voided.status).to.equal(200);
    const ids = async () => (await shop.reader.ask<{ jobs: { jobId: string }[] }>('GET', '/api/yard')).body.jobs.map((j) => j.jobId);
    expect(await ids()).to.not.include(twice.jobId);
    expect(deriveJob(await shop.reader.file(twice.jobId), now()).voided).to.equal(true);
    const release = await shop.lead.ask<{ code: string }>('POST', `/api/jobs/${twice.jobId}/release`, { id: v7(), password: PASSWORD });
    expect(release.body.code).to.equal('voided');
    await shop.lead.event<'takeBacks'>(twice.jobId, 'take-backs', { corrects: voided.body.record.id });
    expect(await ids()).to.include(twice.jobId);
  });

  it('two articles that are one have one life; one that is two has two', async () => {
    const file = await shop.reader.file(car.jobId);
    const [left, right] = ['FL', 'FR'].map((c) => partIn(car.slot('rotor', c), file.partEvents)!);
    const correct = (body: object) =>
      shop.technician.ask<{ code: string }>('POST', `/api/jobs/${car.jobId}/part-corrections`, {
        id: v7(),
        happenedAt: now(),
        device: 't',
        reason: 'tag read wrongly',
        ...body,
      });
    expect((await correct({ kind: 'join', partId: left, otherId: left, since: null })).body.code).to.equal('same_part');
    expect((await correct({ kind: 'split', partId: left, otherId: v7(), since: null })).body.code).to.equal('since');
    const hose = partIn(car.slot('hose', 'FL'), file.partEvents)!;
    expect((await correct({ kind: 'join', partId: left, otherId: hose, since: null })).body.code).to.equal('wrong_kind');
    expect((await correct({ kind: 'join', partId: left, otherId: right, since: null })).status).to.equal(200);
    const state = deriveJob(await shop.reader.file(car.jobId), now());
    expect(state.book.file.partEvents.some((e) => e.partId === left)).to.equal(false);
    const life = await shop.reader.ask<{ life: unknown[] }>('GET', `/api/parts/${right!}`);
    expect(life.body.life.length).to.be.greaterThan(1);
  });

  it('a joint belongs to a line of this vehicle', async () => {
    const joint = jointsOf(car.layout)[0]!;
    const log = (connectionId: string, slotId: string) =>
      shop.technician.event<'jointEvents'>(car.jobId, 'joints', { connectionId, slotId, kind: 'opened', seal: null, note: '' });
    expect((await log(joint.connection.id, joint.slot.id)).status).to.equal(200);
    expect((await log(v7(), joint.slot.id)).body.code).to.equal('unknown_place');
    expect((await log(joint.connection.id, v7())).body.code).to.equal('unknown_place');
    expect(deriveJob(await shop.reader.file(car.jobId), now()).situation.standing.locks[0]?.passable).to.equal(false);
  });

  it('what presses is refused while a joint is open: the pedal and pressure, not vacuum and gravity, nor a look held under pressure', async () => {
    const bleeder = car.layout.slots.find((s) => s.kind === 'bleeder')!.id;
    const pull = (method: 'pedal' | 'pressure' | 'vacuum' | 'gravity') =>
      shop.technician.event<'bleedPulls'>(car.jobId, 'bleed-pulls', {
        slotId: bleeder,
        volumeTyped: '50 ml',
        colour: 'clear',
        air: 'none',
        closed: true,
        method,
      });
    for (const method of ['pedal', 'pressure'] as const) expect((await pull(method)).body.code, method).to.equal('control_locked');
    for (const method of ['vacuum', 'gravity'] as const) expect((await pull(method)).status, method).to.equal(200);
    const joint = jointsOf(car.layout)[0]!;
    const held = { connectionId: joint.connection.id, slotId: joint.slot.id, kind: 'held', seal: null, note: '' } as const;
    expect((await shop.technician.event<'jointEvents'>(car.jobId, 'joints', held)).body.code).to.equal('control_locked');
  });

  it('the yard by a lead’s name asks for the password, and falls when something else comes off', async () => {
    const offer = () => deriveJob(shopFile, now()).offers[0]!;
    let shopFile = await shop.reader.file(car.jobId);
    const accept = (password: string) =>
      shop.lead.event<'acceptances'>(car.jobId, 'acceptances', {
        obligation: acceptanceKey(offer()),
        reason: 'two people and chocks',
        password,
      });
    expect((await accept('wrong')).body.code).to.equal('wrong_password');
    expect((await accept(PASSWORD)).status).to.equal(200);
    shopFile = await shop.reader.file(car.jobId);
    expect(offer().state).to.equal('closed');
    expect(JSON.stringify(shopFile), 'the password is kept nowhere').to.not.include(PASSWORD);
  });

  it('two people closing the same obligation are both kept, and it is closed once', async () => {
    const slotId = car.slot('caliper', 'FR');
    const put = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId, what: 'plug', note: '' });
    const out = (who: Visitor) => who.event<'takenOuts'>(car.jobId, 'taken-outs', { putInId: put.body.record.id });
    const [a, b] = await Promise.all([out(shop.technician), out(shop.lead)]);
    expect([a.status, b.status]).to.deep.equal([200, 200]);
    const file = await shop.reader.file(car.jobId);
    expect(file.takenOuts).to.have.length(2);
    expect(deriveJob(file, now()).obligations.filter((o) => o.key === `out:${put.body.record.id}`)).to.deep.equal([]);
  });
});

describe('a clock that is off', () => {
  const day = 86400000;
  it('is set right by how far it is off when it sends, and nothing happens in the future', () => {
    const at = Date.UTC(2026, 10, 25, 12);
    const device = (off: number, header = true) =>
      corrected({ headers: header ? { 'x-dauer-clock': String(at + off) } : {} }, new Date(at + off - 60000).toISOString(), at);
    for (const off of [day, -day, 3600000, 500, 0])
      expect(Math.abs(Date.parse(device(off)) - (at - 60000)), String(off)).to.be.lessThan(2000);
    expect(device(day, false), 'unknown to be off: never later than now').to.equal(new Date(at).toISOString());
    for (const nonsense of ['nonsense', '', '-5', '0', '1e99', '9e15', 'Infinity'])
      expect(corrected({ headers: { 'x-dauer-clock': nonsense } }, new Date(at).toISOString(), at), nonsense).to.equal(
        new Date(at).toISOString(),
      );
    // A clock with an empty battery begins in 1970, and is set right all the same.
    const dead = corrected({ headers: { 'x-dauer-clock': '86400000' } }, new Date(86340000).toISOString(), at);
    expect(dead).to.equal(new Date(at - 60000).toISOString());
  });
  it('a day-old entry shows as written up later', () => {
    expect(writtenUpLater({ happenedAt: '2026-01-01T00:00:00.000Z', recordedAt: '2026-01-02T00:00:01.000Z' })).to.equal(true);
    expect(writtenUpLater({ happenedAt: '2026-01-01T00:00:00.000Z', recordedAt: '2026-01-01T23:00:00.000Z' })).to.equal(false);
  });
  it('a repeat sent with another offset is the same event', async () => {
    const shop = await openShop();
    const car = await bookIn(shop.technician);
    const body = {
      id: v7(),
      happenedAt: new Date(Date.now() + day).toISOString(),
      device: 'd',
      slotId: car.slot('caliper', 'FL'),
      what: 'cap',
      note: '',
    };
    const send = (off: number) =>
      shop.technician.ask<{ status: string; record: { happenedAt: string } }>('POST', `/api/jobs/${car.jobId}/put-ins`, body, {
        'x-dauer-clock': String(Date.now() + off),
      });
    const first = await send(day);
    expect(Date.parse(first.body.record.happenedAt)).to.be.at.most(Date.now());
    expect((await send(day + 60000)).body.status).to.equal('already_stored');
    await shop.close();
  });
});
