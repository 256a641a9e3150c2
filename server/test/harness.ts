import { jointsOf } from '@dauer/core/readiness';
import { ENDPOINTS, type EventFamily, IMPORT_TYPE, type Sent } from '@dauer/contract';
import { PEOPLE } from '@dauer/demo';
import { deriveJob } from '@dauer/core/job';
import { buildLayout, type Layout } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import type { FastifyInstance } from 'fastify';
import pg from 'pg';
import { v7 } from 'uuid';
import { soundSets } from '../../core/test/soundFigures.ts';
import { buildApp } from '../src/app.ts';
import { migrate } from '../src/db/migrate.ts';

const base = process.env['DAUER_TEST_DATABASE'];
if (!base) throw new Error('DAUER_TEST_DATABASE names the cluster to test on; run npm test');

export interface Answer<T = unknown> {
  readonly status: number;
  readonly body: T;
  readonly type: string;
}

/** Somebody with a browser of their own. */
export class Visitor {
  private cookie: string;
  get cookies(): string {
    return this.cookie;
  }
  private readonly app: () => FastifyInstance;
  constructor(app: () => FastifyInstance, cookie = '') {
    this.app = app;
    this.cookie = cookie;
  }
  async ask<T = Record<string, unknown>>(
    method: 'GET' | 'POST' | 'PATCH',
    url: string,
    payload?: object | string,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const reply = await this.app().inject({
      method,
      url,
      headers: {
        ...(typeof payload === 'string' ? { 'content-type': 'application/json' } : {}),
        ...headers,
        ...(this.cookie ? { cookie: this.cookie } : {}),
      },
      ...(payload === undefined ? {} : { payload }),
    });
    const set = reply.headers['set-cookie'];
    const line = Array.isArray(set) ? set[0] : set;
    if (line) this.cookie = line.split(';')[0] ?? '';
    return { status: reply.statusCode, body: reply.json<T>(), type: String(reply.headers['content-type']) };
  }
  async event<F extends EventFamily>(
    jobId: string,
    path: string,
    body: Omit<Sent<F>, 'id' | 'happenedAt' | 'device'> & { id?: string },
  ): Promise<Answer<{ status: string; record: { id: string } & Record<string, unknown>; code: string; detail: string }>> {
    return this.ask('POST', `/api/jobs/${jobId}/${path}`, { id: v7(), happenedAt: new Date().toISOString(), device: 'test', ...body });
  }
  /** Fetches what is not JSON. */
  async raw(url: string): Promise<{ readonly status: number; readonly type: string; readonly bytes: Buffer }> {
    const reply = await this.app().inject({ method: 'GET', url, headers: this.cookie ? { cookie: this.cookie } : {} });
    return { status: reply.statusCode, type: String(reply.headers['content-type']), bytes: reply.rawPayload };
  }
  async file(jobId: string): Promise<JobRecords> {
    const answer = await this.ask<JobRecords>('GET', `/api/jobs/${jobId}`);
    // The server writes a whole job as it is: here it is held to the schema that it is promised by.
    if (answer.status === 200) ENDPOINTS.job.reply.strict().parse(answer.body);
    return answer.body;
  }
}

export interface Shop {
  app: FastifyInstance;
  readonly url: string;
  readonly lead: Visitor;
  readonly technician: Visitor;
  readonly reader: Visitor;
  readonly nobody: Visitor;
  readonly restart: () => Promise<void>;
  readonly close: () => Promise<void>;
}

export const PASSWORD = 'a-long-enough-password';

/** A new database, empty or a copy of another; its address. */
export async function newDatabase(from: string | null = null): Promise<string> {
  const admin = new pg.Client({ connectionString: base });
  await admin.connect();
  const name = `t_${v7().replace(/-/g, '')}`;
  await admin.query(`create database ${name}${from === null ? '' : ` template ${from}`}`);
  await admin.end();
  const url = new URL(base ?? '');
  url.pathname = `/${name}`;
  return url.href;
}

