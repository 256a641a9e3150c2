import { buildLayout } from '@dauer/core/layout';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { randomUUID as v7 } from 'node:crypto';
import { AJob } from './aJob.ts';
import { DEMO_PASSWORD } from './house.ts';

const REASON = 'It goes home on a trailer, the road untried';

/** A motorcycle, worked the wrong way first, then the right way to its end. */
describe('the motorcycle', function () {
  this.timeout(600000);
  const job = new AJob();
  let page: Page;
  const on = (name: string | RegExp) => job.on(name);
  before(async () => {
    await job.open();
    page = job.page;
  });
  after(() => job.close());
  afterEach(async function () {
    await job.picture(this.currentTest?.state === 'failed');
  });

  it('an open joint in front locks the hand lever, and leaves the foot lever to be proved', async () => {
    await job.book('V 092', 'Marrek 350', buildLayout('motorcycle_disc_rod', v7(), v7(), v7), { scopeCorners: ['F', 'R'] });
    const line = job.layout.connections.find((c) => c.kind === 'line' && c.to === job.slot('hose'));
    await job.tell('joints', { connectionId: line?.id, slotId: job.slot('hose'), kind: 'opened', note: '' });
    await job.stage('prove');
    const passed = (name: string) => page.getByRole('group', { name }).getByRole('button', { name: 'Passed' });
    await passed('Hand lever held for 60 s does not sink').waitFor();
    expect(await passed('Hand lever held for 60 s does not sink').isDisabled()).to.equal(true);
    expect(await passed('Foot lever returns fully, with free play').isDisabled()).to.equal(false);
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

  it('the right way: felt at each lever, looked at and gauged, and decided', async () => {
    await job.stage('trace');
    throw new Error(
      (await page.getByRole('radiogroup').evaluateAll((all) => all.map((e) => e.getAttribute('aria-label')).join('; '))) +
        (await page.locator('main.right').innerText()).split('At the')[1],
    );
  });
});
