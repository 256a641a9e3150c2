import { measurement } from '../catalogue/measurements.ts';
import { slotById } from '../layout/graph.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import { EVENT_LISTS, type EventList, familyOf } from '../ledger/families.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { DomainError } from '../quantity/domainError.ts';
import { STUCK } from '../wording/en/jobs.ts';
import { type JobState, deriveJob } from './job.ts';

/** A record that keeps a job from being derived. */
export interface Culprit {
  readonly id: string;
  readonly authorId: string;
  readonly what: string;
  /** ISO 8601. */
  readonly happenedAt: string;
}

/** Why a derivation failed, as it is said. */
function sentence(error: unknown): string {
  if (error instanceof DomainError) return error.message;
  return STUCK.notUnderstood;
}

const derives = (records: JobRecords, today: string): boolean => {
  try {
    deriveJob(records, today);
    return true;
  } catch {
    return false;
  }
};

function saidOf(records: JobRecords, family: EventList, event: EventBase): string {
  const reading = records.readings.find((r) => r.id === event.id);
  const set = records.sets.find((s) => s.id === (reading?.setId ?? event.id));
  const slot = slotById(records.layout, set?.slotId ?? (event as { readonly slotId?: string | null }).slotId ?? '');
  // A newer book may have measurements that are not known here.
  const name = set && measurement(set.measurement)?.name;
  return STUCK.record(reading ? { reading: reading.typed } : { family: familyOf(family).label }, name ?? null, slot ?? null);
}

/** Most records of a family that are left out one by one in looking for the one: the newest of them. */
const MAX_TRIED = 300;

/**
 * The newest record without which a job can be derived; null where no single one keeps it from being, or all is well.
 * Whole families are left out first, then their events one at a time.
 */
export function culpritOf(records: JobRecords, today: string): Culprit | null {
  if (derives(records, today)) return null;
  for (const family of EVENT_LISTS) {
    const all: readonly EventBase[] = records[family];
    const own = all.filter((e) => e.jobId === records.job.id);
    const without = (removed: readonly EventBase[]): JobRecords => ({ ...records, [family]: all.filter((e) => !removed.includes(e)) });
    if (own.length === 0 || !derives(without(own), today)) continue;
    const found = [...own]
      .reverse()
      .slice(0, MAX_TRIED)
      .find((e) => derives(without([e]), today));
    if (!found) continue;
    return { id: found.id, authorId: found.authorId, happenedAt: found.happenedAt, what: saidOf(records, family, found) };
  }
  return null;
}

/** Derives a job, or says what keeps it from being derived: one job never takes the others along. */
export function tryJob(
  records: JobRecords,
  today: string,
): { readonly ok: true; readonly state: JobState } | { readonly ok: false; readonly why: string } {
  try {
    return { ok: true, state: deriveJob(records, today) };
  } catch (error) {
    return { ok: false, why: sentence(error) };
  }
}
