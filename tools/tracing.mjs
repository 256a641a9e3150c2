import { SHIFTS, TABLES } from '@dauer/core/catalogue';
import { conditionOnAnyFault, infer, seededUniform } from '@dauer/core/inference';
import { DomainError } from '@dauer/core/quantity';
import { buildLayout, cornersOf, TEMPLATES } from '@dauer/core/layout';
import { meaningful, networkOf } from '@dauer/core/stages';
import { answersTo, sampleCase, isIdentified, ownerReport, proposedCheck } from '@dauer/core/views';
import { say } from './lib/say.mjs';

/**
 * How good tracing is on vehicles whose faults are known: sampled from the network's own priors, kept with one to four
 * faults; what an owner notices is told first, then up to eight checks are done, each answered as the faults would have it.
 * `npm run tracing -- 1000` says how many vehicles; the same number gives the same vehicles. `--shaken` draws them from shaken
 * tables, weighed with the tables as they are.
 */
const VEHICLES = Number(process.argv[2] ?? 1000);
const MAX_CHECKS = 8;
const random = seededUniform(20261126);
const pick = (list) => list[Math.floor(random() * list.length)];

/**
 * The same network with its tables shaken: every strength moved by up to 0.15 and clipped to 0.02 and 0.98, every prior by a
 * factor between a half and two, a tenth of the links dropped.
 */
function shaken(network) {
  const moved = (s) => Math.min(0.98, Math.max(0.02, s + (2 * random() - 1) * 0.15));
  return {
    ...network,
    faults: network.faults.map((f) => ({ ...f, prior: Math.min(0.98, f.prior * 2 ** (2 * random() - 1)) })),
    observations: network.observations.map((o) => ({
      ...o,
      strengths: Object.fromEntries(Object.entries(o.strengths).flatMap(([f, s]) => (random() < 0.1 ? [] : [[f, moved(s)]]))),
    })),
  };
}
/** Water in old fluid is reckoned with before anything is asked: it is weighed like the rest, and is neither a hit nor a place. */
const traced = (network) => network.faults.map((f) => f.kind.per !== 'fluid');
/** A vehicle with hidden faults, and everything that would be seen of them. */
function sample() {
  let n = 0;
  const layout = buildLayout(pick(TEMPLATES).id, 'layout', 'vehicle', () => `i${(n += 1)}`);
  const shifts = new Set(SHIFTS.filter((s) => s !== 'fresh' && random() < 0.25));
  const network = networkOf(layout, { years: new Map(), yearsOfAll: 1 + random() * 14, shifts, fresh: new Set() }, TABLES);
  const truth = process.argv.includes('--shaken') ? shaken(network) : network;
  const hidden = process.argv.includes('--any') ? sampleCase(truth, random, Infinity) : sampleCase(truth, random);
  const of = traced(network);
  const present = hidden.present.map((on, i) => on && of[i]);
  const count = present.filter(Boolean).length;
  return count === 0 ? sample() : { layout, network, hidden, traced: of, present, count };
}
/** The posterior of every fault; null where more hangs together than can be weighed exactly. */
function exactly(network, evidence) {
  try {
    return infer(network, evidence);
  } catch (error) {
    if (error instanceof DomainError && error.code === 'too_large') return null;
    throw error;
  }
}
/** What stands first after what was seen; null where it cannot be weighed exactly: no check is ranked then, and nothing more is found. */
function found({ network, traced: of, present }, observations) {
  // Kept with at least one fault: it is known that there is one.
  const evidence = { observations, certain: {} };
  const exact = exactly(network, evidence);
  if (!exact) return null;
  const { posterior } = conditionOnAnyFault(network, evidence, exact);
  return {
    all: isIdentified(
      present,
      posterior.map((p, i) => (of[i] ? p : 0)),
    ),
    posterior,
  };
}
/** What the rounds were priced at before they were priced as a bench has them, minutes at once and each wheel: for minutes that compare. */
const FORMER_PRICE = { wheels_off: [6, 6], spin_all: [6, 4], hand_all: [6, 7], gauge_all: [8, 9] };
const formerPrice = (check, wheels) => {
  const [once, each] = FORMER_PRICE[check.kind.id] ?? [];
  return once === undefined ? check.minutes : once + each * wheels;
};
const ORDERS = {
  // Of the three proposed, the one that changes most.
  proposed: (v, observations, left) => proposedCheck(v.network, observations, left),
  listed: (_v, _o, left) => left[0],
  random: (_v, _o, left) => pick(left),
};

