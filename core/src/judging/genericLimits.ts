import { type Characteristic, CHARACTERISTICS } from '../catalogue/characteristics.ts';
import type { Generic } from '../catalogue/measured/types.ts';
import type { Slot } from '../layout/graph.ts';
import { type Axle, axleOf, INBOARD_FLANGE } from '../layout/kinds.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { BORE_WEAR_LIMIT, WORKSHOP_PRACTICE } from '../catalogue/measured/practice.ts';
import { boreWearLimit } from '../metrology/bore.ts';
import type { LimitVersion } from '../verdict/limits.ts';

function genericOf(c: Characteristic, facts: Generic): LimitVersion {
  const { name = c.id, bound, gravity, at = null, low = null, high = null, nominal = null, where = WORKSHOP_PRACTICE } = facts;
  return {
    ...{ id: `generic:${name}:1`, seriesId: `generic:${name}`, characteristic: c.id, scope: 'shop', appliesTo: null },
    ...{ make: null, model: null, yearFrom: null, yearTo: null, variant: null, axle: null, machineTo: null, atLeast: false },
    ...{ bound, nominal, at, low, high, gravity, source: 'generic', sourceText: where },
    ...{ asPrinted: at === null ? `${low ?? ''} to ${high ?? ''} ${c.unit}` : `${at} ${c.unit}`, printedUnit: c.unit },
    ...{ enteredBy: 'generic', enteredAt: '2020-01-01T00:00:00.000Z', checkedBy: 'generic', checkedAt: '2020-01-01T00:00:00.000Z' },
  };
}

/** Common workshop practice, offered until somebody enters the figure for the vehicle. Source: handbook 20. */
export const GENERIC_LIMITS: readonly LimitVersion[] = CHARACTERISTICS.flatMap((c) => c.generic.map((facts) => genericOf(c, facts)));

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

/** What nobody has said of a part, and what its limit hangs on: how its bearing is made, or whether its wheel is driven. */
export type Unsaid = 'bearing' | 'driven';

/** Generic limits that hold for one way of being made only, and what to say while nobody said which. */
const ONLY_FOR: Readonly<Record<string, { readonly holds: Holds; readonly ask: Unsaid | null }>> = {
  ...Object.fromEntries(
    (['taper', 'unit'] as const).map((way) => [
      `generic:hub_end_float_${way}`,
      {
        holds: (s: Slot) =>
          s.style === null ? null : s.style !== INBOARD_FLANGE && (s.style === 'taper_adjustable') === (way === 'taper'),
        ask: 'bearing',
      },
    ]),
  ),
  'generic:bore_wear_small': { holds: (s) => s.boreMm === null || boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.small, ask: null },
  'generic:bore_wear_large': { holds: (s) => s.boreMm !== null && boreWearLimit(s.boreMm) === BORE_WEAR_LIMIT.large, ask: null },
  ...Object.fromEntries(
    (['driven', 'free'] as const).flatMap((way) =>
      ['wheel_drag_after', 'parking_drag'].map((of) => [
        `generic:${of}_${way}`,
        {
          holds: (s: Slot, v: OfVehicle) => (way === 'driven' ? isDriven(s, v) : not(isDriven(s, v))),
          ask: 'driven',
        },
      ]),
    ),
  ),
};

/** The generic limits that hold for a place; both of two ways of being made, where nobody said which it is. */
export function genericFor(slot: Slot | undefined, vehicle: OfVehicle = null): readonly LimitVersion[] {
  return slot ? GENERIC_LIMITS.filter((l) => ONLY_FOR[l.seriesId]?.holds(slot, vehicle) !== false) : GENERIC_LIMITS;
}

/** What has to be said before it is known which of several limits holds; null where nothing has. */
export function unsaidOf(limits: readonly (LimitVersion | null)[], slot: Slot | undefined, vehicle: OfVehicle): Unsaid | null {
  if (!slot) return null;
  const open = limits.flatMap((l) => {
    const only = l ? ONLY_FOR[l.seriesId] : undefined;
    return only && only.holds(slot, vehicle) === null && only.ask !== null ? [only.ask] : [];
  });
  return open[0] ?? null;
}

/** The axle of a place, for its limits. */
export function axleOfSlot(slot: Slot | undefined): Axle | null {
  return axleOf(slot?.corner ?? null);
}
