import type { JobFile } from '../records/jobFile.ts';
import type { ReadingSet } from '../records/readingRecords.ts';
import type { CounterReading, Vehicle } from '../records/vehicleRecords.ts';
import type { Book } from '../records/book.ts';
import { attempt } from '../refusal.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import { partIn } from '../records/standing.ts';
import { type Bound, decide, type Judgement, type Verdict } from '../verdict/decide.ts';
import { boundOf, findLimits, type LimitTarget, type LimitVersion } from '../verdict/limits.ts';
import { compareSeverity, worst } from '../verdict/severity.ts';
import { type Wear, wear, type WearPoint } from '../verdict/wear.ts';
import { alongWith, betweenAt } from './between.ts';
import { type Characteristic, characteristic } from './characteristics.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { callBacksOn } from './rack.ts';
import type { Reduced } from './reduce.ts';
import { asksForSecond, compareSecond, type SecondMeasure, secondOf } from './second.ts';
import { newestSets } from './setsOf.ts';

/** One figure held against its limit, with all it leans on. */
export interface Judged {
  readonly characteristic: Characteristic;
  readonly setId: string;
  readonly slotId: string;
  readonly partId: string | null;
  readonly phase: ReadingSet['phase'];
  readonly reduced: Reduced;
  readonly verdict: Verdict;
  readonly lies: 'within' | 'past' | null;
  readonly bandLeft: number | null;
  readonly limit: LimitVersion | null;
  readonly bound: Bound;
  /** Another limit of the same rank says something else; the worse verdict holds. */
  readonly conflict: boolean;
  readonly enough: boolean;
  readonly wear: Wear | null;
  readonly toNextService: number;
  /** What distances are said in for this vehicle. */
  readonly distanceUnit: 'km' | 'mi';
  /** The bearing's end float is past its limit: a runout says nothing until that is put right. */
  readonly bearingFirst: boolean;
  /** Safety, and nearer to the limit than twice the uncertainty: another person measures it again, without seeing this. */
  readonly asksSecond: boolean;
  readonly second: SecondMeasure | null;
  /** What the verdict has to say about its own footing. */
  readonly notes: readonly string[];
}

/** Distance to the next brake inspection where nothing else is known, km (house default). */
export const DEFAULT_SERVICE_KM = 10000;

/** What a limit is looked up by. */
export function limitTarget(
  vehicle: Vehicle,
  id: string,
  axle: 'front' | 'rear' | null,
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
export function counterAt(counters: readonly CounterReading[], instant: string): number | null {
  return counters.filter((c) => c.happenedAt <= instant).sort((a, b) => (a.happenedAt < b.happenedAt ? 1 : -1))[0]?.km ?? null;
}

/** km to the next inspection: the house default, or a year at this vehicle's own rate where that is nearer. */
export function kmToNextService(counters: readonly CounterReading[]): number {
  const sorted = [...counters].sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1));
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last) return DEFAULT_SERVICE_KM;
  const years = (Date.parse(last.happenedAt) - Date.parse(first.happenedAt)) / 31557600000;
  if (years < 0.25 || last.km <= first.km) return DEFAULT_SERVICE_KM;
  return Math.min(DEFAULT_SERVICE_KM, (last.km - first.km) / years);
}

function wearOf(book: Book, set: ReadingSet, of: Characteristic, bound: Bound): Wear | null {
  const { file } = book;
  const counters = book.stand(file.counters);
  if (of.wears === null || set.partId === null || (bound.kind !== 'lower' && bound.kind !== 'upper')) return null;
  const points: WearPoint[] = book.sets
    .filter((s) => s.partId === set.partId && s.measurement === set.measurement && s.happenedAt <= set.happenedAt)
    .flatMap((s): WearPoint[] => {
      const run = counterAt(counters, s.happenedAt);
      const found = book.reduced(s).find((r) => r.characteristic === of.id);
      if (run === null || !found || found.taken < found.needed) return [];
      return [{ run, value: found.value, u: found.expanded / 2, afterMachining: s.phase === 'after_machining' }];
    });
  const fitted = book.stand(file.partEvents).find((e) => e.partId === set.partId && e.kind === 'fitted');
  const fittedRun = fitted ? counterAt(counters, fitted.happenedAt) : null;
  const fresh = fittedRun !== null && bound.nominal != null ? { run: fittedRun, value: bound.nominal } : null;
  // Most figures stand alone: that is no refusal worth making.
  if (points.length === 0 || (points.length === 1 && fresh === null)) return null;
  const tried = attempt(() => wear(points, of.wears ?? 'falls', bound.at, kmToNextService(counters), fresh));
  return tried.ok ? tried.value : null;
}

