import { MOST_STEPS, type ShopCardFault } from '../../catalogue/cards/shopCard.ts';
import type { CardTellKind } from '../../ledger/families/cardTells.ts';
import type { CardStep, Gate, Lubricant, Need, WorkPlace } from '../../catalogue/cards/types.ts';

/** What a gate says where it is held, and what is missing where it is not. Source: handbook 55, gate. */
export const GATE_WORDS: Readonly<Record<Gate, { readonly held: string; readonly missing: string }>> = {
  made_safe: { held: 'no stored energy', missing: 'The vehicle stores energy and was not made safe: nothing is opened before.' },
  pedal_barred: { held: 'pedal barred', missing: 'Something is open and no board lies on the pedal or lever that presses it.' },
  off: { held: 'unit off', missing: 'The unit still sits in its place, by the records.' },
  capped: { held: 'ports capped', missing: 'No cap or plug is on record at the open line or port.' },
  opened: { held: 'opened', missing: 'The unit was not opened on this job, by the records: its seals cannot be out.' },
  pistons_move: { held: 'pistons move', missing: 'A piston was found seized and nothing on record says that it moves.' },
  bore_holds: { held: 'bore and piston hold', missing: 'The bore or a piston cannot be sealed as it is, by its figures or its pits.' },
  cured: { held: 'finish cured', missing: 'It was coated, and the coat has not had its days to cure.' },
  arrived: { held: 'what goes in is here and looked at', missing: 'What was ordered for this place is not here, or not found right yet.' },
  resealed: { held: 'seals new', missing: 'No new seals are on record.' },
  shoes_set: { held: 'shoes in', missing: 'Shoes are not in their place here.' },
  circuit_closed: { held: 'circuit closed', missing: 'Something that holds fluid is open here: the pedal cannot be pressed.' },
};

/** What stands before a step, in a sentence; what has to be done first is quoted. */
export function needWords(need: Need, words: (id: string) => string): string {
  switch (need.of) {
    case 'record':
      return GATE_WORDS[need.gate].missing;
    case 'after':
      return `First: ${words(need.step)}`;
    case 'since':
      return `Not since the last time it was due: ${words(need.step)}`;
    case 'before':
      return `Too late for this, since it is told as done: ${words(need.step)}`;
  }
}

export const CARD_REFUSED = {
  unknown_step: 'The card of this place has no such step.',
  reason: 'Say why it is not applicable here: a few words at least.',
  by_record: 'A record closes this step: it is told where the part is worked on.',
  torque: 'Its figure closes this step: it is recorded at the torques of this place.',
  figure: 'What is owed here is not gauged yet: the figures close this step.',
  second_self: 'A second look is somebody else’s: whoever did it does not second it.',
  second_new: 'Who looks has done this card before.',
  second_early: 'It is looked at a second time once it is done.',
  no_gate: 'That gate does not stand before this step.',
  hard_gate: 'Nobody passes this gate: what it says is made true.',
  gate_held: 'That gate is open: nothing has to be passed.',
  lead_only: 'A lead passes a gate, with a reason.',
  other_card: 'This card is not the one that serves what is decided here. Load the job again.',
  running: 'A card runs at this place already.',
  not_decided: 'Nothing is decided here that this card serves.',
  away: 'It was sent out and is not back: nothing is done to it here.',
  told_already: 'That step is told already.',
  renewed: 'Another comes in its place: what goes back in is finished.',
  not_off: 'It is finished off the vehicle: take it off first.',
} as const;

export type CardRefusal = keyof typeof CARD_REFUSED;

/** What of a finish comes before rubber goes in and the part goes on. */
export const finishRefused = (words: string): string => `Its finish is not through: “${words}” comes before.`;

/** Finishes by their cards. */
export const FINISH_CARD = {
  by: 'Finish it by its card',
  on: 'On with the finish',
} as const;

