import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { run, say } from './lib/say.mjs';

/** Everything that has to hold: lint, types, import rules, and the tests on a real database and in a real browser. */
const totals = { passed: 0, failed: 0, skipped: 0 };

/** A new folder that PostgreSQL's account may enter. */
function openFolder(prefix) {
  const folder = mkdtempSync(join(tmpdir(), prefix));
  chmodSync(folder, 0o755);
  return folder;
}

function check(name, command, args) {
  const begun = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (printed += d));
    child.on('error', (error) => (printed += error.message));
    child.on('close', (status) => {
      const ok = status === 0;
      totals[ok ? 'passed' : 'failed'] += 1;
      say(`${ok ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - begun) / 1000).toFixed(1)} s)`);
      if (!ok) say(printed.trim());
      resolve();
    });
  });
}

/** Runs checks two at a time, as many as there are cores to count on. */
async function checkAll(list) {
  const left = [...list];
  const next = async () => {
    for (let one = left.shift(); one; one = left.shift()) await check(...one);
  };
  await Promise.all([next(), next()]);
}

/** Runs mocha, and says what it printed once it ended; a run that leaves no report counts as one failure. */
function mocha(name, files, env, scratch) {
  return new Promise((resolve) => {
    const report = join(scratch, `${name}.json`);
    const begun = Date.now();
    let printed = '';
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'node_modules/mocha/bin/mocha.js', '--exit', '--reporter', 'tools/lib/reporter.cjs', ...files],
      { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env, DAUER_REPORT: report } },
    );
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (printed += d));
    child.on('close', () => {
      const counts = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : { passed: 0, failed: 1, skipped: 0 };
      if (counts.failed > 0 && printed.trim() !== '') say(printed.trim());
      if (!existsSync(report)) say(`FAIL ${name}: the run ended without a report`);
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
      const [name, files, env] = run;
      await mocha(name, files, env, scratch);
    }
  };
  await Promise.all([lane(), lane(), lane()]);
}

/**
 * The browser tests, those that take longest first: so that all lanes end together.
 * @param dump where the first of them writes the demonstration shop that the others open
 */
function browserTests(dump) {
  const slow = ['walk', 'looks', 'bookin', 'kept', 'path', 'bench', 'people', 'trace'];
  const rank = (file) => (slow.includes(file) ? slow.indexOf(file) : slow.length);
  return readdirSync(join(ROOT, 'e2e'))
    .filter((f) => f.endsWith('.test.ts'))
    .map((f) => f.replace('.test.ts', ''))
    .sort((a, b) => rank(a) - rank(b))
    .map((f) => [`e2e ${f}`, [`e2e/${f}.test.ts`], { DAUER_DEMO_DUMP: dump }]);
}

await run(async () => {
  checkNode();
  ensurePackages({ browser: true });
  ensureModules();
  ensureBuilt();
  const only = process.argv.slice(2);
  const wanted = (name) => only.length === 0 || only.includes(name);
  const bin = (name) => join('node_modules', '.bin', name);
  const rooms = ['core/src', 'contract/src', 'server/src', 'web/src', 'demo/src', 'instruments/src'];
  await checkAll(
    [
      ['types', 'types of the web', bin('vue-tsc'), ['-p', 'web/tsconfig.json']],
      ['lint', 'lint', bin('eslint'), ['.', '--max-warnings', '0']],
      ['types', 'types of core, contract, server and demo', bin('tsc'), ['-p', 'tsconfig.node.json']],
      ['types', 'types of the browser tests', bin('tsc'), ['-p', 'tsconfig.json']],
      ['rules', 'import rules', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...rooms]],
    ]
      .filter(([group]) => wanted(group))
      .map(([, ...one]) => one),
  );
  const scratch = mkdtempSync(join(tmpdir(), 'dauer-test-'));
  const quick = wanted('server') ? await openCluster(join(openFolder('dauer-pg-'), 'q'), { durable: false, scratch: true }) : null;
  const pure = ['core/test/**/*.test.ts', 'contract/test/**/*.test.ts', 'instruments/test/**/*.test.ts'];
  await lanes(
    [
      ...(quick ? [['server', ['server/test/**/*.test.ts'], { DAUER_TEST_DATABASE: quick.database('test') }]] : []),
      ...(wanted('keeping')
        ? [
            ['keeping', ['tools/test/keeping.test.ts'], {}],
            ['launcher', ['tools/test/launcher.test.ts', 'tools/test/drills.test.ts'], {}],
          ]
        : []),
      ...(wanted('core') ? [['core', pure, {}]] : []),
      ...(wanted('web') ? [['web', ['web/test/**/*.test.ts'], {}]] : []),
      ...(wanted('e2e') ? browserTests(join(scratch, 'demo.sql')) : []),
    ],
    scratch,
  );
  quick?.destroy();
  rmSync(scratch, { recursive: true, force: true });
  say(`\n${totals.passed} passed, ${totals.failed} failed, ${totals.skipped} skipped`);
  process.exit(totals.failed === 0 && totals.passed > 0 ? 0 : 1);
});
