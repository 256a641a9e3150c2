import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { portFree, ROOT } from './machine.mjs';
import { Stop } from './say.mjs';

/** Starts one server process and waits until it answers. */
export async function startServer({ databaseUrl, port, demo = false }) {
  if (!(await portFree(port)))
    throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm run ${demo ? 'demo' : 'start'}`);
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'server/src/main.ts')], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), ...(demo ? { DAUER_DEMO: '1' } : {}) },
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
  for (let i = 0; i < 300 && ended === null; i += 1) {
    try {
      if ((await fetch(`http://127.0.0.1:${port}/api/health`)).ok) break;
    } catch {
      await wait(100);
    }
  }
  if (ended !== null) throw new Stop(printed.trim() || `The server ended at once (${ended}).`);
  return {
    url: `http://127.0.0.1:${port}`,
    child,
    exited: () => ended !== null,
    onExit: (f) => child.on('exit', f),
    stop: () =>
      new Promise((resolve) => {
        if (ended !== null) return resolve();
        child.on('exit', () => resolve());
        child.kill('SIGTERM');
        setTimeout(() => {
          if (ended === null) child.kill('SIGKILL');
        }, 5000).unref();
      }),
  };
}

/** Keeps a script up until Ctrl-C or until the server ends by itself; then stops everything it started. */
export function untilStopped(server, cluster) {
  return new Promise((resolve) => {
    let stopping = false;
    const stop = async (code) => {
      if (stopping) return;
      stopping = true;
      await server.stop();
      cluster?.stop();
      resolve();
      process.exit(code);
    };
    process.on('SIGINT', () => void stop(0));
    process.on('SIGTERM', () => void stop(0));
    process.on('SIGHUP', () => void stop(0));
    server.onExit((code) => {
      if (!stopping) {
        process.stderr.write('\nThe server ended by itself. Start again: nothing that was acknowledged is lost.\n');
        void stop(code || 1);
      }
    });
  });
}
