import { deriveJob } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { randomBytes, randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import type { Browser, BrowserContext, Locator, Page } from 'playwright-core';
import { loadDemo } from '@dauer/demo';
import { soundSets } from '../core/test/soundFigures.ts';
import { openBrowser } from '../tools/lib/browser.mjs';
import { openCluster } from '../tools/lib/cluster.mjs';
import { freePort } from '../tools/lib/machine.mjs';
import { startServer } from '../tools/lib/serve.mjs';

/** The cluster that all houses share, by its maintenance database; those that kill theirs have one of their own. */
const SHARED = process.env['DAUER_TEST_DATABASE'];
/** The demonstration shop, filled once, that the other houses are copies of; and what keeps two from filling it at once. */
const TEMPLATE = 'demo_shop';
const FILLING = 4687;

/** How much of a page's work is told where a test failed on it, characters. */
const SHOWN_OF_A_PAGE = 1500;
/** How long a busy machine may take over one step, ms: a test says what is wrong, not how fast the machine is. */
const SLOWEST = Number(process.env['DAUER_SLOWEST'] ?? 120000);

/** The browser of all houses of this process that ask nothing special of theirs; it ends with the process. */
let shared: Promise<Browser> | null = null;
async function sharedBrowser(): Promise<Browser> {
  if (shared && !(await shared).isConnected()) shared = null;
  return (shared ??= openBrowser());
}

/** The address of another database of the same cluster. */
function databaseOf(url: string, name: string): string {
  const other = new URL(url);
  other.pathname = `/${name}`;
  return other.href;
}

/** The application as it is installed: a cluster, a server process, a browser. */
export class House {
  private cluster: Awaited<ReturnType<typeof openCluster>> | null = null;
  private server!: Awaited<ReturnType<typeof startServer>>;
  private databaseUrl = '';
  private port = 0;
  browser!: Browser;
  private ownBrowser = false;
  private readonly contexts: BrowserContext[] = [];

  /**
   * `durable`: the cluster is synced to the disk as the shop's own is, for what kills it. `more`: what the browser is told beyond
   * the usual; this house has one of its own then.
   */
  async open(demo: boolean, durable = false, more: readonly string[] = []): Promise<void> {
    this.port = await freePort();
    opened.add(this);
    if (SHARED !== undefined && !durable) {
      this.databaseUrl = await this.copied(SHARED, demo);
      await this.start(demo);
    } else {
      const home = mkdtempSync(join(tmpdir(), 'dauer-e2e-'));
      chmodSync(home, 0o755);
      this.cluster = await openCluster(join(home, 'c'), { scratch: true, durable });
      this.databaseUrl = this.cluster.database('dauer');
      await this.start(demo);
      if (demo) await loadDemo(this.url, DEMO_PASSWORD, Date.now());
    }
    this.browser = await (more.length > 0 ? openBrowser([...more]) : sharedBrowser());
    this.ownBrowser = more.length > 0;
  }
  /** A database of its own in the shared cluster: the demonstration shop as it was filled once, or an empty one. */
  private async copied(shared: string, demo: boolean): Promise<string> {
    const client = new pg.Client({ connectionString: shared });
    await client.connect();
    try {
      const name = `house_${randomBytes(6).toString('hex')}`;
      if (!demo) await client.query(`create database ${name}`);
      else {
        await client.query('select pg_advisory_lock($1)', [FILLING]);
        const filled = await client.query('select 1 from pg_database where datname = $1', [TEMPLATE]);
        if (filled.rowCount === 0) await this.fill(client, shared);
        await client.query(`create database ${name} template ${TEMPLATE}`);
        await client.query('select pg_advisory_unlock($1)', [FILLING]);
      }
      return databaseOf(shared, name);
    } finally {
      await client.end();
    }
  }
  /** Fills the demonstration shop through a server of its own, under another name until it is whole. */
  private async fill(client: pg.Client, shared: string): Promise<void> {
    await client.query(`drop database if exists ${TEMPLATE}_begun`);
    await client.query(`create database ${TEMPLATE}_begun`);
    const server = await startServer({ databaseUrl: databaseOf(shared, `${TEMPLATE}_begun`), port: this.port, demo: true });
    await loadDemo(this.url, DEMO_PASSWORD, Date.now());
    await server.stop();
    await client.query(`alter database ${TEMPLATE}_begun rename to ${TEMPLATE}`);
  }
  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  async start(demo = false): Promise<void> {
    this.server = await startServer({ databaseUrl: this.databaseUrl, port: this.port, demo });
  }
  /** The server dies without a word. */
  async killServer(): Promise<void> {
    if (this.server.exited()) return;
    const gone = new Promise<void>((resolve) => this.server.onExit(() => resolve()));
    this.server.child.kill('SIGKILL');
    await gone;
  }
  /** The database dies without a word, and is started again. */
  async killDatabase(): Promise<void> {
    if (!this.cluster) throw new Error('a shared cluster is not killed');
    process.kill(this.cluster.postmasterPid(), 'SIGKILL');
    await this.cluster.restart();
  }
  /** Writes into the database past the application, as a newer version or a hand there might have. */
  async query(text: string, values: readonly unknown[]): Promise<Record<string, unknown>[]> {
    const client = new pg.Client({ connectionString: this.databaseUrl });
    await client.connect();
    const { rows } = await client.query<Record<string, unknown>>(text, [...values]);
    await client.end();
    return rows;
  }
  /** `shell`: the browser keeps the application itself, so that it opens without the server. */
  async page(options: { width?: number; height?: number; night?: boolean; shell?: boolean } = {}): Promise<Page> {
    const context = await this.browser.newContext({
      viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
      colorScheme: options.night ? 'dark' : 'light',
      reducedMotion: 'reduce',
      serviceWorkers: options.shell ? 'allow' : 'block',
    });
    context.setDefaultTimeout(SLOWEST);
    this.contexts.push(context);
    const page = await context.newPage();
    page.on('pageerror', (error) => this.errors.push(error.message));
    return page;
  }
  /** Errors thrown in any page; there should be none. */
  readonly errors: string[] = [];
  /** Where each page is, what it says that went wrong, and what its work shows. */
  async shown(): Promise<string[]> {
    const pages = this.contexts.flatMap((c) => c.pages());
    return Promise.all(
      pages.map(async (page) => {
        const said = await page
          .getByRole('alert')
          .allInnerTexts()
          .catch(() => ['it cannot be read']);
        const work = await page
          .locator('.right, main')
          .last()
          .innerText({ timeout: 2000 })
          .catch(() => '');
        return `${page.url().replace(this.url, '')} says “${said.join(' ')}”; it shows “${work.slice(0, SHOWN_OF_A_PAGE)}”`;
      }),
    );
  }
  async close(): Promise<void> {
    opened.delete(this);
    for (const c of this.contexts) await c.close().catch(() => undefined);
    if (this.ownBrowser) await this.browser.close();
    await this.server.stop();
    this.cluster?.destroy();
  }
}

/** A test that failed says what its pages show, since nobody sees them afterwards. */
const opened = new Set<House>();
export async function tellPages(this: Mocha.Context): Promise<void> {
  if (this.currentTest?.state !== 'failed') return;
  for (const house of opened) for (const shown of await house.shown()) process.stdout.write(`${shown}\n`);
}

/** What a test reads of the yard. */
export interface Yard {
  readonly jobs: readonly {
    readonly jobId: string;
    readonly vehicle: { readonly tag: string };
    readonly layout: { readonly slots: readonly { readonly id: string; readonly kind: string; readonly corner: string | null }[] };
  }[];
}

export const DEMO_PASSWORD = 'brakes-hold-lives';

export async function signIn(page: Page, url: string, login: string, password = DEMO_PASSWORD): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Name', { exact: true }).fill(login);
  await page.getByLabel('Password', { exact: true }).fill(password);
  const answers: string[] = [];
  page.on('response', (r) => answers.push(`${r.status()} ${r.url().replace(url, '')}`));
  page.on('requestfailed', (r) => answers.push(`failed ${r.url().replace(url, '')}`));
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  try {
    await page.getByRole('heading', { name: /in the shop/ }).waitFor();
  } catch {
    // What the page says and was answered tells whether it was refused, kept waiting or never asked.
    const shown = (await page.locator('body').innerText()).replace(/\s+/g, ' ').slice(0, 600);
    throw new Error(`${login} did not come to the yard: ${page.url()} shows “${shown}” after ${answers.join(', ')}`);
  }
}

