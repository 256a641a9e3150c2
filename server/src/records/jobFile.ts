import type { JobFile } from '@dauer/core';
import { and, asc, desc, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import * as s from '../db/schema.ts';
import { notFound } from '../platform/problem.ts';
import { layoutAt, readLayouts } from './layout.ts';
import { readLimitVersions } from './limits.ts';
import { readCallBacks, readNewestChecks } from './rack.ts';
import { readPeople } from './people.ts';

type EventTable = PgTable & { readonly jobId: PgColumn };

/**
 * Reads everything a job stands on: its own events, and the life of the vehicle's parts and places.
 * One query after the other, so that a job may also be read inside a transaction. Nothing is derived here; the core does that, from the same file, wherever it runs.
 */
export async function readJobFile(db: Database, jobId: string): Promise<JobFile> {
  const [head] = await db
    .select({ job: s.job, vehicle: s.vehicle })
    .from(s.job)
    .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
    .where(eq(s.job.id, jobId));
  if (!head) throw notFound('job');
  const revisions = await readLayouts(db, head.vehicle.id);
  const release = await db.select().from(s.release).where(eq(s.release.jobId, jobId));
  const { layout } = layoutAt(revisions, release[0]?.releasedAt ?? null);
  const jobs = await db
    .select({ id: s.job.id, kind: s.job.kind, complaint: s.job.complaint, openedAt: s.job.openedAt, releasedAt: s.release.releasedAt })
    .from(s.job)
    .leftJoin(s.release, eq(s.release.jobId, s.job.id))
    .where(eq(s.job.vehicleId, head.vehicle.id))
    .orderBy(desc(s.job.openedAt));
  const allJobs = jobs.map((j) => j.id);
  // Also of places that a later layout does not have: their parts were in this vehicle.
  const slotIds = [...new Set(revisions.flatMap((r) => r.layout.slots.map((x) => x.id)))];
  const ofJob = (t: EventTable): SQL => eq(t.jobId, jobId);
  const ofVehicle = (t: EventTable): SQL => inArray(t.jobId, allJobs);
  // As a list of its own: so that an old book is found by its indexes.
  const lived = (await db.selectDistinct({ id: s.partEvent.partId }).from(s.partEvent).where(inArray(s.partEvent.slotId, slotIds))).map(
    (r) => r.id,
  );
  const partEvents = await db
    .select()
    .from(s.partEvent)
    .where(or(inArray(s.partEvent.slotId, slotIds), inArray(s.partEvent.partId, lived)));
  const putIns = await db.select().from(s.putIn).where(ofVehicle(s.putIn));
  const takenOuts = await db.select().from(s.takenOut).where(ofVehicle(s.takenOut));
  const sets = await db
    .select()
    .from(s.readingSet)
    .where(or(ofVehicle(s.readingSet), inArray(s.readingSet.partId, lived)));
  const moves = await db
    .select()
    .from(s.setMove)
    .where(or(ofVehicle(s.setMove), inArray(s.setMove.partId, lived)));
  const takeBacks = await db.select().from(s.takeBack).where(ofVehicle(s.takeBack));
  const findings = await db.select().from(s.finding).where(ofVehicle(s.finding));
  const observations = await db.select().from(s.observation).where(ofJob(s.observation));
  const decisions = await db.select().from(s.decision).where(ofJob(s.decision));
  const operations = await db.select().from(s.operation).where(ofJob(s.operation));
  const operationEvents = await db.select().from(s.operationEvent).where(ofJob(s.operationEvent));
  const torques = await db.select().from(s.torque).where(ofJob(s.torque));
  const bleedPulls = await db.select().from(s.bleedPull).where(ofVehicle(s.bleedPull));
  const fluidServices = await db.select().from(s.fluidService).where(ofVehicle(s.fluidService));
  const proofs = await db.select().from(s.proof).where(ofJob(s.proof));
  const acceptances = await db.select().from(s.acceptance).where(ofJob(s.acceptance));
  const cautionAcks = await db.select().from(s.cautionAck).where(ofJob(s.cautionAck));
  const counters = await db.select().from(s.counter).where(eq(s.counter.vehicleId, head.vehicle.id));
  const jointEvents = await db.select().from(s.jointEvent).where(ofVehicle(s.jointEvent));
  const partCorrections = await db
    .select()
    .from(s.partCorrection)
    .where(or(ofVehicle(s.partCorrection), inArray(s.partCorrection.partId, lived), inArray(s.partCorrection.otherId, lived)));
  const voids = await db.select().from(s.jobVoid).where(ofVehicle(s.jobVoid));
  const afterCares = await db.select().from(s.afterCare).where(ofJob(s.afterCare));
  const amendments = await db.select().from(s.amendment).where(ofJob(s.amendment));
  const redactions = await db.select().from(s.redaction).where(ofJob(s.redaction));
  const pictures = await db.select().from(s.picture).where(ofVehicle(s.picture));
  const intakeLooks = await db.select().from(s.intakeLook).where(ofJob(s.intakeLook));
  const cameWith = await db.select().from(s.cameWith).where(ofJob(s.cameWith));
  const earlierWork = await db.select().from(s.earlierWork).where(ofVehicle(s.earlierWork));
  const limits = await readLimitVersions(db, head.vehicle.id);
  const people = await readPeople(db);
  const partIds = [...new Set(partEvents.map((e) => e.partId))];
  const setIds = sets.map((x) => x.id);
  const parts = partIds.length > 0 ? await db.select().from(s.part).where(inArray(s.part.id, partIds)) : [];
  const readings = setIds.length > 0 ? await db.select().from(s.reading).where(inArray(s.reading.setId, setIds)) : [];
  const gauges = await readGauges(db);
  const callBacks = await readCallBacks(db);
  const gaugeChecks = await readNewestChecks(db);
  const [kept] = release;
  return {
    job: head.job,
    vehicle: head.vehicle,
    layout,
    layoutRevisions: revisions.map(({ layout: _layout, ...r }) => r),
    parts,
    partEvents,
    putIns,
    takenOuts,
    sets,
    setMoves: moves,
    readings,
    takeBacks,
    findings,
    observations,
    decisions,
    operations,
    operationEvents,
    torques,
    bleedPulls,
    fluidServices,
    proofs,
    acceptances,
    cautionAcks,
    counters,
    jointEvents,
    partCorrections,
    voids,
    afterCares,
    amendments,
    redactions,
    pictures,
    intakeLooks,
    cameWith,
    earlierWork,
    limits,
    gauges,
    callBacks,
    gaugeChecks,
    people,
    pastJobs: jobs.filter((j) => j.id !== jobId),
    release: kept ? withoutBasis(kept) : null,
  };
}

function withoutBasis({ basis: _basis, ...record }: typeof s.release.$inferSelect): JobFile['release'] {
  return record;
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

/** The open job of a vehicle, if it has one. */
export async function openJobOf(db: Database, vehicleId: string): Promise<string | null> {
  const rows = await db
    .select({ id: s.job.id })
    .from(s.job)
    .leftJoin(s.release, eq(s.release.jobId, s.job.id))
    .where(and(eq(s.job.vehicleId, vehicleId), isNull(s.release.id), NOT_VOID));
  return rows[0]?.id ?? null;
}
