import { expect } from 'chai';
import type { BrowserContext, Page } from 'playwright-core';
import { allSent, House, sayClean, signIn } from './house.ts';

interface Yard {
  jobs: { jobId: string; vehicle: { tag: string; name: string } }[];
}

/** The vehicles of the demonstration shop as somebody would book them in at the desk: by the nearest template. */
const FLEET: readonly (readonly [name: string, template: RegExp, wheels: number])[] = [
  ['Brindle Sallow again', /^Saloon, front discs/, 4],
  ['Tavell Corrie again', /^Coupé, four discs/, 4],
  ['Quillon T40 again', /^Light lorry/, 4],
  ['Marrek 500S again', /^Motorcycle, front disc on/, 2],
  ['Pellam Utility again', /on rods/, 4],
  ['Osken Hillrunner again', /balance bar/, 4],
  ['Rooke Trundle again', /^Quad/, 3],
  ['Tavell Marl again', /^Front discs, rear drums, tandem/, 4],
];

describe('booking in', function () {
  this.timeout(900000);
  const house = new House();
  let page: Page;
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'ines');
  });
  after(() => house.close());
  const button = (name: string | RegExp, on: Page = page) => on.getByRole('button', { name, exact: typeof name === 'string' });
  const onMap = (label: RegExp, on: Page = page) =>
    on
      .locator('svg[data-map] [role=option]')
      .filter({ has: on.locator('.shape') })
      .and(on.getByRole('option', { name: label }));
  const jobOf = async (tag: string, context: BrowserContext = page.context()): Promise<string> => {
    const yard = (await (await context.request.get(`${house.url}/api/yard`)).json()) as Yard;
    return yard.jobs.find((j) => j.vehicle.tag === tag || j.vehicle.name === tag)!.jobId;
  };
  const fill = async (label: string, text: string): Promise<void> => page.getByLabel(label, { exact: true }).fill(text);

  /** A day in the order of the shop, whatever the order of the browser's own. */
  const promise = async (typed: string, said: string): Promise<void> => {
    expect(await page.evaluate(() => navigator.language)).to.equal('en-US');
    const field = page.getByLabel('Promised for');
    await field.fill('03/12/1027');
    await field.press('Tab');
    await page.getByText('A day of the year 1027 was typed').waitFor();
    await field.fill(typed);
    await field.press('Tab');
    await page.getByText(said).waitFor();
  };

  it('takes every vehicle of the shop, each drawn with its wheels before it is in the book', async () => {
    for (const [name, template, wheels] of FLEET) {
      await page.goto(`${house.url}/book-in`);
      await page.getByLabel('Tag', { exact: true }).and(page.locator('[value^="V "]')).waitFor();
      await fill('Name it goes by', name);
      await fill('Make', 'Tavell');
      await fill('Model', name.split(' ')[1] ?? name);
      await page.getByRole('radio', { name: template }).first().click();
      await fill('Complaint, in the owner’s words', 'Brakes badly');
      if (name === FLEET[0]?.[0]) await promise('03/12/2027', 'Friday, 3 December 2027');
      await button('Book it in').click();
      await page.getByRole('heading', { name, exact: true }).waitFor();
      expect(await page.locator('svg[data-map] .wheelname').count(), name).to.equal(wheels);
      expect(await page.locator('svg[data-map] .drawn').count(), name).to.be.above(wheels);
    }
  });

  it('keeps a promise on the day that was meant', async () => {
    const jobId = await jobOf(FLEET[0]?.[0] ?? '');
    const file = (await (await page.context().request.get(`${house.url}/api/jobs/${jobId}`)).json()) as { job: { promised: string } };
    expect(file.job.promised).to.equal('2027-12-03');
  });

  it('takes units alone, and asks of them only what can be done on a bench', async () => {
    await page.goto(`${house.url}/book-in`);
    await button(/^Units alone/).click();
    // Nobody knows of what make they are; they go back by post.
    await fill('Name it goes by', 'Two calipers in a box');
    await fill('Name', 'Rutger Quarrel');
    await fill('Return address and contact', 'Quarrel, 4 Mill Row');
    await fill('Complaint, in the owner’s words', 'Seized');
    await button('Book it in').click();
    await page.getByRole('heading', { name: 'Two calipers in a box', exact: true }).waitFor();
    await page.locator('svg[data-map]').getByText('Caliper 2').waitFor();
    await page.getByRole('link', { name: /Trace.*units alone/ }).waitFor();
    await page.getByRole('link', { name: /Bleed.*units alone/ }).waitFor();
  });

  it('changes a layout on the map: what is wrong is lit, undone with a key, and kept as a correction', async () => {
    await page.goto(`${house.url}/jobs/${await jobOf('V 068')}/layout`);
    await onMap(/^Front left caliper/).click();
    await button('Take the line off').click();
    await page.getByText('No line reaches the front left caliper.').waitFor();
    expect(await button('Keep this layout').isDisabled()).to.equal(true);
    await page.locator('svg[data-map]').focus();
    await page.keyboard.press('Control+z');
    await page.getByText(/every wheel is reached/).waitFor();
    await page.getByRole('heading', { name: 'Front left caliper' }).waitFor();
    await button('Line …').click();
    await page.getByLabel('Length (mm)').first().fill('2 in');
    await page.getByLabel('Length (mm)').first().press('Enter');
    await button('Stop-lamp switch').click();
    await page.getByRole('heading', { name: 'Stop-lamp switch' }).waitFor();
    await page.getByText('Added: Stop-lamp switch').waitFor();
    await page.getByLabel('Why', { exact: true }).fill('Found behind the wing');
    // A page that is closed meanwhile has lost nothing.
    await page.reload();
    await page.getByText('Added: Stop-lamp switch').waitFor();
    expect(await page.getByLabel('Why', { exact: true }).inputValue()).to.equal('Found behind the wing');
    await button('Keep this layout').click();
    await page.getByText('Put right: added Stop-lamp switch. Found behind the wing').waitFor();
    await onMap(/^Stop-lamp switch/).waitFor();
  });

  it('keeps what two people drew at once: the second looks at both and decides', async () => {
    const other = await house.page();
    await signIn(other, house.url, 'tomasz');
    const jobId = await jobOf('V 072');
    const draw = async (on: Page, why: string): Promise<void> => {
      await on.goto(`${house.url}/jobs/${jobId}/layout`);
      await button('Drive left', on).click();
      await button('Add it', on).click();
      await button('Take it out', on).click();
      await on.getByLabel('Why', { exact: true }).fill(why);
    };
    await draw(page, 'Mine of the two');
    await draw(other, 'Theirs of the two');
    await button('Keep this layout').click();
    // Mine is on record, and so the page went on, before theirs is kept.
    await page.waitForURL(/\/bookin$/);
    await button('Keep this layout', other).click();
    await other.getByText(/Somebody changed this layout meanwhile/).waitFor();
    await button('On record', other).click();
    await button('Keep mine', other).click();
    await other.getByText(/Theirs of the two/).waitFor();
    await other.getByText(/Mine of the two/).waitFor();
  });

  it('keeps a picture, made smaller and with nothing in it but the image, also while the server is away', async () => {
    await page.goto(`${house.url}/jobs/${await jobOf('V 076')}/bookin`);
    await page.getByRole('heading', { name: 'Osken Hillrunner' }).waitFor();
    const photograph = await page.evaluate(async () => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [3000, 1500];
      const c = canvas.getContext('2d')!;
      c.fillStyle = '#a4561f';
      c.fillRect(0, 0, 3000, 1500);
      for (let i = 0; i < 400; i += 1) {
        c.fillStyle = `hsl(${(i * 47) % 360} 60% 50%)`;
        c.fillRect((i * 733) % 3000, (i * 397) % 1500, 90, 60);
      }
      const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
      return [...new Uint8Array(await blob!.arrayBuffer())];
    });
    const choose = page.locator('.pictures').first().locator('input[type=file]');
    await choose.setInputFiles({ name: 'programme.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('MZ this is a programme') });
    await page.getByText('This file is not a picture that can be opened here.').waitFor();
    await house.killServer();
    await choose.setInputFiles({ name: 'as it came.png', mimeType: 'image/png', buffer: Buffer.from(photograph) });
    const mine = page.locator('.pictures').first();
    await mine.locator('.thumb img').first().waitFor();
    await house.start(true);
    await allSent(page);
    const file = (await (await page.request.get(`${house.url}/api/jobs/${await jobOf('V 076')}`)).json()) as {
      pictures: { hash: string; of: string }[];
    };
    const hashes = file.pictures.filter((p) => p.of === 'vehicle').map((p) => p.hash);
    expect(hashes).to.have.length(1);
    const kept = await page.request.get(`${house.url}/api/pictures/${hashes[0]!}`);
    const bytes = await kept.body();
    expect(kept.headers()['content-type']).to.equal('image/jpeg');
    expect(bytes.length).to.be.below(450000);
    expect(bytes.includes(Buffer.from('Exif'))).to.equal(false);
    await mine.locator('.thumb').first().click();
    const size = await page.locator('.whole').evaluate(async (img: HTMLImageElement) => {
      await img.decode();
      return [img.naturalWidth, img.naturalHeight];
    });
    expect(size).to.deep.equal([2048, 1024]);
    await button('Close').click();
  });

  it('notes earlier work by as much of its date as is known, and how fasteners are', async () => {
    await button('Note earlier work').click();
    await page.getByLabel('When, as far as is known').fill('last spring');
    await button('Note it').click();
    await page.getByText(/cannot be read as a date/).waitFor();
    await page.getByLabel('When, as far as is known').fill('about 3/2019');
    await page.getByLabel('Number, page, who said it').fill('no. 88');
    await button('Note it').click();
    await page.getByText('Fluid changed about Mar 2019 (invoice, no. 88)').waitFor();
    const before = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Before anything is ordered' }) });
    const place = before.locator('details.place').filter({ hasText: 'Rear left' });
    await place.locator('summary').click();
    await place.getByRole('group', { name: 'Rear left unions' }).getByRole('button', { name: 'Seized' }).click();
    await page.getByText(/Soak now:.*rear left unions seized/).waitFor();
  });

  it('listens to an instrument on one page only: live, on a press, and typed like a keyboard', async () => {
    const key = ((await (await page.request.post(`${house.url}/api/instruments/key`, { data: { anew: false } })).json()) as { key: string })
      .key;
    const say = async (text: string, event: 'live' | 'press' | 'keys'): Promise<void> => {
      const reply = await page.request.post(`${house.url}/api/instruments/say`, {
        headers: { authorization: `Bearer ${key}` },
        data: { instrument: 'M-03', kind: 'micrometer', unit: 'mm', text, event },
      });
      expect(reply.status()).to.equal(200);
    };
    const other = await house.page();
    await signIn(other, house.url, 'tomasz');
    const jobId = await jobOf('V 068');
    const figures = async (): Promise<string[]> => {
      const file = (await (await page.request.get(`${house.url}/api/jobs/${jobId}`)).json()) as {
        readings: { typed: string; jobId: string }[];
      };
      return file.readings.filter((r) => r.jobId === jobId).map((r) => r.typed);
    };
    const before = (await figures()).length;
    let speaking = true;
    const speak = (async () => {
      for (; speaking; await page.waitForTimeout(150)) await say('12.345', 'live');
    })();
    for (const p of [page, other]) {
      await p.goto(`${house.url}/jobs/${jobId}/gauge`);
      await onMap(/^Front left rotor/, p).click();
      await button(/^Listen here/, p).click();
    }
    await other.locator('[data-capture] .live', { hasText: '12.345' }).waitFor();
    await button(/^Listen here/).waitFor();
    speaking = false;
    await speak;
    await sayClean(other);
    await say('12.346', 'press');
    await other.getByText('Position 2 of 8').waitFor();
    await say('12.347', 'keys');
    await other.getByText('Position 3 of 8').waitFor();
    await allSent(other);
    expect((await figures()).slice(before)).to.have.members(['12.346 mm', '12.347']);
    // The other page sees what was taken, and took nothing itself.
    await page.getByRole('tab', { name: /^Thickness\s+2\/8/ }).waitFor();
  });

  it('leads from a limit that is missing to the book, filled in, and says what a new one changed', async () => {
    await page.goto(`${house.url}/jobs/${await jobOf('V 074')}/bookin`);
    const missing = page.locator('li').filter({ hasText: 'Rotor thickness variation, front' });
    await missing.getByRole('link', { name: 'Enter it' }).click();
    await page.getByRole('heading', { name: 'Enter a limit' }).waitFor();
    expect(await page.getByLabel('Make', { exact: true }).inputValue()).to.equal('Marrek');
    expect(await page.getByLabel('Model', { exact: true }).inputValue()).to.equal('500S');
    await page.getByLabel('From year').fill('19x1');
    await page.getByLabel('At most').fill('0.001');
    await page.getByLabel(/^Document and page/).fill('works manual, page 214');
    await button('Enter it').click();
    await page.getByText('“19x1” is no year (from).').waitFor();
    await page.getByLabel('From year').fill('1970');
    await button('Enter it').click();
    await page
      .locator('[data-changed]')
      .getByText(/of open jobs fell differently/)
      .waitFor();
    await page
      .locator('[data-changed]')
      .getByText(/rotor thickness variation/)
      .first()
      .waitFor();
  });

  it('calls a gauge back and shows what leaned on it', async () => {
    await page.goto(`${house.url}/gauges`);
    await page.getByRole('link', { name: 'M-03' }).click();
    await button('Call it back').first().click();
    await page.getByLabel('Off since').fill('01/01/2020');
    await page.getByLabel('Off since').press('Tab');
    await page.getByText('Wednesday, 1 January 2020').waitFor();
    await page.getByLabel(/^By up to/).fill('0.03');
    await page.getByText(/would fall differently/).waitFor();
    await page.getByLabel('Why', { exact: true }).fill('Dropped on the floor');
    await button('Call it back').last().click();
    await page.getByText(/Called back: off by up to 0.03 mm/).waitFor();
    await page.goto(`${house.url}/jobs/${await jobOf('V 071')}/gauge`);
    await onMap(/^Front left rotor/).click();
    await page
      .getByText(/M-03 was called back/)
      .first()
      .waitFor();
  });

  it('writes days and figures as the shop says, reads a day in its order, and is put back', async () => {
    const write = async (from: string, to: string): Promise<void> => {
      await page.goto(`${house.url}/shop`);
      await page.getByText(`written as in ${from}`).waitFor();
      await button('Change').first().click();
      await page.getByLabel('Days and numbers').press('ArrowDown');
      await page.getByRole('option', { name: new RegExp(`^${to}`) }).click();
      await button('Set it').click();
    };
    await write('en-GB', 'American English');
    await page.getByText('written as in en-US').waitFor();
    await page.goto(`${house.url}/book-in`);
    const field = page.getByLabel('Promised for');
    await field.fill('03/12/2027');
    await field.press('Tab');
    await page.getByText('Friday, March 12, 2027').waitFor();
    await write('en-US', 'German');
    await page.getByText('written as in de-DE').waitFor();
    await page.goto(`${house.url}/jobs/${await jobOf('V 071')}/gauge`);
    await onMap(/^Front left rotor/).click();
    await page.getByText('12,066').first().waitFor();
    await write('de-DE', 'British English');
    await page.getByText('written as in en-GB').waitFor();
  });

  it('throws nothing', () => {
    expect(house.errors).to.deep.equal([]);
  });
});
