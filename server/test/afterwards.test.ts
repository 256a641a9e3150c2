import { lateEvents } from '@dauer/core/history';
import { deriveJob, weighLate } from '@dauer/core/job';
import { BLACKED, type HandbackSheet } from '@dauer/core/ledger';
import { formerJob } from '@dauer/core/views';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { printable } from '../src/beside/paper.ts';
import { type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop, type Visitor } from './harness.ts';

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
    expect((await answer('leak_next_day', 'taken_over')).body.code).to.equal('name_missing');
    expect((await answer('leak_next_day', 'taken_over', 'Ada Fenwick')).status).to.equal(200);
  });

  it('the account stands on the sheet, and is sent to nobody who is shown no prices', async () => {
    const priced = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', {
      ...{ kind: 'fluid', complaint: '', scopeCorners: [], authorisedMinor: 18_500 },
    });
    const work = { id: v7(), slotId: null, title: 'Gone over it twice', attendedMinutes: 45 };
    await shop.technician.event<'operations'>(priced.jobId, 'operations', work);
    const [op] = (await shop.technician.file(priced.jobId)).operations;
    await shop.technician.event<'operationEvents'>(priced.jobId, 'operation-events', { operationId: op!.id, kind: 'done', note: '' });
    await finishFluid(shop, priced);
    const handed = await shop.lead.ask<{ sheet: HandbackSheet }>('POST', `/api/jobs/${priced.jobId}/release`, {
      id: v7(),
      password: PASSWORD,
    });
    expect(handed.status, JSON.stringify(handed.body)).to.equal(200);
    expect(handed.body.sheet.account).to.include({ authorised: 18_500 });
    expect(handed.body.sheet.account?.lines.map((l) => l.minutes)).to.deep.equal([45]);
    const seen = async (who: Visitor) => (await who.file(priced.jobId)).release!.sheet;
    expect((await seen(shop.technician)).account).to.deep.equal(handed.body.sheet.account);
    const plain = await seen(shop.reader);
    expect(plain.account).to.equal(undefined);
    expect(plain.made?.some((r) => r.path.startsWith('account'))).to.not.equal(true);
    const paper = async (who: Visitor): Promise<number> => {
      const cookie = who.cookies;
      return (await shop.app.inject({ method: 'GET', url: `/api/jobs/${priced.jobId}/sheet.pdf`, headers: { cookie } })).rawPayload.length;
    };
    expect(await paper(shop.reader)).to.be.below(await paper(shop.technician));
  });

  it('a second bleeding is closed by what came at each bleeder, at a bleeder and after the hand-back', async () => {
    const airy = await fluidJob(shop);
    const bleeders = airy.layout.slots.filter((s) => s.kind === 'bleeder').map((s) => s.id);
    const draw = (slotId: string, air: 'none' | 'bubbles' = 'none') =>
      shop.technician.event<'afterPulls'>(airy.jobId, 'after-pulls', { slotId, volumeTyped: '20 ml', air, closed: true });
    const pull = { slotId: bleeders[0]!, volumeTyped: '50 ml', colour: 'clear', air: 'bubbles', closed: true } as const;
    const reservoir = airy.layout.slots.find((s) => s.kind === 'reservoir')!.id;
    const sample = { slotId: reservoir, fluidClass: '4', how: 'Drop in water' } as const;
    await shop.technician.event<'fluidSamples'>(airy.jobId, 'fluid-samples', sample);
    await shop.technician.event<'bleedPulls'>(airy.jobId, 'bleed-pulls', pull);
    expect((await draw(bleeders[0]!)).body.code).to.equal('not_released');
    await finishFluid(shop, airy);
    const handed = await shop.lead.ask<{ sheet: HandbackSheet }>('POST', `/api/jobs/${airy.jobId}/release`, {
      id: v7(),
      password: PASSWORD,
    });
    expect(handed.status, JSON.stringify(handed.body)).to.equal(200);
    expect(handed.body.sheet.afterCare.map((a) => a.item)).to.include('second_bleed');
    const done = () => shop.technician.event<'afterCares'>(airy.jobId, 'after-cares', { item: 'second_bleed', result: 'done', note: '' });
    expect((await done()).body.code).to.equal('not_drawn_yet');
    expect((await draw(airy.slot('rotor', 'FL'))).body.code).to.equal('unknown_reference');
    for (const b of bleeders) expect((await draw(b, b === bleeders[0] ? 'bubbles' : 'none')).status).to.equal(200);
    expect((await done()).body.code, 'air came once more').to.equal('not_drawn_yet');
    await draw(bleeders[0]!);
    expect((await done()).status).to.equal(200);
  });

  it('comes back from a job of its own that was handed back, and from no other', async () => {
    const next = { kind: 'overhaul', complaint: 'It pulls', wants: '', fluidKnown: '', promised: null, scopeCorners: [] };
    const open = (vehicleId: string, returnOf: string | null, id = v7()) =>
      shop.technician.ask<{ code: string; jobId: string }>('POST', `/api/vehicles/${vehicleId}/jobs`, { ...next, id, returnOf });
    const other = await fluidJob(shop);
    expect((await open(car.vehicleId, other.jobId)).body.code).to.equal('unknown_reference');
    expect((await open(car.vehicleId, v7())).body.code).to.equal('unknown_reference');
    const id = v7();
    expect((await open(car.vehicleId, car.jobId, id)).status).to.equal(200);
    expect((await open(car.vehicleId, car.jobId, id)).status, 'said twice').to.equal(200);
    const file = await shop.technician.file(id);
    expect(file.job.returnOf).to.equal(car.jobId);
    const { id: _i, vehicleId: _v, openedAt: _o, openedBy: _b, ...fields } = file.job;
    const change = (returnOf: string | null, version: number) =>
      shop.technician.ask<{ code: string }>('PATCH', `/api/jobs/${id}`, { ...fields, returnOf, version });
    expect((await change(other.jobId, file.job.version)).body.code).to.equal('unknown_reference');
    expect((await change(null, file.job.version)).status).to.equal(200);
    const former = formerJob(deriveJob(await shop.technician.file(car.jobId), now()))!;
    expect(former.left.map((l) => l.what).join('; ')).to.match(/Never open as far as is known.*; 24 places left out of that job$/);
    expect(former.proved.length).to.be.greaterThan(3);
    expect(former.touched.map((l) => l.text).join(' ')).to.include('Class 4 fluid');
    expect(formerJob(deriveJob(file, now()))).to.equal(null);
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
    const records = await shop.reader.file(car.jobId);
    expect(lateEvents(records).map((l) => [l.event.id, l.what, l.answered])).to.deep.equal([[id, 'finding', false]]);
    expect(deriveJob(records, now()).blocks, 'the record stays as it was').to.deep.equal([]);
    expect(weighLate(records, now()).blocks.join()).to.include('Front left hose is out of scope, and a hazard');
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
    const records = await shop.reader.file(car.jobId);
    const { recordedAt: _r, jobId, authorId: _a, volumeMl: _v, ...pull } = records.bleedPulls[0]!;
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
    // As French groups thousands: the space stays one, and does not break.
    expect(printable('79\u202f400 km')).to.equal('79\u00a0400 km');
  });
});
