import { createHash } from 'node:crypto';
import { deriveJob } from '@dauer/core/job';
import { asc, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { job } from '../db/schema.ts';
import { readJobFile } from '../records/jobFile.ts';

/** What a book holds, in a form that two books can be held against each other by. */
export interface Fingerprint {
  /** By table: how many rows, and a sum of the hashes of all of them. */
  readonly tables: Readonly<Record<string, string>>;
  /** By job: the hash of what is derived from its records. */
  readonly jobs: Readonly<Record<string, string>>;
  readonly rows: number;
}

/**
 * A hash of every row and of every job’s derived state. The sum of hashes says nothing of an order, so that rows need not
 * be sorted; two independent halves of a 128-bit hash are summed.
 * @param at instant at which the jobs are derived: the same for both books
 */
export async function fingerprint(db: Database, at: string, between: () => Promise<void> = async () => undefined): Promise<Fingerprint> {
  const names = await db.execute<{ name: string }>(
    sql`select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'drizzle') order by 1`,
  );
  const tables: Record<string, string> = {};
  let rows = 0;
  for (const { name } of names.rows) {
    const { rows: found } = await db.execute<{ many: string; a: string | null; b: string | null }>(sql`
      select count(*)::text as many, sum(('x' || substr(h, 1, 15))::bit(60)::bigint)::text as a,
        sum(('x' || substr(h, 16, 15))::bit(60)::bigint)::text as b
      from (select md5(t::text) as h from ${sql.raw(name)} t) hashed`);
    const [sum] = found;
    tables[name] = `${sum?.many ?? '0'} ${sum?.a ?? '0'} ${sum?.b ?? '0'}`;
    rows += Number(sum?.many ?? 0);
    await between();
  }
  const jobs: Record<string, string> = {};
  for (const { id } of await db.select({ id: job.id }).from(job).orderBy(asc(job.id))) {
    jobs[id] = await stateHash(db, id, at);
    await between();
  }
  return { tables, jobs, rows };
}

/** Hash of everything that is derived of a job; one that cannot be derived has the hash of why. */
export async function stateHash(db: Database, jobId: string, at: string): Promise<string> {
  let text: string;
  try {
    const { records: _records, history: _book, context: situation, ...state } = deriveJob(await readJobFile(db, jobId), at);
    const { components, owed, proofItems } = situation;
    text = JSON.stringify({ ...state, components, owed, proofItems });
  } catch (error) {
    text = `cannot be derived: ${error instanceof Error ? error.message : String(error)}`;
  }
  return createHash('sha256').update(text).digest('hex');
}

/** Where two books differ, in a sentence; null where they are the same. */
export function difference(a: Fingerprint, b: Fingerprint): string | null {
  const keys = (x: object, y: object): string[] => [...new Set([...Object.keys(x), ...Object.keys(y)])];
  const tables = keys(a.tables, b.tables).filter((k) => a.tables[k] !== b.tables[k]);
  if (tables.length > 0) return `The rows of ${tables.slice(0, 4).join(', ')} are not the same.`;
  const jobs = keys(a.jobs, b.jobs).filter((k) => a.jobs[k] !== b.jobs[k]);
  if (jobs.length > 0) return `What follows from the records of ${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'} is not the same.`;
  return null;
}
