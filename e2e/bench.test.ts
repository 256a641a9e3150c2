import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, pressAll, signIn, typeFigures } from './house.ts';

interface Slot {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly corner: string | null;
  readonly boreMm: number | null;
}
interface JobFile {
  readonly layout: { readonly slots: readonly Slot[] };
  readonly sets: readonly { id: string; slotId: string; jobId: string; measurement: string; turn: number; blind: boolean }[];
  readonly readings: readonly {
    id: string;
    setId: string;
    typed: string;
    unit: string;
    angleDeg: number | null;
    place: string | null;
    canonical: number;
  }[];
  readonly takeBacks: readonly { corrects: string | null }[];
}

/** Figures of a measurement as they come off the gauge; every component's differ a little, so that none can stand for another. */
function figuresFor(measurement: string, positions: number, n: number): string[] {
  const round = (mid: number, swing: number, decimals: number): string[] =>
    Array.from({ length: positions }, (_, i) => (mid + n * 0.01 + swing * Math.cos(i + n)).toFixed(decimals));
  switch (measurement) {
    case 'rotor_thickness':
      return round(11.9, 0.004, 3);
    case 'rotor_runout':
      return round(0.02, 0.01, 2);
    case 'pad_lining':
      return round(6.2, 0.1, 2);
    case 'hub_end_float':
      return [(0.01 + (n % 2) * 0.01).toFixed(2)];
    case 'drum_diameter':
      return round(280.7, 0.03, 2);
    case 'shoe_lining':
      return round(4.1, 0.2, 1);
    default:
      return round(28.6, 0.004, 3);
  }
}

/** Diameters so much over the bore of a cylinder when new, each a little off the others, mm. */
const aroundBore = (slot: Slot, over: number, positions: number, n: number): string[] =>
  Array.from({ length: positions }, (_, i) => ((slot.boreMm ?? 0) + over + 0.004 * Math.cos(i + n)).toFixed(3));

/** A sweep of a rotor that makes 0.08 of it with its high spot at 120°, on a hub that makes 0.04 at 100°, turned on by some of five studs. */
const sweepOf = (turn: number): string[] =>
  Array.from({ length: 12 }, (_, i) => {
    const wave = (size: number, deg: number): number => (size / 2) * Math.cos(((30 * i - deg) * Math.PI) / 180);
    return (0.06 + wave(0.08, 120 + 72 * turn) + wave(0.04, 100)).toFixed(2);
  });
const CORNERS = ['FL', 'FR', 'RL', 'RR'] as const;

