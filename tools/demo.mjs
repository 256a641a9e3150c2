import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, portFree, ROOT } from './lib/machine.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { asksForLan, ensureCertificate, keepCertificate, lanUrl } from './lib/authority.mjs';
import { keeper, startServer } from './lib/serve.mjs';

const home = join(ROOT, '.dauer', 'demo');
/** Is there once the whole demonstration is in the book; without it, it is filled anew from nothing. */
const loaded = join(home, 'loaded');

async function fill(url, lan) {
  say('Filling the demonstration shop …');
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
}

/** The simulated bench beside the shop; where its port is taken the shop does without. */
async function startBench(url, lan, kept) {
  const port = Number(process.env.INSTRUMENTS_PORT ?? 4690);
  if (!(await portFree(port))) return null;
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'instruments/src/main.ts')], {
    cwd: ROOT,
    stdio: 'ignore',
    env: { ...process.env, DAUER_URL: url, INSTRUMENTS_PORT: String(port), ...(lan ? { NODE_EXTRA_CA_CERTS: lan.authority } : {}) },
  });
  let ended = false;
  child.on('exit', () => {
    ended = true;
  });
  kept.add(
    () =>
      new Promise((resolve) => {
        if (ended) return resolve();
        child.on('exit', () => resolve());
        child.kill('SIGTERM');
      }),
  );
  return `http://127.0.0.1:${port}`;
}

/** The demonstration shop: everything it needs is installed, built, filled and served. */
await run(async () => {
  const port = Number(process.env.PORT ?? 4680);
  checkNode();
  if (!(await portFree(port))) throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm run demo`);
  ensurePackages();
  ensureModules();
  ensureBuilt();
  process.env.DAUER_INSTRUMENT_KEY ??= randomBytes(24).toString('base64url');
  const kept = keeper();
  const authority = join(ROOT, '.dauer', 'authority');
  const lan = asksForLan() ? { ...ensureCertificate(authority), url: lanUrl(port) } : null;
  if (lan) kept.add(keepCertificate(authority));
  let bench = null;
  const server = await kept.starting(async () => {
    const cluster = await openCluster(home);
    kept.add(cluster.stop);
    if (process.argv.includes('--fresh') || !existsSync(loaded)) {
      rmSync(loaded, { force: true });
      cluster.drop('dauer');
    }
    // Always the demonstration's own cluster: made-up vehicles never go into a shop's book.
    const up = await startServer({ databaseUrl: cluster.database('dauer'), port, demo: true, lan, onSpawn: kept.add });
    if (!existsSync(loaded)) await fill(lan ? `https://127.0.0.1:${port}` : up.url, lan);
    bench = await startBench(lan ? `https://127.0.0.1:${port}` : up.url, lan, kept);
    return up;
  });
  say(
    `\nDauer is at ${server.url}\nSign in as ines, tomasz or ruth; the password is shown on the page. Ctrl-C stops it; what you enter is kept.`,
  );
  if (bench) say(`Simulated instruments stand at ${bench}`);
  if (lan) say(`On the network over HTTPS. Shop, “Add a tablet”, shows each tablet the way; its authority is ${server.url}/authority.crt`);
  await kept.untilStopped(server);
});
