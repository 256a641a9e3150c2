import { type IdentityFact, identityOf } from '../catalogue/identity.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn } from '../history/whereabouts.ts';
import { slotById } from '../layout/graph.ts';
import type { OrderLine } from '../ledger/families/orderLines.ts';
import type { PartFact } from '../ledger/families/partFacts.ts';
import type { ArticleVersion, Supply } from '../ledger/priceRecords.ts';
import { toResult } from '../quantity/domainError.ts';
import { readTold } from '../quantity/told.ts';

/** One thing by which the new article is held against the old part. */
export interface Compared {
  readonly fact: IdentityFact;
  /** Of the old part: a figure in mm or a count, or words; null where nobody took it. */
  readonly old: Known | null;
  readonly fresh: Known | null;
  /** What the seller states of the article; null where he states nothing. */
  readonly stated: Known | null;
  /** Alike, unlike, or not to be told while one of the two is missing. */
  readonly alike: boolean | null;
  /** What is stated is not what was measured of the old one: said before it is ordered. */
  readonly statedUnlike: boolean;
}

export interface Known {
  readonly typed: string;
  readonly value: number | null;
  /** The record that says so; null where it was gauged as a set, or stated. */
  readonly id: string | null;
}

/** What is ordered as a whole unit, and so is held against the one that it takes the place of. */
export const WHOLE: readonly Supply[] = ['new', 'exchange', 'used'];

/** Words without what a hand writes one way or the other: “M10 x 1” is “m10×1”. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/×/g, 'x')
    .replace(/[\s,;.]+/g, '');

/** Whether a new article is like the old part in one thing. Source: handbook 40, Check on arrival. */
export function isAlike(fact: IdentityFact, old: Pick<Known, 'typed' | 'value'>, fresh: Pick<Known, 'typed' | 'value'>): boolean {
  if (fact.id === 'outline') return fresh.typed === 'like';
  if (fact.form === 'choice')
    return old.typed === fresh.typed || (fact.id === 'hand' && (fresh.typed === 'either' || old.typed === 'either'));
  if (old.value === null || fresh.value === null) return plain(old.typed) === plain(fresh.typed);
  const by = fresh.value - old.value;
  // Compared to a millionth, so that what is typed as 10.2 and 10 differs by 0.2 and no more.
  const slack = fact.tolerance + 1e-6;
  if (fact.worn === 'thinner') return by >= -slack;
  if (fact.worn === 'wider') return by <= slack;
  return Math.abs(by) <= slack;
}

const asKnown = (f: PartFact | undefined): Known | null => (f ? { typed: f.typed, value: f.canonical, id: f.id } : null);

/** What is stated of an article, read as what was typed is. */
function statedOf(article: ArticleVersion | null, fact: IdentityFact): Known | null {
  const typed = article?.states[fact.id];
  if (typed === undefined) return null;
  const read = fact.form === 'length' ? toResult(() => readTold('article', typed, 'mm').canonical) : null;
  return { typed, value: read ? (read.ok ? read.value : null) : fact.form === 'count' ? Number(typed) : null, id: null };
}

const inMm = (value: number): Known => ({ typed: `${Math.round(value * 1000) / 1000} mm`, value, id: null });

/** What is known of the old part anyway: the figure that its newest set comes to or the bore that the layout names. */
function gaugedOf(history: JobHistory, slotId: string, partId: string | null, fact: IdentityFact): Known | null {
  const slot = slotById(history.records.layout, slotId);
  if (fact.id === 'bore') return slot?.boreMm == null ? null : inMm(slot.boreMm);
  if (fact.gauged === null) return null;
  const sets = history.sets.filter((s) => s.slotId === slotId && s.partId === partId);
  const figures = sets.flatMap((s) => history.reduced(s).filter((r) => r.characteristic === fact.gauged));
  const value = figures.at(-1)?.value;
  return value === undefined ? null : inMm(value);
}

/** The part that a new one at a place is held against: the one that sat there when it was ordered. */
export function patternAt(history: JobHistory, line: Pick<OrderLine, 'happenedAt'>, slotId: string): string | null {
  const before = history.active(history.records.partEvents).filter((e) => e.happenedAt <= line.happenedAt);
  return lastPartIn(slotId, before) ?? lastPartIn(slotId, history.active(history.records.partEvents));
}

/** What is known of a part, newest last. */
export function factsOf(history: JobHistory, partId: string): PartFact[] {
  return history.active(history.records.partFacts).filter((f) => f.partId === partId && f.lineId === null);
}

/**
 * What an article is held against the old part by, at one place: what is known of the two, and whether it is alike.
 * @param lineId of the order line; null before anything is ordered
 */
export function comparedAt(
  history: JobHistory,
  slotId: string,
  partId: string | null,
  lineId: string | null,
  article: ArticleVersion | null,
): Compared[] {
  const slot = slotById(history.records.layout, slotId);
  if (!slot) return [];
  const facts = history.active(history.records.partFacts);
  return identityOf(slot.kind).map((fact) => {
    const said = facts.findLast((f) => f.fact === fact.id && f.lineId === null && f.partId !== null && f.partId === partId);
    // The outline of a new lining is laid on the old one itself.
    const old =
      fact.id === 'outline' ? { typed: 'like', value: null, id: null } : (asKnown(said) ?? gaugedOf(history, slotId, partId, fact));
    const fresh =
      lineId === null ? null : asKnown(facts.findLast((f) => f.fact === fact.id && f.lineId === lineId && (f.slotId ?? slotId) === slotId));
    const stated = statedOf(article, fact);
    return {
      ...{ fact, old, fresh, stated },
      alike: old && fresh ? isAlike(fact, old, fresh) : null,
      statedUnlike: old !== null && stated !== null && fact.id !== 'outline' && !isAlike(fact, old, stated),
    };
  });
}

/** Whether it may be said to be right: nothing is unlike, and everything known of the old one was looked at on the new one. */
export function rightRefusal(list: readonly Compared[]): { readonly unlike: readonly Compared[]; readonly unlooked: readonly Compared[] } {
  return {
    unlike: list.filter((c) => c.alike === false),
    unlooked: list.filter((c) => c.old !== null && c.fresh === null),
  };
}
