import { ALUMINIUM_BEARS_C, type HeatedMetal } from '../../catalogue/processes.ts';
import type { Slot } from '../../layout/graph.ts';
import type { Timer } from '../../ledger/families/timers.ts';
import type { TimerStepKind } from '../../ledger/families/timerSteps.ts';
import { fixed } from '../../quantity/display.ts';
import { timeWords } from './estimate.ts';
import { lower } from './lower.ts';

export const HEATED_METAL_NAME: Readonly<Record<HeatedMetal, string>> = {
  iron_or_steel: 'Iron or steel',
  aluminium: 'Aluminium',
  other: 'Another',
};

export const TIMER_STEP_NAME: Readonly<Record<TimerStepKind, string>> = {
  measured: 'Part measured',
  ended: 'Came to its end',
  broken_off: 'Broken off',
};

const windowWords = ({ fromC, toC }: Pick<Timer, 'fromC' | 'toC'>): string => `${fixed(fromC ?? 0, 0)} to ${fixed(toC ?? 0, 0)} °C`;

/** What a clock says of itself. */
export const TIMER = {
  window: windowWords,
  heating: (t: Pick<Timer, 'fromC' | 'toC'>): string => `It counts from when the part, not the oven, is at ${windowWords(t)}. Measure it.`,
  left: (minutes: number): string => `${timeWords(minutes)} left`,
  over: 'Over: say that it came to its end.',
  overOf: (process: string, place: string): string => `${process} at the ${place.toLowerCase()}: over`,
  last: (c: number): string => `${fixed(c, 0)} °C measured`,
  cold: (c: number, t: Pick<Timer, 'fromC' | 'toC'>): string =>
    `${fixed(c, 0)} °C measured: not at ${windowWords(t)}, so it does not count.`,
};

/** A probe that is followed at a clock. */
export const TIMER_FIELD = { probe: 'Probe on the part', follow: 'Follow it', follows: 'Followed' } as const;

/** Why a clock does not begin, or something is not told of it. */
export const TIMER_REFUSED = {
  noPlace: 'The vehicle has no such place.',
  running: 'This runs here already.',
  heat: (hot: boolean): string => (hot ? 'Name the temperature of the part, from and to.' : 'This goes without heat.'),
  window: 'The temperature from lies above the temperature to.',
  sheet: 'Other figures than the usual ones go by the sheet of the product: name it.',
  metal: 'Say what it is made of: heat that iron bears takes the strength of aluminium.',
  aluminium: `Above ${ALUMINIUM_BEARS_C} °C aluminium loses strength. It goes in only by a sheet and the maker’s word: name them.`,
  neverHeated: (slot: Slot): string => `The ${lower(slot)} bears no oven: rubber, lining or plastic.`,
  stillOn: (slot: Slot): string => `The ${lower(slot)} is on. What is heated is off the vehicle.`,
  seals: (slot: Slot): string =>
    `The seals of the ${lower(slot)} are in it, by the records. It is opened first; nothing of rubber is heated.`,
  unknown: 'This clock does not run on this job. Load the job again.',
  ended: 'This clock has ended.',
  noFigure: 'Type the temperature of the part.',
  why: 'Say why it was broken off.',
  heating: (t: Pick<Timer, 'fromC' | 'toC'>): string => `It does not count yet: no measure says that the part is at ${windowWords(t)}.`,
  notOver: (minutes: number): string => `${timeWords(minutes)} are left. Where it was broken off, say so.`,
};
