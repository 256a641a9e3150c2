import { observationKey } from '../catalogue/observations.ts';
import { FIRST_PRESS, itemBase, type ProofItem, proofItems } from '../catalogue/proofItems.ts';
import { SEALED } from '../catalogue/repairOptions.ts';
import { STAGES, type Stage } from '../catalogue/stages.ts';
import { proofKey } from '../ledger/duty.ts';
import { type Obligation, isAccepted, isDuty } from '../ledger/obligation.ts';
import { fileAsOf } from '../history/asOf.ts';
import { type JobHistory, openHistory } from '../history/jobHistory.ts';
import { KIND_OF_JOB, cornersTakenIn } from '../history/scope.ts';
import { type Component, deriveComponent } from '../judging/components.ts';
import { consequencesOf } from '../stages/gauge/consequences.ts';
import { isHydraulic, placeName } from '../layout/graph.ts';
import { type ComponentKind, type Corner, KIND_FACTS } from '../layout/kinds.ts';
import { type Control, controlsOf, reservoirsOf } from '../layout/reach.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { Leaving } from '../ledger/families/leavings.ts';
import type { Observation } from '../ledger/families/observations.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { retractedIds } from '../ledger/retraction.ts';
import { voidedJobs } from '../ledger/voided.ts';
import { type ControlLock, isOnShaft, lockedItem } from '../readiness/pedalLock.ts';
import { pushedPlaces, touchedPlaces } from '../readiness/disturbed.ts';
import { type ProofFigure, proofFigures } from '../readiness/proofFigures.ts';
import { openProofStatus } from '../readiness/proofStatus.ts';
import { bleedObligations } from '../stages/bleed/obligations.ts';
import { bookinObligations } from '../stages/bookin/obligations.ts';
import { decideObligations } from '../stages/decide/obligations.ts';
import { gaugeObligations } from '../stages/gauge/obligations.ts';
import { proveObligations } from '../stages/prove/obligations.ts';
import { rebuildObligations } from '../stages/rebuild/obligations.ts';
import type { RuleContext } from '../stages/ruleContext.ts';
import { owedForCauses } from '../stages/trace/causes.ts';
import { traceObligations } from '../stages/trace/obligations.ts';
import type { Verdict } from '../verdict/decide.ts';
import { worst } from '../verdict/severity.ts';
import { leaves, leavingOf } from './leaving.ts';
import { yardOffer } from './yardOffer.ts';
import { REASON } from '../wording/en/duties.ts';
import type { NotApplicable } from '../wording/reasons.ts';

/** Which rules a verdict was made with; part of every basis. */
export const RULE_VERSION = '2';

interface StageState {
  readonly stage: Stage;
  readonly open: number;
  readonly waiting: number;
  readonly closed: number;
  readonly all: number;
  /** The stage that has to be done first; null where none has. */
  readonly waitsFor: Stage | null;
  /** Why the stage does not apply; null where it does. */
  readonly notApplicable: NotApplicable | null;
}

/** A job as it stands. Everything in it follows from the file. */
export interface JobState {
  readonly records: JobRecords;
  readonly history: JobHistory;
  readonly components: readonly Component[];
  readonly context: RuleContext;
  readonly obligations: readonly Obligation[];
  readonly stages: readonly StageState[];
  /** Earliest stage with something open, else waiting; null when all is done. */
  readonly stage: Stage | null;
  /** Share of that stage's work that is done, 0 to 1. */
  readonly share: number;
  readonly verdict: Verdict | null;
  readonly counts: Readonly<Record<Verdict, number>>;
  /** What keeps the vehicle from being released. */
  readonly blocks: readonly Obligation[];
  /** What a lead may grant by name that blocks nothing. */
  readonly offers: readonly Obligation[];
  /** How it was said to leave; null where nothing was said, and it is driven. */
  readonly leaving: Leaving | null;
  readonly released: boolean;
  /** Booked twice: its events are ignored. */
  readonly voided: boolean;
}

/** Newest answer to every observation, by its key. */
export function observationAnswers(history: JobHistory): Map<string, Observation> {
  const answers = new Map<string, Observation>();
  for (const o of history.active(history.records.observations)) answers.set(observationKey(o.code, o.corner), o);
  return answers;
}

