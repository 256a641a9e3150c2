import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';
import { House, signIn } from './house.ts';

/** The limit book as a list: out, mended by hand, and in again. */
describe('the limit book as a list', function () {
  this.timeout(240000);
  const house = new House();
  let page: Page;
  let csv = '';
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'tomasz');
    await page.goto(`${house.url}/limits`);
    await page.getByRole('button', { name: 'Out as CSV' }).waitFor();
    await page.getByRole('row').nth(6).waitFor();
  });
  after(() => house.close());
  const choose = (name: string, text: string | Buffer) =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

  it('stands there whole: every limit that was entered has its row, also at the far end', async () => {
    const entered = Number(
      (
        await page
          .locator('.head')
          .getByText(/\d+ entered/)
          .innerText()
      ).split(' ')[0],
    );
    await page
      .getByRole('button', { name: /^New version of/ })
      .last()
      .waitFor();
    expect(await page.getByRole('button', { name: /^New version of/ }).count()).to.equal(entered);
  });

  it('a torque in common use is agreed to, by name', async () => {
    const row = page.getByRole('listitem').filter({ hasText: 'Banjo M10 into iron' });
    await row.getByText('unchecked').waitFor();
    await row.getByRole('button', { name: /^I agree to/ }).click();
    await row.getByText('agreed to by Tomasz Verrill').waitFor();
    expect(await row.getByRole('button').count()).to.equal(0);
  });

  it('comes out as CSV, and as it is stands there already', async () => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Out as CSV' }).click()]);
    csv = await readFile(await file.path(), 'utf8');
    expect(csv.split('\n')[0]).to.include('characteristic,scope,applies_to,make,model');
    await choose('limits.csv', csv);
    await page.getByText(/0 new, \d+ stand there already, 0 conflict,\s+0 not understood/).waitFor();
    expect(await page.getByRole('button', { name: /^Take all/ }).count()).to.equal(0);
  });

  it('a row that says otherwise keeps the list out', async () => {
    await choose('limits.csv', csv.replace(/,8\.64,/, ',8.4,'));
    await page.getByText(/1 conflict,\s+0 not understood/).waitFor();
    await page.getByText(/The book says otherwise: works manual, section M2/).waitFor();
    expect(await page.getByRole('button', { name: /^Take all/ }).count()).to.equal(0);
  });

  it('a new row is taken in, unchecked, also with another separator', async () => {
    const [head, first] = csv.split(/\r?\n/);
    await choose('more.csv', `${head ?? ''}\n${(first ?? '').replace(/,type,,[^,]*,[^,]*,/, ',type,,Rooke,Ambler,')}\n`.replace(/,/g, ';'));
    await page.getByText(/1 new, 0 stand there already/).waitFor();
    await page.getByRole('button', { name: /^Take all 1 in/ }).click();
    await page.getByText('1 taken in, unchecked.').waitFor();
    await page.getByRole('cell', { name: 'Rooke Ambler', exact: true }).waitFor();
  });

  it('what is no list says so, and changes nothing', async () => {
    await choose('notes.csv', 'hello,world\n1,2\n');
    await page.getByText(/This is no limit list/).waitFor();
    await choose('latin.csv', Buffer.from([0x63, 0xe9, 0x2c, 0x61, 0x0a]));
    await page.getByText(/not text in UTF-8/).waitFor();
    await choose('broken.json', '{');
    await page.getByText(/cannot be read as JSON/).waitFor();
    expect(house.errors).to.deep.equal([]);
  });
});
