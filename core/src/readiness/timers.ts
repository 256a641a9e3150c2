import { ALUMINIUM_BEARS_C, type Process, PROCESSES } from '../catalogue/processes.ts';
import { SEALED } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { partIn } from '../history/whereabouts.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { canBeOff } from '../layout/runs.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { Timer } from '../ledger/families/timers.ts';
import type { TimerStep } from '../ledger/families/timerSteps.ts';
import { millisecondsInMinute, minutesUntil } from '../quantity/calendar.ts';
import { TIMER_REFUSED } from '../wording/en/timers.ts';
import { eventsAt } from './cardGates.ts';

/** A clock as it stands: heating up until the part is as hot as it has to be, running, over, told to be ended, or broken off. */
export type TimerPhase = 'heating' | 'running' | 'over' | 'ended' | 'broken_off';

export interface TimerState {
  readonly timer: Timer;
  readonly process: Process;
  readonly slot: Slot;
  readonly phase: TimerPhase;
  /** ISO instant from which it counts; null while the part heats up. */
  readonly since: string | null;
  /** ISO instant at which it is over; null while the part heats up. */
  readonly overAt: string | null;
  /** Whole minutes left, up, and no more than it takes; 0 where it is over. */
  readonly minutesLeft: number;
  /** The newest temperature of the part, °C; null where none was measured. */
  readonly tempC: number | null;
}

/** Whether a part of so many °C is as hot as its process asks for, and no hotter: a minute of it counts. */
export const isHotEnough = ({ fromC, toC }: Pick<Timer, 'fromC' | 'toC'>, c: number): boolean =>
  fromC !== null && toC !== null && c >= fromC && c <= toC;

/** From when a clock counts: since the part is as hot as it has to be, and no measure since said otherwise. */
function countsSince(timer: Timer, steps: readonly TimerStep[]): string | null {
  if (timer.fromC === null) return timer.happenedAt;
  let since: string | null = null;
  for (const s of steps) if (s.tempC !== null) since = isHotEnough(timer, s.tempC) ? (since ?? s.happenedAt) : null;
  return since;
}

/** The clocks of a job's processes, as they stand at an instant, the oldest first. */
export function timerStates(history: JobHistory, at: string): TimerState[] {
  const { job, layout, timers, timerSteps } = history.records;
  const all = history.active(timerSteps);
  return history.active(timers).flatMap((timer): TimerState[] => {
    const slot = slotById(layout, timer.slotId);
    if (!slot || timer.jobId !== job.id) return [];
    const steps = all.filter((s) => s.timerId === timer.id);
    const end = steps.find((s) => s.kind !== 'measured');
    const since = countsSince(timer, steps);
    const overAt = since === null ? null : new Date(Date.parse(since) + timer.minutes * millisecondsInMinute).toISOString();
    const left = overAt === null ? timer.minutes : Math.min(timer.minutes, minutesUntil(overAt, at));
    const runs = since === null ? 'heating' : left === 0 ? 'over' : 'running';
    return [
      {
        ...{ timer, slot, since, process: PROCESSES[timer.process] },
        phase: end ? (end.kind === 'ended' ? 'ended' : 'broken_off') : runs,
        overAt,
        minutesLeft: end ? 0 : left,
        tempC: steps.findLast((s) => s.tempC !== null)?.tempC ?? null,
      },
    ];
  });
}

/** What is rubber, lining or plastic, or has all of it inside: no oven is for it. */
const NEVER_HEATED: readonly ComponentKind[] = ['hose', 'pads', 'shoes', 'parking_shoes', 'band', 'reservoir', 'servo', 'switch'];

/** Whether rubber is still inside what is to be heated, by the records: it was not opened here, or is sealed again already. */
function hasSeals(history: JobHistory, slot: Slot): boolean {
  const events = eventsAt(history, slot);
  const opened = events.findLastIndex((e) => e.kind === 'opened');
  return opened < 0 || events.findLastIndex((e) => e.kind === 'resealed' || e.kind === 'fitted') > opened;
}

/**
 * Why a process cannot begin at a place, in a sentence; null where it can: what is heated is off and has no seals in it, and heat
 * that aluminium does not bear goes by a sheet. Source: handbook 50, Order rules and Process recipes.
 */
export function whyNotStarted(
  history: JobHistory,
  body: Pick<Timer, 'slotId' | 'process' | 'minutes' | 'fromC' | 'toC' | 'metal' | 'sheet'>,
  at: string,
): string | null {
  const { layout, partEvents } = history.records;
  const slot = slotById(layout, body.slotId);
  const process = PROCESSES[body.process];
  if (!slot) return TIMER_REFUSED.noPlace;
  const running = timerStates(history, at).some(
    (t) => t.slot.id === slot.id && t.process.id === process.id && t.phase !== 'ended' && t.phase !== 'broken_off',
  );
  if (running) return TIMER_REFUSED.running;
  const own = process.partC;
  if ((own === null) !== (body.fromC === null) || (body.fromC === null) !== (body.toC === null)) return TIMER_REFUSED.heat(own !== null);
  const bySheet = body.sheet.trim() !== '';
  if (!bySheet && (body.minutes !== process.minutes || body.fromC !== (own?.from ?? null) || body.toC !== (own?.to ?? null)))
    return TIMER_REFUSED.sheet;
  if (body.fromC === null || body.toC === null) return null;
  if (NEVER_HEATED.includes(slot.kind)) return TIMER_REFUSED.neverHeated(slot);
  if (body.fromC > body.toC) return TIMER_REFUSED.window;
  if (body.metal === null) return TIMER_REFUSED.metal;
  if (body.metal === 'aluminium' && body.toC > ALUMINIUM_BEARS_C && !bySheet) return TIMER_REFUSED.aluminium;
  if (canBeOff(slot.kind) && !isStandalone(layout) && partIn(slot.id, history.active(partEvents)) !== null)
    return TIMER_REFUSED.stillOn(slot);
  return SEALED.includes(slot.kind) && hasSeals(history, slot) ? TIMER_REFUSED.seals(slot) : null;
}

/** Why something cannot be told of a clock, in a sentence; null where it can. @param history of what had happened by then */
export function whyNotTimed(history: JobHistory, body: Pick<TimerStep, 'timerId' | 'kind' | 'typed' | 'note'>, at: string): string | null {
  const state = timerStates(history, at).find((t) => t.timer.id === body.timerId);
  if (!state) return TIMER_REFUSED.unknown;
  if (state.phase === 'ended' || state.phase === 'broken_off') return TIMER_REFUSED.ended;
  if (body.kind === 'measured') return body.typed === null ? TIMER_REFUSED.noFigure : null;
  if (body.kind === 'broken_off') return body.note.trim() === '' ? TIMER_REFUSED.why : null;
  if (state.phase === 'heating') return TIMER_REFUSED.heating(state.timer);
  return state.phase === 'running' ? TIMER_REFUSED.notOver(state.minutesLeft) : null;
}
