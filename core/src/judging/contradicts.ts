import type { Characteristic } from '../catalogue/characteristics.ts';
import type { Book } from '../history/book.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Slot, counterpart, placeName } from '../layout/graph.ts';
import type { Reduced } from '../metrology/reduce.ts';
import { displayWithUnit } from '../quantity/display.ts';
import type { LimitVersion } from '../verdict/limits.ts';

const ASKED = 'is this the part, is this the figure?';

/** What the part was when new, as far as anybody entered it: from its limit, or the bore in the layout; canonical unit. */
function newOf(c: Characteristic, slot: Slot, limit: LimitVersion | null): number | null {
  if (c.id === 'bore_wear' || c.id === 'piston_diameter') return slot.boreMm;
  return limit && limit.source !== 'generic' ? limit.nominal : null;
}

function farFromNew(c: Characteristic, reduced: Reduced, slot: Slot, limit: LimitVersion | null): string | null | undefined {
  const fresh = newOf(c, slot, limit);
  if (c.nearNew === null || fresh === null || !(fresh > 0)) return undefined;
  const now = c.id === 'bore_wear' ? fresh + reduced.value : reduced.value;
  const share = (now - fresh) / fresh;
  const doubt = reduced.expanded / fresh;
  const [low, high] = c.nearNew;
  if (share >= low - doubt && share <= high + doubt) return null;
  const text = (v: number): string => displayWithUnit(v, c.kind, 10 ** -reduced.decimals, c.unit);
  return `${text(now)}, and it was ${text(fresh)} when new: ${ASKED}`;
}

function farFromPartner(book: Book, c: Characteristic, reduced: Reduced, slot: Slot): string | null {
  const other = c.nearPartner === null ? undefined : counterpart(book.file.layout, slot);
  if (c.nearPartner === null || !other || other.boreMm !== slot.boreMm) return null;
  const set = newestSets(book, other.id, partHere(other.id, book.stand(book.file.partEvents))).get(c.takenFrom);
  const theirs = set && book.reduced(set).find((r) => r.characteristic === c.id && r.taken >= r.needed);
  if (!theirs) return null;
  const apart = Math.abs(reduced.value - theirs.value);
  const doubt = Math.hypot(reduced.expanded, theirs.expanded);
  if (apart - doubt <= c.nearPartner * Math.max(reduced.value, theirs.value)) return null;
  const text = displayWithUnit(apart, c.kind, 10 ** -reduced.decimals, c.unit);
  return `${text} apart from the ${placeName(other).toLowerCase()}: ${ASKED}`;
}

/**
 * What a figure contradicts, in a sentence: itself, what the part was when new, or its partner across the axle; null where
 * it contradicts nothing. Where it is known what the part was when new, that decides and not the partner.
 * @param limit the one that governs it
 */
export function contradiction(book: Book, c: Characteristic, reduced: Reduced, slot: Slot, limit: LimitVersion | null): string | null {
  if (c.belowNothing !== null && reduced.value + reduced.expanded < 0) return c.belowNothing;
  const far = farFromNew(c, reduced, slot, limit);
  return far === undefined ? farFromPartner(book, c, reduced, slot) : far;
}
