import type { Pin } from '../../ledger/families/shopNotes.ts';

/** What a note is pinned to, in words that somebody chooses by. */
export const PIN_NAME: Readonly<Record<Pin, string>> = {
  vehicle: 'This vehicle',
  type: 'Every one of its type',
  unit: 'Every unit like this',
  step: 'This step of the card',
};

export const NOTE = {
  title: 'Pinned here',
  pin: 'Pin a note',
  otherSide: 'from the other side',
  useful: (times: number): string =>
    times === 0 ? '' : times === 1 ? 'helped once' : times === 2 ? 'helped twice' : `helped ${times} times`,
  helped: 'It helped',
  wrong: 'No longer so',
  arrow: 'Tap the picture where it points.',
  words: 'What whoever comes next should know',
  to: 'Pinned to',
  keep: 'Pin it',
  not: 'Not now',
  why: 'Why it is no longer so',
  strike: 'Take it down',
  picture: 'picture',
  takeBack: 'Take back',
} as const;

/** Why a note is not pinned, or nothing is said of it. */
export const NOTE_REFUSED = {
  noPlace: 'The vehicle has no such place.',
  words: 'Say it in a few words at least.',
  picture: 'That picture is not on record. Take it first.',
  arrow: 'An arrow points at a picture: choose one.',
  type: 'Its type is not known: neither make nor model stands on record.',
  unit: 'A note for every unit like this names the kind of the unit that it was found out at.',
  step: 'That card does not run here, or has no such step.',
  noNote: 'That note is not pinned here. Load the job again.',
  struck: 'Somebody has said already that it is no longer so.',
  said: 'You have said already on this job that it helped.',
  leadOnly: 'Whoever wrote it, or a lead, says that it is no longer so.',
  why: 'Say why it is no longer so: a few words at least.',
} as const;
