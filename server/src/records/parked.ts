import type { EventFamily } from '@dauer/contract';
import { type EventBase, familyOf } from '@dauer/core/ledger';
import { PARK_REFUSED } from '@dauer/core/wording';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { parkings, takeBacks, takeOvers } from '../db/schema.ts';
import { HttpProblem } from '../platform/problem.ts';

/** What was taken back, unless that was taken back as well: whether one stands. */
const stands = (id: ReturnType<typeof sql>): ReturnType<typeof sql> => sql`not exists (select 1 from ${takeBacks} t where t.corrects = ${id}
  and not exists (select 1 from ${takeBacks} u where u.corrects = t.id))`;

/**
 * Runs what is refused while a job is parked under a lock that parking takes for itself alone, so that no work comes in between
 * its look and its row; what is not refused runs as it is.
 */
export async function besideParking<T>(
  db: Database,
  family: EventFamily,
  row: { readonly id: string; readonly jobId: string | null; readonly happenedAt: string },
  run: (on: Database) => Promise<T>,
): Promise<T> {
  if (row.jobId === null || !familyOf(family).waitsParked?.(row as EventBase)) return run(db);
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock_shared(hashtextextended(${row.jobId}, 2))`);
    return run(tx as Database);
  });
}

/**
 * Throws a HttpProblem where work at a vehicle is told while its job is parked and nobody has read how it was left. What happened
 * before it was parked is taken, and what was told already is answered elsewhere.
 */
export async function refuseParked(
  db: Database,
  family: EventFamily,
  row: { readonly id: string; readonly jobId: string | null; readonly happenedAt: string },
): Promise<void> {
  if (row.jobId === null || !familyOf(family).waitsParked?.(row as EventBase)) return;
  const { rows } = await db.execute(sql`
    select p.id from ${parkings} p where p.job_id = ${row.jobId} and p.happened_at <= ${row.happenedAt} and ${stands(sql`p.id`)}
      and not exists (select 1 from ${takeOvers} o where o.parking_id = p.id and ${stands(sql`o.id`)})
    limit 1`);
  if (rows.length > 0) throw new HttpProblem('not_possible', PARK_REFUSED.first);
}
