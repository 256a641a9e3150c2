import { FROM_BEFORE } from '@dauer/contract';
import { buildLayout } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, PASSWORD, type Shop, takeIn } from './harness.ts';

const THEN = '2020-05-04T08:00:00.000Z';
const at = (minute: number): string => new Date(Date.parse(THEN) + minute * 60000).toISOString();

describe('history that is taken in', function () {
  this.timeout(60000);
  let shop: Shop;
  let own: Booked;
  let tessId = '';
  let leadId = '';
  before(async () => {
    shop = await openShop();
    own = await bookIn(shop.technician);
    const people = (await shop.lead.ask<{ id: string; login: string }[]>('GET', '/api/people')).body;
    tessId = people.find((p) => p.login === 'tess')!.id;
    leadId = people.find((p) => p.login === 'lea')!.id;
  });
  after(() => shop.close());

  const head = (over: object = {}) => ({ kind: 'import', id: v7(), source: 'a card file', password: PASSWORD, ...over });
  const vehicle = (tag = `V ${v7().slice(-5)}`) => {
    const id = v7();
    const layout = buildLayout('coupe_disc_disc_tandem_servo', v7(), id, v7);
    const facts = { tag, name: 'Old coupé', make: 'Tavell', model: 'Corrie', year: 1971, variant: null, body: 'coupé', use: 'daily' };
    const rest = { climate: 'temperate', storage: 'dry', standsYears: null, distanceUnit: 'km', version: 1 };
    return { id, layout, line: { kind: 'vehicle', vehicle: { id, ...facts, ...rest }, layout } };
  };
  const jobLine = (vehicleId: string, id = v7()) => ({
    id,
    line: {
      kind: 'job',
      job: {
        ...{ id, vehicleId, kind: 'fluid', complaint: 'Long pedal', wants: '', fluidKnown: '', promised: null, scopeCorners: [] },
        ...{ openedAt: THEN, openedBy: FROM_BEFORE },
      },
    },
  });
  const event = (family: string, jobId: string, fields: object, authorId: string = FROM_BEFORE) => ({
    kind: 'event',
    family,
    authorId,
    record: { id: v7(), jobId, device: 'card', happenedAt: at(5), recordedAt: at(5), corrects: null, ...fields },
  });
  const release = (jobId: string) => ({ kind: 'release', release: { id: v7(), jobId, releasedAt: at(90) } });
  const reading = (jobId: string, setId: string, typed: string, canonical: number) =>
    event('readings', jobId, {
      ...{ setId, frame: 'rotor_mark', angleDeg: 0, place: null, pass: 1, gaugeVersionId: null, typed, unit: 'mm' },
      ...{ canonical, resolution: 0.01, fraction: false },
    });
  const set = (jobId: string, slotId: string) =>
    event('sets', jobId, {
      ...{ slotId, partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean', cold: true, averages: false },
      ...{ count: 4, turn: 0, studs: null, blind: false },
    });

  it('refuses a job that orders from a supplier whom nobody knows, and takes the others', async () => {
    const [car, other] = [vehicle(), vehicle()];
    const [bad, good] = [jobLine(car.id), jobLine(other.id)];
    const order = event('orderLines', bad.id, {
      ...{ supplierId: v7(), supplier: 'Nobody', name: 'Rotor', articleId: null, partNumber: null, supply: 'new', count: 1, places: [] },
      ...{ need: null, price: 4000, core: null, expected: null, shopsOwn: false, note: '' },
    });
    const done = await takeIn(shop.lead, [head(), car.line, other.line, bad.line, good.line, order, release(bad.id), release(good.id)]);
    expect(done.status, JSON.stringify(done.body)).to.equal(200);
    expect(done.body.refused.map((r) => r.jobId)).to.deep.equal([bad.id]);
    expect((await shop.lead.file(good.id)).job.id).to.equal(good.id);
  });

  it('is marked by whom and from what, hands nothing back in anybody’s name, and works figures out anew', async () => {
    const car = vehicle();
    const job = jobLine(car.id);
    const rotor = car.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FL')!.id;
    const begun = set(job.id, rotor);
    const lied = reading(job.id, begun.record.id, '11.90 mm', 3);
    const done = await takeIn(shop.lead, [head(), car.line, job.line, begun, lied, release(job.id)]);
    expect([done.status, done.body.refused], JSON.stringify(done.body)).to.deep.equal([200, []]);
    const records: JobRecords = await shop.reader.file(job.id);
    expect(records.imported).to.include({ source: 'a card file', importedBy: leadId });
    expect([records.release?.releasedBy, records.release?.importId]).to.deep.equal([null, records.imported?.id]);
    expect(records.readings.map((r) => r.canonical)).to.deep.equal([11.9]);
    const who = records.people.find((p) => p.id === records.sets[0]!.authorId);
    expect([who?.name, who?.active]).to.deep.equal([FROM_BEFORE, false]);
    // Nobody lets this account in, nor finds it among the people.
    expect((await shop.lead.ask<{ name: string }[]>('GET', '/api/people')).body.map((p) => p.name)).to.not.include(FROM_BEFORE);
    expect((await shop.lead.ask('PATCH', `/api/people/${who!.id}`, { version: 1, active: true, password: PASSWORD })).status).to.equal(404);
    const printed = await shop.lead.raw(`/api/jobs/${job.id}/sheet.pdf`);
    expect(printed.status).to.equal(200);
  });

  it('adds nothing to a job of this shop’s own, and hands none back', async () => {
    const rotor = own.slot('rotor', 'FL');
    const mine = set(own.jobId, rotor);
    const done = await takeIn(shop.lead, [head(), mine, reading(own.jobId, mine.record.id, '12', 12), release(own.jobId)]);
    expect(done.body.refused.map((r) => r.jobId)).to.deep.equal([own.jobId]);
    expect(done.body.refused[0]?.why).to.match(/of this shop’s own/);
    expect(done.body.refused[0]?.code).to.equal('own_job');
    const records = await shop.reader.file(own.jobId);
    expect([records.sets.length, records.readings.length, records.release]).to.deep.equal([0, 0, null]);
  });

  it('gives a vehicle no second open job, and accepts nothing in anybody’s name', async () => {
    const second = jobLine(own.vehicleId);
    const open = await takeIn(shop.lead, [head(), second.line]);
    expect(open.body.refused[0]?.why).to.match(/open job/);
    const car = vehicle();
    const job = jobLine(car.id);
    const accepted = event('acceptances', job.id, { obligation: 'proof:road|lead|', reason: 'it will do' }, leadId);
    const done = await takeIn(shop.lead, [head(), car.line, job.line, accepted]);
    expect(done.body.refused[0]?.why).to.match(/accepted here, by name/);
    expect(done.body.refused[0]?.code).to.equal('accepted_by_file');
  });

  it('names people of the shop or nobody: no account comes in with it, and no check', async () => {
    const car = vehicle();
    const job = jobLine(car.id);
    const stranger = v7();
    const done = await takeIn(shop.lead, [head(), car.line, job.line, event('fluidServices', job.id, { product: 'x' }, stranger)]);
    expect(done.status).to.equal(422);
    const named = event('fluidServices', job.id, { product: 'Fluid', fluidClass: '4', batch: '', lowMoisture: false }, stranger);
    const second = await takeIn(shop.lead, [head(), car.line, job.line, named]);
    expect(second.body.refused[0]?.why).to.contain(stranger);
    expect(second.body.refused[0]?.code).to.equal('unknown_author');
    expect((await takeIn(shop.lead, [head(), { kind: 'person', id: v7(), login: 'x', role: 'lead' }])).status).to.equal(422);
    const limit = {
      ...{ id: v7(), seriesId: v7(), characteristic: 'rotor_thickness', scope: 'type', appliesTo: null, make: 'Tavell', model: 'Corrie' },
      ...{
        yearFrom: null,
        yearTo: null,
        variant: null,
        axle: null,
        bound: 'lower',
        nominal: null,
        machineTo: null,
        at: 11,
        low: null,
        high: null,
      },
      ...{ gravity: 'safety', atLeast: false, source: 'maker', sourceText: 'p. 1', asPrinted: '11', printedUnit: 'mm', enteredAt: THEN },
      ...{ checkedBy: tessId, checkedAt: THEN, enteredBy: tessId },
    };
    await takeIn(shop.lead, [head(), { kind: 'limit', limit }]);
    const book = (await shop.reader.ask<{ id: string; checkedBy: string | null; enteredBy: string }[]>('GET', '/api/limits')).body;
    expect(book.find((l) => l.id === limit.id)).to.include({ checkedBy: null, enteredBy: leadId });
  });

  it('is refused by the line that cannot be used, and nothing of it is kept', async () => {
    const car = vehicle();
    for (const [bad, why] of [
      ['{"kind":"vehicle"', /Line 3: this is not a JSON document/],
      [{ kind: 'teapot' }, /Line 3, “kind”/],
      [event('readings', v7(), { typed: '12' }), /Line 3, “record/],
    ] as const) {
      const done = await takeIn(shop.lead, [head(), car.line, bad]);
      expect([done.status, done.body.code]).to.deep.equal([422, 'import_line']);
      expect(done.body.detail).to.match(why);
    }
    expect((await shop.reader.ask<unknown[]>('GET', `/api/search?q=${encodeURIComponent(car.line.vehicle.tag)}`)).body).to.deep.equal([]);
  });

  it('one job that cannot be taken in keeps none of the others out; the same file goes on where it was', async () => {
    const car = vehicle();
    const good = jobLine(car.id);
    const bad = jobLine(v7());
    const lines = [head(), car.line, good.line, bad.line, release(good.id), release(bad.id)];
    const first = await takeIn(shop.lead, lines);
    expect([first.body.jobs, first.body.refused.map((r) => r.jobId)]).to.deep.equal([1, [bad.id]]);
    const again = await takeIn(shop.lead, lines);
    expect([again.body.written, again.body.known]).to.deep.equal([0, first.body.written]);
    const other = await takeIn(shop.lead, [{ ...lines[0], source: 'another file' }, car.line]);
    expect([other.status, other.body.code]).to.deep.equal([409, 'id_reused']);
  });

  it('asks for a lead and the lead’s password, before it reads on; of the future there is no history', async () => {
    const car = vehicle();
    const job = jobLine(car.id);
    expect((await takeIn(shop.technician, [head(), car.line])).status).to.equal(403);
    expect((await takeIn(shop.lead, [head({ password: 'wrong' }), car.line])).body.code).to.equal('wrong_password');
    const later = event('fluidServices', job.id, {
      ...{ product: 'Fluid', fluidClass: '4', batch: '', lowMoisture: false },
      ...{ happenedAt: new Date(Date.now() + 3600000).toISOString() },
    });
    const done = await takeIn(shop.lead, [head(), car.line, job.line, later]);
    expect(done.body.refused[0]?.why).to.match(/future/);
    expect((await shop.lead.ask<{ code: string }>('POST', '/api/import', { kind: 'import' })).status).to.equal(415);
  });

  it('a part of another vehicle is not taken along', async () => {
    const car = vehicle();
    const job = jobLine(car.id);
    const theirs = (await shop.reader.file(own.jobId)).partEvents.find((e) => e.slotId === own.slot('rotor', 'FL'))!.partId;
    const rotor = car.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FL')!.id;
    const moved = event('partEvents', job.id, { partId: theirs, kind: 'fitted', slotId: rotor, note: '', temporary: false, until: null });
    const done = await takeIn(shop.lead, [head(), car.line, job.line, moved, release(job.id)]);
    expect(done.body.refused[0]?.why).to.match(/on record with/);
  });

  it('two at once: one is taken in, the other is told to wait', async () => {
    const lines = Array.from({ length: 30 }, () => vehicle('x')).map((v, i) => ({
      ...v.line,
      vehicle: { ...v.line.vehicle, tag: `Z ${i} ${v.id.slice(-4)}` },
    }));
    const both = await Promise.all([takeIn(shop.lead, [head(), ...lines]), takeIn(shop.lead, [head(), ...lines])]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 409]);
    expect(both.find((b) => b.status === 409)?.body.code).to.equal('import_under_way');
  });
});