/** The longest one press may take to find its button, before the buttons are counted again. */
const ONE_PRESS = 3_000;

/** Says that the part in hand is clean and cold, where that is asked and nobody has said it yet. */
export async function sayClean(page: Page): Promise<void> {
  await page
    .locator('[data-capture]')
    .waitFor({ timeout: ONE_PRESS })
    .catch(() => undefined);
  for (const [group, answer] of [
    ['Surface', 'Clean'],
    ['Temperature of the part', 'Cold'],
  ] as const) {
    const asked = page.getByRole('group', { name: group, exact: true });
    if ((await asked.count()) === 0 || (await asked.locator('[aria-pressed="true"]').count()) > 0) continue;
    await asked.getByRole('button', { name: answer, exact: true }).click();
  }
}

/** Types figures as a hand does, Enter after each. */
export async function typeFigures(page: Page, figures: readonly string[]): Promise<void> {
  await sayClean(page);
  for (const f of figures) {
    await page.keyboard.type(f, { delay: 25 });
    await page.keyboard.press('Enter');
  }
}

/** Waits until everything that was taken is in the book: nothing is on its way into the device's storage or out of it. */
export async function allSent(page: Page): Promise<void> {
  await page.locator('header[data-on-the-way="0"]').waitFor({ timeout: 2 * SLOWEST });
}

