import type { Layout } from '@dauer/core/layout';
import { expect } from 'chai';
import { randomUUID as v7 } from 'node:crypto';
import type { Locator, Page } from 'playwright-core';
import { allSent, DEMO_PASSWORD, House, pressAll, signIn, typeFigures } from './house.ts';

/** One job worked by one person in one page: booked past the interface, worked through it. */
export class AJob {
  private readonly house = new House();
  page!: Page;
  jobId = '';
  layout!: Layout;

  /** Opens the demonstration shop and signs in. */
  async open(): Promise<void> {
    await this.house.open(true);
    this.page = await this.house.page();
    await signIn(this.page, this.house.url, 'ines');
  }
  close(): Promise<void> {
    return this.house.close();
  }
  get url(): string {
    return this.house.url;
  }
  /** Errors thrown in the page; there should be none. */
  get errors(): readonly string[] {
    return this.house.errors;
  }
  /** The server dies without a word: what is entered goes on being kept here. */
  kill(): Promise<void> {
    return this.house.killServer();
  }
  /** The server is there again, and has everything. */
  async restart(): Promise<void> {
    await this.house.start();
    await allSent(this.page);
  }
  /** The page as it is, where a picture of a failed test is asked for. */
  async picture(failed: boolean): Promise<void> {
    if (failed && process.env['DAUER_SHOT']) await this.page.screenshot({ path: process.env['DAUER_SHOT'], fullPage: true });
  }

