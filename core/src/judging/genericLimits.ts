import { type CharacteristicId, characteristic } from '../catalogue/characteristics.ts';
import type { Slot } from '../layout/graph.ts';
import { axleOf } from '../layout/kinds.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { BORE_WEAR_LIMIT, CLEARANCE_LIMIT, boreWearLimit } from '../metrology/bore.ts';
import { ARC_AIM } from '../metrology/shoeArc.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { Gravity } from '../verdict/severity.ts';

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
  generic(
    'wheel_drag_after',
    'wheel_drag_after_driven',
    { bound: 'upper', at: 6, gravity: 'function' },
    'common workshop practice for a driven wheel in neutral',
  ),
  generic(
    'wheel_drag_after',
    'wheel_drag_after_free',
    { bound: 'upper', at: 4, gravity: 'function' },
    'common workshop practice for a wheel that is not driven',
  ),
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
  generic(
    'cam_angle',
    'cam_angle',
    { bound: 'range', low: 75, high: 90, gravity: 'function' },
    'common workshop practice: at or just under a right angle at contact, never past it',
  ),
];

/** What of a vehicle a generic limit may hang on. */
type OfVehicle = Pick<Vehicle, 'driven'> | null;
/** Whether a limit holds for a place; null where it was never said which way it is made. */
type Holds = (slot: Slot, vehicle: OfVehicle) => boolean | null;

/** Whether the wheel of a place is driven; null where nobody said which are. */
function isDriven(slot: Slot, vehicle: OfVehicle): boolean | null {
  const driven = vehicle?.driven ?? null;
  if (driven === null || slot.corner === null) return null;
  return driven === 'all' || driven === axleOf(slot.corner);
}
const not = (said: boolean | null): boolean | null => (said === null ? null : !said);

/** Generic limits that hold for one way of being made only, and what to say while nobody said which. */
const ONLY_FOR: Readonly<Record<string, { readonly holds: Holds; readonly ask: string }>> = {
  ...Object.fromEntries(
    (['taper', 'unit'] as const).map((way) => [
      `generic:hub_end_float_${way}`,
      {
        holds: (s: Slot) => (s.style === null ? null : (s.style === 'taper_adjustable') === (way === 'taper')),
        ask: 'Which bearing? Adjustable taper rollers need some float, an angular ball or unit bearing nearly none. Say it in the layout.',
      },
    ]),
  ),
  'generic:bore_wear_small': { holds: (s) => s.boreMm === null || boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.small, ask: '' },
  'generic:bore_wear_large': { holds: (s) => s.boreMm !== null && boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.large, ask: '' },
  ...Object.fromEntries(
    (['driven', 'free'] as const).map((way) => [
      `generic:wheel_drag_after_${way}`,
      {
        holds: (s: Slot, v: OfVehicle) => (way === 'driven' ? isDriven(s, v) : not(isDriven(s, v))),
        ask: 'Is this wheel driven? A driven one turns harder in neutral. Say at Book in which wheels are.',
      },
    ]),
  ),
};

/** The generic limits that hold for a place; both of two ways of being made, where nobody said which it is. */
export function genericFor(slot: Slot | undefined, vehicle: OfVehicle = null): readonly LimitVersion[] {
  return slot ? GENERIC_LIMITS.filter((l) => ONLY_FOR[l.seriesId]?.holds(slot, vehicle) !== false) : GENERIC_LIMITS;
}

/** What has to be said before it is known which of several limits holds; null where nothing has. */
export function unsaidOf(limits: readonly (LimitVersion | null)[], slot: Slot | undefined, vehicle: OfVehicle): string | null {
  if (!slot) return null;
  const open = limits.flatMap((l) => {
    const only = l ? ONLY_FOR[l.seriesId] : undefined;
    return only && only.holds(slot, vehicle) === null ? [only.ask] : [];
  });
  return open[0] ?? null;
}

/** The axle of a place, for its limits. */
export function axleOfSlot(slot: Slot | undefined): 'front' | 'rear' | null {
  return axleOf(slot?.corner ?? null);
}
