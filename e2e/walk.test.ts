import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { randomUUID } from 'node:crypto';
import { aroundBore, BenchShop, CORNERS, figuresFor, type JobRecords, type Slot, sweepOf } from './benchShop.ts';
import { allSent, pressAll, sayClean, signIn, typeFigures } from './house.ts';

describe('a vehicle measured whole, by keyboard and simulated gauge', function () {
  this.timeout(900000);
  const shop = new BenchShop();
  const { house } = shop;
  let page: Page;
  let jobs: ReadonlyMap<string, string>;
  const files = (tag: string): Promise<JobRecords> => shop.file(tag);
  before(async () => {
    await shop.open();
    ({ page, jobs } = shop);
  });
  after(() => house.close());
  afterEach(function () {
    return shop.pictureOf(this.currentTest?.state === 'failed');
  });

  /** What was typed, by place and measurement, in the order of the positions. */
  const typed = new Map<string, readonly string[]>();
  const at = (): Promise<string | null> => page.locator('[data-capture] .what').textContent();
  const dots = (): Promise<number> => page.locator('[data-capture] .dots circle').count();
  const nameOf = (slot: Slot): string => {
    const corner = { FL: 'front left', FR: 'front right', RL: 'rear left', RR: 'rear right' }[slot.corner ?? ''];
    return corner ? `${corner} ${slot.name.toLowerCase()}` : slot.name.toLowerCase();
  };
  const MEASUREMENT: Readonly<Record<string, string>> = {
    Thickness: 'rotor_thickness',
    Runout: 'rotor_runout',
    Lining: 'pad_lining',
    'End float': 'hub_end_float',
    Diameter: 'drum_diameter',
  };
  /** The stop that the capture bar stands at: of which place, and what is taken. */
  async function stop(): Promise<{ readonly place: string; readonly measurement: string; readonly key: string }> {
    const [what = '', place = ''] = ((await at()) ?? '').split(', ').map((x) => x.trim());
    const measurement = place.includes('shoes') && what === 'Lining' ? 'shoe_lining' : (MEASUREMENT[what] ?? what);
    return { place, measurement, key: `${place}|${measurement}` };
  }
  const onward = () => page.locator('[data-capture] .onward');
  /** Takes a whole set with the keys alone. */
  async function takeSet(n: number, between: (i: number) => Promise<void> = async () => undefined): Promise<string> {
    const { measurement, key } = await stop();
    const positions = (await dots()) - 1;
    const list = figuresFor(measurement, positions, n);
    for (const [i, f] of list.entries()) {
      await between(i);
      await typeFigures(page, [f]);
    }
    typed.set(key, list);
    return key;
  }
  /** Every position of the set in hand is taken, and kept on this device. */
  async function allTaken(): Promise<void> {
    await page.waitForFunction(
      () =>
        document.querySelectorAll('[data-capture] .dots .kept').length === document.querySelectorAll('[data-capture] .dots .dot').length,
    );
  }
  /** Goes on to the next stop of the route with Enter; false where there is none. What goes on is said as soon as all is kept. */
  async function goOn(): Promise<boolean> {
    await allTaken();
    const before = await at();
    if ((await onward().count()) === 0) return false;
    await page.keyboard.press('Enter');
    await page.waitForFunction((was) => document.querySelector('[data-capture] .what')?.textContent !== was, before);
    return true;
  }
  /** Every reading of a job that stands, newest set of each, by place and measurement, in the order it was taken. */
  async function stored(tag: string): Promise<Map<string, string[]>> {
    const file = await files(tag);
    const gone = new Set(file.takeBacks.map((t) => t.corrects));
    const found = new Map<string, string[]>();
    for (const s of file.sets.filter((x) => x.jobId === jobs.get(tag))) {
      const slot = file.layout.slots.find((x) => x.id === s.slotId);
      const list = file.readings.filter((r) => r.setId === s.id && !gone.has(r.id)).sort((a, b) => (a.id < b.id ? -1 : 1));
      if (slot && list.length > 0)
        found.set(
          `${nameOf(slot)}|${s.measurement}`,
          list.map((r) => r.typed),
        );
    }
    return found;
  }

  it('one walk round takes what is owed of a vehicle with the keys alone, through a cut of the network and a page that dies', async () => {
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge`);
    const begin = page.getByRole('button', { name: /^Begin: / });
    await begin.waitFor();
    // The application itself is kept by now, and the job with it.
    await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
    await page.waitForLoadState('networkidle');
    await begin.focus();
    await page.keyboard.press('Enter');
    await page.locator('[data-capture]').waitFor();
    const corners = new Set<string>();
    for (let n = 0; n < 40; n += 1) {
      const cut = n === 2;
      const key = await takeSet(n, async (i) => {
        if (cut && i === 1) await page.context().setOffline(true);
      });
      corners.add(key.split(' ').slice(0, 2).join(' '));
      if (n === 3) {
        // Still cut off: the page dies and comes back from what the browser kept.
        await page.getByText('kept here, not sent').waitFor();
        const before = await at();
        await page.locator('header[data-storing="0"]').waitFor();
        await page.reload();
        await page.getByText(/The server is away\. This is what this device kept/).waitFor();
        // What was taken before the cut and since stands; the walk goes on where it was.
        await page.getByRole('heading', { name: 'To gauge' }).waitFor();
        await begin.focus();
        await page.keyboard.press('Enter');
        await page.locator('[data-capture]').waitFor();
        expect(await at()).to.not.equal(before);
        await page.context().setOffline(false);
        await allSent(page);
        await page.getByText(/The server is away/).waitFor({ state: 'detached' });
        continue;
      }
      if (!(await goOn())) break;
    }
    await allSent(page);
    expect([...corners].sort()).to.deep.equal(['front right', 'rear left', 'rear right']);
    const found = await stored('V 071');
    for (const [key, list] of typed) expect(found.get(key), key).to.deep.equal(list);
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge`);
    await page.getByRole('heading', { name: 'To gauge' }).waitFor();
    expect(await begin.count()).to.equal(0);
  });

  /** Opens a measurement of a place by the keys and begins it anew, beside what stands. */
  async function begin(tag: string, slot: Slot, tab: string): Promise<void> {
    const path = `${house.url}/jobs/${jobs.get(tag) ?? ''}/gauge?pick=${slot.id}`;
    if (page.url() !== path) await page.goto(path);
    await page.locator('[data-capture]').waitFor();
    await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).focus();
    await page.keyboard.press('Enter');
    await page
      .locator('[data-capture] .what')
      .filter({ hasText: new RegExp(`^\\s*${tab}, `) })
      .waitFor();
    const again = page.getByRole('button', { name: 'Take all again' });
    if ((await again.count()) > 0) {
      await again.focus();
      await page.keyboard.press('Enter');
      await again.waitFor({ state: 'detached' });
    }
  }
  /** Types a list, and waits until the last of it shows as taken. */
  async function typeAll(
    slot: Slot,
    measurement: string,
    list: readonly string[],
    between: (i: number) => Promise<void> = async () => undefined,
  ) {
    for (const [i, f] of list.entries()) {
      await between(i);
      await typeFigures(page, [f]);
    }
    typed.set(`${nameOf(slot)}|${measurement}`, list);
  }

  it('what was gauged before is taken again beside it, until all four corners of the vehicle are taken', async () => {
    const file = await files('V 071');
    const at = (kind: string, corner: string): Slot => file.layout.slots.find((s) => s.kind === kind && s.corner === corner)!;
    const GAUGED = [
      ['rotor', 'Thickness', 'rotor_thickness', 8],
      ['rotor', 'Runout', 'rotor_runout', 12],
      ['pads', 'Lining', 'pad_lining', 8],
      ['hub', 'End float', 'hub_end_float', 1],
    ] as const;
    for (const [n, corner] of CORNERS.entries()) {
      for (const [kind, tab, measurement, positions] of GAUGED) {
        const slot = at(kind, corner);
        if (typed.has(`${nameOf(slot)}|${measurement}`)) continue;
        await begin('V 071', slot, tab);
        const whole = corner === 'FL' && measurement === 'rotor_runout' ? sweepOf(0) : figuresFor(measurement, positions, 20 + n);
        await typeAll(slot, measurement, whole);
      }
    }
    await allSent(page);
    const found = await stored('V 071');
    for (const [key, list] of typed) expect(found.get(key), key).to.deep.equal(list);
    const names = CORNERS.flatMap((c) => GAUGED.map(([kind, , m]) => `${nameOf(at(kind, c))}|${m}`));
    expect([...typed.keys()]).to.include.members(names);
  });

  it('both axles of a vehicle on drums by keys and by a gauge that speaks, with the server killed in the middle', async () => {
    typed.clear();
    const lead = await house.page();
    await signIn(lead, house.url, 'ines');
    const answer = await lead.request.post(`${house.url}/api/instruments/key`, { data: { anew: false } });
    const { key } = (await answer.json()) as { key: string };
    await lead.close();
    const say = async (text: string, event: 'live' | 'press'): Promise<void> => {
      const reply = await page.request.post(`${house.url}/api/instruments/say`, {
        headers: { authorization: `Bearer ${key}` },
        data: { instrument: 'B-01', kind: 'bore_gauge', unit: 'mm', text, event },
      });
      expect(reply.status()).to.equal(200);
    };
    // The drums come back from the turner, a cylinder from the coater; that one goes on, the drums lie on the bench.
    await page.goto(`${house.url}/jobs/${jobs.get('V 063') ?? ''}/rebuild`);
    for (const step of ['Back', 'Machined']) {
      await page.getByRole('button', { name: step, exact: true }).first().waitFor();
      await pressAll(page.getByRole('button', { name: step, exact: true }));
    }
    const cylinderRows = page.locator('.part').filter({ has: page.locator('.what b', { hasText: /cylinder/i }) });
    await pressAll(cylinderRows.getByRole('button', { name: 'Fitted again', exact: true }));
    const file = await files('V 063');
    // What was sealed again is opened once more: nobody gauges through its boots.
    for (const sealed of file.partEvents.filter((e) => e.kind === 'resealed' && e.jobId === jobs.get('V 063'))) {
      const opened = {
        id: randomUUID(),
        happenedAt: new Date().toISOString(),
        device: 'test',
        kind: 'opened',
        slotId: null,
        note: '',
        lot: null,
      };
      const reply = await page.request.post(`${house.url}/api/jobs/${jobs.get('V 063') ?? ''}/part-events`, {
        data: { ...opened, partId: sealed.partId, lineOn: false, temporary: false, part: null },
      });
      expect(reply.status(), await reply.text()).to.equal(200);
    }
    const all = (kind: string): Slot[] => CORNERS.flatMap((c) => file.layout.slots.filter((s) => s.kind === kind && s.corner === c));
    for (const [n, drum] of all('drum').entries()) {
      await begin('V 063', drum, 'Diameter');
      await typeAll(drum, 'drum_diameter', figuresFor('drum_diameter', 12, n));
    }
    for (const [n, shoes] of all('shoes').entries()) {
      await begin('V 063', shoes, 'Lining');
      await typeAll(shoes, 'shoe_lining', figuresFor('shoe_lining', 6, 10 + n), async (i) => {
        if (n === 1 && i === 2) await house.killServer();
        if (n === 1 && i === 4) {
          await page.getByText('kept here, not sent').waitFor();
          await house.start();
        }
      });
      await allSent(page);
    }
    for (const [n, hub] of all('hub').entries()) {
      await begin('V 063', hub, 'End float');
      await typeAll(hub, 'hub_end_float', figuresFor('hub_end_float', 1, n));
    }
    const cylinders = all('wheel_cylinder');
    expect(cylinders).to.have.length(6);
    for (const [n, cylinder] of cylinders.entries()) {
      await begin('V 063', cylinder, 'Piston');
      await typeAll(cylinder, 'piston_diameter', aroundBore(cylinder, -0.06, 4, n));
      // Its bore by a gauge that speaks: by its own press; the very first by Enter, or a foot switch that sends it.
      await begin('V 063', cylinder, 'Bore');
      const list = aroundBore(cylinder, 0.02, 6, n);
      typed.set(
        `${nameOf(cylinder)}|bore_diameter`,
        list.map((f) => `${f} mm`),
      );
      await sayClean(page);
      let speaking = true;
      const speak = (async () => {
        for (; speaking; await page.waitForTimeout(150)) await say(list[0] ?? '', 'live');
      })();
      await page.getByRole('button', { name: /^Listen here/ }).click();
      await page.locator('[data-capture] .live', { hasText: list[0] }).waitFor();
      if (n > 0) {
        speaking = false;
        await speak;
        for (const f of list) await say(f, 'press');
        await allTaken();
        continue;
      }
      const steady = page.locator('[data-capture]').getByText('Steady', { exact: true });
      await steady.waitFor();
      await steady.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await page.keyboard.press('Enter');
      await page.getByText('At the mouth, 90°').first().waitFor();
      speaking = false;
      await speak;
      for (const f of list.slice(1)) await say(f, 'press');
      await allTaken();
      await page.getByText('has fallen silent').waitFor();
    }
    await allSent(page);
    const found = await stored('V 063');
    for (const [k, list] of typed) expect(found.get(k), k).to.deep.equal(list);
    expect(typed.size).to.equal(4 * 3 + 6 * 2);
  });
});
