import { TABLES } from '@dauer/core/catalogue';
import { worthDoing, infer, seededUniform } from '@dauer/core/inference';
import { buildLayout, TEMPLATES } from '@dauer/core/layout';
import { networkOf } from '@dauer/core/stages';
import { say } from './lib/say.mjs';

/**
 * How long weighing takes: the exact posteriors of a network of a hundred faults with fifteen things seen and ten not, and
 * ranking the checks; the same for the vehicle whose network is the largest.
 */
const ROUNDS = Number(process.argv[2] ?? 30);
const next = seededUniform(15);

function made() {
  const faults = Array.from({ length: 100 }, (_, i) => ({ id: `f${i}`, prior: 0.01 + 0.2 * next() }));
  const observations = Array.from({ length: 60 }, (_, k) => ({
    id: `o${k}`,
    leak: 0.005 + 0.06 * next(),
    strengths: Object.fromEntries(faults.flatMap((f) => (next() < 0.06 ? [[f.id, 0.2 + 0.75 * next()]] : []))),
  }));
  const known = Object.fromEntries(observations.slice(0, 25).map((o, k) => [o.id, k < 15 ? 'seen' : 'not_seen']));
  const checks = Array.from({ length: 35 }, (_, i) => ({ id: `c${i}`, minutes: 5, observations: [`o${25 + i}`] }));
  return { network: { faults, observations }, evidence: { observations: known, certain: {} }, checks };
}
function largest() {
  let n = 0;
  const networks = TEMPLATES.map((t) =>
    networkOf(
      buildLayout(t.id, 'layout', 'vehicle', () => `i${(n += 1)}`),
      { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() },
      TABLES,
    ),
  ).sort((a, b) => b.faults.length - a.faults.length);
  const [network] = networks;
  const order = network.observations.map((o) => ({ o, at: next() })).sort((a, b) => a.at - b.at);
  const known = Object.fromEntries(order.slice(0, 25).map(({ o }, k) => [o.id, k < 15 ? 'seen' : 'not_seen']));
  return { network, evidence: { observations: known, certain: {} }, checks: network.checks };
}
function measure(what, make, ask) {
  const took = [];
  for (let i = 0; i < ROUNDS; i += 1) {
    const given = make();
    const begun = performance.now();
    ask(given);
    if (i > 1) took.push(performance.now() - begun);
  }
  took.sort((a, b) => a - b);
  const at = (share) => took[Math.min(took.length - 1, Math.ceil(took.length * share) - 1)];
  say(`${what.padEnd(44)} p50 ${at(0.5).toFixed(1).padStart(7)} ms   p95 ${at(0.95).toFixed(1).padStart(7)} ms   n ${took.length}`);
}
const exact = ({ network, evidence }) => infer(network, evidence);
const ranked = ({ network, evidence, checks }) => worthDoing(network, evidence, checks);
measure('100 faults, 15 seen: causes, exact', made, exact);
measure('100 faults, 15 seen: ranking 35 checks', made, ranked);
const one = largest();
measure(`${one.network.faults.length} faults of a vehicle, 15 seen: causes`, largest, exact);
measure(`${one.network.faults.length} faults of a vehicle, 15 seen: ranking ${one.checks.length}`, largest, ranked);
