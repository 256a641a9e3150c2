import type { FindingSeverity } from '../catalogue/findingKinds.ts';
import type { Measurement, MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS, measurementsAt } from '../catalogue/measurements.ts';
import { type Need, type ProgrammeItem, looksAt, programmeFor } from '../catalogue/programme.ts';
import { RENEWS } from '../catalogue/repairOptions.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { KIND_OF_JOB, takesIn } from '../history/scope.ts';
import { isOfWhatSits, newestSets, setsOf } from '../history/setsOf.ts';
import { lastPartIn, partHere, partIn, partsInOrder } from '../history/whereabouts.ts';
import { type Slot, unitMates } from '../layout/graph.ts';
import { isGripped, KIND_FACTS } from '../layout/kinds.ts';
import { canBeOff } from '../layout/runs.ts';
import type { Decision } from '../ledger/families/decisions.ts';
import type { Finding } from '../ledger/families/findings.ts';
import type { Phase, ReadingSet } from '../ledger/families/sets.ts';
import { schoolOf } from '../ledger/priceRecords.ts';
import type { Part } from '../ledger/partRecords.ts';
import { type ProvisionalCause, provisionalCause } from '../metrology/provisional.ts';
import type { Runout } from '../metrology/rotorRunout.ts';
import { runoutOf } from '../metrology/takenIn.ts';
import type { Verdict } from '../verdict/decide.ts';
import { worst } from '../verdict/severity.ts';
import { type CutFacts, cutFacts } from './cutting.ts';
import { type Judged, judgeBetween, judgeSet } from './judge.ts';

/** A measurement that the programme asks for and that has not been taken. */
export interface Required {
  readonly measurement: Measurement;
  readonly phase: 'as_found' | 'after_machining' | 'as_fitted';
  readonly done: boolean;
  /** A set was begun, and this many positions taken. */
  readonly taken: number;
  /** Why what was taken closes nothing; null where it may. */
  readonly provisional: ProvisionalCause | null;
  /** The newest set taken for it; null where there is none. */
  readonly setId: string | null;
  /** Owed as fitted, and what it is asked of is on: it can be taken now. */
  readonly due: boolean;
  /** Required owes it; wanted and recorded only do not. */
  readonly need: Need;
}

/** A place of the layout as it stands: derived from the events, never stored. */
export interface Component {
  readonly slot: Slot;
  readonly part: Part | null;
  readonly inScope: boolean;
  /** Nothing sits here. */
  readonly empty: boolean;
  /** The part that came out of an empty place and lies in the shop: it is gauged on the bench. */
  readonly bench: string | null;
  /** The part that sits here was fitted during this job. */
  readonly fittedHere: boolean;
  readonly decision: Decision | null;
  /** Decisions made without knowing of the one in force: nothing is settled until somebody chooses. */
  readonly against: readonly Decision[];
  /** Figures of what sits here now, or lies on the bench: of each measurement the newest set. */
  readonly judged: readonly Judged[];
  readonly runout: Runout | null;
  /** What a cut would have to take out, of what is cut at all. */
  readonly cut: CutFacts | null;
  readonly findings: readonly Finding[];
  readonly required: readonly Required[];
  readonly lookRequired: boolean;
  readonly lookDone: boolean;
  readonly verdict: Verdict | null;
}

/** What a finding counts as. */
export const FINDING_VERDICT: Readonly<Record<FindingSeverity, Verdict>> = {
  note: 'holds',
  watch: 'watch',
  doubt: 'cant_tell',
  reject: 'past',
};

/**
 * Findings that nothing has answered yet: on what sits in a place, or came out of it and lies on the bench, and not settled
 * by a later one. One that names no part is of whatever sat there then: what takes its place begins with none of them.
 */
export function openFindings(history: JobHistory, slotId: string): Finding[] {
  const findings = history.active(history.records.findings);
  const settled = new Set(findings.flatMap((f) => f.settles ?? []));
  return findings.filter((f) => f.slotId === slotId && !settled.has(f.id) && isOfWhatSits(history, slotId, f.partId, f.happenedAt));
}

/** The phase a new set is proposed for: as fitted once something was fitted here in this job, after machining after a cut. */
export function proposedPhase(history: JobHistory, component: Pick<Component, 'slot' | 'part' | 'fittedHere'>): Phase {
  if (component.fittedHere) return 'as_fitted';
  const events = history.active(history.records.partEvents);
  // What came out of an empty place lies on the bench.
  const partId = component.part?.id ?? lastPartIn(component.slot.id, events);
  const machined = events.some(
    (e) => ['machined', 'honed', 'sleeved'].includes(e.kind) && e.partId === partId && e.jobId === history.records.job.id,
  );
  return machined ? 'after_machining' : 'as_found';
}

