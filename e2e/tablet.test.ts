import { appendFileSync } from 'node:fs';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { removeComponent } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { v7 } from 'uuid';
import { TabletDrill } from './tabletDrill.ts';
import { allSent, DEMO_PASSWORD, House, signIn, typeFigures, type Yard } from './house.ts';

/** A vehicle of the demonstration shop whose front rotors nobody has gauged. */
const DRILLED = 'V 071';

/** What stands in a store of this device. */
const STORED = (database: string, store: string) => `new Promise((done) => {
  const asked = indexedDB.open('${database}');
  asked.onsuccess = () => {
    const all = asked.result.transaction('${store}').objectStore('${store}').getAll();
    all.onsuccess = () => { asked.result.close(); done(JSON.stringify(all.result)); };
  };
})`;

/** Waits until something is so. @throws Error where it does not become so */
async function expectSoon(isSo: () => boolean | Promise<boolean>): Promise<void> {
  for (const until = Date.now() + 20000; Date.now() < until; await new Promise((go) => setTimeout(go, 100))) if (await isSo()) return;
  throw new Error(`it did not become so: ${isSo.toString()}`);
}

/** Cuts a tablet off, and waits until it is: also what its service worker asks for gets no answer any more. */
async function cutOff(page: Page): Promise<void> {
  await page.context().setOffline(true);
  await page.waitForFunction(`fetch('/api/welcome').then(() => false, () => true)`);
}