/** A new shop with one person of each role signed in, made once a run: what each shop of a test is a copy of. */
interface Pattern {
  readonly name: string;
  readonly cookies: Readonly<Record<'lead' | 'technician' | 'reader', string>>;
}
let pattern: Promise<Pattern> | null = null;
async function patternShop(): Promise<Pattern> {
  const url = await newDatabase();
  await migrate(url);
  const app = await buildApp({ databaseUrl: url });
  const visitor = (): Visitor => new Visitor(() => app);
  const [lead, technician, reader] = [visitor(), visitor(), visitor()];
  await lead.ask('POST', '/api/first-lead', {
    id: v7(),
    shopName: 'Test shop',
    timeZone: 'UTC',
    name: 'Lea Dunmore',
    login: 'lea',
    password: PASSWORD,
  });
  for (const [login, role] of [
    ['tess', 'technician'],
    ['rhys', 'reader'],
  ] as const) {
    await lead.ask('POST', '/api/people', { id: v7(), name: `${login} Person`, login, password: PASSWORD, role });
  }
  await technician.ask('POST', '/api/sign-in', { login: 'tess', password: PASSWORD });
  await reader.ask('POST', '/api/sign-in', { login: 'rhys', password: PASSWORD });
  await app.close();
  return {
    name: new URL(url).pathname.slice(1),
    cookies: { lead: lead.cookies, technician: technician.cookies, reader: reader.cookies },
  };
}

/** A shop of its own, on a database of its own, with one person of each role signed in. */
export async function openShop(): Promise<Shop> {
  pattern ??= patternShop();
  const { name, cookies } = await pattern;
  const url = { href: await newDatabase(name) };
  let app = await buildApp({ databaseUrl: url.href });
  const visitor = (cookie = ''): Visitor => new Visitor(() => app, cookie);
  const shop = {
    lead: visitor(cookies.lead),
    technician: visitor(cookies.technician),
    reader: visitor(cookies.reader),
    nobody: visitor(),
  };
  return {
    ...shop,
    url: url.href,
    get app() {
      return app;
    },
    set app(next) {
      app = next;
    },
    restart: async () => {
      await app.close();
      app = await buildApp({ databaseUrl: url.href });
    },
    close: () => app.close(),
  };
}

export interface Booked {
  readonly vehicleId: string;
  readonly jobId: string;
  readonly layout: Layout;
  readonly slot: (kind: string, corner?: string) => string;
}

/** Books in a vehicle from a template. */
export async function bookIn(who: Visitor, template = 'coupe_disc_disc_tandem_servo', over: Record<string, unknown> = {}): Promise<Booked> {
  const vehicleId = v7();
  const jobId = v7();
  const layout = buildLayout(template, v7(), vehicleId, v7);
  const answer = await who.ask('POST', '/api/vehicles', {
    vehicleId,
    layout,
    owner: { name: 'Ada Fenwick', contact: '555 0100' },
    vehicle: {
      tag: `V ${v7().slice(-6)}`,
      name: 'Test coupé',
      make: 'Tavell',
      model: 'Corrie',
      year: 1971,
      variant: 'GT',
      body: 'coupé',
      use: 'seasonal',
      climate: 'temperate',
      storage: 'dry',
      standsYears: null,
      distanceUnit: 'km',
    },
    job: {
      id: jobId,
      kind: 'overhaul',
      complaint: 'Judder',
      wants: 'Sound brakes',
      fluidKnown: '',
      promised: null,
      scopeCorners: ['FL', 'FR'],
      ...over,
    },
  });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return {
    vehicleId,
    jobId,
    layout,
    slot: (kind, corner) => layout.slots.find((s) => s.kind === kind && (corner === undefined || s.corner === corner))?.id ?? '',
  };
}

/** What an import answers. */
export interface TakenIn {
  readonly id: string;
  readonly written: number;
  readonly known: number;
  readonly jobs: number;
  readonly refused: { readonly jobId: string; readonly code: string; readonly why: string }[];
  readonly code: string;
  readonly detail: string;
}

/** Takes lines in as records of the past. */
export const takeIn = (who: Visitor, lines: readonly (object | string)[]): Promise<Answer<TakenIn>> =>
  who.ask<TakenIn>('POST', '/api/import', lines.map((l) => (typeof l === 'string' ? l : JSON.stringify(l))).join('\n'), {
    'content-type': IMPORT_TYPE,
  });

