import type { EventBase } from '../ledger/eventBase.ts';
import { listsWhere } from '../ledger/families.ts';
import { type JobRecords, withEvents } from '../ledger/jobRecords.ts';
import type { LimitVersion } from '../verdict/limits.ts';

/**
 * A job file as it stood at an instant: later events, limits and checks are not in it, nor what happened before and came in after.
 * What was handed back is derived from this, so that nothing found later can change what was handed back.
 * @param instant ISO 8601 UTC
 */
export function fileAsOf(records: JobRecords, instant: string): JobRecords {
  const until = <T extends EventBase>(events: readonly T[]): T[] =>
    events.filter((e) => e.happenedAt <= instant && e.recordedAt <= instant);
  const ofTheTime = listsWhere((f) => f.late === 'late');
  return {
    ...withEvents(records, ofTheTime, until),
    layoutRevisions: records.layoutRevisions.filter((r) => r.enteredAt <= instant),
    priors: records.priors.filter((p) => p.enteredAt <= instant),
    limits: limitsAsOf(records.limits, instant),
    callBacks: records.callBacks.filter((c) => c.enteredAt <= instant),
    gauges: records.gauges.filter((g) => g.enteredAt <= instant),
    pastJobs: records.pastJobs.filter((j) => j.openedAt <= instant),
  };
}

/** A job file with what had happened by an instant, whenever it came in: what a rule asks of an event of that instant. */
export function fileUntil(records: JobRecords, instant: string): JobRecords {
  return withEvents(
    records,
    listsWhere((f) => f.late === 'late'),
    (events) => events.filter((e) => e.happenedAt <= instant),
  );
}

function limitsAsOf(limits: readonly LimitVersion[], instant: string): LimitVersion[] {
  return limits
    .filter((l) => l.enteredAt <= instant)
    .map((l) => (l.checkedAt !== null && l.checkedAt > instant ? { ...l, checkedBy: null, checkedAt: null } : l));
}
