import type { MeasurementId } from '../../catalogue/measurements.ts';
import { measurementsAt } from '../../catalogue/measurements.ts';
import { BENCH_TABLE } from '../../catalogue/trace/bench.ts';
import { TABLES } from '../../catalogue/trace/tables.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { replacedSince } from '../../history/setsOf.ts';
import type { Evidence } from '../../inference/faultNetwork.ts';
import type { Owed } from '../owed.ts';
import { goodSet } from '../../judging/judge.ts';
import { type Slot, slotById } from '../../layout/graph.ts';
import type { Duty } from '../../ledger/duty.ts';
import { type CauseLook, NOTHING_ELSE } from '../../ledger/families/causeLooks.ts';
import { DomainError } from '../../quantity/domainError.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import type { PlacedFault } from './network.ts';

/** What the bench does about one kind of fault. */
export interface OnTheBench {
  readonly fault: string;
  /** Figures to take where the part has them. */
  readonly gauge: readonly string[];
  readonly look: string;
  /** Findings of the catalogue that are this fault. */
  readonly foundAs: readonly string[];
}

/** Reads the bench's table. @throws DomainError bad_table with the line */
export function readBench(text: string, faults: ReadonlySet<string>): OnTheBench[] {
  return text.split('\n').flatMap((line, i): OnTheBench[] => {
    if (line.trim() === '') return [];
    const [fault = '', gauge = '', look = '', found = '', ...more] = line.split('|').map((c) => c.trim());
    if (!faults.has(fault) || look === '' || found === '' || more.length > 0)
      throw new DomainError('bad_table', `bench, line ${i + 1}: a fault of the table, figures, a look and findings are wanted.`);
    const list = (cell: string): string[] => (cell === '-' ? [] : cell.split(/\s+/));
    return [{ fault, gauge: list(gauge), look, foundAs: list(found) }];
  });
}
export const ON_THE_BENCH: readonly OnTheBench[] = readBench(BENCH_TABLE, new Set(TABLES.faults.map((f) => f.id)));
const onTheBench = (fault: string): OnTheBench | undefined => ON_THE_BENCH.find((b) => b.fault === fault);

/** The newest thing said of every cause of this job, by fault and place. */
export function looksOf(history: JobHistory): Map<string, CauseLook> {
  const looks = new Map<string, CauseLook>();
  for (const l of history.active(history.records.causeLooks)) looks.set(`${l.fault}@${l.place}`, l);
  return looks;
}

/** Whether the bench has said that nothing but what is named was found. */
export const closedTheLoop = (looks: ReadonlyMap<string, CauseLook>): CauseLook | null => {
  const last = looks.get(`${NOTHING_ELSE}@system`);
  return last?.state === 'found' ? last : null;
};

/** How a cause came to be certain. */
export interface Certain {
  readonly state: 'present' | 'absent';
  readonly at: string;
  /** The finding that it is, or null where it was said outright. */
  readonly finding: string | null;
}

/**
 * What the bench has made certain: causes said to be found or not there, and findings that are a fault.
 * Source: handbook 30: a finding on the bench is entered as certain evidence.
 */
export function certainOf(history: JobHistory, faults: readonly PlacedFault[]): Map<string, Certain> {
  const certain = new Map<string, Certain>();
  const { findings, job } = history.records;
  for (const f of history.active(findings)) {
    if (f.jobId !== job.id || f.entry === null || (f.severity !== 'reject' && f.severity !== 'watch')) continue;
    for (const fault of faults)
      if (fault.slot?.id === f.slotId && onTheBench(fault.kind.id)?.foundAs.includes(f.entry) === true)
        certain.set(fault.id, { state: 'present', at: f.happenedAt, finding: f.words });
  }
  const known = new Set(faults.map((f) => f.id));
  for (const [id, l] of looksOf(history)) {
    if (!known.has(id)) continue;
    if (l.state === 'found') certain.set(id, { state: 'present', at: l.happenedAt, finding: null });
    else if (l.state === 'absent') certain.set(id, { state: 'absent', at: l.happenedAt, finding: null });
  }
  return certain;
}

/** As evidence. */
export const asEvidence = (certain: ReadonlyMap<string, Certain>): Evidence['certain'] =>
  Object.fromEntries([...certain].map(([id, c]) => [id, c.state]));

/**
 * What is owed on the bench for the causes that are to be looked for: the figures that would show them, and a look, until
 * it is said whether they were found.
 * @param today ISO instant
 */
export function owedForCauses(history: JobHistory, today: string): Owed[] {
  const { records } = history;
  return [...looksOf(history).values()].flatMap((l): Owed[] => {
    const kind = TABLES.faults.find((f) => f.id === l.fault);
    if (!kind || l.state === 'open') return [];
    const bench = onTheBench(l.fault);
    const because = REASON.mayBeAtFault(kind.name);
    const slot = slotById(records.layout, l.place);
    if (!slot) return [];
    const replaced = replacedSince(history, slot.id, l.happenedAt);
    const answered = l.state !== 'wanted' || replaced !== null;
    const duty = (measurement: MeasurementId | null): Duty => ({ kind: 'cause', fault: l.fault, slotId: slot.id, measurement });
    const wayToLook = bench?.look ?? kind.name.toLowerCase();
    const look = {
      ...{ duty: duty(null), slot, measurement: null, because, done: answered, closedBy: l.state !== 'wanted' ? l.id : replaced },
      ...{ what: TITLE.foundOrNot(slot, wayToLook), brief: TITLE.foundOrNotHere(wayToLook) },
    };
    const wanted = l.state === 'wanted' && replaced === null ? figuresAt(slot, bench) : [];
    return [
      look,
      ...wanted.map((id): Owed => {
        const set = goodSet(history, slot.id, id, today);
        const name = measurementsAt(slot).find((m) => m.id === id)?.name ?? id;
        return {
          ...{ duty: duty(id), slot, measurement: id, because },
          ...{ what: TITLE.gauge(slot, name, 'as_found'), brief: TITLE.gaugeHere(name, 'as_found') },
          ...{ done: set !== undefined, closedBy: set?.id ?? null },
        };
      }),
    ];
  });
}

/** The figures of the bench's line that the part in a place has. */
export function figuresAt(slot: Slot, bench: OnTheBench | undefined): MeasurementId[] {
  return measurementsAt(slot).flatMap((m) => (bench?.gauge.includes(m.id) === true ? [m.id] : []));
}
