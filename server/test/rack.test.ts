import { plannedPositions } from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { bookIn, limitBody, openShop, type Shop } from './harness.ts';

interface Life {
  readonly versions: GaugeVersion[];
  readonly callBacks: { readonly id: string; readonly until: string | null }[];
  readonly calibrations: unknown[];
  readonly checks: unknown[];
  readonly studies: { readonly shortSpan: number }[];
}
interface LeanedReply {
  readonly readings: number;
  readonly figures: {
    readonly jobId: string;
    readonly was: string;
    readonly would: string;
    readonly releasedAt: string | null;
    readonly characteristic: string;
  }[];
}

describe('a gauge on the rack', () => {
  let shop: Shop;
  let gauge: GaugeVersion;
  const gaugeId = v7();
  before(async () => {
    shop = await openShop();
    const entered = await shop.technician.ask<GaugeVersion>('POST', '/api/gauges', {
      ...{ id: v7(), gaugeId, tag: 'M-03', name: 'Micrometer', kind: 'micrometer', resolution: 0.001, accuracy: 0.003, shortSpan: 0.002 },
      ...{ rangeLow: 0, rangeHigh: 25, calibrationDue: '2020-01-01', settingPiece: 25, checkFirst: true },
    });
    expect(entered.status).to.equal(200);
    gauge = entered.body;
  });
  after(() => shop.close());
  const life = async () => (await shop.reader.ask<Life>('GET', `/api/gauges/${gaugeId}/life`)).body;
  const measure = async (figure: string, kind = 'coupe_disc_disc_tandem_servo') => {
    const { jobId, slot } = await bookIn(shop.technician, kind);
    const setId = v7();
    await shop.technician.event<'sets'>(jobId, 'sets', {
      ...{ id: setId, slotId: slot('rotor', 'FL'), partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean' },
      ...{ cold: true, averages: false, count: 8 },
    } as never);
    for (const p of plannedPositions('rotor_thickness', 8)) {
      const took = await shop.technician.event<'readings'>(jobId, 'readings', {
        ...{ setId, frame: p.frame, angleDeg: p.angleDeg, place: p.place, pass: 1, gaugeVersionId: gauge.id, typed: figure, unit: 'mm' },
      } as never);
      expect(took.status).to.equal(200);
    }
    return jobId;
  };

  it('gets its next date with a calibration, its short span with a study, and keeps every version', async () => {
    const id = v7();
    const cal = {
      id,
      versionId: v7(),
      on: '2026-01-10',
      by: 'The test house',
      result: 'good',
      offBy: null,
      certificate: '77/26',
      nextDue: '2027-01-10',
    };
    const first = await shop.technician.ask('POST', `/api/gauges/${gaugeId}/calibrations`, cal);
    expect(first.status).to.equal(200);
    expect((await shop.technician.ask('POST', `/api/gauges/${gaugeId}/calibrations`, cal)).body, 'sent twice').to.deep.equal(first.body);
    const readings = [12.081, 12.08, 12.082, 12.081, 12.079].map((value) => ({ person: 'Tess', value }));
    const study = await shop.technician.ask<{ shortSpan: number }>('POST', `/api/gauges/${gaugeId}/studies`, {
      id: v7(),
      versionId: v7(),
      place: 'Rotor',
      readings,
    });
    expect(study.body.shortSpan).to.be.within(0.001, 0.003);
    const few = await shop.technician.ask('POST', `/api/gauges/${gaugeId}/studies`, {
      id: v7(),
      versionId: v7(),
      place: 'Rotor',
      readings: readings.slice(1),
    });
    expect(few.status).to.equal(422);
    const now = await life();
    expect(now.versions).to.have.length(3);
    expect([now.versions[0]!.calibrationDue, now.versions[0]!.shortSpan]).to.deep.equal(['2027-01-10', study.body.shortSpan]);
    const rack = (await shop.reader.ask<GaugeVersion[]>('GET', '/api/gauges')).body;
    expect(rack.filter((g) => g.gaugeId === gaugeId).map((g) => g.calibrationDue)).to.deep.equal(['2027-01-10']);
  });

  it('is looked at on its setting piece, which jobs know of', async () => {
    const { jobId } = await bookIn(shop.technician);
    const check = await shop.technician.ask<{ nominal: number }>('POST', `/api/gauges/${gaugeId}/checks`, { id: v7(), read: 25.002 });
    expect(check.body.nominal).to.equal(25);
    expect((await shop.technician.file(jobId)).gaugeChecks.map((c) => c.read)).to.deep.equal([25.002]);
    expect((await shop.technician.ask('POST', `/api/gauges/${v7()}/checks`, { id: v7(), read: 25 })).status).to.equal(404);
    const bare = v7();
    await shop.technician.ask('POST', '/api/gauges', {
      ...{ id: v7(), gaugeId: bare, tag: 'R-1', name: 'Rule', kind: 'rule', resolution: 0.5, accuracy: 0.5, shortSpan: 0.5 },
      ...{ rangeLow: null, rangeHigh: null, calibrationDue: null },
    });
    expect((await shop.technician.ask('POST', `/api/gauges/${bare}/checks`, { id: v7(), read: 25 })).status).to.equal(409);
  });

  it('called back lists every figure that leaned on it, those that would fall differently first, and widens open verdicts until it is good again', async () => {
    await shop.technician.ask('POST', '/api/limits', limitBody());
    const [near, far] = [await measure('11.030'), await measure('12.500')];
    const since = '2020-01-01T00:00:00.000Z';
    const leaned = (await shop.reader.ask<LeanedReply>('GET', `/api/gauges/${gaugeId}/leaned?since=${since}&offBy=0.05`)).body;
    expect(leaned.readings).to.equal(16);
    const thickness = (jobId: string) => leaned.figures.find((f) => f.jobId === jobId && f.characteristic === 'Rotor thickness')!;
    expect([thickness(near).was, thickness(near).would]).to.deep.equal(['watch', 'cant_tell']);
    expect(thickness(far).would).to.equal(thickness(far).was);
    const changed = leaned.figures.map((f) => f.was !== f.would);
    expect(changed.indexOf(false), 'what changes comes first').to.equal(changed.filter((x) => x).length);
    const body = { id: v7(), since, offBy: 0.05, why: 'Dropped' };
    expect((await shop.technician.ask('POST', `/api/gauges/${gaugeId}/call-backs`, body)).status).to.equal(403);
    expect(
      (await shop.lead.ask('POST', `/api/gauges/${gaugeId}/call-backs`, { ...body, since: '2999-01-01T00:00:00.000Z' })).status,
    ).to.equal(422);
    expect((await shop.lead.ask('POST', `/api/gauges/${gaugeId}/call-backs`, body)).status).to.equal(200);
    expect((await shop.technician.file(near)).callBacks).to.have.length(1);
    const put = {
      id: v7(),
      versionId: v7(),
      on: new Date().toISOString().slice(0, 10),
      by: 'The test house',
      result: 'adjusted',
      offBy: 0.04,
      certificate: '',
      nextDue: null,
    };
    await shop.technician.ask('POST', `/api/gauges/${gaugeId}/calibrations`, put);
    expect((await life()).callBacks.map((c) => c.until)).to.deep.equal([put.on]);
  });
});

describe('an instrument that sends', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const message = { instrument: 'M-03', kind: 'micrometer', unit: 'mm', text: '12.081', event: 'press' };
  const say = (body: object, key?: string) =>
    shop.nobody.ask<{ heard: boolean; code: string }>('POST', '/api/instruments/say', body, key ? { authorization: `Bearer ${key}` } : {});
  const keyOf = (anew = false, who = shop.lead) => who.ask<{ key: string }>('POST', '/api/instruments/key', { anew });

  it('speaks with the key of the bench, which a lead sees and makes anew', async () => {
    expect((await say(message)).status).to.equal(401);
    expect((await say(message, 'x'.repeat(32))).status).to.equal(401);
    expect((await keyOf(false, shop.technician)).status).to.equal(403);
    const { key } = (await keyOf()).body;
    expect((await keyOf()).body.key).to.equal(key);
    expect((await say(message, key)).body.heard).to.equal(true);
    const next = (await keyOf(true)).body.key;
    expect((await say(message, key)).status).to.equal(401);
    expect((await say(message, next)).status).to.equal(200);
  });
  it('says figures and nothing else, and live ones no faster than anybody can read', async () => {
    const { key } = (await keyOf()).body;
    for (const text of ['', 'abc', '<b>1</b>', '12.081; drop table', '1'.repeat(40)])
      expect((await say({ ...message, text }, key)).status, text).to.equal(400);
    for (const text of ['12.081', '-0.03', '−0.03', '7/16', '12,081'])
      expect((await say({ ...message, text }, key)).status, text).to.equal(200);
    const live = { ...message, instrument: 'D-02', event: 'live' };
    const heard = [];
    for (let i = 0; i < 10; i += 1) heard.push((await say(live, key)).body.heard);
    expect(heard[0]).to.equal(true);
    expect(heard).to.include(false);
  });
  it('is claimed by a page of somebody who works here', async () => {
    expect((await shop.technician.ask('POST', '/api/instruments/M-03/claim', {})).status).to.equal(200);
    expect((await shop.reader.ask('POST', '/api/instruments/M-03/claim', {})).status).to.equal(403);
  });
});
