import { estimateOf } from '@dauer/core/estimate';
import { deriveJob } from '@dauer/core/job';
import { say } from './lib/say.mjs';

/** How long the three variants of the demonstration's largest job take. Arguments: the server, the cookie to ask it with. */
const [, , url, cookie] = process.argv;
const get = async (path) => (await fetch(url + path, { headers: { cookie } })).json();
const { jobs } = await get('/api/yard');
const sized = [];
for (const { jobId } of jobs) {
  const { history, components } = deriveJob(await get(`/api/jobs/${jobId}`), new Date().toISOString());
  sized.push({ history, components, rows: estimateOf(history, components).rows.length });
}
const most = sized.reduce((a, b) => (b.rows > a.rows ? b : a));
const took = [];
for (let i = 0; i < 30; i += 1) {
  const begun = performance.now();
  estimateOf(most.history, most.components);
  took.push(performance.now() - begun);
}
took.sort((a, b) => a - b);
const line = (share) => (took[Math.ceil(took.length * share) - 1] ?? 0).toFixed(1).padStart(7);
say(`${`variants of ${most.rows} rows`.padEnd(44)} p50 ${line(0.5)} ms   p95 ${line(0.95)} ms   n ${took.length}`);
