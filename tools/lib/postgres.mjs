import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { isRoot, POSTGRES, postgresVersions } from './machine.mjs';
import { Stop } from './say.mjs';

/** Folder of the programs of one major version, the newest where none is named. */
export function binOf(major = postgresVersions()[0]) {
  if (major === undefined) throw new Stop('PostgreSQL is not installed on this machine.');
  return join(POSTGRES, String(major), 'bin');
}

/** Which major version a data folder is of; null where it does not say. */
export function majorOf(data) {
  const path = join(data, 'PG_VERSION');
  const major = existsSync(path) ? Number(readFileSync(path, 'utf8').trim()) : NaN;
  return Number.isInteger(major) && major > 0 ? major : null;
}

/** Number and group of the account under which PostgreSQL runs: it refuses root. */
export function serverAccount() {
  if (!isRoot) return { uid: process.getuid?.() ?? 0, gid: process.getgid?.() ?? 0 };
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'));
  const [, , uid, gid] = (line ?? '').split(':');
  if (!uid) throw new Stop('The account “postgres” is missing; Debian’s package postgresql makes it.');
  return { uid: Number(uid), gid: Number(gid) };
}

/** Runs a short command as the account of the server. Never one that stays: runuser keeps what it is sent. */
export function asServer(command, args, options = {}) {
  /** @type {import('node:child_process').SpawnSyncOptionsWithStringEncoding} */
  const how = { encoding: 'utf8', cwd: '/', stdio: ['ignore', 'pipe', 'pipe'], ...options };
  return isRoot ? spawnSync('runuser', ['-u', 'postgres', '--', command, ...args], how) : spawnSync(command, args, how);
}

/** Whether the account of the server may enter a folder and all above it. */
export function serverCanEnter(path) {
  return !isRoot || asServer('test', ['-x', path], { stdio: 'ignore' }).status === 0;
}

/** Longest path of a folder for a Unix socket, without the name of the socket in it. */
export const LONGEST_SOCKET_FOLDER = 90;

/** A text as a setting, and as a word of the shell in one: PostgreSQL reads quotes and per cent signs, the shell the rest. */
export const setting = (text) => `'${text.replace(/'/g, "''")}'`;
export const shellWord = (text) => `"${text.replace(/(["$`\\])/g, '\\$1').replace(/%/g, '%%')}"`;
