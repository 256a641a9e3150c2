import { monthsAfter, yearsAfter, yearsBetween } from '../quantity/calendar.ts';
import { DomainError } from '../quantity/domainError.ts';

export type FluidClass = '3' | '4' | '5.1' | '6' | '5' | 'mineral' | 'castor';

export type Climate = 'dry' | 'temperate' | 'damp';

export type FluidKind = 'glycol' | 'silicone' | 'mineral';

export interface ClassFacts {
  readonly id: FluidClass;
  readonly name: string;
  readonly kind: FluidKind;
  /** Least dry and wet boiling points of the standard, °C. */
  readonly dry: number;
  readonly wet: number;
}

/** Classes with the least boiling points of FMVSS 116 / ISO 4925 (mineral and castor fluids have none of these). */
export const FLUID_CLASSES: readonly ClassFacts[] = [
  { id: '4', name: 'Class 4, glycol', kind: 'glycol', dry: 230, wet: 155 },
  { id: '3', name: 'Class 3, glycol', kind: 'glycol', dry: 205, wet: 140 },
  { id: '5.1', name: 'Class 5.1, glycol', kind: 'glycol', dry: 260, wet: 180 },
  { id: '6', name: 'Class 6, low viscosity glycol', kind: 'glycol', dry: 250, wet: 165 },
  { id: '5', name: 'Class 5, silicone', kind: 'silicone', dry: 260, wet: 180 },
  { id: 'mineral', name: 'Mineral hydraulic oil', kind: 'mineral', dry: 0, wet: 0 },
  { id: 'castor', name: 'Castor or alcohol fluid', kind: 'mineral', dry: 0, wet: 0 },
];

export function fluidClass(id: string): ClassFacts | undefined {
  return FLUID_CLASSES.find((c) => c.id === id);
}

/** Share of water at which glycol fluid is saturated in the estimate, percent. */
const SATURATED = 6;
/** Water at which the fluid is due, percent. */
export const WATER_DUE = 3;

function needGlycol(kind: FluidKind): void {
  if (kind !== 'glycol') throw new DomainError('not_glycol', 'Only glycol fluids take up water; this one goes by its interval.');
}

/** Tau of the boiling curve, percent of water. Throws DomainError bad_boiling_points where dry ≤ wet. */
export function boilingTau(dry: number, wet: number): number {
  if (!(dry > wet)) throw new DomainError('bad_boiling_points', 'The dry boiling point must lie above the wet one.');
  return 3.7 / Math.log((dry - (wet - 15)) / 15);
}

/**
 * Boiling point against water, an estimate: B(w) = B∞ + (dry − B∞) e^(−w/τ), B∞ = wet − 15 °C, B(3.7 %) = wet.
 * @param water percent
 * @returns °C
 * @throws DomainError not_glycol, bad_boiling_points
 */
export function boilingPoint(dry: number, wet: number, water: number, kind: FluidKind = 'glycol'): number {
  needGlycol(kind);
  const bottom = wet - 15;
  return bottom + (dry - bottom) * Math.exp(-water / boilingTau(dry, wet));
}

/**
 * Water at a measured boiling point, percent: the boiling curve read the other way; saturated where it lies below all of it.
 * @param boil °C
 * @throws DomainError bad_boiling_points
 */
export function waterAtBoiling(dry: number, wet: number, boil: number): number {
  const bottom = wet - 15;
  if (boil >= dry) return 0;
  if (boil <= bottom) return SATURATED;
  return Math.min(SATURATED, -boilingTau(dry, wet) * Math.log((boil - bottom) / (dry - bottom)));
}

/** Time constant of water uptake, years. Source: handbook 60; the temperate figure agrees with 2.6 % after 30 months in fleet surveys. */
export function waterConstant(climate: Climate, lowMoisture: boolean): number {
  return { dry: 7, temperate: 4.4, damp: 3 }[climate] * (lowMoisture ? 1.4 : 1);
}

/** Water in glycol fluid after `years`, percent: w(t) = 6 (1 − e^(−t/T)). */
export function waterAfter(years: number, constant: number): number {
  return SATURATED * (1 - Math.exp(-years / constant));
}

/** The band that is drawn about the estimate of water: the time constant so many times shorter or longer. Source: handbook 60. */
const BAND = [0.7, 1.3] as const;

/** Water in glycol fluid after `years` at the edges of the band, percent: the least first. */
export function waterBand(years: number, constant: number): readonly [number, number] {
  const [quick, slow] = BAND;
  return [waterAfter(years, constant * slow), waterAfter(years, constant * quick)];
}

