import { CORNER_NAME, type Corner } from '../layout/kinds.ts';
import { observationFacts } from './observations.ts';

export type ProofResult = 'passed' | 'failed' | 'gone' | 'less' | 'same' | 'not_tried';

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
}

/** The first press: before the engine moves a wheel, and before any other proof. */
export const FIRST_PRESS = 'first_press';

export const RESULT_WORD: Readonly<Record<ProofResult, string>> = {
  passed: 'Passed',
  failed: 'Failed',
  gone: 'Gone',
  less: 'Less',
  same: 'The same',
  not_tried: 'Not tried',
};

const CHECK: readonly ProofResult[] = ['passed', 'failed', 'not_tried'];
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
  return result === 'passed' || result === 'gone' || result === 'less';
}

/**
 * The list of proofs a vehicle owes before hand-back, from its complaint, what was seen at Trace, and its layout.
 * Source: handbook 60, Proving.
 */
export function proofItems(input: {
  readonly complaint: string;
  readonly seen: readonly { readonly code: string; readonly corner: Corner | null }[];
  readonly hydraulic: boolean;
  readonly lever: boolean;
  readonly parking: boolean;
  readonly corners: readonly Corner[];
  /** Units that came without their vehicle: nothing is pressed, held or driven. */
  readonly loose?: boolean;
  /** A piston, lining, rotor, drum or shoe was moved or renewed: the pedal does not know yet where they stand. */
  readonly pushed: boolean;
  /** A servo helps the pedal: its vacuum is used up before the pedal is held. */
  readonly servo: boolean;
  /** Two circuits under one control: a lamp tells when their pressures differ. */
  readonly tandem: boolean;
}): ProofItem[] {
  const item = (
    id: string,
    question: string,
    how: string,
    answers = CHECK,
    corner: Corner | null = null,
    asks: ProofAsks | null = null,
  ): ProofItem => ({ item: id, corner, question, how, answers, asks });
  const again = [
    ...(input.complaint.trim()
      ? [item('complaint', input.complaint.trim(), 'The complaint, asked again in the owner’s words.', AGAIN)]
      : []),
    // What only a check brought out is not asked again in words.
    ...input.seen
      .filter((s) => observationFacts(s.code) !== undefined)
      .map((s) => {
        const text = observationFacts(s.code)?.text ?? s.code;
        const where = s.corner ? `${CORNER_NAME[s.corner]}: ${text.toLowerCase()}` : text;
        return item(`${AGAIN_ITEM}${s.code}`, where, 'Seen at Trace, asked again in the same words.', AGAIN, s.corner);
      }),
  ];
  if (input.loose)
    return [
      ...again,
      item('bench_moves', 'Every piston moves by itself and goes back', 'On the bench, with the least pressure; each by itself.'),
      item('bench_tight', 'Tight under pressure on the bench', 'Held for a minute, looked at with card; say so where it takes no fluid.'),
      item('packed', 'Ports plugged, machined faces covered', 'As it leaves: nothing may get in, and nothing may rust on the way.'),
    ];
  const pedal = input.lever ? 'Pedal and lever' : 'Pedal';
  return [
    ...(input.pushed
      ? [
          item(
            FIRST_PRESS,
            `${pedal} pumped up: high, and staying`,
            'In short strokes, the level watched, before the engine moves a wheel and before anything else is proved.',
          ),
        ]
      : []),
    ...again,
    ...(input.hydraulic
      ? [
          item(
            'pedal_hold',
            'Pedal held for 60 s does not sink',
            input.servo ? 'Once hard and once light, engine stopped, servo vacuum used up.' : 'Once hard and once light.',
          ),
          item(
            'pedal_reserve',
            'Pedal has reserve, and its free play',
            'Distance from the floor under a hard press; play before the push-rod touches.',
          ),
          ...(input.tandem
            ? [
                item(
                  'warning_lamps',
                  'Level and pressure-difference lamps light and go out',
                  'Where the vehicle has them; say so where it has none.',
                ),
              ]
            : []),
          item('hose_clear', 'Hoses and lines clear of everything', 'At full lock both ways, at full droop and full bump.'),
          item('leak_look', 'No leak at any union, bleeder or unit', 'Held under pressure, looked at with card.'),
        ]
      : []),
    item(
      'pedal_return',
      input.lever ? 'Pedal and lever return fully, switch and all' : 'Pedal returns fully, with free play',
      'By hand and by foot.',
    ),
    ...input.corners.map((c) =>
      item('release', `${CORNER_NAME[c]} wheel turns at once after a hard press`, 'Press hard, let go, push the wheel lightly.', CHECK, c),
    ),
    ...(input.parking
      ? [
          item(
            'parking',
            'Parking brake holds and lets go',
            'On the slope it has to hold on; then spin the wheels, drag of the parking brake noted apart.',
            CHECK,
            null,
            { label: 'Clicks or travel, the slope or pull it held, which wheels', figure: true },
          ),
        ]
      : []),
    item('stop_lamp', 'Stop lamps light from each control', 'Pedal, and lever where there is one.'),
    item('road_walk', 'First stops at walking pace, off the road', 'In a closed place, with the parking brake proved.'),
    item('road', 'Road test', 'Straight, even, no pull, no judder, no smell; wheels felt afterwards.', CHECK, null, {
      label: 'Where, and how far',
      figure: true,
    }),
  ];
}
