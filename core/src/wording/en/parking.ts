import type { Control } from '../../layout/reach.ts';
import type { Slot } from '../../layout/graph.ts';
import type { Standing } from '../../ledger/families/parkings.ts';
import type { PutInKind } from '../../ledger/families/putIns.ts';
import type { ParkGap } from '../reasons.ts';
import { lower } from './lower.ts';
import { PUT_IN_NAME } from './places.ts';
import { workedBy } from './readiness.ts';

export const STANDING_NAME: Readonly<Record<Standing, string>> = {
  wheels: 'Its wheels',
  stands: 'Axle stands',
  lift: 'The lift',
  dollies: 'Dollies',
  trailer: 'A trailer',
  bench: 'The bench: units only',
};

/** What stands in the way of leaving a vehicle, in a sentence that says what to do. */
export function parkGapWords(gap: ParkGap): string {
  switch (gap.kind) {
    case 'port':
      return `A port stands open at the ${gap.joint}, with no cap or plug on record. Cap it.`;
    case 'bleeder':
      return `The ${lower(gap.slot)} was left open. Close it.`;
    case 'bleeding':
      return 'A bleeding is under way. End it first.';
    case 'hangs':
      return `The ${lower(gap.slot)} is off with its line on. Hang it on a wire, never on its hose.`;
    case 'board':
      return `${gap.control.name}: do not ${workedBy(gap.control)} it, and nothing on it says so. Put a board there.`;
  }
}

/** What is entered where a gap is closed by one press. */
export const GAP_CLOSED = {
  port: (joint: string): string => `Capped: ${joint}`,
  hangs: (slot: Slot): string => `Hangs on a wire: ${lower(slot)}`,
  board: (control: Pick<Control, 'name'>): string => `A board lies on the ${control.name.toLowerCase()}`,
};

export const PARK_REFUSED = {
  already: 'This job is parked already. Whoever goes on with it takes it over first.',
  notParked: 'This job is not parked so any more. Read it again.',
  held: 'Say what keeps it from rolling or falling.',
  knows: 'Say who knows of it.',
  behind: 'The day until which it stands lies behind.',
  first: 'This job is parked. Read what stands open, and take it over first.',
  gap: parkGapWords,
};

/** What is asked of whoever leaves a job standing. */
export const PARK_FIELD = {
  how: 'How it is left',
  standsOn: 'It stands on',
  standsOnWhat: 'Say what it stands on.',
  heldBy: 'What keeps it from rolling or falling',
  heldByFor: 'Chocks at both rear wheels, in gear',
  tray: 'Lies in its tray',
  knows: 'Who knows of it',
  waitsFor: 'What it waits for',
  until: 'Until about',
  park: 'Park it',
  before: (things: number): string => (things === 1 ? 'One thing comes before.' : `${things} things come before.`),
} as const;

/** What stands on the card on the windscreen, line by line. */
export const PARKED = {
  title: 'Parked',
  press: (control: Pick<Control, 'kind' | 'name'>): string => `${control.name}: do not ${workedBy(control)}`,
  inside: (what: PutInKind, slot: Slot): string => `${PUT_IN_NAME[what]} at the ${lower(slot)}`,
  off: (slot: Slot, where: string): string => `${lower(slot)}${where === '' ? '' : `, ${where}`}`,
  card: (place: Slot, done: number, all: number, next: string | null): string =>
    `Card of the ${lower(place)}: ${done} of ${all} steps${next === null ? '' : `; next: ${next}`}`,
  by: (who: string, day: string): string => `by ${who}, ${day}.`,
  until: (day: string): string => `until about ${day}`,
  printed: (day: string): string => `As of ${day}.`,
  before: 'Nothing is entered before somebody has read how it was left.',
  read: 'Read it, and take it over',
  nothingOpen: 'Nothing stands open.',
  nothingOff: 'Nothing is off.',
  waits: (what: string): string => (what === '' ? 'somebody to take it over: parked' : `${what}: parked`),
  sections: {
    press: 'Do not press',
    move: 'May it be moved',
    stands: 'It stands on',
    held: 'Held by',
    open: 'Stands open',
    off: 'Off the vehicle',
    inside: 'Put in, and to come out',
    running: 'Under way',
    waits: 'Waits for',
    knows: 'Who knows',
    next: 'What comes next',
  },
  foot: 'Whoever goes on reads this first, and takes the job over in the book.',
};
