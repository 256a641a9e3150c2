import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { say, Stop } from './say.mjs';

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
export const isRoot = process.getuid?.() === 0;

/** Runs a command to its end; throws with what it printed where it fails. */
export function must(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'], ...options });
  if (done.error) throw new Stop(`“${command}” could not be run: ${done.error.message}`);
  if (done.status !== 0)
    throw new Stop(
      `“${command} ${args.slice(0, 3).join(' ')} …” failed:\n${(done.stderr || done.stdout || '').trim().split('\n').slice(-12).join('\n')}`,
    );
  return done.stdout ?? '';
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) throw new Stop(`Node ${process.versions.node} is too old. Install Node 20.19 or newer.`);
}

/** Folder of PostgreSQL's programs, the newest version; null where there is none. */
export function postgresBin() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).filter((v) => existsSync(join(base, v, 'bin', 'initdb'))) : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  return newest ? join(base, newest, 'bin') : null;
}

export function chromium() {
  return ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((p) => existsSync(p)) ?? null;
}

/** Installs Debian packages, as root or through sudo without a prompt; else says the one command to run. */
function aptInstall(packages) {
  const command = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const sudo = !isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if (!existsSync('/usr/bin/apt-get') || (!isRoot && !sudo)) {
    const how = existsSync('/usr/bin/apt-get')
      ? `Run this once, then start again:\n\n  sudo sh -c '${command}'`
      : 'Install them with your system’s package manager, then start again.';
    throw new Stop(`Missing on this machine: ${packages.join(', ')}. ${how}`);
  }
  say(`Installing ${packages.join(', ')} from Debian …`);
  const script = [
    'set -e',
    'export DEBIAN_FRONTEND=noninteractive',
    'mkdir -p /etc/postgresql-common/createcluster.d',
    "[ -e /etc/postgresql-common/createcluster.d/no-main.conf ] || echo 'create_main_cluster = false' > /etc/postgresql-common/createcluster.d/no-main.conf",
    command,
  ].join('\n');
  const [program, args] = isRoot ? ['sh', ['-c', script]] : ['sudo', ['-n', 'sh', '-c', script]];
  must(program, args);
}

/** Makes sure that the Debian packages asked for are there; leaves apt alone where they are. */
export function ensurePackages({ browser = false } = {}) {
  const missing = [...(postgresBin() ? [] : ['postgresql']), ...(browser && !chromium() ? ['chromium'] : [])];
  if (missing.length > 0) aptInstall(missing);
}

/** Makes sure of programs that are Debian packages of the same name. */
export function ensureTools(names) {
  const missing = names.filter((n) => !['/usr/bin', '/bin', '/usr/local/bin'].some((d) => existsSync(join(d, n))));
  if (missing.length > 0) aptInstall(missing);
}

/** Installs the packages of the lock file where they are not installed, or not those. */
export function ensureModules() {
  const mark = join(ROOT, 'node_modules', '.package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(join(ROOT, 'package-lock.json')).mtimeMs) return;
  say('Installing npm packages …');
  must('npm', ['ci', '--no-audit', '--no-fund'], { cwd: ROOT });
}

function newestIn(path) {
  if (!statSync(path).isDirectory()) return `${path}:${statSync(path).mtimeMs}`;
  return readdirSync(path)
    .filter((n) => n !== 'node_modules' && n !== 'dist')
    .sort()
    .map((n) => newestIn(join(path, n)))
    .join('|');
}

/** Builds the web application where its sources changed since the last build. */
export function ensureBuilt() {
  const sources = ['web/src', 'web/index.html', 'web/vite.config.ts', 'core/src', 'contract/src', 'package-lock.json']
    .map((p) => newestIn(join(ROOT, p)))
    .join('|');
  const stamp = createHash('sha256').update(sources).digest('hex');
  const mark = join(ROOT, 'web', 'dist', '.built');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === stamp) return;
  say('Building the web application …');
  must('npm', ['run', 'build', '-w', 'web'], { cwd: ROOT });
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, stamp);
}

/** Whether a port on loopback is free. */
export function portFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

/** Where a run beside another one looks for its ports. */
export const laneOffset = () => Number(process.env.DAUER_LANE ?? 0) * 250;

export async function freePort(from) {
  for (let port = from; port < from + 200; port += 1) if (await portFree(port)) return port;
  throw new Stop(`No free port was found between ${from} and ${from + 200}.`);
}
