import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import type { Slot } from '../layout/graph.ts';
import type { BoreMaterial } from '../catalogue/repairOptions.ts';
import { type BoreJudged, judgeBore } from '../metrology/bore.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';
import { findLimits } from '../verdict/limits.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { limitTarget } from './judge.ts';
import { type DamageSegment, stretchesAt } from './stretches.ts';

/** What has to be known before a bore can be judged. */
export type BoreMissing = 'bore' | 'piston' | 'bore_new' | 'swept_zone' | 'pit_depth';

export interface Honing {
  readonly result: BoreJudged | null;
  readonly refused: DomainError | null;
  readonly missing: readonly BoreMissing[];
  readonly nominal: number | null;
  readonly honeTo: number | null;
  readonly zone: { readonly from: number; readonly to: number } | null;
  readonly pits: readonly DamageSegment[];
}

/**
 * What a cylinder's bore and its pits allow, from what was gauged at this place. The largest bore after honing is the
 * machine-to figure of its wear limit, added to the bore when new.
 * Source: handbook 20, Cylinder bores.
 */
export function honing(history: JobHistory, slot: Slot, material: BoreMaterial): Honing {
  const partId = partHere(slot.id, history.active(history.records.partEvents));
  const newest = newestSets(history, slot.id, partId);
  const boreSet = newest.get('bore_diameter');
  const pistonSet = newest.get('piston_diameter');
  const zoneSet = newest.get('bore_zone');
  const part = history.records.parts.find((p) => p.id === partId);
  const missing: BoreMissing[] = [];
  const depths = ['mouth', 'middle', 'bottom'].map((d) =>
    boreSet ? history.taken(boreSet).flatMap((t) => (t.reading.place === d ? [t.value] : [])) : [],
  );
  const piston = pistonSet ? history.taken(pistonSet).map((t) => t.value) : [];
  const at = (place: string): number | null => (zoneSet && history.taken(zoneSet).find((t) => t.reading.place === place)?.value) ?? null;
  const [from, to] = [at('from'), at('to')];
  const zone = from !== null && to !== null ? { from, to } : null;
  // What was there before it was honed or sleeved is gone, or is found again by the look that follows.
  const worked = history
    .active(history.records.partEvents)
    .findLast((e) => e.partId === partId && (e.kind === 'honed' || e.kind === 'sleeved'));
  const pits = stretchesAt(history, slot.id).filter((p) => worked === undefined || p.foundAt > worked.happenedAt);
  if (depths.every((d) => d.length === 0)) missing.push('bore');
  if (piston.length === 0) missing.push('piston');
  if (slot.boreMm === null) missing.push('bore_new');
  if (zone === null) missing.push('swept_zone');
  if (pits.some((p) => p.depth === null)) missing.push('pit_depth');
  const limitOf = (id: 'bore_wear' | 'bore_clearance') =>
    findLimits(
      [...history.records.limits, ...genericFor(slot, history.records.vehicle)],
      limitTarget(history.records.vehicle, id, axleOfSlot(slot), partId, part?.partNumber ?? null),
    ).governing[0];
  const [limit, clearance] = [limitOf('bore_wear'), limitOf('bore_clearance')];
  const honeTo = limit?.machineTo != null && slot.boreMm !== null ? slot.boreMm + limit.machineTo : null;
  const known = { missing, nominal: slot.boreMm, honeTo, zone, pits };
  if (missing.length > 0 || slot.boreMm === null || zone === null) return { ...known, result: null, refused: null };
  const { boreMm } = slot;
  const tried = toResult(() =>
    judgeBore({
      nominal: boreMm,
      depths: depths.filter((d) => d.length > 0),
      piston,
      pits: pits.map((p) => ({ from: p.from, to: p.to, depth: p.depth ?? 0 })),
      sweptFrom: zone.from,
      sweptTo: zone.to,
      material,
      honeTo,
      ...(limit?.at != null && limit.bound === 'upper' && { wearLimit: limit.at }),
      ...(clearance?.at != null && clearance.bound === 'upper' && { clearanceLimit: clearance.at }),
    }),
  );
  return tried.ok ? { ...known, result: tried.value, refused: null } : { ...known, result: null, refused: tried.refusal };
}