const RULES: readonly { readonly when: (set: ReadingSet) => boolean; readonly say: string }[] = [
  { when: (s) => s.surface === 'dirty', say: 'Taken on a dirty surface: rust reads as runout. Provisional until taken clean.' },
  { when: (s) => !s.cold, say: 'Taken warm. Parts are measured cold.' },
];

function notesOf(file: JobFile, set: ReadingSet, reduced: Reduced, today: string): string[] {
  const notes = RULES.filter((r) => r.when(set)).map((r) => r.say);
  const used = reduced.governing.map((r) => r.gaugeVersionId);
  if (used.includes(null)) notes.push('No gauge named: the usual gauge’s generic accuracy was taken.');
  for (const id of new Set(used)) {
    const gauge = file.gauges.find((g) => g.id === id);
    if (gauge?.calibrationDue && gauge.calibrationDue < today.slice(0, 10)) {
      notes.push(`${gauge.tag} is past its calibration date (${gauge.calibrationDue}).`);
    }
  }
  for (const r of reduced.governing) {
    const gauge = file.gauges.find((g) => g.id === r.gaugeVersionId);
    for (const c of callBacksOn(gauge, r.happenedAt, file.callBacks)) {
      const said = `${gauge?.tag ?? ''} was called back: off by up to ${c.offBy} from ${c.since.slice(0, 10)} on. The doubt is counted in.`;
      if (!notes.includes(said)) notes.push(said);
    }
  }
  return notes;
}

interface Held {
  readonly limit: LimitVersion | null;
  readonly bound: Bound;
  readonly decision: Judgement;
  readonly wear: Wear | null;
}

function holdAgainst(book: Book, set: ReadingSet, of: Characteristic, reduced: Reduced, limit: LimitVersion | null): Held {
  const bound = boundOf(limit, set.phase === 'after_machining');
  const worn = wearOf(book, set, of, bound);
  const decision = decide(bound, reduced.value, reduced.expanded, worn ? worn.predictedBad : null);
  return { limit, bound, decision, wear: worn };
}

/** Distance of a value to the governing end of a bound, positive on the good side; null without a limit. */
function roomTo(bound: Bound, value: number): number | null {
  if (bound.kind === 'none') return null;
  if (bound.kind === 'range') return Math.min(value - bound.low, bound.high - value);
  return bound.kind === 'lower' ? value - bound.at : bound.at - value;
}

const ON_THE_BEARING: readonly Characteristic['id'][] = ['rotor_runout', 'hub_face_runout', 'drum_runout'];

/** Whether the end float of the bearing that a figure turns on is past its limit. */
function bearingIsPast(book: Book, of: Characteristic, slot: Slot | undefined, today: string): boolean {
  if (!ON_THE_BEARING.includes(of.id) || !slot?.corner) return false;
  const hub = book.file.layout.slots.find((s) => s.kind === 'hub' && s.corner === slot.corner);
  if (!hub) return false;
  const float = newestSets(book, hub.id, partIn(hub.id, book.stand(book.file.partEvents))).get('hub_end_float');
  return float !== undefined && judgeSet(book, float, today).some((j) => j.verdict === 'past');
}

