import { characteristicsAt } from '../catalogue/characteristics.ts';
import type { JobState } from '../job/job.ts';
import { genericFor } from '../judging/genericLimits.ts';
import { axleOf } from '../layout/kinds.ts';
import { type LimitAxle, type LimitVersion, findLimits } from '../verdict/limits.ts';
import { limitWhy } from '../wording/en/jobs.ts';

/** A limit that a vehicle needs, and what the book has for it. */
export interface NeededLimit {
  readonly characteristic: string;
  readonly name: string;
  readonly axle: LimitAxle | null;
  readonly limit: LimitVersion | null;
  /** In a sentence: which one applies and why, or that there is none. */
  readonly why: string;
}

/**
 * What a vehicle's job needs limits for, by characteristic and axle, each with the one that applies and why.
 * Source: handbook 10, The limit book.
 */
export function limitsNeeded(state: JobState): NeededLimit[] {
  const { vehicle } = state.records;
  const rows = new Map<string, NeededLimit>();
  for (const c of state.components.filter((x) => x.inScope)) {
    const limits = [...state.records.limits, ...genericFor(c.slot, vehicle)];
    for (const k of characteristicsAt(c.slot).filter((x) => !x.recorded)) {
      const axle = axleOf(c.slot.corner);
      const key = `${k.id}|${axle ?? ''}`;
      if (rows.has(key)) continue;
      const target = {
        characteristic: k.id,
        axle,
        partId: c.part?.id ?? null,
        partNumber: c.part?.partNumber ?? null,
        vehicleId: vehicle.id,
        make: vehicle.make,
        model: vehicle.model,
        year: vehicle.year,
        variant: vehicle.variant,
      };
      const found = findLimits(limits, target);
      const without = findLimits(
        limits.filter((l) => !found.governing.some((g) => g.seriesId === l.seriesId)),
        target,
      );
      rows.set(key, {
        characteristic: k.id,
        name: k.name,
        axle,
        limit: found.governing[0] ?? null,
        why: limitWhy(found.governing, without.governing),
      });
    }
  }
  return [...rows.values()];
}
