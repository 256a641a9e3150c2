import {
  deriveJob,
  doableNow,
  fluidState,
  forNowOf,
  type HandbackSheet,
  type JobState,
  mayMove,
  nextAct,
  runningOperations,
  standing,
  takenBackIds,
  waitsOf,
} from '@dauer/core';
import { eq, inArray, sql } from 'drizzle-orm';
import type { YardJob } from '@dauer/contract';
import type { Database } from '../../db/connect.ts';
import { afterCare, amendment, bleedPull, fluidService, job, lateEvent, release, takeBack, vehicle } from '../../db/schema.ts';
import type { DeepReadonly, Handlers } from '../../platform/routes.ts';
import { openJobIds, readJobFile, readLayout } from '../../records/jobFile.ts';

/** Most reasons for waiting listed of a job. */
const MOST_WAITS = 3;

function yardJob(state: JobState, today: string): DeepReadonly<YardJob> {
  const { file } = state;
  const next = nextAct(state);
  return {
    jobId: file.job.id,
    vehicle: file.vehicle,
    layout: file.layout,
    kind: file.job.kind,
    promised: file.job.promised,
    stage: state.stage,
    share: state.share,
    stages: state.stages.map(({ stage, note, hatched, open, waiting, all }) => ({ stage, note, hatched, open, waiting, all })),
    counts: state.counts,
    marks: state.components.flatMap((c) =>
      c.inScope && c.verdict && c.verdict !== 'holds' && c.verdict !== 'not_gauged' ? [{ slotId: c.slot.id, verdict: c.verdict }] : [],
    ),
    blocks: state.blocks.length,
    next: next ? { stage: next.stage, what: next.what, slotId: next.slotId } : null,
    waits: waitsOf(state).slice(0, MOST_WAITS),
    doable: doableNow(state).length,
    forNow: forNowOf(state),
    move: { level: mayMove(state).level, reasons: mayMove(state).reasons.slice(0, MOST_WAITS) },
    running: runningOperations(state.book, today).map(({ operation, minutes }) => ({
      title: operation.title,
      minutes,
      attendedMinutes: operation.attendedMinutes,
    })),
  };
}

/** Most vehicles listed by their fluid. */
const MOST_DUE = 6;

async function fluidDues(db: Database, today: string) {
  const served = await db
    .select({ vehicle, service: fluidService })
    .from(fluidService)
    .innerJoin(job, eq(job.id, fluidService.jobId))
    .innerJoin(vehicle, eq(vehicle.id, job.vehicleId));
  const jobs = [...new Set(served.map((r) => r.service.jobId))];
  if (jobs.length === 0) return [];
  const pulls = await db.select().from(bleedPull).where(inArray(bleedPull.jobId, jobs));
  const gone = takenBackIds(await db.select().from(takeBack).where(inArray(takeBack.jobId, jobs)));
  const vehicles = new Map(served.map((r) => [r.vehicle.id, r.vehicle]));
  const states = await Promise.all(
    [...vehicles.values()].map(async (v) => {
      const services = standing(
        served.filter((r) => r.vehicle.id === v.id).map((r) => r.service),
        gone,
      );
      const mine = standing(
        pulls.filter((p) => services.some((x) => x.jobId === p.jobId)),
        gone,
      );
      const state = fluidState(await readLayout(db, v.id), { services, pulls: mine }, v, today);
      return state ? [{ vehicleId: v.id, tag: v.tag, name: v.name, jobId: services.at(-1)?.jobId ?? null, ...state }] : [];
    }),
  );
  return states
    .flat()
    .sort((a, b) => (a.due < b.due ? -1 : 1))
    .slice(0, MOST_DUE);
}

/** What is still owed after hand-back, of the vehicles handed back last. */
async function withAfterCare<T extends { jobId: string; due: HandbackSheet['afterCare'] | null }>(db: Database, rows: readonly T[]) {
  const ids = rows.map((r) => r.jobId);
  const answers = ids.length > 0 ? await db.select().from(afterCare).where(inArray(afterCare.jobId, ids)) : [];
  const gone = takenBackIds(ids.length > 0 ? await db.select().from(takeBack).where(inArray(takeBack.jobId, ids)) : []);
  const closed = (jobId: string, item: string): boolean =>
    standing(answers, gone)
      .findLast((a) => a.jobId === jobId && a.item === item)
      ?.result.match(/^(done|taken_over)$/) != null;
  return rows.map(({ due, ...r }) => ({
    ...r,
    afterCare: (due ?? []).filter((i) => !closed(r.jobId, i.item)).map(({ what, on }) => ({ what, on })),
  }));
}

/** Jobs with something that came in after their hand-back and that no amendment has named. */
async function lateOnes(db: Database) {
  const rows = await db
    .select({ jobId: lateEvent.jobId, tag: vehicle.tag, name: vehicle.name, count: sql<number>`count(*)::integer` })
    .from(lateEvent)
    .innerJoin(job, eq(job.id, lateEvent.jobId))
    .innerJoin(vehicle, eq(vehicle.id, job.vehicleId))
    .where(sql`not exists (select 1 from ${amendment} a where a.corrects = ${lateEvent.id})`)
    .groupBy(lateEvent.jobId, vehicle.tag, vehicle.name);
  return rows;
}

export const yardHandlers: Pick<Handlers, 'yard' | 'job'> = {
  yard: async ({ db }) => {
    const today = new Date().toISOString();
    const ids = await openJobIds(db);
    const [files, fluid, handedBack] = await Promise.all([
      Promise.all(ids.map((id) => readJobFile(db, id))),
      fluidDues(db, today),
      db
        .select({
          jobId: job.id,
          vehicleId: vehicle.id,
          tag: vehicle.tag,
          name: vehicle.name,
          releasedAt: release.releasedAt,
          due: sql<HandbackSheet['afterCare'] | null>`${release.sheet} -> 'afterCare'`,
        })
        .from(release)
        .innerJoin(job, eq(job.id, release.jobId))
        .innerJoin(vehicle, eq(vehicle.id, job.vehicleId))
        .orderBy(sql`${release.releasedAt} desc`)
        .limit(6),
    ]);
    return {
      late: await lateOnes(db),
      jobs: files.map((f) => yardJob(deriveJob(f, today), today)),
      fluid,
      handedBack: await withAfterCare(db, handedBack),
    };
  },
  job: async ({ db, params }) => readJobFile(db, params.jobId),
};
