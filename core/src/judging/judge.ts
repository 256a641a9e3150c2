import { type Characteristic, characteristic } from '../catalogue/characteristics.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type BlindRemeasurement, asksForSecond, compareSecond, blindRemeasurementOf } from '../history/blindRemeasurement.ts';
import { newestSets } from '../history/setsOf.ts';
import { partIn } from '../history/whereabouts.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import type { CounterReading } from '../ledger/families/counters.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { isProvisional } from '../metrology/provisional.ts';
import { callBacksOn } from '../metrology/rack.ts';
import type { Reduced } from '../metrology/reduce.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';
import { type Bound, type Judgement, type Verdict, decide } from '../verdict/decide.ts';
import { type LimitAxle, type LimitTarget, type LimitVersion, boundOf, findLimits } from '../verdict/limits.ts';
import { compareSeverity, worst } from '../verdict/severity.ts';
import { type Wear, type WearPoint, wear } from '../verdict/wear.ts';
import { pairedFiguresAt } from './pairedFigures.ts';
import { type Contradiction, contradiction } from './contradicts.ts';
import { type Unsaid, axleOfSlot, genericFor, unsaidOf } from './genericLimits.ts';
import { millisecondsInYear } from '../quantity/calendar.ts';

/** Why nothing is foretold of the wear of a part. */
export type NoWear =
  | { readonly kind: 'refused'; readonly refusal: DomainError }
  /** Distance run between the figures, and ahead to the next service, km. */
  | { readonly kind: 'too_little_run'; readonly run: number; readonly ahead: number };

type Carried = 'contradicts' | 'unsaid' | 'past_because' | 'sense' | 'bearing_first';
/** What a verdict says about its own footing. `contradicts`, `unsaid`, `past_because` and `sense` repeat what the figure carries. */
export type Note =
  | { readonly kind: Carried }
  | { readonly kind: 'dirty' | 'warm' | 'no_gauge' | 'limit_wrong_side' | 'limit_unchecked' | 'part_has_own_number' }
  | { readonly kind: 'along_with'; readonly slot: Slot }
  | { readonly kind: 'calibration_past'; readonly tag: string; readonly due: string }
  | { readonly kind: 'called_back'; readonly tag: string; readonly offBy: number; readonly since: string }
  | { readonly kind: 'again_agrees' | 'again_differs'; readonly by: string | null };

/** One figure held against its limit, with all it leans on. */
export interface Judged {
  readonly characteristic: Characteristic;
  readonly setId: string;
  readonly slotId: string;
  readonly partId: string | null;
  readonly phase: ReadingSet['phase'];
  readonly reduced: Reduced;
  readonly verdict: Verdict;
  readonly side: 'within' | 'past' | null;
  readonly toleranceLeft: number | null;
  readonly limit: LimitVersion | null;
  readonly bound: Bound;
  /** Another limit of the same rank says something else; the worse verdict holds. */
  readonly conflict: boolean;
  readonly enough: boolean;
  readonly wear: Wear | null;
  /** Why nothing is foretold of its wear; null where something is, or nothing was to be. */
  readonly noWear: NoWear | null;
  /** Dated figures of this part that its wear is told from, oldest first; none where its wear tells nothing. */
  readonly wearPoints: readonly WearPoint[];
  readonly toNextService: number;
  /** What distances are said in for this vehicle. */
  readonly distanceUnit: 'km' | 'mi';
  /** The bearing's end float is past its limit: a runout says nothing until that is put right. */
  readonly bearingFirst: boolean;
  /** Safety, and nearer to the limit than twice the uncertainty: another person measures it again, without seeing this. */
  readonly asksSecond: boolean;
  readonly second: BlindRemeasurement | null;
  /** What the figure contradicts; null where nothing, or somebody else measured the same. */
  readonly contradicts: Contradiction | null;
  /** What has to be said of the part before it can be held against a limit; null where nothing has. */
  readonly unsaid: Unsaid | null;
  /** What the verdict has to say about its own footing, the weightiest first. */
  readonly notes: readonly Note[];
}

/** Distance to the next brake inspection where nothing else is known, km (house default). */
const DEFAULT_SERVICE_KM = 10000;

/** What a limit is looked up by. */
export function limitTarget(
  vehicle: Vehicle,
  id: string,
  axle: LimitAxle | null,
  partId: string | null,
  partNumber: string | null,
): LimitTarget {
  return {
    characteristic: id,
    axle,
    partId,
    partNumber,
    vehicleId: vehicle.id,
    make: vehicle.make,
    model: vehicle.model,
    year: vehicle.year,
    variant: vehicle.variant,
  };
}

