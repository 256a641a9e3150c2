import type { Corner } from '@dauer/core/layout';
import { PEOPLE } from '../shop.ts';
import type { Telling } from '../story.ts';

export const { ines, tomasz, ruth } = { ines: PEOPLE.ines.id, tomasz: PEOPLE.tomasz.id, ruth: PEOPLE.ruth.id };
export const FOUR = ['FL', 'FR', 'RL', 'RR'] as const;
export const FRONT: readonly Corner[] = ['FL', 'FR'];
export const REAR: readonly Corner[] = ['RL', 'RR'];

/** What every vehicle with fluid is asked before it goes. */
export const STANDING = [
  'pedal_hold',
  'pedal_reserve',
  'warning_lamps',
  'hose_clear',
  'leak_look',
  'pedal_return',
  'parking',
  'stop_lamp',
  'road_walk',
  'road',
];

/** What is said with the proofs that ask for it. */
export const SAID: Readonly<Record<string, string>> = {
  parking: '6 clicks; held on the ramp, 1 in 6; both rear wheels',
  road: 'Round the works and the hill',
};

export function proveAll(t: Telling, corners: readonly Corner[], seen: readonly (readonly [string, Corner | null])[] = []): void {
  t.prove('first_press');
  t.prove('complaint', 'gone');
  for (const [code, corner] of seen) t.prove(`again:${code}`, 'gone', corner);
  for (const item of STANDING) t.prove(item, 'passed', null, SAID[item]);
  for (const c of corners) t.prove('release', 'passed', c);
}

export function traced(t: Telling, corners: readonly Corner[]): void {
  t.see('pedal_spongy', 'not_seen');
  t.see('level_low', 'not_seen');
  for (const c of corners) t.see('drags', 'not_seen', c);
  if (t.car.layout.slots.some((s) => s.kind === 'parking_lever')) t.see('park_no_hold', 'not_seen');
}
