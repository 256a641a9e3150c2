import type { Readable } from 'node:stream';
import { type ENDPOINTS, type ImportLine, type importReply, mayCall } from '@dauer/contract';
import { asc, and, eq, isNotNull, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../../../db/connect.ts';
import * as s from '../../../db/schema.ts';
import { keptAs } from '../../../platform/once.ts';
import { HttpProblem, refusalOf } from '../../../platform/problem.ts';
import type { Call } from '../../../platform/routes.ts';
import { insertLayout } from '../../../records/layout.ts';
import { requirePassword } from '../../../records/people.ts';
import { authorsOf, type Counts, fromBefore, putJobIn, write } from './job.ts';
import { headOf, jobOf, lineOf, linesOf } from './lines.ts';

type Reply = z.input<typeof importReply>;
/** Lines that are looked at and staged at a time: between them the server answers others. */
const STAGED_AT_ONCE = 50;
const IMPORT_LOCK = 4713;
const MAX_REFUSED = 200;

/** Reads the lines, looks at each, and puts them aside; nothing is on record yet. */
async function stage(db: Database, batchId: string, lines: AsyncGenerator<{ n: number; text: string }>): Promise<void> {
  let held: (typeof s.importLine.$inferInsert)[] = [];
  const put = async (): Promise<void> => {
    if (held.length > 0) await db.insert(s.importLine).values(held);
    held = [];
  };
  for await (const { n, text } of lines) {
    if (text.trim() === '') continue;
    const line = lineOf(n, text);
    held.push({ batchId, seq: n, jobId: jobOf(line), kind: line.kind, body: line });
    if (held.length >= STAGED_AT_ONCE) await put();
  }
  await put();
}

/** The staged lines of a kind, some at a time. */
async function* staged<K extends ImportLine['kind']>(
  db: Database,
  batchId: string,
  kind: K,
): AsyncGenerator<Extract<ImportLine, { kind: K }>> {
  for (let after = 0; ;) {
    const rows = await db
      .select({ seq: s.importLine.seq, body: s.importLine.body })
      .from(s.importLine)
      .where(and(eq(s.importLine.batchId, batchId), eq(s.importLine.kind, kind), sql`${s.importLine.seq} > ${after}`))
      .orderBy(asc(s.importLine.seq))
      .limit(STAGED_AT_ONCE);
    for (const r of rows) yield r.body as Extract<ImportLine, { kind: K }>;
    const last = rows.at(-1);
    if (!last) return;
    after = last.seq;
  }
}

/** Takes in what jobs stand on: gauges, limits, vehicles, parts; all of them or none. */
async function putThings(db: Database, batchId: string, enteredBy: string, counts: Counts): Promise<void> {
  await db.transaction(async (tx) => {
    for await (const { gauge } of staged(tx, batchId, 'gauge')) await write(tx, s.gauge, [{ ...gauge, enteredBy }], counts);
    for await (const { prior } of staged(tx, batchId, 'prior')) await write(tx, s.priorVersion, [{ ...prior, enteredBy }], counts);
    for await (const { limit } of staged(tx, batchId, 'limit')) await write(tx, s.limit, [{ ...limit, enteredBy }], counts);
    for await (const { vehicle, layout } of staged(tx, batchId, 'vehicle')) {
      if (layout.vehicleId !== vehicle.id)
        throw new HttpProblem('import_line', `The layout of ${vehicle.tag} is of another vehicle. Nothing was taken in.`);
      const before = counts.known;
      await write(tx, s.vehicle, [vehicle], counts);
      // A vehicle that the shop knows keeps its own layouts.
      if (counts.known === before) await insertLayout(tx, layout);
    }
    for await (const { part } of staged(tx, batchId, 'part')) await write(tx, s.part, [part], counts);
  });
}

/** Takes in the jobs, each in a transaction of its own: what is wrong with one keeps none of the others out. */
async function putJobs(
  db: Database,
  batchId: string,
  author: (id: string) => string,
  counts: Counts,
): Promise<Pick<Reply, 'jobs' | 'refused'>> {
  const jobs = await db
    .select({ id: s.importLine.jobId, first: sql<number>`min(${s.importLine.seq})` })
    .from(s.importLine)
    .where(and(eq(s.importLine.batchId, batchId), isNotNull(s.importLine.jobId)))
    .groupBy(s.importLine.jobId)
    .orderBy(asc(sql`min(${s.importLine.seq})`));
  const refused: Reply['refused'] = [];
  for (const { id } of jobs) {
    if (id === null) continue;
    const own: Counts = { written: 0, known: 0 };
    try {
      await db.transaction((tx) => putJobIn(tx, batchId, id, author, own));
      counts.written += own.written;
      counts.known += own.known;
    } catch (error) {
      const refusal = refusalOf(error);
      if (refusal === null) throw error;
      if (refused.length < MAX_REFUSED) refused.push({ jobId: id, ...refusal });
    }
  }
  return { jobs: jobs.length - refused.length, refused };
}

async function takeIn(call: Call<typeof ENDPOINTS.importHistory>, stream: Readable): Promise<Reply> {
  const { db, person } = call;
  const lines = linesOf(stream);
  const first = await lines.next();
  if (first.done === true) throw new HttpProblem('import_line', 'The file is empty.');
  const { id, source, password } = headOf(first.value.n, first.value.text);
  await requirePassword(call, password);
  await db.insert(s.importBatch).values({ id, source, importedBy: person.id }).onConflictDoNothing();
  const [stored] = await db.select().from(s.importBatch).where(eq(s.importBatch.id, id));
  keptAs(stored, { source, importedBy: person.id }, 'import');
  const clear = () => db.delete(s.importLine).where(eq(s.importLine.batchId, id));
  await clear();
  try {
    await stage(db, id, lines);
    // Whoever has lost the role meanwhile takes nothing in.
    const [now] = await db.select({ role: s.account.role, active: s.account.active }).from(s.account).where(eq(s.account.id, person.id));
    if (!now?.active || !mayCall('lead', now.role)) throw new HttpProblem('role', 'Your role has changed meanwhile. Nothing was taken in.');
    const counts: Counts = { written: 0, known: 0 };
    await putThings(db, id, person.id, counts);
    const done = await putJobs(db, id, await authorsOf(db, await fromBefore(db)), counts);
    return { id, ...counts, ...done };
  } finally {
    await clear();
  }
}

/**
 * Takes in records of the past: read as they come, looked at line by line, then taken in job by job. One import at a time,
 * over all processes.
 */
export async function importHistory(call: Call<typeof ENDPOINTS.importHistory>): Promise<Reply> {
  const stream = call.request.body as Readable | undefined;
  if (!stream || typeof stream.pipe !== 'function')
    throw new HttpProblem('wrong_content', 'An import is sent as JSON Lines (application/x-ndjson).');
  return call.db.transaction(async (holder) => {
    const [lock] = (await holder.execute<{ free: boolean }>(sql`select pg_try_advisory_xact_lock(${IMPORT_LOCK}) as free`)).rows;
    if (!lock?.free) throw new HttpProblem('import_under_way', 'Another import is under way. Wait until it is done.');
    return takeIn(call, stream);
  });
}
