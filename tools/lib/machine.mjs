import { spawnSync } from 'node:child_process';
import { createHash, randomInt } from 'node:crypto';
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

/** Where Debian keeps the programs of PostgreSQL, a folder a major version. */
export const POSTGRES = '/usr/lib/postgresql';

/** Major versions of PostgreSQL on this machine, the newest first. */
export function postgresVersions() {
  const found = existsSync(POSTGRES) ? readdirSync(POSTGRES).filter((v) => existsSync(join(POSTGRES, v, 'bin', 'initdb'))) : [];
  return found.map(Number).sort((a, b) => b - a);
}

/** Chromium as Debian packages it without a window of its own, which costs a quarter less for the same page; and whole. */
const HEADLESS = 'chromium-headless-shell';
export function chromium() {
  return [HEADLESS, 'chromium', 'chromium-browser'].map((n) => join('/usr/bin', n)).find((p) => existsSync(p)) ?? null;
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
  if (postgresVersions().length === 0) aptInstall(['postgresql']);
  if (browser) ensureBrowser();
}

/** The browser without a window where Debian has it and it may be installed; else the whole one. */
function ensureBrowser() {
  if (existsSync(join('/usr/bin', HEADLESS))) return;
  try {
    aptInstall([HEADLESS]);
  } catch (trouble) {
    if (chromium()) return say(`${HEADLESS} is not to be had here; the tests run in the whole Chromium, which takes longer.`);
    if (!(trouble instanceof Stop)) throw trouble;
    aptInstall(['chromium']);
  }
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

/** Builds a room where what it is made of changed since its last build. */
function ensureRoom(room, name, made) {
  const sources = [...made, 'core/src', 'contract/src', 'package-lock.json'].map((p) => newestIn(join(ROOT, p))).join('|');
  const stamp = createHash('sha256').update(sources).digest('hex');
  const mark = join(ROOT, room, 'dist', '.built');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === stamp) return;
  say(`Building ${name} …`);
  must('npm', ['run', 'build', '-w', room], { cwd: ROOT });
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, stamp);
}

/** Builds the server and the web application where their sources changed since the last build. */
export function ensureBuilt() {
  ensureRoom('server', 'the server', ['server/src', 'server/build.mjs', 'server/package.json']);
  ensureRoom('web', 'the web application', ['web/src', 'web/index.html', 'web/vite.config.ts']);
}

/** Whether a port on loopback is free. */
export function portFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

/** The range from which this machine takes the ports of outgoing connections: what listens there may find its port taken. */
function outgoingRange() {
  try {
    return readFileSync('/proc/sys/net/ipv4/ip_local_port_range', 'utf8').trim().split(/\s+/).map(Number);
  } catch {
    return [32768, 60999];
  }
}

const LOWEST_PORT = 10240;
const HIGHEST_PORT = 65000;

/** A free port that no outgoing connection takes, a different one each time: two runs side by side do not meet. */
export async function freePort() {
  const [low, high] = outgoingRange();
  const below = Math.max(0, Math.min(low, HIGHEST_PORT) - LOWEST_PORT);
  const above = Math.max(0, HIGHEST_PORT - Math.max(high + 1, LOWEST_PORT));
  if (below + above === 0) throw new Stop('This machine gives every port to outgoing connections; none is left to listen on.');
  for (let tries = 0; tries < 200; tries += 1) {
    const n = randomInt(below + above);
    const port = n < below ? LOWEST_PORT + n : high + 1 + (n - below);
    if (await portFree(port)) return port;
  }
  throw new Stop('No free port was found.');
}
