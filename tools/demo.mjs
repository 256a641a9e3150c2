import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { portFree, ROOT } from './lib/machine.mjs';
import { DAUER, runShop } from './lib/runShop.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { childOf } from './lib/serve.mjs';

const home = join(DAUER, 'demo');
/** Is there once the whole demonstration is in the book; without it, it is filled anew from nothing. */
const loaded = join(home, 'loaded');
/** Is there while it is being filled: what was cut off then is begun anew. */
const filling = join(home, 'filling');

async function fill(url, lan) {
  say('Filling the demonstration shop …');
  writeFileSync(filling, '');
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'demo/src/main.ts'), url], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'pipe'],
    env: { ...process.env, ...(lan ? { NODE_EXTRA_CA_CERTS: lan.authority } : {}) },
  });
  let printed = '';
  child.stderr.on('data', (d) => (printed += d));
  const status = await new Promise((resolve) => child.on('close', resolve));
  if (status !== 0) throw new Stop(`The demonstration shop could not be filled; it is begun anew next time.\n${printed.trim()}`);
  writeFileSync(loaded, new Date().toISOString());
  rmSync(filling, { force: true });
}

/** The simulated bench beside the shop; where its port is taken the shop does without. */
async function startBench(url, lan, kept) {
  const port = Number(process.env.INSTRUMENTS_PORT ?? 4690);
  if (!(await portFree(port))) return null;
  const child = childOf(['--import', 'tsx', join(ROOT, 'instruments/src/main.ts')], {
    env: { DAUER_URL: url, INSTRUMENTS_PORT: String(port), ...(lan ? { NODE_EXTRA_CA_CERTS: lan.authority } : {}) },
  });
  kept.add(child.stop);
  return `http://127.0.0.1:${port}`;
}

/** Begins the demonstration over, and removes nothing that it did not make itself: not the book of a shop. */
function begin(cluster) {
  const demo = cluster.ask('dauer', 'select demo from shop limit 1');
  if (demo === 'f') throw new Stop(`The book in ${home} is not the demonstration’s: it was left as it is.`);
  if (demo === 't' && !process.argv.includes('--fresh') && !existsSync(filling))
    throw new Stop(
      `The demonstration in ${home} lost its note of being filled, and may hold what you entered. To begin it over: npm run demo -- --fresh`,
    );
  rmSync(loaded, { force: true });
  cluster.drop('dauer');
}

/** The demonstration shop: everything it needs is installed, built, filled and served. */
await run(() => {
  process.env.DAUER_INSTRUMENT_KEY ??= randomBytes(24).toString('base64url');
  return runShop({
    command: 'run demo',
    home,
    // Always the demonstration's own cluster: made-up vehicles never go into a shop's book.
    demo: true,
    prepare: (cluster) => {
      if (process.argv.includes('--fresh') || !existsSync(loaded)) begin(cluster);
    },
    ready: async ({ url, local, lan, kept }) => {
      if (!existsSync(loaded)) await fill(local, lan);
      const bench = await startBench(local, lan, kept);
      say(
        `\nDauer is at ${url}\nSign in as ines, tomasz or ruth; the password is shown on the page. Ctrl-C stops it; what you enter is kept.`,
      );
      if (bench) say(`Simulated instruments stand at ${bench}`);
    },
  });
});
