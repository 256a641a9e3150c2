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

/** What a step takes and the kit was counted short of; null where nothing is. */
export function kitMissing(history: JobHistory, run: CardRun, step: CardStep): string | null {
  const names = new Set(step.takes.map((t) => t.name));
  const short = kitOf(history, run).short.filter((p) => names.has(p.name));
  return short.length > 0 ? KIT.missing(short) : null;
}

/** Why a count of a kit cannot be kept, in a sentence; null where it can: it names what its card takes, and all of it. */
export function whyNotCounted(history: JobHistory, count: Pick<KitCount, 'runId' | 'slotId' | 'pieces'>): string | null {
  const run = history.active(history.records.cardRuns).find((r) => r.id === count.runId);
  if (!run || run.slotId !== count.slotId) return KIT.noCard;
  const wanted = takenBy(run);
  const same =
    wanted.length === count.pieces.length && wanted.every((w) => count.pieces.some((p) => p.name === w.name && p.wanted === w.wanted));
  return same ? null : KIT.notTaken;
}
