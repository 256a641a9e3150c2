import type { VehicleDue } from '@dauer/contract';
import { expect } from 'chai';
import ICAL from 'ical.js';
import pg from 'pg';
import { v7 } from 'uuid';
import { type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop, type Visitor } from './harness.ts';

interface Dues {
  readonly today: string;
  readonly vehicles: readonly VehicleDue[];
  readonly left: number;
  readonly limitsUnchecked: number;
}

/** What a calendar says, read by a parser that is not the writer's. */
function eventsOf(text: string) {
  return new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((v) => {
    const e = new ICAL.Event(v);
    return {
      uid: e.uid,
      summary: e.summary,
      day: e.startDate.toString(),
      allDay: e.startDate.isDate,
      status: String(v.getFirstPropertyValue('status')),
      sequence: e.sequence,
    };
  });
}

describe('what falls due', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, undefined, { kind: 'fluid', scopeCorners: [] });
  });
  after(() => shop.close());
  const dues = async (who: Visitor = shop.reader): Promise<Dues> => (await who.ask<Dues>('GET', '/api/dues')).body;
  const mine = async (): Promise<VehicleDue> => (await dues()).vehicles.find((v) => v.vehicleId === car.vehicleId)!;
  const make = (who: Visitor, vehicleId: string | null = null) =>
    who.ask<{ id: string; path: string; code: string }>('POST', '/api/calendars', { id: v7(), vehicleId });

  it('lists a vehicle that is in the shop, with nothing of it in a calendar', async () => {
    const v = await mine();
    expect([v.inShop, v.jobId]).to.deep.equal([true, car.jobId]);
    expect(v.dues.map((d) => d.about)).to.include.members(['fluid', 'hoses', 'open']);
    const file = await shop.reader.raw('/api/calendar.ics');
    expect(file.type).to.match(/^text\/calendar/);
    expect(eventsOf(file.bytes.toString())).to.deep.equal([]);
    expect((await shop.nobody.raw('/api/dues')).status).to.equal(401);
    expect((await shop.nobody.raw('/api/calendar.ics')).status).to.equal(401);
  });

  it('a vehicle is not exercised by a pedal that must not be pressed, nor driven before it may be', async () => {
    const tell = (what: 'pressed' | 'driven') => shop.technician.event<'exercises'>(car.jobId, 'exercises', { what });
    const put = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('caliper', 'FL'), what: 'block', note: '' });
    const locked = await tell('pressed');
    expect([locked.status, locked.body.code]).to.deep.equal([409, 'control_locked']);
    expect(locked.body.detail).to.include('block in the front left caliper');
    await shop.technician.event<'takenOuts'>(car.jobId, 'taken-outs', { putInId: put.body.record.id });
    expect((await tell('driven')).body.code).to.equal('not_proved_yet');
  });

  it('follows the records: handed back, its fluid is due by its interval, and its after-care by its day', async () => {
    await finishFluid(shop, car);
    const left = (await shop.lead.ask<{ blocks?: unknown[] }>('POST', `/api/jobs/${car.jobId}/release`, { id: v7(), password: PASSWORD }))
      .body;
    for (const b of (left.blocks ?? []) as { key: string; what: string }[]) throw new Error(`${b.key}: ${b.what}`);
    const v = await mine();
    expect([v.inShop, v.move]).to.deep.equal([false, 'handed_back']);
    const fluid = v.dues.find((d) => d.about === 'fluid')!;
    expect(fluid.on! > (await dues()).today).to.equal(true);
    expect(v.fluidChanged).to.equal((await dues()).today);
    expect(v.dues.some((d) => d.key === 'after_care:leak_next_day')).to.equal(true);
  });

  it('an exercise is told of a vehicle that was handed back, by anyone who is signed in, and counts', async () => {
    expect((await shop.nobody.event<'exercises'>(car.jobId, 'exercises', { what: 'driven' })).status).to.equal(401);
    expect((await shop.reader.event<'exercises'>(car.jobId, 'exercises', { what: 'driven' })).status).to.equal(200);
    const told = await shop.technician.event<'exercises'>(car.jobId, 'exercises', { what: 'pressed', typed: '79,500', unit: 'km' });
    expect(told.status, JSON.stringify(told.body)).to.equal(200);
    expect(told.body.record).to.include({ vehicleId: car.vehicleId, km: 79500, what: 'pressed' });
    const v = await mine();
    expect([v.exercised, v.km]).to.deep.equal([told.body.record['happenedAt'], 79500]);
    const nonsense = await shop.technician.event<'exercises'>(car.jobId, 'exercises', { what: 'pressed', typed: 'far' });
    expect(nonsense.status).to.equal(422);
  });

  it('a calendar address tells whole days by tag, and names nobody; its secret is told once', async () => {
    const made = await make(shop.technician);
    expect(made.status).to.equal(200);
    const [, secret] = /^\/calendar\/([\w-]{43})$/.exec(made.body.path)!;
    const fetched = await shop.nobody.raw(made.body.path);
    expect(fetched.status).to.equal(200);
    const events = eventsOf(fetched.bytes.toString());
    const v = await mine();
    expect(events).to.have.length(v.dues.filter((d) => d.on !== null).length);
    expect(events.every((e) => e.allDay && e.summary.startsWith(`${v.tag}: `) && e.status === 'CONFIRMED')).to.equal(true);
    const fluid = events.find((e) => e.summary === `${v.tag}: Change the fluid`)!;
    expect(fluid.day).to.equal(v.dues.find((d) => d.about === 'fluid')!.on);
    expect(fetched.bytes.toString()).to.not.match(/Fenwick|555 0100/);
    const listed = await shop.technician.raw('/api/calendars');
    expect(listed.bytes.toString()).to.not.contain(secret);
    expect((await shop.lead.ask<unknown[]>('GET', '/api/calendars')).body).to.deep.equal([]);
  });

  it('what is answered is cancelled there, under the same name, and counted up', async () => {
    const one = await make(shop.technician, car.vehicleId);
    const read = async () => eventsOf((await shop.nobody.raw(one.body.path)).bytes.toString());
    const before = (await read()).find((e) => e.summary.includes('leak') || e.summary.includes('Leak'))!;
    const answer = await shop.technician.event<'afterCares'>(car.jobId, 'after-cares', {
      item: 'leak_next_day',
      result: 'done',
      note: 'Dry',
    });
    expect(answer.status).to.equal(200);
    const after = (await read()).find((e) => e.uid === before.uid)!;
    expect([after.status, after.sequence]).to.deep.equal(['CANCELLED', before.sequence + 1]);
    const wet = await shop.technician.event<'afterCares'>(car.jobId, 'after-cares', {
      item: 'leak_next_day',
      result: 'failed',
      note: 'Wet',
    });
    expect(wet.status).to.equal(200);
    const again = (await read()).find((e) => e.uid === before.uid)!;
    expect([again.status, again.sequence]).to.deep.equal(['CONFIRMED', before.sequence + 2]);
  });

  it('a letter names what falls due and nobody in the record; the owner stands on it for whom that is shown to', async () => {
    interface Made {
      readonly id: string;
      readonly code: string;
      readonly items: readonly { readonly key: string; readonly what: string }[];
      readonly answer: { readonly answer: string; readonly on: string | null } | null;
    }
    const letter = (keys: readonly string[], id = v7(), who = shop.technician) =>
      who.ask<Made>('POST', '/api/letters', { id, vehicleId: car.vehicleId, keys });
    const { dues: list } = await mine();
    const keys = list.filter((d) => d.on !== null).map((d) => d.key);
    expect((await letter(keys, v7(), shop.reader)).status).to.equal(403);
    expect((await letter([...keys, 'fluid:made-up'])).body.code).to.equal('not_due_any_more');
    const id = v7();
    const made = await letter(keys, id);
    expect(made.body.items.map((i) => i.key)).to.have.members(keys);
    expect((await letter(keys.slice(0, 1), id)).body, 'twice is once').to.deep.equal(made.body);
    const text = async (who: Visitor) => (await who.ask<{ text: string; contact: string | null }>('GET', `/api/letters/${id}/text`)).body;
    expect((await text(shop.lead)).text)
      .to.contain('Dear Ada Fenwick')
      .and.contain('Change the fluid');
    const pdf = async (who: Visitor) => who.raw(`/api/letters/${id}/letter.pdf`);
    expect((await pdf(shop.nobody)).status).to.equal(401);
    expect((await pdf(shop.reader)).status).to.equal(403);
    expect((await pdf(shop.lead)).bytes.subarray(0, 5).toString()).to.equal('%PDF-');
    // Whoever wrote the owner down sees it; another technician does not.
    expect((await text(shop.technician)).contact).to.equal('555 0100');
    await shop.lead.ask('POST', '/api/people', { id: v7(), name: 'Otto Vale', login: 'otto', password: PASSWORD, role: 'technician' });
    await shop.nobody.ask('POST', '/api/sign-in', { login: 'otto', password: PASSWORD });
    const shown = await text(shop.nobody);
    expect(shown.text)
      .to.contain('Good day,')
      .and.contain('Change the fluid: by')
      .and.not.match(/Fenwick/);
    expect(shown.contact).to.equal(null);
    await shop.nobody.ask('POST', '/api/sign-out', {});

    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    const { rows } = await client.query('select * from letter');
    await client.end();
    expect(rows).to.have.length(1);
    expect(JSON.stringify(rows)).to.not.match(/Fenwick|555 0100/);

    const words = { id: v7(), opening: 'Time again.', closing: '' };
    expect((await shop.technician.ask('POST', '/api/letter-words', words)).status).to.equal(403);
    expect((await shop.lead.ask('POST', '/api/letter-words', words)).status).to.equal(200);
    expect((await text(shop.lead)).text, 'what was made stays as it was').to.not.contain('Time again.');
    const second = (await letter(keys)).body.id;
    expect((await shop.lead.ask<{ text: string }>('GET', `/api/letters/${second}/text`)).body.text).to.contain('Time again.');

    const answered = await shop.technician.ask<Made>('POST', `/api/letters/${second}/answers`, {
      id: v7(),
      answer: 'comes',
      on: '2027-01-12',
    });
    expect(answered.body.answer).to.include({ answer: 'comes', on: '2027-01-12' });
    await shop.technician.ask('POST', `/api/letters/${second}/answers`, { id: v7(), answer: 'no', on: '2027-01-12' });
    const all = await shop.technician.ask<{ letters: readonly Made[] }>('GET', '/api/letters');
    expect(all.body.letters.map((l) => [l.id, l.answer?.answer, l.answer?.on])).to.deep.equal([[second, 'no', null]]);
    const nonsense = { id: v7(), answer: 'comes', on: '0001-01-01' };
    expect((await shop.technician.ask('POST', `/api/letters/${second}/answers`, nonsense)).status).to.equal(400);
  });

  it('no letter is written about a vehicle that is in the shop', async () => {
    const other = await bookIn(shop.technician, undefined, { kind: 'fluid', scopeCorners: [] });
    const here = (await dues()).vehicles.find((v) => v.vehicleId === other.vehicleId)!;
    const body = { id: v7(), vehicleId: other.vehicleId, keys: here.dues.slice(0, 1).map((d) => d.key) };
    expect((await shop.technician.ask<{ code: string }>('POST', '/api/letters', body)).body.code).to.equal('in_the_shop');
  });

  it('an address ends by whoever made it and with the account, and is found by nobody who guesses', async () => {
    const made = await make(shop.technician);
    expect((await shop.lead.ask('POST', `/api/calendars/${made.body.id}/end`)).status).to.equal(404);
    expect((await shop.technician.ask('POST', `/api/calendars/${made.body.id}/end`)).status).to.equal(200);
    expect((await shop.nobody.raw(made.body.path)).status).to.equal(404);
    const readers = await make(shop.reader);
    expect((await shop.nobody.raw(readers.body.path)).status).to.equal(200);
    const people = await shop.lead.ask<{ id: string; login: string; version: number }[]>('GET', '/api/people');
    const reader = people.body.find((p) => p.login === 'rhys')!;
    const off = await shop.lead.ask('PATCH', `/api/people/${reader.id}`, { version: reader.version, active: false, password: PASSWORD });
    expect(off.status, JSON.stringify(off.body)).to.equal(200);
    expect((await shop.nobody.raw(readers.body.path)).status).to.equal(404);
    const codes: number[] = [];
    for (let n = 0; n < 24; n += 1) codes.push((await shop.nobody.raw(`/calendar/${'x'.repeat(42)}${n % 10}`)).status);
    expect(codes.at(-1)).to.equal(429);
    expect((await make(shop.technician, v7())).status).to.equal(404);
  });

  it('one may have only so many', async () => {
    const codes: string[] = [];
    for (let n = 0; n < 21; n += 1) codes.push((await make(shop.lead)).body.code);
    expect(codes.at(-1)).to.equal('too_many_calendars');
    expect(codes.slice(0, 20)).to.deep.equal(Array.from({ length: 20 }, () => undefined));
  });
});