describe('a tablet in the hands of several', function () {
  this.timeout(900000);
  const house = new House();
  /** Two pages of one tablet, and the desk. */
  let page: Page;
  let second: Page;
  let desk: Page;
  let jobId = '';
  let slotId = '';
  before(async () => {
    await house.open(true);
    page = await house.page();
    desk = await house.page();
    await signIn(desk, house.url, 'ines');
    await signIn(page, house.url, 'tomasz');
    const yard = (await (await desk.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const job = yard.jobs.find((j) => j.vehicle.tag === 'V 071')!;
    jobId = job.jobId;
    slotId = job.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RL')!.id;
    second = await page.context().newPage();
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });

  const openBench = async (where: Page): Promise<void> => {
    await where.goto(`${house.url}/jobs/${jobId}/gauge?pick=${slotId}`);
    await where.getByRole('heading', { name: 'Rear left rotor' }).first().waitFor();
    await where.locator('[data-capture]').waitFor();
  };
  /** What was taken at the place, with its author’s name, in the order of the book. */
  const taken = async (): Promise<string[]> => {
    const file = (await (await desk.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as JobRecords;
    const mine = file.sets.filter((s) => s.slotId === slotId && s.jobId === jobId).map((s) => s.id);
    return file.readings
      .filter((r) => mine.includes(r.setId))
      .sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1))
      .map((r) => `${file.people.find((p) => p.id === r.authorId)?.name.split(' ')[0] ?? ''} ${r.typed}`);
  };
  const sessionsOf = (login: string) =>
    house.query(
      `select s.id from session s join account a on a.id = s.account_id
       where a.login = $1 and s.ended_at is null and s.tablet_id is null`,
      [login],
    );
  const signOut = async (where: Page, name: RegExp): Promise<void> => {
    await where.goto(`${house.url}/shop`);
    await where.getByRole('button', { name }).click();
  };
  const locked = (where: Page, title: string | RegExp) => where.getByRole('dialog', { name: title });

  it('one page signs out and somebody else signs in there: the other page locks, and no figure goes under the wrong name', async () => {
    await openBench(page);
    await typeFigures(page, ['9.81', '9.80']);
    await allSent(page);
    await signOut(second, /^Sign out Tomasz/);
    await second.waitForURL('**/sign-in');
    await locked(page, 'Signed out').waitFor();
    expect(await page.getByRole('heading', { name: 'Rear left rotor' }).first().isVisible()).to.equal(false);
    await signIn(second, house.url, 'ruth');
    await locked(page, /^Ruth .* is signed in here$/).waitFor();
    // A gauge that types by itself is heard through dialogs: not on a locked page.
    await page.keyboard.type('9.79');
    await page.keyboard.press('Enter');
    await openBench(second);
    await typeFigures(second, ['9.83']);
    await allSent(second);
    expect(await taken()).to.deep.equal(['Tomasz 9.81', 'Tomasz 9.80', 'Ruth 9.83']);
    // Whoever is signed in goes on here too, with nothing of the first.
    await page.getByRole('button', { name: /^Go on as Ruth/ }).click();
    await page.getByRole('heading', { name: /in the shop/ }).waitFor();
    expect(await page.locator('header .who').innerText()).to.match(/^Ruth/);
  });

  it('what one took while cut off waits, whoever signs in, and goes in under the name of who took it', async () => {
    await openBench(page);
    await page.context().route('**/api/jobs/*/readings', (route) => route.abort());
    await typeFigures(page, ['9.84']);
    await page.getByText('kept here, not sent').waitFor();
    await signOut(second, /^Sign out Ruth/);
    await second.waitForURL('**/sign-in');
    await signIn(second, house.url, 'tomasz');
    await locked(page, /^Tomasz .* is signed in here$/).waitFor();
    // The server says whose the session is, and that answer comes late: after somebody else has signed in.
    let late = (): void => undefined;
    const signedIn = new Promise<void>((resolve) => (late = resolve));
    let answers = 0;
    await page.route('**/api/me', async (route) => {
      const response = await route.fetch();
      answers += 1;
      await signedIn;
      await route.fulfill({ response });
    });
    await page.context().unroute('**/api/jobs/*/readings');
    const asked = async (times: number): Promise<void> => {
      for (const until = Date.now() + 40000; answers < times && Date.now() < until;) await page.waitForTimeout(50);
      expect(answers, 'how often the page asked whose the session is').to.be.at.least(times);
    };
    await asked(1);
    expect((await taken()).filter((t) => t.endsWith('9.84'))).to.deep.equal([]);
    // Ruth signs in on her own page again: it goes on where it was, and sends.
    await page.getByLabel('Name', { exact: true }).fill('ruth');
    await page.getByLabel('Password', { exact: true }).fill(DEMO_PASSWORD);
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await locked(page, /./).waitFor({ state: 'detached' });
    late();
    await asked(2);
    await page.unroute('**/api/me');
    await page.getByRole('heading', { name: 'Rear left rotor' }).first().waitFor();
    expect(await locked(page, /./).count(), 'an answer from before locks nothing').to.equal(0);
    await allSent(page);
    expect((await taken()).at(-1)).to.equal('Ruth 9.84');
    await locked(second, /^Ruth .* is signed in here$/).waitFor();
  });

  it('who signs out while the network is away is out at once, and their session is ended as soon as it can be', async () => {
    // From here on a browser that keeps the application itself.
    page = await house.page({ shell: true });
    await signIn(page, house.url, 'ruth');
    await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
    await page.goto(`${house.url}/shop`);
    const out = page.getByRole('button', { name: /^Sign out Ruth/ });
    await out.waitFor();
    const before = await sessionsOf('ruth');
    await house.killServer();
    await out.click();
    await page.waitForURL('**/sign-in');
    // Neither this page nor another of this device comes back with the old session, cut off or not.
    await page.goto(`${house.url}/jobs/${jobId}/gauge`);
    await page.waitForURL('**/sign-in?**');
    expect((await sessionsOf('ruth')).length).to.equal(before.length);
    await house.start(true);
    await page.goto(`${house.url}/`);
    await page.waitForURL('**/sign-in');
    await expectSoon(async () => (await sessionsOf('ruth')).length === before.length - 1);
    expect((await page.request.get(`${house.url}/api/me`)).status()).to.equal(401);
  });

  it('what a device keeps of the book goes when its session is ended elsewhere; what was typed there stays', async () => {
    await signIn(page, house.url, 'tomasz');
    await openBench(page);
    await page.waitForFunction(`${STORED('dauer-kept', 'kept')}.then((x) => x.includes('${jobId}'))`);
    const people = (await (await desk.request.get(`${house.url}/api/people`)).json()) as { id: string; login: string; version: number }[];
    const tomasz = people.find((p) => p.login === 'tomasz')!;
    const change = async (active: boolean, version: number) => {
      const reply = await desk.request.patch(`${house.url}/api/people/${tomasz.id}`, {
        data: { version, active },
        headers: { origin: house.url },
      });
      expect(reply.status()).to.equal(200);
    };
    await change(false, tomasz.version);
    await locked(page, 'Sign in again').waitFor();
    await page.waitForFunction(`${STORED('dauer-kept', 'kept')}.then((x) => x === '[]')`);
    const caches = await page.evaluate(
      `caches.keys().then((names) => Promise.all(names.map((n) => caches.open(n).then((c) => c.keys())))).then((all) => all.flat().map((r) => r.url).filter((u) => u.includes('/api/')))`,
    );
    expect(caches).to.deep.equal([]);
    await change(true, tomasz.version + 1);
  });

  it('a clock that is set while cut off, by an hour and either way, moves no figure and turns no order', async () => {
    const tablet = await house.page();
    // The clock of the device, as somebody sets it.
    await tablet.addInitScript(
      `{ const now = Date.now.bind(Date); Date.now = () => now() + Number(sessionStorage.getItem('ahead') ?? 0); }`,
    );
    await signIn(tablet, house.url, 'tomasz');
    const set = (ms: number) => tablet.evaluate(`sessionStorage.setItem('ahead', String(${ms}))`);
    const from = Date.now();
    await openBench(tablet);
    await tablet.getByRole('button', { name: 'Take all again' }).click();
    await typeFigures(tablet, ['9.51']);
    await allSent(tablet);
    await tablet.context().setOffline(true);
    await typeFigures(tablet, ['9.52']);
    await set(3600000);
    await typeFigures(tablet, ['9.53']);
    await set(-5 * 3600000);
    await typeFigures(tablet, ['9.54', '9.55']);
    await tablet.getByText('kept here, not sent').waitFor();
    await tablet.context().setOffline(false);
    await allSent(tablet);
    await typeFigures(tablet, ['9.56']);
    await allSent(tablet);
    const file = (await (await desk.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as JobRecords;
    const mine = file.readings.filter((r) => /^9\.5[1-6]$/.test(r.typed)).sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1));
    expect(mine.map((r) => r.typed)).to.deep.equal(['9.51', '9.52', '9.53', '9.54', '9.55', '9.56']);
    for (const r of mine) expect(Date.parse(r.happenedAt), r.typed).to.be.within(from - 1000, Date.now() + 1000);
    await tablet.close();
  });

  it('what this device cannot store is never shown as kept: the dot stays hollow, the sentence stays, and leaving asks', async () => {
    const tablet = await house.page();
    await tablet.addInitScript(`{
      const add = IDBObjectStore.prototype.add;
      IDBObjectStore.prototype.add = function (...given) {
        if (window.refuses) throw new DOMException('no room', 'QuotaExceededError');
        return add.apply(this, given);
      };
    }`);
    await signIn(tablet, house.url, 'tomasz');
    await openBench(tablet);
    await tablet.getByRole('tab', { name: /^Thickness/ }).click();
    await tablet.locator('[data-capture] .what', { hasText: 'Thickness' }).waitFor();
    const again = tablet.getByRole('button', { name: 'Take all again' });
    if (await again.isVisible()) await again.click();
    await typeFigures(tablet, ['9.61']);
    await allSent(tablet);
    const dots = () => tablet.locator('[data-capture] .dots .kept').count();
    expect(await dots()).to.equal(1);
    await tablet.evaluate('window.refuses = true');
    await tablet.context().setOffline(true);
    await typeFigures(tablet, ['9.62', '9.63']);
    await tablet.getByText('This device cannot store what is taken: 2 are on this page only.').waitFor();
    await tablet.locator('header .unsent', { hasText: 'on this page only' }).waitFor();
    expect(await tablet.getByText('kept here').count()).to.equal(0);
    expect(await dots()).to.equal(1);
    let asked = 0;
    tablet.on('dialog', (d) => {
      asked += d.type() === 'beforeunload' ? 1 : 0;
      void d.dismiss();
    });
    await tablet.close({ runBeforeUnload: true });
    await expectSoon(() => asked === 1);
    // It stores again: also what it refused before, and what it holds is sent.
    await tablet.evaluate('window.refuses = false');
    await typeFigures(tablet, ['9.64']);
    await tablet.getByText('This device cannot store').waitFor({ state: 'detached' });
    await expectSoon(async () => (await dots()) === 4);
    await tablet.context().setOffline(false);
    await allSent(tablet);
    expect((await taken()).filter((t) => /9\.6[1-4]$/.test(t))).to.deep.equal(['9.61', '9.62', '9.63', '9.64'].map((f) => `Tomasz ${f}`));
    await tablet.goto(`${house.url}/shop`);
    await tablet.locator('[data-durable]', { hasText: /^\s*This browser (keeps|may clear)/ }).waitFor();
    await tablet.close();
  });

  it('what is set aside says figure, place, job and reason on every page, is sent again in order, and dropped by name', async () => {
    const one = await house.page();
    await signIn(one, house.url, 'tomasz');
    const two = await one.context().newPage();
    let refuses = true;
    await one
      .context()
      .route('**/api/jobs/*/readings', (route) =>
        refuses
          ? route.fulfill({ status: 422, json: { type: '', title: '', status: 422, code: 'x', detail: 'Enter the set first.' } })
          : route.continue(),
      );
    await openBench(one);
    await openBench(two);
    await one.getByRole('tab', { name: /^Thickness/ }).click();
    await one.locator('[data-capture] .what', { hasText: 'Thickness' }).waitFor();
    const again = one.getByRole('button', { name: 'Take all again' });
    if (await again.isVisible()) await again.click();
    await typeFigures(one, ['9.71', '9.72', '9.73']);
    for (const where of [one, two]) await where.getByText('3 entries are set aside.').waitFor();
    await two.getByRole('button', { name: 'Show what is set aside' }).click();
    const list = two.getByRole('dialog', { name: 'Not in the book' });
    await list.getByText('Thickness 9.71, Rear left rotor, V 071').waitFor();
    expect(await list.getByText('Enter the set first.', { exact: true }).count()).to.equal(3);
    await list.getByRole('button', { name: 'Drop: Thickness 9.72, Rear left rotor, V 071' }).click();
    const asked = two.getByRole('dialog', { name: 'Drop this?' });
    await asked.getByText('Thickness 9.72, Rear left rotor, V 071, taken by Tomasz', { exact: false }).waitFor();
    await asked.getByRole('button', { name: 'Drop it for good' }).click();
    await one.getByText('2 entries are set aside.').waitFor();
    refuses = false;
    await list.getByRole('button', { name: 'Send all again' }).click();
    for (const where of [one, two]) await where.getByText('set aside').first().waitFor({ state: 'detached' });
    await allSent(one);
    expect((await taken()).filter((t) => /9\.7[1-3]$/.test(t))).to.deep.equal(['Tomasz 9.71', 'Tomasz 9.73']);
    // A page that is closed with something unsent leaves it to the one beside it.
    let away = true;
    await one.context().route('**/api/jobs/*/readings', (route) => (away ? route.abort() : route.continue()));
    await typeFigures(one, ['9.74']);
    await one.getByText('kept here, not sent').waitFor();
    away = false;
    await one.close();
    await expectSoon(async () => (await taken()).at(-1) === 'Tomasz 9.74');
    await two.close();
  });

  it('what was typed at Book in is still there after the page was closed, for who typed it', async () => {
    const tablet = await house.page();
    await signIn(tablet, house.url, 'tomasz');
    await tablet.goto(`${house.url}/book-in`);
    await tablet.getByLabel(/^Complaint/).fill('Pulls to the left when cold');
    const next = await tablet.context().newPage();
    await tablet.close();
    await next.goto(`${house.url}/book-in`);
    await expectSoon(async () => (await next.getByLabel(/^Complaint/).inputValue()) === 'Pulls to the left when cold');
    await signOut(next, /^Sign out Tomasz/);
    await next.waitForURL('**/sign-in');
    await signIn(next, house.url, 'ruth');
    await next.goto(`${house.url}/book-in`);
    await next.getByLabel(/^Complaint/).waitFor();
    expect(await next.getByLabel(/^Complaint/).inputValue()).to.equal('');
    await next.close();
  });

  it('what somebody left who is not of the shop any more is handed in by a lead, under the name of who took it', async () => {
    const tablet = await house.page();
    await signIn(tablet, house.url, 'ruth');
    let away = true;
    await tablet.context().route('**/api/jobs/*/readings', (route) => (away ? route.abort() : route.continue()));
    await openBench(tablet);
    await tablet.getByRole('tab', { name: /^Thickness/ }).click();
    await tablet.locator('[data-capture] .what', { hasText: 'Thickness' }).waitFor();
    const again = tablet.getByRole('button', { name: 'Take all again' });
    if (await again.isVisible()) await again.click();
    await typeFigures(tablet, ['9.41', '9.42', '9.43']);
    await tablet.getByText('kept here, not sent').waitFor();
    type Account = { id: string; login: string; version: number };
    const ruth = async () =>
      ((await (await desk.request.get(`${house.url}/api/people`)).json()) as Account[]).find((p) => p.login === 'ruth')!;
    const change = async (active: boolean) => {
      const { id, version } = await ruth();
      const reply = await desk.request.patch(`${house.url}/api/people/${id}`, {
        data: { version, active },
        headers: { origin: house.url },
      });
      expect(reply.status()).to.equal(200);
    };
    await change(false);
    await locked(tablet, /./).waitFor();
    const bar = tablet.getByText('Kept here for Ruth', { exact: false });
    // A technician sees what waits, and neither hands it in nor drops it.
    const open = async (login: string) => {
      await tablet.goto(`${house.url}/sign-in`);
      await signIn(tablet, house.url, login);
      await bar.waitFor();
      await tablet.getByRole('button', { name: 'Show what is kept for others' }).click();
      return tablet.getByRole('dialog', { name: 'Not in the book' });
    };
    const seen = await open('tomasz');
    await seen.getByText('Thickness 9.41, Rear left rotor, V 071').waitFor();
    expect(await seen.getByRole('button').allInnerTexts()).to.deep.equal(['Close']);
    await seen.getByRole('button', { name: 'Close' }).click();
    await signOut(tablet, /^Sign out Tomasz/);
    await tablet.waitForURL('**/sign-in');
    const list = await open('ines');
    away = false;
    await list.getByRole('button', { name: 'Drop: Thickness 9.42, Rear left rotor, V 071' }).click();
    const drop = tablet.getByRole('dialog', { name: 'Drop this?' });
    await drop.getByText('Thickness 9.42, Rear left rotor, V 071, taken by Ruth', { exact: false }).waitFor();
    await drop.getByRole('button', { name: 'Drop it for good' }).click();
    await list.getByRole('button', { name: 'Hand in all 2' }).click();
    await tablet
      .getByRole('dialog', { name: /^Hand in what Ruth .* took\?$/ })
      .getByRole('button', { name: 'Hand in', exact: true })
      .click();
    await bar.waitFor({ state: 'detached' });
    await allSent(tablet);
    expect((await taken()).filter((t) => /9\.4[1-3]$/.test(t))).to.deep.equal(['Ruth 9.41', 'Ruth 9.43']);
    const file = (await (await desk.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as JobRecords;
    const by = file.handIns.map((h) => file.people.find((p) => p.id === h.authorId)?.name.split(' ')[0]);
    expect(by).to.deep.equal(['Ines', 'Ines']);
    await change(true);
    await tablet.close();
  });

  it('readings taken while cut off, at a place that is taken out meanwhile, stay in sight and are moved', async () => {
    await page.getByLabel('Name', { exact: true }).fill('tomasz');
    await page.getByLabel('Password', { exact: true }).fill(DEMO_PASSWORD);
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await locked(page, /./).waitFor({ state: 'detached' });
    const file = async () => (await (await desk.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as JobRecords;
    const { layout } = await file();
    const rotor = (corner: string): string => layout.slots.find((x) => x.kind === 'rotor' && x.corner === corner)!.id;
    await page.goto(`${house.url}/jobs/${jobId}/gauge?pick=${rotor('RR')}`);
    await page.getByRole('heading', { name: 'Rear right rotor' }).first().waitFor();
    await page.locator('[data-capture]').waitFor();
    await cutOff(page);
    const figures = ['9.91', '9.92', '9.93', '9.92', '9.91', '9.90', '9.91', '9.92'];
    await typeFigures(page, figures);
    await page.getByText('kept here, not sent').waitFor();
    // At the desk somebody draws the vehicle without that place.
    const reply = await desk.request.post(`${house.url}/api/jobs/${jobId}/layout`, {
      data: {
        layout: { ...removeComponent(layout, rotor('RR'), v7), id: v7() },
        ...{ replaces: layout.id, revision: 'conversion', why: 'It has a drum there now' },
      },
      headers: { origin: house.url },
    });
    expect(reply.status()).to.equal(200);
    await page.context().setOffline(false);
    await allSent(page);
    const list = page.getByRole('region', { name: 'At places that are gone' });
    await list.getByText(figures.join('  ')).waitFor();
    // On every stage, and on every other screen of the shop.
    await desk.goto(`${house.url}/jobs/${jobId}/prove`);
    await desk.getByRole('region', { name: 'At places that are gone' }).getByText('Thickness, rear right rotor').waitFor();
    await list.getByRole('button', { name: 'Move the thickness' }).click();
    await list.getByRole('button', { name: 'Rear left rotor', exact: true }).click();
    await list.waitFor({ state: 'detached' });
    await allSent(page);
    const now = await file();
    const [move] = now.setMoves.filter((m) => m.slotId === rotor('RL'));
    const inOrder = now.readings.filter((r) => r.setId === move?.setId).sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1));
    expect(inOrder.map((r) => r.typed)).to.deep.equal(figures);
    await desk.getByRole('region', { name: 'At places that are gone' }).waitFor({ state: 'detached' });
  });

  it('in rough hands, at random for a while: every acknowledged figure is found under its author, at its place, in its order', async () => {
    const yard = (await (await desk.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const job = yard.jobs.find((j) => j.vehicle.tag === DRILLED)!;
    const rotor = (corner: string) => job.layout.slots.find((x) => x.kind === 'rotor' && x.corner === corner)!.id;
    const slots = [
      { id: rotor('FL'), name: 'front left rotor' },
      { id: rotor('FR'), name: 'front right rotor' },
    ];
    const seed = Number(process.env['DAUER_SEED'] ?? 22);
    const done = await new TabletDrill(house, desk, job.jobId, slots, seed).run(Number(process.env['DAUER_TABLET_SECONDS'] ?? 10));
    if (process.env['DAUER_TABLET_LOG'])
      appendFileSync(
        process.env['DAUER_TABLET_LOG'],
        `${JSON.stringify(done.acts)}, ${done.acknowledged} figures acknowledged, ${done.wrong.length} wrong\n`,
      );
    expect(done.wrong, JSON.stringify(done)).to.deep.equal([]);
  });

  it('a tablet stays one when its browser is closed, and answers of the book are kept by no cache', async () => {
    const cookies = await page.context().cookies();
    expect(cookies.find((c) => c.name === 'dauer')!.expires).to.be.greaterThan(Date.now() / 1000 + 300 * 86400);
    const reply = await desk.request.get(`${house.url}/api/jobs/${jobId}`);
    expect(reply.headers()['cache-control']).to.equal('no-store');
  });
});
