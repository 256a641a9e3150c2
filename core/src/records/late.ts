import type { JobFile } from './jobFile.ts';
import { standing, takenBackIds } from './standing.ts';
import type { EventBase } from './eventBase.ts';

/** An event that came in after the hand-back of its job, and happened before it. */
export interface LateEvent {
  readonly event: EventBase;
  /** What kind of thing it is, in a word. */
  readonly what: string;
  /** Whether an amendment has named it. */
  readonly answered: boolean;
}

/** Milliseconds between happening and being written down from which an entry shows as written up later. */
export const WRITTEN_UP_MS = 86400000;

/** Whether an entry was written up later: more than a day after it happened. Source: handbook 15, People, time. */
export function writtenUpLater(e: Pick<EventBase, 'happenedAt' | 'recordedAt'>): boolean {
  return Date.parse(e.recordedAt) - Date.parse(e.happenedAt) > WRITTEN_UP_MS;
}

/**
 * What came in after the hand-back and happened before it: kept, marked, and answered by an amendment that names it.
 * The record itself stays as it was.
 */
export function lateEvents(file: JobFile): LateEvent[] {
  const { release } = file;
  if (!release) return [];
  const gone = takenBackIds(file.takeBacks);
  const named = new Set(standing(file.amendments, gone).map((a) => a.corrects));
  const families: readonly (readonly [string, readonly EventBase[]])[] = [
    ['reading', file.readings],
    ['set of readings', file.sets],
    ['set moved', file.setMoves],
    ['finding', file.findings],
    ['observation', file.observations],
    ['operation', file.operations],
    ['operation logged', file.operationEvents],
    ['torque', file.torques],
    ['bleeding', file.bleedPulls],
    ['fluid', file.fluidServices],
    ['proof', file.proofs],
    ['decision', file.decisions],
    ['part', file.partEvents],
    ['joint', file.jointEvents],
    ['put in', file.putIns],
    ['taken out', file.takenOuts],
    ['counter', file.counters],
    ['picture', file.pictures],
    ['intake look', file.intakeLooks],
    ['part that came', file.cameWith],
    ['earlier work', file.earlierWork],
    ['left by name', file.leftItems],
    ['look for a cause', file.causeLooks],
    ['take-back', file.takeBacks],
    ['caution acknowledged', file.cautionAcks],
    ['acceptance', file.acceptances],
    ['articles that are one', file.partCorrections],
  ];
  return families
    .flatMap(([what, events]) =>
      events
        .filter((e) => e.jobId === file.job.id && e.happenedAt <= release.releasedAt && e.recordedAt > release.releasedAt)
        .map((event) => ({ event, what, answered: named.has(event.id) })),
    )
    .sort((a, b) => (a.event.happenedAt < b.event.happenedAt ? -1 : 1));
}

/** The file as it would have stood at the hand-back, had nothing come late. */
export function fileWithLate(file: JobFile): JobFile {
  const at = file.release?.releasedAt;
  if (at === undefined) return file;
  const intime = <T extends EventBase>(list: readonly T[]): T[] =>
    list.map((e) => (e.jobId === file.job.id && e.recordedAt > at && e.happenedAt <= at ? { ...e, recordedAt: at } : e));
  return {
    ...file,
    sets: intime(file.sets),
    readings: intime(file.readings),
    setMoves: intime(file.setMoves),
    takeBacks: intime(file.takeBacks),
    findings: intime(file.findings),
    observations: intime(file.observations),
    decisions: intime(file.decisions),
    operations: intime(file.operations),
    operationEvents: intime(file.operationEvents),
    torques: intime(file.torques),
    bleedPulls: intime(file.bleedPulls),
    fluidServices: intime(file.fluidServices),
    proofs: intime(file.proofs),
    partEvents: intime(file.partEvents),
    jointEvents: intime(file.jointEvents),
    putIns: intime(file.putIns),
    takenOuts: intime(file.takenOuts),
    counters: intime(file.counters),
    pictures: intime(file.pictures),
    intakeLooks: intime(file.intakeLooks),
    cameWith: intime(file.cameWith),
    earlierWork: intime(file.earlierWork),
    leftItems: intime(file.leftItems),
    causeLooks: intime(file.causeLooks),
  };
}
