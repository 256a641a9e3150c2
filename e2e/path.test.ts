import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { MEASUREMENTS, type MeasurementId } from '@dauer/core/catalogue';
import { SOUND_FIGURES } from '../core/test/soundFigures.ts';
import { allSent, House, sayClean, passAll, testFluid, torqueAll, pressAll, signIn, typeFigures } from './house.ts';

const PASSWORD = 'first-lead-of-the-shop';

describe('one vehicle from book-in to hand-back', function () {
  this.timeout(900000);
  const house = new House();
  let page: Page;
  let jobUrl = '';
  before(async () => {
    await house.open(false, true);
    page = await house.page();
  });
  after(() => house.close());

  afterEach(async function () {
    if (this.currentTest?.state === 'failed' && process.env['DAUER_SHOT'])
      await page.screenshot({ path: process.env['DAUER_SHOT'], fullPage: true });
  });

  const stage = async (name: string): Promise<void> => {
    await page.goto(`${jobUrl}/${name}`);
    await page.locator('.frame:not(.loading) .right h1').first().waitFor();
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });

  it('a new shop asks for its first lead', async () => {
    await page.goto(house.url);
    await page.getByRole('heading', { name: 'A new shop' }).waitFor();
    await page.getByLabel('Name of the workshop').fill('Lower Yard');
    await page.getByLabel('Your name').fill('Lea Dunmore');
    await page.getByLabel('Sign in as').fill('lea');
    await page.getByLabel(/Password/).fill(PASSWORD);
    await button('Open the shop').click();
    await page.getByRole('heading', { name: 'Nothing in the shop' }).waitFor();
  });

  it('books a vehicle in', async () => {
    await page.keyboard.press('n');
    await page.getByRole('heading', { name: 'Book in a vehicle' }).waitFor();
    for (const [label, text] of [
      ['Name it goes by', 'Tavell Corrie'],
      ['Make', 'Tavell'],
      ['Model', 'Corrie'],
      ['Complaint, in the owner’s words', 'Judders from speed'],
      ['What the owner wants', 'No judder'],
    ]) {
      await page.getByLabel(label!, { exact: true }).fill(text!);
    }
    await page.getByLabel('Year', { exact: true }).fill('nineteen');
    await page.getByRole('radio', { name: /^Coupé/ }).click();
    for (const c of ['Front right', 'Rear left', 'Rear right']) await button(c).click();
    await button('Book it in').click();
    await page.getByText('“nineteen” is not a year').waitFor();
    await page.getByLabel('Year', { exact: true }).fill('1971');
    // The words go when the field is right, not when somebody presses again.
    await page.getByText('“nineteen” is not a year').waitFor({ state: 'detached' });
    await page.getByText('Some fields cannot be used yet').waitFor({ state: 'detached' });
    await button('Book it in').click();
    await page.getByRole('heading', { name: 'Tavell Corrie', exact: true }).waitFor();
    jobUrl = page.url().replace(/\/bookin.*$/, '');
    await page.getByLabel(/Counter now/).fill('12.000 km');
    await button('Note it').click();
    await page.getByText(/could mean 12000 or 12/).waitFor();
    await page.getByLabel(/Counter now/).fill('79,400');
    await page.getByText(/could mean 12000 or 12/).waitFor({ state: 'detached' });
    await button('Note it').click();
    await page.getByText('79,400 km').waitFor();
  });

  it('notes what was observed', async () => {
    await stage('trace');
    await pressAll(button(/^Read, Lea/));
    const say = (what: string, answer: string) =>
      page.getByRole('radiogroup', { name: what, exact: true }).getByRole('radio', { name: answer, exact: true }).click();
    await say('Judder', 'Seen');
    await say('Spongy', 'Not seen');
    await say('Level low', 'Not seen');
    await say('Does not hold', 'Not seen');
    await button('Drags after release, Front left: not checked').click();
    await button('Drags after release, Front left: seen').click();
    await page.getByRole('link', { name: /Trace.*done/ }).waitFor();
  });

  it('captures a rotor by keyboard alone and shows the verdict', async () => {
    await stage('gauge');
    await pressAll(button(/^Read, Lea/));
    for (let i = 0; i < 80; i += 1) {
      await page.keyboard.press('Tab');
      if ((await page.evaluate(() => document.activeElement?.textContent ?? '')).includes('Rotor')) break;
    }
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Front left rotor' }).first().waitFor();
    await typeFigures(page, ['10.88', '10,86', '10.87', '0.4276 in', '10.85', '10.86', '10.87', '10.88']);
    await page.getByText('No limit on file', { exact: true }).first().waitFor();
    await page.keyboard.press('Tab');
    await page.getByRole('tab', { name: /^Runout/ }).click();
    await typeFigures(page, ['0.00', '0.01', '0.02', '0.03', '0.03', '0.02', '0.01', '0.01', '0.00', '-0.01', '-0.01', '0.00']);
    await page.locator('.rule[data-verdict=holds]').first().waitFor();
    await allSent(page);
  });

  it('a limit entered judges what is there', async () => {
    await page.goto(`${house.url}/limits`);
    await button('Enter a limit').click();
    await page.getByLabel('Make', { exact: true }).fill('Tavell');
    await page.getByLabel('Model', { exact: true }).fill('Corrie');
    await page.getByLabel('When new').fill('12.7');
    await page.getByLabel('Machine to').fill('10.5');
    await page.getByLabel('Discard: at least').fill('11');
    await page.getByLabel('Document and page', { exact: false }).fill('works manual, page 212');
    await button('Enter it').click();
    await page.getByText('must lie in that order').waitFor();
    await page.getByLabel('Machine to').fill('11.4');
    await button('Enter it').click();
    await page.getByText('works manual, page 212').waitFor();
    await stage('gauge');
    await page.locator('[data-corner=FL]').click({ position: { x: 56, y: 56 }, force: true });
    await page.locator('.rule[data-verdict=past]').first().waitFor();
    await page
      .getByText(/past the discard limit/)
      .first()
      .waitFor();
  });

  it('a look or a figure for everything else', async () => {
    await page.goto(`${jobUrl}/gauge`);
    await page.getByRole('heading', { name: 'To gauge' }).waitFor();
    await pressAll(page.getByRole('button', { name: /looked at after cleaning, nothing found/ }));
    await page
      .getByRole('button', { name: /^(Not gauged )?Pads/ })
      .first()
      .click();
    await page.getByRole('heading', { name: 'Front left pads' }).first().waitFor();
    await typeFigures(page, ['6.10', '6.05', '6.12', '6.08', '6.02', '6.00', '6.05', '6.03']);
    await page.locator('.rule[data-verdict=holds]').first().waitFor();
    // The walk goes on by itself: what is still owed is the bearing.
    await page.getByText(/goes on: Front left hub, end float/).waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Front left hub' }).first().waitFor();
    // Nobody said which bearing it is: what is too little for the one kind and sound for the other cannot be told.
    await typeFigures(page, ['0.02']);
    await page
      .getByText(/^Which bearing\?/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Take all again' }).click();
    await typeFigures(page, ['0.035']);
    await page.getByRole('link', { name: /Gauge.*done/ }).waitFor();
  });

  it('what a reading rules out cannot be chosen, and says by which', async () => {
    await stage('decide');
    const open = async (place: string): Promise<void> => {
      const line = page.locator(`[data-places="${place}"]`);
      if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
    };
    await open('Front left rotor');
    const row = page.getByRole('group', { name: 'What is done with the front left rotor' });
    expect(await row.getByRole('button', { name: 'Use again' }).isDisabled()).to.equal(true);
    await row
      .getByText(/Rotor thickness 10\.\d+ mm, limit at least 11\.00 mm/)
      .first()
      .waitFor();
    await row.getByRole('button', { name: 'Replace new' }).click();
    await open('Front left hose');
    await page.getByRole('group', { name: 'What is done with the front left hose' }).getByRole('button', { name: 'Replace new' }).click();
    await button(/^Use again what holds/).click();
    await page.getByText('all decided').waitFor();
  });

  it('rebuild: parts, operations, torques', async () => {
    await stage('rebuild');
    await button(/^Read, Lea/)
      .first()
      .waitFor();
    await pressAll(button(/^Read, Lea/));
    // The rotor sits behind the caliper: that is hung up first, and goes on again.
    expect(await button('New part fitted').count(), 'of the hose alone').to.equal(1);
    await button('Front left caliper taken off').click();
    for (const tag of ['P 9001', 'P 9002']) {
      await button('New part fitted').first().click();
      await page.locator('.fit input:focus').waitFor();
      await page.getByLabel('Tag', { exact: true }).fill(tag);
      await button('Fitted').click();
      await page.getByLabel('Tag', { exact: true }).waitFor({ state: 'detached' });
    }
    await button('Fitted again').click();
    await page.locator('.proposals button').first().waitFor();
    await pressAll(page.locator('.proposals button'));
    await page
      .getByRole('button', { name: /: done$/ })
      .first()
      .waitFor();
    await pressAll(page.getByRole('button', { name: /: done$/ }));
    await page.getByText('The bleeding here is not closed: torqued before it, the wheel is owed again.').first().waitFor();
    await torqueAll(page);
    // The hose came off by its two joints: each is made and torqued before anything is pressed.
    await pressAll(button(/^Made: front left hose/), async () => button('Flare, dry').click());
    for (const joint = button(/^Torqued: front left hose/); (await joint.count()) > 0;) {
      const left = await joint.count();
      await joint.first().click();
      await page.getByLabel('Set (N·m)').fill('14');
      await button(/^Record the torque: front left hose/).click();
      await joint.nth(left - 1).waitFor({ state: 'detached' });
    }
    await stage('gauge');
    await page.locator('[data-corner=FL]').click({ position: { x: 56, y: 56 }, force: true });
    await page.getByText('Thickness, front left rotor, as fitted').waitFor();
    await typeFigures(page, ['12.70', '12.70', '12.71', '12.70', '12.70', '12.71', '12.70', '12.70']);
    await page.getByRole('tab', { name: /^Runout/ }).click();
    await typeFigures(page, ['0.00', '0.01', '0.02', '0.02', '0.02', '0.01', '0.00', '0.00', '0.00', '0.00', '0.00', '0.00']);
    await page.locator('.rule[data-verdict=holds]').nth(1).waitFor();
  });

  it('bleeds what was opened', async () => {
    await stage('bleed');
    await pressAll(button(/^Read, Lea/));
    await page.getByText('Reservoir: the fluid is unknown, and being changed.').waitFor();
    await testFluid(page);
    await page.getByText('Reservoir: the fluid is unknown, and being changed.').waitFor({ state: 'detached' });
    await page.getByLabel('Product').fill('Class 4 fluid');
    await button('This goes in').click();
    // When it was changed is not on record: the whole reservoir is drawn clear.
    for (const corner of ['front left', 'front right', 'rear left', 'rear right']) {
      await button(`Record what came at the ${corner} bleeder`).click();
      await page.locator('.bleeder input:focus').waitFor();
      await page.getByLabel('Volume drawn').fill('120 kg');
      await button('Record').last().click();
      await page.getByText(/unit of another kind/).waitFor();
      await page.getByLabel('Volume drawn').fill('0.12 l');
      await page.locator('.form button[type=submit]').click();
      await page.getByLabel('Volume drawn').waitFor({ state: 'detached' });
    }
    await page.getByRole('link', { name: /Bleed.*done/ }).waitFor();
    await page.getByText(/Next due/).waitFor();
  });

  it('a block put in locks the pedal and the hand-back until it is taken out', async () => {
    await stage('prove');
    await page.locator('[data-corner=FL]').click({ position: { x: 56, y: 56 }, force: true });
    await button('Front left caliper').click();
    await button('put something in').click();
    await button('Block').click();
    await page.getByText('Do not press the pedal: block in the front left caliper.').first().waitFor();
    const held = page.getByRole('group', { name: 'Pedal held for 60 s does not sink' });
    expect(await held.getByRole('button', { name: 'Passed' }).isDisabled()).to.equal(true);
    expect(await held.getByRole('button', { name: 'Cannot be tried here' }).isDisabled()).to.equal(false);
    await page.getByText('Take out: block at the front left caliper').waitFor();
    await button('Taken out').click();
    await page.getByText('Pedal locked').waitFor({ state: 'detached' });
    // New linings run on a new rotor: the pedal is pumped up before anything is proved by it.
    await page.getByText('Pump the pedal up first').waitFor();
    expect(await held.getByRole('button', { name: 'Passed' }).isDisabled()).to.equal(true);
    await page.getByRole('group', { name: 'Pedal pumped up: high, and staying' }).getByRole('button', { name: 'Passed' }).click();
    await page.getByText('Pump the pedal up first').waitFor({ state: 'detached' });
    expect(await held.getByRole('button', { name: 'Passed' }).isDisabled(), 'without its figures').to.equal(true);
  });

  it('takes the figures that the proofs wait for, one after the other, by the keyboard', async () => {
    const values = new Map(
      Object.entries(SOUND_FIGURES).flatMap(([id, sound]) => {
        const { pattern } = MEASUREMENTS[id as MeasurementId];
        return pattern.form === 'spots' ? pattern.spots.map((s) => [s.name, sound[s.id]] as const) : [];
      }),
    );
    await button('Take the figures').click();
    await page.locator('.where .pos').waitFor();
    await sayClean(page);
    for (let n = 0; n < 60 && !page.url().endsWith('/prove'); n += 1) {
      const onward = page.locator('.onward');
      const name = (await page.locator('.where .pos').innerText()).trim();
      if ((await onward.count()) === 0) {
        const typed = values.get(name);
        expect(typed, name).to.be.a('string');
        await page.keyboard.type(typed ?? '', { delay: 25 });
      }
      await page.keyboard.press('Enter');
      await page.waitForTimeout(250);
    }
    const held = page.getByRole('group', { name: 'Pedal held for 60 s does not sink' });
    await page.getByRole('list', { name: 'Figures: Pedal held for 60 s does not sink' }).getByText('hard 1.0 mm, light 1.5 mm').waitFor();
    expect(await held.getByRole('button', { name: 'Passed' }).isDisabled()).to.equal(false);
    expect(await button('Take the figures').count()).to.equal(0);
  });

  it('proves and hands back', async () => {
    await stage('rebuild');
    await button(/^Dry under held pressure: front left hose/)
      .first()
      .waitFor();
    await pressAll(button(/^Dry under held pressure: front left hose/));
    // The wheel came off once more for its bleeder, and the bleeders are closed to a figure.
    await page.getByText(/^Lapsed: front left bleeder opened since/).waitFor();
    await torqueAll(page);
    await stage('prove');
    expect(await button('Hand the vehicle back').isDisabled()).to.equal(true);
    await pressAll(button(/^Read, Lea/));
    await page.getByText('A finer gauge would settle it').waitFor();
    await button('Accept with a reason').click();
    await page.getByLabel('Reason').fill('Read with the 0.01 mm micrometer; no pulsing on the road');
    await page.getByLabel(/^Password of/).fill(PASSWORD);
    await button('Accept by name').click();
    await button('Accept by name').waitFor({ state: 'detached' });
    await passAll(page);
    await drivesAsWell();
    await pressAll(page.getByRole('button', { name: 'Gone', exact: true, pressed: false }));
    await page.getByText('nothing stands in the way').waitFor();
    await allSent(page);
  });

  /** The house wants two, each alone: the second answers under their own name, and is not told what the first felt. */
  async function drivesAsWell(): Promise<void> {
    const { request } = page.context();
    const person = { id: randomUUID(), name: 'Ida Quill', login: 'ida', password: PASSWORD, role: 'technician' };
    const rule = { id: randomUUID(), rule: 'road_second', school: 'two', reason: 'A second foot feels more' };
    expect((await request.post(`${house.url}/api/people`, { data: person })).status()).to.equal(200);
    expect((await request.post(`${house.url}/api/reckoning/house-rules`, { data: rule })).status()).to.equal(200);
    await page.reload();
    await page.getByText('A second person drives it and answers under their own name.').waitFor();
    expect(await button('Hand the vehicle back').isDisabled()).to.equal(true);
    const ida = await house.page();
    await signIn(ida, house.url, 'ida', PASSWORD);
    await ida.goto(`${jobUrl}/prove`);
    await pressAll(ida.getByRole('button', { name: /^Read, Ida/ }));
    await ida.getByText('Round the works: driven 14 km by Lea Dunmore; what was felt is told once the second has driven').waitFor();
    await ida.getByRole('group', { name: 'Road test' }).getByRole('button', { name: 'Passed' }).click();
    const form = ida.getByRole('form', { name: 'Road test' });
    await form.getByLabel(/^How far/).fill('0');
    await form.getByRole('button', { name: 'Nothing', exact: true }).click();
    await form.locator('button[type=submit]').click();
    await form.getByText('a road test goes 200 m at least').waitFor();
    await form.getByLabel(/^How far/).fill('9');
    await form.locator('button[type=submit]').click();
    await ida.getByText('driven 9 km; nothing felt; by Lea Dunmore as well').waitFor();
    await allSent(ida);
    await ida.context().close();
    await page.getByText('A second person drives it and answers under their own name.').waitFor({ state: 'detached' });
  }

  it('counts its bedding-in off, stop by stop, and leaves the rest as after-care', async () => {
    await button('Enter its steps').click();
    await page.getByLabel('Product').fill('Pads, set 12');
    const step = page.getByRole('group', { name: 'Step 1' });
    for (const [label, value] of [
      ['Stops', '3'],
      ['From, km/h', '50'],
      ['To, km/h', '60'],
      ['Free between two, s', '2'],
    ] as const)
      await step.getByLabel(label).fill(value);
    await page.getByText('A stop ends slower than it begins.').waitFor();
    expect(await button('These are its steps').isDisabled()).to.equal(true);
    await step.getByLabel('To, km/h').fill('10');
    await button('These are its steps').click();
    const count = page.getByRole('group', { name: 'Stops of bedding in' });
    await count.focus();
    await page.keyboard.press('Space');
    await page.getByText('1 of 3', { exact: true }).waitFor();
    await count.getByText('may stop').waitFor();
    await page.keyboard.press('Enter');
    await page.getByText('2 of 3', { exact: true }).waitFor();
    await button('Take the last one back').click();
    await page.getByText('1 of 3', { exact: true }).waitFor();
    await page.getByText('1 of 3 stops done here, by Pads, set 12; still to do: 2 from 50 to 10 km/h').waitFor();
    await allSent(page);
  });

  it('is handed back by a lead, with the password', async () => {
    await button('Hand the vehicle back').click();
    await page.getByLabel(/^Password of/).fill('not the password');
    await button('Hand back').click();
    await page.getByText('The password does not fit').waitFor();
    await page.getByLabel(/^Password of/).fill(PASSWORD);
    await button('Hand back').click();
    await page.getByRole('heading', { name: 'Hand-back sheet' }).waitFor();
  });

  async function sheetStands(): Promise<void> {
    const sheet = await page.locator('.sheet').innerText();
    for (const part of [
      'Handed back by Lea Dunmore',
      'own work',
      '10.850 mm',
      '12.70 mm',
      'P 9001',
      'Class 4 fluid',
      'Brake fluid due',
      'Judders from speed',
      'works manual, page 212',
      '24.5 N·m (target 18 lbf ft)',
      'no pulsing on the road',
    ]) {
      expect(sheet).to.include(part);
    }
  }

  it('the sheet says what was found and done', sheetStands);

  it('the record is given out as an open data file', async () => {
    await page.goto(`${jobUrl}/sheet`);
    const [download] = await Promise.all([page.waitForEvent('download'), button('Data file').click()]);
    const file = JSON.parse(await readFile(await download.path(), 'utf8')) as {
      format: string;
      releasedBy: string;
      ownWork: boolean;
      sheet: { figures: { figure: string }[] };
    };
    expect(file).to.include({ format: 'dauer.handback', releasedBy: 'Lea Dunmore', ownWork: true });
    expect(file.sheet.figures.map((f) => f.figure)).to.include('12.70 mm');
  });

  it('the second bleeding of its after-care is closed by what came at each bleeder, not by a tick', async () => {
    await page.goto(`${jobUrl}/prove`);
    const item = page.locator('.care > ul > li').filter({ hasText: 'Bleed a second time' });
    const done = item.getByRole('button', { name: 'Done', exact: true });
    await item.waitFor();
    expect(await done.isDisabled()).to.equal(true);
    const record = item.getByRole('button', { name: /^Record what came again at the / });
    const bleeders = await record.count();
    expect(bleeders).to.be.greaterThan(0);
    for (let left = bleeders; left > 0; left -= 1) {
      await item.locator('.bleeds > li').filter({ hasText: 'not bled again' }).first().getByRole('button').click();
      await item.getByLabel('Volume drawn').fill('twenty');
      await item.locator('form button[type=submit]').click();
      expect(await item.getByLabel('Volume drawn').count(), 'nonsense is kept out').to.equal(1);
      await item.getByLabel('Volume drawn').fill('20 ml');
      if (left === 1) await item.getByRole('button', { name: 'Bubbles' }).click();
      await item.locator('form button[type=submit]').click();
      await item.getByLabel('Volume drawn').waitFor({ state: 'detached' });
    }
    await item.getByText('bubbles, shut').waitFor();
    expect(await done.isDisabled(), 'air came once more').to.equal(true);
    await item.locator('.bleeds > li').filter({ hasText: 'bubbles' }).getByRole('button').click();
    await item.getByLabel('Volume drawn').fill('20 ml');
    await item.locator('form button[type=submit]').click();
    await item.getByText('bubbles, shut').waitFor({ state: 'detached' });
    await done.click();
    await item.locator('.said').getByText('done').waitFor();
    await allSent(page);
  });

  it('everything is still there after server and database were killed', async () => {
    await house.killServer();
    await house.killDatabase();
    await house.start();
    await page.goto(`${jobUrl}/sheet`);
    await page.locator('.sheet').waitFor();
    await sheetStands();
    await page.goto(`${jobUrl}/gauge`);
    await page.getByText(/Everything stands as it was then/).waitFor();
    await button('Judge again with today’s book').click();
    await page.getByText('Today’s book judges all of it as it was judged then.').waitFor();
    expect(house.errors).to.deep.equal([]);
  });

  it('the record can be read in another session', async () => {
    const other = await house.page();
    await signIn(other, house.url, 'lea', PASSWORD);
    await other.goto(`${jobUrl}/sheet`);
    await other.getByText('Handed back by Lea Dunmore').waitFor();
  });
});