/** Why a card cannot be done as somebody wants it; `words` of the step that it is about. */
export function shopCardRefused({ code }: ShopCardFault, words: string): string {
  switch (code) {
    case 'unknown_card':
      return 'There is no such card.';
    case 'unknown_step':
      return 'The card has no such step any more: read it again.';
    case 'twice':
      return `“${words}” is there twice.`;
    case 'cannot_leave':
      return `“${words}” cannot be left out: a unit is not complete without it, a record or a figure closes it, or another step rests on it.`;
    case 'unknown_after':
      return `The step that “${words}” follows is not on the card.`;
    case 'other_group':
      return `“${words}” follows a step of another part of the work.`;
    case 'nothing':
      return `Nothing is said otherwise of “${words}”.`;
    case 'too_many':
      return `A card has ${MOST_STEPS} steps at the most.`;
  }
}

/** The screen of the shop's own cards. */
export const SHOP_CARDS = {
  title: 'Work cards',
  about: 'What every card says, and what this shop does otherwise. A card that runs stays as it was when it was begun.',
  all: 'All cards',
  asShipped: 'As Dauer has it',
  ours: (n: number): string => `ours, version ${n}`,
  change: 'Change',
  changed: 'ours',
  was: (words: string): string => `Dauer says: ${words}`,
  left: 'left out here',
  leave: 'Leave it out',
  back: 'As Dauer has it',
  add: 'Add a step after it',
  addLast: 'Add a step',
  own: 'our own step',
  take: 'Take it away',
  words: 'What is done',
  why: 'Why',
  minutes: 'Minutes',
  ready: 'What must lie ready',
  hazard: 'What hurts somebody here, beside what the card says',
  ownHazard: 'What hurts somebody here',
  kind: 'What it is',
  obliged: 'Not complete without it',
  second: 'A second person looks',
  keep: 'Work by this from now on',
  reason: 'Why the shop does it so',
  drop: 'Drop what was not kept',
  versions: 'Versions',
  again: 'Work by this one again',
  shippedAgain: 'Work by the card as Dauer has it',
  unsaved: 'Not kept yet. Nobody works by it.',
  since: (reason: string, by: string): string =>
    `Another version was kept since this was begun: “${reason}”${by === '' ? '' : `, ${by}`}. What stands here goes in its place.`,
  needsReason: 'Say why the shop does it so, in a few words.',
  minutesWrong: 'Minutes are a whole number from 0 to 600.',
  ownIncomplete: 'A step needs what is done, and why.',
  done: 'Put it in',
  noSuch: 'There is no such card.',
  closes: { part: 'a record of the part closes it', figure: 'its figures close it', torque: 'its torque closes it' },
} as const;

export const WORK_PLACE_NAME: Readonly<Record<WorkPlace, string>> = {
  ...{ vehicle: 'at the vehicle', bench: 'bench', washer: 'washer', bath: 'bath', cabinet: 'blast cabinet', press: 'press' },
  ...{ lathe: 'lathe', oven: 'oven', outside: 'outside' },
};
export const LUBRICANT_NAME: Readonly<Record<Lubricant['what'], string>> = {
  fluid: 'brake fluid',
  kit_grease: 'grease of the kit',
  pin_grease: 'pin grease',
  plate_grease: 'plate grease',
  anti_seize: 'anti-seize',
  bearing_grease: 'bearing grease',
  film: 'thin film',
  none: 'nothing',
};

/** What was told of a step of a card. */
export const CARD_TELL_NAME: Readonly<Record<CardTellKind, string>> = {
  ...{ done: 'Done', not_here: 'Not applicable here', seconded: 'Seconded', passed: 'Passed' },
};
/** Somebody who does a card for the first time. */
export const FIRST_TIME = {
  you: (name: string, known: boolean): string =>
    `You have not worked by this card before, ${name}: at its obligatory steps somebody ${known ? 'who has' : 'else'} looks as well.`,
  all: (n: number): string => (n === 1 ? 'Looked at' : `Looked at all ${n}`),
  waits: (n: number): string => (n === 1 ? 'One step waits for a second look.' : `${n} steps wait for a second look.`),
} as const;
/** What a step asks of who does it, beside its words. */
export const STEP_KIND_NAME: Readonly<Record<CardStep['kind'], string>> = {
  ...{ do: 'done', look: 'looked at', figure: 'gauged', torque: 'drawn up', picture: 'pictured', wait: 'waited for' },
};

/** Why something is not done to a part yet: a step of the card that runs there. */
export const stepRefused = (words: string, why: string): string => `“${words}” ${why}`;
