import { ACCESSES } from '../catalogue/accessRules.ts';
import { WAITS } from '../catalogue/repairOptions.ts';
import { type Slot, slotById, unitMates } from '../layout/graph.ts';
import type { Decision } from '../ledger/families/decisions.ts';
import { inForce } from '../ledger/inForce.ts';
import { voidedJobs } from '../ledger/voided.ts';
import { retractedIds } from '../ledger/retraction.ts';
import type { JobHistory } from './jobHistory.ts';
import { lastPartIn } from './whereabouts.ts';

/** What makes something that was put off fall due. */
type PutOffDue =
  | { readonly kind: 'day'; readonly on: string }
  | { readonly kind: 'run'; readonly km: number; readonly now: number }
  | { readonly kind: 'access'; readonly name: string }
  /** Nothing was said, so it is asked again in the next job. */
  | { readonly kind: 'not_said' };

/** Something put off and not decided otherwise since. */
export interface PutOff {
  readonly slot: Slot;
  readonly decision: Decision;
  /** Of this job, or of one before it. */
  readonly of: 'this' | 'earlier';
  /** Null while it may wait. */
  readonly due: PutOffDue | null;
}

/** Whether what gives access to a place was taken off after an instant. */
function opened(history: JobHistory, slot: Slot, name: string, since: string): boolean {
  const { layout, partEvents } = history.records;
  const closers = ACCESSES.filter((a) => a.name === name && a.gives.includes(slot.kind)).flatMap((a) =>
    unitMates(layout, slot, a.closedBy),
  );
  return history.active(partEvents).some((e) => e.kind === 'removed' && e.happenedAt > since && closers.some((c) => c.id === e.slotId));
}

function dueOf(history: JobHistory, slot: Slot, d: Decision, today: string, of: PutOff['of']): PutOffDue | null {
  const now = history.active(history.records.counters).findLast((c) => c.happenedAt <= today)?.km;
  if (d.reviewOn !== null && d.reviewOn <= today.slice(0, 10)) return { kind: 'day', on: d.reviewOn };
  if (d.untilKm !== null && now !== undefined && now >= d.untilKm) return { kind: 'run', km: d.untilKm, now };
  if (d.access !== null && opened(history, slot, d.access, d.happenedAt)) return { kind: 'access', name: d.access };
  const said = d.reviewOn !== null || d.untilKm !== null || d.access !== null;
  return !said && of === 'earlier' ? { kind: 'not_said' } : null;
}

/**
 * What was put off and not decided otherwise since, on this job or one before it, each with what makes it due: its day, its
 * distance, or the access that it waits for. What was put off of a part that is no longer there is over.
 * @param today instant, ISO 8601
 * Source: handbook 05, lesson 32; 40, Put off.
 */
export function putOffsOf(history: JobHistory, today: string): PutOff[] {
  const { records } = history;
  const voided = voidedJobs(records.voids, retractedIds(records.takeBacks));
  const events = history.active(records.partEvents);
  const last = new Map<string, Map<string, Decision[]>>();
  for (const d of history.active(records.decisions)) {
    if (voided.has(d.jobId)) continue;
    const jobs = last.get(d.slotId) ?? new Map<string, Decision[]>();
    jobs.set(d.jobId, [...(jobs.get(d.jobId) ?? []), d]);
    last.set(d.slotId, jobs);
  }
  return [...last].flatMap(([slotId, jobs]): PutOff[] => {
    const slot = slotById(records.layout, slotId);
    // What was decided in this job counts; else what was decided last.
    const mine = jobs.get(records.job.id);
    const newest =
      mine ?? [...jobs.values()].sort((a, b) => ((a.at(-1)?.happenedAt ?? '') < (b.at(-1)?.happenedAt ?? '') ? 1 : -1))[0] ?? [];
    const decision = inForce(newest).now;
    if (!slot || !decision || !WAITS.includes(decision.option)) return [];
    if (decision.partId !== null && decision.partId !== lastPartIn(slotId, events)) return [];
    const of = mine ? 'this' : 'earlier';
    return [{ slot, decision, of, due: dueOf(history, slot, decision, today, of) }];
  });
}
