import { ladderFor, type Ladder, type Rung, type RungGate, type RungOwes } from '../catalogue/ladders.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn, whereabouts } from '../history/whereabouts.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import type { LadderTry } from '../ledger/families/ladderTries.ts';
import { millisecondsInHour } from '../quantity/calendar.ts';
import { RUNG_MISSING, TRY_REFUSED } from '../wording/en/ladders.ts';
import { handUnknown } from './fasteners.ts';
import { eventsAt, type GateFacts, gateFacts, isHeld } from './cardGates.ts';

/** A rung as it stands: tried, waited for, or kept back by what the records say. */
export interface RungState {
  readonly rung: Rung;
  readonly tries: readonly LadderTry[];
  /** What is missing before it, in words; null where nothing is. */
  readonly missing: string | null;
  /** Until when the last try is left to work by itself, ISO instant; null where it is over, or nothing was tried. */
  readonly worksUntil: string | null;
}

/** The ladder of a place as it stands on this job. */
export interface LadderState {
  readonly ladder: Ladder;
  readonly slot: Slot;
  readonly rungs: readonly RungState[];
  readonly tries: readonly LadderTry[];
  /** The last try moved it. */
  readonly moves: boolean;
  /** The gentlest rung that was not tried, and that nothing keeps back; null where none is left. */
  readonly next: RungState | null;
  /** Rungs after the harshest that was tried. */
  readonly left: readonly Rung[];
  readonly spentMinutes: number;
  /** What harsh rungs have left owed, and no record has answered yet. */
  readonly owes: readonly RungOwes[];
}

const BORE_SETS: readonly string[] = ['bore_diameter', 'drum_diameter'];
const [LEAST_MINUTES, MOST_MINUTES] = [1, 600];

function missingBefore(facts: GateFacts, slot: Slot, gate: RungGate): boolean {
  const { history, places } = facts;
  switch (gate) {
    case 'off':
    case 'opened':
      return !isHeld(facts, slot, gate);
    case 'hand':
      return handUnknown(history, slot);
    case 'plugged':
      return !isHeld(facts, slot, 'capped');
    case 'whole':
      return (
        partIn(slot.id, history.active(history.records.partEvents)) === null ||
        places.some((p) => (p.state === 'open' || p.state === 'away') && p.slot.circuits.some((c) => slot.circuits.includes(c)))
      );
  }
}

/** Whether a record has answered what a try left owed. */
function isAnswered(history: JobHistory, slot: Slot, owes: RungOwes, since: string): boolean {
  const { layout, sets, job } = history.records;
  const unit = slot.kind === 'piston' && slot.parentId !== null ? slotById(layout, slot.parentId) : undefined;
  const events = [...eventsAt(history, slot), ...(unit ? eventsAt(history, unit) : [])].filter((e) => e.happenedAt > since);
  const before = new Set(history.active(history.records.partEvents).flatMap((e) => (e.happenedAt <= since ? [e.partId] : [])));
  const another = events.some((e) => e.kind === 'fitted' && !e.temporary && !before.has(e.partId));
  if (owes === 'renewed' || another) return another;
  if (owes === 'seals') return events.some((e) => e.kind === 'resealed');
  return history
    .active(sets)
    .some(
      (s) =>
        s.jobId === job.id && s.happenedAt > since && BORE_SETS.includes(s.measurement) && (s.slotId === slot.id || s.slotId === unit?.id),
    );
}

/** How far freeing what sits in a place has come by its tries alone; null where no ladder is for this kind. */
export function triedAt(history: JobHistory, slot: Slot): Pick<LadderState, 'ladder' | 'tries' | 'moves' | 'left' | 'spentMinutes'> | null {
  const ladder = ladderFor(slot.kind);
  if (!ladder) return null;
  const { ladderTries, job } = history.records;
  const tries = history.active(ladderTries).filter((t) => t.jobId === job.id && t.slotId === slot.id && t.ladderId === ladder.id);
  const harshest = Math.max(-1, ...tries.map((t) => ladder.rungs.findIndex((r) => r.id === t.rungId)));
  return {
    ...{ ladder, tries, moves: tries.at(-1)?.moved ?? false, left: ladder.rungs.slice(harshest + 1) },
    spentMinutes: tries.reduce((sum, t) => sum + t.minutes, 0),
  };
}

/**
 * Where freeing what sits in a place stands: rungs with their tries, what keeps one back, what harsh ones have left owed.
 * @param at ISO instant
 * @returns null where no ladder is for this kind
 * Source: handbook 55, Ladders; 05, lessons 9 and 28; 58, A60, D20.
 */
export function ladderState(history: JobHistory, slot: Slot, at: string, facts: GateFacts = gateFacts(history, at)): LadderState | null {
  const tried = triedAt(history, slot);
  if (!tried) return null;
  const { ladder, tries } = tried;
  const rungs = ladder.rungs.map((rung): RungState => {
    const mine = tries.filter((t) => t.rungId === rung.id);
    const gate = rung.gates.find((g) => missingBefore(facts, slot, g));
    const last = mine.at(-1);
    const until =
      last && !last.moved && rung.waits > 0 ? new Date(Date.parse(last.happenedAt) + rung.waits * millisecondsInHour).toISOString() : null;
    return {
      rung,
      tries: mine,
      missing: gate === undefined ? null : RUNG_MISSING[gate],
      worksUntil: until !== null && until > at ? until : null,
    };
  });
  const owes = ladder.rungs.flatMap((r) => {
    const last = tries.findLast((t) => t.rungId === r.id);
    return last ? r.owes.filter((o) => !isAnswered(history, slot, o, last.happenedAt)) : [];
  });
  return {
    ...tried,
    ...{ slot, rungs, owes: [...new Set(owes)] },
    next: rungs.find((r) => r.tries.length === 0 && r.missing === null) ?? null,
  };
}

/** Why a try cannot have been made, in a sentence; null where it can. @param history of what had happened by then */
export function whyNotTried(
  history: JobHistory,
  tried: Pick<LadderTry, 'slotId' | 'ladderId' | 'rungId' | 'minutes'>,
  at: string,
): string | null {
  const slot = slotById(history.records.layout, tried.slotId);
  const state = slot && ladderState(history, slot, at);
  const rung = state?.ladder.id === tried.ladderId ? state.rungs.find((r) => r.rung.id === tried.rungId) : undefined;
  if (!slot || !state || !rung) return TRY_REFUSED.no_rung;
  if (!Number.isInteger(tried.minutes) || tried.minutes < LEAST_MINUTES || tried.minutes > MOST_MINUTES) return TRY_REFUSED.minutes;
  if (state.moves) return TRY_REFUSED.moves;
  const events = history.active(history.records.partEvents);
  const part = lastPartIn(slot.id, events);
  if (part !== null && whereabouts(part, events).at === 'away') return TRY_REFUSED.away;
  return rung.missing;
}
