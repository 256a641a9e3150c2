import { buildLayout, infer, networkOf, SHIFTS, TABLES, TEMPLATES, worthOf } from '@dauer/core';
import { say } from './lib/say.mjs';

/**
 * How good tracing is on vehicles whose faults are known: sampled from the network's own priors, kept with one to four
 * faults; what an owner notices is told first, then up to eight checks are done, each answered as the faults would have it.
 * `npm run tracing -- 1000` says how many vehicles. The same number gives the same vehicles.
 */
const VEHICLES = Number(process.argv[2] ?? 1000);
const MOST_CHECKS = 8;
/** What an owner tells of by himself, or when he is asked at the counter. */
const OWNER =
  /^(pedal_(spongy|sinks|to_floor|hard_no_stop|pulses|no_return)|pulls_|judder|locks_|long_stop|smell|noise|tightens_warm|park_(no_hold|frozen)|servo_none)/;

let state = 20261126;
const random = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 2 ** 32;
};
const pick = (list) => list[Math.floor(random() * list.length)];

/** A vehicle with hidden faults, and everything that would be seen of them. */
function sample() {
  for (;;) {
    let n = 0;
    const layout = buildLayout(pick(TEMPLATES).id, 'layout', 'vehicle', () => `i${(n += 1)}`);
    const shifts = new Set(SHIFTS.filter((s) => s !== 'fresh' && random() < 0.3));
    const network = networkOf(layout, { years: new Map(), yearsOfAll: 2 + random() * 18, shifts, fresh: new Set() }, TABLES);
    const present = network.faults.map((f) => random() < f.prior);
    const count = present.filter(Boolean).length;
    if (count < 1 || count > 4) continue;
    const truth = new Map(
      network.observations.map((o) => {
        const none = network.faults.reduce((q, f, i) => (present[i] ? q * (1 - (o.strengths[f.id] ?? 0)) : q), 1 - o.leak);
        return [o.id, random() < 1 - none];
      }),
    );
    return { network, present, count, truth };
  }
}
const known = ({ network, truth }) =>
  Object.fromEntries(network.observations.filter((o) => OWNER.test(o.sign.code)).map((o) => [o.id, truth.get(o.id) ? 'seen' : 'not_seen']));
/** Whether all faults are among the first so many. */
function found({ network, present, count }, observations) {
  const { posterior } = infer(network, { observations, certain: {} });
  const first = posterior
    .map((p, i) => [p, i])
    .sort((a, b) => b[0] - a[0])
    .slice(0, count === 1 ? 3 : count + 2)
    .map(([, i]) => i);
  return { all: present.every((on, i) => !on || first.includes(i)), posterior };
}
const ORDERS = {
  proposed: (v, observations, left) => worthOf(v.network, { observations, certain: {} }, left)[0]?.check,
  listed: (_v, _o, left) => left[0],
  random: (_v, _o, left) => pick(left),
};

const vehicles = Array.from({ length: VEHICLES }, sample);
const single = vehicles.filter((v) => v.count === 1).length;
say(`${VEHICLES} vehicles, ${single} with one fault, ${VEHICLES - single} with two to four`);
for (const [name, order] of Object.entries(ORDERS)) {
  const hit = { one: 0, more: 0 };
  const minutes = [];
  const bins = Array.from({ length: 10 }, () => ({ n: 0, said: 0, true: 0 }));
  for (const v of vehicles) {
    const observations = known(v);
    let spent = 0;
    let answeredAt = found(v, observations).all ? 0 : null;
    let result = null;
    for (let k = 0; k < MOST_CHECKS; k += 1) {
      const left = v.network.checks.filter((c) => c.observations.some((id) => observations[id] === undefined));
      const check = order(v, observations, left);
      if (!check) break;
      spent += check.minutes;
      for (const id of check.observations) observations[id] ??= v.truth.get(id) ? 'seen' : 'not_seen';
      result = found(v, observations);
      if (result.all && answeredAt === null) answeredAt = spent;
    }
    result ??= found(v, observations);
    if (result.all) hit[v.count === 1 ? 'one' : 'more'] += 1;
    minutes.push(answeredAt ?? spent + 30);
    result.posterior.forEach((p, i) => {
      const bin = bins[Math.min(9, Math.floor(p * 10))];
      bin.n += 1;
      bin.said += p;
      if (v.present[i]) bin.true += 1;
    });
  }
  const share = (n, of) => `${((100 * n) / Math.max(1, of)).toFixed(1)} %`;
  const mean = minutes.reduce((s, m) => s + m, 0) / minutes.length;
  say(
    `${name.padEnd(9)} one fault in the first three: ${share(hit.one, single)}; two to four all in the first k + 2: ${share(hit.more, VEHICLES - single)}; minutes to it ${mean.toFixed(1)}`,
  );
  if (name === 'proposed')
    for (const [i, b] of bins.entries())
      if (b.n > 0)
        say(
          `  said ${i * 10} to ${i * 10 + 10} %: ${b.n} times, said ${((100 * b.said) / b.n).toFixed(1)}, true ${((100 * b.true) / b.n).toFixed(1)} %`,
        );
}
