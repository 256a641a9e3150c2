import { type JobFile, readSheet } from '@dauer/core';
import { and, asc, desc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import * as s from '../db/schema.ts';
import { notFound } from '../platform/problem.ts';
import { layoutAt, readLayouts } from './layout.ts';
import { readLimitVersions } from './limits.ts';
import { readCallBacks, readNewestChecks } from './rack.ts';
import { readPeople } from './people.ts';
import { type Prepared, rowsOfEach } from './rows.ts';
import { together } from './together.ts';

type EventTable = PgTable & { readonly jobId: PgColumn };

const given = (name: string): SQL => sql`${sql.placeholder(name)}::uuid`;
const among = (column: PgColumn, list: string): SQL => sql`${column} = any(${sql.placeholder(list)}::uuid[])`;
const ofJob = (t: EventTable): SQL => sql`${t.jobId} = ${given('job')}`;
const ofVehicle = (t: EventTable): SQL => among(t.jobId, 'jobs');

/** Everything that is told of a job, and of the life of the vehicle's parts and places. */
const FAMILIES = {
  name: 'job_families',
  asked: {
    partEvents: [s.partEvent, sql`${among(s.partEvent.slotId, 'slots')} or ${among(s.partEvent.partId, 'lived')}`],
    sets: [s.readingSet, sql`${ofVehicle(s.readingSet)} or ${among(s.readingSet.partId, 'lived')}`],
    findings: [s.finding, ofVehicle(s.finding)],
    putIns: [s.putIn, ofVehicle(s.putIn)],
    takenOuts: [s.takenOut, ofVehicle(s.takenOut)],
    setMoves: [s.setMove, sql`${ofVehicle(s.setMove)} or ${among(s.setMove.partId, 'lived')}`],
    takeBacks: [s.takeBack, ofVehicle(s.takeBack)],
    observations: [s.observation, ofJob(s.observation)],
    decisions: [s.decision, ofJob(s.decision)],
    operations: [s.operation, ofJob(s.operation)],
    operationEvents: [s.operationEvent, ofJob(s.operationEvent)],
    torques: [s.torque, ofJob(s.torque)],
    bleedPulls: [s.bleedPull, ofVehicle(s.bleedPull)],
    fluidServices: [s.fluidService, ofVehicle(s.fluidService)],
    proofs: [s.proof, ofJob(s.proof)],
    acceptances: [s.acceptance, ofJob(s.acceptance)],
    cautionAcks: [s.cautionAck, ofJob(s.cautionAck)],
    counters: [s.counter, sql`${s.counter.vehicleId} = ${given('vehicle')}`],
    jointEvents: [s.jointEvent, ofVehicle(s.jointEvent)],
    partCorrections: [
      s.partCorrection,
      sql`${ofVehicle(s.partCorrection)} or ${among(s.partCorrection.partId, 'lived')} or ${among(s.partCorrection.otherId, 'lived')}`,
    ],
    voids: [s.jobVoid, ofVehicle(s.jobVoid)],
    afterCares: [s.afterCare, ofJob(s.afterCare)],
    amendments: [s.amendment, ofJob(s.amendment)],
    redactions: [s.redaction, ofJob(s.redaction)],
    pictures: [s.picture, ofVehicle(s.picture)],
    intakeLooks: [s.intakeLook, ofJob(s.intakeLook)],
    cameWith: [s.cameWith, ofJob(s.cameWith)],
    leftItems: [s.leftItem, ofJob(s.leftItem)],
    causeLooks: [s.causeLook, ofJob(s.causeLook)],
    priors: [s.priorVersion, sql`true`],
    earlierWork: [s.earlierWork, ofVehicle(s.earlierWork)],
  },
} as const satisfies Prepared<Record<string, readonly [PgTable, SQL]>>;

/** What leans on those: as lists of their own, so that an old book is found by its indexes. */
const LEANING = {
  name: 'job_leaning',
  asked: { readings: [s.reading, among(s.reading.setId, 'sets')], parts: [s.part, among(s.part.id, 'parts')] },
} as const satisfies Prepared<Record<string, readonly [PgTable, SQL]>>;

/**
 * Reads everything a job stands on: its own events, and the life of the vehicle's parts and places.
 * A job may also be read inside a transaction. Nothing is derived here; the core does that, from the same file, wherever it runs.
 */
export async function readJobFile(db: Database, jobId: string): Promise<JobFile> {
  const [head] = await db
    .select({ job: s.job, vehicle: s.vehicle, imported: s.importBatch })
    .from(s.job)
    .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
    .leftJoin(s.importBatch, eq(s.importBatch.id, s.job.importId))
    .where(eq(s.job.id, jobId));
  if (!head) throw notFound('job');
  const { revisions, release, jobs } = await together(db, {
    revisions: () => readLayouts(db, head.vehicle.id),
    release: () => db.select().from(s.release).where(eq(s.release.jobId, jobId)),
    jobs: () =>
      db
        .select({ id: s.job.id, kind: s.job.kind, complaint: s.job.complaint, openedAt: s.job.openedAt, releasedAt: s.release.releasedAt })
        .from(s.job)
        .leftJoin(s.release, eq(s.release.jobId, s.job.id))
        .where(eq(s.job.vehicleId, head.vehicle.id))
        .orderBy(desc(s.job.openedAt)),
  });
  const { layout } = layoutAt(revisions, release[0]?.releasedAt ?? null);
  const allJobs = jobs.map((j) => j.id);
  // Also of places that a later layout does not have: their parts were in this vehicle.
  const slotIds = [...new Set(revisions.flatMap((r) => r.layout.slots.map((x) => x.id)))];
  // As a list of its own: so that an old book is found by its indexes.
  const lived = (await db.selectDistinct({ id: s.partEvent.partId }).from(s.partEvent).where(inArray(s.partEvent.slotId, slotIds))).map(
    (r) => r.id,
  );
  const { families, ...rest } = await together(db, {
    families: () => rowsOfEach(db, FAMILIES, { job: jobId, jobs: allJobs, slots: slotIds, lived, vehicle: head.vehicle.id }),
    limits: () => readLimitVersions(db, head.vehicle.id),
    people: () => readPeople(db),
    gauges: () => readGauges(db),
    callBacks: () => readCallBacks(db),
    gaugeChecks: () => readNewestChecks(db),
  });
  const { parts, readings } = await rowsOfEach(db, LEANING, {
    sets: families.sets.map((x) => x.id),
    parts: [...new Set(families.partEvents.map((e) => e.partId))],
  });
  const [kept] = release;
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
    release: kept ? withoutBasis(kept) : null,
  };
}

/** The record of a hand-back as it is shown; its sheet may be of an earlier form. */
function withoutBasis({ basis: _basis, ...record }: typeof s.release.$inferSelect): JobFile['release'] {
  return { ...record, sheet: readSheet(record.sheet) };
}

/** All versions of the gauges: readings keep the version they were taken with. */
export async function readGauges(db: Database): Promise<JobFile['gauges'][number][]> {
  return db.select().from(s.gauge).orderBy(asc(s.gauge.id));
}

/** A job that no standing void closes. */
const NOT_VOID = sql`not exists (select 1 from ${s.jobVoid} v where v.job_id = ${s.job.id}
  and not exists (select 1 from ${s.takeBack} t where t.corrects = v.id))`;

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