function requiredOf(
  history: JobHistory,
  slot: Slot,
  sets: readonly ReadingSet[],
  decision: Decision | null,
  inScope: boolean,
  today: string,
): Required[] {
  if (!inScope) return [];
  // A line that can be answered another way is answered by whichever was taken last.
  const again = refitted(history, slot);
  const line = (l: ProgrammeItem): Required => {
    // As found is said of what sat here when the job began, wherever that part is by now.
    const from = l.phase === 'as_found' ? history.sets.filter((s) => s.slotId === slot.id && history.taken(s).length > 0) : sets;
    const ids = [l.measurement, ...(l.or === null ? [] : [l.or])];
    const tried = BENCH_TESTS.includes(l.measurement) ? resealedHere(history, slot.id) : null;
    const isMine = (s: ReadingSet): boolean => (tried === null ? s.phase === l.phase : s.happenedAt >= tried);
    const mine = from.filter((s) => !s.blind && ids.includes(s.measurement) && isMine(s) && s.jobId === history.records.job.id);
    const newest = mine.at(-1);
    const id = newest?.measurement ?? l.measurement;
    const judged = newest ? judgeSet(history, newest, today) : [];
    const main = judged.find((j) => j.characteristic.id === id) ?? judged.find((j) => !j.characteristic.recorded);
    const taken = newest ? history.taken(newest).length : 0;
    const provisional = newest ? provisionalCause(newest) : null;
    return {
      measurement: MEASUREMENTS[id],
      phase: l.phase,
      provisional,
      taken,
      need: l.need,
      due:
        tried !== null ||
        (l.phase === 'after_machining' ? boreWorked(history, slot.id) : again.includes(l) || fittedInJob(history, slot.id)),
      setId: newest?.id ?? null,
      done: (main?.enough ?? taken >= l.least) && provisional === null && taken >= l.least,
    };
  };
  // Replacing closes the gauging of the part as found; what was done asks for its own.
  const asFound = isRenewed(decision) || neverCame(history, slot.id) ? [] : programmeFor(slot.kind, 'found');
  const done = [...(decision ? programmeFor(slot.kind, decision.option) : []), ...benchTests(history, slot)];
  const lines = [...asFound, ...again].filter((f) => !done.some((d) => d.measurement === f.measurement && d.phase === f.phase));
  return [...lines, ...done].filter((l) => isTakenAt(l.measurement, slot)).map(line);
}

/** Held low and held high on the bench. */
const BENCH_TESTS: readonly MeasurementId[] = ['bench_low', 'bench_high'];

/** When what belongs to a place was last resealed on this job; null where it was not. ISO instant. */
function resealedHere(history: JobHistory, slotId: string): string | null {
  const events = history.active(history.records.partEvents);
  const partId = lastPartIn(slotId, events);
  return events.findLast((e) => e.kind === 'resealed' && e.partId === partId && e.jobId === history.records.job.id)?.happenedAt ?? null;
}

/** What a house owes that tries every unit under pressure before it is fitted, of one that was resealed. Source: handbook 60, Bench test. */
function benchTests(history: JobHistory, slot: Slot): ProgrammeItem[] {
  const { records } = history;
  if (records.release !== null || schoolOf(records.houseRules, 'bench_test')?.school !== 'every') return [];
  if (resealedHere(history, slot.id) === null) return [];
  return BENCH_TESTS.map((measurement) => ({
    ...{ kind: slot.kind, done: 'reseal' as const, measurement, need: 'required' as const, phase: 'as_fitted' as const, or: null },
    least: MEASUREMENTS[measurement].least,
  }));
}

/** Whether what sits there makes way for another article, so that nothing has to be gauged on it as found. */
export function isRenewed(decision: Decision | null | undefined): boolean {
  return decision != null && RENEWS.includes(decision.option);
}

const isTakenAt = (id: MeasurementId, slot: Slot): boolean => measurementsAt(slot).some((m) => m.id === id);

/** Whether the bore of what belongs to a place was honed or sleeved during this job. */
function boreWorked(history: JobHistory, slotId: string): boolean {
  const events = history.active(history.records.partEvents);
  const partId = lastPartIn(slotId, events);
  return events.some((e) => (e.kind === 'honed' || e.kind === 'sleeved') && e.partId === partId && e.jobId === history.records.job.id);
}

