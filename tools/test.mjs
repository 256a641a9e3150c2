import { fork, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { checkAll, CHECKS } from './lib/checks.mjs';
import { run, say, Stop } from './lib/say.mjs';

/** Everything that has to hold: lint, types, import rules, and the tests on a real database and in a real browser. */
const totals = { passed: 0, failed: 0, skipped: 0 };
/** What failed, by its run: the last thing that is said, where nobody has to look for it. */
const failures = [];

/** @typedef {{ passed: number, failed: number, skipped: number, failures: string[] }} Counts */
/** A run that leaves no report counts as one failure. @type {Counts} */
const NO_REPORT = { passed: 0, failed: 1, skipped: 0, failures: ['the run ended without a report'] };

/** A new folder that PostgreSQL's account may enter. */
function openFolder(prefix) {
  const folder = mkdtempSync(join(tmpdir(), prefix));
  chmodSync(folder, 0o755);
  return folder;
}

/**
 * Runs mocha, and says what it printed once it ended.
 * @returns {Promise<Counts>}
 */
function mocha(name, files, env, scratch) {
  return new Promise((resolve) => {
    const report = join(scratch, `${name}.json`);
    let printed = '';
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'node_modules/mocha/bin/mocha.js', '--exit', '--reporter', 'tools/lib/reporter.cjs', ...files],
      { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env, DAUER_REPORT: report } },
    );
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (printed += d));
    child.on('close', () => {
      const counts = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : NO_REPORT;
      if ((counts.failed > 0 || process.env.DAUER_SLOW) && printed.trim() !== '') say(printed.trim());
      resolve(counts);
    });
  });
}

/** Adds to the sum what came of a run, and says it. */
function counted(name, begun, counts) {
  for (const failure of counts.failures) failures.push(`FAIL ${name}: ${failure}`);
  for (const key of Object.keys(totals)) totals[key] += counts[key];
  say(`${name}: ${counts.passed} passed, ${counts.failed} failed (${((Date.now() - begun) / 1000).toFixed(1)} s)`);
}

/** A process that runs browser tests, one file after the other. */
class BrowserLane {
  /** @type {import('node:child_process').ChildProcess | null} */
  child = null;
  constructor(env) {
    this.env = env;
  }
  /** @returns {Promise<Counts>} */
  run(files) {
    const child = (this.child ??= fork(join(ROOT, 'e2e/lane.ts'), {
      cwd: ROOT,
      execArgv: ['--import', 'tsx'],
      env: { ...process.env, ...this.env },
    }));
    return new Promise((resolve) => {
      const died = () => {
        this.child = null;
        resolve(NO_REPORT);
      };
      child.once('exit', died);
      child.once('message', (counts) => {
        child.off('exit', died);
        resolve(/** @type {Counts} */ (counts));
      });
      child.send(files);
    });
  }
  end() {
    this.child?.disconnect();
  }
}

/** Runs of tests, three at a time: much of each is waiting, for a browser, a database or a process that was killed. */
async function lanes(runs, browserEnv, scratch) {
  const left = [...runs];
  const lane = async () => {
    const browser = new BrowserLane(browserEnv);
    for (let run = left.shift(); run; run = left.shift()) {
      const { name, files, env } = run;
      const begun = Date.now();
      counted(name, begun, env ? await mocha(name, files, env, scratch) : await browser.run(files));
    }
    browser.end();
  };
  await Promise.all([lane(), lane(), lane()]);
}

/** The browser tests, those that take longest first: so that all lanes end together. */
function browserTests() {
  const slow = ['walk', 'looks', 'bookin', 'tablet', 'kept', 'path', 'bench', 'people', 'trace'];
  const rank = (file) => (slow.includes(file) ? slow.indexOf(file) : slow.length);
  return readdirSync(join(ROOT, 'e2e'))
    .filter((f) => f.endsWith('.test.ts'))
    .map((f) => f.replace('.test.ts', ''))
    .sort((a, b) => rank(a) - rank(b))
    .map((f) => suite(`e2e ${f}`, [`e2e/${f}.test.ts`], null));
}

/**
 * Files of tests that one process runs, and ends with; `env` is null of those that a lane runs in the process it has.
 * @param {string} name
 * @param {readonly string[]} files
 * @param {Record<string, string> | null} env
 */
const suite = (name, files, env = {}) => ({ name, files, env });

/** The rooms of the tests, by the folders they lie in. */
const ROOMS = {
  core: ['core/test/', 'contract/test/', 'instruments/test/'],
  server: ['server/test/'],
  web: ['web/test/'],
  keeping: ['tools/test/'],
  e2e: ['e2e/'],
};
const GROUPS = [...new Set(CHECKS.map(([group]) => group))];

