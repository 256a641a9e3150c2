import type { JobHistory } from '../history/jobHistory.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';

/** Who had told a step of a card as done before a run of it was begun: on another job, or at another place of this one. */
function knowing(history: JobHistory, run: Pick<CardRun, 'id' | 'cardId' | 'happenedAt'>): Set<string> {
  const { cardHands, cardRuns, cardTells } = history.records;
  const others = new Set(history.active(cardRuns).flatMap((r) => (r.cardId === run.cardId && r.id !== run.id ? [r.id] : [])));
  const here = history
    .active(cardTells)
    .filter((t) => t.kind === 'done' && others.has(t.runId) && t.happenedAt < run.happenedAt)
    .map((t) => t.authorId);
  const there = cardHands.filter((h) => h.cardId === run.cardId && h.since < run.happenedAt).map((h) => h.personId);
  return new Set([...here, ...there]);
}

/** Who could look: everybody who works here now. */
const hands = (history: JobHistory): string[] => history.records.people.filter((p) => p.active && p.role !== 'reader').map((p) => p.id);

/**
 * Whether somebody never did a card before the run was begun. In a shop of one nobody could look.
 * Source: handbook 55, Shop notes.
 */
export function isFirstTime(history: JobHistory, run: Pick<CardRun, 'id' | 'cardId' | 'happenedAt'>, personId: string): boolean {
  if (hands(history).length < 2) return false;
  return !knowing(history, run).has(personId);
}

/** Whether anybody who still works here had done a card before: only then is whoever looks held to having done it. */
export function isKnownHere(history: JobHistory, run: Pick<CardRun, 'id' | 'cardId' | 'happenedAt'>): boolean {
  const known = knowing(history, run);
  return hands(history).some((id) => known.has(id));
}