/** Distance shown by the counter at an instant, km; null where it was never read by then. */
function counterAt(counters: readonly CounterReading[], instant: string): number | null {
  return counters.filter((c) => c.happenedAt <= instant).sort((a, b) => (a.happenedAt < b.happenedAt ? 1 : -1))[0]?.km ?? null;
}

/** km to the next inspection: the house default, or a year at this vehicle's own rate where that is nearer. */
function kmToNextService(counters: readonly CounterReading[]): number {
  const sorted = [...counters].sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1));
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last) return DEFAULT_SERVICE_KM;
  const years = (Date.parse(last.happenedAt) - Date.parse(first.happenedAt)) / millisecondsInYear;
  if (years < 0.25 || last.km <= first.km) return DEFAULT_SERVICE_KM;
  return Math.min(DEFAULT_SERVICE_KM, (last.km - first.km) / years);
}

/** Least share of the distance foretold over that has to have been run between the figures (generic). */
const MIN_RUN_SHARE = 0.1;

interface Foretold {
  readonly wear: Wear | null;
  readonly why: NoWear | null;
  readonly points: readonly WearPoint[];
}
const NOTHING_SAID: Foretold = { wear: null, why: null, points: [] };

function wearOf(history: JobHistory, set: ReadingSet, of: Characteristic, bound: Bound): Foretold {
  const { records } = history;
  const counters = history.active(records.counters);
  if (of.wears === null || set.partId === null || (bound.kind !== 'lower' && bound.kind !== 'upper')) return NOTHING_SAID;
  const sets = history.sets.filter(
    (s) =>
      s.partId === set.partId &&
      s.measurement === set.measurement &&
      s.happenedAt <= set.happenedAt &&
      !s.blind &&
      (s.id === set.id || !isProvisional(s)),
  );
  const points: WearPoint[] = sets.flatMap((s): WearPoint[] => {
    const run = counterAt(counters, s.happenedAt);
    const found = history.reduced(s).find((r) => r.characteristic === of.id);
    if (run === null || !found || found.taken < found.needed) return [];
    return [{ run, at: s.happenedAt, value: found.value, u: found.expanded / 2, afterMachining: s.phase === 'after_machining' }];
  });
  const fitted = history.active(records.partEvents).find((e) => e.partId === set.partId && e.kind === 'fitted');
  const fittedRun = fitted ? counterAt(counters, fitted.happenedAt) : null;
  const fresh = fittedRun !== null && bound.nominal != null ? { run: fittedRun, value: bound.nominal } : null;
  // Most figures stand alone: that is no refusal worth making.
  if (points.length === 0 || (points.length === 1 && fresh === null)) return NOTHING_SAID;
  const ahead = kmToNextService(counters);
  const tried = toResult(() => wear(points, of.wears ?? 'falls', bound.at, ahead, fresh));
  const from = points.length === 1 && fresh ? [fresh, ...points] : points;
  if (!tried.ok) return { wear: null, why: { kind: 'refused', refusal: tried.refusal }, points: from };
  const runs = from.map((p) => p.run);
  const ran = Math.max(...runs) - Math.min(...runs);
  if (ran >= MIN_RUN_SHARE * ahead) return { wear: tried.value, why: null, points: from };
  return { wear: null, why: { kind: 'too_little_run', run: ran, ahead }, points: from };
}

function notesOf(records: JobRecords, set: ReadingSet, reduced: Reduced, today: string): Note[] {
  const notes: Note[] = [
    ...(set.surface === 'dirty' ? [{ kind: 'dirty' as const }] : []),
    ...(set.cold ? [] : [{ kind: 'warm' as const }]),
  ];
  const used = reduced.governing.map((r) => r.gaugeVersionId);
  if (used.includes(null)) notes.push({ kind: 'no_gauge' });
  for (const id of new Set(used)) {
    const gauge = records.gauges.find((g) => g.id === id);
    if (gauge?.calibrationDue && gauge.calibrationDue < today.slice(0, 10)) {
      notes.push({ kind: 'calibration_past', tag: gauge.tag, due: gauge.calibrationDue });
    }
  }
  for (const r of reduced.governing) {
    const gauge = records.gauges.find((g) => g.id === r.gaugeVersionId);
    for (const c of callBacksOn(gauge, r.happenedAt, records.callBacks)) {
      const note = { kind: 'called_back' as const, tag: gauge?.tag ?? '', offBy: c.offBy, since: c.since.slice(0, 10) };
      if (!notes.some((n) => n.kind === note.kind && n.tag === note.tag && n.offBy === note.offBy && n.since === note.since))
        notes.push(note);
    }
  }
  return notes;
}

