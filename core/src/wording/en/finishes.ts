import type { CoatState } from '../../ledger/families/coatLooks.ts';
import type { Coat, CoatWay, Gloss } from '../../ledger/families/coats.ts';
import { lowerFirst } from '../../quantity/display.ts';
import { partialDateText } from '../../quantity/partialDate.ts';

export const COAT_WAY_NAME: Readonly<Record<CoatWay, string>> = {
  ...{ brush: 'By brush', spray: 'By gun or can', powder: 'Powder', plate: 'Plated', unknown: 'Not said' },
};
export const GLOSS_NAME: Readonly<Record<Gloss, string>> = { matt: 'Matt', satin: 'Satin', gloss: 'Gloss', unknown: 'Not said' };
export const COAT_STATE_NAME: Readonly<Record<CoatState, string>> = {
  ...{ sound: 'Sound', chipped: 'Chipped', lifting: 'Lifting', rust: 'Rust under it', burnt: 'Burnt' },
};

export const FINISH_REFUSED = {
  notCoated: 'That record does not say that a part was coated, or it was taken back.',
  where: 'Say where, and how much of it.',
} as const;

/** The fields of a finish, and what is asked of one at the next visit. */
export const FINISH_FIELD = {
  way: 'How it goes on',
  colour: 'Colour',
  gloss: 'Gloss',
  coats: 'Coats',
  coatsWrong: 'Coats are counted: a whole number from 1 to 12, or nothing.',
  batch: 'Batch, where others went with it',
  asks: (place: string): string => `How does the finish of the ${lowerFirst(place)} look now?`,
  note: 'Where, and how much of it',
  keep: 'Enter it',
  not: 'Not now',
} as const;

/** A finish in a line: "Black, satin, powder, 2 coats, batch Front drums; cured by its clock on 3 Nov 2026". */
export function finishWords(note: string, coat: Coat | null, cured: { readonly by: 'clock' | 'air'; readonly on: string }): string {
  const said = coat
    ? [
        coat.colour,
        coat.gloss === 'unknown' ? '' : GLOSS_NAME[coat.gloss].toLowerCase(),
        coat.way === 'unknown' ? '' : lowerFirst(COAT_WAY_NAME[coat.way]),
        coat.coats === null ? '' : `${coat.coats} ${coat.coats === 1 ? 'coat' : 'coats'}`,
        coat.batch === '' ? '' : `batch ${coat.batch}`,
      ]
    : [];
  const what = [note, ...said].filter((s) => s !== '').join(', ');
  return `${what === '' ? 'Coated' : what}; cured ${cured.by === 'clock' ? 'by its clock on' : 'in air from'} ${partialDateText({ on: cured.on, about: false })}`;
}
