import { finishCard } from '../catalogue/cards/finishes.ts';
import { type CardStep, type Gate, HARD_GATES, type Need, type StepRecord } from '../catalogue/cards/types.ts';
import { HELD_BY_FASTENERS } from '../catalogue/genericTorques.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import { fastenerKey } from '../ledger/duty.ts';
import type { JobEvent } from '../ledger/eventBase.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';
import type { CardTell } from '../ledger/families/cardTells.ts';
import { GATE_WORDS, needWords } from '../wording/en/cards.ts';
import { eventsAt, type GateFacts, gateFacts, isHeld } from './cardGates.ts';
import { isFirstTime } from './firstTime.ts';
import { touchedJoints } from './joints.ts';

/** What a step rests on, as it stands. */
export interface NeedState {
  readonly need: Need;
  readonly held: boolean;
  /** A lead has passed it with a reason. */
  readonly passed: CardTell | null;
  /** Nobody passes it. */
  readonly hard: boolean;
  /** What is held, or what is missing, in words. */
  readonly words: string;
}

/** A step of a running card, as it stands. */
export interface StepState {
  readonly step: CardStep;
  readonly status: 'done' | 'not_here' | 'open';
  /** What was told of it; null where nothing was, or a record closed it. */
  readonly tell: CardTell | null;
  /** The record of the part or the line that closed it; null where none did. */
  readonly closedBy: JobEvent | null;
  readonly seconded: CardTell | null;
  /** A second person is still asked for. */
  readonly owesSecond: boolean;
  readonly needs: readonly NeedState[];
  /** Everything before it is held or passed. */
  readonly ready: boolean;
}

/** A running card, as it stands. */
export interface CardState {
  readonly run: CardRun;
  readonly slot: Slot;
  readonly steps: readonly StepState[];
  /** The step that is next: the first open one that nothing stands before, else the first open one; null where all is told. */
  readonly next: StepState | null;
  /** Steps told or closed by a record. */
  readonly closed: number;
  /** Obligatory steps that are still open, and second looks that are. */
  readonly owed: number;
  readonly minutesLeft: number;
}

/** The record of the lines at a place that closes a step: one was opened on this job, or all that were are made again. */
function closingOfLine(history: JobHistory, slot: Slot, record: 'line_opened' | 'line_made'): JobEvent | null {
  const { layout, job, jointEvents } = history.records;
  const here = history.active(jointEvents).filter((e) => e.jobId === job.id && e.slotId === slot.id);
  const opened = here.findLast((e) => e.kind === 'opened') ?? null;
  if (record === 'line_opened' || opened === null) return opened;
  const open = touchedJoints(layout, here).some((j) => j.joint.slot.id === slot.id && j.state === 'open');
  return open ? null : (here.findLast((e) => e.kind === 'made') ?? null);
}

/** The record of a part that closes a step. What is on again closes a fitting only where nothing came off since. */
function closing(history: JobHistory, slot: Slot, record: StepRecord | null, since: string): JobEvent | null {
  if (record === null) return null;
  if (record === 'line_opened' || record === 'line_made') return closingOfLine(history, slot, record);
  const events = eventsAt(history, slot).filter((e) => e.happenedAt >= since);
  const found = events.findLast((e) => e.kind === record || (record === 'opened' && e.kind === 'resealed'));
  if (!found || found.temporary) return null;
  return record === 'fitted' && events.some((e) => e.kind === 'removed' && e.happenedAt > found.happenedAt) ? null : found;
}

/** Whether the figure of a torque is on record since the unit went on. */
function isTorqued(history: JobHistory, slot: Slot): boolean {
  const point = fastenerKey({ of: 'unit', kind: slot.kind, slotId: slot.id });
  const on = eventsAt(history, slot).findLast((e) => e.kind === 'fitted')?.happenedAt ?? '';
  const { torques, job } = history.records;
  return history.active(torques).some((t) => t.jobId === job.id && t.point === point && t.happenedAt >= on);
}

/** What closes a step of a card instead of being told: a record of the part, of the lines at it, or of a torque; null where nothing does. */
export function closesBy(slot: Slot, step: CardStep): 'part' | 'line' | 'torque' | null {
  if (step.enters !== null) return step.enters === 'line_opened' || step.enters === 'line_made' ? 'line' : 'part';
  return isTorqueOfRecord(slot, step) ? 'torque' : null;
}

