import { operationFor } from '../../catalogue/operations.ts';
import type { OptionId } from '../../catalogue/repairOptions.ts';
import type { CheckKind, FaultKind } from '../../catalogue/trace/tables.ts';
import { HAZARD_OF } from './hazards.ts';

/** Minutes of the work that a fault is answered with, where no operation of its kind says; generic. */
const MINUTES: Readonly<Record<OptionId, number>> = {
  ...{ use_again: 20, for_now: 20, reseal: 75, hone: 90, sleeve: 60, machine: 50, reline: 60 },
  ...{ replace: 40, exchange: 40, used: 40, convert: 240, take_off: 60, put_off: 5 },
};
/** A fault that was left in: the vehicle comes back, is traced, stripped and proved once more, minutes; generic. */
const COMES_BACK = 120;
/** A fault that nobody drives with weighs so many times as much. Source: handbook 35, What a check is worth. */
const DANGER = 10;

/** What leaving a fault in costs, and working on it in vain, minutes. Source: handbook 35, What a check is worth. */
export function costsOf(kind: FaultKind): { readonly miss: number; readonly needless: number } {
  const { on } = kind;
  const own = on === 'system' || on === 'fluid' || on === 'circuit' || on === 'axle' ? undefined : operationFor(on, kind.option);
  const needless = own?.attendedMinutes ?? MINUTES[kind.option];
  return { needless, miss: (COMES_BACK + needless) * (HAZARD_OF.has(kind.id) ? DANGER : 1) };
}

/** Bleeding a circuit again that a check opened, minutes; generic. */
const BLEEDING = 20;

/** Beside its own minutes: tools fetched and put away, what came out written down; and the one wheel that is taken up and off for it. */
const [SETTING_UP, ONE_WHEEL] = [20, 15];

/**
 * What a check costs in all, minutes: its own, its helpers', getting to it, and the bleeding that it makes necessary. Without
 * what it takes to get there, a vehicle is gone through trifle by trifle, one wheel at a time (measured in docs/tracing.md).
 * Source: handbook 35, What a check is worth.
 */
export function checkCost(kind: CheckKind, minutes: number): number {
  const there = SETTING_UP + (kind.scope === 'corner' ? ONE_WHEEL : 0);
  return minutes * (1 + kind.helpers) + there + (kind.hazards.includes('opens') ? BLEEDING : 0);
}
