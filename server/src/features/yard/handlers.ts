import { deriveJob, fluidState, type JobState, nextAct, runningOperations, whereabouts } from '@dauer/core';
import { desc, eq, sql } from 'drizzle-orm';
import type { YardJob } from '@dauer/contract';
import type { Database } from '../../db/connect.ts';
import { fluidService, job, release, vehicle } from '../../db/schema.ts';
import type { DeepReadonly, Handlers } from '../../platform/routes.ts';
import { openJobIds, readJobFile } from '../../records/jobFile.ts';

/** What a job waits for now: parts that are away, and what the stage it stands in cannot begin without. */
function waitsOf(state: JobState): string[] {
  const events = state.book.stand(state.file.partEvents);
  const away = state.file.parts.flatMap((p) => {
    const where = whereabouts(p.id, events);
    return where.at === 'away' ? [{ name: p.name.toLowerCase(), note: where.note }] : [];
  });
  const byNote = new Map<string, string[]>();
  for (const a of away) byNote.set(a.note, [...(byNote.get(a.note) ?? []), a.name]);
  const parts = [...byNote].map(([note, names]) => {
    const what =
      names.length === 1 ? (names[0] ?? '') : `${names.length} ${new Set(names).size === 1 ? `${names[0] ?? 'part'}s` : 'parts'}`;
    return note ? `${what}, ${note}` : `${what}, sent out`;
  });
  const waiting = state.obligations
    .filter((o) => o.state === 'waiting' && o.stage === state.stage && o.why !== null)
    .map((o) => o.why ?? '');
  return [...parts, ...new Set(waiting)].slice(0, 3);
}

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
    waits: waitsOf(state),
    running: runningOperations(state.book, today).length,
  };
}

async function fluidDues(db: Database, today: string) {
  const newest = await db
    .selectDistinctOn([job.vehicleId], { vehicle, service: fluidService, jobId: job.id })
    .from(fluidService)
    .innerJoin(job, eq(job.id, fluidService.jobId))
    .innerJoin(vehicle, eq(vehicle.id, job.vehicleId))
    .orderBy(job.vehicleId, desc(fluidService.happenedAt));
  return newest
    .map((n) => ({
      vehicleId: n.vehicle.id,
      tag: n.vehicle.tag,
      name: n.vehicle.name,
      jobId: n.jobId,
      ...fluidState(n.service, n.vehicle, today),
    }))
    .sort((a, b) => (a.due < b.due ? -1 : 1))
    .slice(0, 6);
}

export const yardHandlers: Pick<Handlers, 'yard' | 'job'> = {
  yard: async ({ db }) => {
    const today = new Date().toISOString();
    const ids = await openJobIds(db);
    const [files, fluid, handedBack] = await Promise.all([
      Promise.all(ids.map((id) => readJobFile(db, id))),
      fluidDues(db, today),
      db
        .select({ jobId: job.id, vehicleId: vehicle.id, tag: vehicle.tag, name: vehicle.name, releasedAt: release.releasedAt })
        .from(release)
        .innerJoin(job, eq(job.id, release.jobId))
        .innerJoin(vehicle, eq(vehicle.id, job.vehicleId))
        .orderBy(sql`${release.releasedAt} desc`)
        .limit(6),
    ]);
    return { jobs: files.map((f) => yardJob(deriveJob(f, today), today)), fluid, handedBack };
  },
  job: async ({ db, params }) => readJobFile(db, params.jobId),
};
