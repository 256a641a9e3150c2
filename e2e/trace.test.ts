import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { fileOf, jobsOf } from './benchShop.ts';
import { allSent, House, signIn } from './house.ts';

describe('from the complaint to what may be at fault', function () {
  this.timeout(300000);
  const house = new House();
  let page: Page;
  let jobId = '';
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'tomasz');
    jobId = (await jobsOf(page, house.url)).get('V 068') ?? '';
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });
  const panel = () => page.getByRole('region', { name: 'What may be at fault' });
  const causes = (): Promise<string[]> => panel().locator('.cause .name').allInnerTexts();
  /** How likely a cause is, in percent; nothing where it is not on the list. */
  async function share(name: RegExp): Promise<number> {
    const row = panel().locator('.cause').filter({ hasText: name });
    return (await row.count()) === 0 ? 0 : Number.parseInt(await row.first().locator('.how .fig').innerText(), 10);
  }

  it('ranks the causes of what was said, says what speaks for one, and proposes a check with its steps', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/trace`);
    await panel().locator('.cause').first().waitFor();
    expect((await causes()).join(' ')).to.match(/rear left/);
    expect(await share(/Over-adjusted\s+rear left shoes/)).to.be.greaterThan(20);
    await panel()
      .getByRole('button', { name: /Over-adjusted/ })
      .focus();
    await page.keyboard.press('Enter');
    await panel().getByText('For it').waitFor();
    await panel()
      .getByText(/Rear left: (drags after release|hot after a run)/)
      .first()
      .waitFor();
    await panel().getByRole('link', { name: 'Gauge it' }).waitFor();
    const first = panel().locator('.next').first();
    await first.getByText(/\d+ min/).waitFor();
    expect(await first.getByRole('button', { name: /: yes$/ }).count()).to.be.greaterThan(0);
  });

  it('an answer to a check weighs everything anew, and is kept like any other', async () => {
    const before = await causes();
    const open = panel()
      .locator('.next')
      .first()
      .getByRole('button', { name: /: yes$/ });
    const asked = (await open.first().getAttribute('aria-label')) ?? '';
    await open.first().focus();
    await page.keyboard.press('Enter');
    await panel().getByRole('button', { name: asked, exact: true }).waitFor({ state: 'detached' });
    expect(await causes()).to.not.deep.equal(before);
    await allSent(page);
    const after = await causes();
    await page.reload();
    await panel().locator('.cause').first().waitFor();
    expect(await causes()).to.deep.equal(after);
    expect((await fileOf(page, house.url, jobId)).layout.slots.length).to.be.greaterThan(0);
  });

  it('a wheel found free speaks against what would hold it', async () => {
    const held = await share(/Over-adjusted/);
    await page.getByRole('button', { name: /^Drags after release, Rear left: seen/ }).click();
    await page.getByRole('button', { name: /^Drags after release, Rear left: not seen/ }).waitFor();
    await page.waitForFunction((was) => {
      const row = [...document.querySelectorAll('.cause')].find((c) => /Over-adjusted/.test(c.textContent ?? ''));
      return !row || Number.parseInt(row.querySelector('.how .fig')?.textContent ?? '0', 10) < was;
    }, held);
    await allSent(page);
    expect(house.errors).to.deep.equal([]);
  });
});
