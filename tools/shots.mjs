import { chmodSync, mkdirSync, mkdtempSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openBrowser } from './lib/browser.mjs';
import { openCluster } from './lib/cluster.mjs';
import { ensureBuilt, ensureModules, ensurePackages, freePort, ROOT } from './lib/machine.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { startServer } from './lib/serve.mjs';

/**
 * Pictures of the main views, from the demonstration shop.
 * @type {[name: string, place: string, stage?: string, kind?: string, corner?: string, look?: { viewport?: { width: number, height: number }, colorScheme?: 'dark' }][]}
 */
const VIEWS = [
  ['yard', '/'],
  ['layout', 'V 076', 'layout', 'caliper', 'FL'],
  ['bookin', 'V 076', 'bookin'],
  ['limits', '/limits'],
  ['due', '/due?view=year'],
  ['gauge', 'V 071', 'gauge', 'rotor', 'FL'],
  ['gauge-night', 'V 071', 'gauge', 'rotor', 'FL', { colorScheme: 'dark' }],
  ['gauge-phone', 'V 071', 'gauge', 'rotor', 'FL', { viewport: { width: 390, height: 844 } }],
  ['piston', 'V 071', 'gauge', 'Piston 2', 'FL'],
  ['trace', 'V 068', 'trace'],
  ['decide', 'V 071', 'decide', 'caliper', 'FL'],
  ['orders', 'V 063', 'decide?orders=1'],
  ['rebuild', 'V 063', 'rebuild', 'drum', 'RL'],
  ['card', 'V 063', 'rebuild', 'shoes', 'FR'],
  ['bleed', 'V 074', 'bleed'],
  ['press', 'V 063', 'prove'],
  ['handed-back', 'record of', 'V 041'],
  ['prove', 'V 078', 'prove'],
  ['sheet', 'handed back', 'V 071'],
];

/** The newest job of a vehicle that was handed back. @returns {Promise<string>} */
async function handedBack(request, url, tag) {
  const { vehicles } = await (await request.get(`${url}/api/dues`)).json();
  const { jobId } = vehicles.find((v) => v.tag === tag);
  const { release, pastJobs } = await (await request.get(`${url}/api/jobs/${jobId}`)).json();
  return release ? jobId : pastJobs.find((j) => j.releasedAt !== null).id;
}

await run(async () => {
  ensurePackages({ browser: true });
  ensureModules();
  ensureBuilt();
  const home = mkdtempSync(join(tmpdir(), 'dauer-shots-'));
  chmodSync(home, 0o755);
  const cluster = await openCluster(join(home, 'c'), { durable: false, scratch: true });
  const server = await startServer({ databaseUrl: cluster.database('dauer'), port: await freePort(), demo: true });
  const browser = await openBrowser();
  try {
    const filled = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'demo/src/main.ts'), server.url], {
      cwd: ROOT,
      encoding: 'utf8',
    });
    if (filled.status !== 0) throw new Stop(filled.stderr);
    const folder = join(ROOT, 'docs', 'screenshots');
    mkdirSync(folder, { recursive: true });
    for (const [name, place, stage, kind, corner, look] of VIEWS) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', ...look });
      await context.request.post(`${server.url}/api/sign-in`, { data: { login: 'ines', password: 'brakes-hold-lives' } });
      const page = await context.newPage();
      const yard = await (await context.request.get(`${server.url}/api/yard`)).json();
      const job = yard.jobs.find((j) => j.vehicle.tag === place);
      const slot = job?.layout.slots.find((s) => (s.kind === kind || s.name === kind) && s.corner === corner);
      const back = ['handed back', 'record of'].includes(place) ? await handedBack(context.request, server.url, stage) : null;
      if (back) await page.goto(`${server.url}/jobs/${back}/${place === 'handed back' ? 'sheet' : 'prove'}`);
      else
        await page.goto(
          job
            ? `${server.url}/jobs/${job.jobId}/${stage}${slot ? `?${name === 'card' ? 'card' : 'pick'}=${slot.id}` : ''}`
            : `${server.url}${place}`,
        );
      await page.locator('h1').first().waitFor();
      if (name === 'layout') await page.getByRole('option', { name: /^Front left caliper/ }).click();
      if (name === 'trace') await page.locator('.cause').first().click();
      if (name === 'bleed') {
        await page.getByRole('button', { name: 'Bleed it live' }).click();
        await page.getByLabel(/^Emptied, wiped and filled/).check();
        await page.getByRole('button', { name: 'Begin', exact: true }).click();
        await page.getByText('No stroke yet').waitFor();
        await page.evaluate(() => document.activeElement instanceof HTMLElement && document.activeElement.blur());
        for (const [n, key] of ['Space', 'Space', 'a'].entries()) {
          await page.keyboard.press(key);
          await page.getByText(`Stroke ${n + 1}`, { exact: true }).waitFor();
        }
      }
      await page.waitForLoadState('networkidle');
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await context.close();
      say(`docs/screenshots/${name}.png`);
    }
  } finally {
    await browser.close();
    await server.stop();
    cluster.destroy();
  }
});