describe('the measuring bench, by keyboard and simulated gauge', function () {
  this.timeout(900000);
  const house = new House();
  let page: Page;
  const jobs = new Map<string, string>();
  const files = async (tag: string): Promise<JobFile> =>
    (await (await page.request.get(`${house.url}/api/jobs/${jobs.get(tag) ?? ''}`)).json()) as JobFile;
  before(async () => {
    await house.open(true);
    page = await house.page({ shell: true });
    await signIn(page, house.url, 'tomasz');
    const yard = (await (await page.request.get(`${house.url}/api/yard`)).json()) as {
      jobs: { jobId: string; vehicle: { tag: string } }[];
    };
    for (const j of yard.jobs) jobs.set(j.vehicle.tag, j.jobId);
  });
  after(() => house.close());
  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
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
  async function goOn(): Promise<boolean> {
    const before = await at();
    const left = await onward()
      .waitFor({ timeout: 5000 })
      .then(() => true)
      .catch(() => false);
    if (!left) return false;
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

  /** Every position of the set in hand is taken, and kept on this device. */
  async function allTaken(): Promise<void> {
    await page.waitForFunction(
      () =>
        document.querySelectorAll('[data-capture] .dots .kept').length === document.querySelectorAll('[data-capture] .dots .dot').length,
    );
  }
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
    typed.clear();
  });

  it('both axles of a vehicle on drums by keys and by a gauge that speaks, with the server killed in the middle', async () => {
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
    // The drums come back from the turner, a cylinder from the coater, and go on again.
    await page.goto(`${house.url}/jobs/${jobs.get('V 063') ?? ''}/rebuild`);
    for (const step of ['Back', 'Machined', 'Fitted again']) {
      await page.getByRole('button', { name: step, exact: true }).first().waitFor();
      await pressAll(page.getByRole('button', { name: step, exact: true }));
    }
    const file = await files('V 063');
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
      if (n > 0) {
        await say(list[0] ?? '', 'live');
        await page.getByRole('button', { name: /^Listen here/ }).click();
        await page.locator('[data-capture] .live', { hasText: list[0] }).waitFor();
        for (const f of list) await say(f, 'press');
        await allTaken();
        continue;
      }
      let speaking = true;
      const speak = (async () => {
        for (; speaking; await page.waitForTimeout(150)) await say(list[0] ?? '', 'live');
      })();
      await page.getByRole('button', { name: /^Listen here/ }).click();
      await page.locator('[data-capture] .live', { hasText: list[0] }).waitFor();
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

  it('tells hub from rotor by two sweeps, names the hole, and proves it', async () => {
    const file = await files('V 071');
    const rotor = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FL')!;
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge?pick=${rotor.id}`);
    await page.getByRole('tab', { name: /^Runout/ }).click();
    await page.getByLabel('Studs of the hub').fill('0');
    await page.getByText(/has at least 3 of them/).waitFor();
    await page.getByLabel('Studs of the hub').fill('5');
    await page.getByText(/turn it\s+2 studs\s+on/).waitFor();
    await page.getByRole('button', { name: 'It is turned: sweep again' }).click();
    await page.getByText('0° from stud 1, 1 of 12').first().waitFor();
    await typeFigures(page, sweepOf(2));
    await page.getByText(/Put hole \d on stud 1: 0\.1\d becomes about 0\.0\d mm of wobble\./).waitFor();
    const advice = (await page.getByText(/Put hole \d on stud 1/).textContent()) ?? '';
    const hole = Number(/hole (\d)/.exec(advice)?.[1]);
    await page.getByRole('button', { name: /sweep to prove$/ }).click();
    await page.getByText('0° from stud 1, 1 of 12').first().waitFor();
    await typeFigures(page, sweepOf(6 - hole));
    await page.getByText(/^Proof sweep: total 0\.0\d mm/).waitFor();
    await page
      .getByText(/turned on by \d of 5 studs/)
      .first()
      .waitFor();
    await allSent(page);
    const after = await files('V 071');
    const turns = after.sets
      .filter((s) => s.slotId === rotor.id && s.jobId === jobs.get('V 071') && s.measurement === 'rotor_runout')
      .map((s) => s.turn);
    expect(turns).to.deep.equal([0, 0, 2, 6 - hole]);
    expect(house.errors).to.deep.equal([]);
  });

  it('eight thicknesses and twelve runout readings of one rotor leave the hand two seconds each', async () => {
    const file = await files('V 071');
    const rotor = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RR')!;
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge?pick=${rotor.id}`);
    await page.locator('[data-capture]').waitFor();
    /** A careful person reads the gauge and types in this time, s; the rest of forty seconds is the application's. */
    const HAND = 1.6;
    let took = 0;
    for (const [tab, list] of [
      ['Thickness', figuresFor('rotor_thickness', 8, 30)],
      ['Runout', figuresFor('rotor_runout', 12, 30)],
    ] as const) {
      await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click();
      await page.getByRole('button', { name: 'Take all again' }).click();
      await page
        .locator('[data-capture] .pos')
        .filter({ hasText: /1 of (8|12)$/ })
        .waitFor();
      for (const [i, f] of list.entries()) {
        // The hand types; the application's time begins with Enter.
        await page.keyboard.type(f, { delay: 5 });
        const begun = performance.now();
        await page.keyboard.press('Enter');
        if (i + 1 < list.length)
          await page
            .locator('[data-capture] .pos')
            .filter({ hasText: new RegExp(`${i + 2} of ${list.length}$`) })
            .waitFor();
        took += performance.now() - begun;
      }
    }
    expect(took / 1000 + 20 * HAND, `the application took ${Math.round(took)} ms of twenty readings`).to.be.at.most(40);
    await allSent(page);
  });

  it('a safety figure near its limit is measured again by somebody who does not see the first', async () => {
    const file = await files('V 068');
    const hub = file.layout.slots.find((s) => s.kind === 'hub' && s.corner === 'FL')!;
    const path = `${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge?pick=${hub.id}`;
    await page.goto(path);
    await page.locator('[data-capture]').waitFor();
    await typeFigures(page, ['0.04']);
    await page.getByText(/End float lies within twice the gauge’s uncertainty of a safety limit/).waitFor();
    expect(await page.getByRole('button', { name: 'Measure it blind' }).count()).to.equal(0);
    const other = await house.page();
    await signIn(other, house.url, 'ruth');
    await other.goto(path);
    await other.getByRole('button', { name: 'Measure it blind' }).click();
    await other.getByText('the first measure stays hidden').waitFor();
    expect(await other.locator('.bench').getByText('0.04').count()).to.equal(0);
    await typeFigures(other, ['0.05']);
    await other.getByRole('button', { name: 'Show the first again' }).click();
    await other.getByText(/Measured again by Ruth .* who did not see the first: the two agree/).waitFor();
    await page.getByText(/Measured again by Ruth .* the two agree/).waitFor();
    await other.close();
  });

  it('asks about a slip of the finger while the part is in the hand, and puts a wrong position right without typing', async () => {
    const file = await files('V 068');
    const rotor = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FR')!;
    await page.goto(`${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge?pick=${rotor.id}`);
    await page.getByRole('tab', { name: /^Thickness/ }).click();
    await typeFigures(page, ['9.20', '9.21', '9.20', '9.21', '9.60']);
    await page.getByText('9.60 mm lies far from the others of this set').waitFor();
    await page.getByRole('alert').getByRole('button', { name: 'Take it back' }).click();
    await page.getByText('9.60 at Position 5 of 8 is taken back').waitFor();
    await typeFigures(page, ['9.20']);
    // Begun one position early: from the third on, all go one further.
    await page
      .locator('.ring')
      .getByRole('button', { name: /^Position 3 of 8/ })
      .click();
    await page.getByRole('button', { name: 'It was taken elsewhere' }).click();
    await page.getByRole('button', { name: 'This and 2 after it one further' }).click();
    await page.locator('.ring').getByRole('button', { name: 'Position 6 of 8, 9.20 mm' }).waitFor();
    await page.locator('.ring').getByRole('button', { name: 'Position 3 of 8, not taken' }).waitFor();
    await allSent(page);
    const after = await files('V 068');
    const gone = new Set(after.takeBacks.map((t) => t.corrects));
    const set = after.sets.findLast((s) => s.slotId === rotor.id && s.measurement === 'rotor_thickness')!;
    const stands = after.readings
      .filter((r) => r.setId === set.id && !gone.has(r.id))
      .sort((a, b) => (a.angleDeg ?? 0) - (b.angleDeg ?? 0));
    expect(stands.map((r) => [r.angleDeg, r.typed])).to.deep.equal([
      [0, '9.20'],
      [45, '9.21'],
      [135, '9.20'],
      [180, '9.21'],
      [225, '9.20'],
    ]);
  });

  it('a list of readings comes in only whole, after every row was looked at', async () => {
    await page.goto(`${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge`);
    const choose = page.locator('input[type=file][accept*=csv]');
    const csv = (rows: readonly string[]) => ({ name: 'machine.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
    const head = 'component;measurement;place;angle_deg;typed;unit';
    await choose.setInputFiles(
      csv([head, 'Front left rotor;rotor_thickness;outer ring;0;9,31;mm', 'Front left rotor;rotor_thickness;rim;45;9,30;mm']),
    );
    await page.getByText('“rim” is no ring or depth of it').waitFor();
    expect(await page.getByRole('button', { name: /^Take \d+ in$/ }).count()).to.equal(0);
    await choose.setInputFiles(csv(['fruit,colour', 'pear,green']));
    await page.getByText(/This is no list of readings/).waitFor();
    await choose.setInputFiles(
      csv([head, ...[0, 90, 180, 270].map((a) => `Front left rotor;rotor_thickness;outer ring;${a};9,3${a / 90};mm`)]),
    );
    await page.getByRole('button', { name: 'Take 4 in' }).click();
    await page.getByText('4 readings are taken in.').waitFor();
    await allSent(page);
    const file = await files('V 068');
    const rotor = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FL')!;
    const set = file.sets.findLast((s) => s.slotId === rotor.id && s.measurement === 'rotor_thickness')!;
    expect(file.readings.filter((r) => r.setId === set.id).map((r) => [r.angleDeg, r.typed, r.canonical])).to.have.deep.members([
      [0, '9,30', 9.3],
      [90, '9,31', 9.31],
      [180, '9,32', 9.32],
      [270, '9,33', 9.33],
    ]);
  });

  it('a finding is called by its name, says where it lies, and leads to the verdict on the piston', async () => {
    const file = await files('V 071');
    const piston = file.layout.slots.find((s) => s.kind === 'piston' && s.corner === 'FL' && s.name === 'Piston 1')!;
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge?pick=${piston.id}`);
    await page.getByRole('tab', { name: /^Seal and reach/ }).click();
    await typeFigures(page, ['19.4', '8.0', '3.0', '34.0']);
    await page.getByRole('tab', { name: /^By eye/ }).click();
    await page.getByRole('button', { name: 'Pitted', exact: true }).click();
    await page.getByText('Only where the seal sweeps or rests it decides').waitFor();
    await page.getByLabel('From the outer face, mm').fill('14');
    await page.getByLabel('To, mm').fill('11');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('the smaller figure comes first').waitFor();
    await page.getByLabel('From the outer face, mm').fill('11');
    await page.getByLabel('To, mm').fill('14');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('11 to 14 mm').waitFor();
    await page.getByRole('tab', { name: /^Piston/ }).click();
    await page.getByText(/Tight today on worn pads/).waitFor();
    await page.getByRole('button', { name: 'Write it down: reject' }).click();
    await page.getByText(/By eye: Tight today/).waitFor();
    await allSent(page);
    expect(house.errors).to.deep.equal([]);
  });
});
