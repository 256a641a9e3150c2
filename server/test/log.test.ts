import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { buildApp } from '../src/app.ts';
import { clockWords, DeviceClocks } from '../src/platform/clock.ts';
import { errorForLog } from '../src/platform/log.ts';
import { bookIn, openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

const PLANTED = 'Zaphira-Quillwort-4711';

describe('the log', () => {
  let shop: Shop;
  const lines: string[] = [];
  before(async () => {
    shop = await openShop();
    await shop.app.close();
    shop.app = await buildApp({ databaseUrl: shop.url, log: true, logTo: { write: (line) => void lines.push(line) } });
  });
  after(() => shop.close());

  it('keeps what broke, a line an event, under the name that the screen shows; and nothing of what was entered', async () => {
    const car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { complaint: PLANTED });
    // What holds the texts is taken away, so that everything that touches it breaks with the texts in hand.
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    for (const table of ['finding', 'vehicle', 'session', 'account']) await client.query(`alter table ${table} rename to ${table}_away`);
    const broken = [
      await shop.nobody.ask<{ request: string; detail: string }>('POST', '/api/sign-in', { login: PLANTED, password: `${PLANTED} secret` }),
      await shop.technician.ask<{ request: string; detail: string }>('GET', `/api/search?q=${PLANTED}`),
      await shop.technician.event<'findings'>(car.jobId, 'findings', {
        ...{
          slotId: car.slot('rotor', 'FL'),
          partId: null,
          words: PLANTED,
          severity: 'note',
          cleaning: 'after',
          rulesOut: [],
          settles: null,
        },
      }),
    ];
    for (const table of ['finding', 'vehicle', 'session', 'account']) await client.query(`alter table ${table}_away rename to ${table}`);
    await client.query('set session_replication_role = replica');
    await client.query(`alter table finding add constraint odd check (words <> '${PLANTED}')`);
    await client.end();
    const refused = await shop.technician.event<'findings'>(car.jobId, 'findings', {
      ...{
        slotId: car.slot('rotor', 'FL'),
        partId: null,
        words: PLANTED,
        severity: 'note',
        cleaning: 'after',
        rulesOut: [],
        settles: null,
      },
    });
    await shop.technician.ask('POST', '/api/pin', `{"pin": "${PLANTED}`);
    expect(broken.map((b) => b.status)).to.deep.equal([500, 500, 500]);
    expect(refused.status).to.equal(500);
    const shown = broken.map((b) => (b.body as { request: string }).request);
    for (const [i, id] of shown.entries()) {
      expect(id).to.match(/^[0-9A-F]{10}$/);
      expect((broken[i]!.body as { detail: string }).detail).to.contain(id);
      const mine = lines.filter((l) => l.includes(id));
      expect(mine, id).to.have.length(1);
      expect(JSON.parse(mine[0]!)).to.have.nested.property('req.route');
    }
    const all = lines.join('');
    for (const secret of [PLANTED, PASSWORD, shop.technician.cookies, 'scrypt$', 'dauer='])
      expect(all, secret.slice(0, 12)).to.not.include(secret);
    expect(lines.every((l) => l.endsWith('\n') && !l.slice(0, -1).includes('\n'))).to.equal(true);
  });

  it('says of an error where it broke, and never its sentence', () => {
    const error = Object.assign(new Error(`duplicate key: ${PLANTED}`), { code: '23505', table: 'finding', detail: PLANTED });
    const line = errorForLog(new Error(PLANTED, { cause: error }));
    expect(line).to.include({ type: 'Error', message: '23505', table: 'finding' });
    expect(line.stack).to.match(/log\.test\.ts/);
    expect(JSON.stringify(line)).to.not.include(PLANTED);
    expect(JSON.stringify(errorForLog(PLANTED))).to.not.include(PLANTED);
  });
});

