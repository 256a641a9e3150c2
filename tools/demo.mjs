import { spawnSync } from 'node:child_process';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, portFree, ROOT } from './lib/machine.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { startServer, untilStopped } from './lib/serve.mjs';

/** The demonstration shop: everything it needs is installed, built, filled and served. */
await run(async () => {
  const port = Number(process.env.PORT ?? 4680);
  checkNode();
  if (!(await portFree(port))) throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm run demo`);
  ensurePackages();
  ensureModules();
  ensureBuilt();
  const home = join(ROOT, '.dauer', 'demo');
  const loaded = join(home, 'loaded');
  const cluster = await openCluster(home);
  let server = null;
  try {
    if (process.argv.includes('--fresh') || !existsSync(loaded)) {
      rmSync(loaded, { force: true });
      cluster.drop('dauer');
    }
    const databaseUrl = process.env.DATABASE_URL ?? cluster.database('dauer');
    server = await startServer({ databaseUrl, port, demo: true });
    if (!existsSync(loaded)) {
      say('Filling the demonstration shop …');
      const done = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'demo/src/main.ts'), server.url], {
        cwd: ROOT,
        encoding: 'utf8',
      });
      if (done.status !== 0) {
        await server.stop();
        cluster.drop('dauer');
        throw new Stop(`The demonstration shop could not be filled; nothing of it was kept.\n${done.stderr.trim()}`);
      }
      writeFileSync(loaded, new Date().toISOString());
    }
  } catch (error) {
    await server?.stop();
    cluster.stop();
    throw error;
  }
  say(
    `\nDauer is at ${server.url}\nSign in as ines, tomasz or ruth; the password is shown on the page. Ctrl-C stops it; what you enter is kept.`,
  );
  await untilStopped(server, cluster);
});
