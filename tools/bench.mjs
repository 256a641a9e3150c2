import { spawn } from 'node:child_process';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { grow } from './lib/grow.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { ordered } from './lib/ordered.mjs';
import { followed } from './lib/following.mjs';
import { measureCauses } from './lib/causes.mjs';
import { measureKeys } from './lib/keys.mjs';
import { measurePaint } from './lib/paint.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { keeper } from './lib/keeper.mjs';
import { startServer } from './lib/serve.mjs';

/** Vehicles to which the demonstration shop is grown: twenty years of a shop. */
const VEHICLES = Number(process.env.BENCH_VEHICLES ?? 2000);
const home = join(ROOT, '.dauer', 'bench');
const grown = join(home, 'grown');
const PORT = Number(process.env.PORT ?? 4689);

/** @param {import('node:child_process').IOType | number} stdout @returns {Promise<void>} */
function runTs(file, args, stdout = 'ignore') {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, file), ...args], {
      cwd: ROOT,
      stdio: ['ignore', stdout, 'inherit'],
    });
    child.on('close', (status) => (status === 0 ? resolve() : reject(new Stop(`${file} failed`))));
  });
}
const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.ceil(sorted.length * share) - 1)];
/**
 * Asks one thing many times, one after the other, after a few that are not counted; `before` is not timed.
 * @param {(i: number) => Promise<unknown>} ask
 * @param {(i: number) => Promise<unknown>} before
 */
async function measure(what, times, ask, before = async () => undefined) {
  for (let i = 0; i < 3; i += 1) {
    await before(i);
    await ask(i);
  }
  const took = [];
  for (let i = 0; i < times; i += 1) {
    await before(i);
    const begun = performance.now();
    await ask(i);
    took.push(performance.now() - begun);
  }
  took.sort((a, b) => a - b);
  say(`${what.padEnd(44)} p50 ${at(took, 0.5).toFixed(1).padStart(7)} ms   p95 ${at(took, 0.95).toFixed(1).padStart(7)} ms   n ${times}`);
}

/** How fast an old book is, measured on this machine. */
await run(async () => {
  checkNode();
  ensurePackages({ browser: true });
  ensureModules();
  ensureBuilt();
  const kept = keeper();
  await kept.starting(async () => {
    const cluster = await openCluster(home, { archive: false });
    kept.add(cluster.stop);
    if (process.argv.includes('--fresh') || !existsSync(grown)) {
      rmSync(grown, { force: true });
      cluster.drop('dauer');
    }
    const databaseUrl = cluster.database('dauer');
    const server = await startServer({ databaseUrl, port: PORT, demo: true, onSpawn: kept.add });
    if (!existsSync(grown)) {
      say('Filling the shop, then growing it …');
      await runTs('demo/src/bench.ts', [server.url]);
      const sizes = await grow({ url: databaseUrl, tag: 'L 0001', copies: VEHICLES - 9, told: say });
      writeFileSync(grown, JSON.stringify(sizes));
      say(`${sizes.vehicles} vehicles, ${sizes.jobs} jobs, ${sizes.readings} readings\n`);
    }
    const signed = await fetch(`${server.url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ login: 'ines', password: 'brakes-hold-lives' }),
    });
    const cookie = signed.headers.getSetCookie()[0].split(';')[0];
    const get = async (path) => {
      const reply = await fetch(server.url + path, { headers: { cookie } });
      const body = await reply.json();
      if (!reply.ok) throw new Stop(`${path}: ${reply.status} ${JSON.stringify(body).slice(0, 300)}`);
      return body;
    };
    say(`On ${cpus().length} cores (${cpus()[0]?.model.trim()}), Node ${process.version}`);
    const terms = ['corrie', 'V 068', 'judder', 'L 0001 19', 'hot', 'LP 0001 7', 'gt 1999', 'zzz', 'pedal', 'a'];
    await measure('search, ten kinds of question', 200, (i) => get(`/api/search?q=${encodeURIComponent(terms[i % terms.length])}`));
    for (const term of terms) await measure(`  search “${term}”`, 20, () => get(`/api/search?q=${encodeURIComponent(term)}`));
    await measure('the Yard', 20, () => get('/api/yard'));
    const { jobs } = await get('/api/yard');
    for (let left = 1; left > 0;) ({ left } = await get('/api/dues'));
    await measure('what falls due, of every vehicle', 20, () => get('/api/dues'));
    await measure('opening a job', 60, (i) => get(`/api/jobs/${jobs[i % jobs.length].jobId}`));
    for (const [n, readings] of [20, 2000].entries()) {
      const job = await followed({ url: server.url, databaseUrl, cookie, jobId: jobs[n].jobId, readings });
      await measure(`what is new of a job with ${readings} readings more`, 60, job.follow, job.write);
      await measure(`reading all of it`, 20, () => get(`/api/jobs/${jobs[n].jobId}`));
    }
    await measure('the limit book', 30, () => get('/api/limits'));
    const sizes = await ordered({ url: databaseUrl });
    say(`${sizes.parts} lives of parts, ${sizes.lines} order lines`);
    for (const view of ['way', 'due']) await measure(`orders over all vehicles, “${view}”`, 30, () => get(`/api/traffic?view=${view}`));
    await measure('orders found by a word', 30, (i) => get(`/api/traffic?q=part%20${i}`));
    await measure('parts by a figure', 30, () => get('/api/figures?fact=height&typed=48&by=1'));
    await runTs('tools/variants.mjs', [server.url, cookie], 'inherit');
    await measure('parts by tag', 30, () => get('/api/parts?q=LP%200001%201'));
    const { keys, gaps } = await measureKeys({ url: server.url, cookie, jobs });
    const took = keys.map((k) => k.ms).sort((a, b) => a - b);
    const inFirst = keys.filter((k) => k.frames === 1).length;
    say(
      `${'key to figure and verdict drawn'.padEnd(44)} p50 ${at(took, 0.5).toFixed(1).padStart(7)} ms   p95 ${at(took, 0.95).toFixed(1).padStart(7)} ms   n ${took.length}, ${inFirst} in the first frame`,
    );
    if (gaps.length > 0)
      say(
        `${'10^5 settings tried beside: longest frame'.padEnd(44)}     ${Math.max(...gaps)
          .toFixed(1)
          .padStart(7)} ms   of ${gaps.length} frames`,
      );
    const paint = await measurePaint({ url: server.url, cookie });
    const bare = at(paint.bare, 0.5);
    for (const [what, list] of /** @type {const} */ ([
      ['a page of Vuetify alone', paint.bare],
      ['sign-in', paint.signIn],
      ['the Yard', paint.yard],
    ]))
      say(
        `${`largest paint, slowed four times: ${what}`.padEnd(58)} p50 ${at(list, 0.5).toFixed(0).padStart(5)} ms   ${(at(list, 0.5) / bare).toFixed(2)} ×   n ${list.length}`,
      );
    const causes = await measureCauses({ url: server.url, cookie, jobs });
    causes.redrawn.sort((a, b) => a - b);
    if (causes.redrawn.length > 0)
      say(
        `${'answer to causes weighed and drawn'.padEnd(44)} p50 ${at(causes.redrawn, 0.5).toFixed(1).padStart(7)} ms   p95 ${at(causes.redrawn, 0.95).toFixed(1).padStart(7)} ms   n ${causes.redrawn.length}, longest frame ${Math.max(...causes.gaps).toFixed(1)} ms`,
      );
    await runTs('tools/weighing.mjs', [], 'inherit');
    await server.stop();
    await cluster.stop();
  });
  process.exit(0);
});