const NOTHING_TOLD: Judgement = { verdict: 'cant_tell', side: null, toleranceLeft: null };

interface Held {
  readonly limit: LimitVersion | null;
  readonly bound: Bound;
  readonly decision: Judgement;
  readonly worn: Foretold;
}

function holdAgainst(history: JobHistory, set: ReadingSet, of: Characteristic, reduced: Reduced, limit: LimitVersion | null): Held {
  const bound = boundOf(limit, set.phase === 'after_machining');
  const worn = wearOf(history, set, of, bound);
  const wrongSide = limit !== null && limit.bound !== 'range' && limit.bound !== of.bound;
  const decided = toResult(() => decide(bound, reduced.value, reduced.expanded, worn.wear ? worn.wear.predictedBad : null));
  // A limit from before its side and order were looked at says nothing.
  const decision = decided.ok && !wrongSide ? decided.value : NOTHING_TOLD;
  return { limit, bound: decision === NOTHING_TOLD ? { kind: 'none' } : bound, decision, worn };
}

/** Distance of a value to the governing end of a bound, positive on the good side; null without a limit. */
function roomTo(bound: Bound, value: number): number | null {
  if (bound.kind === 'none') return null;
  if (bound.kind === 'range') return Math.min(value - bound.low, bound.high - value);
  return bound.kind === 'lower' ? value - bound.at : bound.at - value;
}

/** Whether the end float of the bearing that a figure turns on is past its limit. */
function bearingIsPast(history: JobHistory, of: Characteristic, slot: Slot | undefined, today: string): boolean {
  if (!of.onBearing || !slot?.corner) return false;
  const hub = history.records.layout.slots.find((s) => s.kind === 'hub' && s.corner === slot.corner);
  if (!hub) return false;
  const float = newestSets(history, hub.id, partIn(hub.id, history.active(history.records.partEvents))).get('hub_end_float');
  return float !== undefined && judgeSet(history, float, today).some((j) => j.verdict === 'past');
}

/** Distance of a figure to the governing end of its limit, positive on the good side, in its unit; null without a limit. */
export function roomLeft(j: Judged): number | null {
  return roomTo(j.bound, j.reduced.value);
}

/** What another person measured without seeing the first, and what it adds to the verdict. */
function again(
  history: JobHistory,
  set: ReadingSet,
  of: Characteristic,
  reduced: Reduced,
): { second: BlindRemeasurement; reduced: Reduced } | null {
  const twin = set.blind ? null : blindRemeasurementOf(history, set);
  const theirs = twin && history.reduced(twin).find((r) => r.characteristic === of.id && r.taken >= r.needed);
  return twin && theirs ? { second: compareSecond(reduced, theirs, twin), reduced: { ...reduced, ...theirs } } : null;
}

function limitNotes(limit: LimitVersion | null, ofItsOwn: boolean): Note[] {
  if (!limit) return [];
  const unchecked = limit.source !== 'generic' && limit.checkedBy === null;
  const useless = limit.bound !== 'range' && limit.bound !== (characteristic(limit.characteristic)?.bound ?? limit.bound);
  const elsewhere = ofItsOwn && (limit.scope === 'vehicle' || limit.scope === 'type');
  return [
    ...(useless ? [{ kind: 'limit_wrong_side' as const }] : []),
    ...(unchecked ? [{ kind: 'limit_unchecked' as const }] : []),
    ...(elsewhere ? [{ kind: 'part_has_own_number' as const }] : []),
  ];
}

