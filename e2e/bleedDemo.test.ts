import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, pressAll, signIn, type Yard } from './house.ts';

/** Two vehicles of the demonstration are bled by one person alone, by the keyboard, with the server gone in the middle of one. */
describe('bleeding alone, by the keyboard', function () {
  this.timeout(400000);
  const house = new House();
  let page: Page;
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'ines');
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });
  const bar = () => page.getByRole('region', { name: 'The count' });
  const heading = () => page.locator('section[aria-label="Bleeding live"] h2').first();
  const file = async (jobId: string): Promise<JobRecords> =>
    (await (await page.context().request.get(`${house.url}/api/jobs/${jobId}`)).json()) as JobRecords;

  async function toBleed(tag: string): Promise<string> {
    const yard = (await (await page.context().request.get(`${house.url}/api/yard`)).json()) as Yard;
    const jobId = yard.jobs.find((j) => j.vehicle.tag === tag)?.jobId ?? '';
    await page.goto(`${house.url}/jobs/${jobId}/bleed`);
    await page.getByRole('heading', { name: 'Bleed', exact: true }).waitFor();
    await pressAll(page.getByRole('button', { name: /^Read, Ines/ }));
    return jobId;
  }
  /** Tabs on to what has this name, and presses it: no hand leaves the keys. */
  async function tabTo(name: RegExp, key = 'Enter'): Promise<void> {
    for (let n = 0; n < 120; n += 1) {
      await page.keyboard.press('Tab');
      const on = await page.evaluate(() => {
        const e = document.activeElement;
        return e ? `${e.getAttribute('aria-label') ?? ''} ${e.textContent ?? ''} ${e.closest('.v-input')?.textContent ?? ''}` : '';
      });
      if (name.test(on)) {
        await page.keyboard.press(key);
        return;
      }
    }
    throw new Error(`nothing of ${name} can be reached by Tab`);
  }
  async function begin(): Promise<void> {
    await tabTo(/Bleed it live/);
    await page.getByRole('heading', { name: 'Before the first bleeder' }).waitFor();
    // What the room of the layout owes is told tick by tick.
    const owed = page.locator('form.form .v-checkbox').filter({ hasNotText: 'maker’s order' });
    for (let i = 0; i < (await owed.count()); i += 1) {
      await owed.nth(i).locator('input').focus();
      await page.keyboard.press('Space');
    }
    await tabTo(/^\s*Begin/);
    await bar().waitFor();
  }
  /** How much came, and how much is to come, mL. */
  async function came(): Promise<readonly [number, number]> {
    const text = (await bar().innerText()).replace(/\s+/g, ' ');
    const [, is = '0', of = '0'] = /(\d+) mL of (\d+)/.exec(text) ?? [];
    return [Number(is), Number(of)];
  }
  async function fill(): Promise<void> {
    await page.keyboard.press('r');
    await page.getByRole('heading', { name: /^Filled to the mark/ }).waitFor();
    await tabTo(/It is full/);
    await page.getByRole('heading', { name: /^Filled to the mark/ }).waitFor({ state: 'detached' });
  }
  /** The bleeder that is lit, stroke by stroke until it is clear and enough, and its three ticks. */
  async function bleedOne(): Promise<void> {
    const name = await heading().innerText();
    await page.keyboard.press('3');
    await page.waitForTimeout(400);
    for (let strokes = 1; strokes < 200; strokes += 1) {
      if (await bar().getByText('Fill it up').count()) await fill();
      const before = await came();
      if (before[0] >= before[1] && strokes > 1) break;
      await page.keyboard.press('Space');
      await bar().getByText(`Stroke ${strokes}`, { exact: true }).waitFor();
    }
    const done = () => page.locator('.order li').filter({ hasText: 'closed' }).count();
    const before = await done();
    for (let k = 0; k < 3; k += 1) {
      await page.keyboard.press('c');
      await page.waitForTimeout(250);
    }
    await page.waitForFunction(
      (n) => [...document.querySelectorAll('.order li')].filter((l) => l.textContent?.includes('closed')).length > n,
      before,
    );
    expect(name).to.match(/bleeder/);
  }
  async function bleedAll(middle: () => Promise<void> = async () => undefined): Promise<number> {
    const all = await page.locator('.order li').count();
    for (let n = 0; n < all; n += 1) {
      if (n === Math.floor(all / 2)) await middle();
      await bleedOne();
    }
    await tabTo(/Stop here/);
    await bar().waitFor({ state: 'detached' });
    return all;
  }
  type Said = (text: string, event?: 'live' | 'press') => Promise<void>;
  /** What an instrument of the bench says, as the simulated ones do. */
  async function speaks(instrument: string, kind: string, unit: string): Promise<Said> {
    const key = ((await (await page.request.post(`${house.url}/api/instruments/key`, { data: { anew: false } })).json()) as { key: string })
      .key;
    return async (text, event = 'live') => {
      const reply = await page.request.post(`${house.url}/api/instruments/say`, {
        headers: { authorization: `Bearer ${key}` },
        data: { instrument, kind, unit, text, event },
      });
      expect(reply.status(), await reply.text()).to.equal(200);
    };
  }
  /** A tester sends what it reads, with its unit, and that is a sample. */
  async function byTester(): Promise<void> {
    await page.getByRole('button', { name: 'A sample, tested or measured' }).click();
    await page.getByRole('combobox', { name: 'Sent by a tester' }).press('ArrowDown');
    await page.getByRole('option', { name: /F-01/ }).click();
    const say = await speaks('F-01', 'fluid_tester', '%');
    const listen = page.getByRole('button', { name: 'Listen', exact: true });
    for (let n = 0; n < 50 && (await listen.isDisabled()); n += 1) {
      await say('2.4');
      await page.waitForTimeout(200);
    }
    await listen.click();
    await page.getByRole('button', { name: 'Listening' }).waitFor();
    await say('2.4', 'press');
    await page.getByRole('button', { name: 'Enter it', exact: true }).first().click();
    await page.getByText('water 2.4 %').waitFor();
  }
  /** A scale under the bottle counts two strokes of 25 mL, and they are taken back. */
  async function byWeight(): Promise<void> {
    const say = await speaks('K-01', 'scale', 'g');
    await page.getByRole('combobox', { name: 'Scale under the bottle' }).press('ArrowDown');
    await page.getByRole('option', { name: /K-01/ }).click();
    await say('200');
    await page.getByRole('button', { name: 'Let it count' }).click();
    for (const [text, strokes] of [
      ['200', null],
      ['227', 1],
      ['240', 1],
      ['254', 2],
    ] as const) {
      await page.waitForTimeout(120);
      await say(text);
      await page.getByText(`${text} g`, { exact: true }).waitFor();
      if (strokes !== null) await bar().getByText(`Stroke ${strokes}`, { exact: true }).waitFor();
    }
    await page.getByRole('button', { name: 'It counts' }).click();
    await say('300');
    await heading().focus();
    for (const left of ['Stroke 1', 'No stroke yet']) {
      await page.keyboard.press('Backspace');
      await bar().getByText(left, { exact: true }).waitFor();
    }
  }
  /** What was drawn at each bleeder is what it owed at the least, closed and clear. */
  async function isBled(jobId: string, bleeders: number): Promise<void> {
    await allSent(page);
    const { bleedPulls, layout } = await file(jobId);
    const newest = layout.slots
      .filter((s) => s.kind === 'bleeder')
      .flatMap((s) => bleedPulls.findLast((p) => p.slotId === s.id && p.jobId === jobId) ?? []);
    expect(newest).to.have.length(bleeders);
    for (const p of newest) expect([p.closed, p.colour, p.air, p.volumeMl > 0]).to.deep.equal([true, 'clear', 'none', true]);
  }

  it('the motorcycle that stands ready, its server killed in the middle, and nothing lost', async () => {
    const jobId = await toBleed('V 074');
    await begin();
    const all = await bleedAll(async () => {
      await page.keyboard.press('3');
      await page.keyboard.press('Space');
      await bar().getByText('Stroke 1', { exact: true }).waitFor();
      await house.killServer();
      await page.keyboard.press('Space');
      await bar().getByText('Stroke 2', { exact: true }).waitFor();
      await house.start(true);
      await allSent(page);
      await page.reload();
      await bar().getByText('Stroke 2', { exact: true }).waitFor();
      await page.keyboard.press('Backspace');
      await bar().getByText('Stroke 1', { exact: true }).waitFor();
      await page.keyboard.press('Backspace');
      await bar().getByText('No stroke yet').waitFor();
    });
    await isBled(jobId, all);
    await page.getByText(`${all} of ${all} bleeders closed clear`).waitFor();
  });

  it('a car with its clutch on the same reservoir: the clutch first, then the longest way', async () => {
    const jobId = await toBleed('V 068');
    await byTester();
    await page.getByLabel('Product').fill('Class 4 fluid, tin');
    await tabTo(/This goes in/);
    await page.getByText('Class 4 fluid, tin').first().waitFor();
    await begin();
    const order = await page.locator('.order li .pick').allInnerTexts();
    expect(order[0]).to.match(/[Cc]lutch/);
    expect(order[1]).to.match(/^Rear left/);
    await byWeight();
    const all = await bleedAll();
    expect(all).to.equal(5);
    await isBled(jobId, all);
    expect(house.errors).to.deep.equal([]);
  });
});
