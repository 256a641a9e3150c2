import { plannedPositions } from '@dauer/core/catalogue';
import { EVENT_LISTS, type JobRecords, withChanges } from '@dauer/core/ledger';
import { demoStory } from '@dauer/demo';
import { ENDPOINTS } from '@dauer/contract';
import { expect } from 'chai';
import { v7 } from 'uuid';
import pg from 'pg';
import { connect, type Connection } from '../src/db/connect.ts';
import { HEADS } from '../src/db/headTables.ts';
import { type JobChanges, readChanges, readCursor } from '../src/records/changes.ts';
import { readJobFile } from '../src/records/jobFile.ts';
import { addStoryPeople, type Booked, bookIn, limitBody, openShop, PASSWORD, type Shop, takeIn, type Visitor, takeOff } from './harness.ts';

/** A file whatever order its lists came in. */
function ordered(records: JobRecords): Record<string, unknown> {
  const lists: readonly string[] = [
    ...EVENT_LISTS,
    'parts',
    'limits',
    'priors',
    'gauges',
    'callBacks',
    'gaugeChecks',
    'articles',
    'rates',
    'houseRules',
    'shopCards',
    'comebackCounts',
    'offers',
    'lots',
  ];
  return Object.fromEntries(
    Object.entries(records)
      .filter(([name]) => name !== 'cursor')
      .map(([name, value]: [string, unknown]) =>
        Array.isArray(value) && lists.includes(name)
          ? [name, [...(value as { id: string }[])].sort((a, b) => a.id.localeCompare(b.id))]
          : [name, value],
      ),
  );
}

/** A page that follows a job: it reads it once, and what is new after that. */
class Page {
  file!: JobRecords;
  cursor = '';
  last!: JobChanges;
  private readonly who: Visitor;
  private readonly jobId: string;
  constructor(who: Visitor, jobId: string) {
    this.who = who;
    this.jobId = jobId;
  }
  async open(): Promise<this> {
    const { cursor, ...file } = (await this.who.file(this.jobId)) as JobRecords & { cursor: string };
    this.file = file;
    this.cursor = cursor;
    return this;
  }
  async ask(since = this.cursor): Promise<JobChanges> {
    const answer = await this.who.ask<JobChanges>('GET', `/api/jobs/${this.jobId}/changes?since=${encodeURIComponent(since)}`);
    expect(answer.status, JSON.stringify(answer.body)).to.equal(200);
    // The server writes it as it is: here it is held to the schema that it is promised by.
    ENDPOINTS.jobChanges.reply.strict().parse(answer.body);
    return answer.body;
  }
  async follow(): Promise<JobChanges> {
    this.last = await this.ask();
    if (this.last.whole) await this.open();
    else {
      this.file = withChanges(this.file, this.last.file);
      this.cursor = this.last.cursor;
    }
    return this.last;
  }
  /** What this page has is what a page has that opens the job now. */
  async isUpToDate(): Promise<void> {
    expect(ordered(this.file)).to.deep.equal(ordered(await this.who.file(this.jobId)));
  }
}