const isTorqueOfRecord = (slot: Slot, step: CardStep): boolean => step.kind === 'torque' && HELD_BY_FASTENERS.includes(slot.kind);

/**
 * Where a card stands, from what was told of its steps and from the records: a step that a record closes is closed by it alone.
 * @param history of what had happened by then; of a job that was handed back as it stood then
 * @param at ISO instant
 * Source: handbook 55.
 */
export function cardState(history: JobHistory, run: CardRun, at: string, facts: GateFacts = gateFacts(history, at)): CardState | null {
  const slot = slotById(history.records.layout, run.slotId);
  if (!slot) return null;
  const tells = history.active(history.records.cardTells).filter((t) => t.runId === run.id);
  const of = (id: string, kind: CardTell['kind']): CardTell | null => tells.findLast((t) => t.stepId === id && t.kind === kind) ?? null;
  // What was coated before a finish was begun is no coat of it.
  const since = finishCard(run.cardId) ? run.happenedAt : '';
  const first = run.steps.map((step) => {
    const [done, not] = [of(step.id, 'done'), of(step.id, 'not_here')];
    const closedBy = closing(history, slot, step.enters, since);
    const byRecord = closedBy !== null || (isTorqueOfRecord(slot, step) && isTorqued(history, slot));
    const counts = step.enters === null && !isTorqueOfRecord(slot, step) ? done : null;
    const status: StepState['status'] = byRecord || counts !== null ? 'done' : not !== null ? 'not_here' : 'open';
    return { step, closedBy, status, tell: status === 'not_here' ? not : counts };
  });
  type First = (typeof first)[number];
  const at1 = (id: string): First | undefined => first.find((s) => s.step.id === id);
  const words = (id: string): string => at1(id)?.step.words ?? id;
  const toldAt = (s: First | undefined): string | null => s?.tell?.happenedAt ?? s?.closedBy?.happenedAt ?? null;
  const holds = (need: Need): boolean => {
    if (need.of === 'record') return isHeld(facts, slot, need.gate);
    const other = at1(need.step);
    // What is not of this card stands before nothing.
    if (other === undefined) return true;
    if (need.of === 'before') return other.status !== 'done';
    if (other.status === 'open') return false;
    if (need.of === 'after' || other.status === 'not_here') return true;
    const [mine, than] = [toldAt(other), toldAt(at1(need.than))];
    return than === null || (mine !== null && mine >= than);
  };
  const novices = new Map<string, boolean>();
  const isNovice = (personId: string): boolean => {
    const known = novices.get(personId) ?? isFirstTime(history, run, personId);
    novices.set(personId, known);
    return known;
  };
  const steps = first.map((s): StepState => {
    const needs = s.step.needs.map((need): NeedState => {
      const held = holds(need);
      const passed =
        need.of === 'record'
          ? (tells.findLast((t) => t.stepId === s.step.id && t.kind === 'passed' && t.gate === need.gate) ?? null)
          : null;
      return {
        ...{ need, held, passed, hard: need.of === 'record' && HARD_GATES.includes(need.gate) },
        words: held && need.of === 'record' ? GATE_WORDS[need.gate].held : needWords(need, words),
      };
    });
    const seconded = of(s.step.id, 'seconded');
    // Who never did this card before has somebody look at what is obligatory.
    const wantsSecond = s.step.second || (s.step.obliged && s.status === 'done' && s.tell !== null && isNovice(s.tell.authorId));
    return {
      ...{ ...s, seconded, needs, owesSecond: wantsSecond && s.status === 'done' && seconded === null },
      ready: needs.every((n) => n.held || n.passed !== null),
    };
  });
  const open = steps.filter((s) => s.status === 'open');
  return {
    ...{ run, slot, steps, closed: steps.length - open.length },
    next: open.find((s) => s.ready) ?? open[0] ?? null,
    owed: steps.filter((s) => (s.step.obliged && s.status === 'open') || s.owesSecond).length,
    minutesLeft: open.reduce((sum, s) => sum + s.step.minutes, 0),
  };
}

/** Gates of a step that a lead may pass now. */
export function passableGates(s: StepState): Gate[] {
  return s.needs.flatMap((n) => (n.need.of === 'record' && !n.held && !n.hard && n.passed === null ? [n.need.gate] : []));
}