  on(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name });
  }
  slot(kind: string, corner: string | null = null): string {
    return this.layout.slots.find((s) => s.kind === kind && (corner === null || s.corner === corner))?.id ?? '';
  }
  /** Goes to a stage, with a place picked or none, and reads what is to be read first. */
  async stage(name: string, pick = ''): Promise<void> {
    await this.page.goto(`${this.url}/jobs/${this.jobId}/${name}${pick ? `?pick=${pick}` : ''}`);
    await this.page.locator('.frame:not(.loading) .right h1').first().waitFor();
    await pressAll(this.on(/^Read, Ines/));
  }
  async post(path: string, data: object): Promise<void> {
    const answer = await this.page.context().request.post(`${this.url}${path}`, { data });
    expect(answer.status(), await answer.text()).to.equal(200);
  }
  /** Tells something of the job past the interface. */
  tell(path: string, data: object): Promise<void> {
    return this.post(`/api/jobs/${this.jobId}/${path}`, { id: v7(), happenedAt: new Date().toISOString(), device: 'test', ...data });
  }
  async read<T>(): Promise<T> {
    return (await (await this.page.context().request.get(`${this.url}/api/jobs/${this.jobId}`)).json()) as T;
  }
  async book(tag: string, name: string, layout: Layout, job: object): Promise<void> {
    this.jobId = v7();
    this.layout = layout;
    const vehicle = {
      ...{ tag, name, make: 'Marrek', model: '', year: 1971, variant: null, body: '' },
      ...{ use: 'seasonal', climate: 'temperate', storage: 'dry', standsYears: null, distanceUnit: 'none' },
    };
    const more = {
      ...{ id: this.jobId, kind: 'overhaul', complaint: 'Weak', wants: 'Sound brakes', fluidKnown: '', promised: null, scopeCorners: [] },
      ...job,
    };
    await this.post('/api/vehicles', { vehicleId: layout.vehicleId, vehicle, layout, job: more, owner: null });
  }

  /** Answers a sign at Trace. */
  async say(sign: string, answer: string): Promise<void> {
    await this.page.getByRole('radiogroup', { name: sign, exact: true }).getByRole('radio', { name: answer, exact: true }).click();
  }
  /** Looks at everything and walks round: at each stop the figures of what is asked there, by its name. */
  async walkRound(stops: number, figures: Readonly<Record<string, readonly string[]>>): Promise<void> {
    await pressAll(this.page.getByRole('button', { name: /looked at after cleaning, nothing found/ }));
    await this.on(/^Begin/).click();
    const asks = this.page.locator('[data-capture]');
    for (let stop = 1; stop <= stops; stop += 1) {
      await asks.getByText('Type the figure').waitFor();
      const asked = await asks.innerText();
      await typeFigures(this.page, Object.entries(figures).find(([what]) => asked.includes(`${what}, `))?.[1] ?? []);
      if (stop === stops) break;
      await this.page
        .getByText(/goes on: /)
        .first()
        .waitFor();
      await this.page.keyboard.press('Enter');
    }
    await this.page.getByRole('link', { name: /Gauge.*done/ }).waitFor();
  }
  /** Accepts what stands first, and others of its kind with it, each in its words. */
  async accept(reason: string, others: Readonly<Record<string, string>> = {}): Promise<void> {
    await this.page.getByLabel('Reason').fill(reason);
    await this.page.getByLabel(/^Password of/).fill(DEMO_PASSWORD);
    for (const [what, words] of Object.entries(others)) await this.page.getByRole('textbox', { name: what }).fill(words);
    await this.on(/^Accept .*by name$/).click();
    await this.on(/^Accept .*by name$/).waitFor({ state: 'detached' });
  }
  /** Hands the vehicle back, and reads its sheet. */
  async handBack(): Promise<string> {
    await this.on('Hand the vehicle back').click();
    await this.page.getByLabel(/^Password of/).fill(DEMO_PASSWORD);
    await this.page.getByRole('button', { name: 'Hand back', exact: true }).click();
    await this.page.getByRole('heading', { name: 'Hand-back sheet' }).waitFor();
    return this.page.locator('.sheet').innerText();
  }

  /** The row of a part at Rebuild. */
  part(name: string): Locator {
    return this.page.locator('.part').filter({ has: this.page.locator('.what b').getByText(name, { exact: true }) });
  }
  /** Decides upon a part at Decide, by the name of its row. */
  async decide(name: string, option: string): Promise<void> {
    const row = this.page.getByRole('group', { name: `What is done with the ${name.toLowerCase()}`, exact: true });
    const line = this.page.locator(`[data-places*="${name}" i]`).first();
    await line.waitFor();
    if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
    // Of both sides of an axle, or inside a unit: by itself. Where the sides differ it may have opened meanwhile, and a press shuts it.
    const asked = row.getByRole('button', { name: option, exact: true });
    for (let presses = 0; presses < 2 && !(await asked.isVisible()); presses += 1) {
      await this.page.getByText('Each by itself, and why').click();
      await asked.waitFor({ timeout: 5000 }).catch(() => undefined);
    }
    await asked.click();
    await row.locator('[aria-pressed=true]', { hasText: option }).waitFor();
  }
  /** Seals a unit again, with what went in. */
  async reseal(name: string, lot: string): Promise<void> {
    const row = this.part(name);
    await row.getByRole('button', { name: 'Resealed', exact: true }).click();
    await this.page.getByLabel('Kit or lot that went in').fill(lot);
    await row.locator('form').getByRole('button', { name: 'Resealed' }).click();
    await row.getByText(new RegExp(`Resealed.*${lot.slice(-5)}`)).waitFor();
  }
  /** Fits a new part, by its number. */
  async fitNew(name: string, number: string): Promise<void> {
    await this.part(name).getByRole('button', { name: 'New part fitted' }).click();
    await this.page.getByLabel('Part number').fill(number);
    await this.on('Fitted').last().click();
    await this.part(name).getByText('done').first().waitFor();
  }
  /** Makes and torques every joint that is open. */
  async closeJoints(): Promise<void> {
    await pressAll(this.on(/^Made: /), async () => this.on('Flare, dry').click());
    for (const joint = this.on(/^Torqued: /); (await joint.count()) > 0;) {
      const left = await joint.count();
      await joint.first().click();
      await this.page.getByLabel('Set (N·m)').fill('14');
      await this.on(/^Record the torque: .*, end towards/)
        .first()
        .click();
      await joint.nth(left - 1).waitFor({ state: 'detached' });
    }
  }
  /** Records what came at a bleeder. */
  async bleed(name: string, volume: string): Promise<void> {
    await this.on(`Record what came at the ${name}`).click();
    await this.page.getByLabel('Volume drawn').fill(volume);
    await this.page.locator('.bleeder .form button[type=submit]').click();
    await this.page.getByLabel('Volume drawn').waitFor({ state: 'detached' });
  }
}

/** A job of its own for the tests that stand beside this: opened before them, closed after, a picture of what failed. */
export function jobForTests(): AJob {
  const job = new AJob();
  before(() => job.open());
  after(() => job.close());
  afterEach(async function () {
    await job.picture(this.currentTest?.state === 'failed');
  });
  return job;
}
