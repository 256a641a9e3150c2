import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, pressAll, signIn, type Yard } from './house.ts';

/** V 063 at its front shoes: where each piece came from, the kit on the bench, notes that somebody pinned, nuts that undo the other way. */
describe('what came off, and what the next one should know', function () {
  this.timeout(240000);
  const house = new House();
  let page: Page;
  let jobId = '';
  let yard: Yard['jobs'][number];
  before(async () => {
    await house.open(true, false, ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream']);
    page = await house.page();
    await signIn(page, house.url, 'tomasz');
    const { jobs } = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    yard = jobs.find((j) => j.vehicle.tag === 'V 063')!;
    jobId = yard.jobId;
  });
  after(() => house.close());

  const slot = (kind: string, corner: string): string => yard.layout.slots.find((s) => s.kind === kind && s.corner === corner)!.id;
  const bench = async (who: Page, corner: 'FL' | 'FR'): Promise<void> => {
    await who.goto(`${house.url}/jobs/${jobId}/rebuild?card=${slot('shoes', corner)}`);
    await who.getByRole('region', { name: 'This step' }).waitFor();
  };
  const panel = (who: Page) => who.getByRole('region', { name: /^What came off, and where it sits/ });
  const file = async () =>
    (await (await page.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as {
      stripMarks: readonly { slotId: string; x: number | null; what: string; wireMm: number | null }[];
      stripTells: readonly { kind: string; note: string }[];
      cardTells: readonly { stepId: string; kind: string }[];
      portFacts: readonly { slotId: string; seat: string }[];
      shopNotes: readonly { words: string }[];
      kitCounts: readonly { pieces: readonly { name: string; found: number }[] }[];
    };

  it('shows the left side mirrored at the right one, and takes a piece there by the keys alone', async () => {
    await bench(page, 'FR');
    await page.getByRole('img', { name: 'Front left shoes, mirrored' }).waitFor();
    await page.locator('.bench .head').getByRole('button', { name: 'What came off' }).press('Enter');
    const told = (await file()).cardTells.length;
    const board = panel(page).getByRole('application');
    await board.focus();
    for (const key of ['ArrowLeft', 'ArrowLeft', 'ArrowUp', 'Enter']) await page.keyboard.press(key);
    await page.getByLabel('Piece 1: what came off').fill('Long spring, lower');
    await page.getByLabel('It is a spring').check();
    await page.getByLabel('Wire, mm').fill('thick');
    expect(await page.getByRole('button', { name: 'Mark it' }).isDisabled()).to.equal(true);
    await page.getByLabel('Wire, mm').fill('2.1');
    await page.getByRole('button', { name: 'Mark it' }).press('Enter');
    await panel(page).getByText('1 came out last: it goes in first.').waitFor();
    await allSent(page);
    const now = await file();
    expect(now.stripMarks.find((m) => m.slotId === slot('shoes', 'FR'))).to.include({ x: 0.4, what: 'Long spring, lower', wireMm: 2.1 });
    // Enter at the drawing is of the drawing: no step of the card was told by it.
    expect(now.cardTells.length).to.equal(told);
  });

  it('goes in backwards; what came out later is asked for first, and what is left over has a reason', async () => {
    await bench(page, 'FL');
    await page.locator('.bench .head').getByRole('button', { name: 'What came off' }).click();
    await panel(page).getByText('5 came out last: it goes in first.').waitFor();
    const first = panel(page).getByRole('listitem').filter({ hasText: 'Long spring, lower' });
    await first.getByRole('button', { name: 'Long spring, lower: in again' }).click();
    await first.getByText(/came out after 1 and are not in yet/).waitFor();
    expect((await file()).stripTells, 'asked first').to.deep.equal([]);
    const last = panel(page).getByRole('listitem').filter({ hasText: 'Adjuster, left-hand thread' });
    await last.getByRole('button', { name: /: left over$/ }).click();
    await last.getByLabel('Why it is left over').fill('A new one lies in the kit');
    await last.getByRole('button', { name: /: left over$/ }).click();
    await last.getByText('A new one lies in the kit').waitFor();
    await panel(page).getByText('4 came out last: it goes in first.').waitFor();
  });

  it('a kit that is counted short keeps back the step that takes it', async () => {
    await bench(page, 'FR');
    const kit = page.getByRole('region', { name: 'The kit, laid out' });
    await kit.getByRole('button', { name: 'Count it' }).click();
    const fields = kit.getByRole('textbox');
    await fields.first().fill('many');
    expect(await kit.getByRole('button', { name: 'So it lies there' }).isDisabled()).to.equal(true);
    await fields.first().fill('0');
    await kit.getByRole('button', { name: 'So it lies there' }).click();
    await kit.getByText(/^The kit, laid out Short of /).waitFor();
    await allSent(page);
    expect((await file()).kitCounts).to.have.length(1);
  });

  it('shows a note at its step, counts that it helped, and finds it by its words', async () => {
    await bench(page, 'FR');
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: /^Clean the adjuster/ }).click();
    const beside = page.getByRole('complementary', { name: 'Beside this step' });
    await beside.getByText('A drop of oil the evening before').waitFor();
    await beside.getByText(/from the other side/).waitFor();
    await beside.getByRole('button', { name: 'It helped' }).click();
    await beside.getByText(/helped once/).waitFor();
    expect(await beside.getByRole('button', { name: 'It helped' }).count()).to.equal(0);
    await beside.getByRole('button', { name: 'Pin a note' }).click();
    await beside.getByLabel('What whoever comes next should know').fill('Hold the plate with a second spanner');
    await beside.getByRole('button', { name: 'Every unit like this' }).click();
    await beside.getByRole('button', { name: 'Pin it' }).click();
    await beside.getByText('Hold the plate with a second spanner').waitFor();
    await allSent(page);
    await page.getByRole('combobox', { name: 'Search vehicles, parts and notes' }).fill('second spanner');
    await page.getByRole('option', { name: /Hold the plate with a second spanner/ }).click();
    await page.getByRole('heading', { name: 'Rebuild', exact: true }).waitFor();
  });

  it('lays the finished side over what the camera sees; a refused one is said plainly', async () => {
    await bench(page, 'FR');
    const beside = page.getByRole('complementary', { name: 'Beside this step' });
    // A browser without a window asks nobody: it is refused here as by somebody who says no, until the page is opened anew.
    await page.evaluate(() => {
      navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('Permission denied', 'NotAllowedError'));
    });
    await beside.getByRole('button', { name: 'Lay the other side over it' }).click();
    const dialog = page.getByRole('dialog', { name: /^Front left shoes, mirrored, over the front right shoes/ });
    await dialog.getByText(/^The camera was refused/).waitFor();
    await dialog.getByText(/^No picture of the front left shoes is in the book yet/).waitFor();
    await dialog.getByRole('button', { name: 'Close' }).click();
    // A picture of the left side, by its own camera.
    await bench(page, 'FL');
    await beside.getByRole('button', { name: 'Lay the other side over it' }).click();
    await page.getByRole('button', { name: 'Take a picture of the front left shoes' }).click();
    await page.getByText('A picture of the front left shoes is kept.').waitFor();
    await allSent(page);
    await page.getByRole('button', { name: 'Close' }).click();
    await bench(page, 'FR');
    await beside.getByRole('button', { name: 'Lay the other side over it' }).click();
    const over = dialog.getByAltText('Picture of the front left shoes, mirrored');
    await over.waitFor();
    expect(await over.evaluate((e) => [getComputedStyle(e).opacity, getComputedStyle(e).transform])).to.deep.equal([
      '0.5',
      'matrix(-1, 0, 0, 1, 0, 0)',
    ]);
    await page.waitForFunction(() => (document.querySelector('video')?.videoWidth ?? 0) > 0);
    if (process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
    await dialog.getByRole('button', { name: 'Close' }).click();
  });

  it('who works by a card for the first time is told so by name, and somebody who has looks as well', async () => {
    const ines = await house.page();
    await signIn(ines, house.url, 'ines');
    await bench(ines, 'FL');
    await ines.getByText('You have not worked by this card before, Ines Okafor-Lind').waitFor();
    await ines.close();
  });

  it('says which way nuts of one side are undone, and in which order they are drawn up', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild`);
    await page.getByText('Left-hand thread: undo clockwise.').waitFor();
    await page
      .getByRole('img', { name: /this order round the circle: 1, 4, 3, 6, 5, 2\..*undo clockwise|undo clockwise/ })
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'What holds it: rear left wheel nuts' }).click();
    const form = page.getByRole('form', { name: 'What holds it: rear left wheel nuts' });
    await form.getByLabel('How many').fill('none');
    await form.getByRole('button', { name: 'Left-handed' }).click();
    expect(await form.getByRole('button', { name: 'So it is' }).isDisabled()).to.equal(true);
    await form.getByLabel('How many').fill('5');
    await form.getByRole('button', { name: 'So it is' }).click();
    await form.waitFor({ state: 'detached' });
    await page.getByText('5 × stud and nut, dry').waitFor();
    // What will not move is not pulled at before it is known which way it goes; where it is asked, it is answered.
    await page.goto(`${house.url}/jobs/${jobId}/rebuild?pick=${slot('hub', 'RR')}`);
    await page.getByRole('button', { name: 'Rear right hub will not move' }).click();
    const ladder = page.locator('.ladder.open').filter({ hasText: 'Unit rusted on' });
    const turn = ladder.getByRole('button', { name: 'Tried: Turn it, if it may turn' });
    await ladder.getByText(/^The hand of its thread is not on record/).waitFor();
    expect(await turn.isDisabled()).to.equal(true);
    await ladder.getByRole('button', { name: /^What holds it: rear right hub/ }).click();
    await ladder.getByRole('button', { name: 'Right-handed' }).click();
    await ladder.getByRole('button', { name: 'So it is' }).click();
    await ladder.getByText('Right-hand thread: undo anticlockwise.').waitFor();
    expect(await turn.isEnabled()).to.equal(true);
    await allSent(page);
    expect(house.errors).to.deep.equal([]);
  });

  it('closes one port by its name, joins no line while its plug is in, and seals on what its seat is made for', async () => {
    const { id } = yard.layout.slots.find((s) => s.kind === 'master_cylinder')!;
    await page.goto(`${house.url}/jobs/${jobId}/rebuild?pick=${id}`);
    const joints = page.locator('.joints li');
    const first = joints.filter({ hasText: /^\s*Master cylinder, end towards/ }).first();
    await first.getByRole('button', { name: /^Opened/ }).click();
    await page.getByRole('button', { name: 'put something in' }).click();
    await page.getByRole('button', { name: 'Plug', exact: true }).click();
    await page
      .getByRole('group', { name: 'Which port' })
      .getByRole('button', { name: /^Towards/ })
      .first()
      .click();
    await first.getByText('Plug still in this port of the master cylinder. Take it out first.').waitFor();
    const made = first.getByRole('button', { name: /^Made/ });
    expect(await made.isDisabled()).to.equal(true);
    await page.getByRole('button', { name: 'Taken out' }).click();
    await first.getByRole('button', { name: /^What its port is/ }).click();
    const form = first.getByRole('form', { name: /^What it seals on/ });
    await form.getByRole('button', { name: 'Hollow' }).click();
    await form.getByText('It takes a bubble flare.').waitFor();
    await form.getByLabel('Thread').fill('M10 × 1');
    await form.getByRole('button', { name: 'Keep it' }).click();
    await first.getByText('M10 × 1, hollow: a bubble flare').waitFor();
    await made.click();
    const sealed = first.getByRole('group', { name: 'Sealed how' });
    expect(await sealed.getByRole('button', { name: 'Banjo, new washers' }).isDisabled()).to.equal(true);
    await sealed.getByRole('button', { name: 'Flare, dry' }).click();
    await first.getByText(/made, not torqued, flare, dry/).waitFor();
    await allSent(page);
    expect(house.errors).to.deep.equal([]);
  });

  it('goes on with the server away: a piece, a note and a port are kept here, and are there when it is back', async () => {
    const away = await house.page({ shell: true });
    await signIn(away, house.url, 'ines');
    await away.evaluate(() => navigator.serviceWorker.ready.then(() => true));
    await bench(away, 'FL');
    await pressAll(away.getByRole('button', { name: /^Read, Ines/ }));
    const before = await file();
    await house.killServer();
    await away.locator('.bench .head').getByRole('button', { name: 'What came off' }).click();
    await panel(away).getByRole('application').focus();
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', 'Enter']) await away.keyboard.press(key);
    await away.getByLabel(/what came off$/).fill('Cup washer');
    await away.getByRole('button', { name: 'Mark it' }).click();
    await panel(away).getByText('Cup washer').first().waitFor();
    await away.locator('.bench .head').getByRole('button', { name: 'What came off' }).click();
    await away.getByRole('button', { name: 'Pin a note' }).last().click();
    await away.getByLabel('What whoever comes next should know').fill('Its hook is bent from the factory');
    await away.getByRole('button', { name: 'Pin it' }).click();
    await away.getByText('Its hook is bent from the factory').first().waitFor();
    await away.locator('.bench .head').getByRole('button', { name: 'Leave' }).click();
    const master = yard.layout.slots.find((s) => s.kind === 'master_cylinder')!.id;
    await away.goto(`${house.url}/jobs/${jobId}/rebuild?pick=${master}`);
    await away
      .getByRole('button', { name: /^What its port is: master cylinder/ })
      .last()
      .click();
    const form = away.getByRole('form', { name: /^What it seals on/ });
    await form.getByRole('button', { name: 'Flat face' }).click();
    await form.getByRole('button', { name: 'Keep it' }).click();
    await away.getByText('flat face: a banjo or hose end on new washers').waitFor();
    // The page is closed over it, and opens again without the server.
    await away.reload();
    await away.getByText('flat face: a banjo or hose end on new washers').waitFor();
    await house.start(true);
    await allSent(away);
    const now = await file();
    expect(now.stripMarks.length).to.equal(before.stripMarks.length + 1);
    expect(now.stripMarks.at(-1)?.what).to.equal('Cup washer');
    expect(now.portFacts.some((f) => f.slotId === master && f.seat === 'flat')).to.equal(true);
    expect(now.shopNotes.some((n) => n.words === 'Its hook is bent from the factory')).to.equal(true);
    expect(house.errors).to.deep.equal([]);
  });
});
