import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededUniform } from '@dauer/core/inference';
import { checkNode, ensureModules, must, ROOT } from './lib/machine.mjs';
import { run, say } from './lib/say.mjs';

/** What is mutated: where a wrong sign or a wrong bound is a wrong verdict; tracing is judged by how often it finds the fault (docs/tracing.md). */
const ROOMS = ['core/src/verdict', 'core/src/readiness', 'core/src/stages'];
/** Tests of tracing and of long histories, which say nothing of those rooms that the others do not and take the most time; and those that read the sources. */
const LEFT_OUT =
  /^(askedGroups|benchLoop|blackOut|checks|context|corrections|domainErrors|evidence|expected|explaining|hostile|practice|priceList|quantity|rounds|sampled|sentences|storeys|trac.*|waterPrior|weighing.*|worthDoing)\.test\.ts$/;
/** Whole histories take the longest, and are asked where nothing else noticed. */
const LAST = /^(account|anyLayout|cards|estimate|figuresThatLie|histories|lapsing)\.test\.ts$/;
/** So many lines are drawn, and the same number draws the same. */
const LINES = Number(process.env.MUTATE_LINES ?? 15);
const SEED = Number(process.env.MUTATE_SEED ?? 1);
const LONGEST_MS = 40 * 60000;

/** Lines of code in which something can be another thing: no comments, types, imports or lone brackets. */
function linesOf(folder) {
  return readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts') && !f.endsWith('index.ts') && !f.startsWith('trace/'))
    .sort()
    .flatMap((f) =>
      readFileSync(join(ROOT, folder, f), 'utf8')
        .split('\n')
        .flatMap((line, i) =>
          /^\s*(\/\*\*|\*|\/\/|import |export \{|\} from|readonly |export type|type |interface |export interface|[\])}(;,]*$)/.test(line)
            ? []
            : [`${folder}/${f}:${i + 1}-${i + 1}`],
        ),
    );
}

/** A copy of the checkout with the same packages, whose own packages are its own. */
function throwAway() {
  const copy = mkdtempSync(join(tmpdir(), 'dauer-mutate-'));
  must('git', ['clone', '--quiet', '--local', ROOT, copy]);
  const modules = join(copy, 'node_modules');
  mkdirSync(join(modules, '@dauer'), { recursive: true });
  for (const name of readdirSync(join(ROOT, 'node_modules')))
    if (name !== '@dauer') symlinkSync(join(ROOT, 'node_modules', name), join(modules, name));
  for (const name of readdirSync(join(ROOT, 'node_modules/@dauer'))) symlinkSync(join(copy, name), join(modules, '@dauer', name));
  return copy;
}

/** How many of the small changes that a slip could make in the rules the tests notice, of a sample. */
await run(async () => {
  checkNode();
  ensureModules();
  const random = seededUniform(SEED);
  const all = ROOMS.flatMap(linesOf);
  const drawn = all
    .map((line) => ({ line, at: random() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, LINES)
    .map((d) => d.line);
  const copy = throwAway();
  const tests = readdirSync(join(copy, 'core/test'))
    .filter((f) => f.endsWith('.test.ts') && !LEFT_OUT.test(f))
    .sort((a, b) => Number(LAST.test(a)) - Number(LAST.test(b)))
    .map((f) => `core/test/${f}`);
  const report = join(ROOT, '.dauer', 'mutation.json');
  const settings = {
    testRunner: 'command',
    commandRunner: { command: `node --import tsx tools/lib/mutantTests.mjs ${join(copy, 'noticed.txt')} ${tests.join(' ')}` },
    ...{ mutate: drawn, inPlace: true, concurrency: 2, timeoutMS: 60000, timeoutFactor: 3, reporters: ['json', 'progress-append-only'] },
    ...{ jsonReporter: { fileName: report }, checkers: [], plugins: [], allowEmpty: false, ignoreStatic: false },
  };
  writeFileSync(join(copy, 'stryker.config.json'), JSON.stringify(settings));
  say(`${drawn.length} of ${all.length} lines, seed ${SEED}, in ${copy}`);
  rmSync(report, { force: true });
  const stryker = join(copy, 'node_modules/@stryker-mutator/core/bin/stryker.js');
  const done = spawnSync(process.execPath, [stryker, 'run'], { cwd: copy, stdio: 'inherit', timeout: LONGEST_MS });
  rmSync(copy, { recursive: true, force: true });
  if (done.status !== 0) {
    say(done.signal ? 'It took longer than forty minutes and was stopped: draw fewer lines (MUTATE_LINES).' : 'The mutation run failed.');
    process.exit(1);
  }
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  const mutants = Object.entries(files).flatMap(([file, { mutants: of }]) => of.map((m) => ({ file, ...m })));
  if (mutants.length === 0) return say('None of these lines can be changed by a slip: draw more.');
  const noticed = mutants.filter((m) => m.status === 'Killed' || m.status === 'Timeout').length;
  for (const m of mutants.filter((x) => x.status === 'Survived' || x.status === 'NoCoverage'))
    say(`survived: ${m.file}:${m.location.start.line} ${m.mutatorName}: ${String(m.replacement).replace(/\s+/g, ' ').slice(0, 100)}`);
  say(`\n${noticed} of ${mutants.length} mutants were noticed (${((100 * noticed) / mutants.length).toFixed(0)} %)`);
});
