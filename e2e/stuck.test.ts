import { expect } from 'chai';
import { v7 } from 'uuid';
import type { Page } from 'playwright-core';
import { House, sayClean, signIn } from './house.ts';

/** Figures that lie, and records that nobody can put together: the rest of the shop goes on. */
describe('records that are hostile', function () {
  this.timeout(240000);
  const house = new House();
  let page: Page;
  const jobs = new Map<string, string>();
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'tomasz');
    const yard = (await (await page.request.get(`${house.url}/api/yard`)).json()) as {
      jobs: { jobId: string; vehicle: { tag: string } }[];
    };
    for (const j of yard.jobs) jobs.set(j.vehicle.tag, j.jobId);
  });
  after(() => house.close());
  const place = async (tag: string, kind: string, corner: string): Promise<string> => {
    const file = (await (await page.request.get(`${house.url}/api/jobs/${jobs.get(tag) ?? ''}`)).json()) as {
      layout: { slots: { id: string; kind: string; corner: string | null }[] };
    };
    return file.layout.slots.find((s) => s.kind === kind && s.corner === corner)?.id ?? '';
  };

  it('a figure that cannot be stays in the bar with the reason, and nothing is taken before the part is said to be clean and cold', async () => {
    const hub = await place('V 068', 'hub', 'FL');
    await page.goto(`${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge?pick=${hub}`);
    await page.locator('[data-capture]').waitFor();
    await page.getByRole('tab', { name: /^End float/ }).click();
    await page.keyboard.type('0.03');
    await page.keyboard.press('Enter');
    await page.getByText('Say first how clean the part is, and whether it is cold.').waitFor();
    await page.keyboard.press('Escape');
    await sayClean(page);
    await page.keyboard.type('-0.1');
    await page.keyboard.press('Enter');
    await page.getByText(/“-0\.1” for .*never below nothing/).waitFor();
    await page.keyboard.press('Escape');
    const more = page.getByRole('button', { name: /^\d+ more$/ });
    if ((await more.count()) > 0) await more.click();
    await page.getByRole('tab', { name: /^Face runout/ }).click();
    await page.keyboard.type('60');
    await page.keyboard.press('Enter');
    await page.getByText('Radius at which the pads run').first().waitFor();
    await page.keyboard.type('-150');
    await page.keyboard.press('Enter');
    await page.getByText(/“-150” for radius at which the pads run: it is always more than nothing/).waitFor();
    await page.keyboard.press('Escape');
  });

  it('the yard stands with a job in it whose records cannot be put together, and its page names the record', async () => {
    const jobId = jobs.get('V 063') ?? '';
    const [author] = await house.query('select author_id as id from reading_set where job_id = $1 limit 1', [jobId]);
    const setId = v7();
    await house.query(
      `insert into reading_set (id, job_id, author_id, device, happened_at, recorded_at, slot_id, measurement, phase, surface, cold, averages, count)
       values ($1, $2, $3, 'd', now(), now(), $4, 'hub_colour', 'as_found', 'clean', true, false, 1)`,
      [setId, jobId, author?.['id'], await place('V 063', 'hub', 'FL')],
    );
    await page.goto(house.url);
    await page.getByText('cannot be judged').waitFor();
    // Every other job is there, and can be opened.
    await page.goto(`${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge`);
    await page.getByRole('heading', { name: 'Brake map' }).waitFor();
    await page.goto(`${house.url}/jobs/${jobId}/gauge`);
    await page.getByRole('heading', { name: /V 063 .* cannot be judged/ }).waitFor();
    await page.getByText('Nothing is lost').waitFor();
    if (process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
    await page.getByRole('button', { name: 'Take it back' }).click();
    // It was somebody else’s: a reason is asked.
    const reason = page.getByLabel('Why it is taken back');
    await page.getByRole('heading', { name: 'Brake map' }).or(reason).waitFor();
    if ((await reason.count()) > 0) {
      await reason.fill('no such figure');
      await page.keyboard.press('Enter');
    }
    await page.getByRole('heading', { name: 'Brake map' }).waitFor();
    await page.goto(house.url);
    await page.getByText('Quillon T40').first().waitFor();
    expect(await page.getByText(/cannot be judged/).count()).to.equal(0);
    expect(house.errors).to.deep.equal([]);
  });
});
