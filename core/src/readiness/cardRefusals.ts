import { finishCard } from '../catalogue/cards/finishes.ts';
import type { CardStep, Followed, StepRecord } from '../catalogue/cards/types.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, whereabouts } from '../history/whereabouts.ts';
import { deriveComponent, isRenewed } from '../judging/components.ts';
import { childrenOf, type Slot, slotById } from '../layout/graph.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { CardRun } from '../ledger/families/cardRuns.ts';
import type { CardTell } from '../ledger/families/cardTells.ts';
import type { JointEvent } from '../ledger/families/jointEvents.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { followedIn } from '../ledger/priceRecords.ts';
import { CARD_REFUSED, type CardRefusal, finishRefused, stepRefused } from '../wording/en/cards.ts';
import { cardContent, finishAt, finishContent, isOfDecision, runAt } from './cardRuns.ts';
import { cardState, closesBy } from './cardState.ts';
import { isFirstTime, isKnownHere } from './firstTime.ts';
import { kitMissing } from './kit.ts';

/**
 * Why a finish cannot be begun by its card at a place; null where it can: another part comes in its place, it is on, or another
 * finish is not through.
 */
export function whyNoFinish(history: JobHistory, slotId: string, at: string): 'renewed' | 'not_off' | 'running' | null {
  const { layout, partEvents } = history.records;
  const events = history.active(partEvents);
  if (isRenewed(decidedHere(history, slotId).now)) return 'renewed';
  const part = lastPartIn(slotId, events);
  const where = part === null ? null : whereabouts(part, events).at;
  if (where !== 'shelf' && !(where === 'slot' && isStandalone(layout))) return 'not_off';
  const before = finishAt(history, slotId);
  const state = before && cardState(history, before, at);
  return state && state.closed < state.steps.length ? 'running' : null;
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

/** Whether what belongs to a place was sent out and is not back: nothing is done to it here. */
function isAway(history: JobHistory, slot: Slot): boolean {
  const events = history.active(history.records.partEvents);
  const part = lastPartIn(slot.id, events);
  return part !== null && whereabouts(part, events).at === 'away';
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

/**
 * Whether a step was told by somebody already, whenever: of two who press at once the one that comes in second may have pressed
 * first by a few milliseconds, and is told all the same.
 */
export function isToldAlready(history: JobHistory, tell: Pick<CardTell, 'runId' | 'stepId' | 'kind'>): boolean {
  const over: readonly CardTell['kind'][] = tell.kind === 'done' ? ['done'] : tell.kind === 'not_here' ? ['done', 'not_here'] : [];
  const mine = history.active(history.records.cardTells).filter((t) => t.runId === tell.runId && t.stepId === tell.stepId);
  return mine.some((t) => over.includes(t.kind));
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
      if (closesBy(state.slot, s.step) === 'torque') return CARD_REFUSED.torque;
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
