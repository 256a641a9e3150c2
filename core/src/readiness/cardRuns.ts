import { cardFor, stepsFor } from '../catalogue/cards/cards.ts';
import { finishCard } from '../catalogue/cards/finishes.ts';
import { type CardStep, type Followed, type Gate, HARD_GATES, type Need, type StepRecord } from '../catalogue/cards/types.ts';
import { HELD_BY_FASTENERS } from '../catalogue/genericTorques.ts';
import type { OptionId } from '../catalogue/repairOptions.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, whereabouts } from '../history/whereabouts.ts';
import { deriveComponent } from '../judging/components.ts';
import { childrenOf, type Slot, slotById } from '../layout/graph.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import { fastenerKey } from '../ledger/duty.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';
import type { CardTell } from '../ledger/families/cardTells.ts';
import type { JobEvent } from '../ledger/eventBase.ts';
import type { JointEvent } from '../ledger/families/jointEvents.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { followedIn } from '../ledger/priceRecords.ts';
import { CARD_REFUSED, type CardRefusal, finishRefused, GATE_WORDS, needWords, stepRefused } from '../wording/en/cards.ts';
import { isFirstTime, isKnownHere } from './firstTime.ts';
import { touchedJoints } from './joints.ts';
import { kitMissing } from './kit.ts';
import { eventsAt, type GateFacts, gateFacts, isHeld } from './cardGates.ts';

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

/** Cards that were begun at a place on this job, of finishes or of its work. */
function runsAt({ records: { cardRuns, job }, active }: JobHistory, slotId: string, finish: boolean): CardRun[] {
  return active(cardRuns).filter((r) => r.jobId === job.id && r.slotId === slotId && (finishCard(r.cardId) !== undefined) === finish);
}

/**
 * The card of a finish that was begun last for the part of a place; null where none was. It runs beside that of the work, and
 * ends with its part: another one that went in has a finish of its own.
 */
export function finishAt(history: JobHistory, slotId: string): CardRun | null {
  const run = runsAt(history, slotId, true).at(-1) ?? null;
  const events = history.active(history.records.partEvents);
  const until = events.filter((e) => run !== null && e.happenedAt <= run.happenedAt);
  return lastPartIn(slotId, until) === lastPartIn(slotId, events) ? run : null;
}

/** Why a finish cannot be begun by its card at a place; null where it can: the part is on, or another finish is not through. */
export function whyNoFinish(history: JobHistory, slotId: string, at: string): 'not_off' | 'running' | null {
  const { layout, partEvents } = history.records;
  const events = history.active(partEvents);
  const part = lastPartIn(slotId, events);
  const where = part === null ? null : whereabouts(part, events).at;
  if (where !== 'shelf' && !(where === 'slot' && isStandalone(layout))) return 'not_off';
  const before = finishAt(history, slotId);
  const state = before && cardState(history, before, at);
  return state && state.closed < state.steps.length ? 'running' : null;
}

/** The card that runs at a place: of what is decided there, else what was begun last; null where none does. */
export function runAt(history: JobHistory, slotId: string): CardRun | null {
  const here = runsAt(history, slotId, false);
  return here.findLast((r) => isOfDecision(history, r)) ?? here.at(-1) ?? null;
}

