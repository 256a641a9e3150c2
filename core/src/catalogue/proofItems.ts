import { lowerFirst } from '../quantity/display.ts';
import { CORNER_NAME, type Corner } from '../layout/kinds.ts';
import { isSaidOf, isSeenInReservoir, observationFacts, observedCode, slotOfObservation } from './observations.ts';

export type ProofResult = 'passed' | 'failed' | 'none' | 'gone' | 'less' | 'same' | 'not_tried';

/** Something that has to be proved standing or on the road before hand-back. */
export interface ProofItem {
  /** Stable name: what a proof refers to. */
  readonly item: string;
  readonly corner: Corner | null;
  readonly question: string;
  readonly how: string;
  readonly answers: readonly ProofResult[];
  /** What has to be said with *passed* and *failed*: figures and where; null where nothing has. */
  readonly asks: ProofAsks | null;
}

/** What a proof is told with: how the field is labelled, and whether a figure has to be in it. */
export interface ProofAsks {
  readonly label: string;
  readonly figure: boolean;
  /** How far it was driven, and what was felt, are asked as well. */
  readonly road?: boolean;
}

/** The first press: before the engine moves a wheel, and before any other proof. */
export const FIRST_PRESS = 'first_press';

/** A control that somebody presses, as far as proofs ask for it. */
interface AskedControl {
  readonly slotId: string;
  /** As it begins a sentence: Pedal, Hand lever. */
  readonly name: string;
  /** It presses fluid. */
  readonly wet: boolean;
  /** Something that it presses was moved or renewed: it does not know yet where that stands. */
  readonly pushed: boolean;
  /** A servo helps it: the vacuum is used up before it is held. */
  readonly servo: boolean;
}

/** Between an item and the control that it is asked of, where a vehicle has several. */
const OF_CONTROL = '~';

/** What is asked, whichever control it is asked of. */
export function itemBase(item: string): string {
  return item.split(OF_CONTROL)[0] ?? item;
}

/** The place of the control that an item is asked of; null where it is not asked by control. */
export function controlOfItem(item: string): string | null {
  return item.split(OF_CONTROL)[1] ?? null;
}

export const RESULT_WORD: Readonly<Record<ProofResult, string>> = {
  passed: 'Passed',
  failed: 'Failed',
  none: 'It has none',
  gone: 'Gone',
  less: 'Less',
  same: 'The same',
  not_tried: 'Cannot be tried here',
};

const CHECK: readonly ProofResult[] = ['passed', 'failed', 'not_tried'];
/** Of what not every vehicle has. */
const IF_ANY: readonly ProofResult[] = ['passed', 'failed', 'none', 'not_tried'];
const AGAIN: readonly ProofResult[] = ['gone', 'less', 'same', 'not_tried'];

/** How the stored name of what was seen at Trace and is asked again begins; its observation follows. */
const AGAIN_ITEM = 'again:';

/** Whether an item asks for what was seen at Trace. */
export function asksAgain(item: string): boolean {
  return item.startsWith(AGAIN_ITEM);
}

/** Whether an item can only be answered on the road: the road itself, and what was complained of or felt before. */
export function isAskedOnTheRoad(item: string): boolean {
  return item === 'road_walk' || item === 'road' || item === 'complaint' || asksAgain(item);
}

/** Answers that close an item. */
export function proofCloses(result: ProofResult): boolean {
  return result === 'passed' || result === 'none' || result === 'gone' || result === 'less';
}

/** What was seen at Trace that keeps a vehicle off the road while it is there: no waiver passes it. Source: handbook 60, Proving. */
const HAZARDS: readonly string[] = [
  'pedal_hard_no_stop',
  'pedal_low_pumps_up',
  'pedal_sinks',
  'pedal_to_floor',
  'pedal_no_return',
  'no_braking',
  'locked',
  'fluid_at_wheel',
  'level_empty',
  'wet_below_master',
  'hose_bad',
  'line_rusted',
  'tightens_warm',
];

/** Whether an item asks again for what must not be there when the vehicle is driven. */
export function isHazard(item: string): boolean {
  return asksAgain(item) && HAZARDS.includes(itemBase(item).slice(AGAIN_ITEM.length));
}

/** What stands on its own answer, never on a reason: that the pedal holds, comes back, and lets go. */
const NEVER_WAIVED: readonly string[] = [FIRST_PRESS, 'pedal_hold', 'pedal_reserve', 'pedal_return', 'release', 'leak_look', 'clutch'];

/** Whether a note says why something cannot be tried. */
export function saysWhy(note: string): boolean {
  return (note.match(/\p{L}/gu)?.length ?? 0) >= 4;
}

