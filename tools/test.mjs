import { spawn } from 'node:child_process';
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

/** A new folder that PostgreSQL's account may enter. */
function openFolder(prefix) {
  const folder = mkdtempSync(join(tmpdir(), prefix));
  chmodSync(folder, 0o755);
  return folder;
}

/**
 * Runs mocha, and says what it printed once it ended; a run that leaves no report counts as one failure.
 * @returns {Promise<void>}
 */
function mocha(name, files, env, scratch, options) {
  return new Promise((resolve) => {
    const report = join(scratch, `${name}.json`);
    const begun = Date.now();
    let printed = '';
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'node_modules/mocha/bin/mocha.js', '--exit', '--reporter', 'tools/lib/reporter.cjs', ...options, ...files],
      { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env, DAUER_REPORT: report } },
    );
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (printed += d));
    child.on('close', () => {
      const counts = existsSync(report)
        ? JSON.parse(readFileSync(report, 'utf8'))
        : { passed: 0, failed: 1, skipped: 0, failures: ['the run ended without a report'] };
      if ((counts.failed > 0 || process.env.DAUER_SLOW) && printed.trim() !== '') say(printed.trim());
      for (const failure of counts.failures) failures.push(`FAIL ${name}: ${failure}`);
      for (const key of Object.keys(totals)) totals[key] += counts[key];
      say(`${name}: ${counts.passed} passed, ${counts.failed} failed (${((Date.now() - begun) / 1000).toFixed(1)} s)`);
      resolve();
    });
  });
}

/** Runs of mocha, three at a time: much of each is waiting, for a browser, a database or a process that was killed. */
async function lanes(runs, scratch) {
  const left = [...runs];
  const lane = async () => {
    for (let run = left.shift(); run; run = left.shift()) {
      const [name, files, env, options = []] = run;
      await mocha(name, files, env, scratch, options);
    }
  };
  await Promise.all([lane(), lane(), lane()]);
}

/**
 * The browser tests, those that take longest first: so that all lanes end together. What follows a failed one in its file mostly
 * stands on it, and would only wait for what cannot come.
 */
function browserTests(env) {
  const slow = ['walk', 'looks', 'bookin', 'tablet', 'kept', 'path', 'bench', 'people', 'trace'];
  const rank = (file) => (slow.includes(file) ? slow.indexOf(file) : slow.length);
  return readdirSync(join(ROOT, 'e2e'))
    .filter((f) => f.endsWith('.test.ts'))
    .map((f) => f.replace('.test.ts', ''))
    .sort((a, b) => rank(a) - rank(b))
    .map((f) => [`e2e ${f}`, [`e2e/${f}.test.ts`], env, ['--bail']]);
}

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
      ...(wanted('server') ? [['server', filesOf('server', files, ['server/test/**/*.test.ts']), env]] : []),
      ...(wanted('keeping')
        ? files.length > 0
          ? [['keeping', filesOf('keeping', files, []), {}]]
          : [
              ['keeping', ['tools/test/keeping.test.ts'], {}],
              ['launcher', ['tools/test/launcher.test.ts', 'tools/test/drills.test.ts'], {}],
            ]
        : []),
      ...(wanted('core') ? [['core', filesOf('core', files, pure), {}]] : []),
      ...(wanted('web') ? [['web', filesOf('web', files, ['web/test/**/*.test.ts']), {}]] : []),
      ...(wanted('e2e') ? browserTests(env).filter((run) => files.length === 0 || files.includes(String(run[1]))) : []),
    ],
    scratch,
  );
  quick?.destroy();
  rmSync(scratch, { recursive: true, force: true });
  for (const failure of failures) say(failure);
  say(`\n${totals.passed} passed, ${totals.failed} failed, ${totals.skipped} skipped`);
  process.exit(totals.failed === 0 && totals.passed > 0 ? 0 : 1);
});
