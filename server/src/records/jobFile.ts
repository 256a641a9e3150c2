import { withRuns } from '@dauer/core/layout';
import { EVENT_LISTS, familyOf, type JobRecords } from '@dauer/core/ledger';
import { readSheet } from '@dauer/core/views';
import type { EventFamily } from '@dauer/contract';
import { and, asc, desc, eq, getTableColumns, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import * as s from '../db/schema.ts';
import { notFound } from '../platform/problem.ts';
import { layoutAt, readLayouts } from './layout.ts';
import { readLimitVersions } from './limits.ts';
import { readCallBacks, readNewestChecks, readTorqueChecks } from './rack.ts';
import { readCardHands } from './cardHands.ts';
import { readNewestShopCards } from './shopCards.ts';
import { readPeople } from './people.ts';
import { readArticles, readHouseRules, readOffers, readRates } from './prices.ts';
import { readComebackCounts } from './lasting.ts';
import { readLots } from './lots.ts';
import { type Prepared, rowsOfEach } from './rows.ts';
import { together } from './parallel.ts';

type EventTable = PgTable & { readonly jobId: PgColumn };

const one = (name: string): SQL => sql`${sql.placeholder(name)}::uuid`;
const among = (column: PgColumn, list: string): SQL => sql`${column} = any(${sql.placeholder(list)}::uuid[])`;
const ofJob = (t: EventTable): SQL => sql`${t.jobId} = ${one('job')}`;
const ofVehicle = (t: EventTable): SQL => among(t.jobId, 'jobs');

/** Make and model of the vehicle: the type that a note is pinned to. Named here as the core names it. */
const TYPE_OF_VEHICLE = sql`(select trim(${s.vehicle.make} || ' ' || ${s.vehicle.model}) from ${s.vehicle} where ${s.vehicle.id} = ${one('vehicle')})`;
/** Notes that are pinned where this vehicle has something, but for those of other vehicles that were taken back there. */
const PINNED = sql`((${s.shopNotes.pin} = 'vehicle' and ${s.shopNotes.vehicleId} = ${one('vehicle')})
  or (${s.shopNotes.pin} = 'type' and ${s.shopNotes.type} = ${TYPE_OF_VEHICLE})
  or (${s.shopNotes.pin} in ('unit', 'step') and (${s.shopNotes.kind} in ('line', 'cable', 'rod') or exists (
    select 1 from ${s.slot} join ${s.layout} on ${s.layout.id} = ${s.slot.layoutId}
    where ${s.layout.vehicleId} = ${one('vehicle')} and ${s.slot.kind} = ${s.shopNotes.kind}))))
  and (${s.shopNotes.jobId} = any(${sql.placeholder('jobs')}::uuid[]) or not exists (
    select 1 from ${s.takeBacks} where ${s.takeBacks.corrects} = ${s.shopNotes.id}))`;

/** Which events of a family a job is read with. */
export function readWith(family: EventFamily): SQL {
  const table: EventTable = EVENT_TABLES[family];
  const columns = new Map(Object.entries(getTableColumns(table)));
  const named = (fields: readonly string[], list: string): SQL[] =>
    fields.flatMap((field) => {
      const column = columns.get(field);
      return column ? [among(column, list)] : [];
    });
  const lived = named(['partId', 'otherId'], 'lived');
  const vehicle = columns.get('vehicleId');
  switch (familyOf(family).readWith) {
    case 'job':
      return ofJob(table);
    case 'vehicle':
      return vehicle ? sql`${vehicle} = ${one('vehicle')}` : ofVehicle(table);
    case 'parts':
      return sql.join([ofVehicle(table), ...lived], sql` or `);
    case 'places':
      return sql.join([...named(['slotId'], 'slots'), ...lived], sql` or `);
    case 'pinned':
      return family === 'shopNotes' ? PINNED : sql`${s.noteTells.noteId} in (select ${s.shopNotes.id} from ${s.shopNotes} where ${PINNED})`;
    case 'set':
      throw new Error(`${family}: read with what it leans on`);
  }
}

type ReadFamilies = { readonly [K in Exclude<EventFamily, 'readings'>]: readonly [(typeof EVENT_TABLES)[K], SQL] };

function askedFamilies(): ReadFamilies {
  const queries: Partial<Record<EventFamily, readonly [PgTable, SQL]>> = {};
  for (const k of EVENT_LISTS) if (familyOf(k).readWith !== 'set') queries[k] = [EVENT_TABLES[k], readWith(k)];
  return queries as ReadFamilies;
}

/** Everything that is told of a job, and of the life of the vehicle's parts and places. */
const FAMILIES = {
  name: 'job_families',
  queries: {
    ...askedFamilies(),
    priors: [s.priorVersion, sql`true`] as const,
  },
} satisfies Prepared<Record<string, readonly [PgTable, SQL]>>;

/** What leans on those: as lists of their own, so that an old book is found by its indexes. */
const LEANING = {
  name: 'job_leaning',
  queries: { readings: [s.readings, among(s.readings.setId, 'sets')], parts: [s.part, among(s.part.id, 'parts')] },
} as const satisfies Prepared<Record<string, readonly [PgTable, SQL]>>;

/**
 * Reads everything a job stands on: its own events, and the life of the vehicle's parts and places.
 * A job may also be read inside a transaction. Nothing is derived here; the core does that, from the same file, wherever it runs.
 */
export async function readJobFile(db: Database, jobId: string): Promise<JobRecords> {
  const head = await readJobHead(db, jobId);
  const { revisions, release, jobs } = await together(db, {
    revisions: () => readLayouts(db, head.vehicle.id),
    release: () => readJobRelease(db, jobId),
    jobs: () => readJobsOf(db, head.vehicle.id),
  });
  const { layout } = layoutAt(revisions, release?.releasedAt ?? null);
  const allJobs = jobs.map((j) => j.id);
  // Also of places that a later layout does not have: their parts were in this vehicle.
  const slotIds = [...new Set(revisions.flatMap((r) => withRuns(r.layout).slots.map((x) => x.id)))];
  // As a list of its own: so that an old book is found by its indexes.
  const lived = await readPartsOf(db, slotIds);
  const { families, ...rest } = await together(db, {
    families: () => rowsOfEach(db, FAMILIES, { job: jobId, jobs: allJobs, slots: slotIds, lived, vehicle: head.vehicle.id }),
    limits: () => readLimitVersions(db, head.vehicle.id),
    articles: () => readArticles(db, head.vehicle),
    rates: () => readRates(db),
    houseRules: () => readHouseRules(db),
    shopCards: () => readNewestShopCards(db),
    comebackCounts: () => readComebackCounts(db),
    cardHands: () => readCardHands(db, jobId),
    offers: () => readOffers(db, jobId),
    lots: () => readLots(db, head.vehicle.id),
    people: () => readPeople(db),
    gauges: () => readGauges(db),
    callBacks: () => readCallBacks(db),
    gaugeChecks: () => readNewestChecks(db),
    torqueChecks: () => readTorqueChecks(db),
  });
  const { parts, readings } = await rowsOfEach(db, LEANING, {
    sets: families.sets.map((x) => x.id),
    parts: [...new Set(families.partEvents.map((e) => e.partId))],
  });
  return {
    ...families,
    ...rest,
    job: head.job,
    imported: head.imported,
    vehicle: head.vehicle,
    layout,
    layoutRevisions: revisions.map(({ layout: _layout, ...r }) => r),
    parts,
    readings,
    pastJobs: jobs.filter((j) => j.id !== jobId),
    release,
  };
}

/** A job with its vehicle, and with what it was taken in from. @throws HttpProblem where there is no such job */
export async function readJobHead(db: Database, jobId: string) {
  const [head] = await db
    .select({ job: s.job, vehicle: s.vehicle, imported: s.importBatch })
    .from(s.job)
    .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
    .leftJoin(s.importBatch, eq(s.importBatch.id, s.job.importId))
    .where(eq(s.job.id, jobId));
  if (!head) throw notFound('job');
  return head;
}

/** Every job of a vehicle, the newest first. */
export async function readJobsOf(db: Database, vehicleId: string): Promise<JobRecords['pastJobs'][number][]> {
  return db
    .select({ id: s.job.id, kind: s.job.kind, complaint: s.job.complaint, openedAt: s.job.openedAt, releasedAt: s.release.releasedAt })
    .from(s.job)
    .leftJoin(s.release, eq(s.release.jobId, s.job.id))
    .where(eq(s.job.vehicleId, vehicleId))
    .orderBy(desc(s.job.openedAt));
}

export async function readJobRelease(db: Database, jobId: string): Promise<JobRecords['release']> {
  const [stored] = await db.select().from(s.release).where(eq(s.release.jobId, jobId));
  return stored ? withoutBasis(stored) : null;
}

/** Parts that ever sat in one of these places. */
export async function readPartsOf(db: Database, slotIds: readonly string[]): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: s.partEvents.partId })
    .from(s.partEvents)
    .where(inArray(s.partEvents.slotId, [...slotIds]));
  return rows.map((r) => r.id);
}

