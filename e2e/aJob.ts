import type { Layout } from '@dauer/core/layout';
import { expect } from 'chai';
import { randomUUID as v7 } from 'node:crypto';
import type { Locator, Page } from 'playwright-core';
import { House, pressAll, signIn } from './house.ts';

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

  /** The row of a part at Rebuild. */
  part(name: string): Locator {
    return this.page.locator('.part').filter({ has: this.page.locator('.what b').getByText(name, { exact: true }) });
  }
  /** Decides upon a part at Decide, by the name of its row. */
  async decide(name: string, option: string): Promise<void> {
    const row = this.page.getByRole('group', { name: `What is done with the ${name.toLowerCase()}`, exact: true });
    await row.getByRole('button', { name: option, exact: true }).click();
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
