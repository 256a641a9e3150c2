import type { CharacteristicId } from '../../catalogue/characteristics.ts';
import type { OptionId } from '../../catalogue/repairOptions.ts';
import { placeName, type Slot } from '../../layout/graph.ts';
import { lowerFirst, upperFirst } from '../../quantity/display.ts';
import { SHEET } from './sheet.ts';

const NOT_ASKED = SHEET.notAskedAgain;
const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const listText = (words: readonly string[]): string => LIST.format(words);

/** What a figure past its limit means, in words for somebody who does not mend brakes. */
export const PLAIN_PAST: Readonly<Record<CharacteristicId, string>> = {
  rotor_thickness: 'worn too thin',
  rotor_thickness_variation: 'worn unevenly round',
  rotor_taper: 'worn on one side more than on the other',
  rotor_pair: 'worn unlike left and right',
  rotor_runout: 'not running true',
  rotor_score: 'deeply scored',
  rotor_lip: 'worn down behind a high rim',
  rotor_play_radial: 'loose on its carrier',
  rotor_play_axial: 'loose on its carrier',
  rotor_drum: 'worn too wide inside',
  rotor_drum_out_of_round: 'no longer round inside',
  hub_end_float: 'loose in its bearing',
  hub_face_runout: 'not running true where the brake sits on it',
  wheel_rocking: 'loose, and not by its bearing',
  wheel_drag: 'did not let go',
  wheel_drag_after: 'did not let go',
  wheel_drag_pair: 'did not let go alike left and right',
  drum_diameter: 'worn too wide',
  drum_out_of_round: 'no longer round',
  drum_taper: 'worn to a cone',
  drum_barrel: 'worn hollow',
  drum_pair: 'worn unlike left and right',
  drum_wall: 'too thin in its wall',
  drum_runout: 'not running true',
  drum_score: 'deeply scored',
  band_drum_diameter: 'worn too thin',
  band_drum_out_of_round: 'no longer round',
  band_drum_runout: 'not running true',
  band_drum_score: 'deeply scored',
  band_lining: 'lining worn out',
  band_above_rivets: 'lining worn down to its rivets',
  band_tight: 'set too close',
  band_loose: 'set too wide',
  pad_lining: 'lining worn out',
  pad_ears_tight: 'stuck in the bracket',
  pad_ears_loose: 'loose in the bracket',
  shoe_lining: 'lining worn out',
  shoe_above_rivets: 'lining worn down to its rivets',
  shoe_arc_difference: 'lining not fitting the curve of its drum',
  shoe_unequal: 'not sitting in the middle of the drum',
  shoe_springs: 'springs no longer alike',
  link_short: 'links worn short',
  cam_worn: 'worn',
  pin_runout: 'guide pin bent',
  pin_clearance: 'guide pins worn',
  bore_wear: 'worn wide in the bore',
  bore_out_of_round: 'bore no longer round',
  bore_taper: 'bore worn to a cone',
  piston_diameter: 'worn thin',
  bore_clearance: 'loose in the bore',
  line_pressure_pair: 'not pressed alike left and right',
  servo_rest_loss: 'not keeping its vacuum',
  servo_applied_loss: 'not keeping its vacuum while the pedal is held',
  push_rod_play: 'rod out of its setting',
  pedal_reserve: 'going too near the floor',
  pedal_free_play: 'out of its setting',
  pedal_height: 'out of its setting',
  pedal_travel: 'travelling too far',
  pedal_sink: 'sinking under the foot',
  pedal_pump_up: 'coming up only when pumped',
  parking_clicks: 'coming up too far',
  linkage_play: 'worn in its joints',
  lift_off_front: 'front wheels not let go alike',
  lift_off_rear: 'rear wheels not let go alike',
  expander_play: 'worn in its bush',
  cam_angle: 'lever out of its setting',
  cam_angle_full: 'lever pulled past where it works',
  equaliser_level: 'pulling one side more than the other',
  pedal_return: 'not coming back by itself',
  servo_run_up: 'not helping as the engine starts',
  parking_slope: 'not holding on its slope',
  parking_pull: 'not holding',
  parking_drag: 'not letting go',
  brake_force_pair: 'not braking alike left and right',
  wheel_heat_pair: 'running hot on one side',
  bench_low_drop: 'not tight at low pressure',
  bench_high_drop: 'not tight at high pressure',
};

