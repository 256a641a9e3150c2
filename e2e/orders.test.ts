import { tagCode } from '@dauer/core/supply';
import { buildLayout } from '@dauer/core/layout';
import { expect } from 'chai';
import { randomUUID as v7 } from 'node:crypto';
import { AJob } from './aJob.ts';
import { typeFigures } from './house.ts';

/** From decisions to the order, a wrong delivery and its way back, a part sent out and back, and what keeps what from being fitted. */
describe('what is ordered, what comes, and what is sent out', function () {
  this.timeout(300000);
  const job = new AJob();
  before(async () => {
    await job.open();
    const layout = buildLayout('coupe_disc_disc_tandem_servo', v7(), v7(), v7);
    await job.book('V 090', 'Tavell Corrie', layout, { kind: 'axle', scopeCorners: ['FL', 'FR'] });
    for (const corner of ['FL', 'FR'] as const)
      await job.tell('decisions', { slotId: job.slot('rotor', corner), partId: null, option: 'replace', reason: 'worn', reviewOn: null });
  });
  after(() => job.close());
  afterEach(async function () {
    await job.picture(this.currentTest?.state === 'failed');
  });
  const orders = async (): Promise<void> => {
    await job.page.goto(`${job.url}/jobs/${job.jobId}/decide?orders=1`);
    await job.page.getByRole('heading', { name: 'Orders and send-outs' }).waitFor();
  };
  const rotors = () => job.page.locator('[data-line]').filter({ hasText: 'Rotor' }).first();

  it('nothing is ordered before small things were looked at, each or by name', async () => {
    await orders();
    await job.page.getByText(/that nobody looked at/).waitFor();
    // The price book has none for this make: from whom is said here.
    await job.page.getByRole('combobox', { name: 'From' }).first().press('ArrowDown');
    await job.page.getByRole('option', { name: 'Bramhall Spares' }).click();
    const order = job.on(/^Ordered from Bramhall Spares/);
    expect(await order.isDisabled()).to.equal(true);
    await job.on('Hoses, front left: not needed').click();
    await job.on(/^Leave the other \d+ by name$/).click();
    await job.page.getByText('everything', { exact: true }).waitFor();
    expect(await order.isEnabled()).to.equal(true);
  });

  it('what the decisions need is ordered in one press, and once', async () => {
    await job.on(/^Ordered from Bramhall Spares/).click();
    await rotors()
      .getByText(/no day promised/)
      .waitFor();
    await job.page.getByText('Everything that is needed is ordered.').waitFor();
  });

  it('the work at its place waits for it, and a new one is not fitted', async () => {
    await job.stage('rebuild');
    const part = job.part('Front left rotor');
    await part.getByText(/is on order from Bramhall Spares/).waitFor();
  });

  it('what came is held against the old one with the capture bar; what is unlike is not right', async () => {
    await orders();
    await rotors()
      .getByRole('button', { name: /^Arrived/ })
      .click();
    await job.page.locator('form.ask').getByRole('button', { name: 'Arrived' }).click();
    await job.on('Look at what came').click();
    // Of the old one, then of the new one: outside diameter, thickness, height.
    await job.on('Height, old').click();
    await typeFigures(job.page, ['48']);
    await job.on('Height, new').click();
    await typeFigures(job.page, ['52']);
    await job.page.getByText('Height: 52.00 mm, and 48.00 mm on the old one.', { exact: false }).waitFor();
    expect(await job.page.getByRole('button', { name: 'Right', exact: true }).isDisabled()).to.equal(true);
    await job.page.getByLabel('What differs, in words').fill('Four millimetres too high');
    await job.page.getByRole('button', { name: 'Wrong', exact: true }).click();
    await rotors()
      .getByText(/1 here, not looked at; 1 to send back/)
      .waitFor();
    // The other one of the pair is right.
    await job.page.locator('[aria-pressed=true]', { hasText: 'Front right rotor' }).waitFor();
    await job.on('Height, old').click();
    await typeFigures(job.page, ['48']);
    await job.on('Height, new').click();
    await typeFigures(job.page, ['48.2']);
    await job.page.getByRole('button', { name: 'Right', exact: true }).click();
    await rotors().getByText('1 to send back', { exact: true }).waitFor();
  });

  it('it goes back and is credited, and is needed again', async () => {
    await rotors()
      .getByRole('button', { name: /^Sent back/ })
      .click();
    await job.page.locator('form.ask').getByRole('button', { name: 'Sent back' }).click();
    await rotors().getByText('sent back, not credited').waitFor();
    await rotors()
      .getByRole('button', { name: /^Credited/ })
      .click();
    await job.page.getByLabel('Credited, net').fill('54');
    await job.page.locator('form.ask').getByRole('button', { name: 'Credited' }).click();
    await rotors().waitFor({ state: 'hidden' });
    await job.page.getByText(/^Done: \d/).waitFor();
    await job.page.locator('.supplier').getByText('Rotor').first().waitFor();
  });

  it('a part goes into a box with its tag, is away, and goes on only counted and looked at', async () => {
    await job.stage('rebuild', job.slot('hub', 'FL'));
    for (const kind of ['caliper', 'rotor'] as const) {
      const slotId = job.slot(kind, 'FL');
      const file = await job.read<{
        partEvents: { slotId: string; partId: string; kind: string }[];
        layout: { connections: { id: string; from: string; to: string; kind: string }[] };
      }>();
      const partId = file.partEvents.find((e) => e.slotId === slotId)?.partId;
      await job.tell('part-events', { partId, kind: 'removed', slotId, note: '', lineOn: kind === 'caliper' });
    }
    await orders();
    await job.on('Put a part in a box').click();
    await job.page.getByRole('combobox', { name: 'Part', exact: true }).press('ArrowDown');
    await job.page.getByRole('option', { name: 'Front left caliper', exact: true }).click();
    await job.page.getByLabel('Its tag').fill('P 9001');
    await job.page.getByRole('combobox', { name: 'To', exact: true }).press('ArrowDown');
    await job.page.getByRole('option', { name: 'Cask Lane Turners' }).click();
    await job.page.getByLabel('Box or batch').fill('Monday');
    await job.page.getByRole('combobox', { name: 'To be done' }).press('ArrowDown');
    await job.page.getByRole('option', { name: 'Plating' }).click();
    expect(await job.page.getByRole('checkbox', { name: 'Bores', exact: true }).isChecked()).to.equal(true);
    await job.page.getByLabel('Pieces', { exact: true }).fill('2');
    await job.on('In the box').click();
    await job.page.getByText('in the box “Monday”, not sent').waitFor();
    await job.on('Done').click();
    await job.on('Sent: Front left caliper').click();
    await job.page.getByText(/^away since/).waitFor();
    const link = await job.page.getByRole('link', { name: 'packing sheet and tags' }).getAttribute('href');
    const pdf = await job.page.context().request.get(`${job.url}${link ?? ''}`);
    expect([pdf.status(), pdf.headers()['content-type']]).to.deep.equal([200, 'application/pdf']);
    await job.on('Back: Front left caliper').click();
    await job.on('Count and look: Front left caliper').click();
    await job.page.getByLabel('Pieces back, of 2').fill('1');
    for (const look of ['Threads', 'Seats and faces', 'Nothing left of masks or plugs']) await job.page.getByLabel(look).check();
    await job.page.getByRole('button', { name: 'Right', exact: true }).click();
    await job.page.getByText('A piece is missing', { exact: false }).waitFor();
    await job.page.getByLabel('Pieces back, of 2').fill('2');
    await job.page.getByRole('button', { name: 'Right', exact: true }).click();
    await job.page.getByText('away since').waitFor({ state: 'detached' });
  });

  it('a scanner that types opens the part from anywhere, and presses nothing on the way', async () => {
    const before = (await job.read<{ decisions: unknown[] }>()).decisions.length;
    const opened = job.page.getByRole('heading', { name: 'Caliper' });
    // On a busy machine keys may come slower than a scanner's: then they are no burst, and are typed anew.
    for (let n = 0; n < 6 && !(await opened.isVisible()); n += 1) {
      await job.stage('decide');
      await job.page.locator('h1').first().click();
      await Promise.all([...tagCode('P 9001'), 'Enter'].map((key) => job.page.keyboard.press(key === ' ' ? 'Space' : key)));
      await opened.waitFor({ timeout: 4000 }).catch(() => undefined);
    }
    expect(await opened.isVisible()).to.equal(true);
    await job.page.getByText('In the box to Cask Lane Turners: plating').waitFor();
    expect((await job.read<{ decisions: unknown[] }>()).decisions.length).to.equal(before);
  });

  it('all of it stands in one list over all vehicles', async () => {
    await job.page.goto(`${job.url}/parts/traffic`);
    await job.on(/^To send back/).click();
    await job.page.getByText('Hose, rear axle').waitFor();
    await job.page.getByLabel('Find by vehicle, supplier, part or number').fill('Fellgate');
    await job.page.getByText('Shoes, rear, exchange').waitFor();
    await job.page.getByText('Hose, rear axle').waitFor({ state: 'detached' });
    // The tabs of Parts lead round, also from where an older address leads.
    await job.page.goto(`${job.url}/lasting`);
    await job.page.getByRole('link', { name: 'What our work lasted' }).and(job.page.locator('[aria-current]')).waitFor();
    await job.page.getByRole('navigation', { name: 'Parts' }).getByRole('link', { name: 'Tagged parts' }).click();
    await job.page.getByRole('heading', { name: 'Parts', exact: true }).waitFor();
    expect(job.errors).to.deep.equal([]);
  });

  it('a lot knows who has something of it, and one that is called in goes on nowhere', async () => {
    await job.page.goto(`${job.url}/parts/store`);
    await job.on('Who has something of L 0077').click();
    await job.page.getByRole('dialog').getByText('V 074').waitFor();
    expect(await job.page.getByRole('dialog').getByRole('listitem').count()).to.equal(4);
    await job.on('Close').click();
    await job.on('Say more of L 0098').click();
    await job.page.getByLabel(/^Called in, and why/).fill('It never hardens.');
    await job.on('Enter it').click();
    await job.page.getByText('Called in: It never hardens.').waitFor();
  });
});
