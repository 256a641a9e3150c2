import { spawnSync } from 'node:child_process';
import { closeSync, existsSync, ftruncateSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { say, Stop } from './say.mjs';

/** State and start of a process as the kernel has them: a number is used again, a number and its start are not. */
function processOf(pid) {
  try {
    const text = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const fields = text.slice(text.lastIndexOf(')') + 2).split(' ');
    return { state: fields[0], started: fields[19] };
  } catch {
    return null;
  }
}

/** Whether a process is there and no corpse that nobody has buried yet. */
export function isAlive(pid) {
  const found = processOf(pid);
  return found !== null && found.state !== 'Z' && found.state !== 'X';
}

/**
 * Takes a folder for this process alone. The kernel holds the lock (flock on an open file) and lets go of it however the
 * process ends, so that a lock is never left over.
 * @param {string} home
 * @throws {Stop} where another process has it; that one is left alone
 * @returns how to say where it serves, and how to let go
 */
export function lockHome(home) {
  mkdirSync(home, { recursive: true });
  const path = join(home, 'lock');
  const fd = openSync(path, 'a+', 0o600);
  const taken = spawnSync('flock', ['--nonblock', '3'], { stdio: ['ignore', 'ignore', 'ignore', fd] });
  if (taken.error) {
    closeSync(fd);
    throw new Stop(`“flock” could not be run: ${taken.error.message}. It belongs to Debian’s package util-linux.`);
  }
  if (taken.status !== 0) {
    closeSync(fd);
    const [pid, url] = readFileSync(path, 'utf8').trim().split(' ');
    throw new Stop(
      `Dauer runs already for the book in ${home}${pid ? ` (process ${pid}${url ? `, at ${url}` : ''})` : ''}. It was left alone.`,
    );
  }
  const write = (text) => {
    ftruncateSync(fd, 0);
    writeSync(fd, text);
  };
  write(`${process.pid}`);
  let held = true;
  return {
    servesAt: (url) => write(`${process.pid} ${url}`),
    release() {
      if (held) closeSync(fd);
      held = false;
    },
  };
}

const noteOf = (home, name) => join(home, `${name}.pid`);

/** Notes a process that this folder's launcher started, so that the next one finds it should the launcher die. */
export function noteProcess(home, name, pid) {
  writeFileSync(noteOf(home, name), JSON.stringify({ pid, started: processOf(pid)?.started ?? '' }));
}

export function forgetProcess(home, name) {
  rmSync(noteOf(home, name), { force: true });
}

/** Ends what a launcher that died has left running: that very process, asked first, then made to. */
export async function endOrphan(home, name) {
  const path = noteOf(home, name);
  if (!existsSync(path)) return;
  let note;
  try {
    note = JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    note = null;
  }
  const ours = () => note && isAlive(note.pid) && processOf(note.pid)?.started === note.started;
  if (ours()) {
    say(`A ${name} left over from a launcher that ended is stopped (process ${note.pid}).`);
    process.kill(note.pid, 'SIGTERM');
    for (let i = 0; i < 50 && ours(); i += 1) await wait(100);
    if (ours()) process.kill(note.pid, 'SIGKILL');
    for (let i = 0; i < 20 && ours(); i += 1) await wait(50);
  }
  forgetProcess(home, name);
}
