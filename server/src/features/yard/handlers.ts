import { stageNote, notApplicableWords, fluidCauseWords, putOffPlace } from '@dauer/core/wording';
import { withRuns } from '@dauer/core/layout';
import { daysAfter } from '@dauer/core/quantity';
import { fluidState, runningOperations } from '@dauer/core/history';
import { doableNow, type JobState, nextAct, tryJob } from '@dauer/core/job';
import { type HandbackSheet, retractedIds, activeEvents } from '@dauer/core/ledger';
import { forNowOf, mayMove, waitsOf } from '@dauer/core/views';
import { eq, inArray, sql } from 'drizzle-orm';
import type { YardJob } from '@dauer/contract';
import type { Database } from '../../db/connect.ts';
import {
  afterCares,
  amendments,
  bleedPulls,
  counters,
  decisions,
  earlierWork,
  fluidSamples,
  fluidServices,
  job,
  lateEvent,
  partEvents,
  release,
  takeBacks,
  vehicle,
  voids,
} from '../../db/schema.ts';
import type { DeepReadonly, Handlers } from '../../platform/routes.ts';
import { readChanges, readCursor } from '../../records/changes.ts';
import { openJobIds, readJobFile } from '../../records/jobFile.ts';
import { readNewestLayouts } from '../../records/layout.ts';
import { shopDay } from '../../records/ahead.ts';
import { writeAsTheShop } from '../../records/locale.ts';
import { withoutPrices } from '../../records/prices.ts';
import { dueTraffic } from '../../records/traffic.ts';

/** Most reasons for waiting listed of a job. */
const MAX_WAITS = 3;

function yardJob(state: JobState, today: string): DeepReadonly<YardJob> {
  const { records } = state;
  const next = nextAct(state);
  return {
    jobId: records.job.id,
    vehicle: records.vehicle,
    layout: records.layout,
    kind: records.job.kind,
    promised: records.job.promised,
    stage: state.stage,
    share: state.share,
    stages: state.stages.map((s) => ({
      ...{ stage: s.stage, open: s.open, waiting: s.waiting, all: s.all, note: stageNote(s) },
      hatched: s.notApplicable && notApplicableWords(s.notApplicable),
    })),
    counts: state.counts,
    marks: state.components.flatMap((c) =>
      c.inScope && c.verdict && c.verdict !== 'holds' && c.verdict !== 'not_gauged' ? [{ slotId: c.slot.id, verdict: c.verdict }] : [],
    ),
    blocks: state.blocks.length,
    next: next ? { stage: next.stage, what: next.what, slotId: next.slotId } : null,
    waits: waitsOf(state).slice(0, MAX_WAITS),
    doable: doableNow(state).length,
    forNow: forNowOf(state),
    move: {
      level: mayMove(state).level,
      reasons: mayMove(state)
        .reasons.slice(0, MAX_WAITS)
        .map((r) => r.words),
    },
    running: runningOperations(state.history, today).map(({ operation, minutes }) => ({
      title: operation.title,
      minutes,
      attendedMinutes: operation.attendedMinutes,
    })),
  };
}

/** Most vehicles listed by their fluid, and of how many the due day is worked out: those whose fluid is the oldest. */
const MAX_DUE = 6;
const OLDEST = 48;

/** Vehicles by the age of their fluid, the oldest first: by the newest change on record, or of before these records. */
async function oldestFluids(db: Database): Promise<string[]> {
  const found = await db.execute<{ id: string }>(sql`
    select vehicle_id as id from (
      select j.vehicle_id, max(f.happened_at) as at from ${fluidServices} f join ${job} j on j.id = f.job_id
        where not exists (select 1 from ${takeBacks} t where t.corrects = f.id) group by j.vehicle_id
      union all
      select j.vehicle_id, max(to_timestamp(rpad(e.on_day, 10, '-01'), 'YYYY-MM-DD')) from ${earlierWork} e join ${job} j on j.id = e.job_id
        where e.what = 'fluid_changed' and not exists (select 1 from ${takeBacks} t where t.corrects = e.id)
        and not exists (select 1 from ${fluidServices} f join ${job} k on k.id = f.job_id where k.vehicle_id = j.vehicle_id) group by j.vehicle_id
    ) known order by at limit ${OLDEST}`);
  return found.rows.map((r) => r.id);
}

