import { inShop } from './browser.mjs';

/** In the page: from the tap on an answer to the causes drawn anew, and the gaps between the frames meanwhile. */
function watchCauses() {
  const page = /** @type {Window & { redrawn: number[], gaps: number[] }} */ (/** @type {unknown} */ (window));
  page.redrawn = [];
  page.gaps = [];
  let newest = 0;
  const drawn = () => document.querySelector('.causes ol')?.textContent ?? '';
  window.addEventListener(
    'click',
    (event) => {
      if (!(/** @type {Element | null} */ (event.target)?.closest('.tri, .cell'))) return;
      const begun = performance.now();
      const before = drawn();
      // An answer that changes nothing that is drawn is over with the next one.
      const mine = (newest += 1);
      let last = begun;
      const look = (now) => {
        if (mine !== newest) return;
        page.gaps.push(now - last);
        last = now;
        if (drawn() !== before) page.redrawn.push(performance.now() - begun);
        else if (now - begun < 3000) requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    },
    true,
  );
}

const CODES = ['Pulses', 'Judder', 'Pulls left', 'Long stopping distance', 'Smell or smoke', 'Level low', 'Fluid dark', 'Does not hold'];

/**
 * Measures in a browser how soon after an answer the causes stand anew, weighed in their worker, and whether the page stutters.
 * @param {{url: string, cookie: string, jobs: {jobId: string, vehicle: {tag: string}}[]}} shop
 * @returns {Promise<{redrawn: number[], gaps: number[]}>}
 */
export async function measureCauses({ url, cookie, jobs }) {
  return await inShop({ url, cookie }, watchCauses, async (page) => {
    await page.goto(`${url}/jobs/${jobs.find((j) => j.vehicle.tag === 'V 076')?.jobId}/trace`);
    await page.getByRole('radiogroup', { name: CODES[0], exact: true }).waitFor();
    await page.waitForTimeout(1000);
    for (const state of ['Seen', 'Not seen'])
      for (const code of CODES) {
        const asked = page.getByRole('radiogroup', { name: code, exact: true });
        if ((await asked.count()) === 0) continue;
        await asked.getByRole('radio', { name: state, exact: true }).click();
        await page.waitForTimeout(700);
      }
    return await page.evaluate(() => {
      const { redrawn, gaps } = /** @type {Window & { redrawn: number[], gaps: number[] }} */ (/** @type {unknown} */ (window));
      return { redrawn, gaps };
    });
  });
}