function judgeReduced(book: Book, set: ReadingSet, reduced: Reduced, today: string): Judged | null {
  const { file } = book;
  const slot = slotById(file.layout, set.slotId);
  const part = file.parts.find((p) => p.id === set.partId);
  const of = characteristic(reduced.characteristic);
  if (!of) return null;
  const target = limitTarget(file.vehicle, of.id, axleOfSlot(slot), set.partId, part?.partNumber ?? null);
  const found = findLimits([...file.limits, ...genericFor(slot)], target);
  const candidates: (LimitVersion | null)[] = [...found.governing, ...found.also];
  if (candidates.length === 0 && of.recorded) return null;
  if (candidates.length === 0) candidates.push(null);
  const held = candidates
    .map((limit) => holdAgainst(book, set, of, reduced, limit))
    .sort((a, b) => compareSeverity(a.decision.verdict, b.decision.verdict));
  const [worstHeld] = held;
  if (!worstHeld) return null;
  const enough = reduced.taken >= reduced.needed;
  const early = !enough && worstHeld.decision.verdict !== 'past';
  const notes = notesOf(file, set, reduced, today);
  if (worstHeld.limit && worstHeld.limit.source !== 'generic' && worstHeld.limit.checkedBy === null) {
    notes.push('The limit has not been checked against its source by a second person.');
  }
  if (worstHeld.limit && part?.partNumber && (worstHeld.limit.scope === 'vehicle' || worstHeld.limit.scope === 'type')) {
    notes.push('The limit is the vehicle’s; this part has a number of its own.');
  }
  const bearingFirst = bearingIsPast(book, of, slot, today);
  if (bearingFirst) notes.push('Bearing first: its end float is past the limit.');
  const twin = set.blind ? null : secondOf(book, set);
  const again = twin && book.reduced(twin).find((r) => r.characteristic === of.id && r.taken >= r.needed);
  const second = twin && again ? compareSecond(reduced, again, twin) : null;
  const verdicts: Verdict[] = [early ? 'not_gauged' : worstHeld.decision.verdict];
  if (bearingFirst && !early) verdicts.push('cant_tell');
  if (second) {
    const who = file.people.find((p) => p.id === second.authorId)?.name ?? 'another person';
    verdicts.push(holdAgainst(book, set, of, { ...reduced, ...again }, worstHeld.limit).decision.verdict);
    if (!second.agrees) verdicts.push('cant_tell');
    notes.push(
      second.agrees
        ? `Measured again by ${who}, who did not see the first: the two agree.`
        : `${who} measured something else: find out why.`,
    );
  }
  return {
    characteristic: of,
    setId: set.id,
    slotId: set.slotId,
    partId: set.partId,
    phase: set.phase,
    reduced,
    verdict: worst(verdicts) ?? 'not_gauged',
    lies: worstHeld.decision.lies,
    bandLeft: worstHeld.decision.bandLeft,
    limit: worstHeld.limit,
    bound: worstHeld.bound,
    conflict: found.governing.length > 1,
    enough,
    wear: worstHeld.wear,
    toNextService: kmToNextService(book.stand(file.counters)),
    distanceUnit: file.vehicle.distanceUnit === 'mi' ? 'mi' : 'km',
    bearingFirst,
    asksSecond: enough && second === null && asksForSecond(of.gravity, roomTo(worstHeld.bound, reduced.value), reduced.expanded),
    second,
    notes,
  };
}

/**
 * Judges every figure of a set with the limits that apply now.
 * @param book the job's records
 * @param today instant, ISO 8601, for calibration dates
 */
export function judgeSet(book: Book, set: ReadingSet, today: string): Judged[] {
  return book.reduced(set).flatMap((reduced) => judgeReduced(book, set, reduced, today) ?? []);
}

/** Judges the figures of a place that are made of two sets: a piston in its bore, shoes in their drum, both sides of an axle. */
export function judgeBetween(book: Book, slot: Slot, today: string): Judged[] {
  return betweenAt(book, slot).flatMap((b) => {
    const judged = judgeReduced(book, b.set, b.reduced, today);
    const along = alongWith(b, slot);
    return judged ? [{ ...judged, notes: along === '' ? judged.notes : [along, ...judged.notes] }] : [];
  });
}

/** A set on a dirty surface closes nothing: it becomes good only by being taken again. */
export function isProvisional(set: ReadingSet): boolean {
  return set.surface === 'dirty';
}
