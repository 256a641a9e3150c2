import type { Slot } from '../layout/graph.ts';
import { DomainError } from '../quantity/domainError.ts';
import type { Kind, UnitId } from '../quantity/units.ts';
import { type LimitVersion, checkLimit } from '../verdict/limits.ts';
import type { Gravity } from '../verdict/severity.ts';
import type { MeasurementId } from './measured/types.ts';
import { MEASUREMENTS, measurementsAt } from './measurements.ts';

export type CharacteristicId =
  | 'rotor_thickness'
  | 'rotor_thickness_variation'
  | 'rotor_taper'
  | 'rotor_runout'
  | 'rotor_score'
  | 'rotor_lip'
  | 'rotor_play_radial'
  | 'rotor_play_axial'
  | 'rotor_pair'
  | 'rotor_drum'
  | 'rotor_drum_out_of_round'
  | 'hub_end_float'
  | 'hub_face_runout'
  | 'wheel_rocking'
  | 'wheel_drag'
  | 'wheel_drag_after'
  | 'wheel_drag_pair'
  | 'drum_diameter'
  | 'drum_out_of_round'
  | 'drum_taper'
  | 'drum_barrel'
  | 'drum_wall'
  | 'drum_runout'
  | 'drum_score'
  | 'drum_pair'
  | 'pad_lining'
  | 'pad_ears_tight'
  | 'pad_ears_loose'
  | 'shoe_lining'
  | 'shoe_above_rivets'
  | 'shoe_arc_difference'
  | 'shoe_unequal'
  | 'shoe_springs'
  | 'link_short'
  | 'cam_worn'
  | 'pin_runout'
  | 'pin_clearance'
  | 'line_pressure_pair'
  | 'bore_wear'
  | 'bore_out_of_round'
  | 'bore_taper'
  | 'piston_diameter'
  | 'bore_clearance'
  | 'servo_rest_loss'
  | 'servo_applied_loss'
  | 'push_rod_play'
  | 'parking_clicks'
  | 'pedal_reserve'
  | 'pedal_free_play'
  | 'pedal_height'
  | 'pedal_travel'
  | 'pedal_sink'
  | 'pedal_pump_up'
  | 'linkage_play'
  | 'lift_off_front'
  | 'lift_off_rear'
  | 'expander_play'
  | 'cam_angle'
  | 'cam_angle_full'
  | 'equaliser_level';

/** How a figure is made of a set's readings. */
type ReductionRule =
  /** Least or greatest of all, or of the places named. */
  | { readonly op: 'least' | 'greatest'; readonly places?: readonly string[] }
  /** Largest of the ranges within each ring or depth. */
  | { readonly op: 'range_within' }
  /** Range over all readings. */
  | { readonly op: 'range' }
  /** Range of a sweep that can be split. */
  | { readonly op: 'sweep' }
  /** Range of a sweep, times the reading of one place over that of another. */
  | { readonly op: 'sweep_scaled'; readonly times: string; readonly over: string }
  /** Mean of one ring or depth less that of another. */
  | { readonly op: 'means_apart'; readonly of: string; readonly less: string }
  /** Mean of the middle less the mean of the ends. */
  | { readonly op: 'barrel'; readonly middle: string; readonly ends: readonly [string, string] }
  /** Largest mean of a ring or depth less the smallest. */
  | { readonly op: 'means_spread' }
  /** The reading at one place. */
  | { readonly op: 'at'; readonly place: string }
  /** The reading at one place less that at another. */
  | { readonly op: 'apart'; readonly of: string; readonly less: string }
  /** Largest difference of pairs of places, one way or in amount. */
  | { readonly op: 'pairs_apart'; readonly pairs: readonly (readonly [string, string])[]; readonly either: boolean }
  /** By how much the second lies over the first, as a share of the first. */
  | { readonly op: 'rise'; readonly of: string; readonly over: string }
  /** Greatest of all less what it was when new. */
  | { readonly op: 'over_nominal' }
  /** Made of two sets: see between.ts. */
  | { readonly op: 'between' };