/** Whether a lead may pass an item that was answered otherwise than passed, with a reason. */
export function mayBeWaived(item: string, result: ProofResult, note: string): boolean {
  if (result === 'not_tried' && !saysWhy(note)) return false;
  if (asksAgain(item) || item === 'complaint') return !isHazard(item);
  return result === 'not_tried' && !NEVER_WAIVED.includes(itemBase(item)) && !isAskedOnTheRoad(item);
}

/** A unit that came without its vehicle. */
interface AskedUnit {
  readonly slotId: string;
  readonly name: string;
  /** It has pistons that move, and it holds fluid. */
  readonly moves: boolean;
  readonly wet: boolean;
}

interface AskedOf {
  readonly complaint: string;
  readonly seen: readonly { readonly code: string; readonly corner: Corner | null }[];
  readonly hydraulic: boolean;
  /** Pedals and levers that press brakes. */
  readonly controls: readonly AskedControl[];
  /** What else something is asked at by itself: reservoirs, where there are several. */
  readonly reservoirs?: readonly { readonly slotId: string; readonly name: string; readonly plain: boolean }[];
  readonly parking: boolean;
  /** The parking brake is on the propeller shaft: it holds through both driven wheels. Source: handbook 58, D02. */
  readonly onShaft?: boolean;
  readonly corners: readonly Corner[];
  /** Units that came without their vehicle: nothing is pressed, held or driven. */
  readonly units?: readonly AskedUnit[] | null;
  /** Two circuits under one control: a lamp tells when their pressures differ. */
  readonly tandem: boolean;
  /** A clutch of its own hydraulics was touched. */
  readonly clutch?: boolean;
}

type Asked = Pick<ProofItem, 'question' | 'how'> & Partial<Pick<ProofItem, 'answers' | 'corner' | 'asks'>>;
const item = (id: string, { question, how, answers = CHECK, corner = null, asks = null }: Asked): ProofItem => ({
  ...{ item: id, corner, question, how, answers, asks },
});

/** What the owner complained of, and what was seen at Trace, in the same words. */
function askedAgain(input: AskedOf): ProofItem[] {
  const complaint = input.complaint.trim();
  return [
    ...(complaint
      ? [item('complaint', { question: complaint, how: 'The complaint, asked again in the owner’s words.', answers: AGAIN })]
      : []),
    // What only a check brought out is not asked again in words.
    ...input.seen.flatMap(({ code, corner }) => {
      const text = observationFacts(code)?.text;
      if (text === undefined) return [];
      const where = slotOfObservation(code);
      const reservoir = isSeenInReservoir(observedCode(code)) ? (input.reservoirs ?? []).find((r) => isSaidOf(code, r)) : undefined;
      const at = corner ? CORNER_NAME[corner] : (reservoir ?? input.controls.find((c) => c.slotId === where))?.name;
      const question = at ? `${at}: ${lowerFirst(text)}` : text;
      return [item(`${AGAIN_ITEM}${code}`, { question, how: 'Seen at Trace, asked again in the same words.', answers: AGAIN, corner })];
    }),
  ];
}

/** What is proved of units without their vehicle, each by itself. */
function ofUnits(units: readonly AskedUnit[]): ProofItem[] {
  const each = (id: string, which: (u: AskedUnit) => boolean, words: string, how: string, answers = CHECK): ProofItem[] =>
    units.filter(which).map((u) => {
      const question = units.length > 1 ? `${u.name}: ${lowerFirst(words)}` : words;
      return item(units.length > 1 ? `${id}${OF_CONTROL}${u.slotId}` : id, { question, how, answers });
    });
  return [
    ...each(
      'bench_moves',
      (u) => u.moves,
      'Every piston moves by itself and goes back',
      'On the bench, with the least pressure; each by itself.',
    ),
    ...each(
      'bench_tight',
      (u) => u.wet,
      'Tight under pressure on the bench',
      'With fluid, never air: held low for 5 min, then high for 2, looked at with card; say so where it takes no fluid.',
      IF_ANY,
    ),
    ...each(
      'packed',
      () => true,
      'Ports plugged, machined faces covered',
      'As it leaves: nothing may get in, and nothing may rust on the way.',
    ),
  ];
}

