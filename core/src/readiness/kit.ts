import type { CardStep } from '../catalogue/cards/types.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';
import type { KitCount, KitPiece } from '../ledger/families/kitCounts.ts';
import { KIT } from '../wording/en/strip.ts';

/** The kit of a running card: what it takes, how it was counted last, and what is short by that. */
export interface KitState {
  readonly wanted: readonly Pick<KitPiece, 'name' | 'wanted'>[];
  readonly count: KitCount | null;
  readonly short: readonly KitPiece[];
}

function takenBy(run: Pick<CardRun, 'steps'>): Pick<KitPiece, 'name' | 'wanted'>[] {
  const total = new Map<string, number>();
  for (const s of run.steps) for (const t of s.takes) total.set(t.name, (total.get(t.name) ?? 0) + t.count);
  return [...total].map(([name, wanted]) => ({ name, wanted }));
}

/**
 * The kit of a running card. What no step takes is not of it; a kit that was never counted is short of nothing.
 * Source: handbook 55, kit.
 */
export function kitOf(history: JobHistory, run: CardRun): KitState {
  const count = history.active(history.records.kitCounts).findLast((k) => k.runId === run.id) ?? null;
  return { wanted: takenBy(run), count, short: count?.pieces.filter((p) => p.found < p.wanted) ?? [] };
}

/**
 * What the kit was counted short of and a step takes; null where nothing is. What the kit holds beside what the card names goes in
 * where the unit is sealed, or where it is fitted if nothing is sealed.
 */
export function kitMissing(history: JobHistory, run: CardRun, step: CardStep): string | null {
  const here = new Set(step.takes.map((t) => t.name));
  const named = new Set(takenBy(run).map((w) => w.name));
  const seals = run.steps.some((s) => s.enters === 'resealed');
  const takesRest = step.enters === (seals ? 'resealed' : 'fitted');
  const short = kitOf(history, run).short.filter((p) => here.has(p.name) || (takesRest && !named.has(p.name)));
  return short.length > 0 ? KIT.missing(short) : null;
}

/** Why a count of a kit cannot be kept, in a sentence; null where it can: it names all that its card takes, and each piece once. */
export function whyNotCounted(history: JobHistory, count: Pick<KitCount, 'runId' | 'slotId' | 'pieces'>): string | null {
  const run = history.active(history.records.cardRuns).find((r) => r.id === count.runId);
  if (!run || run.slotId !== count.slotId) return KIT.noCard;
  const whole = takenBy(run).every((w) => count.pieces.some((p) => p.name === w.name && p.wanted === w.wanted));
  if (!whole) return KIT.notTaken;
  const names = count.pieces.map((p) => p.name.trim().toLowerCase());
  return new Set(names).size === names.length && count.pieces.every((p) => p.wanted > 0) ? null : KIT.twice;
}
