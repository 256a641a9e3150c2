import { getTableName, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { connection, job, layout, slot } from '../db/schema.ts';
import { EVENT_TABLES } from '../platform/events.ts';
import { Fault } from '../platform/problem.ts';

/** Throws a Fault where a place is not in the layout of the job's vehicle; none named is none to check. */
export async function requirePlace(db: Database, jobId: string, slotId: string | null): Promise<void> {
  if (slotId === null) return;
  const found = await db.execute(sql`select 1 from ${slot} s join ${layout} l on l.id = s.layout_id
    join ${job} j on j.vehicle_id = l.vehicle_id where j.id = ${jobId} and s.id = ${slotId} limit 1`);
  if (found.rows.length > 0) return;
  const known = await db.execute(sql`select 1 from ${job} j where j.id = ${jobId}`);
  if (known.rows.length === 0) throw new Fault(404, 'not_found', 'There is no such job.');
  throw new Fault(422, 'unknown_place', 'This place is not in the layout of this vehicle. Load the job again.');
}

/** Throws a Fault where no layout of the job's vehicle has anything at a wheel. */
export async function requireCorner(db: Database, jobId: string, corner: string): Promise<void> {
  const found = await db.execute(sql`select 1 from ${slot} s join ${layout} l on l.id = s.layout_id
    join ${job} j on j.vehicle_id = l.vehicle_id where j.id = ${jobId} and s.corner = ${corner} limit 1`);
  if (found.rows.length > 0) return;
  const known = await db.execute(sql`select 1 from ${job} j where j.id = ${jobId}`);
  if (known.rows.length === 0) throw new Fault(404, 'not_found', 'There is no such job.');
  throw new Fault(422, 'unknown_place', 'This vehicle has no such wheel. Load the job again.');
}

/** Throws a Fault where a line of the job's vehicle does not end at a place. */
export async function requireJoint(db: Database, jobId: string, connectionId: string, slotId: string): Promise<void> {
  await requirePlace(db, jobId, slotId);
  const found = await db.execute(sql`select 1 from ${connection} c join ${layout} l on l.id = c.layout_id
    join ${job} j on j.vehicle_id = l.vehicle_id where j.id = ${jobId} and c.id = ${connectionId} and c.kind = 'line'
    and ${slotId} in (c.from_slot, c.to_slot) limit 1`);
  if (found.rows.length === 0) throw new Fault(422, 'unknown_place', 'No line of this vehicle ends there. Load the job again.');
}

const ANY_EVENT = sql.join(
  Object.values(EVENT_TABLES).map((t) => sql`select id, job_id, author_id from ${sql.identifier(getTableName(t))}`),
  sql` union all `,
);

/** Returns who made an event. Throws a Fault where an event that is to be corrected is not one of this job: what was handed back is not taken back. */
export async function requireEvent(db: Database, jobId: string, eventId: string): Promise<{ readonly authorId: string }> {
  const found = await db.execute(sql`select job_id, author_id from (${ANY_EVENT}) e where e.id = ${eventId} limit 1`);
  const [row] = found.rows;
  if (row === undefined) throw new Fault(422, 'unknown_reference', 'What is to be taken back is not on record.');
  if (row['job_id'] !== jobId)
    throw new Fault(409, 'other_job', 'This was entered in another job. Only what belongs to this job is taken back here.');
  return { authorId: String(row['author_id']) };
}
