import { buildLayout } from '@dauer/core/layout';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { randomUUID as v7 } from 'node:crypto';
import { jobForTests } from './aJob.ts';
import { DEMO_PASSWORD, passAll, pressAll, testFluid, torqueAll, typeFigures } from './house.ts';

/** Sound figures for whatever the walk asks of the rear axle. */
const FIGURES = {
  'End float': ['0.035'],
  Bore: Array.from({ length: 6 }, () => '19.06'),
  Piston: Array.from({ length: 4 }, () => '19.03'),
  Lining: Array.from({ length: 6 }, () => '4.2'),
  Diameter: Array.from({ length: 12 }, () => '203.2'),
};

/** Stops of that walk: drum, lining and end float of each side, bore and piston of the cylinder that is resealed. */
const STOPS = 8;

/** A van with four drums, worked the wrong way first: what cannot be true is refused, and says what comes first; then the right way, to its hand-back. */
describe('the van with four drums', function () {
  this.timeout(600000);
  const job = jobForTests();
  let page: Page;
  const on = (name: string | RegExp) => job.on(name);
  before(() => {
    page = job.page;
  });

  it('a cylinder is not resealed behind its drum; once that is off, its kit is said or not known', async () => {
    await job.book('V 091', 'Sallow van', buildLayout('drums_single', v7(), v7(), v7), { scopeCorners: ['RL', 'RR'] });
    const cylinder = job.slot('wheel_cylinder', 'RL');
    await job.stage('trace');
    await job.say('Spongy', 'Seen');
    await job.say('Level low', 'Not seen');
    await job.say('Does not hold', 'Not seen');
    for (const side of ['left', 'right']) await on(`Drags after release, Rear ${side}: not checked`).click();
    await page.getByRole('link', { name: /Trace.*done/ }).waitFor();
    const decision = { slotId: cylinder, partId: null, option: 'reseal', reason: '', reviewOn: null };
    await job.tell('decisions', decision);
    await job.stage('rebuild', cylinder);
    await page.getByText('Before it is resealed: The rear left drum is on. Take it off first.').waitFor();
    expect(await on('Resealed').count()).to.equal(0);
    await on('Rear left drum taken off').click();
    await on('Resealed').click();
    await on('None known').click();
    await page.getByText('Resealed, kit not known').waitFor();
    await on(/^Take back: rear left wheel cylinder, resealed/i).waitFor();
  });

  it('with the drum off the pedal is locked and owed a board, which comes off last', async () => {
    await page.getByText('Do not press the pedal: rear left drum is off.').first().waitFor();
    await on('A board lies on the pedal').click();
    await job.stage('rebuild', job.slot('pedal'));
    await page.getByText('The board on the pedal comes off last: rear left drum is off').waitFor();
    await page.getByRole('link', { name: 'Print what goes on it' }).click();
    await page.getByRole('heading', { name: 'Pedal: do not press' }).waitFor();
  });

  it('a line is picked on the map by finger and by keys, found rusted, not put off, and off only once it is open', async () => {
    const line = job.layout.connections.find((c) => c.kind === 'line' && c.to === job.slot('hose', 'FL'))!;
    const union = job.layout.slots.find((s) => s.id === line.from)!;
    await job.stage('gauge');
    const middle = await page.locator(`#map-${line.id} path.run`).evaluate((p: SVGPathElement) => {
      const q = p.getPointAtLength(p.getTotalLength() / 2);
      const m = p.getScreenCTM()!;
      return { x: q.x * m.a + m.e, y: q.y * m.d + m.f };
    });
    await page.mouse.click(middle.x, middle.y);
    const title = `Line, ${union.name.toLowerCase()} to front left hose`;
    await page.getByRole('heading', { level: 1, name: title }).waitFor();
    // By the keys: from the union onto the line that leads to the left, and on to the hose.
    await job.stage('gauge', union.id);
    await page.getByRole('listbox', { name: /^Brake map/ }).focus();
    await page.keyboard.press('Shift+ArrowLeft');
    await page.getByRole('heading', { level: 1, name: title }).waitFor();
    await page.getByRole('button', { name: 'Rusted', exact: true }).click();
    await on('Write it down').click();
    await page.getByText('Rusted.').first().waitFor();
    await job.stage('decide', line.id);
    const row = page.getByRole('group', { name: `What is done with the ${title.toLowerCase()}` });
    expect(await row.getByRole('button', { name: 'Use again', exact: true }).isDisabled()).to.equal(true);
    expect(await on('Put off').count()).to.equal(0);
    await row.getByRole('button', { name: 'Replace new', exact: true }).click();
    await job.stage('rebuild', line.id);
    await on('New part fitted').first().waitFor();
  });

  it('a van that stores energy: nothing is opened, by any button, before somebody says that it was made safe', async () => {
    const file = await job.read<{ vehicle: { id: string; ownerId: string | null; version: number } }>();
    const { id, ownerId: _o, version, ...fields } = file.vehicle;
    const stored = async (what: string, at: number): Promise<void> => {
      const answer = await page.context().request.patch(`${job.url}/api/vehicles/${id}`, {
        data: { ...fields, stored: what, version: at },
      });
      expect(answer.status(), await answer.text()).to.equal(200);
    };
    await stored('air', version);
    const hose = job.slot('hose', 'FL');
    await job.stage('rebuild', hose);
    await page.getByText('The vehicle stores energy.').first().waitFor();
    const opened = page.getByRole('button', { name: /^Opened: front left hose/ }).first();
    expect(await opened.isDisabled()).to.equal(true);
    expect(await on('Taken off, line open').count()).to.equal(0);
    await on('The tanks are drained, the springs caged').click();
    await on('Taken off, line open').first().waitFor();
    expect(await opened.isDisabled()).to.equal(false);
    await stored('none', version + 1);
    await job.stage('rebuild', job.slot('pedal'));
    await page.getByText('Tanks drained, springs caged').first().waitFor();
    const inside = page.locator('.putins .in').filter({ hasText: 'Tanks drained' });
    await inside.getByRole('button', { name: 'Taken out' }).click();
    await inside.waitFor({ state: 'detached' });
  });

  it('unknown fluid stays unknown, and two millilitres close no bleeder', async () => {
    await job.stage('bleed');
    await page.getByText('Reservoir: the fluid is unknown, and being changed.').waitFor();
    await page.getByLabel('Product').fill('Class 4 fluid');
    await on('This goes in').click();
    await on('Record what came at the rear left bleeder').click();
    await page.getByLabel('Volume drawn').fill('2 ml');
    await page.locator('.bleeder .form button[type=submit]').click();
    await page.getByText(/2 mL drawn; \d+ mL stand between the reservoir and it/).waitFor();
    await page.getByText('Reservoir: the fluid is unknown, and being changed.').waitFor();
  });

  it('nothing is proved through an open drum; what cannot be tried says why; three letters pass nothing', async () => {
    await job.stage('prove');
    const parking = page.getByRole('group', { name: 'Parking brake holds and lets go' });
    expect(await parking.getByRole('button', { name: 'Passed' }).isDisabled()).to.equal(true);
    await parking.getByRole('button', { name: 'Cannot be tried here' }).click();
    await page.getByLabel('Why it cannot be tried here').fill('1');
    await page.locator('form.say button[type=submit]').click();
    await page.getByText('say why it cannot be tried here').waitFor();
    await page.getByLabel('Why it cannot be tried here').fill('No slope at the works');
    await page.locator('form.say button[type=submit]').click();
    await page.locator('.small').getByText('No slope at the works').waitFor();
    expect(await on('Accept with a reason').count(), 'said over an open drum it is passed by nobody').to.equal(0);
    const lines = page.getByRole('group', { name: 'Hoses and lines clear of everything' });
    await lines.getByRole('button', { name: 'Failed' }).click();
    await lines.locator('[aria-pressed=true]', { hasText: 'Failed' }).waitFor();
    expect(await on('Accept with a reason').count(), 'a failed proof is passed by nobody').to.equal(0);
    await lines.getByRole('button', { name: 'Cannot' }).click();
    await page.getByLabel('Why it cannot be tried here').fill('No steering lock on the stands');
    await page.locator('form.say button[type=submit]').click();
    await on('Accept with a reason').first().click();
    await page.getByLabel('Reason').fill('abc');
    await page.getByLabel(/^Password of/).fill(DEMO_PASSWORD);
    expect(await on(/^Accept .*by name$/).isDisabled()).to.equal(true);
    await on('Not now').last().click();
  });

  it('the right way: what was told too early is taken back, and the inside is gauged before it is sealed', async () => {
    await job.stage('gauge', job.slot('wheel_cylinder', 'RL'));
    await typeFigures(page, ['19.06']);
    await page.getByText('The rear left wheel cylinder is sealed again: its inside is gauged before that.').first().waitFor();
    await job.stage('rebuild', job.slot('wheel_cylinder', 'RL'));
    // Not the drum first: what was done behind it rests on that.
    await on('Take back: rear left drum, taken off').click();
    await page.getByRole('alert').getByText('Rear left wheel cylinder resealed: that could not have been done without it.').waitFor();
    await on('Leave it').click();
    await on(/^Take back: rear left wheel cylinder, resealed/i).click();
    await page.getByText('Before the rear left wheel cylinder is sealed again: 3 to do').waitFor();
    await job.stage('rebuild', job.slot('drum', 'RR'));
    await job.part('Rear right drum').getByRole('button', { name: 'Taken off', exact: true }).click();
    await job.part('Rear right drum').getByText('on the shelf').waitFor();
    await job.stage('bleed');
    await on('Take back: rear left bleeder, 2 mL').click();
    await page.locator('.served').getByRole('button', { name: 'Take back' }).click();
    await page.getByLabel('Product').waitFor();
    await testFluid(page);
    await page.getByText('Reservoir: the fluid is unknown, and being changed.').waitFor({ state: 'detached' });
  });

  it('gauges along the walk, and decides', async () => {
    await job.stage('gauge');
    await job.walkRound(STOPS, FIGURES);
  });

  it('decides by what was gauged, both sides alike, and seals and renews', async () => {
    await job.stage('decide');
    await on(/^Use again what holds/).click();
    await job.decide('Rear right wheel cylinder', 'Clean and reseal');
    for (const side of ['left', 'right']) await job.decide(`Rear ${side} drum`, 'Use again');
    await page.getByText('all decided').waitFor();
    await job.stage('gauge', job.slot('wheel_cylinder', 'RR'));
    for (const [what, tab] of [
      ['Bore', /^Bore/],
      ['Piston', /^Piston/],
    ] as const) {
      await page.getByRole('tab', { name: tab }).click();
      await page
        .locator('[data-capture]')
        .getByText(new RegExp(`^${what}, rear right`))
        .waitFor();
      await typeFigures(page, FIGURES[what]);
    }
    await job.stage('rebuild');
    // The server is away for as long as the work takes.
    await job.kill();
    for (const side of ['left', 'right']) await job.reseal(`Rear ${side} wheel cylinder`, 'Kit 19, lot 4');
    await job.fitNew('Line, front union to front left hose', 'Tube 4.75');
    for (const side of ['left', 'right']) {
      await job.part(`Rear ${side} drum`).getByRole('button', { name: 'Fitted again' }).click();
      await job.part(`Rear ${side} drum`).getByText('fitted; done').waitFor();
    }
    await job.closeJoints();
    await job.restart();
    // The board lies there to the last.
    await page.getByText('Do not press the pedal: a board lies on the pedal.').first().waitFor();
    await job.stage('rebuild', job.slot('pedal'));
    await page.locator('.putins .in').filter({ hasText: 'Board' }).getByRole('button', { name: 'Taken out' }).click();
    await page.getByText('Pedal locked').waitFor({ state: 'detached' });
  });

  it('bleeds what was opened, and proves it by figures, in the order in which they can be true', async () => {
    await job.stage('bleed');
    await page.getByLabel('Product').fill('Class 4 fluid');
    await on('This goes in').click();
    for (const name of ['rear left', 'rear right', 'front left', 'front right']) await job.bleed(`${name} bleeder`, '120 ml');
    await page.getByText('4 of 4 bleeders closed clear').waitFor();
    await job.stage('rebuild');
    await torqueAll(page);
    await pressAll(on(/^Dry under held pressure: /));
    await job.stage('prove');
    const held = page.getByRole('group', { name: 'Pedal held for 60 s does not sink' }).getByRole('button', { name: 'Passed' });
    expect(await held.isDisabled(), 'before it was pumped up').to.equal(true);
    // What could not be tried was said of before the drums were off: it is tried now.
    await page.getByText('No slope at the works').waitFor();
    const road = page.getByRole('group', { name: 'Road test' }).getByRole('button', { name: 'Passed' });
    expect(await road.isDisabled(), 'two figures have no limit').to.equal(true);
    await on('Accept with a reason').first().click();
    await page.getByRole('textbox', { name: 'Rear right drum diameter' }).fill('abc');
    await page.getByText('In words, so that somebody can answer for it.').waitFor();
    await job.accept('No book for this drum; 203.2 is its size when new', {
      'Rear right drum diameter': 'No book for this drum; as the other side',
    });
    await passAll(page);
    await pressAll(page.getByRole('button', { name: 'Gone', exact: true, pressed: false }));
    await page.getByText('nothing stands in the way').waitFor();
  });

  it('is handed back, with what was sealed, renewed, proved and left on its sheet', async () => {
    const sheet = await job.handBack();
    for (const part of ['lot 4', 'Tube 4.75', 'Class 4 fluid', 'as the other side', 'uphill 9.5°', 'Wheel nuts again'])
      expect(sheet).to.include(part);
    for (const was of ['kit not known', 'No slope at the works', 'Cannot be tried']) expect(sheet).to.not.include(was);
    expect(job.errors).to.deep.equal([]);
  });

  it('comes back: what we touched, proved and left stands before anything is asked, and the complaint says what is not right', async () => {
    await page.goto(job.url);
    const again = page.getByRole('link', { name: 'Book V 091 in again' });
    const path = await again.getAttribute('href');
    await again.click();
    const former = page.getByRole('region', { name: 'The job before' });
    for (const part of ['Touched', 'Left', 'Proved']) await former.getByRole('heading', { name: part }).waitFor();
    expect(await former.getByRole('listitem').count()).to.be.greaterThan(3);
    await on('Book it in').click();
    await page.getByRole('alert').getByText('Say whether it comes back for what was done here.').waitFor();
    await on('It comes back for what was done here').click();
    await page.getByRole('alert').getByText('Say what is not right').waitFor();
    await page.getByLabel('Complaint, in the owner’s words').fill('It pulls since you had it');
    await on('Book it in').click();
    await page.waitForURL(/\/bookin$/);
    await former.getByRole('heading', { name: 'Touched' }).waitFor();
    const first = await former.boundingBox();
    const desk = await page.locator('form.desk').boundingBox();
    expect(first!.y, 'before anything is asked').to.be.lessThan(desk!.y);
    // Nothing is booked in beside it.
    await page.goto(`${job.url}${path}`);
    await page.getByText('is in the shop already; a new complaint joins that job.').waitFor();
  });
});