async function fluidDues(db: Database, today: string) {
  const ids = await oldestFluids(db);
  if (ids.length === 0) return [];
  const vehicles = await db.select().from(vehicle).where(inArray(vehicle.id, ids));
  const served = await db
    .select({ vehicleId: job.vehicleId, service: fluidServices })
    .from(fluidServices)
    .innerJoin(job, eq(job.id, fluidServices.jobId))
    .where(inArray(job.vehicleId, ids));
  const earlierOnes = await db
    .select({ vehicleId: job.vehicleId, earlier: earlierWork })
    .from(earlierWork)
    .innerJoin(job, eq(job.id, earlierWork.jobId))
    .where(inArray(job.vehicleId, ids));
  const sampled = await db
    .select({ vehicleId: job.vehicleId, sample: fluidSamples })
    .from(fluidSamples)
    .innerJoin(job, eq(job.id, fluidSamples.jobId))
    .where(inArray(job.vehicleId, ids))
    .orderBy(fluidSamples.happenedAt);
  const jobs = [
    ...new Set([...served.map((r) => r.service.jobId), ...earlierOnes.map((r) => r.earlier.jobId), ...sampled.map((r) => r.sample.jobId)]),
  ];
  const pulls = await db.select().from(bleedPulls).where(inArray(bleedPulls.jobId, jobs));
  const retracted = retractedIds(await db.select().from(takeBacks).where(inArray(takeBacks.jobId, jobs)));
  const layouts = await readNewestLayouts(db, ids);
  return vehicles
    .flatMap((v) => {
      const services = activeEvents(
        served.filter((r) => r.vehicleId === v.id).map((r) => r.service),
        retracted,
      );
      const mine = activeEvents(
        pulls.filter((p) => services.some((x) => x.jobId === p.jobId)),
        retracted,
      );
      const earlier = activeEvents(
        earlierOnes.filter((r) => r.vehicleId === v.id).map((r) => r.earlier),
        retracted,
      );
      const samples = activeEvents(
        sampled.filter((r) => r.vehicleId === v.id).map((r) => r.sample),
        retracted,
      );
      const drawn = layouts.get(v.id);
      const state = drawn ? fluidState(drawn, { services, pulls: mine, earlier, samples }, v, today) : null;
      const jobId = services.at(-1)?.jobId ?? earlier.at(-1)?.jobId ?? null;
      if (!state) return [];
      const { cause, ...due } = state;
      return [{ vehicleId: v.id, tag: v.tag, name: v.name, jobId, ...due, why: fluidCauseWords(cause) }];
    })
    .sort((a, b) => (a.due < b.due ? -1 : 1))
    .slice(0, MAX_DUE);
}

/** Days before it falls due from which something put off is told. */
const PUT_OFF_SOON_DAYS = 30;

/**
 * What was put off and falls due, of vehicles that are not in the shop: the newest decision of each place, where its day is near
 * or the counter has come to its distance, and nothing else was fitted there since.
 */
