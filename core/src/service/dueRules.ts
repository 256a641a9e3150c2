import type { Use } from '../ledger/vehicleRecords.ts';

/** What falls due on a vehicle again and again, beside its fluid. */
export type DueRuleId = 'exercise' | 'open' | 'hoses' | 'bearings' | 'parking';

/** What has to be off or done to come to something: what is done together. */
export type DueAccess = 'wheels_off' | 'driven' | 'standing';

/** An interval, in months, by how a vehicle is used (generic). */
export interface DueRule {
  readonly id: DueRuleId;
  readonly months: Readonly<Record<Use, number | null>>;
  readonly access: DueAccess;
}

const all = (months: number): Record<Use, number> => ({
  daily: months,
  seasonal: months,
  work: months,
  competition: months,
  stands: months,
});

/**
 * Intervals of service beside the fluid's own (generic). Hoses, exercise: handbook 60, Next change due; units opened: handbook 58,
 * A57, every 5 years where the vehicle stands, 10 otherwise. Bearings and parking brake are named there without a figure: bounds of
 * the house, a year for the parking brake and two for bearings, half of that where the vehicle works or competes.
 */
export const DUE_RULES: Readonly<Record<DueRuleId, DueRule>> = {
  exercise: { id: 'exercise', months: { daily: null, seasonal: null, work: null, competition: null, stands: 3 }, access: 'driven' },
  open: { id: 'open', months: { ...all(120), stands: 60 }, access: 'wheels_off' },
  hoses: { id: 'hoses', months: all(120), access: 'wheels_off' },
  bearings: { id: 'bearings', months: { ...all(24), work: 12, competition: 12 }, access: 'wheels_off' },
  parking: { id: 'parking', months: { ...all(12), work: 6, competition: 6 }, access: 'standing' },
};

/** Days before something falls due from which it is told (house rule). */
export const DUE_SOON_DAYS = 60;
