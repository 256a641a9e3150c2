import { buildLayout } from '@dauer/core/layout';
import { expect } from 'chai';
import { randomUUID as v7 } from 'node:crypto';
import { jobForTests } from './aJob.ts';
import { passAll, pressAll, torqueAll, typeFigures } from './house.ts';

/** Sound figures for whatever the walk asks of bands and their drums. */
const FIGURES = {
  'End float': ['0.035'],
  Lining: Array.from({ length: 5 }, () => '4.5'),
  Diameter: Array.from({ length: 4 }, () => '300.1'),
};
const NO_BOOK = 'No book for it; its size when new';

/** Brakes that stand elsewhere than at a wheel with a drum or disc: bands round a drum, and discs at the final drive. */
describe('bands, and brakes inboard', function () {
  this.timeout(600000);
  const job = jobForTests();
  const on = (name: string | RegExp) => job.on(name);

  it('a vehicle without fluid and without a brake in front is asked nothing that it does not have', async () => {
    await job.book('V 093', 'Band tourer', buildLayout('bands_rear_rods', v7(), v7(), v7), { scopeCorners: ['RL', 'RR'] });
    await job.stage('trace');
    for (const sign of ['Free play excessive', 'Does not hold']) await job.say(sign, 'Seen');
    for (const sign of ['Spongy', 'A front wheel locks early', 'Level low'])
      expect(await job.page.getByRole('radiogroup', { name: sign, exact: true }).count(), sign).to.equal(0);
    await job.say('Hard with normal stopping, more effort than usual', 'Not seen');
    for (const side of ['left', 'right']) await on(`Drags after release, Rear ${side}: not checked`).click();
    await job.page.getByText('Cable or rod seized').first().waitFor();
    await job.page.getByRole('link', { name: /Trace.*done/ }).waitFor();
  });

  it('its bands are gauged, decided, renewed with the server away, and gauged again as fitted', async () => {
    const { page } = job;
    await job.stage('gauge');
    await job.walkRound(8, FIGURES);
    await job.stage('decide');
    await on(/^Use again what holds/).click();
    await page.getByText('2 to decide').waitFor();
    await page.getByText('Use again: 5 parts').waitFor();
    // What one press entered is undone by one.
    await on(/^Undo$/).click();
    await page.getByText('5 to decide').waitFor();
    await on(/^Use again what holds/).click();
    for (const name of ['Rear left', 'Rear right', 'Shaft']) await job.decide(`${name} band drum`, 'Use again');
    await job.decide('Shaft band', 'Replace new');
    await page.getByText('all decided').waitFor();
    await job.stage('rebuild');
    await job.kill();
    await job.fitNew('Shaft band', 'PN 77');
    await job.restart();
    await torqueAll(page);
    await job.stage('gauge', job.layout.slots.find((s) => s.kind === 'band' && s.corner === null)?.id);
    for (const [tab, figures] of [
      [/^Lining/, FIGURES.Lining],
      [/^Clearance/, ['0.55', '0.55', '0.55']],
    ] as const) {
      await page.getByRole('tab', { name: tab }).click();
      await on('As fitted').click();
      await typeFigures(page, figures);
    }
    await page.getByRole('link', { name: /Gauge.*done/ }).waitFor();
  });

  it('is proved by what it has, and handed back', async () => {
    const { page } = job;
    await job.stage('prove');
    await on('Accept with a reason').first().click();
    await job.accept(NO_BOOK, { 'Rear right band drum diameter': NO_BOOK, 'Shaft band drum diameter': NO_BOOK });
    await passAll(page);
    await pressAll(page.getByRole('button', { name: 'Gone', exact: true, pressed: false }));
    await page.getByText('nothing stands in the way').waitFor();
    const sheet = await job.handBack();
    for (const part of ['PN 77', 'Shaft band', 'uphill 9.5°', NO_BOOK]) expect(sheet).to.include(part);
    for (const not of ['Fluid', 'bleeder']) expect(sheet).to.not.include(not);
    expect(job.errors).to.deep.equal([]);
  });

  it('what was off to reach a disc at the final drive goes back last, and says before what cannot be done after', async () => {
    const { page } = job;
    await job.book('V 094', 'Inboard saloon', buildLayout('discs_inboard_rear', v7(), v7(), v7), { scopeCorners: ['RL', 'RR'] });
    const rotor = job.slot('rotor', 'RL');
    await job.stage('rebuild', rotor);
    // Whatever was decided it may come off; the caliper stands before it.
    await on('Rear left caliper taken off').waitFor();
    await job.stage('rebuild', job.slot('caliper', 'RL'));
    await on('Taken off, line open').click();
    await page.getByText('Pedal locked').first().waitFor();
    await on(/^Undo$/).click();
    await job.part('Rear left caliper').getByText('in its place').waitFor();
    await page.getByText('Pedal locked').waitFor({ state: 'detached' });
    await job.stage('rebuild', rotor);
    await job.kill();
    await on('put something in').click();
    await on(/^Way in opened/).click();
    const inside = page.locator('.putins .in').filter({ hasText: 'Way in opened' });
    await inside.getByText('Rear left drive flange: look for oil from the final drive').waitFor();
    await job.restart();
    await job.stage('prove');
    await page.getByText('What was off to reach the rear left rotor goes back').first().waitFor();
    await job.stage('rebuild', rotor);
    await inside.getByRole('button', { name: 'Back on' }).click();
    await inside.waitFor({ state: 'detached' });
    expect(job.errors).to.deep.equal([]);
  });
});