function accept(list: readonly Obligation[], history: JobHistory): Obligation[] {
  const accepted = new Set(history.active(history.records.acceptances).map((a) => a.obligation));
  return list.map((o) =>
    o.state === 'open' && o.acceptBy !== null && isAccepted(o, accepted) ? { ...o, state: 'closed' as const, why: REASON.accepted } : o,
  );
}

/** Why a job has no use for a stage: by its kind, or by what it is about. */
function withoutStage(stage: Stage, { layout, job }: JobRecords, hydraulic: boolean): NotApplicable | null {
  if (isStandalone(layout) && (stage === 'trace' || stage === 'bleed')) return { kind: 'units_alone' };
  if (stage === 'bleed' && !hydraulic) return { kind: 'no_fluid' };
  return KIND_OF_JOB[job.kind].without.includes(stage) ? { kind: 'kind_of_job', of: job.kind } : null;
}

function stageStates(obligations: readonly Obligation[], hydraulic: boolean, records: JobRecords): StageState[] {
  const states: StageState[] = [];
  for (const stage of STAGES) {
    const mine = obligations.filter((o) => o.stage === stage);
    const count = (state: Obligation['state']): number => mine.filter((o) => o.state === state).length;
    const open = count('open');
    const waiting = count('waiting');
    const closed = count('closed') + count('put_off');
    const before = states.findLast((s) => s.open + s.waiting > 0 || s.waitsFor !== null);
    const later = stage === 'rebuild' || stage === 'bleed' || stage === 'prove';
    const notApplicable = mine.length === 0 ? withoutStage(stage, records, hydraulic) : null;
    const waitsFor = notApplicable === null && later && before !== undefined && closed === 0 ? before.stage : null;
    states.push({ stage, open, waiting, closed, all: mine.length, waitsFor, notApplicable });
  }
  return states;
}

/** A job's records, opened at the instant at which the job is looked at. */
export interface OpenedJob {
  readonly history: JobHistory;
  /** Instant, ISO 8601: now, or that of the hand-back. */
  readonly at: string;
}

/**
 * Opens the records of a job; of one that was handed back as they stood then.
 * @param given everything known of the job
 * @param today instant, ISO 8601
 */
export function openJob(records: JobRecords, today: string): OpenedJob {
  const at = records.release?.releasedAt ?? today;
  return { history: openHistory(records.release ? fileAsOf(records, at) : records), at };
}

/**
 * Derives where a job stands from its records. A job that was handed back is derived as it stood then.
 * @param given everything known of the job
 * @param today instant, ISO 8601
 * Source: handbook 15, Obligations and stage.
 */
export function deriveJob(records: JobRecords, today: string): JobState {
  return deriveOpened(openJob(records, today));
}

/** Proofs that were not asked for from the beginning. */
const ASKED_LATER: readonly string[] = [FIRST_PRESS, 'parking_drag', 'clutch', 'servo'];

/** Whether a job that was handed back was asked for an item: what was handed back before it was asked stays as it was. */
function wasAsked({ release, proofs, layout }: JobRecords, item: string): boolean {
  const base = itemBase(item);
  const later = ASKED_LATER.includes(base) || (base === 'pedal_reserve' && !isHydraulic(layout));
  return release === null || !later || proofs.some((p) => itemBase(p.item) === base);
}

/** What the proofs of a job depend on. */
function askedOf(
  history: JobHistory,
  seen: readonly { readonly code: string; readonly corner: Corner | null }[],
  hydraulic: boolean,
): Parameters<typeof proofItems>[0] {
  const { job, layout } = history.records;
  const controls = controlsOf(layout);
  const has = (reach: ReadonlySet<string>, kind: ComponentKind): boolean => layout.slots.some((s) => s.kind === kind && reach.has(s.id));
  const pushed = pushedPlaces(history);
  const touched = touchedPlaces(history);
  return {
    ...{ complaint: job.complaint, seen, hydraulic },
    reservoirs: reservoirsOf(layout).length > 1 ? reservoirsOf(layout) : [],
    controls: controls
      .filter((c) => c.kind === 'pedal')
      .map((c) => ({
        ...{ slotId: c.slotId, name: c.name, wet: has(c.reach, 'master_cylinder'), servo: has(c.reach, 'servo') },
        pushed: pushed.some((id) => c.reach.has(id)),
      })),
    parking: layout.slots.some((s) => s.kind === 'parking_lever'),
    onShaft: controls.some((c) => isOnShaft(layout, c)),
    corners: cornersTakenIn(job, layout),
    tandem: layout.slots.some((s) => s.kind === 'master_cylinder' && s.style === 'tandem'),
    clutch: controls.some((c) => c.kind === 'clutch' && touched.some((id) => c.reach.has(id))),
    units: isStandalone(layout)
      ? layout.slots
          .filter((s) => s.parentId === null)
          .map((s) => ({ slotId: s.id, name: placeName(s), moves: SEALED.includes(s.kind), wet: KIND_FACTS[s.kind].hydraulic }))
      : null,
  };
}