export interface Characteristic {
  readonly id: CharacteristicId;
  readonly name: string;
  /** Short plate name over a rule. */
  readonly short: string;
  readonly takenFrom: MeasurementId;
  readonly reduction: ReductionRule;
  readonly kind: Kind;
  readonly unit: UnitId;
  readonly bound: 'lower' | 'upper';
  /** What wear does to the figure; null where it is not wear. */
  readonly wears: 'falls' | 'grows' | null;
  readonly gravity: Gravity;
  /** Word for the last limit on the rule. */
  readonly limitWord: string;
  readonly newWord: string;
  /** Written down: judged where the book has a limit, and never asked for one. */
  readonly recorded: boolean;
  /** Read as one difference on one gauge (pushed and pulled, turned round): its short-span accuracy counts. */
  readonly readAsDifference: boolean;
  /** Judged by its amount, either way: the words for more and for less than nothing. Null where the sign means something. */
  readonly senses: readonly [string, string] | null;
  /** What it says where the figure is surely below nothing, which such a thing cannot be; null where it may be. */
  readonly belowNothing: string | null;
  /** How far from new, as shares of it, the figure of this very part can be; null where nothing is known. */
  readonly nearNew: readonly [number, number] | null;
  /** How far, as a share of the larger, both sides of an axle can be apart and still be gauged right. */
  readonly nearPartner: number | null;
}

type Given = Partial<Omit<Characteristic, 'id'>> & Pick<Characteristic, 'name' | 'short' | 'takenFrom' | 'reduction'>;

/** A characteristic; what is not said is an upper limit on function that is no wear, in the unit of its readings. */
const of = (id: CharacteristicId, given: Given): Characteristic => {
  const { kind, unit } = MEASUREMENTS[given.takenFrom];
  return {
    id,
    kind,
    unit,
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'New',
    recorded: false,
    readAsDifference: false,
    senses: null,
    belowNothing: null,
    nearNew: null,
    nearPartner: null,
    ...given,
  };
};

const dimension = (bound: 'lower' | 'upper'): Pick<Characteristic, 'bound' | 'wears' | 'gravity' | 'limitWord'> => ({
  bound,
  wears: bound === 'lower' ? 'falls' : 'grows',
  gravity: 'safety',
  limitWord: 'Discard',
});