/** What is proved at each pedal and lever, apart from the others. */
function ofControls({ controls, corners }: AskedOf): ProofItem[] {
  const several = controls.length > 1;
  const each = (id: string, which: (c: AskedControl) => boolean, ask: (c: AskedControl) => Asked): ProofItem[] =>
    controls.filter(which).map((c) => item(several ? `${id}${OF_CONTROL}${c.slotId}` : id, ask(c)));
  return [
    ...each(
      'servo',
      (c) => c.servo,
      (c) => ({
        question: `Servo helps the ${lowerFirst(c.name)}, and holds its vacuum`,
        how: 'Vacuum used up, foot held on it, engine started: it falls a little. Stopped again, it still helps once or twice.',
      }),
    ),
    ...each(
      'pedal_hold',
      (c) => c.wet,
      (c) => ({
        question: `${c.name} held for 60 s does not sink`,
        how: c.servo ? 'Once hard and once light, engine stopped, servo vacuum used up.' : 'Once hard and once light.',
      }),
    ),
    ...each(
      'pedal_reserve',
      () => true,
      (c) => ({
        question: `${c.name} has reserve, and its free play`,
        how: c.wet
          ? 'How much is left of its travel under a hard press; play before the push-rod touches.'
          : 'How much is left of its travel under a hard pull; play before the linings touch.',
      }),
    ),
    ...each(
      'pedal_return',
      () => true,
      (c) => ({ question: `${c.name} returns fully, with free play`, how: 'By hand and by foot, its switch as well.' }),
    ),
    ...each(
      'stop_lamp',
      () => true,
      (c) => ({
        question: several ? `Stop lamps light from the ${lowerFirst(c.name)}` : 'Stop lamps light, and go out',
        how: 'At the beginning of its travel, and out again by itself.',
        answers: IF_ANY,
      }),
    ),
    ...corners.map((corner) =>
      item('release', {
        ...{ corner, question: `${CORNER_NAME[corner]} wheel turns at once after a hard press` },
        how: 'Press hard, let go, push the wheel lightly.',
      }),
    ),
  ];
}

/**
 * The list of proofs a vehicle owes before hand-back, from its complaint, what was seen at Trace, and its layout. What a
 * control does is asked of each control.
 * Source: handbook 60, Proving; 58, D01.
 */
export function proofItems(input: AskedOf): ProofItem[] {
  const again = askedAgain(input);
  if (input.units) return [...again, ...ofUnits(input.units)];
  const several = input.controls.length > 1;
  const firsts = input.controls
    .filter((c) => c.wet && c.pushed)
    .map((c) =>
      item(several ? `${FIRST_PRESS}${OF_CONTROL}${c.slotId}` : FIRST_PRESS, {
        question: `${c.name} pumped up: high, and staying`,
        how: 'In short strokes, the level watched, before the engine moves a wheel and before anything else is proved.',
      }),
    );
  return [
    ...firsts,
    ...again,
    ...ofControls(input),
    ...(input.clutch
      ? [
          item('clutch', {
            question: 'Clutch frees fully, and its pedal comes back',
            how: 'Its cylinders looked at with card while it is held down.',
          }),
        ]
      : []),
    ...(input.hydraulic
      ? [
          ...(input.tandem
            ? [
                item('warning_lamps', {
                  question: 'Level and pressure-difference lamps light and go out',
                  how: 'Where the vehicle has them; say so where it has none.',
                  answers: IF_ANY,
                }),
              ]
            : []),
          item('hose_clear', {
            question: 'Hoses and lines clear of everything',
            how: 'At full lock both ways, at full droop and full bump.',
          }),
          item('leak_look', { question: 'No leak at any union, bleeder or unit', how: 'Held under pressure, looked at with card.' }),
        ]
      : []),
    ...(input.parking
      ? [
          item('parking', {
            question: 'Parking brake holds and lets go',
            how: input.onShaft
              ? 'On the slope that it has to hold on, both driven wheels on the ground: with one lifted it holds nothing. Never by driving.'
              : 'On the slope that it has to hold on, or against a pull that is read off.',
            asks: { label: 'Which wheels it holds', figure: false },
          }),
          item('parking_drag', {
            question: 'Let go, the parking brake does not drag',
            how: 'Pulled once and let go, then each wheel that it holds turned by itself.',
          }),
        ]
      : []),
    item('road_walk', {
      question: 'First stops at walking pace, off the road',
      how: input.parking ? 'In a closed place, with the parking brake proved.' : 'In a closed place, with room to roll out.',
    }),
    item('road', {
      question: 'Road test',
      how: 'Straight, even, no pull, no judder, no smell; wheels felt afterwards.',
      asks: { label: 'Where', figure: false, road: true },
    }),
  ];
}

/**
 * What an item asks, in general words, of an answer that stands on record though its vehicle does not ask for it: because what
 * called for it was taken back, or because it was proved all the same.
 * @param name the control that it is asked of, as it begins a sentence
 */
export function questionOf(item: string, corner: Corner | null, name = 'Pedal'): string {
  const base = itemBase(item);
  const everything = proofItems({
    ...{ complaint: 'The complaint', hydraulic: true, parking: true, tandem: true, clutch: true, corners: corner ? [corner] : [] },
    seen: asksAgain(item) ? [{ code: item.slice(AGAIN_ITEM.length), corner }] : [],
    controls: [{ slotId: '', name, wet: true, pushed: true, servo: true }],
  });
  const ofUnit = ofUnits([{ slotId: '', name, moves: true, wet: true }]);
  return [...everything, ...ofUnit].find((i) => i.item === base || i.item === item)?.question ?? 'What nobody asks any more';
}
