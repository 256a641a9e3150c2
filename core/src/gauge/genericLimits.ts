import type { Slot } from '../layout/graph.ts';
import { axleOf } from '../layout/kinds.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { Gravity } from '../verdict/severity.ts';
import { BORE_WEAR_LIMIT, boreWearLimit, CLEARANCE_LIMIT } from './bore.ts';
import { characteristic, type CharacteristicId } from './characteristics.ts';
import { ARC_AIM } from './shoeArc.ts';

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
