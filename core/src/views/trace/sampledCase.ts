import type { Evidence } from '../../inference/faultNetwork.ts';
import type { VehicleNetwork } from '../../stages/trace/network.ts';

/** A made-up vehicle: what is wrong with it, and what would be seen of it. */
export interface HiddenTruth {
  /** Of each fault, in the order of the network's. */
  readonly present: readonly boolean[];
  /** What of the observations would be seen, by their ids. */
  readonly shows: ReadonlySet<string>;
}

/** At least one fault, and no more than these. */
const MAX_HIDDEN = 4;
const MAX_TRIES = 100_000;

/**
 * Draws faults from the network's own priors, kept where one to four came out, and what would be seen of them.
 * @param random even numbers from 0 up to 1
 * @param most faults at once
 */
export function sampleCase(network: VehicleNetwork, random: () => number, most = MAX_HIDDEN): HiddenTruth {
  let present: boolean[] = [];
  for (let n = 0; n < MAX_TRIES; n += 1) {
    present = network.faults.map((f) => random() < f.prior);
    const count = present.filter(Boolean).length;
    if (count >= 1 && count <= most) break;
  }
  const shows = network.observations.flatMap((o) => {
    const none = network.faults.reduce((q, f, i) => (present[i] ? q * (1 - (o.strengths[f.id] ?? 0)) : q), 1 - o.leak);
    return random() < 1 - none ? [o.id] : [];
  });
  return { present, shows: new Set(shows) };
}

/** What owners tell of unasked, or when asked at the counter. */
const OWNER: ReadonlySet<string> = new Set([
  ...[
    'pedal_spongy',
    'pedal_sinks',
    'pedal_to_floor',
    'pedal_hard_no_stop',
    'pedal_pulses',
    'pedal_no_return',
    'pulls_left',
    'pulls_right',
  ],
  ...['judder', 'locks_front', 'locks_rear', 'long_stop', 'smell', 'noise', 'tightens_warm', 'park_no_hold', 'park_frozen', 'servo_none'],
  'clutch_spongy',
]);

/** What the owner noticed, and what they say they did not. */
export function ownerReport(network: VehicleNetwork, { shows }: HiddenTruth): Evidence['observations'] {
  return answersTo(
    network.observations.filter((o) => OWNER.has(o.sign.code)).map((o) => o.id),
    shows,
  );
}

/** How a check comes out on a made-up vehicle. */
export function answersTo(ids: readonly string[], shows: ReadonlySet<string>): Evidence['observations'] {
  return Object.fromEntries(ids.map((id) => [id, shows.has(id) ? ('seen' as const) : ('not_seen' as const)]));
}

/** Whether every hidden fault is among the likeliest: one among the first three, k among the first k + 2. */
export function isIdentified(present: readonly boolean[], posterior: readonly number[]): boolean {
  const count = present.filter(Boolean).length;
  const first = posterior
    .map((p, i) => ({ p, i }))
    .sort((a, b) => b.p - a.p || a.i - b.i)
    .slice(0, count + 2)
    .map(({ i }) => i);
  return present.every((on, i) => !on || first.includes(i));
}
