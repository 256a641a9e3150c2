import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { portFree, ROOT } from './machine.mjs';
import { Stop } from './say.mjs';

/** On the network only over TLS, with the certificate of the shop's own authority. */
const overTls = (lan) => ({
  HOST: '0.0.0.0',
  DAUER_TLS_CERT: lan.cert,
  DAUER_TLS_KEY: lan.key,
  DAUER_TLS_AUTHORITY: lan.authority,
  DAUER_LAN_URL: lan.url,
});

/** Whether the server answers; over TLS only as whom its certificate says it is. */
function answers(port, lan) {
  return new Promise((resolve, reject) => {
    const options = { host: '127.0.0.1', port, path: '/api/health', timeout: 2000, ...(lan ? { ca: readFileSync(lan.authority) } : {}) };
    const request = (lan ? https : http).get(options, (reply) => {
      reply.resume();
      resolve(reply.statusCode === 200);
    });
    request.on('error', reject);
    request.on('timeout', () => request.destroy(new Error('timeout')));
  });
}

/**
 * Starts one server process and waits until it answers.
 * @param {{ databaseUrl: string, port: number, demo?: boolean,
 *   lan?: { cert: string, key: string, authority: string, url: string } | null,
 *   onSpawn?: (stop: () => Promise<void>) => void }} options
 */
export async function startServer({ databaseUrl, port, demo = false, lan = null, onSpawn = () => undefined }) {
  if (!(await portFree(port)))
    throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm run ${demo ? 'demo' : 'start'}`);
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'server/src/main.ts')], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      ...(demo ? { DAUER_DEMO: '1' } : {}),
      ...(lan ? overTls(lan) : {}),
    },
  });
  let printed = '';
  child.stderr.on('data', (d) => {
    printed = (printed + d).slice(-4000);
    if (process.env.DAUER_VERBOSE) process.stderr.write(d);
  });
  child.stdout.on('data', () => undefined);
  let ended = null;
  child.on('exit', (code) => {
    ended = code ?? -1;
  });
  /** @returns {Promise<void>} */
  const stop = () =>
    new Promise((resolve) => {
      if (ended !== null) return resolve();
      child.on('exit', () => resolve());
      child.kill('SIGTERM');
      setTimeout(() => {
        if (ended === null) child.kill('SIGKILL');
      }, 5000).unref();
    });
  onSpawn(stop);
  for (let i = 0; i < 300 && ended === null; i += 1) {
    try {
      if (await answers(port, lan)) break;
    } catch {
      await wait(100);
    }
  }
  if (ended !== null) throw new Stop(printed.trim() || `The server ended at once (${ended}).`);
  return {
    url: lan ? lan.url : `http://127.0.0.1:${port}`,
    child,
    exited: () => ended !== null,
    onExit: (f) => child.on('exit', f),
    stop,
  };
}

/**
 * Remembers how to stop whatever a script has started, and does it, the newest first, when the script is
 * ended by Ctrl-C or a signal at any moment, when it fails, or when the server ends by itself.
 */
export function keeper() {
  const stops = [];
  let stopping = null;
  const stopAll = (code) => {
    stopping ??= (async () => {
      for (const stop of stops.reverse()) await stop();
      process.exit(code);
    })();
    return stopping;
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stopAll(0));
  return {
    add: (stop) => stops.push(stop),
    /** Runs what has to be kept up; where it throws, everything is stopped and the error goes on. */
    async starting(work) {
      try {
        return await work();
      } catch (error) {
        if (stopping) await stopping;
        for (const stop of stops.reverse()) await stop();
        stops.length = 0;
        throw error;
      }
    },
    untilStopped: (server) =>
      new Promise(() => {
        server.onExit((code) => {
          if (stopping) return;
          process.stderr.write('\nThe server ended by itself. Start again: nothing that was acknowledged is lost.\n');
          void stopAll(code || 1);
        });
      }),
  };
}