describe('what has to be known of the server', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const codes = async (who: Visitor): Promise<string[]> =>
    (await who.ask<{ code: string }[]>('GET', '/api/notices')).body.map((n) => n.code);

  it('health is true: 200 with reasons by their codes alone for strangers, 503 while the database is away', async () => {
    const well = await shop.nobody.ask('GET', '/api/health');
    expect([well.status, well.body]).to.deep.equal([200, { ok: true, reasons: [] }]);
    const lost = await buildApp({ databaseUrl: shop.url });
    const name = new URL(shop.url).pathname.slice(1);
    const admin = new pg.Client({ connectionString: process.env['DAUER_TEST_DATABASE'] });
    await admin.connect();
    await admin.query(`alter database ${name} allow_connections false`);
    await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    const away = await new Visitor(() => lost).ask('GET', '/api/health');
    expect([away.status, away.body]).to.deep.equal([503, { ok: false, reasons: ['database_away'] }]);
    const asked = await new Visitor(() => lost).ask('POST', '/api/sign-in', { login: 'tess', password: 'x' });
    expect([asked.status, asked.body['code']]).to.deep.equal([503, 'book_away']);
    await admin.query(`alter database ${name} allow_connections true`);
    await admin.end();
    await lost.close();
  });

  it('a server’s clock that is behind its own records is said to leads, and to nobody else', async () => {
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    await client.query(`update session set started_at = now() + interval '1 hour' where id = (select max(id::text)::uuid from session)`);
    expect([await codes(shop.lead), await codes(shop.technician)]).to.deep.equal([['clock'], []]);
    const notices = (await shop.lead.ask<{ says: string }[]>('GET', '/api/notices')).body;
    expect(notices[0]?.says).to.match(/60 minutes behind its own last record/);
    const health = await shop.nobody.ask<{ reasons: string[] }>('GET', '/api/health');
    expect(health.body).to.deep.equal({ ok: true, reasons: ['clock'] });
    await client.query('update session set started_at = now()');
    await client.end();
    expect(await codes(shop.lead)).to.deep.equal([]);
  });

  it('clocks are compared by majority: of the server, or of the devices', () => {
    const MINUTE = 60000;
    const say = (devices: number[], last: number | null = 0, database = 0): string | null => clockWords(last, devices, database, 0);
    expect(say([1000, -2000, 0])).to.equal(null);
    expect(say([10 * MINUTE, 11 * MINUTE, 9 * MINUTE, 0])).to.match(/server’s clock is 10 minutes behind 3 of 4 devices/);
    expect(say([-10 * MINUTE, -11 * MINUTE])).to.match(/server’s clock is 10 minutes ahead of 2 of 2/);
    expect(say([10 * MINUTE, 0, 0])).to.match(/clocks of 1 of 3 devices/);
    expect(say([10 * MINUTE])).to.match(/server and of this device differ by 10 minutes/);
    expect(say([], 5 * MINUTE)).to.match(/5 minutes behind its own last record/);
    expect(say([], null, -3 * 60 * MINUTE)).to.match(/database differ by 3 hours/);
    const clocks = new DeviceClocks();
    clocks.hear('a', 1_000_000, 700_000);
    clocks.hear('a', 1_000_000, 990_000);
    clocks.hear('b', Number.NaN, 990_000);
    expect(clocks.ahead(991_000)).to.deep.equal([10_000]);
    expect(clocks.ahead(991_000 + 3_600_000)).to.deep.equal([]);
  });

  it('a tag that is odd never breaks the next one', async () => {
    for (const tag of ['V 99999999999999999', 'V 12345678', 'V 007', 'V x']) {
      const car = { tag };
      const answer = await bookIn(shop.technician).then(async ({ jobId }) => {
        const { vehicle } = await shop.technician.file(jobId);
        const { id, ownerId: _o, ...fields } = vehicle;
        return shop.technician.ask('PATCH', `/api/vehicles/${id}`, { ...fields, ...car });
      });
      expect(answer.status, tag).to.equal(200);
    }
    const next = await shop.technician.ask<{ tag: string }>('GET', '/api/next-vehicle-tag');
    expect([next.status, next.body.tag]).to.deep.equal([200, 'V 008']);
  });

  it('the same id with other content is refused everywhere', async () => {
    const same = async (path: string, body: Record<string, unknown>, other: Record<string, unknown>): Promise<void> => {
      const first = await shop.lead.ask<{ detail: string }>('POST', path, body);
      expect(first.status, `${path}: ${first.body.detail}`).to.equal(200);
      expect((await shop.lead.ask('POST', path, body)).status, `${path} again`).to.equal(200);
      const second = await shop.lead.ask<{ code: string }>('POST', path, { ...body, ...other });
      expect([second.status, second.body.code], path).to.deep.equal([409, 'id_reused']);
    };
    const gauge = {
      ...{ id: v7(), gaugeId: v7(), tag: 'Q-1', name: 'Gauge', kind: 'caliper', resolution: 0.01, accuracy: 0.02, shortSpan: 0.01 },
      ...{ rangeLow: null, rangeHigh: null, calibrationDue: null, settingPiece: 25 },
    };
    await same('/api/gauges', gauge, { name: 'Another' });
    const on = { id: v7(), versionId: v7(), on: '2026-01-01', by: 'house', result: 'good', offBy: null, certificate: '', nextDue: null };
    await same(`/api/gauges/${gauge.gaugeId}/calibrations`, on, { by: 'another' });
    await same(`/api/gauges/${gauge.gaugeId}/checks`, { id: v7(), read: 25.001 }, { read: 25.01 });
    await same(
      `/api/gauges/${gauge.gaugeId}/call-backs`,
      { id: v7(), since: '2026-01-02T00:00:00Z', offBy: 0.01, why: 'dropped' },
      { offBy: 0.02 },
    );
    await same('/api/people', { id: v7(), name: 'Pat', login: 'pat', password: PASSWORD, role: 'reader' }, { name: 'Pam' });
    await same('/api/tablets', { id: v7(), name: 'Bench', password: PASSWORD }, { name: 'Other bench' });
    const car = await bookIn(shop.technician);
    const open = { kind: 'fluid', complaint: 'x', wants: '', fluidKnown: '', promised: null, scopeCorners: [] };
    const sent = { vehicleId: car.vehicleId, vehicle: (await shop.lead.file(car.jobId)).vehicle, owner: null, layout: car.layout };
    const again = await shop.lead.ask<{ code: string }>('POST', '/api/vehicles', { ...sent, job: { ...open, id: car.jobId } });
    expect([again.status, again.body.code]).to.deep.equal([409, 'id_reused']);
  });
});
