import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { BenchShop, figuresFor, type JobRecords, sweepOf } from './benchShop.ts';
import { allSent, sayClean, signIn, typeFigures } from './house.ts';

describe('the measuring bench', function () {
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
    expect(turns).to.deep.equal([0, 2, 6 - hole]);
    expect(house.errors).to.deep.equal([]);
  });

  it('eight thicknesses and twelve runout readings of one rotor leave the hand without waiting for the server', async () => {
    const file = await files('V 071');
    const rotor = file.layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RR')!;
    await page.goto(`${house.url}/jobs/${jobs.get('V 071') ?? ''}/gauge?pick=${rotor.id}`);
    await page.locator('[data-capture]').waitFor();
    // What the page sends is answered only once all is typed: how soon a figure is drawn is measured by the bench, not here.
    let answer = (): void => undefined;
    const typed = new Promise<void>((resolve) => (answer = resolve));
    let waiting = 0;
    for (const [tab, list] of [
      ['Thickness', figuresFor('rotor_thickness', 8, 30)],
      ['Runout', figuresFor('rotor_runout', 12, 30)],
    ] as const) {
      await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click();
      const again = page.getByRole('button', { name: 'Take all again' });
      if ((await again.count()) > 0) await again.click();
      await sayClean(page);
      if (waiting === 0)
        await page.route('**/readings', async (route) => {
          waiting += 1;
          await typed;
          await route.continue();
        });
      const position = page.locator('[data-capture] .pos');
      await position.filter({ hasText: /1 of (8|12)$/ }).waitFor();
      for (const [i, f] of list.entries()) {
        await page.keyboard.type(f, { delay: 5 });
        await page.keyboard.press('Enter');
        if (i + 1 < list.length) await position.filter({ hasText: new RegExp(`${i + 2} of ${list.length}$`) }).waitFor();
      }
    }
    expect(waiting, 'requests that were not answered meanwhile').to.be.greaterThan(0);
    expect(Number(await page.locator('header[data-on-the-way]').getAttribute('data-on-the-way'))).to.be.at.least(20);
    answer();
    await allSent(page);
    const after = await files('V 071');
    const sets = after.sets.filter((s) => s.slotId === rotor.id).map((s) => s.id);
    expect(after.readings.filter((r) => sets.includes(r.setId)).length).to.be.at.least(20);
    await page.unroute('**/readings');
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
    await typeFigures(other, ['0.04']);
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

  it('before a drum closes it, what can only be done now is done by a tap, or left by name', async () => {
    await page.goto(`${house.url}/jobs/${jobs.get('V 063') ?? ''}/rebuild`);
    const plate = page.getByRole('note').filter({ hasText: 'Before the front right drum closes it' });
    await plate.waitFor();
    const leave = plate.getByRole('button', { name: /^Leave: / });
    const before = await leave.count();
    expect(before).to.be.greaterThan(0);
    const what = ((await leave.first().getAttribute('aria-label')) ?? '').replace('Leave: ', '');
    await leave.first().focus();
    await page.keyboard.press('Enter');
    await plate.getByText(`${what}: left by Tomasz Verrill`).waitFor();
    expect(await leave.count()).to.equal(before - 1);
    await allSent(page);
    expect((await files('V 063')).leftItems.map((l) => l.what)).to.deep.equal([what]);
    await plate.getByRole('button', { name: `Take up again: ${what}` }).click();
    await plate.getByText(`${what}: left by`).waitFor({ state: 'detached' });
    await plate.getByRole('button', { name: /^Leave all \d+ undone$/ }).click();
    await leave.first().waitFor({ state: 'detached' });
    await plate.getByText('nothing is owed').waitFor();
    await allSent(page);
    await page.reload();
    await plate.getByText('left by Tomasz Verrill').first().waitFor();
    // The other side has a plate of its own, and nothing of it was left.
    const other = page.getByRole('note').filter({ hasText: 'Before the rear right drum closes it' });
    expect(await other.getByText('left by').count()).to.equal(0);
  });

  it('a list of readings comes in only whole, after every row was looked at', async () => {
    await page.goto(`${house.url}/jobs/${jobs.get('V 068') ?? ''}/gauge`);
    const choose = page.locator('input[type=file][accept*=csv]');
    const csv = (rows: readonly string[]) => ({ name: 'machine.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
    const head = 'component;measurement;place;angle_deg;typed;unit;surface;cold';
    await choose.setInputFiles(
      csv([
        head,
        'Front left rotor;rotor_thickness;outer ring;0;9,31;mm;clean;yes',
        'Front left rotor;rotor_thickness;rim;45;9,30;mm;clean;yes',
      ]),
    );
    await page.getByText('“rim” is no ring or depth of it').waitFor();
    expect(await page.getByRole('button', { name: /^Take \d+ in$/ }).count()).to.equal(0);
    await choose.setInputFiles(csv(['fruit,colour', 'pear,green']));
    await page.getByText(/This is no list of readings/).waitFor();
    await choose.setInputFiles(
      csv([head, ...[0, 90, 180, 270].map((a) => `Front left rotor;rotor_thickness;outer ring;${a};9,3${a / 90};mm;clean;yes`)]),
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
    // A picture of it stands beside it, made smaller on the device, and is kept with the job.
    const drawn = await page.screenshot({ clip: { x: 0, y: 0, width: 400, height: 300 } });
    const [chosen] = await Promise.all([page.waitForEvent('filechooser'), page.getByText('Picture of it').last().click()]);
    await chosen.setFiles({ name: 'pit.png', mimeType: 'image/png', buffer: drawn });
    await page.locator('.thumb img').first().waitFor();
    await allSent(page);
    const withPicture = await files('V 071');
    const pit = withPicture.findings.find((f) => f.slotId === piston.id && f.fromMm === 11)!;
    expect(withPicture.pictures.map((p) => [p.of, p.slotId, p.findingId])).to.deep.include(['finding', piston.id, pit.id]);
    await page.getByRole('tab', { name: /^Piston/ }).click();
    await page.getByText(/Tight today on worn pads/).waitFor();
    await page.getByRole('button', { name: 'Write it down: reject' }).click();
    await page.getByText(/By eye: Tight today/).waitFor();
    await allSent(page);
    expect(house.errors).to.deep.equal([]);
  });
});
