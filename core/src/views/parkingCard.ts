import { runningOperations } from '../history/running.ts';
import { lastPartIn, whereabouts } from '../history/whereabouts.ts';
import type { JobState } from '../job/job.ts';
import { nextAct } from '../job/nextAct.ts';
import { finishAt, isOfDecision, runAt } from '../readiness/cardRuns.ts';
import { cardState } from '../readiness/cardState.ts';
import { upperFirst } from '../quantity/display.ts';
import { MOVE_NAME } from '../wording/en/names.ts';
import { PARKED } from '../wording/en/parking.ts';
import { mayMove } from './mayMove.ts';
import { waitsOf } from './waits.ts';

/** What is read by whoever finds a vehicle parked: from the records, and what was said when it was left. */
export interface ParkingCard {
  readonly press: readonly { readonly what: string; readonly because: readonly string[] }[];
  readonly move: { readonly level: string; readonly because: readonly string[] };
  readonly open: readonly string[];
  readonly off: readonly string[];
  readonly inside: readonly string[];
  readonly running: readonly string[];
  readonly waits: readonly string[];
  readonly next: string | null;
}

/** Most reasons that are told of one thing. */
const MOST = 6;

/**
 * How a vehicle stands, for the card on its windscreen.
 * Source: handbook 50, Parking a job.
 */
export function parkingCard(state: JobState): ParkingCard {
  const { history, records, context } = state;
  const { locks, places } = context.proofStatus;
  const move = mayMove(state);
  const events = history.active(records.partEvents);
  const where = (slotId: string): string => {
    const last = lastPartIn(slotId, events);
    const at = last === null ? null : whereabouts(last, events);
    return at && 'note' in at ? at.note : '';
  };
  const isGone = (kind: string | undefined): boolean => kind !== undefined && ['off', 'away', 'came_loose', 'came_missing'].includes(kind);
  const cards = state.components.flatMap(({ slot }) => {
    return [runAt(history, slot.id), finishAt(history, slot.id)].flatMap((run) => {
      const card = run && isOfDecision(history, run) ? cardState(history, run, context.today) : null;
      return card === null || card.closed === card.steps.length
        ? []
        : [PARKED.card(slot, card.closed, card.steps.length, card.next?.step.words ?? null)];
    });
  });
  return {
    press: locks.map((l) => ({ what: PARKED.press(l.control), because: l.by.slice(0, MOST).map((p) => upperFirst(p.why ?? '')) })),
    move: { level: MOVE_NAME[move.level], because: move.reasons.slice(0, MOST).map((r) => r.words) },
    open: places.flatMap((p) => [
      ...(p.cause?.kind === 'joint_open' || p.cause?.kind === 'temporary' ? [upperFirst(p.why ?? '')] : []),
      ...(p.unsecured === null ? [] : [upperFirst(p.unsecured)]),
    ]),
    off: places.flatMap((p) => (isGone(p.cause?.kind) ? [upperFirst(PARKED.off(p.slot, where(p.slot.id)))] : [])),
    inside: places.flatMap((p) => p.inside.map((i) => PARKED.inside(i.what, p.slot))),
    running: [...runningOperations(history, context.today).map(({ operation }) => operation.title), ...cards],
    waits: waitsOf(state).map(upperFirst),
    next: nextAct(state)?.what ?? null,
  };
}