function judgeReduced(history: JobHistory, set: ReadingSet, reduced: Reduced, today: string): Judged | null {
  const { records } = history;
  const slot = slotById(records.layout, set.slotId);
  const part = records.parts.find((p) => p.id === set.partId);
  const of = characteristic(reduced.characteristic);
  if (!of) return null;
  const target = limitTarget(records.vehicle, of.id, axleOfSlot(slot), set.partId, part?.partNumber ?? null);
  const found = findLimits([...records.limits, ...genericFor(slot, records.vehicle)], target);
  const candidates: (LimitVersion | null)[] = [...found.governing, ...found.also];
  if (candidates.length === 0 && of.recorded) return null;
  if (candidates.length === 0) candidates.push(null);
  const held = candidates
    .map((limit) => holdAgainst(history, set, of, reduced, limit))
    .sort((a, b) => compareSeverity(a.decision.verdict, b.decision.verdict));
  const [worstHeld] = held;
  if (!worstHeld) return null;
  const { limit, bound, decision, worn } = worstHeld;
  const enough = reduced.taken >= reduced.needed;
  // Ways of being made that nobody told apart: where they are judged alike it does not matter which it is.
  const unsaid = new Set(held.map((h) => h.decision.verdict)).size > 1 ? unsaidOf(candidates, slot, records.vehicle) : null;
  const bearingFirst = bearingIsPast(history, of, slot, today);
  const repeat = again(history, set, of, reduced);
  const second = repeat?.second ?? null;
  const against = slot && enough ? contradiction(history, of, reduced, slot, limit) : null;
  const contradicts = second?.agrees === true ? null : against;
  const doubtful = contradicts !== null || unsaid !== null;
  const own = doubtful ? 'cant_tell' : reduced.pastBecause === undefined ? decision.verdict : 'past';
  const early = !enough && own !== 'past';
  const verdicts: Verdict[] = [early ? 'not_gauged' : own];
  if (bearingFirst && !early) verdicts.push('cant_tell');
  const when = (holds: boolean, kind: Carried): Note[] => (holds ? [{ kind }] : []);
  const notes: Note[] = [
    ...when(contradicts !== null, 'contradicts'),
    ...when(unsaid !== null, 'unsaid'),
    ...when(reduced.pastBecause !== undefined, 'past_because'),
    ...when(reduced.sense !== undefined, 'sense'),
    ...notesOf(records, set, reduced, today),
    ...limitNotes(limit, Boolean(part?.partNumber)),
    ...when(bearingFirst, 'bearing_first'),
  ];
  if (repeat) {
    const who = records.people.find((p) => p.id === repeat.second.authorId)?.name ?? null;
    if (!doubtful) verdicts.push(holdAgainst(history, set, of, repeat.reduced, limit).decision.verdict);
    if (!repeat.second.agrees) verdicts.push('cant_tell');
    notes.push({ kind: repeat.second.agrees ? 'again_agrees' : 'again_differs', by: who });
  }
  const near = held.some((h) => asksForSecond(of.gravity, roomTo(h.bound, reduced.value), reduced.expanded));
  return {
    characteristic: of,
    setId: set.id,
    slotId: set.slotId,
    partId: set.partId,
    phase: set.phase,
    reduced,
    verdict: worst(verdicts) ?? 'not_gauged',
    // What may be another figure or another part lies nowhere: nobody accepts it.
    side: doubtful ? null : decision.side,
    toleranceLeft: doubtful ? null : decision.toleranceLeft,
    limit,
    bound,
    conflict: found.governing.length > 1 && unsaidOf(candidates, slot, records.vehicle) === null,
    enough,
    wear: worn.wear,
    noWear: worn.why,
    wearPoints: worn.points,
    toNextService: kmToNextService(history.active(records.counters)),
    distanceUnit: records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km',
    bearingFirst,
    asksSecond: enough && second === null && (near || contradicts !== null),
    second,
    contradicts,
    unsaid,
    notes,
  };
}

/**
 * Judges every figure of a set with the limits that apply now.
 * @param history of the job
 * @param today instant, ISO 8601, for calibration dates
 */
export function judgeSet(history: JobHistory, set: ReadingSet, today: string): Judged[] {
  return history.reduced(set).flatMap((reduced) => judgeReduced(history, set, reduced, today) ?? []);
}

/**
 * Judges the figures of a place that are made of two sets: a piston in its bore, shoes in their drum, both sides of an axle.
 * Of one that was taken in several ways the worst verdict governs.
 */
export function judgeBetween(history: JobHistory, slot: Slot, today: string): Judged[] {
  const all = pairedFiguresAt(history, slot).flatMap((b) => {
    const judged = judgeReduced(history, b.set, b.reduced, today);
    const along: Note[] = b.with.id === slot.id ? [] : [{ kind: 'along_with', slot: b.with }];
    return judged ? [{ ...judged, notes: [...along, ...judged.notes] }] : [];
  });
  const governs = new Map<string, Judged>();
  for (const j of all) {
    const { id } = j.characteristic;
    const known = governs.get(id);
    const by = known ? compareSeverity(j.verdict, known.verdict) || known.reduced.value - j.reduced.value : -1;
    if (by < 0) governs.set(id, j);
  }
  return [...governs.values()];
}

/**
 * The newest set of this job that counts as having gauged a place: enough of it taken, on a clean and cold part.
 * @param today instant, ISO 8601
 */
export function goodSet(history: JobHistory, slotId: string, id: MeasurementId, today: string): ReadingSet | undefined {
  return history.sets.findLast(
    (s) =>
      s.slotId === slotId &&
      s.measurement === id &&
      s.jobId === history.records.job.id &&
      !isProvisional(s) &&
      judgeSet(history, s, today).some((j) => j.enough),
  );
}
