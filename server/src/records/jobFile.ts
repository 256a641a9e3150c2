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
import { together } from './together.ts';

type EventTable = PgTable & { readonly jobId: PgColumn };

/**
 * Reads everything a job stands on: its own events, and the life of the vehicle's parts and places.
 * A job may also be read inside a transaction. Nothing is derived here; the core does that, from the same file, wherever it runs.
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
  // The heaviest first, so that the lanes end together.
  const rest = await together(db, {
    sets: () =>
      db
        .select()
        .from(s.readingSet)
        .where(or(ofVehicle(s.readingSet), inArray(s.readingSet.partId, lived))),
    findings: () => db.select().from(s.finding).where(ofVehicle(s.finding)),
    limits: () => readLimitVersions(db, head.vehicle.id),
    putIns: () => db.select().from(s.putIn).where(ofVehicle(s.putIn)),
    takenOuts: () => db.select().from(s.takenOut).where(ofVehicle(s.takenOut)),
    moves: () =>
      db
        .select()
        .from(s.setMove)
        .where(or(ofVehicle(s.setMove), inArray(s.setMove.partId, lived))),
    takeBacks: () => db.select().from(s.takeBack).where(ofVehicle(s.takeBack)),
    observations: () => db.select().from(s.observation).where(ofJob(s.observation)),
    decisions: () => db.select().from(s.decision).where(ofJob(s.decision)),
    operations: () => db.select().from(s.operation).where(ofJob(s.operation)),
    operationEvents: () => db.select().from(s.operationEvent).where(ofJob(s.operationEvent)),
    torques: () => db.select().from(s.torque).where(ofJob(s.torque)),
    bleedPulls: () => db.select().from(s.bleedPull).where(ofVehicle(s.bleedPull)),
    fluidServices: () => db.select().from(s.fluidService).where(ofVehicle(s.fluidService)),
    proofs: () => db.select().from(s.proof).where(ofJob(s.proof)),
    acceptances: () => db.select().from(s.acceptance).where(ofJob(s.acceptance)),
    cautionAcks: () => db.select().from(s.cautionAck).where(ofJob(s.cautionAck)),
    counters: () => db.select().from(s.counter).where(eq(s.counter.vehicleId, head.vehicle.id)),
    jointEvents: () => db.select().from(s.jointEvent).where(ofVehicle(s.jointEvent)),
    partCorrections: () =>
      db
        .select()
        .from(s.partCorrection)
        .where(or(ofVehicle(s.partCorrection), inArray(s.partCorrection.partId, lived), inArray(s.partCorrection.otherId, lived))),
    voids: () => db.select().from(s.jobVoid).where(ofVehicle(s.jobVoid)),
    afterCares: () => db.select().from(s.afterCare).where(ofJob(s.afterCare)),
    amendments: () => db.select().from(s.amendment).where(ofJob(s.amendment)),
    redactions: () => db.select().from(s.redaction).where(ofJob(s.redaction)),
    pictures: () => db.select().from(s.picture).where(ofVehicle(s.picture)),
    intakeLooks: () => db.select().from(s.intakeLook).where(ofJob(s.intakeLook)),
    cameWith: () => db.select().from(s.cameWith).where(ofJob(s.cameWith)),
    earlierWork: () => db.select().from(s.earlierWork).where(ofVehicle(s.earlierWork)),
    people: () => readPeople(db),
    gauges: () => readGauges(db),
    callBacks: () => readCallBacks(db),
    gaugeChecks: () => readNewestChecks(db),
  });
  const partIds = [...new Set(partEvents.map((e) => e.partId))];
  const setIds = rest.sets.map((x) => x.id);
  const { parts, readings } = await together(db, {
    readings: async () => (setIds.length > 0 ? db.select().from(s.reading).where(inArray(s.reading.setId, setIds)) : []),
    parts: async () => (partIds.length > 0 ? db.select().from(s.part).where(inArray(s.part.id, partIds)) : []),
  });
  const [kept] = release;
  const { moves: setMoves, ...families } = rest;
  return {
    ...families,
    setMoves,
    job: head.job,
    vehicle: head.vehicle,
    layout,
    layoutRevisions: revisions.map(({ layout: _layout, ...r }) => r),
    parts,
    partEvents,
    readings,
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
