import { ladderFor, type Rung } from '../catalogue/ladders.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { takenOf } from '../history/taken.ts';
import { triedAt } from '../readiness/ladder.ts';
import { isSeized } from '../readiness/options.ts';
import type { PriceBook } from './book.ts';
import { billed } from './cost.ts';
import type { RowOption } from './rowOptions.ts';
import type { DecideRow } from './rows.ts';

/** Hours spent on freeing something and what is still ahead, against the price of another one. */
export interface FightOrBuy {
  /** Attended minutes of work done and of tries made at its places on this job. */
  readonly spentMinutes: number;
  /** What they come to at the shop's rate, net, minor units. */
  readonly spent: number;
  readonly rungs: readonly Rung[];
  /** Minutes that the rungs named take on average, and the chance that one of them does it. */
  readonly aheadMinutes: number;
  readonly chance: number;
  readonly ahead: number;
  /** The cheapest other unit, gross, with its wait; null where none has a price. */
  readonly another: { readonly name: string; readonly gross: number; readonly lead: number } | null;
  /** Time spent, and what is ahead for what it is likely to bring, have passed the price of another unit. */
  readonly stop: boolean;
}

/** Rungs that are named: what comes next, not the whole ladder. */
const NAMED = 3;

/**
 * The stop rule of a row that was found seized: what fighting on costs for the chance that it brings, and what another unit
 * costs. Source: handbook 05, lessons 9 and 28; 55, Ladders.
 * @returns null where nothing of it was found seized
 */
export function fightOrBuy(history: JobHistory, book: PriceBook, row: DecideRow, options: readonly RowOption[]): FightOrBuy | null {
  const ladder = ladderFor(row.kind);
  const states = [...row.members, ...row.inside].flatMap((c) => {
    const tried = triedAt(history, c.slot);
    return tried && tried.tries.length > 0 ? [tried] : [];
  });
  if (!ladder || (states.length === 0 && !row.members.some((m) => isSeized(history, m)))) return null;
  const places = new Set([...row.members, ...row.inside].map((c) => c.slot.id));
  const spentMinutes = takenOf(history)
    .filter((t) => t.operation.slotId !== null && places.has(t.operation.slotId))
    .reduce(
      (sum, t) => sum + t.minutes,
      states.reduce((sum, s) => sum + s.spentMinutes, 0),
    );
  const hour = book.rates?.hourly ?? 0;
  // What was tried has been paid for: only what is left of the ladder brings a chance, by the one that got least far.
  const left = states.filter((s) => !s.moves).sort((a, b) => b.left.length - a.left.length)[0]?.left ?? ladder.rungs;
  const rungs = left.slice(0, NAMED);
  // Each is tried only where those before it did not move it.
  let still = 1;
  let aheadMinutes = 0;
  for (const r of rungs) {
    aheadMinutes += still * r.minutes;
    still *= 1 - r.chance;
  }
  const ahead = Math.round((aheadMinutes * hour) / 60);
  const spent = Math.round((spentMinutes * hour) / 60);
  const others = options
    .filter((o) => (o.option === 'exchange' || o.option === 'replace') && o.ruledOut === null)
    .filter((o) => o.cost.terms.every((t) => t.id !== 'parts' || t.missing.length === 0))
    .map((o) => ({ name: o.name, gross: billed(o.cost), lead: o.cost.lead }))
    .sort((a, b) => a.gross - b.gross);
  const another = others[0] ?? null;
  const chance = 1 - still;
  return {
    ...{ spentMinutes, spent, rungs, aheadMinutes: Math.round(aheadMinutes), chance, ahead, another },
    stop: another !== null && spent + ahead / Math.max(chance, 0.05) > another.gross,
  };
}