async function putOffDues(db: Database, today: string) {
  const found = await db.execute<{
    vehicle_id: string;
    tag: string;
    name: string;
    job_id: string;
    slot_id: string;
    on: string | null;
    km: number | null;
  }>(sql`
    select v.id as vehicle_id, v.tag, v.name, d.job_id, d.slot_id, d.review_on::text as "on", d.until_km as km
    from (
      select distinct on (j.vehicle_id, d.slot_id) j.vehicle_id, d.* from ${decisions} d join ${job} j on j.id = d.job_id
      where not exists (select 1 from ${takeBacks} t where t.corrects = d.id)
        and not exists (select 1 from ${voids} x where x.job_id = d.job_id and not exists (select 1 from ${takeBacks} t where t.corrects = x.id))
      order by j.vehicle_id, d.slot_id, d.happened_at desc
    ) d
    join ${vehicle} v on v.id = d.vehicle_id
    where d.option in ('put_off', 'for_now')
      and exists (select 1 from ${release} r where r.job_id = d.job_id)
      and not exists (select 1 from ${job} o where o.vehicle_id = v.id and not exists (select 1 from ${release} r where r.job_id = o.id))
      and not exists (select 1 from ${partEvents} e where e.slot_id = d.slot_id and e.kind = 'fitted' and e.happened_at > d.happened_at)
      and (d.review_on <= ${daysAfter(today, PUT_OFF_SOON_DAYS)}::date
        or d.until_km <= (select max(c.km) from ${counters} c where c.vehicle_id = v.id))
    order by d.review_on nulls last limit ${MAX_DUE}`);
  const layouts = await readNewestLayouts(db, [...new Set(found.rows.map((r) => r.vehicle_id))]);
  return found.rows.flatMap((r) => {
    const layout = layouts.get(r.vehicle_id);
    const slot = layout && withRuns(layout).slots.find((s) => s.id === r.slot_id);
    return slot ? [{ vehicleId: r.vehicle_id, tag: r.tag, name: r.name, jobId: r.job_id, what: putOffPlace(slot, r.km), on: r.on }] : [];
  });
}

/** What is still owed after hand-back, of the vehicles handed back last. */
async function withAfterCare<T extends { jobId: string; due: HandbackSheet['afterCare'] | null }>(db: Database, rows: readonly T[]) {
  const ids = rows.map((r) => r.jobId);
  const answers = ids.length > 0 ? await db.select().from(afterCares).where(inArray(afterCares.jobId, ids)) : [];
  const retracted = retractedIds(ids.length > 0 ? await db.select().from(takeBacks).where(inArray(takeBacks.jobId, ids)) : []);
  const closed = (jobId: string, item: string): boolean =>
    activeEvents(answers, retracted)
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
    .where(sql`not exists (select 1 from ${amendments} a where a.corrects = ${lateEvent.id})`)
    .groupBy(lateEvent.jobId, vehicle.tag, vehicle.name);
  return rows;
}

export const yardHandlers: Pick<Handlers, 'yard' | 'job' | 'jobChanges'> = {
  yard: async ({ db }) => {
    const today = new Date().toISOString();
    const ids = await openJobIds(db);
    await writeAsTheShop(db);
    const [files, fluid, putOffs, traffic, handedBack] = await Promise.all([
      Promise.all(ids.map((id) => readJobFile(db, id))),
      fluidDues(db, today),
      putOffDues(db, today),
      shopDay(db, today).then((day) => dueTraffic(db, day)),
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
    const tried = files.map((records) => ({ file: records, derived: tryJob(records, today) }));
    return {
      late: await lateOnes(db),
      jobs: tried.flatMap(({ derived }) => (derived.ok ? [yardJob(derived.state, today)] : [])),
      stuck: tried.flatMap(({ file: records, derived }) =>
        derived.ok ? [] : [{ jobId: records.job.id, tag: records.vehicle.tag, name: records.vehicle.name, why: derived.why }],
      ),
      fluid,
      putOffs,
      traffic: traffic.slice(0, MAX_DUE),
      handedBack: await withAfterCare(db, handedBack),
    };
  },
  job: async ({ db, params, person }) => {
    // Before anything is read: what is written meanwhile is told again.
    const cursor = await readCursor(db);
    const file = await readJobFile(db, params.jobId);
    return { ...(person.role === 'reader' ? withoutPrices(file) : file), cursor };
  },
  jobChanges: async ({ db, params, query, person }) => {
    const changes = await readChanges(db, params.jobId, query.since);
    return person.role === 'reader' ? { ...changes, file: withoutPrices(changes.file) } : changes;
  },
};
