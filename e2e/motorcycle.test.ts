import { buildLayout } from '@dauer/core/layout';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { randomUUID as v7 } from 'node:crypto';
import { jobForTests } from './aJob.ts';
import { passAll, pressAll, takeSound, testFluid, torqueAll } from './house.ts';

const REASON = 'It goes home on a trailer, the road untried';

/** Sound figures for whatever the walk asks of it. */
const FIGURES = {
  'End float': ['0.035'],
  Runout: ['0.00', '0.01', '0.02', '0.03', '0.03', '0.02', '0.01', '0.01', '0.00', '-0.01', '-0.01', '0.00'],
  Thickness: Array.from({ length: 8 }, () => '5.02'),
  Lining: Array.from({ length: 8 }, () => '4.5'),
  Diameter: Array.from({ length: 12 }, () => '160.1'),
};
/** Stops of that walk: end float and lining of each wheel, rotor and drum. */
const STOPS = 7;

/** A motorcycle, worked the wrong way first, then the right way to its end. */
describe('the motorcycle', function () {
  this.timeout(600000);
  const job = jobForTests();
  let page: Page;
  const on = (name: string | RegExp) => job.on(name);
  before(() => {
    page = job.page;
  });

  it('an open joint in front locks the hand lever, and leaves the foot lever to be proved', async () => {
    await job.book('V 092', 'Marrek 350', buildLayout('motorcycle_disc_rod', v7(), v7(), v7), { scopeCorners: ['F', 'R'] });
    const line = job.layout.connections.find((c) => c.kind === 'line' && c.to === job.slot('hose'));
    await job.tell('joints', { connectionId: line?.id, slotId: job.slot('hose'), kind: 'opened', note: '' });
    await job.stage('prove');
    const passed = (name: string) => page.getByRole('group', { name }).getByRole('button', { name: 'Passed' });
    await passed('Hand lever held for 60 s does not sink').waitFor();
    expect(await passed('Hand lever held for 60 s does not sink').isDisabled()).to.equal(true);
    expect(await passed('Foot lever returns fully, with free play').isDisabled(), 'without its figures').to.equal(true);
    await takeSound(page, 'pedal_return');
    expect(await passed('Hand lever returns fully, with free play').isDisabled()).to.equal(true);
    await passed('Foot lever returns fully, with free play').click();
    await page.getByRole('group', { name: 'Foot lever returns fully, with free play' }).locator('[aria-pressed=true]').waitFor();
  });

  it('leaves not driven only in words, and then says what is left', async () => {
    await on('Not driven').click();
    await page.getByLabel('Why, and what has to be done first').fill('abc');
    expect(await on('Not driven').last().isDisabled()).to.equal(true);
    await page.getByLabel('Why, and what has to be done first').fill(REASON);
    await on('Not driven').last().click();
    await page.getByText('left until it is driven').first().waitFor();
    await page.goto(`${job.url}/jobs/${job.jobId}/sheet`);
    await page.getByText(`Not driven here: ${REASON}`).waitFor();
    await page.getByText('Road test').first().waitFor();
  });

  it('the right way: felt at each lever, gauged along the walk, decided, and its hose renewed', async () => {
    await job.stage('trace');
    await job.say('Hand lever: spongy', 'Seen');
    await job.say('Foot lever: pulses', 'Not seen');
    await job.say('Level low', 'Not seen');
    for (const wheel of ['Front', 'Rear']) await on(`Drags after release, ${wheel}: not checked`).click();
    await page.getByRole('link', { name: /Trace.*done/ }).waitFor();
    await job.stage('gauge');
    await job.walkRound(STOPS, FIGURES);
    await job.stage('decide');
    await on(/^Use again what holds/).click();
    for (const name of ['Front rotor', 'Rear drum', 'Rear cam']) await job.decide(name, 'Use again');
    await job.decide('Front hose', 'Replace new');
    await page.getByText('all decided').waitFor();
    await job.stage('rebuild');
    await job.fitNew('Front hose', 'PN 410');
    await job.closeJoints();
    await page.getByText('Hand lever locked').waitFor({ state: 'detached' });
  });

  it('is bled and proved by each lever, moved by other means than a parking brake, and driven after all', async () => {
    await job.stage('bleed');
    await testFluid(page);
    await page.getByLabel('Product').fill('Class 4 fluid');
    await on('This goes in').click();
    await job.bleed('front bleeder', '60 ml');
    await page.getByText('1 of 1 bleeders closed clear').waitFor();
    await job.stage('rebuild');
    await torqueAll(page);
    await pressAll(on(/^Dry under held pressure: /));
    await job.stage('prove');
    await page.getByRole('button', { name: 'Driven', exact: true }).click();
    await on('Accept with a reason').first().click();
    await job.accept('No book for it; its size when new', { 'Rear drum diameter': 'No book for it; its size when new' });
    const walk = page.getByRole('group', { name: 'First stops at walking pace, off the road' }).getByRole('button', { name: 'Passed' });
    expect(await walk.isDisabled(), 'it has no parking brake, and nobody said how it is held').to.equal(true);
    await on('Moved by other means').click();
    await page.getByText('It has no parking brake. Say who moves it, and by what it is held.').waitFor();
    await job.accept('On its stand, two people');
    await passAll(page);
    await pressAll(page.getByRole('button', { name: 'Gone', exact: true, pressed: false }));
    await page.getByText('nothing stands in the way').waitFor();
    const sheet = await job.handBack();
    for (const part of ['PN 410', 'Class 4 fluid', 'On its stand, two people', 'Foot lever returns fully', 'Hand lever held for 60 s'])
      expect(sheet).to.include(part);
    expect(sheet).to.not.include(REASON);
    expect(job.errors).to.deep.equal([]);
  });
});
