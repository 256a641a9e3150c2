import { completenessOf } from '@dauer/core/estimate';
import { openHistory } from '@dauer/core/history';
import type { LotVersion, OrderLine } from '@dauer/core/ledger';
import { needsOf, estimateOf } from '@dauer/core/estimate';
import { deriveJob } from '@dauer/core/job';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, takeOff } from './harness.ts';

type Refused = { readonly code: string; readonly detail: string };
const SUPPLIER = { id: v7(), name: 'Bramhall Spares', contact: 'orders at the counter' };
const ROTOR = {
  ...{ id: v7(), seriesId: v7(), name: 'Rotor', partNumber: 'R 1', supply: 'new', kind: 'rotor', process: null, fits: 'shop' },
  ...{
    appliesTo: null,
    make: null,
    model: null,
    axle: null,
    supplierId: SUPPLIER.id,
    price: 4000,
    tax: 'standard',
    pricedOn: '2026-05-01',
  },
  ...{ leadDays: 2, core: 0, scarcity: 'available', covers: 'one', contents: [], states: { height: '48 mm' }, retired: false },
};
const lotOf = (over: Partial<LotVersion> = {}) => ({
  ...{ id: v7(), seriesId: v7(), label: `L ${v7().slice(-6)}`, kind: 'lining', name: 'Pads', partNumber: null, supplierId: null },
  ...{ made: null, bought: null, opened: null, batch: '', torque: '', bedding: '', cure: '', note: '', compound: '', grade: '' },
  ...{ meantFor: '', coating: '', ratedC: null, lifted: 'unknown', shelfYears: null, closed: false, recalled: '' },
  ...over,
});

