import { deriveJob, placeLock } from '@dauer/core/job';
import type { Database } from '../db/connect.ts';
import { HttpProblem } from '../platform/problem.ts';
import { readJobFile } from './jobFile.ts';

/**
 * Throws a HttpProblem where a step would press a control while anything that it reaches is open. A repeat of what is on
 * record is let through, and so is what is told of a job handed back: both are decided elsewhere.
 */
export async function refuseLocked(db: Database, jobId: string, slotId: string, known: 'bleedPulls', id: string): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records[known].some((e) => e.id === id)) return;
  const lock = placeLock(deriveJob(records, new Date().toISOString()), slotId);
  if (lock) throw new HttpProblem('control_locked', `${lock.control.name}: ${lock.why}`);
}
