import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { fillDemo, forgetFilled, isFilled, wasCutOff } from './lib/demoShop.mjs';
import { portFree, ROOT } from './lib/machine.mjs';
import { DAUER, runShop } from './lib/runShop.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { childOf } from './lib/serve.mjs';

const home = join(DAUER, 'demo');

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
  if (demo === 't' && !process.argv.includes('--fresh') && !wasCutOff(home))
    throw new Stop(
      `The demonstration in ${home} lost its note of being filled, and may hold what you entered. To begin it over: npm run demo -- --fresh`,
    );
  forgetFilled(home);
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
      if (process.argv.includes('--fresh') || !isFilled(home)) begin(cluster);
    },
    ready: async ({ url, local, lan, kept }) => {
      if (!isFilled(home)) await fillDemo(home, local, lan);
      const bench = await startBench(local, lan, kept);
      say(
        `\nDauer is at ${url}\nSign in as ines, tomasz or ruth; the password is shown on the page. Ctrl-C stops it; what you enter is kept.`,
      );
      if (bench) say(`Simulated instruments stand at ${bench}`);
    },
  });
});
