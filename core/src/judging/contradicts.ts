import type { Characteristic } from '../catalogue/characteristics.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Slot, counterpart } from '../layout/graph.ts';
import type { Reduced } from '../metrology/reduce.ts';
import type { LimitVersion } from '../verdict/limits.ts';

/** What a figure contradicts: that it can be no less than nothing, what the part was when new, or its partner across the axle; in its unit. */
export type Contradiction =
  | { readonly kind: 'below_nothing' }
  | { readonly kind: 'new'; readonly now: number; readonly fresh: number }
  | { readonly kind: 'partner'; readonly apart: number; readonly partner: Slot };

/** What the part was when new, as far as anybody entered it: from its limit, or the bore in the layout; canonical unit. */
function newOf(c: Characteristic, slot: Slot, limit: LimitVersion | null): number | null {
  if (c.id === 'bore_wear' || c.id === 'piston_diameter') return slot.boreMm;
  return limit && limit.source !== 'generic' ? limit.nominal : null;
}

function farFromNew(c: Characteristic, reduced: Reduced, slot: Slot, limit: LimitVersion | null): Contradiction | null | undefined {
  const fresh = newOf(c, slot, limit);
  if (c.nearNew === null || fresh === null || !(fresh > 0)) return undefined;
  const now = c.id === 'bore_wear' ? fresh + reduced.value : reduced.value;
  const share = (now - fresh) / fresh;
  const doubt = reduced.expanded / fresh;
  const [low, high] = c.nearNew;
  if (share >= low - doubt && share <= high + doubt) return null;
  return { kind: 'new', now, fresh };
}

function farFromPartner(history: JobHistory, c: Characteristic, reduced: Reduced, slot: Slot): Contradiction | null {
  const other = c.nearPartner === null ? undefined : counterpart(history.records.layout, slot);
  if (c.nearPartner === null || !other || other.boreMm !== slot.boreMm) return null;
  const set = newestSets(history, other.id, partHere(other.id, history.active(history.records.partEvents))).get(c.takenFrom);
  const theirs = set && history.reduced(set).find((r) => r.characteristic === c.id && r.taken >= r.needed);
  if (!theirs) return null;
  const apart = Math.abs(reduced.value - theirs.value);
  const doubt = Math.hypot(reduced.expanded, theirs.expanded);
  if (apart - doubt <= c.nearPartner * Math.max(reduced.value, theirs.value)) return null;
  return { kind: 'partner', apart, partner: other };
}

/**
 * What a figure contradicts: itself, what the part was when new, or its partner across the axle; null where
 * it contradicts nothing. Where it is known what the part was when new, that decides and not the partner.
 * @param limit the one that governs it
 */
export function contradiction(
  history: JobHistory,
  c: Characteristic,
  reduced: Reduced,
  slot: Slot,
  limit: LimitVersion | null,
): Contradiction | null {
  if (c.belowNothing !== null && reduced.value + reduced.expanded < 0) return { kind: 'below_nothing' };
  const far = farFromNew(c, reduced, slot, limit);
  return far === undefined ? farFromPartner(history, c, reduced, slot) : far;
}