const SET = { measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean', cold: true, averages: false, count: 4 } as const;
const told = (changes: JobChanges): string[] => Object.keys(changes.file).sort();

describe('what is new of a job', function () {
  this.timeout(60000);
  let shop: Shop;
  let car: Booked;
  let page: Page;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    page = await new Page(shop.reader, car.jobId).open();
  });
  after(() => shop.close());
  const find = (jobId: string, at: Booked, words: string) =>
    shop.technician.event<'findings'>(jobId, 'findings', {
      ...{ slotId: at.slot('rotor', 'FL'), partId: null, words, severity: 'note', cleaning: 'after', rulesOut: [], settles: null },
    });

  it('is nothing where nothing happened', async () => {
    expect(told(await page.follow())).to.deep.equal([]);
    await page.isUpToDate();
  });

  it('is the event and nothing else', async () => {
    await find(car.jobId, car, 'Blue.');
    const changes = await page.follow();
    expect(told(changes)).to.deep.equal(['findings']);
    expect(changes.file.findings?.map((f) => f.words)).to.deep.equal(['Blue.']);
    await page.isUpToDate();
    expect(told(await page.follow()), 'and once').to.deep.equal([]);
  });

  it('is a reading by its set, and what is taken back', async () => {
    const { body } = await shop.technician.event<'sets'>(car.jobId, 'sets', { ...SET, slotId: car.slot('rotor', 'FL'), partId: null });
    await page.follow();
    const taken = await shop.technician.event<'readings'>(car.jobId, 'readings', {
      ...{ setId: body.record.id, ...plannedPositions('rotor_thickness', 4)[0]!, pass: 1, gaugeVersionId: null, typed: '12.1', unit: 'mm' },
    });
    expect(told(await page.follow())).to.deep.equal(['readings']);
    await page.isUpToDate();
    await shop.technician.event<'takeBacks'>(car.jobId, 'take-backs', { corrects: taken.body.record.id, reason: '' });
    expect(told(await page.follow())).to.deep.equal(['takeBacks']);
    await page.isUpToDate();
  });

  it('is no more of a job with two thousand readings', async () => {
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    const one = page.file.readings[0]!;
    await client.query(
      `insert into reading (id, job_id, author_id, device, happened_at, recorded_at, set_id, frame, place, angle_deg, pass, typed, unit, canonical, resolution, fraction)
        select gen_random_uuid(), job_id, author_id, device, happened_at, recorded_at, set_id, frame, place, angle_deg, pass, typed, unit, canonical, resolution, fraction
        from reading cross join generate_series(1, 1990) where id = $1`,
      [one.id],
    );
    await client.end();
    expect((await page.follow()).file.readings?.length).to.equal(1990);
    await find(car.jobId, car, 'Ground in.');
    const changes = await page.follow();
    expect(told(changes)).to.deep.equal(['findings']);
    expect(JSON.stringify(changes).length).to.be.below(1500);
    await page.isUpToDate();
  });

  it('is nothing of another vehicle', async () => {
    const other = await bookIn(shop.technician);
    await page.follow();
    await find(other.jobId, other, 'Scored.');
    expect(told(await page.follow())).to.deep.equal([]);
    await page.isUpToDate();
  });

  it('is every thing beside the events that changed, as it is now', async () => {
    const gaugeId = v7();
    const limit = limitBody();
    const steps: readonly (readonly [string, readonly string[], () => Promise<{ readonly status: number }>])[] = [
      ['a limit', ['limits'], () => shop.technician.ask('POST', '/api/limits', limit)],
      ['a torque agreed to', ['torqueChecks'], () => shop.lead.ask('POST', '/api/torques/union/check', {})],
      ['a limit looked over', ['limits'], () => shop.lead.ask('POST', `/api/limits/${limit.id}/check`, {})],
      [
        'a person',
        ['people'],
        () =>
          shop.lead.ask('POST', '/api/people', {
            ...{ id: v7(), name: 'New Person', login: 'new', password: PASSWORD, role: 'technician' },
          }),
      ],
      [
        'a gauge',
        ['gauges'],
        () =>
          shop.technician.ask('POST', '/api/gauges', {
            ...{
              id: v7(),
              gaugeId,
              tag: 'M-09',
              name: 'Micrometer',
              kind: 'micrometer',
              resolution: 0.001,
              accuracy: 0.003,
              shortSpan: 0.002,
            },
            ...{ rangeLow: 0, rangeHigh: 25, calibrationDue: '2030-01-01', settingPiece: 25, checkFirst: true },
          }),
      ],
      [
        'a look at a gauge',
        ['gaugeChecks'],
        () => shop.technician.ask('POST', `/api/gauges/${gaugeId}/checks`, { id: v7(), read: 25.001 }),
      ],
      [
        'a call-back',
        ['callBacks'],
        () =>
          shop.lead.ask('POST', `/api/gauges/${gaugeId}/call-backs`, {
            id: v7(),
            since: '2020-01-01T00:00:00.000Z',
            offBy: 0.05,
            why: 'Dropped',
          }),
      ],
      [
        'a calibration that ends it',
        ['callBacks', 'gauges'],
        () =>
          shop.technician.ask('POST', `/api/gauges/${gaugeId}/calibrations`, {
            ...{
              id: v7(),
              versionId: v7(),
              on: '2030-01-10',
              by: 'The test house',
              result: 'good',
              offBy: null,
              certificate: '',
              nextDue: null,
            },
          }),
      ],
      [
        'the shop’s own odds',
        ['priors'],
        () => {
          const prior = { id: v7(), fault: 'piston_seized', times: 2.5, lookedAt: 40, found: 9 };
          return shop.lead.ask('POST', '/api/tracing/priors', { priors: [prior] });
        },
      ],
      [
        'what the shop reckons with',
        ['rates'],
        () =>
          shop.lead.ask('POST', '/api/reckoning/rates', {
            ...{ id: v7(), hourly: 6000, hoursADay: 6, bayADay: 0, shipping: 0, towing: 0, standardPermille: 200, reducedPermille: 50 },
            reason: '',
          }),
      ],
      [
        'a house rule',
        ['houseRules'],
        () => shop.lead.ask('POST', '/api/reckoning/house-rules', { id: v7(), rule: 'pairs', school: 'both', reason: 'They age alike' }),
      ],
      [
        'a card as the shop does it',
        ['shopCards'],
        () =>
          shop.lead.ask('POST', '/api/shop-cards', {
            ...{ id: v7(), cardId: 'pads', changes: [], own: [], reason: 'As it comes', replaces: null },
          }),
      ],
      ['a sheet for the owner', ['offers'], () => shop.technician.ask('POST', `/api/jobs/${car.jobId}/offers`, { id: v7() })],
      [
        'a part that was given a tag',
        ['parts'],
        () => {
          const { partId } = page.file.partEvents.find((e) => e.slotId === car.slot('rotor', 'FR'))!;
          return shop.technician.ask('POST', `/api/parts/${partId}/tag`, { tag: 'P 9001', partNumber: null });
        },
      ],
    ];
    for (const [what, changed, act] of steps) {
      expect((await act()).status, what).to.equal(200);
      expect(told(await page.follow()), what).to.deep.equal(changed);
      await page.isUpToDate();
    }
  });

  it('is the job itself, its vehicle and its layout', async () => {
    const { job, vehicle, layout } = page.file;
    const { id: _i, vehicleId: _v, openedAt: _o, openedBy: _b, importId: _m, ...fields } = job;
    const changed = await shop.technician.ask('PATCH', `/api/jobs/${car.jobId}`, { ...fields, wants: 'Sound brakes, and soon' });
    expect(changed.status, JSON.stringify(changed.body)).to.equal(200);
    expect(told(await page.follow())).to.include.members(['job']);
    await page.isUpToDate();
    const drawn = { ...layout, id: v7(), slots: layout.slots.map((s) => (s.kind === 'hose' ? { ...s, lengthMm: 300 } : s)) };
    const revised = await shop.technician.ask('POST', `/api/jobs/${car.jobId}/layout`, {
      ...{ layout: drawn, replaces: layout.id, revision: 'correction', why: 'Measured' },
    });
    expect(revised.status, JSON.stringify(revised.body)).to.equal(200);
    expect(told(await page.follow())).to.include.members(['layout', 'layoutRevisions']);
    expect(page.file.layout.id).to.equal(drawn.id);
    await page.isUpToDate();
    expect(vehicle.id).to.equal(car.vehicleId);
  });

  it('is what was blacked out: the record as it is now, and its name for whoever still holds it', async () => {
    const { body } = await find(car.jobId, car, 'Call Ada Fenwick at 555 0100.');
    await page.follow();
    const other = await new Page(shop.reader, (await bookIn(shop.technician)).jobId).open();
    await shop.lead.event<'redactions'>(car.jobId, 'redactions', {
      corrects: body.record.id,
      field: 'words',
      reason: 'a telephone number',
    });
    const changes = await page.follow();
    expect(changes.struck).to.deep.equal([{ id: body.record.id, field: 'words' }]);
    expect(page.file.findings.find((f) => f.id === body.record.id)?.words).not.to.contain('555');
    await page.isUpToDate();
    expect((await other.follow()).struck, 'devices that have another job open').to.deep.equal(changes.struck);
  });

  it('comes again while a transaction is held open, and is neither late nor lost', async () => {
    await page.follow();
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    try {
      const author = page.file.people[0]!.id;
      await client.query('begin');
      const slow = v7();
      await client.query(
        `insert into observation (id, job_id, author_id, device, happened_at, recorded_at, code, state) values ($1, $2, $3, 'd', now(), now(), 'judder_pedal', 'seen')`,
        [slow, car.jobId, author],
      );
      await find(car.jobId, car, 'While it is open.');
      for (const time of ['first', 'again'])
        expect(
          (await page.follow()).file.findings?.map((f) => f.words),
          time,
        ).to.deep.equal(['While it is open.']);
      expect(page.file.observations.some((o) => o.id === slow)).to.equal(false);
      await client.query('commit');
      const after = await page.follow();
      expect(after.file.observations?.map((o) => o.id)).to.deep.equal([slow]);
      await page.isUpToDate();
      expect(told(await page.follow()), 'once it has ended').to.deep.equal([]);
    } finally {
      await client.end();
    }
  });

  it('is the whole job where a part comes from another vehicle, with its life there', async () => {
    const other = await bookIn(shop.technician);
    const there = (await shop.technician.file(other.jobId)).partEvents.find((e) => e.slotId === other.slot('rotor', 'FL'))!.partId;
    const here = page.file.partEvents.find((e) => e.slotId === car.slot('rotor', 'FL'))!.partId;
    const move = (jobId: string, partId: string, kind: 'removed' | 'fitted', slotId: string) =>
      shop.technician.event<'partEvents'>(jobId, 'part-events', { partId, kind, slotId, note: '', temporary: false, part: null });
    await takeOff(shop.technician, other, other.slot('caliper', 'FL'));
    await takeOff(shop.technician, car, car.slot('caliper', 'FL'));
    await move(other.jobId, there, 'removed', other.slot('rotor', 'FL'));
    await move(car.jobId, here, 'removed', car.slot('rotor', 'FL'));
    expect((await page.follow()).whole).to.equal(false);
    expect((await move(car.jobId, there, 'fitted', car.slot('rotor', 'FL'))).status).to.equal(200);
    expect((await page.follow()).whole).to.equal(true);
    expect(page.file.parts.some((p) => p.id === there)).to.equal(true);
    await page.isUpToDate();
  });

  it('is the whole job for a cursor of another book, of a later one, and for what is none', async () => {
    await page.follow();
    const [book, cluster, xmin] = page.cursor.split('.');
    for (const cursor of [
      '',
      'x',
      `${v7()}.${cluster}.${xmin}`,
      `${book}.1${cluster}.${xmin}`,
      `${book}.${cluster}.999999999999999999`,
      `${book}.${cluster}.-1`,
      `${page.cursor}'; drop table change; --`,
    ]) {
      const changes = await page.ask(cursor);
      expect(changes.whole, cursor).to.equal(true);
      expect(told(changes)).to.deep.equal([]);
    }
    expect((await page.ask()).whole).to.equal(false);
    expect((await shop.nobody.ask('GET', `/api/jobs/${car.jobId}/changes?since=x`)).status).to.equal(401);
    expect((await shop.reader.ask('GET', `/api/jobs/${v7()}/changes?since=x`)).status).to.equal(404);
  });
});

