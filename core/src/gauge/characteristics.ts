import type { ComponentKind } from '../layout/kinds.ts';
import type { Kind, UnitId } from '../quantity/units.ts';
import type { Gravity } from '../verdict/severity.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';

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
  | 'hub_end_float'
  | 'hub_face_runout'
  | 'wheel_rocking'
  | 'wheel_drag'
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
  | 'pedal_reserve'
  | 'pedal_sink'
  | 'pedal_pump_up'
  | 'linkage_play'
  | 'lift_off_front'
  | 'lift_off_rear'
  | 'expander_play'
  | 'cam_angle'
  | 'equaliser_level';

/** How a figure is made of a set's readings. */
export type ReductionRule =
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
  }),
  of('rotor_thickness_variation', {
    ...{ name: 'Rotor thickness variation', short: 'Variation', takenFrom: 'rotor_thickness', newWord: 'Even' },
    reduction: { op: 'range_within' },
  }),
  of('rotor_taper', {
    ...{ name: 'Rotor taper', short: 'Taper', takenFrom: 'rotor_thickness', newWord: 'Parallel', recorded: true },
    reduction: { op: 'means_apart', of: 'outer ring', less: 'inner ring' },
  }),
  of('rotor_pair', {
    ...{ name: 'Rotors of the axle apart', short: 'Pair', takenFrom: 'rotor_thickness', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
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
  }),
  of('rotor_play_axial', {
    ...{ name: 'Rotor button play, axial', short: 'Axial play', takenFrom: 'rotor_play', recorded: true },
    reduction: { op: 'at', place: 'axial' },
  }),
  of('hub_end_float', {
    ...{ name: 'Wheel bearing end float', short: 'End float', takenFrom: 'hub_end_float', gravity: 'safety', newWord: 'None' },
    reduction: { op: 'at', place: 'float' },
  }),
  of('hub_face_runout', {
    ...{ name: 'Hub face runout at the rotor', short: 'Face runout', takenFrom: 'hub_face_runout', newWord: 'True' },
    reduction: { op: 'sweep_scaled', times: 'swept radius', over: 'dial radius' },
  }),
  of('wheel_rocking', {
    ...{ name: 'Rocking that is not the bearing', short: 'Rocking', takenFrom: 'wheel_rocking', newWord: 'None', recorded: true },
    reduction: { op: 'at', place: 'brake held' },
  }),
  of('wheel_drag', {
    ...{ name: 'Drag left after release', short: 'Drag', takenFrom: 'wheel_drag', newWord: 'Free' },
    reduction: { op: 'apart', of: 'after', less: 'before' },
  }),
  of('wheel_drag_pair', {
    ...{ name: 'Drag, left to right', short: 'Drag pair', takenFrom: 'wheel_drag', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
  }),
  of('drum_diameter', {
    ...{ name: 'Drum diameter', short: 'Diameter', takenFrom: 'drum_diameter', reduction: { op: 'greatest' } },
    ...dimension('upper'),
  }),
  of('drum_out_of_round', {
    ...{ name: 'Drum out-of-round', short: 'Out-of-round', takenFrom: 'drum_diameter', newWord: 'Round' },
    reduction: { op: 'range_within' },
  }),
  of('drum_taper', {
    ...{ name: 'Drum taper', short: 'Taper', takenFrom: 'drum_diameter', newWord: 'Straight' },
    reduction: { op: 'means_apart', of: 'open', less: 'closed' },
  }),
  of('drum_barrel', {
    ...{ name: 'Drum barrel', short: 'Barrel', takenFrom: 'drum_diameter', newWord: 'Straight', recorded: true },
    reduction: { op: 'barrel', middle: 'middle', ends: ['open', 'closed'] },
  }),
  of('drum_pair', {
    ...{ name: 'Drums of the axle apart', short: 'Pair', takenFrom: 'drum_diameter', newWord: 'Alike', recorded: true },
    reduction: { op: 'between' },
  }),
  of('drum_wall', {
    ...{ name: 'Drum wall', short: 'Wall', takenFrom: 'drum_wall', reduction: { op: 'least' } },
    ...dimension('lower'),
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
  }),
  of('cam_worn', {
    ...{ name: 'Cam lower than new', short: 'Cam', takenFrom: 'adjuster_travel', wears: 'grows', newWord: 'Full', recorded: true },
    reduction: { op: 'apart', of: 'cam new', less: 'cam' },
  }),
  of('pin_runout', {
    ...{ name: 'Slide pin runout', short: 'Pin runout', takenFrom: 'pin_runout', newWord: 'True', reduction: { op: 'greatest' } },
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
  }),
  of('line_pressure_pair', {
    ...{ name: 'Line pressure, left to right', short: 'Pressure pair', takenFrom: 'line_pressure', kind: 'ratio', unit: '1' },
    ...{ newWord: 'Alike', recorded: true, reduction: { op: 'between' } },
  }),
  of('bore_wear', {
    ...{ name: 'Bore wear', short: 'Bore wear', takenFrom: 'bore_diameter', wears: 'grows', gravity: 'safety' },
    reduction: { op: 'over_nominal' },
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
  }),
  of('bore_clearance', {
    ...{ name: 'Piston clearance', short: 'Clearance', takenFrom: 'piston_diameter', wears: 'grows', gravity: 'safety' },
    reduction: { op: 'between' },
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
  }),
  of('cam_angle', {
    ...{ name: 'Cam lever to rod', short: 'Lever angle', takenFrom: 'cam_angle', limitWord: 'Right angle' },
    reduction: { op: 'greatest' },
  }),
  of('equaliser_level', {
    ...{ name: 'Equaliser out of level', short: 'Level', takenFrom: 'equaliser_level', newWord: 'Level', recorded: true },
    reduction: { op: 'pairs_apart', either: true, pairs: [['left', 'right']] },
  }),
];

export function characteristic(id: string): Characteristic | undefined {
  return CHARACTERISTICS.find((c) => c.id === id);
}

/** What is judged on a kind of component. */
export function characteristicsOn(kind: ComponentKind): Characteristic[] {
  return CHARACTERISTICS.filter((c) => MEASUREMENTS[c.takenFrom].on.includes(kind));
}

/** What is reduced from a measurement. */
export function characteristicsFrom(id: MeasurementId): Characteristic[] {
  return CHARACTERISTICS.filter((c) => c.takenFrom === id);
}
