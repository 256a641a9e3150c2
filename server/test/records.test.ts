import { deriveJob } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, takeSound } from './harness.ts';

const SET = {
  partId: null,
  measurement: 'rotor_thickness',
  phase: 'as_found',
  surface: 'clean',
  cold: true,
  averages: false,
  count: 8,
} as const;
const at = (angleDeg: number) => ({ frame: 'rotor_mark', angleDeg, place: 'outer ring', pass: 1, gaugeVersionId: null }) as const;

describe('records', () => {
  let shop: Shop;
  let car: Booked;
  let setId: string;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    setId = v7();
    await shop.technician.event<'sets'>(car.jobId, 'sets', { ...SET, id: setId, slotId: car.slot('rotor', 'FL') });
  });
  after(() => shop.close());

  it('finds every article of the layout in its place at book-in', async () => {
    const records = await shop.reader.file(car.jobId);
    const articles = records.layout.slots.filter((s) => records.partEvents.some((e) => e.slotId === s.id));
    expect(articles.map((s) => s.kind)).to.include.members(['rotor', 'caliper', 'piston', 'hose', 'master_cylinder', 'servo']);
    expect(records.parts).to.have.length(records.partEvents.length);
  });

  it('keeps what was typed, its unit and its resolution beside the canonical value', async () => {
    const answer = await shop.technician.event<'readings'>(car.jobId, 'readings', { setId, ...at(0), typed: ' 0,4757 "', unit: 'mm' });
    expect(answer.status).to.equal(200);
    expect(answer.body.record).to.include({ typed: ' 0,4757 "', unit: 'mm', fraction: false });
    expect(answer.body.record['canonical']).to.be.closeTo(12.08278, 1e-9);
    expect(answer.body.record['resolution']).to.be.closeTo(0.00254, 1e-9);
  });

  it('answers a repeated write as it answered the first time, and adds nothing', async () => {
    const body = { id: v7(), happenedAt: '2026-01-02T03:04:05Z', device: 'bench', setId, ...at(45), typed: '12.07', unit: 'mm' };
    const first = await shop.technician.ask<{ status: string; record: object }>('POST', `/api/jobs/${car.jobId}/readings`, body);
    const again = await shop.technician.ask<{ status: string; record: object }>('POST', `/api/jobs/${car.jobId}/readings`, body);
    expect([first.body.status, again.body.status]).to.deep.equal(['stored', 'already_stored']);
    expect(again.body.record).to.deep.equal(first.body.record);
    const records = await shop.reader.file(car.jobId);
    expect(records.readings.filter((r) => r.id === body.id)).to.have.length(1);
  });

  it('refuses another figure under the same id, and keeps the first', async () => {
    const id = v7();
    await shop.technician.event<'readings'>(car.jobId, 'readings', { id, setId, ...at(90), typed: '12.06', unit: 'mm' });
    const other = await shop.technician.event<'readings'>(car.jobId, 'readings', { id, setId, ...at(90), typed: '12.60', unit: 'mm' });
    expect([other.status, other.body.code]).to.deep.equal([409, 'id_reused']);
    expect((await shop.reader.file(car.jobId)).readings.find((r) => r.id === id)?.typed).to.equal('12.06');
  });

  it('eight tablets at once lose and double nothing', async () => {
    const ids = Array.from({ length: 64 }, () => v7());
    await Promise.all(
      ids.flatMap((id, i) =>
        [0, 1].map(() =>
          shop.technician.ask('POST', `/api/jobs/${car.jobId}/readings`, {
            id,
            happenedAt: '2026-01-02T03:04:05.000Z',
            device: `tablet ${i % 8}`,
            setId,
            ...at(i),
            typed: '12.00',
            unit: 'mm',
          }),
        ),
      ),
    );
    const kept = (await shop.reader.file(car.jobId)).readings.filter((r) => ids.includes(r.id));
    expect(kept).to.have.length(64);
  });

  const nonsense: [string, Record<string, unknown>, number, string][] = [
    ['a figure that cannot be read', { typed: '12.0.8' }, 422, 'not_a_number'],
    ['a unit of the wrong kind', { typed: '12 kg' }, 422, 'wrong_kind'],
    ['an ambiguous separator is none in a length', { typed: '' }, 422, 'empty'],
    ['an id that is none', { setId: 'twelve' }, 400, 'invalid'],
    ['a set that is not on record', { setId: v7() }, 422, 'unknown_reference'],
    ['an angle beyond the turn', { angleDeg: 720 }, 400, 'invalid'],
    ['a default unit of another kind', { typed: '12', unit: 'kg' }, 422, 'wrong_kind'],
  ];
  for (const [name, over, status, code] of nonsense) {
    it(`refuses ${name} with a sentence`, async () => {
      const answer = await shop.technician.ask<{ code: string; detail: string; type: string }>('POST', `/api/jobs/${car.jobId}/readings`, {
        id: v7(),
        happenedAt: new Date().toISOString(),
        device: 'x',
        setId,
        ...at(0),
        typed: '12',
        unit: 'mm',
        ...over,
      });
      expect([answer.status, answer.body.code]).to.deep.equal([status, code]);
      expect(answer.body.detail).to.match(/^[A-Z“].{15,}\.$/s);
      expect(answer.type).to.match(/^application\/problem\+json/);
    });
  }

  it('says what it will not take: too large, not JSON, an unknown job, an unknown address', async () => {
    const huge = await shop.technician.ask<{ code: string }>('POST', `/api/jobs/${car.jobId}/findings`, {
      words: 'x'.repeat(20 * 2 ** 20),
    });
    expect([huge.status, huge.body.code]).to.deep.equal([413, 'too_large']);
    expect((await shop.technician.ask('POST', `/api/jobs/${car.jobId}/findings`, '{"words": ')).status).to.equal(400);
    const unknown = await shop.technician.event<'counters'>(v7(), 'counters', { typed: '12 km', unit: 'km' });
    expect([unknown.status, unknown.body.code]).to.deep.equal([404, 'not_found']);
    const finding = await shop.technician.event<'findings'>(v7(), 'findings', {
      slotId: v7(),
      partId: null,
      words: 'x',
      severity: 'note',
      cleaning: 'after',
      rulesOut: [],
      settles: null,
    });
    expect([finding.status, finding.body.code]).to.deep.equal([404, 'not_found']);
    expect((await shop.technician.ask('GET', '/api/nowhere')).status).to.equal(404);
    expect(
      (
        await shop.technician.event<'findings'>(car.jobId, 'findings', {
          slotId: car.slot('hose', 'FL'),
          partId: null,
          words: 'a\u0000b',
          severity: 'note',
          cleaning: 'after',
          rulesOut: [],
          settles: null,
        })
      ).status,
    ).to.be.within(400, 422);
  });

  it('takes nothing for a place of another vehicle, nor a set or a correction of another job', async () => {
    const other = await bookIn(shop.technician, 'utility_rods');
    const elsewhere = await shop.technician.event<'sets'>(other.jobId, 'sets', {
      slotId: car.slot('rotor', 'FL'),
      partId: null,
      measurement: 'rotor_thickness',
      phase: 'as_found',
      surface: 'clean',
      cold: true,
      averages: false,
      count: 8,
    });
    expect([elsewhere.status, elsewhere.body.code]).to.deep.equal([422, 'unknown_place']);
    const reading = await shop.technician.event<'readings'>(other.jobId, 'readings', {
      setId,
      ...at(0),
      typed: '12',
      unit: 'mm',
    });
    expect([reading.status, reading.body.code]).to.deep.equal([409, 'other_job']);
    const back = await shop.technician.event<'takeBacks'>(other.jobId, 'take-backs', { corrects: setId });
    expect([back.status, back.body.code]).to.deep.equal([409, 'other_job']);
    const unknown = await shop.technician.event<'takeBacks'>(other.jobId, 'take-backs', { corrects: v7() });
    expect([unknown.status, unknown.body.code]).to.deep.equal([422, 'unknown_reference']);
  });

  it('a set taken on the wrong side is moved, never to a place of another kind, and the part’s life follows', async () => {
    const here = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    const records = await shop.technician.file(here.jobId);
    const partAt = (slotId: string): string => records.partEvents.find((e) => e.slotId === slotId)!.partId;
    const [left, right] = [here.slot('rotor', 'FL'), here.slot('rotor', 'FR')];
    const set = await shop.technician.event<'sets'>(here.jobId, 'sets', {
      slotId: left,
      partId: partAt(left),
      measurement: 'rotor_thickness',
      phase: 'as_found',
      surface: 'clean',
      cold: true,
      averages: false,
      count: 8,
    });
    const move = (slotId: string) =>
      shop.technician.event<'setMoves'>(here.jobId, 'set-moves', { setId: set.body.record.id, slotId, partId: partAt(slotId) });
    expect((await move(here.slot('hose', 'FL'))).body.code).to.equal('wrong_place');
    expect((await move(right)).status).to.equal(200);
    const life = async (slotId: string) =>
      (await shop.technician.ask<{ life: { what: string }[] }>('GET', `/api/parts/${partAt(slotId)}`)).body.life.map((l) => l.what);
    expect((await life(right)).join()).to.include('Gauged');
    expect((await life(left)).join()).to.not.include('Gauged');
  });

  it('what presses the pedal is refused while something on it is open, and names it', async () => {
    const prove = (result: 'passed' | 'not_tried') =>
      shop.technician.event<'proofs'>(car.jobId, 'proofs', { item: 'pedal_hold', slotId: null, corner: null, result, note: 'On the lift' });
    const put = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('caliper', 'FL'), what: 'block', note: '' });
    expect(put.status).to.equal(200);
    const refused = await prove('passed');
    expect([refused.status, refused.body.code]).to.deep.equal([409, 'control_locked']);
    expect(refused.body.detail).to.include('block in the front left caliper');
    expect((await prove('not_tried')).status).to.equal(200);
    const out = await shop.technician.event<'takenOuts'>(car.jobId, 'taken-outs', { putInId: put.body.record.id });
    expect(out.status).to.equal(200);
    const bare = await prove('passed');
    expect([bare.status, bare.body.code]).to.deep.equal([422, 'not_proved_yet']);
    expect(bare.body.detail).to.match(/its figures first, pedal sink/);
    await takeSound(shop.technician, car);
    expect((await prove('passed')).status).to.equal(200);
    const elsewhere = await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: v7(), what: 'plug', note: '' });
    expect(elsewhere.body.code).to.equal('unknown_place');
  });

  it('a figure beyond what can be kept is refused with a sentence', async () => {
    const { vehicle } = await shop.reader.file(car.jobId);
    const { id, ownerId: _owner, ...fields } = vehicle;
    const answer = await shop.technician.ask<{ code: string }>('PATCH', `/api/vehicles/${id}`, { ...fields, version: 2 ** 40 });
    expect([answer.status, answer.body.code]).to.deep.equal([400, 'invalid']);
  });

  it('takes a reading back without losing it', async () => {
    const id = v7();
    await shop.technician.event<'readings'>(car.jobId, 'readings', { id, setId, ...at(300), typed: '1.00', unit: 'mm' });
    await shop.technician.event<'takeBacks'>(car.jobId, 'take-backs', { corrects: id });
    const records = await shop.reader.file(car.jobId);
    expect(records.readings.some((r) => r.id === id)).to.equal(true);
    expect(deriveJob(records, new Date().toISOString()).history.retracted.has(id)).to.equal(true);
  });

  it('the database itself refuses to change or delete what happened', async () => {
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    for (const sql of [
      "update reading set typed = '1'",
      'delete from reading',
      'delete from reading_set',
      "update limit_version set source_text = ''",
      'delete from part_event',
    ]) {
      if (sql.includes('limit_version')) await enterLimit();
      let refused = '';
      await client.query(sql).catch((e: Error) => {
        refused = e.message;
      });
      expect(refused, sql).to.match(/only ever added|violates foreign key/);
    }
    await client.end();
  });

  async function enterLimit(over: Record<string, unknown> = {}) {
    return shop.technician.ask<{ id: string; code: string }>('POST', '/api/limits', {
      id: v7(),
      seriesId: v7(),
      characteristic: 'rotor_thickness',
      scope: 'vehicle',
      appliesTo: car.vehicleId,
      make: null,
      model: null,
      yearFrom: null,
      yearTo: null,
      variant: null,
      axle: 'front',
      bound: 'lower',
      nominal: 12.7,
      machineTo: 12.3,
      at: 12.2,
      low: null,
      high: null,
      gravity: 'safety',
      atLeast: false,
      source: 'maker',
      sourceText: 'works manual, page 212',
      asPrinted: '12.2',
      printedUnit: 'mm',
      ...over,
    });
  }

  it('a limit is checked by a second person, and one that contradicts itself is refused', async () => {
    const entered = await enterLimit();
    expect(entered.status).to.equal(200);
    expect((await shop.technician.ask<{ code: string }>('POST', `/api/limits/${entered.body.id}/check`, {})).body.code).to.equal(
      'own_limit',
    );
    expect((await shop.lead.ask<{ checkedBy: string | null }>('POST', `/api/limits/${entered.body.id}/check`, {})).body.checkedBy).to.be.a(
      'string',
    );
    expect((await enterLimit({ machineTo: 12.0 })).body.code).to.equal('limit_inconsistent');
    expect((await enterLimit({ characteristic: 'shininess' })).body.code).to.equal('unknown_characteristic');
  });

  it('an option ruled out by a reading cannot be decided, and says by which', async () => {
    const option = (o: 'use_again' | 'replace') =>
      shop.technician.event<'decisions'>(car.jobId, 'decisions', {
        slotId: car.slot('rotor', 'FL'),
        partId: null,
        option: o,
        reason: '',
        reviewOn: null,
      });
    const [partEvent] = (await shop.reader.file(car.jobId)).partEvents.filter((e) => e.slotId === car.slot('rotor', 'FL'));
    const own = v7();
    await shop.technician.event<'sets'>(car.jobId, 'sets', { ...SET, id: own, slotId: car.slot('rotor', 'FL'), partId: partEvent!.partId });
    for (const a of [0, 90, 180, 270])
      await shop.technician.event<'readings'>(car.jobId, 'readings', { setId: own, ...at(a), typed: '12.05', unit: 'mm' });
    const refused = await option('use_again');
    expect([refused.status, refused.body.code]).to.deep.equal([409, 'ruled_out']);
    expect(refused.body.detail).to.include('12.05 mm');
    expect((await option('replace')).status).to.equal(200);
  });

  it('a stale edit is refused with what is on record, and changes nothing', async () => {
    const fields = {
      kind: 'overhaul',
      complaint: 'Judder',
      wants: 'One thing',
      fluidKnown: '',
      promised: null,
      scopeCorners: ['FL', 'FR'],
    };
    expect((await shop.technician.ask('PATCH', `/api/jobs/${car.jobId}`, { ...fields, version: 1 })).status).to.equal(200);
    const stale = await shop.lead.ask<{ code: string; current: { wants: string; version: number } }>('PATCH', `/api/jobs/${car.jobId}`, {
      ...fields,
      wants: 'Another',
      version: 1,
    });
    expect([stale.status, stale.body.code, stale.body.current.wants, stale.body.current.version]).to.deep.equal([
      409,
      'stale',
      'One thing',
      2,
    ]);
  });

  it('one open job a vehicle', async () => {
    const second = await shop.technician.ask<{ code: string }>('POST', `/api/vehicles/${car.vehicleId}/jobs`, {
      id: v7(),
      kind: 'inspection',
      complaint: '',
      wants: '',
      fluidKnown: '',
      promised: null,
      scopeCorners: [],
    });
    expect([second.status, second.body.code]).to.deep.equal([409, 'already_open']);
  });

  it('a layout that cannot be right is refused', async () => {
    const vehicleId = v7();
    const layout = { ...car.layout, connections: car.layout.connections.slice(0, 2) };
    const answer = await shop.technician.ask<{ code: string; detail: string }>('POST', '/api/vehicles', {
      vehicleId,
      owner: null,
      layout: { ...layout, id: v7(), vehicleId },
      vehicle: {
        tag: 'V 990',
        name: 'x',
        make: 'x',
        model: 'x',
        year: null,
        variant: null,
        body: '',
        use: 'daily',
        climate: 'dry',
        storage: 'dry',
        standsYears: null,
        distanceUnit: 'km',
      },
      job: { id: v7(), kind: 'fluid', complaint: '', wants: '', fluidKnown: '', promised: null, scopeCorners: [] },
    });
    expect([answer.status, answer.body.code]).to.deep.equal([422, 'layout_impossible']);
    expect(answer.body.detail).to.match(/No line reaches/);
  });

  it('the owner’s contact is for leads, for whoever wrote it down, and for whom a lead put on the job: not for whoever begins something', async () => {
    const url = `/api/vehicles/${car.vehicleId}/owner`;
    expect((await shop.technician.ask<{ contact: string }>('GET', url)).body.contact).to.equal('555 0100');
    expect((await shop.reader.ask('GET', url)).status).to.equal(403);
    const id = v7();
    const password = 'a-long-enough-password';
    await shop.lead.ask('POST', '/api/people', { id, name: 'Otto Vale', login: 'otto', password, role: 'technician' });
    await shop.nobody.ask('POST', '/api/sign-in', { login: 'otto', password });
    const refused = async (): Promise<string> => (await shop.nobody.ask<{ code: string }>('GET', url)).body.code;
    expect(await refused()).to.equal('owner_contact');
    const slotId = car.slot('rotor', 'FL');
    const set = { slotId, partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean', cold: true, averages: false };
    expect((await shop.nobody.event<'sets'>(car.jobId, 'sets', { ...set, count: 8 } as never)).status).to.equal(200);
    expect(await refused()).to.equal('owner_contact');
    const own = v7();
    const put = { id: own, accountId: id };
    expect((await shop.technician.ask('POST', `/api/jobs/${car.jobId}/assignments`, put)).status).to.equal(403);
    expect((await shop.lead.ask('POST', `/api/jobs/${car.jobId}/assignments`, put)).status).to.equal(200);
    expect((await shop.nobody.ask<{ contact: string }>('GET', url)).body.contact).to.equal('555 0100');
    expect((await shop.lead.ask('POST', `/api/jobs/${car.jobId}/assignments/${own}/end`, {})).status).to.equal(200);
    expect(await refused()).to.equal('owner_contact');
  });

  it('is all there after the process was started again, sessions too', async () => {
    // The mark up to which it was read moves with every transaction of the database, its own housekeeping too.
    const recordsNow = async (): Promise<JobRecords> => {
      const { cursor, ...records } = (await shop.reader.file(car.jobId)) as JobRecords & { readonly cursor: string };
      expect(cursor).to.match(/\S/);
      return records;
    };
    const before = await recordsNow();
    await shop.restart();
    expect(await recordsNow()).to.deep.equal(before);
  });
});
