import { buildLayout } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import { randomUUID as v7 } from 'node:crypto';
import { AJob } from './aJob.ts';
import { allSent, testFluid } from './house.ts';

/** A vehicle is bled live, by the keyboard alone, with the server gone in the middle of it. */
describe('bleeding live, stroke by stroke', function () {
  this.timeout(300000);
  const job = new AJob();
  before(async () => {
    await job.open();
    const layout = buildLayout('motorcycle_disc_rod', v7(), v7(), v7);
    await job.book('V 095', 'Marrek 350', layout, { kind: 'fluid', scopeCorners: [] });
  });
  after(() => job.close());
  afterEach(async function () {
    await job.picture(this.currentTest?.state === 'failed');
  });
  const count = (): Promise<string> => job.page.getByRole('region', { name: 'The count' }).innerText();
  const stroke = async (n: number, key = 'Space'): Promise<void> => {
    await job.page.keyboard.press(key);
    await job.page.getByText(`Stroke ${n}`, { exact: true }).waitFor();
  };

  it('begins when it is said what goes in, and that the reservoir was emptied, wiped and filled', async () => {
    await job.stage('bleed');
    await testFluid(job.page);
    await job.page.getByLabel('Product').fill('Class 4 fluid, tin');
    await job.on('This goes in').click();
    await job.on('Bleed it live').click();
    const begin = job.page.getByRole('button', { name: 'Begin', exact: true });
    expect(await begin.isDisabled()).to.equal(true);
    // One pull that the reservoir does not bear is refused before anything is drawn.
    await job.page.getByLabel('One stroke or pull, mL').fill('30');
    await job.page.getByText('One stroke would take this reservoir below its safe mark', { exact: false }).waitFor();
    await job.page.getByLabel('One stroke or pull, mL').fill('4');
    await job.page.getByLabel(/Emptied, wiped and filled/).check();
    await begin.click();
    await job.page.getByText('No stroke yet').waitFor();
  });

  it('counts by the keyboard, shows colour and air, and takes the last one back', async () => {
    await stroke(1);
    await stroke(2, 'Enter');
    await stroke(3, 'a');
    await job.page.getByText('air at 3').waitFor();
    await job.page.keyboard.press('Backspace');
    await job.page.getByText('Stroke 2', { exact: true }).waitFor();
    expect(await count()).to.contain('8');
  });

  it('stops before the stroke that could draw air in, and takes no other kind of fluid', async () => {
    for (let n = 3; n <= 6; n += 1) await stroke(n);
    await job.page.keyboard.press('Space');
    await job.page.getByText('Stop: the next stroke could draw air in', { exact: false }).waitFor();
    await job.page.getByRole('combobox', { name: 'Kind of fluid' }).press('ArrowDown');
    await job.page.getByRole('option', { name: /silicone/i }).click();
    await job.page.getByText('That is fluid of another kind', { exact: false }).waitFor();
    expect(await job.page.getByRole('button', { name: 'It is full' }).isDisabled()).to.equal(true);
    await job.page.getByRole('combobox', { name: 'Kind of fluid' }).press('ArrowDown');
    await job.page.getByRole('option', { name: /^Class 4/ }).click();
    await job.on('It is full').click();
    await job.page.getByText(/strokes, then fill/).waitFor();
    // A control that was used does not keep the keys of the count.
    await job.on('Amber').click();
    expect(await job.page.evaluate(() => document.activeElement?.tagName)).to.equal('H2');
  });

  it('goes on with the server gone, and every stroke is there when it is back', async () => {
    // The form that asked the bottle is gone, and the keys belong to the count again.
    await job.kill();
    await stroke(7);
    await job.page.keyboard.press('3');
    await job.page.waitForTimeout(400);
    await stroke(8);
    await job.restart();
    await job.page.reload();
    await job.page.getByText('Stroke 8', { exact: true }).waitFor();
    const { bleedSteps } = await job.read<JobRecords>();
    expect(bleedSteps.filter((s) => s.kind === 'stroke').length - 1, 'one was taken back').to.equal(8);
  });

  it('a look at the real level corrects what a stroke moves, and what was drawn', async () => {
    await job.page.getByLabel('Level as seen, mL').fill('41');
    await job.on('Seen').click();
    await job.page.getByText('The level lies between nothing and the full mark.').waitFor();
    await job.page.keyboard.press('3');
    await job.page.waitForTimeout(400);
    await stroke(9);
    await job.page.getByLabel('Level as seen, mL').fill('25');
    await job.on('Seen').click();
    await job.page.getByText('5.0 mL a stroke, by the level', { exact: false }).waitFor();
  });

  it('is closed by three ticks, and the bleeder counts as drawn', async () => {
    for (const name of ['Closed under flow', 'Lever felt', 'Wiped, dry']) await job.on(new RegExp(`^${name}`)).click();
    await job.on('Stop here').click();
    await job.page.getByText('1 of 1 bleeders closed clear').waitFor();
    await allSent(job.page);
    const { bleedPulls } = await job.read<JobRecords>();
    expect(bleedPulls.map((p) => [p.volumeMl, p.colour, p.closed])).to.deep.equal([[45, 'clear', true]]);
  });
});
