import type { LimitVersion } from '../verdict/limits.ts';
import type { JobFile } from './jobFile.ts';
import type { EventBase } from './eventBase.ts';

/**
 * A job file as it stood at an instant: later events, limits and checks are not in it, nor what happened before and came in after.
 * What was handed back is derived from this, so that nothing found later can change what was handed back.
 * @param instant ISO 8601 UTC
 */
export function fileAsOf(file: JobFile, instant: string): JobFile {
  const until = <T extends EventBase>(events: readonly T[]): T[] =>
    events.filter((e) => e.happenedAt <= instant && e.recordedAt <= instant);
  return {
    ...file,
    layoutRevisions: file.layoutRevisions.filter((r) => r.enteredAt <= instant),
    partEvents: until(file.partEvents),
    putIns: until(file.putIns),
    takenOuts: until(file.takenOuts),
    sets: until(file.sets),
    setMoves: until(file.setMoves),
    readings: until(file.readings),
    takeBacks: until(file.takeBacks),
    findings: until(file.findings),
    observations: until(file.observations),
    decisions: until(file.decisions),
    operations: until(file.operations),
    operationEvents: until(file.operationEvents),
    torques: until(file.torques),
    bleedPulls: until(file.bleedPulls),
    fluidServices: until(file.fluidServices),
    proofs: until(file.proofs),
    acceptances: until(file.acceptances),
    cautionAcks: until(file.cautionAcks),
    counters: until(file.counters),
    jointEvents: until(file.jointEvents),
    partCorrections: until(file.partCorrections),
    voids: until(file.voids),
    pictures: until(file.pictures),
    intakeLooks: until(file.intakeLooks),
    cameWith: until(file.cameWith),
    earlierWork: until(file.earlierWork),
    leftItems: until(file.leftItems),
    causeLooks: until(file.causeLooks),
    priors: file.priors.filter((p) => p.enteredAt <= instant),
    limits: limitsAsOf(file.limits, instant),
    callBacks: file.callBacks.filter((c) => c.enteredAt <= instant),
    gauges: file.gauges.filter((g) => g.enteredAt <= instant),
    pastJobs: file.pastJobs.filter((j) => j.openedAt <= instant),
  };
}

function limitsAsOf(limits: readonly LimitVersion[], instant: string): LimitVersion[] {
  return limits
    .filter((l) => l.enteredAt <= instant)
    .map((l) => (l.checkedAt !== null && l.checkedAt > instant ? { ...l, checkedBy: null, checkedAt: null } : l));
}