/** Whether something was fitted at a place during this job. */
function fittedInJob(history: JobHistory, slotId: string): boolean {
  const { job, partEvents } = history.records;
  return history.active(partEvents).some((e) => e.kind === 'fitted' && e.slotId === slotId && e.jobId === job.id);
}

/**
 * What a place owes as fitted because it, or the hub it sits on, was off and is on again: the figures of the fit ended with
 * it. Source: handbook 15, Subjects: a figure of a fit ends with the fit.
 */
function refitted(history: JobHistory, slot: Slot): ProgrammeItem[] {
  const hub = slot.corner === null ? undefined : unitMates(history.records.layout, slot, 'hub')[0];
  const own = fittedInJob(history, slot.id);
  const moved = own || (hub !== undefined && fittedInJob(history, hub.id));
  const owes: MeasurementId[] = [
    ...(slot.kind === 'hub' && own ? (['hub_end_float'] as const) : []),
    ...(slot.kind === 'rotor' && moved ? (['rotor_runout'] as const) : []),
  ];
  return owes.map((measurement) => ({
    ...{ kind: slot.kind, done: 'found' as const, measurement, need: 'required' as const, phase: 'as_fitted' as const, or: null },
    least: MEASUREMENTS[measurement].least,
  }));
}

/** Whether what belongs to a place was missing when the vehicle came, or nobody knows whether it was, and nothing took its place. */
export function neverCame(history: JobHistory, slotId: string): boolean {
  const last = partsInOrder(history.active(history.records.partEvents)).findLast((e) => e.slotId === slotId);
  return last?.kind === 'came_missing' || last?.kind === 'came_unknown';
}

/** Derives the state of one place. `today` is an ISO instant. */
export function deriveComponent(history: JobHistory, slot: Slot, today: string): Component {
  const { records } = history;
  const events = history.active(records.partEvents);
  const partId = partIn(slot.id, events);
  const part = records.parts.find((p) => p.id === partId) ?? null;
  const article = KIND_FACTS[slot.kind].article;
  const inScope = takesIn(records.job, records.layout, slot);
  const { now: decision, against } = decidedHere(history, slot.id);
  const bench = partId === null ? partHere(slot.id, events) : null;
  const sets = setsOf(history, slot.id, partId ?? bench);
  const newest = newestSets(history, slot.id, partId ?? bench);
  const judged = [...[...newest.values()].flatMap((s) => judgeSet(history, s, today)), ...judgeBetween(history, slot, today)];
  const sweep = newest.get('rotor_runout');
  const findings = openFindings(history, slot.id);
  const gaugingOwed = KIND_OF_JOB[records.job.kind].gauges && article;
  // What sits in a unit that makes way for another is gauged as little as that.
  const carrier = slot.kind === 'piston' && slot.parentId !== null ? decidedHere(history, slot.parentId).now : null;
  const required = gaugingOwed ? requiredOf(history, slot, sets, decision, inScope && !isRenewed(carrier), today) : [];
  const lookRequired =
    gaugingOwed && inScope && looksAt(slot.kind) && !isRenewed(decision) && !isRenewed(carrier) && !neverCame(history, slot.id);
  const lookDone = history
    .active(records.findings)
    .some(
      (f) =>
        f.slotId === slot.id &&
        f.cleaning === 'after' &&
        f.jobId === records.job.id &&
        isOfWhatSits(history, slot.id, f.partId, f.happenedAt),
    );
  const verdicts: Verdict[] = [
    ...judged.map((j) => j.verdict),
    ...findings.map((f) => FINDING_VERDICT[f.severity]),
    ...(required.some((r) => r.need === 'required' && !r.done) || (lookRequired && !lookDone) ? (['not_gauged'] as const) : []),
  ];
  const empty = canBeOff(slot.kind) && partId === null;
  return {
    slot,
    part,
    inScope,
    empty,
    bench: canBeOff(slot.kind) ? bench : null,
    decision,
    against,
    judged,
    findings,
    required,
    lookRequired,
    lookDone,
    fittedHere: events.some((e) => e.kind === 'fitted' && e.slotId === slot.id && e.partId === partId && e.jobId === records.job.id),
    cut: isGripped(slot.kind) ? cutFacts(history, slot.id) : null,
    runout: sweep ? runoutOf(history.taken(sweep)) : null,
    // What came out of an empty place and lies on the bench is judged as if it sat there.
    verdict: (empty && bench === null) || (!article && verdicts.length === 0) ? null : worst(verdicts),
  };
}
