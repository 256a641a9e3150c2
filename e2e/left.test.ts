import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSent, House, signIn, type Yard } from './house.ts';

/** V 063 left for longer than a night and taken over by somebody else; its clock meanwhile, and its new line drawn. */
describe('what goes on while nobody is there', function () {
  this.timeout(240000);
  const house = new House();
  let page: Page;
  let second: Page;
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
  const parking = async (): Promise<void> => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild`);
    await page.getByRole('link', { name: 'Leave it standing' }).press('Enter');
    await page.getByRole('heading', { name: 'Leave it for longer than a night' }).waitFor();
  };

  it('shows a clock of the shop on every screen, and it goes on through a kill of the server', async () => {
    const clock = page
      .getByRole('status', { name: 'Clocks that run' })
      .getByRole('link', { name: /^V 063, front left hub: Paint cures in air, /i });
    await clock.getByText(/V 063 paint cures in air/).waitFor();
    await page.goto(`${house.url}/due`);
    await clock.getByText(/V 063 paint cures in air/).waitFor();
    await page.goto(`${house.url}/jobs/${jobId}/bleed`);
    await clock.waitFor();
    await house.killServer();
    await house.start();
    await page.goto(`${house.url}/`);
    await clock.getByText(/V 063 paint cures in air/).waitFor();
  });

  it('starts a clock only where the part can be heated, and counts by what was measured', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild?pick=${slot('hub', 'RR')}`);
    await page.getByRole('button', { name: /^Start a clock at the/ }).press('Enter');
    await page.locator('form.start').getByRole('combobox').first().click();
    await page.getByRole('option', { name: 'Powder cures' }).click();
    await page.getByText(/is on. What is heated is off the vehicle|Say what it is made of/).waitFor();
    expect(await page.getByRole('button', { name: 'Start its clock' }).isDisabled()).to.equal(true);
    await page.locator('form.start').getByRole('combobox').first().click();
    await page.getByRole('option', { name: 'Rust converter works' }).click();
    await page.getByLabel('Minutes', { exact: true }).fill('30');
    await page.getByText('go by the sheet of the product').waitFor();
    await page.getByLabel(/^Sheet of the product/).fill('Converter 2, its sheet');
    await page.getByRole('button', { name: 'Start its clock' }).press('Enter');
    const row = page.getByRole('listitem').filter({ hasText: 'Rust converter works, rear right hub' });
    await row.getByText(/30 min left/).waitFor();
    await allSent(page);
    // It is not at its end, so it is broken off with a reason or goes on.
    expect(await row.getByRole('button', { name: 'It came to its end' }).count()).to.equal(0);
    await row.getByRole('button', { name: 'broken off' }).click();
    await row.getByLabel('Why it was broken off').fill('Rained in');
    await row.getByRole('button', { name: 'Broken off' }).click();
    await row
      .getByText(/Broken off/)
      .first()
      .waitFor();
    await allSent(page);
  });

  it('follows a probe on the part: hot enough it counts, too cold it does not, and silent it measures nothing', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild?pick=${slot('bleeder', 'FL')}`);
    await page.getByRole('button', { name: /^Start a clock at the/ }).press('Enter');
    await page.locator('form.start').getByRole('combobox').first().click();
    await page.getByRole('option', { name: 'Powder cures' }).click();
    await page.locator('form.start').getByRole('button', { name: 'Iron or steel' }).click();
    await page.getByRole('button', { name: 'Start its clock' }).press('Enter');
    const row = page.getByRole('listitem').filter({ hasText: 'Powder cures' });
    await row.getByRole('combobox', { name: 'Probe on the part' }).press('ArrowDown');
    await page.getByRole('option', { name: /O-01/ }).click();
    await row.getByText('It is not switched on.').waitFor();
    // Only a lead is shown the key of the bench.
    const ines = await house.page();
    await signIn(ines, house.url, 'ines');
    const { key } = (await (await ines.request.post(`${house.url}/api/instruments/key`, { data: { anew: false } })).json()) as {
      key: string;
    };
    await ines.close();
    const say = async (text: string): Promise<void> => {
      const headers = { authorization: `Bearer ${key}` };
      const data = { instrument: 'O-01', kind: 'thermometer', unit: '°C', text, event: 'live' };
      expect((await page.request.post(`${house.url}/api/instruments/say`, { headers, data })).status()).to.equal(200);
    };
    const follow = row.getByRole('button', { name: 'Follow it' });
    for (let n = 0; n < 50 && (await follow.isDisabled()); n += 1) {
      await say('150');
      await page.waitForTimeout(200);
    }
    await follow.click();
    const until = async (text: string, seen: RegExp): Promise<void> => {
      for (let n = 0; n < 50 && (await row.getByText(seen).count()) === 0; n += 1) {
        await say(text);
        await page.waitForTimeout(200);
      }
      await row.getByText(seen).first().waitFor();
    };
    await until('201', /20 min left; 201 °C measured/);
    await until('150', /150 °C measured: not at/);
    await row.getByText('it is silent').waitFor();
    await allSent(page);
    const { timerSteps } = (await (await page.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as {
      timerSteps: { tempC: number | null }[];
    };
    expect(timerSteps.flatMap((t) => t.tempC ?? [])).to.deep.equal([201, 150]);
  });

  it('draws a line as it is typed, refuses what no tube can be, and keeps its marks', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild`);
    const part = page.locator('.part').filter({ hasText: /line.*rear hose/i });
    await part.getByText(/^Cut to 1,?\d{3} mm/).waitFor();
    await part.getByRole('button', { name: /^Measure again/ }).press('Enter');
    await page.getByRole('textbox', { name: 'To the corner, mm, 2' }).fill('22');
    await part.getByText(/stand too near to each other/).waitFor();
    expect(await part.getByRole('button', { name: 'Keep its shape' }).isDisabled()).to.equal(true);
    await page.getByRole('textbox', { name: 'To the corner, mm, 2' }).fill('62 cm');
    await page.getByRole('textbox', { name: 'To the corner, mm, 4' }).fill('200');
    await part.getByRole('button', { name: 'Keep its shape' }).press('Enter');
    await part.getByText(/From the .* to the /).waitFor();
    await part
      .getByRole('list', { name: 'As it was measured before' })
      .getByText(/\d+ mm shorter than now/)
      .waitFor();
    await allSent(page);
    const strip = await part.getByRole('link', { name: /^Strip in true size/ }).getAttribute('href');
    const printed = await page.request.get(house.url + strip!);
    expect((await printed.body()).subarray(0, 5).toString()).to.equal('%PDF-');
  });

  it('says what the finish of a part is as it is coated, and how it looks', async () => {
    await page.goto(`${house.url}/jobs/${jobId}/rebuild`);
    const part = page.locator('.part').filter({ hasText: 'Front left shoes' });
    await part.getByRole('button', { name: 'Coated', exact: true }).press('Enter');
    await part.getByLabel('What it was coated with, and its lot').fill('Primer and black');
    await part.getByLabel('Coats', { exact: true }).fill('many');
    await part.getByText('Coats are counted: a whole number from 1 to 12, or nothing.').waitFor();
    expect(await part.getByRole('button', { name: 'Coated', exact: true }).last().isDisabled()).to.equal(true);
    await part.getByLabel('Coats', { exact: true }).fill('2');
    await part.getByRole('button', { name: 'By brush' }).click();
    await part.getByRole('button', { name: 'Satin' }).click();
    await part.getByLabel('Colour').fill('Black');
    await part.getByLabel('Batch, where others went with it').fill('Plates');
    await part.getByRole('button', { name: 'Coated', exact: true }).last().click();
    await part.getByText(/^Primer and black, Black, satin, by brush, 2 coats, batch Plates; cured in air from /).waitFor();
    await part.getByRole('button', { name: 'How does the finish of the front left shoes look now?' }).press('Enter');
    await part.getByRole('button', { name: 'Chipped' }).click();
    expect(await part.getByRole('button', { name: 'Enter it' }).isDisabled(), 'where it is').to.equal(true);
    await part.getByLabel('Where, and how much of it').fill('One spot at the rim');
    await part.getByLabel('Where, and how much of it').press('Enter');
    await part.getByText('One spot at the rim').waitFor();
    await allSent(page);
    if (process.env['DAUER_SHOT']) await page.screenshot({ path: process.env['DAUER_SHOT'] });
  });

  it('is left only once nothing invites to pull, by the keys alone', async () => {
    await parking();
    await page.getByText('Parking lever: do not pull it').waitFor();
    expect(await page.getByRole('button', { name: 'Park it' }).isDisabled()).to.equal(true);
    await page.getByRole('button', { name: 'A board lies on the parking lever' }).press('Enter');
    await page.getByRole('heading', { name: 'Before it is left' }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Axle stands' }).press('Enter');
    await page.getByText('Say what keeps it from rolling or falling.').waitFor();
    await page.getByLabel('What keeps it from rolling or falling').fill('Four stands under the axle tubes');
    await page.getByLabel('What it waits for').fill('The drums from the turner');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'How it was left' }).waitFor();
    await allSent(page);
    const card = await page.request.get(`${house.url}/api/jobs/${jobId}/parking.pdf`);
    expect((await card.body()).subarray(0, 5).toString()).to.equal('%PDF-');
  });

  it('takes nothing from anybody before it was read, and is taken over by name', async () => {
    second = await house.page();
    await signIn(second, house.url, 'ines');
    await second.getByText(/The drums from the turner: parked/).waitFor();
    await second.goto(`${house.url}/jobs/${jobId}/rebuild`);
    await second.getByText('Nothing is entered before somebody has read how it was left.').waitFor();
    expect(await second.getByRole('button', { name: 'Taken off' }).count()).to.equal(0);
    expect(await second.getByRole('button', { name: /^(Measure again|Start a clock)/ }).count()).to.equal(0);
    await second.getByRole('link', { name: 'Read it, and take it over' }).press('Enter');
    await second.getByText('Four stands under the axle tubes').waitFor();
    await second.getByText('Pedal: do not press').waitFor();
    await second.getByLabel('What is found otherwise than it was left').fill('Left rear stand had sunk, set again');
    await second.keyboard.press('Enter');
    await second.getByRole('heading', { level: 1, name: /./ }).first().waitFor();
    await allSent(second);
    // The first one sees it without a press.
    await page.getByRole('heading', { name: 'Leave it for longer than a night' }).waitFor();
    const { takeOvers } = (await (await page.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as { takeOvers: { note: string }[] };
    expect(takeOvers.map((t) => t.note)).to.deep.equal(['Left rear stand had sunk, set again']);
    await second.goto(`${house.url}/jobs/${jobId}/rebuild`);
    await second
      .getByRole('button', { name: /: at the bench$/ })
      .first()
      .waitFor();
    expect(house.errors).to.deep.equal([]);
  });
});
