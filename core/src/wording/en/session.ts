/** What is said of a session of bleeding. */

/** Why a step is not taken. The reasons are named in stages; wording leans on nothing above it. */
export const SESSION_REFUSED = {
  session_over: 'This session is over. Begin another.',
  session_elsewhere: 'Another device counts in this session. It is taken over by name, with the server there.',
  reservoir_low: 'Stop: the next stroke could draw air in. Fill the reservoir, or say what is really in it.',
  wrong_fluid:
    'That is fluid of another kind. Stop here: nothing of it goes in; if it did, every rubber part is renewed and the circuit flushed.',
  not_in_session: 'That is no bleeder of this session: it has the circuits of one reservoir.',
  level_beyond: 'The level lies between nothing and the full mark.',
  nothing_drawn: 'Nothing was drawn at this bleeder yet.',
  not_prepared: (what: string): string => `Before the first bleeder it is told: ${what}.`,
  still_open: 'A bleeder stands open: close it while fluid still runs.',
} as const;

/** What is read out where it is switched on: whoever presses the pedal hears it. */
export const SESSION_ALOUD = {
  stroke: (n: number, pressed: boolean): string => (pressed ? `${n}. Up, slowly. Press, and hold.` : String(n)),
  fill: 'Stop. Fill it up.',
  look: 'Look at the level.',
  enough: 'Enough. Hold it. Close.',
  next: (place: string): string => `Next: ${place}.`,
} as const;

/** How long a bleeder took until it ran by itself, s. */
export const FLOW = {
  runs: (s: number): string => `ran after ${Math.floor(s / 60)}:${String(Math.round(s) % 60).padStart(2, '0')}`,
  slow: 'Much later than the others: a hose shut inside, or a port that is not free.',
} as const;

/** What closes a bleeder, with a hand lever or with a pedal. */
export const closingName = (kind: 'closed_under_flow' | 'pedal_felt' | 'dry', byHand: boolean): string =>
  ({ closed_under_flow: 'Closed under flow', pedal_felt: byHand ? 'Lever felt' : 'Pedal felt', dry: 'Wiped, dry' })[kind];

/** Stretches of the way of fluid. */
export const STRETCH = { cylinder: 'cylinder', line: 'line', hose: 'hose' } as const;

/** Why a step of a session is not taken back. */
export const SESSION_RESTS = 'More was counted after it: the last of it is taken back first.';
