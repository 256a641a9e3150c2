import type { Rung, RungGate, RungOwes } from '../../catalogue/ladders.ts';

/** What is missing before a rung. */
export const RUNG_MISSING: Readonly<Record<RungGate, string>> = {
  whole:
    'Only while it sits in its place and everything on its circuit is closed: a pedal pressed with another unit open throws that one out.',
  off: 'The unit is still in its place, by the records.',
  opened: 'Only on an open unit: warmth in a closed cylinder bursts it, and no seal that stays is in it.',
  plugged: 'No plug or cap is on record: what is pumped in comes out at the other ports.',
  hand: 'The hand of its thread is not on record: find out which way it is undone before the first pull.',
};
/** What a rung has left owed. */
const RUNG_OWES: Readonly<Record<RungOwes, string>> = {
  seals: 'every seal new',
  bore: 'its bore gauged again',
  drum: 'its diameter gauged again',
  renewed: 'another part in its place',
};
export const TRY_REFUSED = {
  no_rung: 'The ladder of this place has no such rung.',
  minutes: 'A try takes between 1 minute and 10 hours.',
  moves: 'It was told that it moves: take that back, or say that it is found seized again.',
  away: 'It was sent out and is not back: nothing is done to it here.',
} as const;

export const owesWords = (owes: readonly RungOwes[]): string => owes.map((o) => RUNG_OWES[o]).join(', ');

/** What a rung takes, how often it does it, and what has to hold before it. */
export function rungWords({ minutes, chance, waits, needs }: Rung): string {
  return [`${minutes} min, moves about ${Math.round(chance * 100)} %${waits > 0 ? `, left ${waits} h` : ''}`, needs ?? '']
    .filter(Boolean)
    .join('. ');
}
