import { join } from 'node:path';
import { asksForLan, ensureCertificate, keepCertificate, lanAddress } from './authority.mjs';
import { openCluster } from './cluster.mjs';
import { keeper, keepUp } from './keeper.mjs';
import { endOrphan, lockHome } from './lock.mjs';
import { logFile } from './logFile.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, portFree, ROOT } from './machine.mjs';
import { say, Stop } from './say.mjs';
import { childOf, startServer } from './serve.mjs';

/** Where books, backups and the log lie: beside the program, or where DAUER_FOLDER says. */
export const DAUER = process.env.DAUER_FOLDER ?? join(ROOT, '.dauer');

/** Where the book is and what opens it, for the processes that keep it. */
export const placeOf = (cluster) => ({
  DAUER_HOME: cluster.home,
  DAUER_BOOK: cluster.book,
  DAUER_BOOK_DATA: cluster.data,
  DAUER_PG_BIN: cluster.bin,
  DAUER_SPOOL: cluster.spool ?? '',
  DAUER_BEFORE_MIGRATION: join(ROOT, 'tools/lib/keeping.mjs'),
});

/** Which book it is and where it lies, in a sentence. */
function sayWhich(cluster) {
  const name = cluster.ask('dauer', 'select name from shop limit 1');
  say(`${name ? `Book of ${name}` : 'A new book'} at ${cluster.data}`);
}

/**
 * Runs a shop until it is stopped: its folder is held, what a launcher that died has left is ended, the database opened,
 * the server started, and all of it kept up.
 * @param {{ command: string, home: string, demo?: boolean, watched?: boolean,
 *   prepare?: (cluster: Awaited<ReturnType<typeof openCluster>>) => Promise<void> | void,
 *   ready: (what: { url: string, local: string, lan: { authority: string } | null, kept: ReturnType<typeof keeper> }) => Promise<void> | void }} options
 *   watched: the server starts anew when its sources change, and the page is served elsewhere; home: folder of the book; prepare: before the server starts; ready: once it answers
 */
export async function runShop({ command, home, demo = false, watched = false, prepare = () => undefined, ready }) {
  const port = Number(process.env.PORT ?? 4680);
  checkNode();
  const own = demo || !process.env.DATABASE_URL;
  const lock = own ? lockHome(home) : null;
  const kept = keeper();
  if (lock) {
    kept.add(lock.release);
    await endOrphan(home, 'keeping');
    await endOrphan(home, 'server');
  }
  if (!(await portFree(port))) throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm ${command}`);
  if (own) ensurePackages();
  ensureModules();
  if (!watched) ensureBuilt();
  const authority = join(DAUER, 'authority');
  const lan = asksForLan() ? { ...ensureCertificate(authority), ...lanAddress(authority, port) } : null;
  if (lan) kept.add(keepCertificate(authority));
  const log = logFile(join(DAUER, 'log'), 'dauer');
  /** @type {Awaited<ReturnType<typeof openCluster>> | null} */
  let cluster = null;
  const settings = () => ({
    databaseUrl: cluster ? cluster.database('dauer') : (process.env.DATABASE_URL ?? ''),
    env: {
      DAUER_LOG: '1',
      DAUER_FILES: DAUER,
      ...(cluster ? placeOf(cluster) : {}),
    },
  });
  const startKeeping = async () => {
    const { databaseUrl, env } = settings();
    const child = childOf(['--import', 'tsx', join(ROOT, 'tools/lib/keeping.mjs')], {
      env: { ...env, DATABASE_URL: databaseUrl },
      home: own ? home : null,
      log,
      name: 'keeping',
    });
    kept.add(child.stop);
    return child;
  };
  const startOnce = () => startServer({ ...settings(), port, demo, watched, lan, log, home: own ? home : null, onSpawn: kept.add });
  const processes = await kept.starting(async () => {
    cluster = own ? await openCluster(home, lock ? { lock } : {}) : null;
    if (cluster) {
      kept.add(cluster.stop);
      await prepare(cluster);
      sayWhich(cluster);
    }
    const server = await startOnce();
    const url = server.url;
    lock?.servesAt(url);
    await ready({ url, local: lan ? `https://127.0.0.1:${port}` : url, lan, kept });
    return [
      { name: 'server', now: server, again: startOnce },
      { name: 'keeper of the backups', now: await startKeeping(), again: startKeeping, saysWhenUp: false },
    ];
  });
  if (lan) say(`On the network over HTTPS. Shop, “Add a tablet”, shows each tablet the way; its authority is ${lan.url}/authority.crt`);
  await keepUp({ kept, cluster, processes });
}
