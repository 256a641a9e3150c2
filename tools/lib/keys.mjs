import { inShop } from './browser.mjs';

/** Figures of a rotor that a hand types, again and again. */
const FIGURES = ['9.81', '9.80', '9.82', '9.81', '9.80', '9.79', '9.80', '9.81'];
const ROUNDS = 4;
/** So many lifts at each of the four ends of a pair of shoes are a little over 10^5 settings. */
const LIFTS = Array.from({ length: 18 }, (_, i) => (i * 0.02).toFixed(2)).join('; ');

/** In the page: how long after Enter the figure stands in the picture, and in which frame. */
function watchKeys() {
  const page = /** @type {Window & { took: { ms: number, frames: number }[] }} */ (/** @type {unknown} */ (window));
  page.took = [];
  const taken = () => document.querySelectorAll('.ring [aria-label*=" mm"]').length;
  window.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Enter') return;
      const begun = performance.now();
      const before = taken();
      let frames = 0;
      const look = () => {
        frames += 1;
        if (taken() !== before) page.took.push({ ms: performance.now() - begun, frames });
        else if (frames < 60) requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    },
    true,
  );
}

/** In the page: the gaps between frames, ms, until they are asked for. */
function watchFrames() {
  const gaps = [];
  let last = performance.now();
  let on = true;
  const look = (now) => {
    gaps.push(now - last);
    last = now;
    if (on) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
  Object.assign(window, {
    framesUntilNow: () => {
      on = false;
      return gaps.slice(1);
    },
  });
}

/**
 * Measures in a browser how soon after the key a figure is drawn, and whether the page stutters while settings of a pair
 * of shoes are tried.
 * @param {{url: string, cookie: string, jobs: {jobId: string, layout: {slots: {id: string, kind: string}[]}}[]}} shop
 * @returns {Promise<{keys: {ms: number, frames: number}[], gaps: number[]}>}
 */
export async function measureKeys({ url, cookie, jobs }) {
  return await inShop({ url, cookie }, watchKeys, async (page) => {
    const open = async (kind, tab) => {
      const job = jobs.find((j) => j.layout.slots.some((s) => s.kind === kind));
      const slot = job?.layout.slots.find((s) => s.kind === kind);
      if (!job || !slot) throw new Error(`no job has a ${kind}`);
      await page.goto(`${url}/jobs/${job.jobId}/gauge?pick=${slot.id}`);
      await page.locator('[data-capture]').waitFor();
      const found = page.getByRole('tab', { name: new RegExp(`^${tab}`) });
      if ((await found.count()) === 0) await page.getByRole('button', { name: /^\d+ more$/ }).click();
      await found.click();
    };
    const again = page.getByRole('button', { name: 'Take all again' });
    const type = async (figures) => {
      if ((await again.count()) > 0) await again.click();
      // Who takes a set says first how clean the part is, and whether it is cold.
      for (const name of ['Clean', 'Cold']) {
        const said = page.getByRole('button', { name, exact: true });
        if ((await said.count()) > 0) await said.click();
      }
      for (const f of figures) {
        await page.keyboard.type(f, { delay: 20 });
        await page.keyboard.press('Enter');
        await page.waitForTimeout(400);
      }
    };
    await open('rotor', 'Thickness');
    for (let round = 0; round < ROUNDS; round += 1) await type(FIGURES);
    const keys = await page.evaluate(
      () => /** @type {Window & { took: { ms: number, frames: number }[] }} */ (/** @type {unknown} */ (window)).took,
    );
    await open('shoes', 'Centring');
    const drum = await page.getByText('The drum of this wheel is not gauged yet').count();
    if (drum > 0) return { keys, gaps: [] };
    await type(['126.90', '126.80', '126.55', '126.90', '126.70', '126.40']);
    const ends = page.locator('.offer input');
    for (let i = 0; i < 4; i += 1) await ends.nth(i).fill(LIFTS);
    await page.evaluate(watchFrames);
    await page.getByRole('button', { name: 'Find the most even setting' }).click();
    await page.getByText('settings tried').waitFor();
    return {
      keys,
      gaps: await page.evaluate(() =>
        /** @type {Window & { framesUntilNow: () => number[] }} */ (/** @type {unknown} */ (window)).framesUntilNow(),
      ),
    };
  });
}
