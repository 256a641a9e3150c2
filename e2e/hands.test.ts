import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, sayClean, signIn, type Yard, typeFigures } from './house.ts';

/** What has the focus: a control by its name, a heading by its words, "the page" where nothing has it. */
const FOCUSED = `(() => {
  const el = document.activeElement;
  if (!el || el === document.body) return 'the page';
  return (el.getAttribute('aria-label') || el.textContent || el.tagName).trim().replace(/\\s+/g, ' ').slice(0, 80);
})()`;

describe('worked by the keys alone', function () {
  this.timeout(600000);
  const house = new House();
  let page: Page;
  const at = new Map<string, string>();
  before(async () => {
    await house.open(true);
    page = await house.page();
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });
  const focused = (): Promise<string> => page.evaluate(FOCUSED);
  const until = async (wanted: string | RegExp): Promise<void> => {
    let now = '';
    for (const end = Date.now() + 20000; Date.now() < end; await page.waitForTimeout(50)) {
      now = await focused();
      if (typeof wanted === 'string' ? now === wanted : wanted.test(now)) return;
    }
    throw new Error(`the focus is on “${now}”, not on ${String(wanted)}`);
  };

  it('whoever signs in, opens a job or goes to another stage is at its heading; the page says vehicle and stage', async () => {
    await signIn(page, house.url, 'ines');
    await until(/in the shop$/);
    const yard = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    for (const j of yard.jobs) at.set(j.vehicle.tag, `${house.url}/jobs/${j.jobId}`);
    await page.getByRole('link', { name: 'Limits', exact: true }).press('Enter');
    await until('Limits');
    await page.getByRole('link', { name: 'Yard', exact: true }).press('Enter');
    await page.getByRole('link', { name: 'Tavell Corrie GT' }).first().press('Enter');
    await page.locator('.frame:not(.loading) .right h1').first().waitFor();
    await until(/./);
    expect(await focused()).to.not.equal('the page');
    for (const [key, heading, title] of [
      ['Alt+4', 'What is done, and what it costs', 'V 071 Decide · Dauer'],
      ['Alt+3', 'To gauge', 'V 071 Gauge · Dauer'],
      ['Alt+7', 'Prove and hand back', 'V 071 Prove · Dauer'],
    ] as const) {
      await page.keyboard.press(key);
      await page.waitForFunction((t) => document.title === t, title);
      await until(heading);
      expect(await page.evaluate(() => document.activeElement?.closest('#work') !== null)).to.equal(true);
    }
  });

  it('the first stop of a page leads to its work, and the next one is in it', async () => {
    await page.goto(`${at.get('V 071')}/decide`);
    await page.getByRole('heading', { name: 'What is done, and what it costs' }).waitFor();
    expect(await page.evaluate(() => document.querySelector('a, button')?.textContent)).to.equal('To the work');
    await page.getByRole('link', { name: 'To the work' }).focus();
    await page.keyboard.press('Enter');
    await until('What is done, and what it costs');
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.closest('.right') !== null)).to.equal(true);
  });

  it('a dialog gives the focus back to what opened it, and says what it is', async () => {
    for (const [path, opener, name] of [
      ['/limits', 'Enter a limit', /./],
      ['/gauges', 'Enter a gauge', /./],
      ['/shop', 'Set my PIN', /PIN/],
      ['/shop', 'Add somebody', /./],
    ] as const) {
      await page.goto(`${house.url}${path}`);
      const open = page.getByRole('button', { name: opener });
      await open.press('Enter');
      const dialog = page.getByRole('dialog', { name });
      await dialog.waitFor();
      await page.waitForFunction(() => document.activeElement?.closest('.v-overlay--active') !== null);
      await page.keyboard.press('Escape');
      await dialog.waitFor({ state: 'detached' });
      await until(opener);
    }
  });

  it('arrows walk within a row of choices and along the tabs, and a figure is still taken after it', async () => {
    const file = (await (await page.request.get(`${at.get('V 071')?.replace('/jobs/', '/api/jobs/')}`)).json()) as {
      layout: { slots: { id: string; kind: string; corner: string | null }[] };
    };
    const slot = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RR')!.id;
    await page.goto(`${at.get('V 071')}/gauge?pick=${slot}`);
    await page.locator('[data-capture]').waitFor();
    await page.getByRole('tab', { name: /^Thickness/ }).focus();
    await page.keyboard.press('ArrowRight');
    await until(/^Runout/);
    await page.keyboard.press('ArrowLeft');
    await until(/^Thickness/);
    await page.keyboard.press('Enter');
    await sayClean(page);
    await page.getByRole('button', { name: 'As found' }).focus();
    await page.keyboard.press('End');
    await until('As fitted');
    await page.keyboard.press('Home');
    await until('As found');
    const position = page.locator('[data-capture] .pos');
    expect(await position.innerText()).to.equal('Position 1 of 8');
    await typeFigures(page, ['9.81']);
    expect(await position.innerText()).to.equal('Position 2 of 8');
    await page.getByRole('status').filter({ hasText: '9.81 taken at position 1 of 8.' }).waitFor({ state: 'attached' });
    await allSent(page);
  });

  it('Backspace takes the last figure back from the bar, and nothing from a button', async () => {
    const ring = page.locator('.ring').getByRole('button', { name: 'Position 1 of 8, 9.81 mm' });
    await ring.waitFor();
    await page.getByRole('button', { name: 'As found' }).focus();
    await page.keyboard.press('Backspace');
    await page.waitForTimeout(300);
    expect(await ring.count()).to.equal(1);
    // Where a figure was typed the bar has the keys again, whatever was pressed before.
    await typeFigures(page, ['9.82']);
    await page.keyboard.press('Backspace');
    await page.locator('.ring').getByRole('button', { name: 'Position 2 of 8, 9.82 mm' }).waitFor({ state: 'detached' });
    expect(await ring.count()).to.equal(1);
    await allSent(page);
  });

  it('nothing that Tab reaches lies under the capture bar', async () => {
    await page
      .locator('.right h1')
      .first()
      .evaluate((h) => {
        (h as HTMLElement).tabIndex = -1;
        (h as HTMLElement).focus();
      });
    const under = `(() => {
      const el = document.activeElement;
      const bar = document.querySelector('[data-capture]');
      if (!el || el === document.body || bar.contains(el)) return null;
      const box = el.getBoundingClientRect();
      return box.bottom > bar.getBoundingClientRect().top + 1 && box.top >= bar.getBoundingClientRect().top - box.height ? el.textContent.trim().slice(0, 40) + ' ' + Math.round(box.bottom) : null;
    })()`;
    const lain: string[] = [];
    let stops = 0;
    for (; stops < 80; stops += 1) {
      await page.keyboard.press('Tab');
      if (await page.evaluate(() => document.activeElement?.closest('[data-capture]') !== null || document.activeElement === document.body))
        break;
      const found = (await page.evaluate(under)) as string | null;
      if (found !== null) lain.push(found);
    }
    expect(stops).to.be.greaterThan(8);
    expect(lain).to.deep.equal([]);
  });

  it('what one tap entered is said with its way back, and that with its own', async () => {
    await page.goto(`${at.get('V 071')}/decide`);
    await page.getByRole('button', { name: /^Front calipers/ }).click();
    const choice = page
      .getByRole('group', { name: 'What is done with the front calipers' })
      .getByRole('button', { name: 'Clean and reseal' });
    const chosen = (on: boolean) => choice.and(page.locator(`[aria-pressed="${on}"]`)).waitFor();
    await chosen(false);
    await choice.press('Enter');
    await chosen(true);
    await page.locator('.just').getByText('Front calipers: Clean and reseal', { exact: true }).waitFor();
    await choice.press('Control+z');
    await chosen(false);
    await page.locator('.just').getByText('Taken back: Front calipers: Clean and reseal', { exact: true }).waitFor();
    // What was taken back by a slip is entered again by the same key; both stay on record.
    await page.getByRole('button', { name: 'Undo', exact: true }).press('Enter');
    await chosen(true);
    await allSent(page);
    await page.reload();
    await page.getByRole('button', { name: /^Front calipers/ }).click();
    await chosen(true);
    // It is said for a moment, and then no more.
    await page.waitForTimeout(500);
    expect(await page.locator('.just').count()).to.equal(0);
  });

  it('a record that is kept leaves the focus beside it', async () => {
    await page.goto(`${at.get('V 063')}/rebuild`);
    const back = page.getByRole('button', { name: 'Back', exact: true }).first();
    await back.press('Enter');
    await allSent(page);
    await page.waitForTimeout(400);
    expect(await focused()).to.not.equal('the page');
    expect(await page.evaluate(() => document.activeElement?.closest('.right') !== null)).to.equal(true);
    expect(house.errors).to.deep.equal([]);
  });
});
