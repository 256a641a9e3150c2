import type { EventFamily } from '@dauer/contract';
import { EVENT_LISTS, type JobRecords } from '@dauer/core/ledger';
import { asc, eq, getTableName, type SQL, sql } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import { type Head, HEADS } from '../db/headTables.ts';
import * as s from '../db/schema.ts';
import { incarnationOf } from './incarnation.ts';
import { readCardHands } from './cardHands.ts';
import { readNewestShopCards } from './shopCards.ts';
import { readGauges, readJobHead, readJobRelease, readJobsOf, readPartsOf, readWith } from './jobFile.ts';
import { layoutAt, readLayouts, type Revision } from './layout.ts';
import { readLimitVersions } from './limits.ts';
import { readPeople } from './people.ts';
import { readComebackCounts } from './lasting.ts';
import { readLots } from './lots.ts';
import { readArticles, readHouseRules, readOffers, readRates } from './prices.ts';
import { readCallBacks, readNewestChecks, readTorqueChecks } from './rack.ts';
import { rowsOfEach } from './rows.ts';

/** What is new of a job since somebody read it: to be merged into what they have, by id. */
export interface JobChanges {
  readonly cursor: string;
  readonly whole: boolean;
  readonly file: Partial<JobRecords>;
  readonly struck: readonly { readonly id: string; readonly field: string }[];
}

/** Most lines that are new at once; where there are more, the job is read as a whole. */
const MAX_NEW = 2000;

interface Mark {
  /** The book: its incarnation, and the cluster that counts its transactions. */
  readonly book: string;
  /** Every transaction below this one had ended. */
  readonly xmin: string;
}

export const written = ({ book, xmin }: Mark): string => `${book}.${xmin}`;
export function readMark(cursor: string): Mark | null {
  const [, book, xmin] = /^([\w-]+\.\d+)\.(\d{1,19})$/.exec(cursor) ?? [];
  return book !== undefined && xmin !== undefined ? { book, xmin } : null;
}

async function markNow(db: Database): Promise<Mark & { readonly xmax: string }> {
  const { rows } = await db.execute<{ xmin: string; xmax: string; cluster: string }>(sql`
    select pg_snapshot_xmin(now.snapshot)::text as xmin, pg_snapshot_xmax(now.snapshot)::text as xmax,
      (select system_identifier::text from pg_control_system()) as cluster
    from (select pg_current_snapshot() as snapshot) now`);
  const [now] = rows;
  if (!now) throw new Error('the database has no snapshot');
  return { book: `${await incarnationOf(db)}.${now.cluster}`, xmin: now.xmin, xmax: now.xmax };
}

/**
 * Up to where the book can be said to have been read now. It is the number of the oldest transaction that was under way:
 * whatever that one and all later ones write is told again, so that a transaction that is held open causes repeats, and
 * never delay or loss.
 */
export async function readCursor(db: Database): Promise<string> {
  return written(await markNow(db));
}

type News = ReadonlyMap<string, readonly string[]>;

/** Everything that was written since, by table, and the mark up to which that is; both as of one moment. */
export async function newsSince(db: Database, since: Mark, most: number): Promise<{ readonly mark: Mark; readonly news: News } | null> {
  const mark = await markNow(db);
  // A book that was copied or restored elsewhere counts anew: nothing is left out for it.
  if (since.book !== mark.book || BigInt(since.xmin) > BigInt(mark.xmax)) return null;
  const { rows } = await db.execute<{ about: string; id: string }>(
    sql`select distinct ${s.change.about} as about, ${s.change.id} as id from ${s.change} where ${s.change.tx} >= ${since.xmin}::xid8 limit ${most + 1}`,
  );
  if (rows.length > most) return null;
  const news = new Map<string, string[]>();
  for (const { about, id } of rows) news.set(about, [...(news.get(about) ?? []), id]);
  return { mark, news };
}

type Values = Readonly<Record<string, unknown>>;
const among = (column: PgColumn, list: string): SQL => sql`${column} = any(${sql.placeholder(list)}::uuid[])`;

/** The new events of a family that the job is read with. */
function whereNew(family: EventFamily): SQL {
  const fresh = among(EVENT_TABLES[family].id, 'fresh');
  return family === 'readings'
    ? sql`${fresh} and ${s.readings.setId} in (select ${s.sets.id} from ${s.sets} where ${readWith('sets')})`
    : sql`${fresh} and (${readWith(family)})`;
}

const NEW_OF = EVENT_LISTS.map((family) => ({
  family,
  table: getTableName(EVENT_TABLES[family]),
  statement: { name: `job_new_${family}`, queries: { rows: [EVENT_TABLES[family], whereNew(family)] as const } },
}));

const NEW_PARTS = {
  name: 'job_new_parts',
  queries: {
    rows: [
      s.part,
      sql`${among(s.part.id, 'fresh')} and exists (select 1 from ${s.partEvents} where ${s.partEvents.partId} = ${s.part.id} and (${readWith('partEvents')}))`,
    ] as const,
  },
};

/** Whether a part that sits here now was in another vehicle before: then its life there comes in with it. */
async function bringsItsPast(db: Database, partIds: readonly string[], jobs: readonly string[]): Promise<boolean> {
  if (partIds.length === 0) return false;
  const { rows } = await db.execute(
    sql`select 1 from ${s.partEvents} where ${s.partEvents.partId} = any(${sql.param([...partIds])}::uuid[])
      and not (${s.partEvents.jobId} = any(${sql.param([...jobs])}::uuid[])) limit 1`,
  );
  return rows.length > 0;
}

