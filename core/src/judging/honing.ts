import type { Book } from '../history/book.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import type { Slot } from '../layout/graph.ts';
import { type BoreJudged, type BoreMaterial, judgeBore } from '../metrology/bore.ts';
import { toResult } from '../quantity/domainError.ts';
import { findLimits } from '../verdict/limits.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { limitTarget } from './judge.ts';
import { type DamageSegment, stretchesAt } from './stretches.ts';

export interface Honing {
  readonly result: BoreJudged | null;
  readonly refused: string | null;
  readonly missing: readonly string[];
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
export function honing(book: Book, slot: Slot, material: BoreMaterial): Honing {
  const partId = partHere(slot.id, book.stand(book.file.partEvents));
  const newest = newestSets(book, slot.id, partId);
  const boreSet = newest.get('bore_diameter');
  const pistonSet = newest.get('piston_diameter');
  const zoneSet = newest.get('bore_zone');
  const part = book.file.parts.find((p) => p.id === partId);
  const missing: string[] = [];
  const depths = ['mouth', 'middle', 'bottom'].map((d) =>
    boreSet ? book.taken(boreSet).flatMap((t) => (t.reading.place === d ? [t.value] : [])) : [],
  );
  const piston = pistonSet ? book.taken(pistonSet).map((t) => t.value) : [];
  const at = (place: string): number | null => (zoneSet && book.taken(zoneSet).find((t) => t.reading.place === place)?.value) ?? null;
  const [from, to] = [at('from'), at('to')];
  const zone = from !== null && to !== null ? { from, to } : null;
  const pits = stretchesAt(book, slot.id);
  if (depths.every((d) => d.length === 0)) missing.push('the bore');
  if (piston.length === 0) missing.push('the piston to be fitted');
  if (slot.boreMm === null) missing.push('the bore when new (in the layout)');
  if (zone === null) missing.push('the zone that the seals sweep');
  if (pits.some((p) => p.depth === null)) missing.push('how deep the pits are');
  const limitOf = (id: 'bore_wear' | 'bore_clearance') =>
    findLimits(
      [...book.file.limits, ...genericFor(slot, book.file.vehicle)],
      limitTarget(book.file.vehicle, id, axleOfSlot(slot), partId, part?.partNumber ?? null),
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
  return tried.ok ? { ...known, result: tried.value, refused: null } : { ...known, result: null, refused: tried.refusal.message };
}

/** What a bore allows, in words. */
export function honingWords(h: Honing): string {
  if (h.refused) return h.refused;
  if (!h.result) return `Not known yet: ${h.missing.join(', ')}.`;
  const { result } = h;
  if (result.wearPast) return 'The bore is worn past its limit: sleeve or replace.';
  if (result.clearancePast) return 'The piston has too much clearance in this bore: sleeve or replace, or another piston.';
  if (result.decision === 'use') return 'No pit lies where a seal rests or sweeps: it may be used as it is.';
  if (result.decision === 'hone') return 'The pits come out with a light hone and the clearance still holds.';
  return h.honeTo === null
    ? 'A pit lies where a seal sweeps, and no hone-to figure is on file: no hone. Sleeve or replace.'
    : 'A pit lies where a seal sweeps and is too deep to hone out, or the metal is not honed: sleeve or replace.';
}
