import { expect } from 'chai';
import ICAL from 'ical.js';
import type { Page } from 'playwright-core';
import { House, signIn } from './house.ts';

/** What falls due, over the museum's fleet: found, exercised in two taps, and read in a calendar. */
describe('what falls due', function () {
  this.timeout(300000);
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
  const row = (tag: string) => page.getByRole('row').filter({ hasText: tag });

  it('is reached from everywhere, and says of each vehicle what is done together', async () => {
    await page.getByRole('link', { name: 'Due', exact: true }).click();
    await page.getByRole('heading', { name: 'What falls due' }).waitFor();
    const van = page.locator('article', { hasText: 'V 033' });
    await van.getByText('While the wheels are off').waitFor();
    await van.getByText('Exercise it: drive it, or press hard ten times').waitFor();
    await van.getByText('every 3 months (generic): it stands').waitFor();
  });

  it('a letter to the owner is made of what is ticked, and what was answered stands beside the vehicle', async () => {
    const van = page.locator('article', { hasText: 'V 033' });
    await van.getByRole('button', { name: 'Letter to the owner' }).click();
    const panel = page.getByRole('region', { name: 'Letter to the owner of V 033' });
    await panel.getByLabel('Change the fluid').uncheck();
    await panel.getByRole('button', { name: 'Make the letter' }).click();
    const text = panel.locator('pre');
    await text.waitFor();
    expect(await text.innerText())
      .to.contain('Exercise it')
      .and.not.contain('Change the fluid');
    const paper = await page
      .context()
      .request.get(`${house.url}${await panel.getByRole('link', { name: 'Print the letter' }).getAttribute('href')}`);
    expect([paper.status(), paper.headers()['content-type']]).to.deep.equal([200, 'application/pdf']);
    await van.getByRole('button', { name: /no answer yet/ }).waitFor();
    await panel.getByRole('group', { name: 'What the owner answered' }).getByRole('button', { name: 'Later' }).click();
    await van.getByRole('button', { name: /^Letter of .*: Later$/ }).waitFor();
    await panel.getByRole('button', { name: 'Close' }).click();
  });

  it('shows the year ahead by months', async () => {
    await page.getByRole('button', { name: /^The year ahead/ }).click();
    const months = page.getByRole('navigation', { name: 'Months' }).getByRole('button');
    expect(await months.count()).to.equal(12);
    await page.getByText('and what is overdue').waitFor();
    await months.nth(11).press('Enter');
    await page.locator('[aria-pressed=true]').and(months.nth(11)).waitFor();
  });

  it('a vehicle that stands is exercised in two taps, and is due three months on; one in the shop is not offered', async () => {
    await page.getByRole('button', { name: /^What stands/ }).click();
    await row('V 033').waitFor();
    expect(
      await row('V 068')
        .getByRole('button', { name: /exercised/ })
        .count(),
    ).to.equal(0);
    await row('V 039').getByRole('button', { name: 'V 039: exercised' }).click();
    await page.getByRole('group', { name: 'How V 039 was exercised' }).getByRole('button', { name: 'Pressed hard ten times' }).click();
    const today = await page.evaluate(() => new Date().getDate());
    await row('V 039')
      .getByText(new RegExp(`\\b${today}\\b`))
      .first()
      .waitFor();
    await row('V 039').getByRole('button', { name: 'V 039: exercised' }).waitFor();
  });

  it('the next date is found in the feed at a secret address, that ends when it is ended', async () => {
    await page.getByRole('combobox', { name: 'Of' }).click();
    await page.getByRole('option', { name: /V 039/ }).click();
    await page.getByRole('button', { name: 'Make an address' }).click();
    const address = (await page.locator('.address .fig').innerText()).trim();
    expect(address).to.match(/\/calendar\/[\w-]{43}$/);
    const feed = async () => fetch(address);
    const answer = await feed();
    expect([answer.status, answer.headers.get('cache-control')]).to.deep.equal([200, 'no-store']);
    const events = new ICAL.Component(ICAL.parse(await answer.text()) as unknown[])
      .getAllSubcomponents('vevent')
      .map((v) => new ICAL.Event(v));
    const exercise = events.find((e) => e.summary === 'V 039: Exercise it: drive it, or press hard ten times');
    const soon = new Date();
    soon.setUTCMonth(soon.getUTCMonth() + 3);
    expect(Math.abs(Date.parse(exercise!.startDate.toString()) - soon.getTime()) / 86400000).to.be.lessThan(4);
    await page.reload();
    await page.getByText('last read').waitFor();
    expect(await page.locator('.address').count(), 'told once').to.equal(0);
    await page.getByRole('button', { name: 'End it' }).click();
    await page.getByRole('button', { name: 'End it' }).waitFor({ state: 'detached' });
    expect((await feed()).status).to.equal(404);
    expect(house.errors).to.deep.equal([]);
  });
});
