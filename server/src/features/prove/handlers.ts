import { acceptanceKey, isReason } from '@dauer/core/ledger';
import { fileUntil } from '@dauer/core/history';
import { corrected } from '../../platform/clock.ts';
import { deriveJob, itemLock, RULE_VERSION } from '@dauer/core/job';
import { beddingOf, parkedNow } from '@dauer/core/readiness';
import { readTold } from '@dauer/core/quantity';
import { PARK_REFUSED, PROOF_REFUSAL } from '@dauer/core/wording';
import { afterCareRefusal, buildSheet, mayMove, proofRefusal, readSheet } from '@dauer/core/views';
import { eq, sql } from 'drizzle-orm';
import { account, job, release } from '../../db/schema.ts';
import { RELEASED_WORDS } from '../../platform/events.ts';
import { eventHandler, oneAtATime } from '../../platform/handlers.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { requireEvent } from '../../records/ownership.ts';
import { requirePassword } from '../../records/people.ts';
import { basisOf } from '../../records/release.ts';

export const proveHandlers: Pick<
  Handlers,
  'recordProof' | 'recordLeaving' | 'planBedding' | 'countBedding' | 'accept' | 'release' | 'answerAfterCare' | 'recordAfterPull' | 'amend'
> = {
  /** What presses a control is refused while anything that it reaches is open; a repeat of what is on record is answered. */
  recordProof: eventHandler('proofs', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.release || records.proofs.some((p) => p.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    const state = deriveJob(fileUntil(records, at), at);
    const item = state.context.proofItems.find((i) => i.item === body.item && i.corner === body.corner);
    if (!item?.answers.includes(body.result)) throw new HttpProblem('nothing_to_prove', 'This job asks for no such proof. Load it again.');
    const km = body.roadTyped === null ? null : readTold('road', body.roadTyped, body.roadUnit).canonical;
    const why = proofRefusal(state, item, body.result, body.note, { km, felt: body.felt });
    if (why !== null) throw new HttpProblem(itemLock(state, item) ? 'control_locked' : 'not_proved_yet', why);
  }),
  /** Only what blocks now, and only by the role that the verdict asks for. */
  accept: eventHandler('acceptances', async (body, call) => {
    const { db, params, person } = call;
    await requirePassword(call, body.password);
    const records = await readJobFile(db, params.jobId);
    if (!records.acceptances.some((a) => a.id === body.id)) {
      const state = deriveJob(records, new Date().toISOString());
      if (records.release) throw new HttpProblem('released', RELEASED_WORDS);
      const found = [...state.obligations, ...state.offers].find((o) => acceptanceKey(o) === body.obligation && o.state === 'open');
      if (!found) throw new HttpProblem('nothing_to_accept', 'This does not block any more, or never did.');
      if (!found.acceptBy) throw new HttpProblem('no_waiver', `${found.what}: this is answered by the work, not by a waiver.`);
      if (found.acceptBy === 'lead' && person.role !== 'lead')
        throw new HttpProblem('role', `${found.what}: a lead accepts this, with a reason.`);
      if (!isReason(body.reason))
        throw new HttpProblem('reason_missing', 'Say in words why this is accepted: it stands on the sheet, under your name.');
    }
  }),
  /** Not driven and not to be driven stand on the first line of the sheet, so they are said in words. */
  recordLeaving: eventHandler('leavings', (body) => {
    if (body.how !== 'driven' && !isReason(body.note))
      throw new HttpProblem('reason_missing', 'Say in words why it is not driven: it stands on the first line of the sheet.');
  }),
  /** Of what the sheet names, and nothing else; the owner takes it over by name. */
  answerAfterCare: eventHandler('afterCares', async (body, { db, params, request }) => {
    const [stored] = await db.select({ sheet: release.sheet }).from(release).where(eq(release.jobId, params.jobId));
    if (stored && !readSheet(stored.sheet).afterCare.some((a) => a.item === body.item))
      throw new HttpProblem('unknown_reference', 'The hand-back sheet does not name this.');
    if (body.result === 'taken_over' && body.note.trim().length < 3)
      throw new HttpProblem('name_missing', 'Say who takes it over, by name.');
    if (body.result !== 'done') return;
    const records = await readJobFile(db, params.jobId);
    if (records.release === null || records.afterCares.some((a) => a.id === body.id)) return;
    const why = afterCareRefusal(deriveJob(records, corrected(request, body.happenedAt)), body.item, body.result);
    if (why !== null) throw new HttpProblem('not_drawn_yet', why);
  }),
  /** At a bleeder, and nowhere else. */
  recordAfterPull: eventHandler('afterPulls', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.layout.slots.find((s) => s.id === body.slotId)?.kind !== 'bleeder')
      throw new HttpProblem('unknown_reference', 'That is no bleeder.');
  }),
  /** Every step slows down: from a speed to a lower one. */
  planBedding: eventHandler('beddingPlans', (body) => {
    if (body.steps.some((s) => s.toKmh >= s.fromKmh)) throw new HttpProblem('upside_down', 'A stop ends slower than it begins.');
  }),
  /** Driven only where it may be, and in the order of its steps. */
  countBedding: oneAtATime('beddingStops', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.release || records.beddingStops.some((s) => s.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    const state = deriveJob(fileUntil(records, at), at);
    const level = mayMove(state)?.level;
    if (level !== 'road_test') throw new HttpProblem('not_proved_yet', PROOF_REFUSAL.doNotMove);
    const bedding = beddingOf(state.history);
    if (bedding?.plan.id !== body.planId || bedding.now !== body.step) throw new HttpProblem('not_proved_yet', PROOF_REFUSAL.otherStep);
  }),
  amend: eventHandler('amendments', async (body, { db, params }) => {
    if (body.corrects !== null) await requireEvent(db, params.jobId, body.corrects);
  }),
  release: async (call) => {
    const { db, body, params, person } = call;
    await requirePassword(call, body.password);
    return db.transaction(async (tx) => {
      // Whoever was let in as a lead may have lost the role since; it is held until this is written down.
      const [now] = await tx
        .select({ role: account.role, active: account.active })
        .from(account)
        .where(eq(account.id, person.id))
        .for('share');
      if (now?.role !== 'lead' || !now.active) throw new HttpProblem('role', 'Your role has changed meanwhile. A lead hands back.');
      await tx.execute(sql`select 1 from ${job} where ${job.id} = ${params.jobId} for update`);
      const records = await readJobFile(tx, params.jobId);
      if (records.release) {
        if (records.release.id === body.id) return records.release;
        throw new HttpProblem('released', 'This job has been handed back already.', {
          current: { releasedAt: records.release.releasedAt },
        });
      }
      const at = new Date().toISOString();
      const state = deriveJob(records, at);
      if (parkedNow(state.history)) throw new HttpProblem('not_possible', PARK_REFUSED.first);
      if (state.voided) throw new HttpProblem('voided', 'This job was voided: nothing in it counts, so there is nothing to hand back.');
      if (state.blocks.length > 0) {
        throw new HttpProblem(
          'blocked',
          `${state.blocks.length} ${state.blocks.length === 1 ? 'thing stands' : 'things stand'} in the way of handing back.`,
          {
            blocks: state.blocks.map((b) => ({ key: b.key, stage: b.stage, what: b.what, why: b.why })),
          },
        );
      }
      const mine = (e: { authorId: string; jobId: string }): boolean => e.authorId === person.id && e.jobId === params.jobId;
      const ownWork =
        records.sets.some(mine) || records.operationEvents.some(mine) || records.torques.some(mine) || records.partEvents.some(mine);
      const record = {
        id: body.id,
        jobId: params.jobId,
        releasedBy: person.id,
        importId: null,
        releasedAt: at,
        ownWork,
        ruleVersion: RULE_VERSION,
        sheet: buildSheet(state, at),
      };
      await tx.insert(release).values({ ...record, basis: basisOf(state) });
      return record;
    });
  },
};