const vehicles = Array.from({ length: VEHICLES }, sample);
const single = vehicles.filter((v) => v.count === 1).length;
say(`${VEHICLES} vehicles, ${single} with one fault, ${VEHICLES - single} with two to four`);
const done = new Map();
for (const [name, order] of Object.entries(ORDERS)) {
  if (process.argv.includes('--proposed') && name !== 'proposed') continue;
  const hit = { one: 0, more: 0 };
  const minutes = [];
  const formerly = [];
  const bins = Array.from({ length: 10 }, () => ({ n: 0, said: 0, true: 0 }));
  for (const v of vehicles) {
    const observations = { ...ownerReport(v.network, v.hidden) };
    let spent = 0;
    let former = 0;
    let formerAt = 0;
    const path = [];
    let answeredAt = found(v, observations)?.all ? 0 : null;
    /** @type {ReturnType<typeof found> | null} */
    let result = null;
    // On past the eighth check only where the fault is not pinned down yet, for its minutes.
    for (let k = 0; k < MAX_CHECKS || answeredAt === null; k += 1) {
      const left = meaningful(v.network.checks, observations).filter((c) => c.observations.some((id) => observations[id] === undefined));
      const check = order(v, observations, left);
      if (!check) break;
      spent += check.minutes;
      former += formerPrice(check, cornersOf(v.layout).length);
      path.push(check.kind.id);
      if (name === 'proposed' && k < MAX_CHECKS) done.set(check.kind.id, (done.get(check.kind.id) ?? 0) + 1);
      Object.assign(observations, answersTo(check.observations, v.hidden.shows));
      const now = found(v, observations);
      if (!now) break;
      if (k < MAX_CHECKS) result = now;
      if (now.all && answeredAt === null) formerAt = former;
      if (now.all) answeredAt ??= spent;
    }
    result ??= found(v, observations);
    if (!result) continue;
    if (process.argv.includes('--missed') && !result.all && name === 'proposed') {
      const order = result.posterior.map((p, i) => [p, i]).sort((a, b) => b[0] - a[0]);
      const id = (i) => v.network.faults[i].id.slice(0, 24);
      say(
        `${path.join(' ')} | ${order
          .slice(0, v.count + 2)
          .map(([p, i]) => `${id(i)} ${p.toFixed(2)}`)
          .join(
            ', ',
          )} | missed ${v.hidden.present.flatMap((on, i) => (on ? [`${id(i)} ${result.posterior[i].toFixed(2)} #${order.findIndex((o) => o[1] === i) + 1}`] : [])).join(', ')}`,
      );
    }
    if (result.all) hit[v.count === 1 ? 'one' : 'more'] += 1;
    minutes.push(answeredAt ?? spent);
    formerly.push(answeredAt === null ? former : formerAt);
    result.posterior.forEach((p, i) => {
      const bin = bins[Math.min(9, Math.floor(p * 10))];
      bin.n += 1;
      bin.said += p;
      if (v.hidden.present[i]) bin.true += 1;
    });
  }
  const share = (n, of) => `${((100 * n) / Math.max(1, of)).toFixed(1)} %`;
  const meanOf = (list) => list.reduce((s, m) => s + m, 0) / list.length;
  say(
    `${name.padEnd(9)} one fault in the first three: ${share(hit.one, single)}; two to four all in the first k + 2: ${share(hit.more, VEHICLES - single)}; minutes to it ${meanOf(minutes).toFixed(1)}, with rounds at their former prices ${meanOf(formerly).toFixed(1)}`,
  );
  if (name === 'proposed')
    for (const [i, b] of bins.entries())
      if (b.n > 0)
        say(
          `  said ${i * 10} to ${i * 10 + 10} %: ${b.n} times, said ${((100 * b.said) / b.n).toFixed(1)}, true ${((100 * b.true) / b.n).toFixed(1)} %`,
        );
}

if (process.argv.includes('--checks'))
  say(
    [...done]
      .sort((a, b) => b[1] - a[1])
      .map(([k, n]) => `${k} ${n}`)
      .join(', '),
  );
