import { chromium } from 'playwright-core';
import { chromium as where } from './machine.mjs';

/** Debian's Chromium with an empty profile of its own, kept from reaching out. */
export function openBrowser(more = []) {
  return chromium.launch({
    executablePath: where() ?? '/usr/bin/chromium',
    headless: true,
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-dev-shm-usage',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...more,
    ],
  });
}

/**
 * A page of a shop, signed in by its cookie, in a browser of its own that is closed whatever happens.
 * @template T
 * @param {{url: string, cookie: string}} shop
 * @param {() => void} watch runs in the page before anything of it does
 * @param {(page: import('playwright-core').Page) => Promise<T>} use
 */
export async function inShop({ url, cookie }, watch, use) {
  const browser = await openBrowser();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block', reducedMotion: 'reduce' });
    const [name, value] = cookie.split('=');
    await context.addCookies([{ name, value, url }]);
    const page = await context.newPage();
    await page.addInitScript(watch);
    return await use(page);
  } finally {
    await browser.close();
  }
}
