import { expect } from 'chai';
import type { BrowserContext, Page } from 'playwright-core';
import type { JobRecords } from '@dauer/core/ledger';
import { Between } from './between.ts';
import { allSent, DEMO_PASSWORD, House, signIn, type Yard, typeFigures } from './house.ts';

describe('a tablet over a network that loses things, and a newer build', function () {
  this.timeout(600000);
  const house = new House();
  let network: Between;
  let url = '';
  let tablet: BrowserContext;
  let page: Page;
  let jobId = '';
  let slotId = '';
  before(async () => {
    await house.open(true);
    network = new Between(house.url);
    url = await network.open();
    page = await house.page({ shell: true });
    tablet = page.context();
    await signIn(page, url, 'ines');
    const yard = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const job = yard.jobs.find((j) => j.vehicle.tag === 'V 071')!;
    jobId = job.jobId;
    slotId = job.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RL')!.id;
  });
  after(async () => {
    network.close();
    await house.close();
  });
  afterEach(async function () {
    network.lost.clear();
    network.newer = false;
    await tablet.setOffline(false);
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });

  const on = (name: string | RegExp) => page.getByRole('button', { name });
  const openBench = async (): Promise<void> => {
    await page.goto(`${url}/jobs/${jobId}/gauge?pick=${slotId}`);
    await page.getByRole('heading', { name: 'Rear left rotor' }).first().waitFor();
    await page.getByRole('tab', { name: /^Thickness/ }).click();
    await page.locator('[data-capture] .what', { hasText: 'Thickness' }).waitFor();
  };
  /** Begins a set of its own, where one stands there already. */
  const anew = async (): Promise<void> => {
    const again = on('Take all again');
    if (await again.isVisible()) await again.click();
  };
  /** What was taken at the place, with its author’s name, in the order of the book. */
  const taken = async (): Promise<string[]> => {
    const file = (await (await page.request.get(`${url}/api/jobs/${jobId}`)).json()) as JobRecords;
    const mine = file.sets.filter((s) => s.slotId === slotId && s.jobId === jobId).map((s) => s.id);
    return file.readings
      .filter((r) => mine.includes(r.setId))
      .sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1))
      .map((r) => `${file.people.find((p) => p.id === r.authorId)?.name.split(' ')[0] ?? ''} ${r.typed}`);
  };
  const pinOf = async (digits: string): Promise<void> => {
    await page.goto(`${url}/shop`);
    await on('Set my PIN').click();
    await page.getByLabel('PIN, 4 to 8 digits').fill(digits);
    await page.getByLabel(/^Password of/).fill(DEMO_PASSWORD);
    await on('Set it').click();
    await page.getByText('Your PIN opens the tablets of the shop').waitFor();
  };
  const signOut = async (): Promise<void> => {
    await page.goto(`${url}/shop`);
    await on(/^Sign out [A-Z]/).click();
    await page.waitForURL('**/sign-in**');
  };
  const typePin = async (name: string, digits: string): Promise<void> => {
    await on(name).click();
    await page.getByLabel(`PIN of ${name}`).fill(digits);
    await on('Go on').click();
  };

  it('two people switch by PIN while requests and answers are lost: whoever the page shows is whose figures these are', async () => {
    await pinOf('1357');
    await on('Make this device a tablet').click();
    await page.getByLabel('Name of the tablet').fill('Bench one');
    await page.getByLabel(/^Password of/).fill(DEMO_PASSWORD);
    await on('Make it one').click();
    await page.getByText('This device is a tablet of the shop now.').waitFor();
    await signOut();
    await signIn(page, url, 'tomasz');
    await pinOf('2468');
    const people = [
      { name: 'Ines Okafor-Lind', digits: '1357' },
      { name: 'Tomasz Verrill', digits: '2468' },
    ];
    const wanted: string[] = [];
    let turn = 0;
    for (const path of ['/api/sign-out', '/api/switch']) {
      for (const what of ['request', 'answer'] as const) {
        const { name, digits } = people[turn % 2]!;
        network.lost.set(path, what);
        await signOut();
        // Locked at once, whatever became of what was sent.
        await page.goto(`${url}/jobs/${jobId}/gauge`);
        await page.waitForURL('**/sign-in**');
        await typePin(name, digits);
        if (path === '/api/switch') {
          await page.getByRole('alert').filter({ hasText: 'The server cannot be reached just now.' }).waitFor();
          network.lost.clear();
          await page.getByLabel(`PIN of ${name}`).fill(digits);
          await on('Go on').click();
        }
        network.lost.clear();
        await page.locator('header .who', { hasText: name.split(' ')[0]! }).waitFor();
        await openBench();
        if (turn === 0) await anew();
        const figure = `9.3${turn}`;
        await typeFigures(page, [figure]);
        await allSent(page);
        wanted.push(`${name.split(' ')[0]} ${figure}`);
        turn += 1;
      }
    }
    expect((await taken()).filter((t) => / 9\.3\d$/.test(t))).to.deep.equal(wanted);
  });

  it('cut off, the yard says how old it is, the job too, and a room that shows nothing says nothing of the kind', async () => {
    await page.goto(url);
    await page.getByRole('heading', { name: /in the shop/ }).waitFor();
    await page.evaluate(`navigator.serviceWorker.ready.then(() => undefined)`);
    await page.waitForTimeout(500);
    await tablet.setOffline(true);
    await page.getByText(/The server (was last heard|is away\. This is what this device kept) (on .* )?at \d\d:\d\d/).waitFor();
    await page.goto(url);
    await page.getByText(/The server is away\. This is what this device kept (on .* )?at \d\d:\d\d/).waitFor();
    await page.getByRole('link', { name: 'Limits' }).click();
    await page.getByText('The server cannot be reached just now.').first().waitFor();
    expect(await page.getByText(/this device kept/).count()).to.equal(0);
    await tablet.setOffline(false);
    await page.goto(url);
    await page.getByText(/The server (is away|was last heard)/).waitFor({ state: 'detached' });
  });

  it('an update is heard of while twenty figures wait, loses none of them, and is loaded by a press', async () => {
    await openBench();
    await anew();
    network.lost.set(`/api/jobs/${jobId}/readings`, 'request');
    network.lost.set(`/api/jobs/${jobId}/sets`, 'request');
    const figures = Array.from({ length: 20 }, (_, i) => `9.${(20 + (i % 5)).toString()}`);
    for (let i = 0; i < figures.length; i += 4) {
      if (i > 0) await on('Take all again').click();
      await typeFigures(page, figures.slice(i, i + 4));
    }
    await page.getByText('kept here, not sent').waitFor();
    network.newer = true;
    await page.evaluate(`window.dispatchEvent(new Event('focus'))`);
    await page.getByText('A newer version of Dauer is here.').waitFor();
    const loads = page.waitForEvent('load');
    await on('Load it').click();
    await loads;
    await page.locator('[data-capture]').waitFor();
    network.lost.clear();
    await allSent(page);
    expect((await taken()).filter((t) => / 9\.2\d$/.test(t)).map((t) => t.split(' ')[1])).to.deep.equal(figures);
  });

  it('a page that no browser keeps hears of a newer build as well', async () => {
    const plain = await house.page();
    await plain.addInitScript(`delete Navigator.prototype.serviceWorker`);
    await signIn(plain, url, 'ruth');
    expect(await plain.evaluate(`'serviceWorker' in navigator`)).to.equal(false);
    await plain.evaluate(`window.dispatchEvent(new Event('focus'))`);
    await plain.waitForTimeout(500);
    expect(await plain.getByText('A newer version of Dauer is here.').count()).to.equal(0);
    network.newer = true;
    await plain.evaluate(`window.dispatchEvent(new Event('focus'))`);
    await plain.getByText('A newer version of Dauer is here.').waitFor();
    await plain.close();
  });
});
