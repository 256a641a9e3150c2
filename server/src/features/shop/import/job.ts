import { type EventFamily, FROM_BEFORE, type ImportLine } from '@dauer/contract';
import type { MeasurementId } from '@dauer/core/catalogue';
import { RULE_VERSION } from '@dauer/core/job';
import { EVENT_LISTS, listsWhere, recordFrom } from '@dauer/core/ledger';
import { asc, and, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../../../db/connect.ts';
import { EVENT_TABLES } from '../../../db/eventTables.ts';
import * as s from '../../../db/schema.ts';
import { HttpProblem } from '../../../platform/problem.ts';
import { FROM_BEFORE_ID } from '../../../records/people.ts';
import { requireOwn, requirePartNotElsewhere } from '../../../records/ownership.ts';
import { openJobOf, readJobFile } from '../../../records/jobFile.ts';
import { apart } from '../../../beside/apart.ts';

/** In the order of the ledger; what is only taken in after a hand-back, after it. */
const AFTER_RELEASE = listsWhere((f) => f.release === 'only_after');
const ORDER = EVENT_LISTS.filter((k) => !AFTER_RELEASE.includes(k));

/** PostgreSQL takes 65,535 parameters a statement. */
const MAX_PARAMETERS = 60000;

export type Row = Record<string, unknown>;

type EventLine = Extract<ImportLine, { kind: 'event' }>;
type JobLine = Extract<ImportLine, { kind: 'job' }>;
type ReleaseLine = Extract<ImportLine, { kind: 'release' }>;

export interface Counts {
  written: number;
  known: number;
}

/** Writes rows, passing over those whose id is on record already. */
export async function write(db: Database, table: PgTable, rows: readonly Row[], counts: Counts): Promise<void> {
  const { id } = getTableColumns(table);
  const chunk = Math.max(1, Math.floor(MAX_PARAMETERS / Object.keys(getTableColumns(table)).length));
  for (let i = 0; i < rows.length; i += chunk) {
    const offered = rows.slice(i, i + chunk);
    const ids = offered.map((r) => r['id']);
    const known = id ? new Set((await db.select({ id }).from(table).where(inArray(id, ids))).map((r) => r.id)) : new Set();
    const fresh = offered.filter((r) => !known.has(r['id']));
    if (fresh.length > 0) await db.insert(table).values(fresh);
    counts.written += fresh.length;
    counts.known += offered.length - fresh.length;
  }
}

/** Lines of one job, in the order of the file. */
async function linesOfJob(db: Database, batchId: string, jobId: string): Promise<ImportLine[]> {
  const rows = await db
    .select({ body: s.importLine.body })
    .from(s.importLine)
    .where(and(eq(s.importLine.batchId, batchId), eq(s.importLine.jobId, jobId)))
    .orderBy(asc(s.importLine.seq));
  return rows.map((r) => r.body as ImportLine);
}

/** Takes the job itself in. Nothing is ever added so to a job of this shop's own, and no vehicle gets a second open job. */
async function putJob(
  db: Database,
  batchId: string,
  line: JobLine | undefined,
  jobId: string,
  author: (id: string) => string,
  counts: Counts,
) {
  const [known] = await db.select().from(s.job).where(eq(s.job.id, jobId));
  if (known && known.importId === null)
    throw new HttpProblem('own_job', 'This is a job of this shop’s own. What is told of it is entered at the bench, by whoever did it.');
  if (known) {
    counts.known += 1;
    return known;
  }
  if (!line) throw new HttpProblem('unknown_reference', 'The job itself is not in the file, nor on record.');
  const { job } = line;
  if (job.openedAt > new Date().toISOString()) throw new HttpProblem('future', 'A job of the past was not opened in the future.');
  const [made] = await db
    .insert(s.job)
    .values({ ...job, openedBy: author(job.openedBy), importId: batchId })
    .returning();
  counts.written += 1;
  if (!made) throw new HttpProblem('book_away', 'The book did not answer. Offer the file again.');
  return made;
}

/**
 * Takes one job of the past in, whole or not at all: its records with their own authors and dates, marked by the job's
 * import; and where it was handed back, a record of that as told, which is no act of anybody here.
 * @param author the account of an author as the file names them
 */
export async function putJobIn(
  db: Database,
  batchId: string,
  jobId: string,
  author: (id: string) => string,
  counts: Counts,
): Promise<void> {
  const lines = await linesOfJob(db, batchId, jobId);
  const events = lines.filter((l): l is EventLine => l.kind === 'event');
  const release = lines.find((l): l is ReleaseLine => l.kind === 'release')?.release;
  const job = await putJob(
    db,
    batchId,
    lines.find((l): l is JobLine => l.kind === 'job'),
    jobId,
    author,
    counts,
  );
  const [known] = await db.select({ id: s.release.id }).from(s.release).where(eq(s.release.jobId, jobId));
  const open = known || release ? null : await openJobOf(db, job.vehicleId, jobId);
  if (open) throw new HttpProblem('already_open', 'The vehicle has an open job here; a second one is not taken in.');
  if (!known && !release && events.some((e) => e.family === 'acceptances'))
    throw new HttpProblem('accepted_by_file', 'What blocks an open job is accepted here, by name, not by a file.');
  const measurements = new Map(
    events.filter((e) => e.family === 'sets').map((e) => [e.record.id, (e.record as Row)['measurement'] as MeasurementId]),
  );
  const now = new Date().toISOString();
  const rowOf = (e: EventLine): Row => {
    const row: Row = { ...(e.record as Row), authorId: author(e.authorId) };
    const at = String(row['happenedAt']);
    if (at > now) throw new HttpProblem('future', 'What happened did not happen in the future.');
    // What was told of a job handed back then was told in time, whenever it is written up here.
    const recorded = String(row['recordedAt']) > now ? now : String(row['recordedAt']);
    const inTime = release && at < release.releasedAt && recorded > release.releasedAt ? release.releasedAt : recorded;
    // Worked out of what was typed, whatever a file says it is: by the same core that takes a reading at the bench.
    const facts = { vehicleId: job.vehicleId, measurement: measurements.get(String(row['setId'])) ?? null, gaugeKind: null };
    return { ...recordFrom(e.family, { ...row, recordedAt: inTime }, facts) };
  };
  const put = async (families: readonly EventFamily[]): Promise<void> => {
    for (const family of families) {
      const rows = events.filter((e) => e.family === family).map(rowOf);
      // A spare comes over from another vehicle only where it sits in none: looked at before anything is told of it here.
      const parts = family === 'partEvents' ? new Set(rows.map((r) => String(r['partId']))) : [];
      for (const partId of parts) await requirePartNotElsewhere(db, jobId, partId, 'fitted', true);
      await write(db, EVENT_TABLES[family], rows, counts);
      for (const row of rows) await look(db, family, jobId, row, measurements);
    }
  };
  await put(ORDER);
  if (release && !known) {
    const at = release.releasedAt;
    if (at > now) throw new HttpProblem('future', 'A vehicle was not handed back in the future.');
    const result = await apart('sheet', { file: await readJobFile(db, jobId), at });
    await db.insert(s.release).values({
      id: release.id,
      jobId,
      releasedBy: null,
      importId: batchId,
      releasedAt: at,
      ownWork: false,
      ruleVersion: RULE_VERSION,
      ...result,
    });
    counts.written += 1;
  } else if (release) counts.known += 1;
  await put(AFTER_RELEASE);
}

/** Whether a record names only what is its own vehicle's. Readings of sets that came with them do by their set. */
async function look(db: Database, family: EventFamily, jobId: string, row: Row, sets: ReadonlyMap<string, unknown>): Promise<void> {
  if (family === 'readings' && sets.has(String(row['setId'])) && row['corrects'] === null) return;
  await requireOwn(db, family, { ...row, jobId });
}

/** Accounts by id, and the one that stands for whoever did something before these records. */
export async function authorsOf(db: Database, fromBefore: string): Promise<(id: string) => string> {
  const people = new Set((await db.select({ id: s.account.id }).from(s.account)).map((a) => a.id));
  return (id) => {
    if (id === FROM_BEFORE) return fromBefore;
    if (people.has(id)) return id;
    throw new HttpProblem('unknown_author', `Nobody of this shop has the id ${id}. Name one of its people, or “${FROM_BEFORE}”.`);
  };
}

/** Makes the account of whoever did something before these records: nobody signs in with it. */
export async function fromBefore(db: Database): Promise<string> {
  const id = FROM_BEFORE_ID;
  await db
    .insert(s.account)
    .values({ id, name: FROM_BEFORE, initials: '–', login: FROM_BEFORE, passwordHash: 'none', role: 'reader', active: false })
    .onConflictDoNothing();
  const [stored] = await db
    .select({ id: s.account.id })
    .from(s.account)
    .where(sql`${s.account.id} = ${id}`);
  return stored?.id ?? id;
}