/** What a job is read with beside its events, each by itself. */
function headReaders(db: Database, jobId: string, head: Awaited<ReturnType<typeof readJobHead>>) {
  const vehicleId = head.vehicle.id;
  let layouts: Promise<Revision[]> | null = null;
  const revisions = (): Promise<Revision[]> => (layouts ??= readLayouts(db, vehicleId));
  return {
    job: async () => head.job,
    imported: async () => head.imported,
    vehicle: async () => head.vehicle,
    layout: async () => layoutAt(await revisions(), (await readJobRelease(db, jobId))?.releasedAt ?? null).layout,
    layoutRevisions: async () => (await revisions()).map(({ layout: _layout, ...r }) => r),
    priors: async () => db.select().from(s.priorVersion),
    limits: async () => readLimitVersions(db, vehicleId),
    gauges: async () => readGauges(db),
    callBacks: async () => readCallBacks(db),
    gaugeChecks: async () => readNewestChecks(db),
    torqueChecks: async () => readTorqueChecks(db),
    articles: async () => readArticles(db, head.vehicle),
    rates: async () => readRates(db),
    houseRules: async () => readHouseRules(db),
    shopCards: async () => readNewestShopCards(db),
    comebackCounts: async () => readComebackCounts(db),
    cardHands: async () => readCardHands(db, jobId),
    offers: async () => readOffers(db, jobId),
    lots: async () => readLots(db, head.vehicle.id),
    people: async () => readPeople(db),
    pastJobs: async () => (await readJobsOf(db, vehicleId)).filter((j) => j.id !== jobId),
    release: async () => readJobRelease(db, jobId),
  } satisfies { readonly [K in Head]: () => Promise<JobRecords[K]> };
}

/** Ids of the places that a vehicle has or had. */
async function placesOf(db: Database, vehicleId: string): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: s.slot.id })
    .from(s.slot)
    .innerJoin(s.layout, eq(s.layout.id, s.slot.layoutId))
    .where(eq(s.layout.vehicleId, vehicleId))
    .orderBy(asc(s.slot.id));
  const runs = await db
    .selectDistinct({ id: s.connection.id })
    .from(s.connection)
    .innerJoin(s.layout, eq(s.layout.id, s.connection.layoutId))
    .where(eq(s.layout.vehicleId, vehicleId))
    .orderBy(asc(s.connection.id));
  return [...rows, ...runs].map((r) => r.id);
}

async function struckOf(db: Database, ids: readonly string[]): Promise<JobChanges['struck']> {
  if (ids.length === 0) return [];
  const { rows } = await db.execute<{ id: string; field: string }>(
    sql`select ${s.redactions.corrects} as id, ${s.redactions.field} as field from ${s.redactions} where ${s.redactions.id} = any(${sql.param([...ids])}::uuid[])`,
  );
  return rows.filter((r) => r.id !== null);
}

/**
 * What is new of a job since a cursor: its events, the heads of what changes beside them, and what was blacked out anywhere.
 * It costs what is new, not what the job has.
 * @throws HttpProblem where there is no such job
 */
export async function readChanges(db: Database, jobId: string, cursor: string, most = MAX_NEW): Promise<JobChanges> {
  const head = await readJobHead(db, jobId);
  const since = readMark(cursor);
  const found = since && (await newsSince(db, since, most));
  if (!found) return { cursor: await readCursor(db), whole: true, file: {}, struck: [] };
  const { mark, news } = found;
  const file: Record<string, unknown> = {};
  const families = NEW_OF.filter(({ table }) => news.has(table));
  const parts = news.get(getTableName(s.part)) ?? [];
  if (families.length > 0 || parts.length > 0) {
    const slots = await placesOf(db, head.vehicle.id);
    const jobs = (await readJobsOf(db, head.vehicle.id)).map((j) => j.id);
    const scope: Values = { job: jobId, jobs, slots, lived: await readPartsOf(db, slots), vehicle: head.vehicle.id };
    for (const { family, table, statement } of families) {
      const { rows } = await rowsOfEach(db, statement, { ...scope, fresh: news.get(table) ?? [] });
      if (rows.length > 0) file[family] = rows;
    }
    const seated = (file['partEvents'] ?? []) as JobRecords['partEvents'];
    const partIds = [...new Set(seated.map((e) => e.partId))];
    if (await bringsItsPast(db, partIds, jobs)) return { cursor: written(mark), whole: true, file: {}, struck: [] };
    const { rows } = await rowsOfEach(db, NEW_PARTS, { ...scope, fresh: [...new Set([...parts, ...partIds])] });
    if (rows.length > 0) file['parts'] = rows;
  }
  const readers = headReaders(db, jobId, head);
  for (const name of Object.keys(HEADS) as Head[])
    if (HEADS[name].some((table) => news.has(getTableName(table)))) file[name] = await readers[name]();
  return {
    cursor: written(mark),
    whole: false,
    file: file as Partial<JobRecords>,
    struck: await struckOf(db, news.get(getTableName(s.redactions)) ?? []),
  };
}