/** Makes accounts for the people of the demonstration's story. */
export async function addStoryPeople(lead: Visitor): Promise<void> {
  for (const p of Object.values(PEOPLE)) await lead.ask('POST', '/api/people', { ...p, password: PASSWORD });
}

/** A limit of a type as it is entered. */
export const limitBody = (over: Record<string, unknown> = {}) => ({
  id: v7(),
  seriesId: v7(),
  characteristic: 'rotor_thickness',
  scope: 'type',
  appliesTo: null,
  make: 'Tavell',
  model: 'Corrie',
  yearFrom: null,
  yearTo: null,
  variant: null,
  axle: 'front',
  bound: 'lower',
  nominal: 12.7,
  machineTo: 11.4,
  at: 11,
  low: null,
  high: null,
  gravity: 'safety',
  atLeast: false,
  source: 'maker',
  sourceText: 'works manual, page 212',
  asPrinted: '11.0 mm',
  printedUnit: 'mm',
  ...over,
});

/** Takes the figures that the proofs of a job wait for, of a sound vehicle. */
export async function takeSound(who: Visitor, car: Booked): Promise<void> {
  for (const { readings, ...of } of soundSets(deriveJob(await who.file(car.jobId), new Date().toISOString()))) {
    const setId = v7();
    const begun = { id: setId, ...of, phase: 'as_fitted', surface: 'clean', cold: true, averages: false, count: readings.length } as const;
    await who.event<'sets'>(car.jobId, 'sets', begun);
    for (const r of readings)
      await who.event<'readings'>(car.jobId, 'readings', {
        ...{ ...r, setId, frame: 'place', angleDeg: null, pass: 1, gaugeVersionId: null },
      });
  }
}

/** Works a fluid job off to the end. */
export async function finishFluid(shop: Shop, car: Booked): Promise<void> {
  const t = shop.technician;
  await t.event<'counters'>(car.jobId, 'counters', { typed: '79,400 km', unit: 'km' });
  const reservoir = car.layout.slots.find((s) => s.kind === 'reservoir');
  if (reservoir) await t.event<'fluidSamples'>(car.jobId, 'fluid-samples', { slotId: reservoir.id, fluidClass: '4', how: 'Drop in water' });
  await t.event<'fluidServices'>(car.jobId, 'fluid-services', {
    product: 'Class 4 fluid',
    fluidClass: '4',
    batch: 'L 1',
    lowMoisture: false,
  });
  for (const b of car.layout.slots.filter((s) => s.kind === 'bleeder'))
    await t.event<'bleedPulls'>(car.jobId, 'bleed-pulls', {
      slotId: b.id,
      volumeTyped: '120 ml',
      colour: 'clear',
      air: 'none',
      closed: true,
    });
  for (const b of car.layout.slots.filter((s) => s.kind === 'bleeder'))
    await t.event<'torques'>(car.jobId, 'torques', {
      ...{ slotId: b.id, point: `bleeder:${b.id}`, targetTyped: '', typed: '8', unit: 'Nm', wrench: '' },
    });
  await takeSound(t, car);
  const state = deriveJob(await t.file(car.jobId), new Date().toISOString());
  for (const item of state.context.proofItems)
    await t.event<'proofs'>(car.jobId, 'proofs', {
      item: item.item,
      slotId: null,
      corner: item.corner,
      result: item.answers[0] ?? 'passed',
      note: item.asks ? 'Both rear wheels; round the works' : '',
      ...(item.asks?.road && { roadTyped: '12', felt: [] }),
    });
}

/** Takes what was found in places off, in that order: what stands before something first. */
export async function takeOff(who: Visitor, car: Booked, ...slotIds: readonly string[]): Promise<void> {
  const { partEvents, layout } = await who.file(car.jobId);
  for (const slotId of slotIds) {
    const partId = partEvents.find((e) => e.slotId === slotId)?.partId ?? '';
    for (const { connection } of jointsOf(layout).filter((j) => j.slot.id === slotId))
      await who.event<'jointEvents'>(car.jobId, 'joints', { connectionId: connection.id, slotId, kind: 'opened', seal: null, note: '' });
    const answer = await who.event<'partEvents'>(car.jobId, 'part-events', { partId, kind: 'removed', slotId, note: '' });
    if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  }
}
