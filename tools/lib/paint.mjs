import { createServer } from 'node:http';
import { readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { openBrowser } from './browser.mjs';
import { must, ROOT } from './machine.mjs';

const TYPE = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' };
/** So much slower than this machine is the tablet at the bench taken to be. */
const SLOWED = 4;
const ROUNDS = 9;
/** What is painted later than this after the heading does not belong to the first view. */
const SETTLED_MS = 1500;

/** Builds the bare page and serves it packed, as the server does the application. @returns its address, and how to end it */
async function serveBare() {
  const out = join(ROOT, '.dauer', 'bench', 'bare');
  const vite = join(ROOT, 'node_modules/vite/bin/vite.js');
  const page = join(ROOT, 'tools/lib/barePage');
  must(process.execPath, [vite, 'build', page, '--outDir', out, '--emptyOutDir', '--target', 'es2022', '--logLevel', 'error']);
  const packed = new Map();
  const server = createServer((request, reply) => {
    const path = request.url === '/' ? '/index.html' : (request.url ?? '/').split('?')[0];
    const type = TYPE[extname(path)];
    if (!type) return void reply.writeHead(404).end();
    if (!packed.has(path)) packed.set(path, gzipSync(readFileSync(join(out, path))));
    reply.writeHead(200, { 'content-type': type, 'content-encoding': 'gzip', 'cache-control': 'no-store' }).end(packed.get(path));
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(undefined)));
  const { port } = /** @type {import('node:net').AddressInfo} */ (server.address());
  return { url: `http://127.0.0.1:${port}/`, stop: () => server.close() };
}

/** In the page: what was painted largest so far, ms after the page was asked for. */
function watchPaint() {
  Object.assign(window, { largest: 0 });
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) Object.assign(window, { largest: entry.startTime });
  }).observe({ type: 'largest-contentful-paint', buffered: true });
}

/** How long after a page is asked for, with nothing kept of it, it has painted what is largest on it, ms. */
async function largestPaint(browser, url, cookie) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  try {
    if (cookie) {
      const [name, value] = cookie.split('=');
      await context.addCookies([{ name, value, url }]);
    }
    const page = await context.newPage();
    await page.addInitScript(watchPaint);
    const devtools = await context.newCDPSession(page);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.goto(url);
    await page.locator('h1').first().waitFor();
    await page.waitForTimeout(SETTLED_MS);
    return await page.evaluate(() => /** @type {Window & { largest: number }} */ (/** @type {unknown} */ (window)).largest);
  } finally {
    await context.close();
  }
}

/**
 * Measures the largest paint of the sign-in and of the Yard with the processor slowed, beside a page of Vuetify alone, in
 * turns, so that what else the machine does falls on all of them.
 * @param {{ url: string, cookie: string }} shop
 * @returns {Promise<{ bare: number[], signIn: number[], yard: number[] }>} ms, in order of size
 */
export async function measurePaint({ url, cookie }) {
  const bare = await serveBare();
  const browser = await openBrowser();
  const took = { bare: [], signIn: [], yard: [] };
  try {
    for (let i = 0; i <= ROUNDS; i += 1) {
      const round = {
        bare: await largestPaint(browser, bare.url, null),
        signIn: await largestPaint(browser, `${url}/sign-in`, null),
        yard: await largestPaint(browser, `${url}/`, cookie),
      };
      // The first of each warms what the browser keeps of fonts and of compiled code.
      if (i > 0) for (const key of Object.keys(took)) took[key].push(round[key]);
    }
  } finally {
    await browser.close();
    bare.stop();
  }
  for (const key of Object.keys(took)) took[key].sort((a, b) => a - b);
  return took;
}