/** Source: handbook 20; gravity: handbook 10, Decision rule. */
export const CHARACTERISTICS: readonly Characteristic[] = [
  of('rotor_thickness', {
    ...{ name: 'Rotor thickness', short: 'Thickness', takenFrom: 'rotor_thickness', reduction: { op: 'least' } },
    ...dimension('lower'),
    nearNew: [-0.5, 0.05],
    nearPartner: 0.3,
  }),
  of('rotor_thickness_variation', {
    ...{ name: 'Rotor thickness variation', short: 'Variation', takenFrom: 'rotor_thickness', newWord: 'Even' },
    reduction: { op: 'range_within' },
  }),
  of('rotor_taper', {
    ...{ name: 'Rotor taper', short: 'Taper', takenFrom: 'rotor_thickness', newWord: 'Parallel', recorded: true },
    reduction: { op: 'means_apart', of: 'outer ring', less: 'inner ring' },
    senses: ['thicker at the outer ring', 'thinner at the outer ring'],
  }),
  of('rotor_pair', {
    ...{ name: 'Rotors of the axle apart', short: 'Pair', takenFrom: 'rotor_thickness', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
  }),
  of('rotor_drum', {
    ...{ name: 'Drum inside the rotor', short: 'Drum inside', takenFrom: 'rotor_drum', reduction: { op: 'greatest' } },
    ...dimension('upper'),
    nearNew: [-0.005, 0.03],
    nearPartner: 0.03,
  }),
  of('rotor_drum_out_of_round', {
    ...{ name: 'Out-of-round of the drum inside', short: 'Out-of-round', takenFrom: 'rotor_drum', newWord: 'Round', recorded: true },
    reduction: { op: 'range_within' },
  }),
  of('rotor_runout', {
    ...{ name: 'Rotor runout', short: 'Runout', takenFrom: 'rotor_runout', newWord: 'True', reduction: { op: 'sweep' } },
  }),
  of('rotor_score', {
    ...{ name: 'Rotor score depth', short: 'Score', takenFrom: 'rotor_surface', newWord: 'Smooth', recorded: true },
    reduction: { op: 'greatest', places: ['outer face: score', 'inner face: score'] },
  }),
  of('rotor_lip', {
    ...{ name: 'Rotor lip', short: 'Lip', takenFrom: 'rotor_surface', newWord: 'None', recorded: true },
    reduction: { op: 'at', place: 'edge: lip' },
  }),
  of('rotor_play_radial', {
    ...{ name: 'Rotor button play, radial', short: 'Radial play', takenFrom: 'rotor_play', recorded: true },
    reduction: { op: 'at', place: 'radial' },
    readAsDifference: true,
  }),
  of('rotor_play_axial', {
    ...{ name: 'Rotor button play, axial', short: 'Axial play', takenFrom: 'rotor_play', recorded: true },
    reduction: { op: 'at', place: 'axial' },
    readAsDifference: true,
  }),
  of('hub_end_float', {
    ...{ name: 'Wheel bearing end float', short: 'End float', takenFrom: 'hub_end_float', gravity: 'safety', newWord: 'None' },
    reduction: { op: 'at', place: 'float' },
    readAsDifference: true,
  }),
  of('hub_face_runout', {
    ...{ name: 'Hub face runout at the rotor', short: 'Face runout', takenFrom: 'hub_face_runout', newWord: 'True' },
    reduction: { op: 'sweep_scaled', times: 'swept radius', over: 'dial radius' },
  }),
  of('wheel_rocking', {
    ...{ name: 'Rocking that is not the bearing', short: 'Rocking', takenFrom: 'wheel_rocking', newWord: 'None', recorded: true },
    reduction: { op: 'at', place: 'brake held' },
    readAsDifference: true,
  }),
  of('wheel_drag', {
    ...{ name: 'Drag left after release', short: 'Drag', takenFrom: 'wheel_drag', newWord: 'Free' },
    reduction: { op: 'apart', of: 'after', less: 'before' },
  }),
  of('wheel_drag_after', {
    ...{ name: 'Drag after release', short: 'Still drags', takenFrom: 'wheel_drag', newWord: 'Free' },
    reduction: { op: 'at', place: 'after' },
  }),
  of('wheel_drag_pair', {
    ...{ name: 'Drag, left to right', short: 'Drag pair', takenFrom: 'wheel_drag', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
  }),
  of('drum_diameter', {
    ...{ name: 'Drum diameter', short: 'Diameter', takenFrom: 'drum_diameter', reduction: { op: 'greatest' } },
    ...dimension('upper'),
    nearNew: [-0.005, 0.03],
    nearPartner: 0.03,
  }),
  of('drum_out_of_round', {
    ...{ name: 'Drum out-of-round', short: 'Out-of-round', takenFrom: 'drum_diameter', newWord: 'Round' },
    reduction: { op: 'range_within' },
  }),
  of('drum_taper', {
    ...{ name: 'Drum taper', short: 'Taper', takenFrom: 'drum_diameter', newWord: 'Straight' },
    reduction: { op: 'means_apart', of: 'open', less: 'closed' },
    senses: ['wider at the open end', 'wider at the closed end'],
  }),
  of('drum_barrel', {
    ...{ name: 'Drum barrel', short: 'Barrel', takenFrom: 'drum_diameter', newWord: 'Straight', recorded: true },
    reduction: { op: 'barrel', middle: 'middle', ends: ['open', 'closed'] },
    senses: ['wider in the middle', 'narrower in the middle'],
  }),
  of('drum_pair', {
    ...{ name: 'Drums of the axle apart', short: 'Pair', takenFrom: 'drum_diameter', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
  }),
  of('drum_wall', {
    ...{ name: 'Drum wall', short: 'Wall', takenFrom: 'drum_wall', reduction: { op: 'least' } },
    ...dimension('lower'),
    nearNew: [-0.9, 0.25],
  }),
  of('drum_runout', {
    ...{ name: 'Drum radial runout', short: 'Radial runout', takenFrom: 'drum_runout', newWord: 'True', reduction: { op: 'sweep' } },
  }),
  of('drum_score', {
    ...{ name: 'Drum score depth', short: 'Score', takenFrom: 'drum_surface', newWord: 'Smooth', recorded: true },
    reduction: { op: 'at', place: 'score' },
  }),
  of('pad_lining', {
    ...{ name: 'Pad lining', short: 'Lining', takenFrom: 'pad_lining', reduction: { op: 'least' } },
    ...dimension('lower'),
    nearNew: [-1, 0.25],
  }),
  of('pad_ears_tight', {
    ...{ name: 'Pad ears, tightest', short: 'Tightest ear', takenFrom: 'pad_ears', bound: 'lower', limitWord: 'Least' },
    reduction: { op: 'least' },
  }),
  of('pad_ears_loose', {
    ...{ name: 'Pad ears, loosest', short: 'Loosest ear', takenFrom: 'pad_ears', wears: 'grows', reduction: { op: 'greatest' } },
  }),
  of('shoe_lining', {
    ...{ name: 'Shoe lining, bonded', short: 'Lining', takenFrom: 'shoe_lining', reduction: { op: 'least' } },
    ...dimension('lower'),
    nearNew: [-1, 0.25],
  }),
  of('shoe_above_rivets', {
    ...{ name: 'Shoe lining above rivets', short: 'Above rivets', takenFrom: 'shoe_above_rivets', reduction: { op: 'least' } },
    ...dimension('lower'),
  }),
  of('shoe_arc_difference', {
    ...{ name: 'Lining arc under the drum', short: 'Arc', takenFrom: 'shoe_arc', reduction: { op: 'between' } },
  }),
  of('shoe_unequal', {
    ...{ name: 'Clearance of the shoes, unequal', short: 'Unequal', takenFrom: 'shoe_centring', newWord: 'Even', recorded: true },
    reduction: { op: 'range' },
  }),
  of('shoe_springs', {
    ...{ name: 'Return springs, pair apart', short: 'Springs', takenFrom: 'shoe_springs', newWord: 'Alike', recorded: true },
    reduction: {
      op: 'pairs_apart',
      either: true,
      pairs: [
        ['upper', 'upper partner'],
        ['lower', 'lower partner'],
      ],
    },
  }),
  of('link_short', {
    ...{ name: 'Link shorter than new', short: 'Link', takenFrom: 'adjuster_travel', wears: 'grows', newWord: 'Full', recorded: true },
    reduction: { op: 'apart', of: 'link new', less: 'link' },
    belowNothing: 'The link is longer than when new: is this the link, is this the figure?',
  }),
  of('cam_worn', {
    ...{ name: 'Cam lower than new', short: 'Cam', takenFrom: 'adjuster_travel', wears: 'grows', newWord: 'Full', recorded: true },
    reduction: { op: 'apart', of: 'cam new', less: 'cam' },
    belowNothing: 'The cam is higher than when new: is this the cam, is this the figure?',
  }),
  of('pin_runout', {
    ...{ name: 'Slide pin runout', short: 'Pin runout', takenFrom: 'pin_runout', newWord: 'True', reduction: { op: 'greatest' } },
    readAsDifference: true,
  }),
  of('pin_clearance', {
    ...{ name: 'Slide pin clearance', short: 'Pin clearance', takenFrom: 'pin_fit', wears: 'grows' },
    reduction: {
      op: 'pairs_apart',
      either: false,
      pairs: [
        ['upper bush', 'upper pin'],
        ['lower bush', 'lower pin'],
      ],
    },
    belowNothing: 'The pin is larger than its bush: one of the two figures is wrong.',
  }),
  of('line_pressure_pair', {
    ...{ name: 'Line pressure, left to right', short: 'Pressure pair', takenFrom: 'line_pressure', kind: 'ratio', unit: '1' },
    ...{ newWord: 'Alike', recorded: true, reduction: { op: 'between' } },
  }),
  of('bore_wear', {
    ...{ name: 'Bore wear', short: 'Bore wear', takenFrom: 'bore_diameter', wears: 'grows', gravity: 'safety' },
    reduction: { op: 'over_nominal' },
    belowNothing: 'The bore is smaller than when new: is this the part, is this the figure?',
    nearNew: [-0.004, 0.015],
  }),
  of('bore_out_of_round', {
    ...{ name: 'Bore out-of-round', short: 'Out-of-round', takenFrom: 'bore_diameter', newWord: 'Round', recorded: true },
    reduction: { op: 'range_within' },
  }),
  of('bore_taper', {
    ...{ name: 'Bore taper', short: 'Taper', takenFrom: 'bore_diameter', newWord: 'Straight', recorded: true },
    reduction: { op: 'means_spread' },
  }),
  of('piston_diameter', {
    ...{ name: 'Piston diameter', short: 'Piston', takenFrom: 'piston_diameter', recorded: true, reduction: { op: 'least' } },
    ...dimension('lower'),
    nearNew: [-0.015, 0.004],
    nearPartner: 0.015,
  }),
  of('bore_clearance', {
    ...{ name: 'Piston clearance', short: 'Clearance', takenFrom: 'piston_diameter', wears: 'grows', gravity: 'safety' },
    reduction: { op: 'between' },
    belowNothing: 'The piston is larger than its bore: one of the two figures is wrong.',
  }),
  of('servo_rest_loss', {
    ...{ name: 'Servo vacuum lost in a minute, at rest', short: 'At rest', takenFrom: 'servo_vacuum', newWord: 'None' },
    reduction: { op: 'at', place: 'at rest' },
  }),
  of('servo_applied_loss', {
    ...{ name: 'Servo vacuum lost in 15 s, applied', short: 'Applied', takenFrom: 'servo_vacuum', newWord: 'None' },
    reduction: { op: 'at', place: 'applied' },
  }),
  of('pedal_reserve', {
    ...{ name: 'Pedal reserve to the floor', short: 'Reserve', takenFrom: 'pedal_setting', bound: 'lower', recorded: true },
    reduction: { op: 'at', place: 'reserve' },
  }),
  of('pedal_free_play', {
    ...{ name: 'Pedal free play', short: 'Free play', takenFrom: 'pedal_setting', recorded: true },
    reduction: { op: 'at', place: 'free play' },
  }),
  of('pedal_height', {
    ...{ name: 'Pedal height at rest', short: 'Height', takenFrom: 'pedal_setting', bound: 'lower', limitWord: 'Least', recorded: true },
    reduction: { op: 'at', place: 'height' },
  }),
  of('pedal_travel', {
    ...{ name: 'Pedal travel under force', short: 'Travel', takenFrom: 'pedal_setting', recorded: true },
    reduction: { op: 'at', place: 'travel' },
  }),
  of('push_rod_play', {
    ...{ name: 'Push-rod free play to the cylinder', short: 'Rod play', takenFrom: 'servo_push_rod', recorded: true },
    reduction: { op: 'at', place: 'free play' },
  }),
  of('parking_clicks', {
    ...{ name: 'Parking lever, clicks', short: 'Clicks', takenFrom: 'parking_travel', recorded: true },
    reduction: { op: 'at', place: 'clicks' },
  }),
  of('pedal_sink', {
    ...{ name: 'Pedal sink in 60 s', short: 'Sink', takenFrom: 'pedal_sink', gravity: 'safety', newWord: 'None' },
    reduction: { op: 'greatest' },
  }),
  of('pedal_pump_up', {
    ...{ name: 'Pedal pump-up', short: 'Pump-up', takenFrom: 'pedal_pump_up', kind: 'ratio', unit: '1', newWord: 'None' },
    reduction: { op: 'rise', of: 'second', over: 'first' },
  }),
  of('linkage_play', {
    ...{ name: 'Play in the linkage', short: 'Play', takenFrom: 'linkage_play', wears: 'grows', newWord: 'None', recorded: true },
    reduction: { op: 'greatest' },
  }),
  of('lift_off_front', {
    ...{ name: 'Lift-off of the front wheels apart', short: 'Front lift-off', takenFrom: 'lift_off', newWord: 'Alike', recorded: true },
    reduction: { op: 'pairs_apart', either: true, pairs: [['FL', 'FR']] },
  }),
  of('lift_off_rear', {
    ...{ name: 'Lift-off of the rear wheels apart', short: 'Rear lift-off', takenFrom: 'lift_off', newWord: 'Alike', recorded: true },
    reduction: { op: 'pairs_apart', either: true, pairs: [['RL', 'RR']] },
  }),
  of('expander_play', {
    ...{ name: 'Cam spindle play', short: 'Spindle', takenFrom: 'expander_play', wears: 'grows', newWord: 'None', recorded: true },
    reduction: { op: 'greatest' },
    readAsDifference: true,
  }),
  of('cam_angle', {
    ...{ name: 'Cam lever to rod, at contact', short: 'Lever angle', takenFrom: 'cam_angle', limitWord: 'Right angle' },
    reduction: { op: 'at', place: 'at contact' },
  }),
  of('cam_angle_full', {
    ...{ name: 'Cam lever to rod, fully applied', short: 'Full angle', takenFrom: 'cam_angle', recorded: true },
    reduction: { op: 'at', place: 'full' },
  }),
  of('equaliser_level', {
    ...{ name: 'Equaliser out of level', short: 'Level', takenFrom: 'equaliser_level', newWord: 'Level', recorded: true },
    reduction: { op: 'pairs_apart', either: true, pairs: [['left', 'right']] },
  }),
];

export function characteristic(id: string): Characteristic | undefined {
  return CHARACTERISTICS.find((c) => c.id === id);
}

/** What is judged at a place. */
export function characteristicsAt(slot: Slot): Characteristic[] {
  const taken = measurementsAt(slot).map((m) => m.id);
  return CHARACTERISTICS.filter((c) => taken.includes(c.takenFrom));
}

/** What is reduced from a measurement. */
export function characteristicsFrom(id: MeasurementId): Characteristic[] {
  return CHARACTERISTICS.filter((c) => c.takenFrom === id);
}

/**
 * Checks a limit of a characteristic before it is entered: its figures in order, none below nothing, and on the side that
 * belongs to the characteristic. A range has both sides.
 * @throws DomainError limit_inconsistent, limit_incomplete, wrong_side, impossible
 */
export function checkLimitOf(
  limit: Pick<LimitVersion, 'characteristic' | 'bound' | 'nominal' | 'machineTo' | 'at' | 'low' | 'high'>,
): void {
  checkLimit(limit);
  const c = characteristic(limit.characteristic);
  if (!c) return;
  if (limit.bound !== 'range' && limit.bound !== c.bound)
    throw new DomainError(
      'wrong_side',
      `${c.name} has ${c.bound === 'lower' ? 'a least' : 'a greatest'} figure, not ${c.bound === 'lower' ? 'a greatest' : 'a least'} one.`,
    );
  const figures = [limit.nominal, limit.machineTo, limit.at, limit.low, limit.high];
  if (figures.some((f) => f !== null && f < 0))
    throw new DomainError('impossible', `No figure of ${c.name.toLowerCase()} is below nothing.`);
}
