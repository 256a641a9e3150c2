import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, signIn, type Yard } from './house.ts';

/** One corner of V 063 by its cards: the wrong order at its traps, both tablets, the server away, nothing but the keys. */
describe('a work card at the bench', function () {
  this.timeout(240000);
  const house = new House();
  let page: Page;
  let jobId = '';
  let yard: Yard['jobs'][number];
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'tomasz');
    const { jobs } = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    yard = jobs.find((j) => j.vehicle.tag === 'V 063')!;
    jobId = yard.jobId;
  });
  after(() => house.close());

  const slot = (kind: string, corner: string): string => yard.layout.slots.find((s) => s.kind === kind && s.corner === corner)!.id;
  const file = async () =>
    (await (await page.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as {
      cardTells: readonly { stepId: string; kind: string; note: string }[];
      cardRuns: readonly { slotId: string }[];
      partEvents: readonly { kind: string; slotId: string | null; jobId: string }[];
    };
  const bench = async (who: Page, name: string): Promise<void> => {
    await who.goto(`${house.url}/jobs/${jobId}/rebuild`);
    await who.getByRole('button', { name: `${name}: at the bench` }).press('Enter');
    await who.getByRole('region', { name: 'This step' }).waitFor();
  };
  const step = (who: Page, words: string | RegExp) => who.locator('.bench h2').filter({ hasText: words });

  it('shows at the right side what was told of the left one, and goes by Enter alone', async () => {
    await bench(page, 'Front right shoes');
    await step(page, 'Picture it whole').waitFor();
    await page.getByText('Long spring in the rear hole of the leading shoe').waitFor();
    await page.keyboard.press('Enter');
    await step(page, 'Take everything out as one').waitFor();
    // Its record closes it: Enter alone tells nothing of it.
    await page.keyboard.press('Enter');
    await step(page, 'Take everything out as one').waitFor();
    await page.locator('.bench').getByRole('button', { name: 'Taken off', exact: true }).press('Enter');
    await allSent(page);
    await step(page, 'Wash plate and contact places wet').waitFor();
    const told = (await file()).cardTells.map((t) => `${t.stepId} ${t.kind}`);
    expect(told.filter((t) => t === 'pictured done')).to.have.length(2);
  });

  it('keeps the order: springs wait for the shoes to be joined, and the reason leads there', async () => {
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: 'Short spring by hand before the long one.' }).click();
    await step(page, 'Short spring').waitFor();
    await page.getByText('First: Lever, strut and top spring joined').waitFor();
    await page.getByRole('button', { name: 'to it', exact: true }).click();
    await step(page, 'Lever, strut and top spring joined').waitFor();
    const at = page.getByRole('region', { name: 'This step' });
    expect(await at.getByRole('button', { name: /^Done/ }).isEnabled()).to.equal(true);
    await page.getByRole('button', { name: /^With a note: Lever/ }).click();
    await page.getByLabel('Note on what is told next').fill('shorter one forward');
    await at.getByRole('button', { name: /^Done/ }).click();
    await allSent(page);
    expect((await file()).cardTells.find((t) => t.stepId === 'joined')!.note).to.equal('shorter one forward');
  });

  it('takes not applicable with a reason alone, and back again', async () => {
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: /^Clean the adjuster/ }).click();
    await step(page, 'Clean the adjuster').focus();
    await page.keyboard.press('x');
    const because = page.getByLabel('Not applicable here, because');
    await because.fill('no');
    expect(await page.getByRole('button', { name: 'So it is' }).isDisabled()).to.equal(true);
    await because.fill('snail cams, no thread');
    await page.keyboard.press('Enter');
    await allSent(page);
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: /^Clean the adjuster/ }).click();
    await page.locator('.told').getByText('snail cams, no thread').waitFor();
    await page.locator('.told').getByRole('button', { name: 'Take back', exact: true }).click();
    await page.locator('.told').waitFor({ state: 'hidden' });
    await allSent(page);
  });

  it('a tick told while the server is away is kept and sent, and the same tick from the other tablet is told no', async () => {
    const other = await house.page();
    await signIn(other, house.url, 'ruth');
    await bench(other, 'Front right shoes');
    await house.killServer();
    await page.keyboard.press('Escape');
    await page.getByRole('region', { name: 'This step' }).getByRole('button', { name: /^Done/ }).click();
    await page.getByText('kept here, not sent').waitFor();
    await house.start();
    await allSent(page);
    expect((await file()).cardTells.filter((t) => t.stepId === 'adjuster' && t.kind === 'done')).to.have.length(2);
    const run = (await page.evaluate(
      async ([id, at]) => {
        const records = (await (await fetch(`/api/jobs/${id}`)).json()) as { cardRuns: { id: string; slotId: string }[] };
        return records.cardRuns.find((r) => r.slotId === at)!.id;
      },
      [jobId, slot('shoes', 'FR')],
    )) as string;
    const again = await other.request.post(`${house.url}/api/jobs/${jobId}/card-tells`, {
      data: {
        ...{ id: crypto.randomUUID(), happenedAt: new Date().toISOString(), device: 'other' },
        ...{ runId: run, stepId: 'adjuster', kind: 'done' },
      },
    });
    expect(again.status()).to.equal(422);
    expect(((await again.json()) as { detail: string }).detail).to.contain('told already');
    // The other tablet shows it as told, without being asked.
    await other.getByRole('button', { name: 'All steps' }).click();
    await other.getByRole('listitem').filter({ hasText: 'Clean the adjuster' }).getByText('done').waitFor();
  });

  it('a part that is away is not worked on, and the hand-back is blocked by what is open on its card', async () => {
    await bench(page, 'Rear left wheel cylinder');
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: 'Links and dust caps on.' }).click();
    const region = page.getByRole('region', { name: 'This step' });
    expect(await region.getByRole('button', { name: /^Done/ }).isDisabled()).to.equal(true);
    await page.getByRole('button', { name: 'Leave', exact: true }).click();
    await page.getByRole('heading', { name: 'Rebuild', exact: true }).waitFor();
    await page.getByText('of 16 steps told').waitFor();
    expect(house.errors).to.deep.equal([]);
  });

  it('the shop’s own step is on the next card that is begun, and on none that runs; what has to stay cannot be left out', async () => {
    await page.goto(`${house.url}/cards/shoes`);
    await page.getByRole('heading', { name: 'Drum unit' }).waitFor();
    expect(await page.getByRole('button', { name: /^Change/ }).count(), 'a technician reads it').to.equal(0);
    const lead = await house.page();
    await signIn(lead, house.url, 'ines');
    await lead.goto(`${house.url}/cards/shoes`);
    await lead
      .getByRole('button', { name: 'Add a step after it: Picture it whole, both sides, before a spring is touched.' })
      .press('Enter');
    const form = lead.getByRole('form', { name: 'our own step' });
    await form.getByLabel('What is done').fill('Blow the vice clean');
    await form.getByLabel('Minutes').fill('two');
    await form.getByRole('button', { name: 'Put it in' }).press('Enter');
    await form.getByText('Minutes are a whole number').waitFor();
    await form.getByText('A step needs what is done, and why.').waitFor();
    await form.getByLabel('Why', { exact: true }).fill('Grit scratches the new linings.');
    await form.getByLabel('Minutes').fill('2');
    await form.getByLabel('Minutes').press('Enter');
    await lead.getByText('Not kept yet').waitFor();
    // The page is loaded again over it: what was changed is still there.
    await lead.reload();
    await lead.getByText('Not kept yet').waitFor();
    expect(await lead.getByRole('button', { name: /^Leave it out: Picture it whole/ }).count(), 'obligatory').to.equal(0);
    await lead.getByRole('button', { name: 'Work by this from now on' }).click();
    await lead.getByText('Say why the shop does it so').waitFor();
    await lead.getByLabel('Why the shop does it so').fill('A set was scored');
    await lead.getByLabel('Why the shop does it so').press('Enter');
    await lead.getByText('ours, version 1').first().waitFor();
    const words = (of: string) => page.getByRole('button', { name: of, exact: true });
    await bench(page, 'Rear left shoes');
    await page.getByRole('button', { name: 'All steps' }).click();
    await words('Blow the vice clean').waitFor();
    await bench(page, 'Front right shoes');
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: /^Picture it whole/ }).waitFor();
    expect(await words('Blow the vice clean').count(), 'a card that runs').to.equal(0);
    await lead.context().close();
  });

  it('a part is finished by its card: nothing coated before it is masked, also not with the server away, and nothing on before it is counted out', async () => {
    const { jobs } = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const shoes = jobs.find((j) => j.vehicle.tag === 'V 059')!;
    const drum = shoes.layout.slots.find((s) => s.kind === 'drum' && s.corner === 'FR')!.id;
    await page.goto(`${house.url}/jobs/${shoes.jobId}/rebuild`);
    await page.locator('summary[aria-label="Finish it by its card: front right drum"]').press('Enter');
    await page.getByRole('button', { name: 'Finish by brush or can' }).press('Enter');
    for (const words of ['Route of each part', 'Degrease', 'Blast with bores plugged']) {
      await step(page, words).waitFor();
      await page.keyboard.press('Enter');
    }
    await step(page, 'Treat what rust is left').waitFor();
    // What was entered is shown above the foot, never over what is pressed next.
    const said = await page.locator('.just .v-snackbar__wrapper').boundingBox();
    const foot = await page.getByRole('region', { name: 'This step' }).boundingBox();
    expect(said!.y + said!.height).to.be.at.most(foot!.y);
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('button', { name: 'Thin coats, flash-off between them.' }).click();
    await page.getByText('First: Prime all that is bare.').waitFor();
    const coated = page.locator('.bench').getByRole('button', { name: 'Coated', exact: true });
    expect(await coated.count(), 'not masked, not primed').to.equal(0);
    // The step of a finish ends no part's way.
    const record = page.locator('.bench .here');
    await record.getByRole('heading', { name: 'Its record closes it' }).waitFor();
    expect(await record.getByRole('button', { name: /^(Sent|Scrapped)/ }).count()).to.equal(0);
    await page.getByText('before the part is cleaned for its finish').waitFor();
    await allSent(page);
    await house.killServer();
    await page.getByRole('button', { name: 'to it', exact: true }).press('Enter');
    await step(page, 'Prime all that is bare').waitFor();
    await page.getByRole('button', { name: 'to it', exact: true }).press('Enter');
    await step(page, 'Mask bores').waitFor();
    await page.keyboard.press('Enter');
    await step(page, 'Treat what rust is left').waitFor();
    await page.getByText('4 of 9 told').waitFor();
    await page.getByText('kept here, not sent').waitFor();
    await house.start();
    await page.reload();
    await page.getByText('4 of 9 told').waitFor();
    await allSent(page);
    const own = (await (await page.request.get(`${house.url}/api/jobs/${shoes.jobId}`)).json()) as {
      cardTells: readonly { stepId: string }[];
      partEvents: readonly { partId: string; slotId: string | null }[];
    };
    expect(own.cardTells.filter((t) => t.stepId === 'masked')).to.have.length(1);
    const fitted = await page.request.post(`${house.url}/api/jobs/${shoes.jobId}/part-events`, {
      data: {
        ...{ id: crypto.randomUUID(), happenedAt: new Date().toISOString(), device: 'other', kind: 'fitted', slotId: drum, note: '' },
        partId: own.partEvents.findLast((e) => e.slotId === drum)!.partId,
      },
    });
    expect(fitted.status()).to.equal(422);
    expect(((await fitted.json()) as { detail: string }).detail).to.match(/^Its finish is not through: “/);
    await page.getByRole('button', { name: 'Leave', exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Front right drum: on with the finish' }).waitFor();
  });

  it('what will not move goes up its ladder: a try that is told, one that nothing allows, and one that moved', async () => {
    const { jobs } = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const other = jobs.find((j) => j.vehicle.tag === 'V 071')!.jobId;
    await page.goto(`${house.url}/jobs/${other}/rebuild`);
    await page.getByRole('button', { name: 'Front left piston 2 will not move' }).press('Enter');
    const ladder = page.getByRole('list', { name: 'Piston that will not move' });
    // Nothing is plugged and nothing is off: neither the pump nor air.
    expect(await ladder.getByRole('button', { name: /^Tried: Hand pump/ }).isDisabled()).to.equal(true);
    expect(await ladder.getByRole('button', { name: /^Tried: Air/ }).isDisabled()).to.equal(true);
    await ladder.getByRole('button', { name: 'Tried: Soak, days, repeat' }).press('Enter');
    await page.getByLabel('Minutes', { exact: true }).fill('none');
    expect(await page.getByRole('button', { name: 'It did not move' }).isDisabled()).to.equal(true);
    await page.getByLabel('Minutes', { exact: true }).fill('25');
    await page.getByLabel('Minutes', { exact: true }).press('Enter');
    await ladder.getByText('Works by itself until').waitFor();
    await page.getByText(/25 min spent on it/).waitFor();
    await ladder.getByRole('button', { name: /^Tried: Rock it/ }).press('Enter');
    await page.getByRole('button', { name: 'It moved', exact: true }).press('Enter');
    await page.getByText('it moves', { exact: true }).waitFor();
    await allSent(page);
    const { ladderTries } = (await (await page.request.get(`${house.url}/api/jobs/${other}`)).json()) as {
      ladderTries: readonly { rungId: string; moved: boolean; minutes: number }[];
    };
    expect(ladderTries.map((t) => [t.rungId, t.moved, t.minutes])).to.deep.equal([
      ['soak', false, 25],
      ['clamp', true, 20],
    ]);
    expect(house.errors).to.deep.equal([]);
  });
});
