import type { EventFamily, ProblemCode } from '@dauer/contract';
import { LEAVES } from '@dauer/core/history';
import { type ComponentKind, KIND_FACTS, LEVER_KINDS, RUN_KINDS } from '@dauer/core/layout';
import { familyOf, type Named, type PartEventKind } from '@dauer/core/ledger';
import { getTableName, type SQL, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import { connection, gauge, job, layout, part, partCorrections, partEvents, sets, slot, vehicle } from '../db/schema.ts';
import { HttpProblem } from '../platform/problem.ts';

const REFUSALS: Readonly<Record<Named, readonly [ProblemCode, string]>> = {
  place: ['unknown_place', 'This place is not in the layout of this vehicle. Load the job again.'],
  corner: ['unknown_place', 'This vehicle has no such wheel. Load the job again.'],
  line: ['unknown_place', 'No such line is in the layout of this vehicle. Load the job again.'],
  part: ['unknown_reference', 'Nothing was told of this part on this vehicle. Load the job again.'],
  set: ['other_job', 'This set of readings was begun in another job.'],
  gauge: ['unknown_reference', 'There is no such gauge on the rack. Load the page again.'],
  event_of_job: ['other_job', 'This was entered in another job. Only what belongs to this job is named here.'],
  event_of_vehicle: ['other_job', 'This was entered for another vehicle. Only what belongs to this one is named here.'],
};

/** Every event there is: its id and the job it was entered in. */
export const ANY_EVENT = sql.join(
  Object.values(EVENT_TABLES).map((t) => sql`select id, job_id, author_id from ${sql.identifier(getTableName(t))}`),
  sql` union all `,
);

const ofVehicle = (jobId: string): SQL => sql`(select vehicle_id from ${job} where id = ${jobId})`;

/** Whether a place is a line, cable or rod of a vehicle, as a condition. */
const isRun = (name: string | SQL, vehicleId: SQL): SQL =>
  sql`exists (select 1 from ${connection} c join ${layout} l on l.id = c.layout_id
    where c.id = ${name} and c.kind in ${RUN_KINDS} and l.vehicle_id = ${vehicleId})`;

/** Whether a part came with the vehicle without a word of anybody: a line, cable, rod or lever, under the id of its place. */
const isThereFromTheFirst = (name: string | SQL, vehicleId: SQL): SQL =>
  sql`(${isRun(name, vehicleId)} or exists (select 1 from ${slot} s join ${layout} l on l.id = s.layout_id
    where s.id = ${name} and s.kind in ${LEVER_KINDS} and l.vehicle_id = ${vehicleId}))`;

/** Writes down what came with a vehicle without a word, the first time that something is said of it. */
export async function writeDownAssumed(db: Database, jobId: string, partId: string): Promise<void> {
  const { rows } = await db.execute<{ kind: ComponentKind }>(sql`select x.kind from (
      select c.kind from ${connection} c where c.id = ${partId} union all select s.kind from ${slot} s where s.id = ${partId}
    ) x where ${isThereFromTheFirst(partId, ofVehicle(jobId))} limit 1`);
  const kind = rows[0]?.kind;
  if (kind === undefined) return;
  await db
    .insert(part)
    .values({ id: partId, tag: null, kind, name: KIND_FACTS[kind].name, partNumber: null, note: '' })
    .onConflictDoNothing({ target: part.id });
}

/** Whether a thing of a kind is one of the job’s vehicle, as a condition. */
function belongs(kind: Named, jobId: string, name: string): SQL {
  const mine = ofVehicle(jobId);
  switch (kind) {
    case 'place':
      return sql`(exists (select 1 from ${slot} s join ${layout} l on l.id = s.layout_id where s.id = ${name} and l.vehicle_id = ${mine})
        or ${isRun(name, mine)})`;
    case 'corner':
      return sql`exists (select 1 from ${slot} s join ${layout} l on l.id = s.layout_id where s.corner = ${name} and l.vehicle_id = ${mine})`;
    case 'line':
      return sql`exists (select 1 from ${connection} c join ${layout} l on l.id = c.layout_id where c.id = ${name} and l.vehicle_id = ${mine})`;
    case 'part':
      return sql`(${isThereFromTheFirst(name, mine)} or exists (select 1 from ${partEvents} e join ${job} j on j.id = e.job_id where e.part_id = ${name} and j.vehicle_id = ${mine})
        or exists (select 1 from ${partCorrections} c join ${job} j on j.id = c.job_id where ${name} in (c.part_id, c.other_id) and j.vehicle_id = ${mine}))`;
    case 'set':
      return sql`exists (select 1 from ${sets} r where r.id = ${name} and r.job_id = ${jobId})`;
    case 'gauge':
      return sql`exists (select 1 from ${gauge} g where g.id = ${name})`;
    case 'event_of_job':
      return sql`exists (select 1 from (${ANY_EVENT}) e where e.id = ${name} and e.job_id = ${jobId})`;
    case 'event_of_vehicle':
      return sql`exists (select 1 from (${ANY_EVENT}) e join ${job} j on j.id = e.job_id where e.id = ${name} and j.vehicle_id = ${mine})`;
  }
}

/**
 * Throws a HttpProblem where an event names anything that is not of its job’s vehicle; nothing named is nothing to look at. One
 * question, whatever it names.
 */
export async function requireOwn(db: Database, family: EventFamily, row: { readonly jobId: string }): Promise<void> {
  const fields = new Map<string, unknown>(Object.entries(row));
  const named = Object.entries({ corrects: 'event_of_vehicle' as Named, ...familyOf(family).names }).flatMap(([field, kind]) =>
    [fields.get(field)].flat().flatMap((name) => (typeof name === 'string' ? [{ kind, name }] : [])),
  );
  if (named.length === 0) return;
  const looked = named.map(({ kind, name }, i) => sql`${belongs(kind, row.jobId, name)} as ${sql.identifier(`n${i}`)}`);
  const [found] = (await db.execute(sql`select ${sql.join(looked, sql`, `)}`)).rows;
  const wrong = named.find((_, i) => found?.[`n${i}`] !== true);
  if (!wrong) return;
  await requireJob(db, row.jobId);
  const [code, words] = REFUSALS[wrong.kind];
  throw new HttpProblem(code, words);
}

async function requireJob(db: Database, jobId: string): Promise<void> {
  const known = await db.execute(sql`select 1 from ${job} j where j.id = ${jobId}`);
  if (known.rows.length === 0) throw new HttpProblem('not_found', 'There is no such job.');
}

/** Throws a HttpProblem where a line of the job's vehicle does not end at a place. */
export async function requireJoint(db: Database, jobId: string, connectionId: string, slotId: string): Promise<void> {
  const found = await db.execute(sql`select 1 from ${connection} c join ${layout} l on l.id = c.layout_id
    join ${job} j on j.vehicle_id = l.vehicle_id where j.id = ${jobId} and c.id = ${connectionId} and c.kind = 'line'
    and ${slotId} in (c.from_slot, c.to_slot) limit 1`);
  if (found.rows.length > 0) return;
  await requireJob(db, jobId);
  throw new HttpProblem('unknown_place', 'No line of this vehicle ends there. Load the job again.');
}

/**
 * Throws a HttpProblem where a part is another vehicle’s: only a part that sits nowhere comes over from there, by being found
 * or fitted here; everything else is told of parts that something was told of on this vehicle.
 * @param described told of for the first time, in the same breath
 */
export async function requirePartNotElsewhere(
  db: Database,
  jobId: string,
  partId: string,
  kind: PartEventKind,
  described: boolean,
): Promise<void> {
  const { rows } = await db.execute<{ id: string; kind: PartEventKind; vehicle: string; tag: string; own: boolean }>(sql`
    select e.id, e.kind, v.id as vehicle, v.tag, j.vehicle_id = ${ofVehicle(jobId)} as own
    from ${partEvents} e join ${job} j on j.id = e.job_id join ${vehicle} v on v.id = j.vehicle_id
    where e.part_id = ${partId} and not exists (select 1 from take_back t where t.corrects = e.id)
    order by e.happened_at, e.id`);
  const comes = kind === 'found' || kind === 'fitted';
  const last = rows.at(-1);
  if (rows.some((r) => r.own) && (last?.own || !comes)) return;
  if (!last) {
    const came = (await db.execute(sql`select 1 where ${isThereFromTheFirst(partId, ofVehicle(jobId))}`)).rows.length > 0;
    const known = described || came || (await db.execute(sql`select 1 from ${part} where id = ${partId}`)).rows.length > 0;
    if (known) return;
    throw new HttpProblem('unknown_reference', 'There is no such part. Load the job again.');
  }
  if (comes && LEAVES.includes(last.kind) && last.kind !== 'scrapped' && last.kind !== 'sent') return;
  throw new HttpProblem(
    'other_vehicle',
    comes
      ? `This part is on record with ${last.tag}, where it was not taken off. Take it off there first.`
      : `Nothing was told of this part on this vehicle; it belongs to ${last.tag}.`,
    { current: { vehicleId: last.vehicle } },
  );
}

/** Returns who made an event. Throws a HttpProblem where an event that is to be corrected is not one of this job: what was handed back is not taken back. */
export async function requireEvent(db: Database, jobId: string, eventId: string): Promise<{ readonly authorId: string }> {
  const found = await db.execute(sql`select job_id, author_id from (${ANY_EVENT}) e where e.id = ${eventId} limit 1`);
  const [row] = found.rows;
  if (row === undefined) throw new HttpProblem('unknown_reference', 'What is to be taken back is not on record.');
  if (row['job_id'] !== jobId)
    throw new HttpProblem('other_job', 'This was entered in another job. Only what belongs to this job is taken back here.');
  return { authorId: String(row['author_id']) };
}