/**
 * How likely glycol fluid holds water enough to be due: nothing before 0.7 T ln 2 years, all of it after 1.3 T ln 2, straight
 * between them.
 * @param water the estimate, percent
 * @returns a share of 1
 * Source: handbook 35, Links to mend (fluid_water), by the band of handbook 60.
 */
export function waterLikely(water: number): number {
  const constants = water >= SATURATED ? Infinity : -Math.log(1 - Math.max(0, water) / SATURATED);
  const [from, to] = BAND.map((b) => b * Math.LN2) as [number, number];
  return Math.min(1, Math.max(0, (constants - from) / (to - from)));
}

/**
 * Time constant from a measurement, years: T = −t / ln(1 − w/6).
 * @throws DomainError saturated, nothing_to_fit
 */
export function refitWater(years: number, measured: number): number {
  if (measured >= SATURATED) throw new DomainError('saturated', 'The fluid is saturated: there is no rate to read from it.');
  if (!(measured > 0) || !(years > 0)) throw new DomainError('nothing_to_fit', 'A rate needs some water and some time.');
  return -years / Math.log(1 - measured / SATURATED);
}

/** What a fluid has to boil above the hottest that is expected of it, °C. Source: handbook 60, Next change due. */
export const NEED_OVER = 20;

export interface DueInput {
  readonly kind: FluidKind;
  /** ISO date of the change. */
  readonly changed: string;
  readonly climate: Climate;
  readonly lowMoisture: boolean;
  readonly stands: boolean;
  readonly competition: boolean;
  readonly dry: number;
  readonly wet: number;
  /** Highest fluid temperature expected, °C; null unless used hot. */
  readonly hottest?: number | null;
  readonly makerMonths?: number | null;
  readonly measured?: { readonly date: string; readonly water: number } | null;
}

export type DueReason = 'house_interval' | 'water_3_percent' | 'boiling_below_need' | 'maker_interval' | 'measured_saturated';
const REASONS: readonly DueReason[] = ['house_interval', 'water_3_percent', 'boiling_below_need', 'maker_interval', 'measured_saturated'];

/** The house interval of fluid, months: 24; 12 in a damp climate, for what stands, and in competition. Source: handbook 60, Next change due. */
export function fluidMonths(of: Pick<DueInput, 'climate' | 'stands' | 'competition'>): number {
  return of.climate === 'damp' || of.stands || of.competition ? 12 : 24;
}

/**
 * When the fluid is next due, and why: the earliest of house interval, water, boiling point and maker's interval.
 * @throws DomainError wrong_fluid_for_need, measured_before_change, bad_boiling_points
 * Source: handbook 60, Next change due.
 */
export function fluidDue(input: DueInput): {
  readonly due: string;
  readonly reason: DueReason;
  readonly candidates: Partial<Record<DueReason, string>>;
} {
  const candidates: Partial<Record<DueReason, string>> = { house_interval: monthsAfter(input.changed, fluidMonths(input)) };
  if (input.makerMonths != null) candidates.maker_interval = monthsAfter(input.changed, input.makerMonths);
  if (input.kind === 'glycol') Object.assign(candidates, glycolCandidates(input));
  let best: DueReason = 'house_interval';
  for (const reason of REASONS) {
    const date = candidates[reason];
    if (date !== undefined && date < (candidates[best] ?? date)) best = reason;
  }
  return { due: candidates[best] ?? input.changed, reason: best, candidates };
}

function glycolCandidates(input: DueInput): Partial<Record<DueReason, string>> {
  let constant = waterConstant(input.climate, input.lowMoisture);
  if (input.measured) {
    if (input.measured.date < input.changed) throw new DomainError('measured_before_change', 'The sample is older than the fluid.');
    if (input.measured.water >= SATURATED) return { measured_saturated: input.measured.date };
    const years = yearsBetween(input.changed, input.measured.date);
    if (input.measured.water > 0 && years > 0) constant = refitWater(years, input.measured.water);
  }
  const out: Partial<Record<DueReason, string>> = { water_3_percent: yearsAfter(input.changed, constant * Math.LN2) };
  if (input.hottest == null) return out;
  const need = input.hottest + NEED_OVER;
  if (need >= input.dry) throw new DomainError('wrong_fluid_for_need', 'This fluid does not reach the vehicle’s need even when fresh.');
  const bottom = input.wet - 15;
  if (need <= bottom) return out;
  const water = -boilingTau(input.dry, input.wet) * Math.log((need - bottom) / (input.dry - bottom));
  if (water < SATURATED) out.boiling_below_need = yearsAfter(input.changed, -constant * Math.log(1 - water / SATURATED));
  return out;
}
