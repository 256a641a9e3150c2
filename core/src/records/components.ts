import { type Judged, isProvisional, judgeBetween, judgeSet } from '../gauge/judge.ts';
import { MEASUREMENTS, type Measurement } from '../gauge/measurements.ts';
import { looksAt, type Need, programmeFor, type ProgrammeLine } from '../gauge/programme.ts';
import { runoutOf } from '../gauge/reduce.ts';
import { newestSets, setsOf } from '../gauge/setsOf.ts';
import type { Runout } from '../gauge/rotorRunout.ts';
import type { Slot } from '../layout/graph.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import type { Verdict } from '../verdict/decide.ts';
import { worst } from '../verdict/severity.ts';
import type { Book } from './book.ts';
import { inForce } from './inForce.ts';
import { KIND_OF_JOB, takesIn } from './scope.ts';
import { partIn } from './standing.ts';
import type { Finding, FindingSeverity } from './findingRecords.ts';
import type { Part } from './partRecords.ts';
import type { Phase, ReadingSet } from './readingRecords.ts';
import type { Decision } from './workRecords.ts';

/** A measurement that the programme asks for and that has not been taken. */
export interface Required {
  readonly measurement: Measurement;
  readonly phase: 'as_found' | 'as_fitted';
  readonly done: boolean;
  /** A set was begun, and this many positions taken. */
  readonly taken: number;
  readonly provisional: boolean;
  /** The newest set taken for it; null where there is none. */
  readonly setId: string | null;
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
  /** The part that sits here was fitted during this job. */
  readonly fittedHere: boolean;
  readonly decision: Decision | null;
  /** Decisions made without knowing of the one in force: nothing is settled until somebody chooses. */
  readonly against: readonly Decision[];
  /** Figures of what sits here now: of each measurement the newest set. */
  readonly judged: readonly Judged[];
  readonly runout: Runout | null;
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

/** Findings that nothing has answered yet: on the part that sits there, and not settled by a later one. */
export function openFindings(findings: readonly Finding[], slotId: string, partId: string | null): Finding[] {
  const settled = new Set(findings.map((f) => f.settles).filter((id): id is string => id !== null));
  return findings.filter((f) => f.slotId === slotId && (f.partId === null || f.partId === partId) && !settled.has(f.id));
}

/** The phase a new set is proposed for: as fitted once something was fitted here in this job, after machining after a cut. */
export function proposedPhase(book: Book, component: Pick<Component, 'slot' | 'part' | 'fittedHere'>): Phase {
  if (component.fittedHere) return 'as_fitted';
  const machined = book
    .stand(book.file.partEvents)
    .some((e) => e.kind === 'machined' && e.partId === component.part?.id && e.jobId === book.file.job.id);
  return machined ? 'after_machining' : 'as_found';
}

function requiredOf(
  book: Book,
  slot: Slot,
  sets: readonly ReadingSet[],
  decision: Decision | null,
  inScope: boolean,
  today: string,
): Required[] {
  if (!inScope) return [];
  // A line that can be answered another way is answered by whichever was taken last.
  const line = (l: ProgrammeLine): Required => {
    // As found is said of what sat here when the job began, wherever that part is by now.
    const from = l.phase === 'as_found' ? book.sets.filter((s) => s.slotId === slot.id && book.taken(s).length > 0) : sets;
    const ids = [l.measurement, ...(l.or === null ? [] : [l.or])];
    const mine = from.filter((s) => !s.blind && ids.includes(s.measurement) && s.phase === l.phase && s.jobId === book.file.job.id);
    const newest = mine.at(-1);
    const id = newest?.measurement ?? l.measurement;
    const judged = newest ? judgeSet(book, newest, today) : [];
    const main = judged.find((j) => j.characteristic.id === id) ?? judged.find((j) => !j.characteristic.recorded);
    const taken = newest ? book.taken(newest).length : 0;
    const provisional = newest ? isProvisional(newest) : false;
    return {
      measurement: MEASUREMENTS[id],
      phase: l.phase,
      provisional,
      taken,
      need: l.need,
      setId: newest?.id ?? null,
      done: (main?.enough ?? taken >= l.least) && !provisional && taken >= l.least,
    };
  };
  // Replacing closes the gauging of the part as found; what was done asks for its own.
  const asFound = decision?.option === 'replace' ? [] : programmeFor(slot.kind, 'found');
  const done = decision ? programmeFor(slot.kind, decision.option) : [];
  const lines = [...asFound.filter((f) => !done.some((d) => d.measurement === f.measurement && d.phase === f.phase)), ...done];
  return lines.map(line);
}

/** Derives the state of one place. `today` is an ISO instant. */
export function deriveComponent(book: Book, slot: Slot, today: string): Component {
  const { file } = book;
  const events = book.stand(file.partEvents);
  const partId = partIn(slot.id, events);
  const part = file.parts.find((p) => p.id === partId) ?? null;
  const article = KIND_FACTS[slot.kind].article;
  const inScope = takesIn(file.job, file.layout, slot);
  const { now: decision, against } = inForce(book.stand(file.decisions).filter((d) => d.slotId === slot.id));
  const sets = setsOf(book, slot.id, partId);
  const newest = newestSets(book, slot.id, partId);
  const judged = [...[...newest.values()].flatMap((s) => judgeSet(book, s, today)), ...judgeBetween(book, slot, today)];
  const sweep = newest.get('rotor_runout');
  const findings = openFindings(book.stand(file.findings), slot.id, partId);
  const gaugingOwed = KIND_OF_JOB[file.job.kind].gauges && article;
  const required = gaugingOwed ? requiredOf(book, slot, sets, decision, inScope, today) : [];
  const lookRequired = gaugingOwed && inScope && looksAt(slot.kind) && decision?.option !== 'replace';
  const lookDone = book.stand(file.findings).some((f) => f.slotId === slot.id && f.cleaning === 'after' && f.jobId === file.job.id);
  const verdicts: Verdict[] = [
    ...judged.map((j) => j.verdict),
    ...findings.map((f) => FINDING_VERDICT[f.severity]),
    ...(required.some((r) => r.need === 'required' && !r.done) || (lookRequired && !lookDone) ? (['not_gauged'] as const) : []),
  ];
  const empty = article && partId === null;
  return {
    slot,
    part,
    inScope,
    empty,
    decision,
    against,
    judged,
    findings,
    required,
    lookRequired,
    lookDone,
    fittedHere: events.some((e) => e.kind === 'fitted' && e.slotId === slot.id && e.partId === partId && e.jobId === file.job.id),
    runout: sweep ? runoutOf(book.taken(sweep)) : null,
    verdict: empty || (!article && verdicts.length === 0) ? null : worst(verdicts),
  };
}
