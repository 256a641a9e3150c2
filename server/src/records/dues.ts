import { createHash } from 'node:crypto';
import type { VehicleDue } from '@dauer/contract';
import { EVENT_LISTS } from '@dauer/core/ledger';
import { tryJob } from '@dauer/core/job';
import { and, eq, getTableName, inArray, isNull, ne, or, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import * as s from '../db/schema.ts';
import { newsSince, readCursor, readMark, written } from './changes.ts';
import { DUE_RULES_VERSION, type DueFacts, dueFactsOf, noFacts } from './dueFacts.ts';
import { readJobFile } from './jobFile.ts';
import { writeAsTheShop } from './locale.ts';

/** How many vehicles are worked out anew at one asking: the rest is asked for again. */
const AT_ONCE = 40;
/** Most changes that are followed one by one; where there are more, everything is worked out anew. */
const MAX_NEWS = 20000;
const LOCK = 4;

type Tx = Parameters<Parameters<Database['transaction']>[0]>[0];

/** The vehicles that changes are of, by the table that each was written to. */
async function vehiclesOf(tx: Tx, news: ReadonlyMap<string, readonly string[]>): Promise<Set<string> | 'all'> {
  if (news.has(getTableName(s.houseRuleVersion))) return 'all';
  const found = new Set<string>();
  const add = async (query: ReturnType<typeof sql>): Promise<void> => {
    const { rows } = await tx.execute<{ id: string }>(query);
    for (const r of rows) found.add(r.id);
  };
  for (const family of EVENT_LISTS) {
    const table = EVENT_TABLES[family];
    const ids = news.get(getTableName(table));
    if (ids)
      await add(sql`select distinct ${s.job.vehicleId} as id from ${table} x join ${s.job} on ${s.job.id} = x.job_id
        where x.id = any(${sql.param([...ids])}::uuid[])`);
  }
  for (const id of news.get(getTableName(s.vehicle)) ?? []) found.add(id);
  const own = async (table: typeof s.job | typeof s.layout): Promise<void> => {
    const ids = news.get(getTableName(table));
    if (ids) await add(sql`select ${table.vehicleId} as id from ${table} where ${table.id} = any(${sql.param([...ids])}::uuid[])`);
  };
  await own(s.job);
  await own(s.layout);
  const limits = [...(news.get(getTableName(s.limit)) ?? []), ...(news.get(getTableName(s.limitCheck)) ?? [])];
  if (limits.length > 0)
    await add(sql`select v.id from ${s.vehicle} v join ${s.limit} l on l.applies_to = v.id::text
      where l.scope = 'vehicle' and (l.id = any(${sql.param(limits)}::uuid[])
        or l.id in (select c.limit_id from ${s.limitCheck} c where c.id = any(${sql.param(limits)}::uuid[])))`);
  const released = news.get(getTableName(s.release));
  if (released)
    await add(sql`select ${s.job.vehicleId} as id from ${s.release} join ${s.job} on ${s.job.id} = ${s.release.jobId}
      where ${s.release.id} = any(${sql.param([...released])}::uuid[])`);
  return found;
}

/** Marks what was changed since it was last looked at. */
async function markStale(tx: Tx): Promise<void> {
  const db = tx as Database;
  const [last] = await tx.select().from(s.dueMark);
  const since = last ? readMark(last.cursor) : null;
  const found = since && (await newsSince(db, since, MAX_NEWS));
  const vehicles = found ? await vehiclesOf(tx, found.news) : 'all';
  if (vehicles === 'all') await tx.update(s.vehicleDue).set({ fresh: false });
  else if (vehicles.size > 0)
    await tx
      .update(s.vehicleDue)
      .set({ fresh: false })
      .where(inArray(s.vehicleDue.vehicleId, [...vehicles]));
  const cursor = found ? written(found.mark) : await readCursor(db);
  // Nothing is written where nothing happened: a list that is only read waits for no disk.
  if (cursor === last?.cursor) return;
  await tx.insert(s.dueMark).values({ id: 1, cursor }).onConflictDoUpdate({ target: s.dueMark.id, set: { cursor } });
}

/** The newest job of a vehicle that counts: open ones before those handed back, void ones only where there is no other. */
const NEWEST_JOB = sql`(select j.id from ${s.job} j where j.vehicle_id = ${s.vehicle.id}
  order by exists (select 1 from ${s.voids} x where x.job_id = j.id
    and not exists (select 1 from ${s.takeBacks} t where t.corrects = x.id)), j.opened_at desc, j.id desc limit 1)`;

const stale = or(isNull(s.vehicleDue.vehicleId), eq(s.vehicleDue.fresh, false), ne(s.vehicleDue.rules, DUE_RULES_VERSION));

/** Keeps what calendars are told of one vehicle: a new day or other words count up, what is gone is cancelled. */
async function keepEntries(tx: Tx, vehicleId: string, tag: string, facts: DueFacts, now: string): Promise<void> {
  const known = new Map((await tx.select().from(s.calendarEntry).where(eq(s.calendarEntry.vehicleId, vehicleId))).map((e) => [e.uid, e]));
  // What is in the shop is worked on there: nothing of it falls due at home.
  const listed = facts.inShop ? [] : facts.dues.filter((d) => d.on !== null);
  for (const d of listed) {
    const uid = `${createHash('sha256').update(`${vehicleId}|${d.key}`).digest('hex').slice(0, 32)}@dauer`;
    const what = `${tag}: ${d.what}`;
    const before = known.get(uid);
    known.delete(uid);
    if (before && before.what === what && before.onDay === d.on && !before.cancelled) continue;
    const row = { what, onDay: d.on ?? '', sequence: before ? before.sequence + 1 : 0, changedAt: now, cancelled: false };
    await tx
      .insert(s.calendarEntry)
      .values({ uid, vehicleId, ...row })
      .onConflictDoUpdate({ target: s.calendarEntry.uid, set: row });
  }
  for (const e of known.values())
    if (!e.cancelled)
      await tx
        .update(s.calendarEntry)
        .set({ cancelled: true, sequence: e.sequence + 1, changedAt: now })
        .where(eq(s.calendarEntry.uid, e.uid));
}

/**
 * Works out anew what falls due on the vehicles whose records changed, some at a time; one process at a time does.
 * @returns how many are left
 */
export async function refreshDues(db: Database, most = AT_ONCE): Promise<number> {
  const now = new Date().toISOString();
  await writeAsTheShop(db);
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${LOCK})`);
    await markStale(tx);
    const due = await tx
      .select({ id: s.vehicle.id, tag: s.vehicle.tag, jobId: sql<string | null>`${NEWEST_JOB}` })
      .from(s.vehicle)
      .leftJoin(s.vehicleDue, eq(s.vehicleDue.vehicleId, s.vehicle.id))
      .where(stale)
      .orderBy(s.vehicle.id);
    for (const { id, tag, jobId } of due.slice(0, most)) {
      if (jobId === null) continue;
      const records = await readJobFile(tx as Database, jobId);
      const tried = tryJob(records, now);
      const facts = tried.ok ? dueFactsOf(tried.state, records, now) : noFacts(jobId);
      await keepEntries(tx, id, tag, facts, now);
      const row = { facts, fresh: true, rules: DUE_RULES_VERSION };
      await tx
        .insert(s.vehicleDue)
        .values({ vehicleId: id, ...row })
        .onConflictDoUpdate({ target: s.vehicleDue.vehicleId, set: row });
    }
    return Math.max(0, due.length - most);
  });
}

/** What was read of each vehicle before, by the version of its row: what has not changed is not read again. */
const readBefore = new WeakMap<Database, Map<string, { readonly version: string; readonly facts: DueFacts }>>();

/** What falls due on every vehicle, as last worked out, the earliest first. */
export async function readDues(db: Database): Promise<VehicleDue[]> {
  const before = readBefore.get(db);
  const { id, tag, name, use, standsYears } = s.vehicle;
  // A row that was written anew has another transaction.
  const rows = await db
    .select({ vehicleId: id, tag, name, use, standsYears, version: sql<string>`${s.vehicleDue}.xmin::text` })
    .from(s.vehicleDue)
    .innerJoin(s.vehicle, eq(id, s.vehicleDue.vehicleId));
  const news = rows.filter((r) => before?.get(r.vehicleId)?.version !== r.version).map((r) => r.vehicleId);
  const read = await db
    .select({ vehicleId: s.vehicleDue.vehicleId, facts: s.vehicleDue.facts, version: sql<string>`${s.vehicleDue}.xmin::text` })
    .from(s.vehicleDue)
    .where(inArray(s.vehicleDue.vehicleId, news));
  const now = new Map(before);
  for (const { vehicleId, facts, version } of read) now.set(vehicleId, { facts, version });
  readBefore.set(db, now);
  const first = (v: VehicleDue): string => v.dues[0]?.on ?? '9999';
  return rows
    .flatMap(({ version: _, ...v }): VehicleDue[] => {
      const facts = now.get(v.vehicleId)?.facts;
      return facts ? [{ ...v, ...facts }] : [];
    })
    .sort((a, b) => (first(a) < first(b) ? -1 : first(a) > first(b) ? 1 : a.tag < b.tag ? -1 : 1));
}

/** Limits that were entered by one person and checked by nobody, of those in force. */
export async function countUnchecked(db: Database): Promise<number> {
  const { rows } = await db.execute<{ n: number }>(sql`
    select count(*)::integer as n from (select distinct on (series_id) id, source from ${s.limit} order by series_id, entered_at desc, id desc) l
    where l.source <> 'generic' and not exists (select 1 from ${s.limitCheck} c where c.limit_id = l.id)`);
  return rows[0]?.n ?? 0;
}

/** Calendar entries of the shop, or of one vehicle: those that stand, and those that went lately, to be cancelled. */
export async function readEntries(db: Database, vehicleId: string | null, since: string) {
  const e = s.calendarEntry;
  return db
    .select()
    .from(e)
    .where(and(vehicleId === null ? undefined : eq(e.vehicleId, vehicleId), or(eq(e.cancelled, false), sql`${e.changedAt} >= ${since}`)))
    .orderBy(e.onDay, e.uid);
}
