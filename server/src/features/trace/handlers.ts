import type { ENDPOINTS } from '@dauer/contract';
import { answerable, isFeltAtControl, isSeenInReservoir, observedCode, slotOfObservation, TABLES } from '@dauer/core/catalogue';
import { deriveJob, tryJob } from '@dauer/core/job';
import { controlsOf, reservoirsOf } from '@dauer/core/layout';
import { NOTHING_ELSE } from '@dauer/core/ledger';
import { networkOf } from '@dauer/core/stages';
import { calibrationCase, contextOf } from '@dauer/core/views';
import { asc, desc, eq, inArray, max } from 'drizzle-orm';
import { causeLooks, priorVersion } from '../../db/schema.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';
import type { Handlers } from '../../platform/routes.ts';

/** Most jobs gone through, the newest: they are read whole. */
const MAX_CASES = 100;

export const traceHandlers = {
  recordObservation: eventHandler('observations', async (body, { db, params }) => {
    const facts = answerable(body.code);
    if (!facts) throw new HttpProblem('unknown_observation', 'This observation is not on the list.');
    if (facts.perCorner !== (body.corner !== null))
      throw new HttpProblem(
        'corner_or_whole',
        facts.perCorner ? 'Say at which wheel.' : 'This is seen on the whole vehicle, not at one wheel.',
      );
    const at = slotOfObservation(body.code);
    if (at === null) return;
    const { layout } = await readJobFile(db, params.jobId);
    const felt = isFeltAtControl(body.code) && controlsOf(layout).some((c) => c.kind === 'pedal' && c.slotId === at);
    const seen = isSeenInReservoir(observedCode(body.code)) && reservoirsOf(layout).some((r) => r.slotId === at && !r.plain);
    if (!felt && !seen) throw new HttpProblem('unknown_observation', 'This vehicle has no such pedal, lever or reservoir.');
  }),
  recordCauseLook: eventHandler('causeLooks', async (body, { db, params }) => {
    if (body.fault === NOTHING_ELSE) {
      if (body.place !== 'system') throw new HttpProblem('unknown_cause', 'That nothing else was found is said of the whole vehicle.');
      return;
    }
    const state = deriveJob(await readJobFile(db, params.jobId), body.happenedAt);
    const network = networkOf(state.records.layout, contextOf(state), TABLES);
    if (!network.faults.some((f) => f.id === `${body.fault}@${body.place}`))
      throw new HttpProblem('unknown_cause', 'This vehicle has no place with such a fault.');
  }),
  tracingRecord: async ({ db }: Call<typeof ENDPOINTS.tracingRecord>) => {
    const closed = await db
      .select({ jobId: causeLooks.jobId })
      .from(causeLooks)
      .where(eq(causeLooks.fault, NOTHING_ELSE))
      .groupBy(causeLooks.jobId)
      .orderBy(desc(max(causeLooks.happenedAt)))
      .limit(MAX_CASES);
    const cases = [];
    for (const { jobId } of closed) {
      const tried = tryJob(await readJobFile(db, jobId), new Date().toISOString());
      const found = tried.ok ? calibrationCase(tried.state) : null;
      if (found) cases.push(found);
    }
    return { cases, priors: await db.select().from(priorVersion).orderBy(asc(priorVersion.enteredAt), asc(priorVersion.id)) };
  },
  takeOverPriors: async ({ db, body, person }: Call<typeof ENDPOINTS.takeOverPriors>) => {
    for (const p of body.priors)
      if (!TABLES.faults.some((f) => f.id === p.fault))
        throw new HttpProblem('unknown_cause', `There is no fault ${p.fault} in the tables.`);
    await db
      .insert(priorVersion)
      .values(body.priors.map((p) => ({ ...p, enteredBy: person.id })))
      .onConflictDoNothing();
    const stored = await db
      .select()
      .from(priorVersion)
      .where(
        inArray(
          priorVersion.id,
          body.priors.map((p) => p.id),
        ),
      );
    return body.priors.map((p) =>
      keptAs(
        stored.find((k) => k.id === p.id),
        p,
        'odds',
      ),
    );
  },
} satisfies Partial<Handlers>;
