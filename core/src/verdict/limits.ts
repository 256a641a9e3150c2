import { DomainError } from '../quantity/domainError.ts';
import { type Bound, checkBound } from './decide.ts';
import type { Gravity } from './severity.ts';

/** The axle that a limit is for, numbered from the front; a sidecar's wheel is one by itself. */
export const LIMIT_AXLES = ['front', 'middle', 'rear', 'side'] as const;
export type LimitAxle = (typeof LIMIT_AXLES)[number];

export type LimitSource = 'stamped' | 'maker' | 'supplier' | 'measured_new' | 'house' | 'generic';

/** Better sources first. */
export const SOURCE_RANK: readonly LimitSource[] = ['stamped', 'maker', 'supplier', 'measured_new', 'house', 'generic'];

export type LimitScope = 'part' | 'part_number' | 'vehicle' | 'type' | 'shop';

/** One version of one limit. Limits are never edited: a new version of the same series supersedes. */
export interface LimitVersion {
  readonly id: string;
  /** The limit that this is a version of. */
  readonly seriesId: string;
  readonly characteristic: string;
  readonly scope: LimitScope;
  /** Which part, part number or vehicle; null for type and shop. */
  readonly appliesTo: string | null;
  readonly make: string | null;
  readonly model: string | null;
  readonly yearFrom: number | null;
  readonly yearTo: number | null;
  readonly variant: string | null;
  /** Front and rear of a vehicle mostly differ; null applies to both. */
  readonly axle: LimitAxle | null;
  readonly bound: 'lower' | 'upper' | 'range';
  readonly nominal: number | null;
  readonly machineTo: number | null;
  /** Discard, maximum or minimum; null for a range. */
  readonly at: number | null;
  readonly low: number | null;
  readonly high: number | null;
  readonly gravity: Gravity;
  /** Also binds below its rank. */
  readonly atLeast: boolean;
  readonly source: LimitSource;
  readonly sourceText: string;
  readonly asPrinted: string;
  readonly printedUnit: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
  readonly checkedBy: string | null;
  readonly checkedAt: string | null;
}

/** Who a figure belongs to, for finding its limit. */
export interface LimitTarget {
  readonly characteristic: string;
  readonly axle: LimitAxle | null;
  readonly partId: string | null;
  readonly partNumber: string | null;
  readonly vehicleId: string;
  readonly make: string;
  readonly model: string;
  readonly year: number | null;
  readonly variant: string | null;
}

/** The bound a version sets: discard in general, machine-to for a figure taken after machining. */
export function boundOf(limit: LimitVersion | null, afterMachining = false): Bound {
  if (!limit) return { kind: 'none' };
  if (limit.bound === 'range') {
    if (limit.low === null || limit.high === null) return { kind: 'none' };
    return { kind: 'range', low: limit.low, high: limit.high, nominal: limit.nominal };
  }
  const at = afterMachining && limit.machineTo !== null ? limit.machineTo : limit.at;
  if (at === null) return { kind: 'none' };
  // A part that may be cut down to nothing but what it was when new has no band between the two.
  const nominal = limit.nominal === at ? null : limit.nominal;
  return { kind: limit.bound, at, nominal };
}

/**
 * Checks a limit before it is entered: nominal, machine-to and discard must lie in that order.
 * @throws DomainError limit_inconsistent, limit_incomplete
 */
export function checkLimit(limit: Pick<LimitVersion, 'bound' | 'nominal' | 'machineTo' | 'at' | 'low' | 'high'>): void {
  if (limit.bound === 'range') {
    if (limit.low === null || limit.high === null) throw new DomainError('limit_incomplete', 'A range needs both its ends.');
    checkBound({ kind: 'range', low: limit.low, high: limit.high, nominal: limit.nominal });
    return;
  }
  if (limit.at === null) throw new DomainError('limit_incomplete', 'A limit needs the figure at which the part is done.');
  checkBound({ kind: limit.bound, at: limit.at, nominal: limit.nominal });
  if (limit.machineTo === null) return;
  const sign = limit.bound === 'lower' ? 1 : -1;
  const beforeDiscard = (limit.machineTo - limit.at) * sign >= 0;
  const afterNominal = limit.nominal === null || (limit.nominal - limit.machineTo) * sign >= 0;
  if (!beforeDiscard || !afterNominal) {
    throw new DomainError('limit_inconsistent', 'Nominal, machine-to and discard must lie in that order.');
  }
}

/** Newest version of every series. */
export function currentLimits(all: readonly LimitVersion[]): LimitVersion[] {
  const newest = new Map<string, LimitVersion>();
  for (const limit of all) {
    const known = newest.get(limit.seriesId);
    if (!known || limit.id > known.id) newest.set(limit.seriesId, limit);
  }
  return [...newest.values()];
}

function same(a: string | null, b: string | null): boolean {
  return a !== null && b !== null && a.trim().toLowerCase() === b.trim().toLowerCase();
}

/**
 * How closely a limit applies: lower is closer, null does not apply.
 * This very part › part number › vehicle › type (more fields matched first) › shop › generic.
 */
export function rankOf(limit: LimitVersion, target: LimitTarget): number | null {
  if (limit.characteristic !== target.characteristic) return null;
  if (limit.axle !== null && limit.axle !== target.axle) return null;
  const axleTerm = limit.axle === null ? 0.5 : 0;
  switch (limit.scope) {
    case 'part':
      return limit.appliesTo !== null && limit.appliesTo === target.partId ? axleTerm : null;
    case 'part_number':
      return same(limit.appliesTo, target.partNumber) ? 10 + axleTerm : null;
    case 'vehicle':
      return limit.appliesTo === target.vehicleId ? 20 + axleTerm : null;
    case 'type':
      return rankOfType(limit, target, axleTerm);
    case 'shop':
      return (limit.source === 'generic' ? 50 : 40) + axleTerm;
  }
}

function rankOfType(limit: LimitVersion, target: LimitTarget, axleTerm: number): number | null {
  if (!same(limit.make, target.make) || !same(limit.model, target.model)) return null;
  let matched = 0;
  if (limit.yearFrom !== null || limit.yearTo !== null) {
    if (target.year === null) return null;
    if (target.year < (limit.yearFrom ?? -Infinity) || target.year > (limit.yearTo ?? Infinity)) return null;
    matched += 1;
  }
  if (limit.variant !== null) {
    if (!same(limit.variant, target.variant)) return null;
    matched += 1;
  }
  return 34 - 2 * matched + axleTerm;
}

export interface FoundLimits {
  /** The most specific limits of one rank: one, or several that conflict (the worse verdict then holds). */
  readonly governing: readonly LimitVersion[];
  /** Limits marked "at least" that bind below their rank as well. */
  readonly also: readonly LimitVersion[];
}

/**
 * Finds the limits that apply, the most specific winning.
 * @param limits versions of any age; only the newest of a series counts
 * Source: handbook, The limit book; Subjects, limits, basis.
 */
export function findLimits(limits: readonly LimitVersion[], target: LimitTarget): FoundLimits {
  const ranked = currentLimits(limits)
    .map((limit) => ({ limit, rank: rankOf(limit, target) }))
    .filter((r): r is { limit: LimitVersion; rank: number } => r.rank !== null)
    .sort((a, b) => a.rank - b.rank);
  const best = ranked[0]?.rank;
  if (best === undefined) return { governing: [], also: [] };
  return {
    governing: ranked.filter((r) => r.rank === best).map((r) => r.limit),
    also: ranked.filter((r) => r.rank !== best && r.limit.atLeast).map((r) => r.limit),
  };
}