/**
 * What is asked for on the command line: rooms and checks by name, files of tests, and whether to stay and run them again.
 * @returns {{ rooms: string[], files: string[], watch: boolean }}
 */
function asked(args) {
  const files = args.filter((a) => a.endsWith('.test.ts'));
  const rooms = args.filter((a) => a in ROOMS || GROUPS.includes(a));
  const unknown = args.filter((a) => a !== '--watch' && !files.includes(a) && !rooms.includes(a));
  if (unknown.length > 0)
    throw new Stop(
      `Not known: ${unknown.join(', ')}. There are ${[...Object.keys(ROOMS), ...GROUPS].join(', ')}, files of tests, and --watch.`,
    );
  const missing = files.filter((f) => !existsSync(join(ROOT, f)));
  if (missing.length > 0) throw new Stop(`There is no file ${missing.join(', ')}.`);
  const ofFiles = Object.keys(ROOMS).filter((room) => files.some((f) => ROOMS[room].some((folder) => f.startsWith(folder))));
  return { rooms: files.length > 0 ? ofFiles : rooms, files, watch: args.includes('--watch') };
}

/** The files of a room that were named; all of it where none was. */
const filesOf = (room, files, all) => {
  const named = files.filter((f) => ROOMS[room].some((folder) => f.startsWith(folder)));
  return files.length > 0 ? named : all;
};

/** Stays, and runs the tests again whenever they or what they import change. @returns {Promise<number>} */
function watching(files, env) {
  const child = spawn(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'watch', '--clear-screen=false', 'node_modules/mocha/bin/mocha.js', '--reporter', 'dot', ...files],
    { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } },
  );
  for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM'])) process.on(signal, () => child.kill(signal));
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 0)));
}

await run(async () => {
  checkNode();
  const { rooms, files, watch } = asked(process.argv.slice(2));
  const wanted = (name) => (rooms.length === 0 && files.length === 0) || rooms.includes(name);
  // Figures need neither a database nor a browser nor a page.
  const [database, browser] = [wanted('server') || wanted('keeping') || wanted('e2e'), wanted('keeping') || wanted('e2e')];
  if (database) ensurePackages({ browser });
  ensureModules();
  if (browser) ensureBuilt();
  if (files.length === 0) {
    const { passed, failed } = await checkAll(CHECKS.filter(([group]) => wanted(group)));
    totals.passed += passed;
    totals.failed += failed;
  }
  const scratch = mkdtempSync(join(tmpdir(), 'dauer-test-'));
  const quick =
    wanted('server') || wanted('e2e') ? await openCluster(join(openFolder('dauer-pg-'), 'q'), { durable: false, scratch: true }) : null;
  const pure = ['core/test/**/*.test.ts', 'contract/test/**/*.test.ts', 'instruments/test/**/*.test.ts'];
  /** @type {Record<string, string>} */
  const env = quick ? { DAUER_TEST_DATABASE: quick.database('test') } : {};
  if (watch) {
    const all = [
      ...(wanted('core') ? pure : []),
      ...(wanted('web') ? ['web/test/**/*.test.ts'] : []),
      ...(wanted('server') ? ['server/test/**/*.test.ts'] : []),
    ];
    const status = await watching(files.length > 0 ? files : all, env);
    quick?.destroy();
    rmSync(scratch, { recursive: true, force: true });
    process.exit(status);
  }
  await lanes(
    [
      ...(wanted('server') ? [suite('server', filesOf('server', files, ['server/test/**/*.test.ts']), env)] : []),
      ...(wanted('keeping')
        ? files.length > 0
          ? [suite('keeping', filesOf('keeping', files, []))]
          : [
              suite('keeping', ['tools/test/keeping.test.ts']),
              suite('launcher', ['tools/test/launcher.test.ts', 'tools/test/drills.test.ts']),
            ]
        : []),
      ...(wanted('core') ? [suite('core', filesOf('core', files, pure))] : []),
      ...(wanted('web') ? [suite('web', filesOf('web', files, ['web/test/**/*.test.ts']))] : []),
      ...(wanted('e2e') ? browserTests().filter((r) => files.length === 0 || files.includes(String(r.files))) : []),
    ],
    env,
    scratch,
  );
  quick?.destroy();
  rmSync(scratch, { recursive: true, force: true });
  for (const failure of failures) say(failure);
  say(`\n${totals.passed} passed, ${totals.failed} failed, ${totals.skipped} skipped`);
  process.exit(totals.failed === 0 && totals.passed > 0 ? 0 : 1);
});