/** Everything that the demonstration's story writes, told as news: no family and no table beside the events is forgotten. */
describe('what is new of the demonstration’s jobs since before they were there', function () {
  this.timeout(120000);
  let shop: Shop;
  let own: Connection;
  before(async () => {
    shop = await openShop();
    own = connect(shop.url);
  });
  after(async () => {
    await own.close();
    await shop.close();
  });

  it('is all that they are read with', async () => {
    const before = await readCursor(own.db);
    await addStoryPeople(shop.lead);
    const story = demoStory(Date.UTC(2026, 9, 1, 9));
    expect((await takeIn(shop.lead, story.lines('a story', PASSWORD))).body.refused).to.deep.equal([]);
    const families = new Set<string>();
    const known: readonly string[] = [...EVENT_LISTS, 'parts', ...Object.keys(HEADS)];
    let whole = 0;
    for (const { id } of story.jobs) {
      const records = await readJobFile(own.db, id);
      expect(
        Object.keys(records).filter((k) => !known.includes(k)),
        'made from tables that nobody watches',
      ).to.deep.equal([]);
      const changes = await readChanges(own.db, id, before, 1_000_000);
      if (changes.whole) {
        whole += 1;
        continue;
      }
      const nothing = Object.fromEntries(Object.keys(records).map((k) => [k, Array.isArray(records[k as 'parts']) ? [] : null]));
      expect(ordered(withChanges({ ...records, ...nothing }, changes.file)), id).to.deep.equal(ordered(records));
      for (const list of EVENT_LISTS) if (records[list].length > 0) families.add(list);
    }
    expect(whole, 'jobs with a part of another vehicle').to.be.below(story.jobs.length / 2);
    expect(families.size, 'families of events that were told').to.be.greaterThan(20);
    expect((await readChanges(own.db, story.jobs[0]!.id, before, 10)).whole, 'where too much is new').to.equal(true);
  });
});
