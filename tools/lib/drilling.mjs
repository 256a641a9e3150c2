import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fullDisk, smallDisk, takeDiskAway } from '../test/diskFull.ts';
import { Yard } from '../test/house.ts';
import { killing } from '../test/killing.ts';
import { openCluster } from './cluster.mjs';
import { ROOT } from './machine.mjs';
import { run, say, Stop } from './say.mjs';

const args = process.argv.slice(2);
const numberOf = (name, otherwise) => {
  const i = args.indexOf(name);
  const n = i < 0 ? otherwise : Number(args[i + 1]);
  if (!Number.isFinite(n) || n < 0) throw new Stop(`${name} wants a number.`);
  return n;
};
const SEED = numberOf('--seed', Math.floor(Math.random() * 1e6));
const KILLS = numberOf('--kills', 500);
const FUZZ = numberOf('--fuzz', 200);
const TABLET = numberOf('--tablet', 300);
const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.ceil(sorted.length * share) - 1)] ?? 0;
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;

async function inYard(work, small = 0) {
  const yard = new Yard();
  if (small > 0 && !smallDisk(yard.folder, small)) {
    say('  left out: this account may not mount a small disk');
    return;
  }
  try {
    await yard.start();
    await yard.fill();
    await work(yard);
  } finally {
    await yard.stop();
    if (small > 0) takeDiskAway(yard.folder);
    await yard.close();
  }
}

const drills = {
  kills: () =>
    inYard(async (yard) => {
      const done = await killing(yard, { kills: KILLS, clients: 6, seed: SEED, told: (line) => say(`  ${line}`) });
      say(`  ${done.kills} kills, ${done.acknowledged} readings acknowledged, ${done.lost} lost, ${done.doubled} doubled`);
      say(
        `  back after ${seconds(at(done.back, 0.5))} in the middle, ${seconds(at(done.back, 0.95))} at the 95th percentile, ${seconds(at(done.back, 1))} at the longest`,
      );
      if (done.lost + done.doubled > 0 || Object.keys(done.odd).length > 0) throw new Stop(`That must not be: ${JSON.stringify(done)}`);
    }),
  disk: () =>
    inYard(async (yard) => {
      const done = await fullDisk(yard);
      say(
        `  ${done.acknowledged} acknowledged, ${done.lost} lost; refused by status ${JSON.stringify(done.refused)}; back ${seconds(done.backMs)} after there was room`,
      );
      if (done.lost > 0) throw new Stop('A full disk has lost something.');
    }, 260),
};

/** Tests that are the drill themselves, some of them at greater length. */
const TESTED = {
  fuzz: ['server/test/nonsense.test.ts'],
  roles: ['server/test/access.test.ts', 'server/test/foreign.test.ts'],
  guessing: ['server/test/guessing.test.ts'],
  bodies: ['server/test/stall.test.ts'],
  clock: ['server/test/log.test.ts', 'core/test/inForce.test.ts'],
  restore: ['tools/test/keeping.test.ts'],
  tablet: ['e2e/tablet.test.ts'],
};

async function tested(files) {
  const folder = mkdtempSync(join(tmpdir(), 'dauer-drill-'));
  chmodSync(folder, 0o755);
  const cluster = await openCluster(join(folder, 'c'), { durable: false, scratch: true });
  try {
    const log = join(folder, 'tablet.log');
    const done = spawnSync(
      process.execPath,
      ['--import', 'tsx', 'node_modules/mocha/bin/mocha.js', '--exit', '--reporter', 'dot', ...files],
      {
        cwd: ROOT,
        encoding: 'utf8',
        env: {
          ...process.env,
          DAUER_TEST_DATABASE: cluster.database('test'),
          DAUER_FUZZ: String(FUZZ),
          DAUER_SEED: String(SEED),
          DAUER_TABLET_SECONDS: String(TABLET),
          DAUER_TABLET_LOG: log,
        },
      },
    );
    const said = (done.stdout + done.stderr).split('\n').filter((l) => /passing|failing|pending|requests/.test(l));
    say(`  ${said.map((l) => l.trim()).join(', ')}`);
    if (existsSync(log)) say(`  ${readFileSync(log, 'utf8').trim()}`);
    if (done.status !== 0) throw new Stop(done.stdout);
  } finally {
    cluster.destroy();
    rmSync(folder, { recursive: true, force: true });
  }
}

await run(async () => {
  const all = { ...drills, ...Object.fromEntries(Object.entries(TESTED).map(([name, files]) => [name, () => tested(files)])) };
  const wanted = args.filter((a, i) => !a.startsWith('--') && !(args[i - 1] ?? '').startsWith('--'));
  const odd = wanted.find((w) => !(w in all));
  if (odd) throw new Stop(`There is no drill “${odd}”. There are: ${Object.keys(all).join(', ')}`);
  say(`Seed ${SEED}: the same one makes the same drill again (--seed ${SEED}).`);
  for (const [name, drill] of Object.entries(all)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const begun = Date.now();
    say(`${name} …`);
    await drill();
    say(`  done in ${seconds(Date.now() - begun)}`);
  }
  process.exit(0);
});
