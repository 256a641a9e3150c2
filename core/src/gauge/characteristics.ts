import { axleOf, type ComponentKind } from '../layout/kinds.ts';
import type { Slot } from '../layout/graph.ts';
import type { Kind, UnitId } from '../quantity/units.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { Gravity } from '../verdict/severity.ts';
import { BORE_WEAR_LIMIT, boreWearLimit, CLEARANCE_LIMIT } from './bore.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';
import { ARC_AIM } from './shoeArc.ts';

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

type GenericGiven = Pick<LimitVersion, 'bound' | 'gravity'> & Partial<Pick<LimitVersion, 'at' | 'low' | 'high' | 'nominal'>>;

const generic = (id: CharacteristicId, name: string, given: GenericGiven, where = 'common workshop practice'): LimitVersion => {
  const { at = null, low = null, high = null, nominal = null } = given;
  const unit = characteristic(id)?.unit ?? 'mm';
  return {
    ...{ id: `generic:${name}:1`, seriesId: `generic:${name}`, characteristic: id, scope: 'shop', appliesTo: null },
    ...{ make: null, model: null, yearFrom: null, yearTo: null, variant: null, axle: null, machineTo: null, atLeast: false },
    ...{ bound: given.bound, nominal, at, low, high, gravity: given.gravity, source: 'generic', sourceText: where },
    ...{ asPrinted: at === null ? `${low ?? ''} to ${high ?? ''} ${unit}` : `${at} ${unit}`, printedUnit: unit },
    ...{ enteredBy: 'generic', enteredAt: '2020-01-01T00:00:00.000Z', checkedBy: 'generic', checkedAt: '2020-01-01T00:00:00.000Z' },
  };
};
const most = (id: CharacteristicId, at: number, gravity: Gravity = 'function', nominal: number | null = 0, where?: string): LimitVersion =>
  generic(id, id, { bound: 'upper', at, nominal, gravity }, where);
const least = (id: CharacteristicId, at: number, gravity: Gravity, where?: string): LimitVersion =>
  generic(id, id, { bound: 'lower', at, gravity }, where);

/** Common workshop practice, offered until somebody enters the figure for the vehicle. Source: handbook 20. */
export const GENERIC_LIMITS: readonly LimitVersion[] = [
  most('rotor_thickness_variation', 0.015, 'function', 0, 'common workshop practice: above it the pedal pulses'),
  most('rotor_runout', 0.1, 'function', 0, 'common workshop practice, fitted'),
  most('rotor_pair', 0.25, 'function', null, 'common workshop practice, after machining'),
  generic(
    'hub_end_float',
    'hub_end_float_taper',
    { bound: 'range', low: 0.02, high: 0.1, gravity: 'safety' },
    'common workshop practice for adjustable taper rollers',
  ),
  generic(
    'hub_end_float',
    'hub_end_float_unit',
    { bound: 'upper', at: 0.05, gravity: 'safety' },
    'common workshop practice for angular ball and unit bearings',
  ),
  most('hub_face_runout', 0.05, 'function', 0, 'common workshop practice, at the rotor’s swept radius'),
  most('wheel_drag', 4, 'function', null, 'common workshop practice: what a hard application leaves behind'),
  most('wheel_drag_pair', 2, 'function', null, 'common workshop practice, left to right'),
  most('drum_out_of_round', 0.15),
  most('drum_taper', 0.15),
  most('drum_pair', 0.25, 'function', null, 'common workshop practice, after turning'),
  most('drum_runout', 0.15, 'function', 0, 'common workshop practice, on its own hub'),
  least('pad_lining', 2, 'safety', 'common workshop practice for bonded pads'),
  least('pad_ears_tight', 0.1, 'function'),
  most('pad_ears_loose', 0.6, 'function', null),
  least('shoe_lining', 1.6, 'safety', 'common workshop practice for bonded shoes'),
  least('shoe_above_rivets', 0.8, 'safety', 'common workshop practice for riveted shoes'),
  generic(
    'shoe_arc_difference',
    'shoe_arc_difference',
    { bound: 'range', low: ARC_AIM.low, high: ARC_AIM.high, gravity: 'function' },
    'common workshop practice: lining arc smaller in diameter than the drum',
  ),
  most('pin_runout', 0.1),
  most('pin_clearance', 0.25, 'function', null),
  most('line_pressure_pair', 0.05, 'function', null, 'common workshop practice, left to right'),
  generic(
    'bore_wear',
    'bore_wear_small',
    { bound: 'upper', at: BORE_WEAR_LIMIT.small, nominal: 0, gravity: 'safety' },
    `common workshop practice for bores to ${BORE_WEAR_LIMIT.smallTo} mm`,
  ),
  generic(
    'bore_wear',
    'bore_wear_large',
    { bound: 'upper', at: BORE_WEAR_LIMIT.large, nominal: 0, gravity: 'safety' },
    `common workshop practice for bores over ${BORE_WEAR_LIMIT.smallTo} mm`,
  ),
  most('bore_clearance', CLEARANCE_LIMIT, 'safety', null),
  most('servo_rest_loss', 12, 'function', null),
  most('servo_applied_loss', 3, 'function', null),
  most('pedal_sink', 5, 'safety', null, 'common workshop practice: more with no leak outside means that seals pass'),
  most('pedal_pump_up', 0.25, 'function', null, 'common workshop practice: above it, air or adjustment'),
  most('cam_angle', 90, 'function', null, 'common workshop practice: at or just under a right angle, never past it'),
];

/** Generic limits that hold for one way of being made only. A bearing that nobody named is held to the stricter figure. */
const ONLY_FOR: Readonly<Record<string, (slot: Slot) => boolean>> = {
  'generic:hub_end_float_taper': (s) => s.style === 'taper_adjustable',
  'generic:hub_end_float_unit': (s) => s.style !== 'taper_adjustable',
  'generic:bore_wear_small': (s) => s.boreMm === null || boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.small,
  'generic:bore_wear_large': (s) => s.boreMm !== null && boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.large,
};

/** The generic limits that hold for a place. */
export function genericFor(slot: Slot | undefined): readonly LimitVersion[] {
  return slot ? GENERIC_LIMITS.filter((l) => ONLY_FOR[l.seriesId]?.(slot) ?? true) : GENERIC_LIMITS;
}

/** The axle of a place, for its limits. */
export function axleOfSlot(slot: Slot | undefined): 'front' | 'rear' | null {
  return axleOf(slot?.corner ?? null);
}