/** What was done, as it goes on after the name of what it was done to; nothing of what stays. */
export const DONE_PLAIN: Readonly<Partial<Record<OptionId, string>>> = {
  reseal: 'cleaned, with new seals',
  hone: 'bore honed, with new seals',
  sleeve: 'bore sleeved, with new seals',
  machine: 'turned true',
  reline: 'new linings',
  replace: 'renewed',
  exchange: 'replaced by an overhauled one',
  used: 'replaced by a used one',
};

/** From what it came, where the records tell it. */
export interface WhyFacts {
  /** Whole years that it stood; null where it did not, or nobody knows how long. */
  readonly stood: number | null;
  readonly stands: boolean;
  readonly damp: boolean;
  /** Nobody knew the age of its fluid. */
  readonly unknownFluid: boolean;
  /** Nothing but linings and what they rub on was past its limit. */
  readonly wearAlone: boolean;
}

const age = (years: number): string => (years === 1 ? 'a year' : `${years} years`);

/** The owner's page: short sentences for somebody who drives. Source: handbook 60, Hand-back sheet; 58, A58. */
export const OWNER_PAGE = {
  past: (name: string, how: readonly string[]): string => `${name}: ${listText([...new Set(how)])}`,
  done: (name: string, what: string): string => `${name}: ${what}`,
  fluid: (product: string, kind: string): string => `Brake fluid changed all through: ${product}, ${kind}`,
  fluidHalf: (product: string, circuits: readonly number[]): string =>
    `Brake fluid changed in ${circuits.length === 1 ? 'circuit' : 'circuits'} ${listText(circuits.map(String))} alone: ${product}`,
  /** One line; empty where the records do not say. */
  why: (f: WhyFacts): string => {
    const from = [
      ...(f.stood !== null ? [`having stood for ${age(f.stood)}`] : f.stands ? ['standing most of the time'] : []),
      ...(f.damp ? ['damp where it is kept or driven'] : []),
      ...(f.unknownFluid ? ['brake fluid whose age nobody knew, which had taken up water'] : []),
    ];
    if (from.length > 0) return `It comes from ${listText(from)}.`;
    return f.wearAlone ? 'It is wear from use.' : '';
  },
  habit: (stands: boolean, damp: boolean, months: number): string =>
    [
      ...(stands ? ['Drive it, or press the brakes hard ten times, every three months.'] : []),
      `Have the brake fluid changed ${months % 12 === 0 ? (months === 12 ? 'every year' : `every ${months / 12} years`) : `every ${months} months`}.`,
      ...(damp && !stands ? ['Rinse road salt off behind the wheels.'] : []),
    ].join(' '),
  changeFluid: 'Change the brake fluid',
  neverOpen: (slots: readonly Slot[], years: number): string =>
    `${upperFirst(listText(slots.map((s) => lowerFirst(placeName(s)))))}: never opened in ${age(years)}, as far as anybody knows. Have it opened and cleaned next time.`,
  putOff: (place: string): string => `${place}: put off, not done`,
  more: (n: number): string => `and ${n} more, which the full record has`,
} as const;

/** Headings and lines of the owner's page. */
export const OWNER_SAYS = {
  title: 'The owner’s page',
  came: 'What you came with',
  complaint: (complaint: string, answer: string): string =>
    complaint === ''
      ? 'Nothing was complained of.'
      : `${complaint}.${answer === NOT_ASKED ? '' : ` When we asked again: ${lowerFirst(answer)}.`}`,
  wrong: 'What was wrong',
  nothingWrong: 'Nothing that was gauged or looked at was past its limit.',
  done: 'What was done',
  nothingDone: 'Nothing was renewed or overhauled.',
  pairs: 'Before and after',
  pair: (place: string, what: string): string => `${place}, ${lowerFirst(what)}`,
  before: 'As it came',
  after: 'As it leaves',
  limit: 'Allowed',
  seen: (place: string): string => `${place}, before and after`,
  watch: 'What to watch',
  nothingToWatch: 'Nothing in particular. If the pedal goes soft or long, a lamp comes on or fluid drips, do not drive on.',
  back: 'When to come back',
  noDate: 'No date is owed.',
  backOn: (day: string, what: string): string => `${day}: ${what}`,
  more: OWNER_PAGE.more,
  orAfter: (km: string): string => `, or after ${km} km`,
  since: (day: string): string => `Handed back ${day}.`,
  notYet: 'Not handed back yet: this is how the page stands now.',
  foot: 'Every figure with its gauge and its source stands on the full record. The maker’s data and the law of the place come first.',
} as const;
