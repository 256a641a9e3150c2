import { fixed } from '@dauer/core/quantity';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { type Booked, bookIn, limitBody, openShop, type Shop } from './harness.ts';

const SET = { partId: null, phase: 'as_found', surface: 'clean', cold: true, averages: false, count: 1 } as const;

describe('figures at the door of the book', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'drums_single', { scopeCorners: ['FL', 'FR', 'RL', 'RR'] });
  });
  after(() => shop.close());

  async function begin(measurement: string, slotId: string, over: object = {}): Promise<string> {
    const id = v7();
    const answer = await shop.technician.event<'sets'>(car.jobId, 'sets', {
      ...SET,
      id,
      slotId,
      measurement: measurement as 'rotor_paint',
      ...over,
    });
    expect(answer.status, JSON.stringify(answer.body)).to.equal(200);
    return id;
  }
  const read = (setId: string, typed: string, over: object = {}) =>
    shop.technician.event<'readings'>(car.jobId, 'readings', {
      ...{ setId, frame: 'place', angleDeg: null, place: 'float', pass: 1, gaugeVersionId: null, typed, unit: 'mm', ...over },
    });

  it('what no such thing can be is refused with a sentence, and nothing of it is kept', async () => {
    const hub = car.slot('hub', 'FL');
    const face = await begin('hub_face_runout', hub, { count: 8 });
    const bad = await read(face, '-150', { frame: 'hub_stud', place: 'swept radius' });
    expect([bad.status, bad.body.code]).to.deep.equal([422, 'impossible']);
    expect(bad.body.detail).to.match(/more than nothing/);
    const float = await begin('hub_end_float', hub);
    expect((await read(float, '-0.1')).body.code).to.equal('impossible');
    expect((await read(float, '0.04')).status).to.equal(200);
    expect((await shop.reader.file(car.jobId)).readings.length).to.equal(1);
    const torque = { slotId: null, point: 'wheel:FL', targetTyped: '90', unit: 'Nm', wrench: '' } as const;
    expect((await shop.technician.event<'torques'>(car.jobId, 'torques', { ...torque, typed: '0' })).body.code).to.equal('impossible');
    const counter = await shop.technician.event<'counters'>(car.jobId, 'counters', { typed: '-5', unit: 'km' });
    expect(counter.body.code).to.equal('impossible');
  });
  it('a gauge of another quantity gives no figure; a spring scale gives drag with its radius only', async () => {
    const version = async (kind: string): Promise<string> => {
      const body = {
        ...{ id: v7(), gaugeId: v7(), tag: kind.slice(0, 6), name: kind, kind, resolution: 1, accuracy: 2, shortSpan: 2 },
        ...{ rangeLow: null, rangeHigh: null, calibrationDue: null, settingPiece: null, checkFirst: false },
      };
      const answer = await shop.lead.ask<{ id: string }>('POST', '/api/gauges', body);
      expect(answer.status, JSON.stringify(answer.body)).to.equal(200);
      return answer.body.id;
    };
    const [scale, pressure] = [await version('spring_scale'), await version('pressure_gauge')];
    const drag = await begin('wheel_drag', car.slot('hub', 'FL'));
    const at = (typed: string, gaugeVersionId: string) => read(drag, typed, { place: 'after', unit: 'Nm', gaugeVersionId });
    expect((await at('12', pressure)).body.code).to.equal('wrong_gauge');
    expect((await at('12', scale)).body.code).to.equal('two_figures');
    const kept = await at('38 N × 312 mm', scale);
    expect(kept.status).to.equal(200);
    expect(kept.body.record['canonical']).to.be.closeTo(11.856, 1e-9);
  });
  it('a place that is empty, away, stuck or closed again takes no set', async () => {
    const drum = car.slot('drum', 'FL');
    const [found] = (await shop.reader.file(car.jobId)).partEvents.filter((e) => e.slotId === drum);
    const part = async (kind: 'removed' | 'fitted' | 'sent'): Promise<void> => {
      const answer = await shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
        ...{ partId: found?.partId ?? '', kind, slotId: kind === 'sent' ? null : drum, note: '' },
      });
      expect(answer.status, `${kind} ${JSON.stringify(answer.body)}`).to.equal(200);
    };
    const refused = async (measurement: string, slotId: string) => {
      const answer = await shop.technician.event<'sets'>(car.jobId, 'sets', {
        ...SET,
        slotId,
        measurement: measurement as 'rotor_paint',
        count: 4,
      });
      return [answer.status, answer.body.code];
    };
    await shop.technician.event<'observations'>(car.jobId, 'observations', {
      code: 'drum_stuck',
      corner: 'FL',
      state: 'seen',
    });
    expect(await refused('drum_diameter', drum)).to.deep.equal([409, 'not_reached']);
    await part('removed');
    await begin('drum_diameter', drum, { count: 4 });
    await part('fitted');
    expect(await refused('shoe_lining', car.slot('shoes', 'FL'))).to.deep.equal([409, 'not_reached']);
    await part('removed');
    await part('sent');
    expect(await refused('drum_diameter', drum)).to.deep.equal([409, 'not_reached']);
  });
  it('a limit on the wrong side is entered by nobody, by hand or from a list', async () => {
    const wrong = limitBody({ bound: 'upper', nominal: 10, machineTo: null, at: 11 });
    const entered = await shop.lead.ask<{ code: string; detail: string }>('POST', '/api/limits', wrong);
    expect([entered.status, entered.body.code]).to.deep.equal([422, 'wrong_side']);
    const listed = await shop.lead.ask<{ code: string }>('POST', '/api/limits/import', { limits: [limitBody(), wrong] });
    expect([listed.status, listed.body.code]).to.deep.equal([422, 'wrong_side']);
    expect((await shop.lead.ask<unknown[]>('GET', '/api/limits')).body).to.deep.equal([]);
  });
  it('the shop’s way of writing is set by a lead, and what the server writes follows it', async () => {
    const t = shop.technician;
    const set = (locale: string, who = shop.lead) => who.ask<{ shop: { locale: string } }>('POST', '/api/shop/locale', { locale });
    expect((await set('de-DE', t)).status).to.equal(403);
    for (const no of ['', 'x', 'no such place', '12']) expect((await set(no)).status, no).to.equal(400);
    expect((await shop.reader.ask<{ shop: { locale: string } }>('GET', '/api/me')).body.shop.locale).to.equal('en-GB');
    // A job's sentences are made in this very process: of every request, as the shop writes now.
    const written = async (): Promise<string> => {
      await shop.reader.file(car.jobId);
      return fixed(11.05, 2);
    };
    expect(await written()).to.equal('11.05');
    try {
      expect((await set('de-DE')).body.shop.locale).to.equal('de-DE');
      expect(await written()).to.equal('11,05');
      const other = await openShop();
      expect((await other.reader.file((await bookIn(other.technician)).jobId)).job.id.length).to.equal(36);
      expect(fixed(11.05, 2), 'another shop').to.equal('11.05');
      await other.close();
      expect(await written()).to.equal('11,05');
    } finally {
      expect((await set('en-GB')).status).to.equal(200);
    }
    expect(await written()).to.equal('11.05');
  });

  it('a day of a year that cannot be meant is taken by no way in', async () => {
    const t = shop.technician;
    const ways: readonly (readonly [string, () => Promise<{ readonly status: number }>])[] = [
      '1220-02-04',
      '0026-12-03',
      '9999-01-01',
    ].flatMap(
      (on) =>
        [
          [
            'put off',
            () =>
              t.event<'decisions'>(car.jobId, 'decisions', {
                slotId: car.slot('drum', 'FL'),
                partId: null,
                option: 'put_off',
                reason: 'x',
                reviewOn: on,
              }),
          ],
          [
            'fitted until',
            () =>
              t.event<'partEvents'>(car.jobId, 'part-events', {
                partId: v7(),
                kind: 'found',
                slotId: null,
                note: '',
                temporary: true,
                until: on,
                part: null,
              }),
          ],
          [
            'promised',
            async () => {
              const { id: _i, vehicleId: _v, openedAt: _o, openedBy: _b, importId: _m, ...fields } = (await t.file(car.jobId)).job;
              return t.ask('PATCH', `/api/jobs/${car.jobId}`, { ...fields, scopeCorners: [...fields.scopeCorners], promised: on });
            },
          ],
          [
            'calibration due',
            () =>
              t.ask('POST', '/api/gauges', {
                ...{
                  id: v7(),
                  gaugeId: v7(),
                  tag: 'M-77',
                  name: 'Micrometer',
                  kind: 'micrometer',
                  resolution: 0.01,
                  accuracy: 0.01,
                  shortSpan: 0.01,
                },
                ...{ rangeLow: 0, rangeHigh: 25, calibrationDue: on, settingPiece: null, checkFirst: false },
              }),
          ],
        ] as const,
    );
    for (const [what, send] of ways) expect((await send()).status, what).to.equal(400);
  });

  it('the shop’s currency is set by a lead, and everybody is told', async () => {
    expect((await shop.technician.ask('POST', '/api/shop/currency', { currency: 'GBP' })).status).to.equal(403);
    expect((await shop.lead.ask('POST', '/api/shop/currency', { currency: 'pounds' })).status).to.equal(400);
    expect((await shop.lead.ask('POST', '/api/shop/currency', { currency: 'GBP' })).status).to.equal(200);
    const me = await shop.reader.ask<{ shop: { currency: string } }>('GET', '/api/me');
    expect(me.body.shop.currency).to.equal('GBP');
  });
  it('a job whose records cannot be derived is shown as such, and the yard stands', async () => {
    const other = await bookIn(shop.technician);
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    const { rows } = await client.query<{ id: string }>('select id from account limit 1');
    // What a newer version might have written, or a hand in the database.
    await client.query(
      `insert into reading_set (id, job_id, author_id, device, happened_at, recorded_at, slot_id, measurement, phase, surface, cold, averages, count)
       values ($1, $2, $3, 'd', now(), now(), $4, 'hub_colour', 'as_found', 'clean', true, false, 1)`,
      [v7(), car.jobId, rows[0]?.id, car.slot('hub', 'FL')],
    );
    await client.end();
    const yard = await shop.reader.ask<{ jobs: { jobId: string }[]; stuck: { jobId: string; why: string }[] }>('GET', '/api/yard');
    expect(yard.status).to.equal(200);
    expect(yard.body.jobs.map((j) => j.jobId)).to.deep.equal([other.jobId]);
    expect(yard.body.stuck.map((j) => j.jobId)).to.deep.equal([car.jobId]);
    expect(yard.body.stuck[0]?.why.length).to.be.greaterThan(10);
    // Nor does it keep a limit from being entered, or the other job from being worked on.
    expect((await shop.lead.ask('POST', '/api/limits', limitBody())).status).to.equal(200);
    const set = await shop.technician.event<'sets'>(other.jobId, 'sets', {
      ...SET,
      slotId: other.slot('hub', 'FL'),
      measurement: 'hub_end_float',
    });
    expect(set.status).to.equal(200);
  });
});
