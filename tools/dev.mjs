import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fillDemo, forgetFilled, isFilled } from './lib/demoShop.mjs';
import { portFree, ROOT } from './lib/machine.mjs';
import { DAUER, runShop } from './lib/runShop.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { childOf } from './lib/serve.mjs';

const PAGE = Number(process.env.PAGE_PORT ?? 5173);
const home = join(DAUER, 'dev');

/** The page, served from its sources: what is saved shows at once. */
async function startPage(server, kept) {
  if (!(await portFree(PAGE))) throw new Stop(`Port ${PAGE} is taken. Stop what uses it, or choose another: PAGE_PORT=5174 npm run dev`);
  const child = childOf(
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'web', '--host', '127.0.0.1', '--port', String(PAGE), '--strictPort'],
    {
      env: { DAUER_SERVER: server },
      name: 'page',
    },
  );
  kept.add(child.stop);
  for (let i = 0; i < 300 && !child.exited(); i += 1) {
    if (!(await portFree(PAGE))) return `http://127.0.0.1:${PAGE}`;
    await wait(100);
  }
  throw new Stop(child.printed() || 'The page did not start.');
}

/**
 * A shop to work on Dauer with: a book of its own with the demonstration in it, the server started anew when its sources
 * change, and the page served from its sources. One Ctrl-C ends all of it.
 */
await run(() => {
  process.env.DAUER_VERBOSE ??= '1';
  return runShop({
    command: 'run dev',
    home,
    demo: true,
    watched: true,
    prepare: (cluster) => {
      if (!process.argv.includes('--fresh') && isFilled(home)) return;
      forgetFilled(home);
      cluster.drop('dauer');
    },
    ready: async ({ local, lan, kept }) => {
      if (!isFilled(home)) await fillDemo(home, local, lan);
      const page = await startPage(local, kept);
      say(`\nDauer is worked on at ${page} (server at ${local}). Sign in as ines, tomasz or ruth; the password is shown on the page.`);
      say('Pages show what is saved at once; the server starts anew. --fresh begins the book over. Ctrl-C ends all of it.');
    },
  });
});
