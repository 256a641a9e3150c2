import { upperFirst } from '../../quantity/display.ts';
import { dueAt } from './service.ts';

/** What a letter says that reminds an owner of what falls due. */
export interface LetterFacts {
  readonly shopName: string;
  /** Null where whoever writes is not shown the name, or there is none. */
  readonly ownerName: string | null;
  readonly vehicle: string;
  /** Each with its day, or the distance where it waits for that, km; `past` where it has come. */
  readonly items: readonly { readonly what: string; readonly day: string | null; readonly km: number | null; readonly past: boolean }[];
  /** Words of the shop; where they are empty, the usual ones. */
  readonly opening: string;
  readonly closing: string;
}

/** The usual words, until a shop has its own. */
export const LETTER_USUAL = {
  opening: 'Our records say that the following falls due on your vehicle. Brakes seldom tell before it is late, so we tell you.',
  closing:
    'Please call us for a day. Until then: if the pedal goes soft or long, a lamp comes on or fluid drips, do not drive it. If somebody else has done the work, tell us and we put it in the record.',
} as const;

/** A letter, or the same as mail text. */
export interface LetterText {
  readonly subject: string;
  readonly greeting: string;
  readonly opening: string;
  readonly items: readonly string[];
  readonly closing: string;
  readonly sign: string;
}

function dueWhen({ day, km, past }: LetterFacts['items'][number]): string {
  if (day !== null) return past ? `due since ${day}` : `by ${day}`;
  return km === null ? 'due' : dueAt(km);
}

export function letterText(f: LetterFacts): LetterText {
  return {
    subject: `${f.vehicle}: due on its brakes`,
    greeting: f.ownerName === null ? 'Good day,' : `Dear ${f.ownerName},`,
    opening: f.opening || LETTER_USUAL.opening,
    items: f.items.map((i) => `${upperFirst(i.what)}: ${dueWhen(i)}`),
    closing: f.closing || LETTER_USUAL.closing,
    sign: f.shopName,
  };
}

/** A letter as the plain text of a mail. */
export function mailText(letter: LetterText): string {
  const items = letter.items.map((i) => `- ${i}`).join('\n');
  return `${letter.greeting}\n\n${letter.opening}\n\n${items}\n\n${letter.closing}\n\n${letter.sign}\n`;
}

export const LETTER_ANSWERS = ['comes', 'later', 'elsewhere', 'no', 'none'] as const;
export type LetterAnswer = (typeof LETTER_ANSWERS)[number];

/** What an owner answered, as it is picked. */
export const LETTER_ANSWER_NAME: Readonly<Record<LetterAnswer, string>> = {
  comes: 'Comes',
  later: 'Later',
  elsewhere: 'Done elsewhere',
  no: 'Does not want it',
  none: 'No answer',
};