/** Takes the figures that the proofs of the job on screen wait for, of a sound vehicle, past the interface; `only` of one proof. */
export async function takeSound(page: Page, only: string | null = null): Promise<void> {
  const [, origin, jobId] = /^(https?:\/\/[^/]+)\/jobs\/([^/]+)/.exec(page.url()) ?? [];
  const { request } = page.context();
  const job = `${origin}/api/jobs/${jobId}`;
  const tell = async (path: string, data: object): Promise<void> => {
    const body = { happenedAt: new Date().toISOString(), device: 'test', ...data };
    const answer = await request.post(`${job}/${path}`, { data: body });
    if (!answer.ok()) throw new Error(await answer.text());
  };
  const state = deriveJob((await (await request.get(job)).json()) as JobRecords, new Date().toISOString());
  const sets = soundSets(state, only).map((s) => ({ id: randomUUID(), ...s }));
  for (const { readings, ...of } of sets) {
    await tell('sets', { ...of, phase: 'as_fitted', surface: 'clean', cold: true, averages: false, count: readings.length });
    for (const r of readings)
      await tell('readings', { id: randomUUID(), ...r, setId: of.id, frame: 'place', angleDeg: null, pass: 1, gaugeVersionId: null });
  }
  if (sets.length > 0) await page.reload();
}

/**
 * Answers every proof that stands open with *passed*, on the figures of a sound vehicle and saying what is asked with it; they
 * are asked in the order in which they can be true.
 */
export async function passAll(page: Page): Promise<void> {
  await allSent(page);
  await takeSound(page);
  await page.getByRole('button', { name: 'Passed', exact: true }).first().waitFor();
  await pressAll(page.locator('.proof .choice').getByRole('button', { name: 'Passed', exact: true, pressed: false }), async () => {
    const road = page.getByRole('form', { name: 'Road test' });
    if ((await road.count()) > 0) {
      await road.getByLabel('Where').fill('Round the works');
      await road.getByLabel(/^How far/).fill('14');
      await road.getByRole('button', { name: 'Nothing', exact: true }).click();
      await road.locator('button[type=submit]').click();
      return;
    }
    const form = page.locator('.proof form.say');
    if ((await form.count()) === 0) return;
    await form.locator('input').fill('Both rear wheels');
    await form.locator('button[type=submit]').click();
  });
}

/** Tells by a test what is in the reservoir, at Bleed. */
export async function testFluid(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'A sample, tested or measured' }).click();
  await page.getByLabel('What kind it is').press('ArrowDown');
  await page.getByRole('option', { name: 'Class 4, glycol' }).click();
  await page.getByLabel('Test or instrument').fill('Drop in water: it mixes');
  await page.getByRole('button', { name: 'Enter it' }).click();
}

/** Records every torque that is owed, at Rebuild. */
export async function torqueAll(page: Page): Promise<void> {
  const owed = page.getByRole('button', { name: /^Record the torque/ });
  await owed.first().waitFor();
  await pressAll(owed, async () => {
    await page.locator('.torque input:focus').waitFor();
    await page.getByLabel(/^Target/).fill('18 lbf ft');
    await page.getByLabel('Set', { exact: true }).fill('24.5');
    await page.getByRole('button', { name: 'Record', exact: true }).click();
  });
}

/**
 * Presses every one of a kind of button, each of which goes away once what it does is kept. A press may take others
 * of them away too, also a little later: a button that went before it could be pressed is as good as pressed.
 */
export async function pressAll(buttons: Locator, then: () => Promise<void> = async () => undefined): Promise<void> {
  let until = Date.now() + SLOWEST;
  for (let left = await buttons.count(); left > 0; left = await buttons.count()) {
    try {
      await buttons.first().click({ timeout: ONE_PRESS });
    } catch (trouble) {
      if (Date.now() > until) throw trouble;
      continue;
    }
    await then();
    while ((await buttons.count()) >= left) {
      if (Date.now() > until) throw new Error(`a button stays after it was pressed: ${await buttons.first().innerText()}`);
      await new Promise((resolve) => setTimeout(resolve, 15));
    }
    until = Date.now() + SLOWEST;
  }
}