/** The record of a hand-back as it is shown; its sheet may be of an earlier form. */
function withoutBasis({ basis: _basis, ...record }: typeof s.release.$inferSelect): JobRecords['release'] {
  return { ...record, sheet: readSheet(record.sheet) };
}

/** All versions of the gauges: readings keep the version they were taken with. */
export async function readGauges(db: Database): Promise<JobRecords['gauges'][number][]> {
  return db.select().from(s.gauge).orderBy(asc(s.gauge.id));
}

/** A job that no standing void closes. */
const NOT_VOID = sql`not exists (select 1 from ${s.voids} v where v.job_id = ${s.job.id}
  and not exists (select 1 from ${s.takeBacks} t where t.corrects = v.id))`;

/** Ids of the jobs that are open, the oldest first. */
export async function openJobIds(db: Database): Promise<string[]> {
  const rows = await db
    .select({ id: s.job.id })
    .from(s.job)
    .leftJoin(s.release, eq(s.release.jobId, s.job.id))
    .where(and(isNull(s.release.id), NOT_VOID))
    .orderBy(asc(s.job.openedAt));
  return rows.map((r) => r.id);
}

/** The open job of a vehicle, if it has one beside the one named. */
export async function openJobOf(db: Database, vehicleId: string, but: string | null = null): Promise<string | null> {
  const rows = await db
    .select({ id: s.job.id })
    .from(s.job)
    .leftJoin(s.release, eq(s.release.jobId, s.job.id))
    .where(and(eq(s.job.vehicleId, vehicleId), isNull(s.release.id), NOT_VOID));
  return rows.find((r) => r.id !== but)?.id ?? null;
}