/** Whether a card is still of what is decided at its place: another decision has another card. A finish is of no decision. */
export function isOfDecision(history: JobHistory, run: CardRun): boolean {
  return finishCard(run.cardId) !== undefined || decidedHere(history, run.slotId).now?.option === run.option;
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

/** Figures that a step of a unit waits for. */
function figuresOwed(history: JobHistory, slot: Slot, step: CardStep, at: string): boolean {
  if (step.kind !== 'figure') return false;
  const fitted = step.group === 'fit' || step.group === 'after';
  const places = [slot, ...(slot.kind === 'caliper' ? childrenOf(history.records.layout, slot.id).filter((s) => s.kind === 'piston') : [])];
  return places.some((s) =>
    deriveComponent(history, s, at).required.some(
      (r) => r.need === 'required' && !r.done && (fitted ? r.phase === 'as_fitted' && r.due : r.phase !== 'as_fitted'),
    ),
  );
}

/** Whether the figure of a torque is on record since the unit went on. */
function isTorqued(history: JobHistory, slot: Slot): boolean {
  const point = fastenerKey({ of: 'unit', kind: slot.kind, slotId: slot.id });
  const on = eventsAt(history, slot).findLast((e) => e.kind === 'fitted')?.happenedAt ?? '';
  const { torques, job } = history.records;
  return history.active(torques).some((t) => t.jobId === job.id && t.point === point && t.happenedAt >= on);
}

/** Whether what belongs to a place was sent out and is not back: nothing is done to it here. */
function isAway(history: JobHistory, slot: Slot): boolean {
  const events = history.active(history.records.partEvents);
  const part = lastPartIn(slot.id, events);
  return part !== null && whereabouts(part, events).at === 'away';
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

/** Steps as text that is the same for the same content, whatever the order of its fields. */
function plain(steps: readonly CardStep[]): string {
  const sorted = (_: string, value: unknown): unknown =>
    value !== null && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value;
  return JSON.stringify(steps, sorted);
}

/** How the shop worked at any version of its cards that is on file, the newest first: a device may not have heard of that yet. */
function everFollowed({ records }: JobHistory, cardId: string): Followed[] {
  const versions = records.shopCards.filter((v) => v.cardId === cardId);
  return [...versions, null].map((v) => followedIn({ ...records, shopCards: v === null ? [] : [v] })).reverse();
}

/**
 * Why a card cannot be begun at a place; null where it can. What is sent has to be the card, as the shop does it now or did
 * before.
 */
export function whyNotBegun(
  history: JobHistory,
  run: Pick<CardRun, 'slotId' | 'cardId' | 'option' | 'steps'>,
  at: string,
): CardRefusal | null {
  const slot = slotById(history.records.layout, run.slotId);
  if (finishCard(run.cardId)) {
    const why = slot ? whyNoFinish(history, run.slotId, at) : 'other_card';
    const isOne = everFollowed(history, run.cardId).some(
      (f) => plain(finishContent(history, run.cardId, f)?.steps ?? []) === plain(run.steps),
    );
    return why ?? (isOne && run.option === 'use_again' ? null : 'other_card');
  }
  if (!slot || decidedHere(history, run.slotId, at).now?.option !== run.option) return 'not_decided';
  const before = runAt(history, run.slotId);
  if (before?.option === run.option) return 'running';
  const contents = everFollowed(history, run.cardId).map((followed) => cardContent(history, slot, run.option, followed));
  return contents.some((c) => c?.cardId === run.cardId && plain(c.steps) === plain(run.steps)) ? null : 'other_card';
}

/** Why something cannot be told of a step; null where it can. A sentence where it is a gate that stands before it. */
export function whyNotTold(
  history: JobHistory,
  tell: Pick<CardTell, 'runId' | 'stepId' | 'kind' | 'gate' | 'note' | 'authorId'>,
  at: string,
  role: 'technician' | 'lead',
): string | null {
  const run = history.active(history.records.cardRuns).find((r) => r.id === tell.runId);
  const state = run && cardState(history, run, at);
  const s = state?.steps.find((x) => x.step.id === tell.stepId);
  if (!state || !s) return CARD_REFUSED.unknown_step;
  switch (tell.kind) {
    case 'not_here':
      if (s.status !== 'open') return CARD_REFUSED.told_already;
      return tell.note.trim().length >= 3 ? null : CARD_REFUSED.reason;
    case 'seconded':
      if (s.status !== 'done') return CARD_REFUSED.second_early;
      if ((s.tell ?? s.closedBy)?.authorId === tell.authorId) return CARD_REFUSED.second_self;
      const isNew = !s.step.second && isKnownHere(history, run) && isFirstTime(history, run, tell.authorId);
      return isNew ? CARD_REFUSED.second_new : null;
    case 'passed': {
      const need = s.needs.find((n) => n.need.of === 'record' && n.need.gate === tell.gate);
      if (!need) return CARD_REFUSED.no_gate;
      if (need.hard) return CARD_REFUSED.hard_gate;
      if (need.held) return CARD_REFUSED.gate_held;
      if (role !== 'lead') return CARD_REFUSED.lead_only;
      return tell.note.trim().length >= 3 ? null : CARD_REFUSED.reason;
    }
    case 'done': {
      if (s.status === 'done') return CARD_REFUSED.told_already;
      if (s.step.enters !== null) return CARD_REFUSED.by_record;
      if (isTorqueOfRecord(state.slot, s.step)) return CARD_REFUSED.torque;
      if (s.step.at !== 'vehicle' && isAway(history, state.slot)) return CARD_REFUSED.away;
      const [missing] = s.needs.filter((n) => !n.held && n.passed === null);
      if (missing) return missing.words;
      const short = kitMissing(history, run, s.step);
      if (short !== null) return short;
      return figuresOwed(history, state.slot, s.step, at) ? CARD_REFUSED.figure : null;
    }
  }
}

/** What comes after a finish: rubber goes in, and the part goes on, once masks are off and counted. Source: handbook 55, cards 22 to 24. */
const AFTER_FINISH: readonly string[] = ['resealed', 'fitted'] satisfies StepRecord[];

function unfinished(history: JobHistory, run: CardRun | null, record: string, at: string): string | null {
  if (!run || run.happenedAt > at || !AFTER_FINISH.includes(record)) return null;
  const left = cardState(history, run, at)?.steps.find((s) => s.step.obliged && s.status === 'open');
  return left ? finishRefused(left.step.words) : null;
}

/** What a running card keeps from being recorded at its place; null where none runs there, or nothing stands before its step. */
function refusalOf(history: JobHistory, run: CardRun | null, record: string, at: string): string | null {
  if (!run || run.happenedAt > at || !isOfDecision(history, run)) return null;
  const step = run.steps.find((s) => s.enters === record);
  const s = step && cardState(history, run, at)?.steps.find((x) => x.step.id === step.id);
  const [missing] = s?.status === 'open' ? s.needs.filter((n) => !n.held && n.passed === null) : [];
  const why = missing?.words ?? (step && s?.status === 'open' ? kitMissing(history, run, step) : null);
  return why && step ? stepRefused(step.words, why) : null;
}

/**
 * What a running card keeps from being done to the part of its place; null where it keeps nothing. What is fitted for now is
 * kept out by its finish alone: what is plugged goes on in no way. Source: handbook 50, Order rules: a step that breaks one is refused with its reason.
 */
export function cardRefusal(
  history: JobHistory,
  event: Pick<PartEvent, 'partId' | 'kind' | 'slotId'> & Partial<Pick<PartEvent, 'temporary'>>,
  at: string,
): string | null {
  const events = history.active(history.records.partEvents);
  const slotId = event.slotId ?? events.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
  if (slotId === null) return null;
  // Another part that goes in has nothing of the finish of the old one.
  const finish = lastPartIn(slotId, events) === event.partId ? finishAt(history, slotId) : null;
  const left = unfinished(history, finish, event.kind, at);
  if (event.temporary) return left;
  return refusalOf(history, runAt(history, slotId), event.kind, at) ?? refusalOf(history, finish, event.kind, at) ?? left;
}

/** The same of a line that is opened or made at its place. */
export function cardLineRefusal(history: JobHistory, event: Pick<JointEvent, 'slotId' | 'kind'>, at: string): string | null {
  if (event.kind !== 'opened' && event.kind !== 'made') return null;
  return refusalOf(history, runAt(history, event.slotId), event.kind === 'opened' ? 'line_opened' : 'line_made', at);
}

/** Gates of a step that a lead may pass now. */
export function passableGates(s: StepState): Gate[] {
  return s.needs.flatMap((n) => (n.need.of === 'record' && !n.held && !n.hard && n.passed === null ? [n.need.gate] : []));
}
