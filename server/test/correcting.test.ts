import { acceptanceKey } from '@dauer/core/ledger';
import { partIn, writtenUpLater } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import { jointsOf } from '@dauer/core/readiness';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { corrected, forward } from '../src/platform/clock.ts';
import { type Booked, bookIn, openShop, PASSWORD, type Shop, type Visitor } from './harness.ts';

const now = () => new Date().toISOString();

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
    const records = await shop.reader.file(car.jobId);
    const [left, right] = ['FL', 'FR'].map((c) => partIn(car.slot('rotor', c), records.partEvents)!);
    const correct = (body: object) =>
      shop.technician.ask<{ code: string }>('POST', `/api/jobs/${car.jobId}/part-corrections`, {
        id: v7(),
        happenedAt: now(),
        device: 't',
        reason: 'tag read wrongly',
        ...body,
      });
    expect((await correct({ kind: 'join', partId: left, otherId: left, since: null })).body.code).to.equal('same_part');
    expect((await correct({ kind: 'split', partId: left, otherId: v7(), since: null })).body.code).to.equal('split_without_since');
    const hose = partIn(car.slot('hose', 'FL'), records.partEvents)!;
    expect((await correct({ kind: 'join', partId: left, otherId: hose, since: null })).body.code).to.equal('wrong_kind');
    expect((await correct({ kind: 'join', partId: left, otherId: right, since: null })).status).to.equal(200);
    const state = deriveJob(await shop.reader.file(car.jobId), now());
    expect(state.history.records.partEvents.some((e) => e.partId === left)).to.equal(false);
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
    expect(deriveJob(await shop.reader.file(car.jobId), now()).context.proofStatus.locks[0]?.passable).to.equal(false);
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
    const records = await shop.reader.file(car.jobId);
    expect(records.takenOuts).to.have.length(2);
    expect(deriveJob(records, now()).obligations.filter((o) => o.key === `out:${put.body.record.id}`)).to.deep.equal([]);
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

  it('what is told later stays later where the server’s clock is set back by a little; by much, it stands as it was set', () => {
    const minute = 60000;
    const shown = [100 * minute, 100 * minute - 1500, 100 * minute - 1000, 101 * minute, 99 * minute, 60 * minute, 61 * minute];
    const clock = forward(() => shown.shift() ?? 0);
    const told = Array.from({ length: 7 }, () => clock() / minute);
    expect(told).to.deep.equal([100, 100, 100, 101, 101, 60, 61]);
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
