import type { BoreMaterial } from '../catalogue/repairOptions.ts';
import { BORE_WEAR_LIMIT, CLEARANCE_LIMIT } from '../catalogue/measured/practice.ts';
import { DomainError, SLACK } from '../quantity/domainError.ts';
import { mean } from '../verdict/uncertainty.ts';

/** A pit as a stretch along a bore, mm from its mouth. */
interface BorePit {
  readonly depth: number;
  readonly from: number;
  readonly to: number;
}

export interface BoreFigures {
  readonly max: number;
  /** max − min at each depth, mm. */
  readonly outOfRound: readonly number[];
  /** Largest mean of a depth less the smallest, mm. */
  readonly taper: number;
}

/** Least angles at a depth, at right angles. */
const MIN_BORE_ANGLES = 2;

/** How far a bore may have worn, mm (generic). `nominal` mm. */
export function boreWearLimit(nominal: number): number {
  return nominal <= BORE_WEAR_LIMIT.smallTo + SLACK ? BORE_WEAR_LIMIT.small : BORE_WEAR_LIMIT.large;
}

/**
 * Reduces bore diameters.
 * @param depths one list per depth from the mouth inwards, mm, each of at least two angles at right angles
 * @throws DomainError too_few_readings
 * Source: handbook 20, Cylinder bores.
 */
export function reduceBore(depths: readonly (readonly number[])[]): BoreFigures {
  if (depths.length === 0 || depths.some((d) => d.length < MIN_BORE_ANGLES)) {
    throw new DomainError('too_few_readings', `A bore is measured at one depth or more, each at ${MIN_BORE_ANGLES} angles or more.`);
  }
  const means = depths.map((d) => mean(d));
  return {
    max: Math.max(...depths.flat()),
    outOfRound: depths.map((d) => Math.max(...d) - Math.min(...d)),
    taper: Math.max(...means) - Math.min(...means),
  };
}

export interface BoreInput {
  readonly nominal: number;
  readonly depths: readonly (readonly number[])[];
  /** Diameters of the piston to be fitted, mm. */
  readonly piston: readonly number[];
  readonly pits: readonly BorePit[];
  /** Zone that a seal sweeps or rests in, mm from the mouth. */
  readonly sweptFrom: number;
  readonly sweptTo: number;
  readonly material: BoreMaterial;
  /** Largest bore after honing, mm; null where none is on file: then it is not honed. */
  readonly honeTo: number | null;
  readonly wearLimit?: number;
  readonly clearanceLimit?: number;
}

export interface BoreJudged extends BoreFigures {
  readonly wear: number;
  readonly clearance: number;
  /** Of the pits that touch the swept zone, 0 where none does. */
  readonly deepestPitInZone: number;
  readonly afterHone: number | null;
  readonly clearanceAfterHone: number | null;
  readonly wearPast: boolean;
  readonly clearancePast: boolean;
  readonly decision: 'use' | 'hone' | 'sleeve_or_replace';
}

/**
 * What a bore and its pits allow: use, a light hone, or sleeve and replace. Only pits in the zone that a seal sweeps
 * or rests in decide; touching it counts. Aluminium, bare or anodised, is never honed.
 * @throws DomainError too_few_readings, no_piston, zone_upside_down
 * Source: handbook 20, Cylinder bores: hone if max + 2 × pit depth ≤ hone-to and the clearance still holds then.
 */
export function judgeBore(input: BoreInput): BoreJudged {
  const figures = reduceBore(input.depths);
  if (input.piston.length === 0) throw new DomainError('no_piston', 'Without the piston to be fitted there is no clearance.');
  if (input.sweptFrom > input.sweptTo || input.pits.some((p) => p.from > p.to)) {
    throw new DomainError('zone_upside_down', 'The zone and every pit begin nearer the mouth than they end.');
  }
  const clearanceLimit = input.clearanceLimit ?? CLEARANCE_LIMIT;
  const wear = figures.max - input.nominal;
  const least = Math.min(...input.piston);
  const clearance = figures.max - least;
  const inZone = input.pits.filter((p) => p.to >= input.sweptFrom - SLACK && p.from <= input.sweptTo + SLACK);
  const deepest = Math.max(0, ...inZone.map((p) => p.depth));
  const afterHone = inZone.length === 0 ? null : figures.max + 2 * deepest;
  const clearanceAfterHone = afterHone === null ? null : afterHone - least;
  const wearPast = wear > (input.wearLimit ?? boreWearLimit(input.nominal)) + SLACK;
  const clearancePast = clearance > clearanceLimit + SLACK;
  const mayHone =
    input.material !== 'aluminium' &&
    input.honeTo !== null &&
    afterHone !== null &&
    clearanceAfterHone !== null &&
    afterHone <= input.honeTo + SLACK &&
    clearanceAfterHone <= clearanceLimit + SLACK;
  return {
    ...figures,
    wear,
    clearance,
    deepestPitInZone: deepest,
    afterHone,
    clearanceAfterHone,
    wearPast,
    clearancePast,
    decision: wearPast || clearancePast ? 'sleeve_or_replace' : inZone.length === 0 ? 'use' : mayHone ? 'hone' : 'sleeve_or_replace',
  };
}
