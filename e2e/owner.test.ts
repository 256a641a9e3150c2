import { expect } from 'chai';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Page } from 'playwright-core';
import { House, signIn, type Yard } from './house.ts';

/** From decisions to the owner's word: what it costs, his sheet, the file that he ticks anywhere, and its code. */
describe('what is done, and what the owner says', function () {
  this.timeout(300000);
  const house = new House();
  const folder = mkdtempSync(join(tmpdir(), 'dauer-choice-'));
  let page: Page;
  let job = '';
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'ines');
    const yard = (await (await page.context().request.get(`${house.url}/api/yard`)).json()) as Yard;
    job = `${house.url}/jobs/${yard.jobs.find((j) => j.vehicle.tag === 'V 071')?.jobId ?? ''}`;
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT'])
      await page.screenshot({ path: process.env['DAUER_SHOT'], fullPage: true });
  });
  const on = (name: string | RegExp) => page.getByRole('button', { name });
  const row = (place: string) => page.locator(`[data-places*="${place}" i]`).first();
  const bar = () => page.getByRole('region', { name: 'What it comes to' });

  it('a row is decided in one press for both sides, and what a record rules out cannot be', async () => {
    await page.goto(`${job}/decide`);
    await row('Front left caliper').click();
    const ways = page.getByRole('group', { name: 'What is done with the front calipers' });
    expect(await ways.getByRole('button', { name: 'Use again', exact: true }).isDisabled()).to.equal(true);
    await ways.getByText('Three pits', { exact: false }).first().waitFor();
    await ways.getByRole('button', { name: 'Clean and reseal', exact: true }).click();
    await row('Front left caliper').getByText('Clean and reseal').waitFor();
    await page.getByText('Each by itself, and why').click();
    for (const place of ['left', 'right'])
      await page
        .getByRole('group', { name: `What is done with the front ${place} caliper` })
        .locator('[aria-pressed=true]', { hasText: 'Clean and reseal' })
        .waitFor();
  });

  it('every term of a price says where it comes from, and a figure of one’s own takes its place', async () => {
    await page.getByText(/^What it counts/).click();
    await page.getByText('2 × Seal kit, caliper, price of', { exact: false }).waitFor();
    await on('Own figure for parts').click();
    await page.getByLabel('Parts, net').fill('twelve');
    await on('Count this').click();
    await page.getByText('“twelve” cannot be read as one sum', { exact: false }).waitFor();
    await page.getByLabel('Parts, net').fill('61.50');
    await page.getByLabel('Where from').fill('told by phone');
    await on('Count this').click();
    await page.getByText('Entered here: told by phone').waitFor();
    await on('Reckon parts again').click();
    await page.getByText('2 × Seal kit, caliper, price of', { exact: false }).waitFor();
  });

  it('the whole job one way by a key, and a gauge that types presses nothing', async () => {
    await row('Front left caliper').click();
    // As a gauge types: one key upon the other.
    await Promise.all(['1', '.', '2', '3', 'Enter'].map((key) => page.keyboard.press(key)));
    await page.waitForTimeout(300);
    await page.getByText('12 to decide').waitFor();
    expect(await row('Front left caliper').getAttribute('aria-expanded')).to.equal('false');
    await page.locator('h1').click();
    await page.keyboard.press('2');
    await bar()
      .getByText(/^Sound, £/)
      .waitFor();
    await page.getByText('all decided').waitFor();
  });

  let code = '';
  let other = '';
  it('the choice file opens from the disk with the network off, sums what is ticked, and gives a code', async () => {
    await on('Sheet for the owner').click();
    await on(/^Make a new sheet/).click();
    await page.getByText('number 2').waitFor();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Choice file' }).click()]);
    const file = join(folder, download.suggestedFilename());
    await download.saveAs(file);
    expect(readFileSync(file, 'utf8')).to.not.match(/Bramhall|Ostley|hourly/);
    const owner = await page
      .context()
      .browser()!
      .newContext({ offline: true, viewport: { width: 390, height: 844 } });
    const his = await owner.newPage();
    const errors: string[] = [];
    his.on('pageerror', (e) => errors.push(e.message));
    his.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
    await his.goto(pathToFileURL(file).href);
    await his.getByRole('heading', { name: 'Tavell Corrie GT' }).waitFor();
    await his.getByText('still to pick').waitFor();
    expect(await his.getByText('Must not be chosen.').count()).to.be.greaterThan(0);
    const sumOf = async (name: string) => /£[\d,.]+/.exec((await his.getByRole('button', { name }).textContent()) ?? '')?.[0];
    const least = await sumOf('Least now');
    await his.getByRole('button', { name: 'Least now' }).click();
    await his
      .locator('#comes')
      .getByText(least ?? 'none', { exact: false })
      .waitFor();
    other = (await his.locator('#code').textContent()) ?? '';
    // One line of it otherwise.
    await his.locator('fieldset', { hasText: 'Front hoses' }).getByText('Replace new').click();
    code = (await his.locator('#code').textContent()) ?? '';
    expect(code).to.match(/^[0-9A-HJKMNP-TV-Z]{4}(-[0-9A-HJKMNP-TV-Z]{4}){2,}$/);
    expect(code).to.not.equal(other);
    if (process.env['DAUER_OWNER_SHOT']) await his.screenshot({ path: process.env['DAUER_OWNER_SHOT'], fullPage: true });
    expect(errors).to.deep.equal([]);
    await owner.close();
  });

  it('a slip in the code is found; the code comes to exactly what was ticked, and becomes the decisions', async () => {
    await page.getByRole('group', { name: 'How it was said' }).getByRole('button', { name: 'By the choice file' }).click();
    const field = page.getByLabel('The owner’s code');
    await field.fill(`${code[1] ?? ''}${code[0] ?? ''}${code.slice(2)}`);
    if (code[0] !== code[1]) await page.getByText(/two are swapped|another sheet/).waitFor();
    await field.fill(code.toLowerCase());
    await page.getByText('with tax and what is shared', { exact: false }).waitFor();
    const hoses = page.locator('.rows li', { hasText: 'Front hoses' });
    await hoses.getByText('Replace new').waitFor();
    expect(await on('The owner agrees').isDisabled()).to.equal(true);
    await page.getByLabel('Who says so').fill('The owner');
    await on('The owner agrees').click();
    await bar()
      .getByText(/agreed to £/)
      .waitFor();
    await row('Front left hose').getByText('Replace new').waitFor();
    await page.reload();
    await bar()
      .getByText(/agreed to £/)
      .waitFor();
  });

  it('what is decided beyond it stops at Decide, and says by how much', async () => {
    await page.locator('h1').click();
    await page.keyboard.press('3');
    await page
      .getByText(/over the £[\d,.]+ that is authorised/)
      .first()
      .waitFor();
    await page.getByRole('link', { name: /Decide.*1 open/ }).waitFor();
  });

  it('a sheet made anew voids the code of the older one', async () => {
    await on('Sheet for the owner').click();
    await on(/^Make a new sheet/).click();
    await page.getByText('number 3').waitFor();
    await page.getByRole('group', { name: 'How it was said' }).getByRole('button', { name: 'By the choice file' }).click();
    await page.getByLabel('The owner’s code').fill(code);
    await page.getByText('This is of an older sheet', { exact: false }).waitFor();
    await page.getByLabel('Who says so').fill('The owner');
    await on('The owner says no').click();
    await page.getByText('Said no').waitFor();
    expect(house.errors).to.deep.equal([]);
  });
});
