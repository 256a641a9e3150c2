import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { forgetProcess, noteProcess } from './lock.mjs';
import { portFree, ROOT } from './machine.mjs';
import { Stop } from './say.mjs';

/** On the network only over TLS, with the certificate of the shop's own authority. */
const overTls = (lan) => ({
  HOST: '0.0.0.0',
  DAUER_TLS_CERT: lan.cert,
  DAUER_TLS_KEY: lan.key,
  DAUER_TLS_AUTHORITY: lan.authority,
  DAUER_LAN_URL: lan.url,
  ...(lan.former ? { DAUER_LAN_FORMER: lan.former } : {}),
});

/** Whether the server answers, be it that its database is away; over TLS only as whom its certificate says it is. */
function answers(port, lan) {
  return new Promise((resolve, reject) => {
    const options = { host: '127.0.0.1', port, path: '/api/health', timeout: 2000, ...(lan ? { ca: readFileSync(lan.authority) } : {}) };
    const request = (lan ? https : http).get(options, (reply) => {
      reply.resume();
      resolve(reply.statusCode === 200 || reply.statusCode === 503);
    });
    request.on('error', reject);
    request.on('timeout', () => request.destroy(new Error('timeout')));
  });
}

/**
 * A child process with a way to stop it: asked first, made to after a while.
 * @param {readonly string[]} args
 * @param {{ env?: Record<string, string | undefined>, log?: { write: (text: unknown) => void } | null, home?: string | null, name?: string }} options
 */
export function childOf(args, { env = {}, log = null, home = null, name = 'server' } = {}) {
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  if (home) noteProcess(home, name, child.pid);
  let printed = '';
  child.stderr.on('data', (d) => {
    printed = (printed + d).slice(-4000);
    log?.write(d);
    if (process.env.DAUER_VERBOSE) process.stderr.write(d);
  });
  child.stdout.on('data', (d) => log?.write(d));
  /** @type {number | null} */
  let ended = null;
  const gone = new Promise((resolve) => {
    child.on('exit', (code) => {
      ended = code ?? -1;
      if (home) forgetProcess(home, name);
      resolve(ended);
    });
  });
  return {
    child,
    printed: () => printed.trim(),
    exited: () => ended !== null,
    exitCode: () => ended,
    gone,
    /** @returns {Promise<void>} */
    async stop() {
      if (ended !== null) return;
      child.kill('SIGTERM');
      const hard = setTimeout(() => child.kill('SIGKILL'), 8000);
      await gone;
      clearTimeout(hard);
    },
  };
}

/**
 * Starts one server process and waits until it answers.
 * @param {{ databaseUrl: string, port: number, demo?: boolean, watched?: boolean, home?: string | null, env?: Record<string, string>,
 *   lan?: { cert: string, key: string, authority: string, url: string } | null,
 *   log?: { write: (text: unknown) => void } | null,
 *   onSpawn?: (stop: () => Promise<void>) => void }} options
 *   home: the folder of its book, where the process is noted for the next launcher
 */
export async function startServer({
  databaseUrl,
  port,
  demo = false,
  watched = false,
  lan = null,
  home = null,
  log = null,
  env = {},
  onSpawn = () => undefined,
}) {
  if (!(await portFree(port)))
    throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm run ${demo ? 'demo' : 'start'}`);
  const watching = [join(ROOT, 'node_modules/tsx/dist/cli.mjs'), 'watch', '--clear-screen=false', join(ROOT, 'server/src/main.ts')];
  const own = childOf(watched ? watching : ['--enable-source-maps', join(ROOT, 'server/dist/main.js')], {
    home,
    log,
    env: {
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      ...(demo ? { DAUER_DEMO: '1' } : {}),
      ...(lan ? overTls(lan) : {}),
      ...env,
    },
  });
  onSpawn(own.stop);
  for (let i = 0; i < 600 && !own.exited(); i += 1) {
    try {
      if (await answers(port, lan)) break;
    } catch {
      await wait(100);
    }
  }
  if (own.exited()) throw new Stop(own.printed() || `The server ended at once (${own.exitCode()}).`);
  return { ...own, url: lan ? lan.url : `http://127.0.0.1:${port}`, onExit: (f) => void own.gone.then(f) };
}
