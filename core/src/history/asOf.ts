import type { EventBase } from '../ledger/eventBase.ts';
import { listsWhere } from '../ledger/families.ts';
import { type JobFile, withEvents } from '../ledger/jobFile.ts';
import type { LimitVersion } from '../verdict/limits.ts';

/**
 * A job file as it stood at an instant: later events, limits and checks are not in it, nor what happened before and came in after.
 * What was handed back is derived from this, so that nothing found later can change what was handed back.
 * @param instant ISO 8601 UTC
 */
export function fileAsOf(file: JobFile, instant: string): JobFile {
  const until = <T extends EventBase>(events: readonly T[]): T[] =>
    events.filter((e) => e.happenedAt <= instant && e.recordedAt <= instant);
  const ofTheTime = listsWhere((f) => f.late === 'late');
  return {
    ...withEvents(file, ofTheTime, until),
    layoutRevisions: file.layoutRevisions.filter((r) => r.enteredAt <= instant),
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