describe('orders, send-outs and lots', function () {
  this.timeout(60000);
  let shop: Shop;
  let car: Booked;
  const post = (path: string, body: object, who = shop.technician) =>
    who.ask<Refused & { record: { id: string } }>('POST', `/api/jobs/${car.jobId}/${path}`, {
      ...{ id: v7(), happenedAt: new Date().toISOString(), device: 'test' },
      ...body,
    });
  const order = (over: object = {}) =>
    post('order-lines', {
      ...{
        supplierId: SUPPLIER.id,
        supplier: SUPPLIER.name,
        name: 'Rotor',
        partNumber: 'R 1',
        supply: 'new',
        count: 1,
        places: [],
        need: null,
      },
      ...{ price: 4000, core: null, note: '' },
      ...over,
    });
  const needs = async () => {
    const { history, components } = deriveJob(await shop.technician.file(car.jobId), new Date().toISOString());
    return needsOf(history, estimateOf(history, components));
  };
  const said = (answer: { status: number; body: Refused }) => [answer.status, answer.body.code];

  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    await shop.lead.ask('POST', '/api/suppliers', SUPPLIER);
    expect((await shop.lead.ask('POST', '/api/articles', ROTOR)).status).to.equal(200);
    for (const corner of ['FL', 'FR'] as const)
      await post('decisions', { slotId: car.slot('rotor', corner), partId: null, option: 'replace', reason: 'worn', reviewOn: null });
  });
  after(() => shop.close());

  it('nothing is ordered before small things were looked at; a tool of the shop is', async () => {
    expect(said(await order())).to.deep.equal([409, 'not_looked']);
    expect((await order({ name: 'Puller', shopsOwn: true })).status).to.equal(200);
    const open = completenessOf(openHistory(await shop.technician.file(car.jobId))).filter((c) => c.state === 'nobody');
    expect(open.length).to.be.greaterThan(4);
    for (const c of open)
      expect((await post('order-looks', { corner: c.corner, thing: c.thing, answer: 'not_needed' })).status).to.equal(200);
  });

  it('of a reader nothing is taken, of a supplier who is none neither', async () => {
    expect((await post('order-lines', {}, shop.reader)).status).to.equal(403);
    expect(said(await order({ supplier: 'Somebody' }))).to.deep.equal([422, 'unknown_reference']);
    expect(said(await order({ expected: '2020-01-01' }))).to.deep.equal([422, 'until_past']);
    expect((await order({ count: 0 })).status).to.equal(400);
    expect((await order({ price: 40.5 })).status).to.equal(400);
  });

  it('two tablets that order the same at once order it once', async () => {
    const need = (await needs()).find((n) => n.name === 'Rotor')!;
    expect(need.missing).to.equal(2);
    const answers = await Promise.all([1, 2, 3].map(() => order({ need: need.key, count: 2, places: need.places, articleId: ROTOR.id })));
    expect(answers.map((a) => a.status).sort()).to.deep.equal([200, 409, 409]);
    expect(answers.find((a) => a.status === 409)?.body.code).to.equal('ordered_already');
    expect((await needs()).find((n) => n.key === need.key)?.missing).to.equal(0);
    expect(said(await order({ need: 'nothing:new:x' }))).to.deep.equal([409, 'ordered_already']);
  });

  it('no more arrives than was ordered, however often it is pressed; what is unlike is not right, and is not fitted', async () => {
    const file = await shop.technician.file(car.jobId);
    const line = file.orderLines.find((l: OrderLine) => l.need !== null)!;
    const step = (kind: string, over: object = {}) => post('order-steps', { lineId: line.id, kind, ...over });
    const came = await Promise.all([1, 2, 3].map(() => step('arrived', { count: 1 })));
    expect(came.map((a) => a.status).sort()).to.deep.equal([200, 200, 422]);
    const at = car.slot('rotor', 'FL');
    const partId = file.partEvents.find((e) => e.slotId === at)!.partId;
    await post('part-facts', { fact: 'height', slotId: at, partId, typed: '48', unit: 'mm' });
    await post('part-facts', { fact: 'height', slotId: at, partId: null, lineId: line.id, typed: '52', unit: 'mm' });
    const right = await step('checked', { result: 'right', slotId: at });
    expect(said(right)).to.deep.equal([409, 'unlike']);
    expect(right.body.detail).to.contain('52.00 mm, and 48.00 mm on the old one');
    expect(said(await step('checked', { result: 'wrong', slotId: at }))).to.deep.equal([422, 'not_possible']);
    expect((await step('checked', { result: 'wrong', slotId: at, note: 'Four millimetres too high' })).status).to.equal(200);
    await takeOff(shop.technician, car, car.slot('caliper', 'FL'), at);
    const fit = await post('part-events', {
      ...{ partId: v7(), kind: 'fitted', slotId: at, note: '' },
      part: { tag: null, kind: 'rotor', name: 'Rotor', partNumber: null, note: '' },
    });
    expect(said(fit)).to.deep.equal([422, 'not_possible']);
    const scrap = await post('part-events', { partId, kind: 'scrapped', slotId: null, note: 'thin' });
    expect(scrap.body.detail).to.contain('gauge for the new one');
    expect((await step('returned')).status).to.equal(200);
    expect(said(await step('returned'))).to.deep.equal([422, 'not_possible']);
    expect(said(await post('part-facts', { fact: 'height', slotId: at, partId, lineId: line.id, typed: '4' }))).to.deep.equal([
      422,
      'not_possible',
    ]);
  });

  it('stands in one list over all vehicles, without a sum for a reader, and keeps its supplier in the book', async () => {
    const { body } = await shop.reader.ask<{ counts: Record<string, number>; rows: { what: string; stands: string }[] }>(
      'GET',
      '/api/traffic',
    );
    expect([body.counts['way'], body.counts['check'], body.counts['return']]).to.deep.equal([1, 1, 1]);
    expect(JSON.stringify(body)).not.to.contain('4000');
    const found = await shop.reader.ask<{ rows: unknown[] }>('GET', '/api/traffic?view=return&q=rotor');
    expect(found.body.rows.length).to.equal(1);
    expect((await shop.reader.ask<{ rows: unknown[] }>('GET', '/api/traffic?q=nothing')).body.rows).to.deep.equal([]);
    const file = await shop.reader.file(car.jobId);
    expect(file.orderLines.map((l: OrderLine) => l.price)).to.deep.equal(file.orderLines.map(() => null));
    const gone = await shop.lead.ask<Refused>('PATCH', `/api/suppliers/${SUPPLIER.id}`, { version: 1, active: false });
    expect(said(gone)).to.deep.equal([409, 'supplier_in_use']);
  });

  it('is written out as a PDF for whoever orders, and for nobody else', async () => {
    const pdf = await shop.technician.raw(`/api/orders.pdf?supplier=${SUPPLIER.id}&job=${car.jobId}`);
    expect([pdf.status, pdf.type]).to.deep.equal([200, 'application/pdf']);
    expect((await shop.reader.ask('GET', `/api/orders.pdf?supplier=${SUPPLIER.id}`)).status).to.equal(403);
    expect((await shop.technician.ask('GET', `/api/orders.pdf?supplier=${v7()}`)).status).to.equal(404);
  });

  it('nothing is ordered past what the owner authorised', async () => {
    const other = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { authorisedMinor: 100 });
    const mine = car;
    car = other;
    const open = completenessOf(openHistory(await shop.technician.file(car.jobId)));
    for (const c of open) await post('order-looks', { corner: c.corner, thing: c.thing, answer: 'left' });
    for (const corner of ['FL', 'FR'] as const)
      await post('decisions', { slotId: car.slot('rotor', corner), partId: null, option: 'replace', reason: 'worn', reviewOn: null });
    expect(said(await order())).to.deep.equal([409, 'over_authorised']);
    car = mine;
  });

  it('what is sent out comes back counted and looked at, or does not go on', async () => {
    const at = car.slot('rotor', 'FR');
    const partId = (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === at)!.partId;
    // What is coated goes on again: it is not renewed after all.
    await post('decisions', { slotId: at, partId: null, option: 'use_again', reason: '', reviewOn: null });
    await takeOff(shop.technician, car, car.slot('caliper', 'FR'), at);
    const box = {
      ...{ supplierId: SUPPLIER.id, supplier: SUPPLIER.name, batch: 'Monday', partId, slotId: at, process: 'powder', size: '' },
      ...{ colour: 'black', gloss: 'satin', masks: ['Friction faces'], count: 2, note: '' },
    };
    const twice = await Promise.all([post('send-outs', box), post('send-outs', box)]);
    expect(twice.map((a) => a.status).sort()).to.deep.equal([200, 422]);
    const sendOutId = twice.find((a) => a.status === 200)!.body.record.id;
    const check = (over: object = {}) =>
      post('send-out-steps', {
        ...{ sendOutId, kind: 'checked', result: 'right', count: 2 },
        looked: ['Threads', 'Seats and faces', 'Nothing left of masks or plugs'],
        ...over,
      });
    expect((await check()).body.detail).to.contain('not back yet');
    const pdf = await shop.technician.raw(`/api/packing.pdf?supplier=${SUPPLIER.id}&batch=Monday`);
    expect([pdf.status, pdf.type]).to.deep.equal([200, 'application/pdf']);
    for (const kind of ['sent', 'returned'])
      expect((await post('part-events', { partId, kind, slotId: null, note: 'Monday' })).status).to.equal(200);
    const fit = () => post('part-events', { partId, kind: 'fitted', slotId: at, note: '' });
    expect((await fit()).body.detail).to.contain('was not looked at');
    expect((await check({ count: 1 })).body.detail).to.contain('A piece is missing');
    expect((await check({ looked: [] })).body.detail).to.contain('Look at threads');
    expect((await check({ result: 'wrong', count: 1, note: 'One is missing' })).status).to.equal(200);
    expect((await fit()).status).to.equal(422);
    expect((await check()).status).to.equal(200);
    expect((await fit()).status).to.equal(200);
  });

  it('a lot past its age asks, one called in by a lead goes on nowhere, and names every vehicle that has it', async () => {
    const lot = lotOf({ kind: 'rubber', made: '2015', name: 'Hoses' });
    expect((await shop.technician.ask('POST', '/api/lots', lot)).status).to.equal(200);
    expect(said(await shop.technician.ask<Refused>('POST', '/api/lots', lotOf({ label: lot.label.toLowerCase() })))).to.deep.equal([
      409,
      'already_used',
    ]);
    const slotId = car.slot('rotor', 'RL');
    const use = (over: object = {}) => post('lot-uses', { lotId: lot.seriesId, slotId, partId: null, ...over });
    expect(said(await use())).to.deep.equal([422, 'reason_missing']);
    expect(said(await use({ reason: 'Kept in the dark', slotId: null }))).to.deep.equal([422, 'not_possible']);
    expect((await use({ reason: 'Kept in the dark' })).status).to.equal(200);
    const recall = { ...lot, id: v7(), replaces: lot.id, recalled: 'The rubber swells.' };
    expect((await shop.technician.ask('POST', '/api/lots', recall)).status).to.equal(403);
    expect((await shop.lead.ask('POST', '/api/lots', recall)).status).to.equal(200);
    expect(said(await shop.lead.ask<Refused>('POST', '/api/lots', { ...recall, id: v7() }))).to.deep.equal([409, 'stale']);
    expect(said(await use({ reason: 'Kept in the dark' }))).to.deep.equal([422, 'not_possible']);
    const has = await shop.lead.ask<{ vehicleTag: string; place: string; inShop: boolean }[]>('GET', `/api/lots/${lot.seriesId}/vehicles`);
    expect(has.body.map((v) => [v.place, v.inShop])).to.deep.equal([['Rear left rotor', true]]);
    const lots = await shop.reader.ask<{ lot: LotVersion; vehicles: number }[]>('GET', '/api/lots');
    expect(lots.body.find((l) => l.lot.seriesId === lot.seriesId)?.vehicles).to.equal(1);
  });

  it('the store is counted, added to and taken from, and knows its level', async () => {
    const move = (kind: string, count: number) =>
      shop.technician.ask('POST', '/api/stock-moves', { id: v7(), seriesId: ROTOR.seriesId, kind, count, jobId: null, note: '' });
    for (const [kind, count] of [
      ['counted', 5],
      ['taken', 3],
      ['came', 1],
      ['level', 4],
    ] as const)
      expect((await move(kind, count)).status).to.equal(200);
    const stock = () => shop.technician.ask<{ count: number; level: number }[]>('GET', '/api/stock');
    expect((await stock()).body.map((r) => [r.count, r.level])).to.deep.equal([[3, 4]]);
    await move('counted', 9);
    expect((await stock()).body[0]?.count).to.equal(9);
    expect((await shop.reader.ask('GET', '/api/stock')).status).to.equal(403);
    expect(
      (await shop.technician.ask('POST', '/api/stock-moves', { id: v7(), seriesId: v7(), kind: 'came', count: 1, jobId: null, note: '' }))
        .status,
    ).to.equal(404);
  });
});
