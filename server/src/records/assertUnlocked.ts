import { fileUntil } from '@dauer/core/history';
import { deriveJob, placeLock } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { HttpProblem } from '../platform/problem.ts';

/**
 * Throws a HttpProblem where a step pressed a control while anything that it reaches was open. What is told of a job handed
 * back is let through: that is decided elsewhere.
 * @param at instant of the step, ISO 8601 UTC
 */
export function refuseLocked(records: JobRecords, slotId: string, at: string): void {
  if (records.release) return;
  const lock = placeLock(deriveJob(fileUntil(records, at), at), slotId);
  if (lock) throw new HttpProblem('control_locked', `${lock.control.name}: ${lock.why}`);
}
