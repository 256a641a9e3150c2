import type { JobHistory } from '../history/jobHistory.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';

/**
 * Whether somebody never did a card before: nothing of it was told as done by them, on no other job and at no other place of this
 * one. In a shop of one nobody could look. Source: handbook 55, Shop notes.
 */
export function isFirstTime(history: JobHistory, run: Pick<CardRun, 'id' | 'cardId'>, personId: string): boolean {
  const { cardHands, cardRuns, cardTells, people } = history.records;
  if (people.filter((p) => p.role !== 'reader').length < 2) return false;
  if (cardHands.some((h) => h.cardId === run.cardId && h.personId === personId)) return false;
  const others = new Set(history.active(cardRuns).flatMap((r) => (r.cardId === run.cardId && r.id !== run.id ? [r.id] : [])));
  return !history.active(cardTells).some((t) => t.kind === 'done' && t.authorId === personId && others.has(t.runId));
}
