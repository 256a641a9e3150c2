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
import { rowsOf, rowsOfEach } from './rows.ts';
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
  const ofJob = (t: EventTable): SQL => eq(t.jobId, jobId);
  const ofVehicle = (t: EventTable): SQL => inArray(t.jobId, allJobs);
  // As a list of its own: so that an old book is found by its indexes.
  const lived = (await db.selectDistinct({ id: s.partEvent.partId }).from(s.partEvent).where(inArray(s.partEvent.slotId, slotIds))).map(
    (r) => r.id,
  );
  // The heaviest first, so that the lanes end together; the small ones by one statement.
  const { small, ...heavy } = await together(db, {
    partEvents: () => rowsOf(db, s.partEvent, or(inArray(s.partEvent.slotId, slotIds), inArray(s.partEvent.partId, lived))),
    sets: () => rowsOf(db, s.readingSet, or(ofVehicle(s.readingSet), inArray(s.readingSet.partId, lived))),
    small: () =>
      rowsOfEach(db, {
        findings: [s.finding, ofVehicle(s.finding)],
        putIns: [s.putIn, ofVehicle(s.putIn)],
        takenOuts: [s.takenOut, ofVehicle(s.takenOut)],
        setMoves: [s.setMove, or(ofVehicle(s.setMove), inArray(s.setMove.partId, lived))],
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
        counters: [s.counter, eq(s.counter.vehicleId, head.vehicle.id)],
        jointEvents: [s.jointEvent, ofVehicle(s.jointEvent)],
        partCorrections: [
          s.partCorrection,
          or(ofVehicle(s.partCorrection), inArray(s.partCorrection.partId, lived), inArray(s.partCorrection.otherId, lived)),
        ],
        voids: [s.jobVoid, ofVehicle(s.jobVoid)],
        afterCares: [s.afterCare, ofJob(s.afterCare)],
        amendments: [s.amendment, ofJob(s.amendment)],
        redactions: [s.redaction, ofJob(s.redaction)],
        pictures: [s.picture, ofVehicle(s.picture)],
        intakeLooks: [s.intakeLook, ofJob(s.intakeLook)],
        cameWith: [s.cameWith, ofJob(s.cameWith)],
        leftItems: [s.leftItem, ofJob(s.leftItem)],
        earlierWork: [s.earlierWork, ofVehicle(s.earlierWork)],
      }),
    limits: () => readLimitVersions(db, head.vehicle.id),
    people: () => readPeople(db),
    gauges: () => readGauges(db),
    callBacks: () => readCallBacks(db),
    gaugeChecks: () => readNewestChecks(db),
  });
  const rest = { ...heavy, ...small };
  const partIds = [...new Set(rest.partEvents.map((e) => e.partId))];
  const setIds = rest.sets.map((x) => x.id);
  const { parts, readings } = await together(db, {
    readings: async () => (setIds.length > 0 ? rowsOf(db, s.reading, inArray(s.reading.setId, setIds)) : []),
    parts: async () => (partIds.length > 0 ? rowsOf(db, s.part, inArray(s.part.id, partIds)) : []),
  });
  const [kept] = release;
  return {
    ...rest,
    job: head.job,
    vehicle: head.vehicle,
    layout,
    layoutRevisions: revisions.map(({ layout: _layout, ...r }) => r),
    parts,
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