/** Derives where an opened job stands. */
export function deriveOpened({ history, at }: OpenedJob): JobState {
  const { records } = history;
  const voided = voidedJobs(records.voids, retractedIds(records.takeBacks)).has(records.job.id);
  const components = records.layout.slots.map((slot) => deriveComponent(history, slot, at));
  const hydraulic = isHydraulic(records.layout);
  const answers = observationAnswers(history);
  const seen = [...answers.values()].filter((o) => o.state === 'seen').map(({ code, corner }) => ({ code, corner }));
  const proofStatus = openProofStatus(history);
  const figures = new Map<string, readonly ProofFigure[]>();
  const situation: RuleContext = {
    history,
    components,
    answers,
    hydraulic,
    today: at,
    owed: [...consequencesOf(history, answers, at), ...owedForCauses(history, at)],
    proofStatus,
    figuresOf: (item) => {
      const key = proofKey(item.item, item.corner);
      const list = figures.get(key) ?? proofFigures({ history, components, standing: proofStatus }, item);
      figures.set(key, list);
      return list;
    },
    proofItems: proofItems(askedOf(history, seen, hydraulic)).filter((i) => wasAsked(records, i.item)),
  };
  const list = voided
    ? []
    : [
        ...bookinObligations(situation),
        ...traceObligations(situation),
        ...gaugeObligations(situation),
        ...decideObligations(situation),
        ...rebuildObligations(situation),
        ...bleedObligations(situation),
        ...proveObligations(situation),
      ];
  const leaving = leavingOf(history);
  const obligations = leaves(accept(list, history), leaving, { items: situation.proofItems, standing: situation.proofStatus });
  const stages = stageStates(obligations, hydraulic, records);
  const current = stages.find((s) => s.open > 0) ?? stages.find((s) => s.waiting > 0) ?? null;
  const verdicts = components.filter((c) => c.inScope).map((c) => c.verdict);
  const counts: Record<Verdict, number> = { holds: 0, watch: 0, no_limit: 0, not_gauged: 0, cant_tell: 0, past: 0 };
  for (const v of verdicts) if (v) counts[v] += 1;
  return {
    records,
    history,
    voided,
    components,
    context: situation,
    obligations,
    stages,
    stage: current?.stage ?? null,
    share: current && current.all > 0 ? current.closed / current.all : 1,
    verdict: worst(verdicts.filter((v): v is Verdict => v !== null)),
    counts,
    offers: voided ? [] : accept([yardOffer(obligations, situation.proofStatus, situation.proofItems)], history),
    blocks: obligations.filter((o) => o.state === 'open' || o.state === 'waiting'),
    leaving,
    released: records.release !== null,
  };
}

/** Controls that are locked and that no lead has passed. */
function openLocks(state: JobState): Set<string> {
  return new Set(state.obligations.flatMap((o) => (o.state === 'open' && isDuty(o, 'lock') ? [o.duty.slotId] : [])));
}

/** The lock that keeps an item of proof from being done now: over what its control reaches, unless a lead passed it. */
export function itemLock(state: JobState, item: Pick<ProofItem, 'item' | 'corner'>): ControlLock | null {
  return lockedItem(item, state.records.layout, state.context.proofStatus.locks, (c) => isLockPassed(state, c));
}

/** Whether a lead passed the lock of a control. */
export function isLockPassed(state: JobState, control: Pick<Control, 'slotId'>): boolean {
  return !openLocks(state).has(control.slotId);
}

/** The lock that keeps a place from being put under pressure now: of a control that reaches it, unless a lead passed it. */
export function placeLock(state: JobState, slotId: string): ControlLock | null {
  const locked = openLocks(state);
  return state.context.proofStatus.locks.find((l) => l.control.reach.has(slotId) && locked.has(l.control.slotId)) ?? null;
}
