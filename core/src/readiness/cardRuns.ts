import { cardFor, stepsFor } from '../catalogue/cards/cards.ts';
import { finishCard } from '../catalogue/cards/finishes.ts';
import type { CardStep, Followed } from '../catalogue/cards/types.ts';
import type { OptionId } from '../catalogue/repairOptions.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn } from '../history/whereabouts.ts';
import type { Slot } from '../layout/graph.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';
import { followedIn } from '../ledger/priceRecords.ts';

/** Steps that a place is worked on by, as its card has them now: a unit on the bench alone has no vehicle round it. */
export function cardContent(
  history: JobHistory,
  slot: Slot,
  option: OptionId,
  followed: Followed = followedIn(history.records),
): { readonly cardId: string; readonly steps: readonly CardStep[] } | null {
  const card = cardFor(slot, option);
  if (!card) return null;
  const { slots } = history.records.layout;
  const rig = slots.some((s) => s.kind === 'hand_lever' && s.style !== 'drawbar') ? ('motorcycle' as const) : null;
  const steps = stepsFor(card, option, followed, rig);
  const inHand = isStandalone(history.records.layout);
  return { cardId: card.id, steps: inHand ? steps.filter((s) => s.at !== 'vehicle') : steps };
}

/** Steps of a finish, as its card has them now; null where it is the card of no finish. */
export function finishContent(
  history: JobHistory,
  cardId: string,
  followed: Followed = followedIn(history.records),
): { readonly cardId: string; readonly steps: readonly CardStep[] } | null {
  const card = finishCard(cardId);
  return card ? { cardId, steps: stepsFor(card, 'use_again', followed) } : null;
}

/** Of what a card is: of the work at a place, or of a finish of its part, which runs beside it. */
export type RunOf = 'work' | 'finish';

/** Of what a card that was begun is. */
export const runOf = (run: Pick<CardRun, 'cardId'>): RunOf => (finishCard(run.cardId) ? 'finish' : 'work');

/** Cards that were begun at a place on this job, of finishes or of its work. */
function runsAt({ records: { cardRuns, job }, active }: JobHistory, slotId: string, of: RunOf): CardRun[] {
  return active(cardRuns).filter((r) => r.jobId === job.id && r.slotId === slotId && runOf(r) === of);
}

/**
 * The card of a finish that was begun last for the part of a place; null where none was. It runs beside that of the work, and
 * ends with its part: another one that went in has a finish of its own.
 */
export function finishAt(history: JobHistory, slotId: string): CardRun | null {
  const run = runsAt(history, slotId, 'finish').at(-1) ?? null;
  const events = history.active(history.records.partEvents);
  const until = events.filter((e) => run !== null && e.happenedAt <= run.happenedAt);
  return lastPartIn(slotId, until) === lastPartIn(slotId, events) ? run : null;
}

/** The card that runs at a place: of what is decided there, else what was begun last; null where none does. */
export function runAt(history: JobHistory, slotId: string): CardRun | null {
  const here = runsAt(history, slotId, 'work');
  return here.findLast((r) => isOfDecision(history, r)) ?? here.at(-1) ?? null;
}

/** The card that runs at a place, of its work or of the finish of its part; null where none does. */
export function cardAt(history: JobHistory, slotId: string, of: RunOf): CardRun | null {
  return of === 'finish' ? finishAt(history, slotId) : runAt(history, slotId);
}

/** Whether a card is still of what is decided at its place: another decision has another card. A finish is of no decision. */
export function isOfDecision(history: JobHistory, run: CardRun): boolean {
  return runOf(run) === 'finish' || decidedHere(history, run.slotId).now?.option === run.option;
}
