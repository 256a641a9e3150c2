import type { ProblemCode } from '@dauer/contract';
import { deriveJob, type JobState } from '@dauer/core/job';
import { whereabouts } from '@dauer/core/history';
import { BACK_LOOKS, isBarred, lotQuestion, lotsNow, outStates, whyNotOutStep } from '@dauer/core/supply';
import { lineRefusal, type OrderRefusal, stepRefusal } from '@dauer/core/views';
import { FACT_OF, LOT_PLACE, lotQuestionWords, NOT_ORDERED, OUT_REFUSED, SEND_OUT } from '@dauer/core/wording';
import { eq } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { articleVersion, supplier } from '../../db/schema.ts';
import { corrected } from '../../platform/clock.ts';
import { RELEASED_WORDS } from '../../platform/events.ts';
import { eventHandler, oneAtATime } from '../../platform/handlers.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { requireAhead, shopDay } from '../../records/ahead.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { writeAsTheShop } from '../../records/locale.ts';

/** Throws a HttpProblem where somebody is no supplier of that name, or nothing is bought from him any more. */
async function requireSupplier(db: Database, named: { readonly supplierId: string; readonly supplier: string }): Promise<void> {
  const [row] = await db.select().from(supplier).where(eq(supplier.id, named.supplierId));
  if (row?.name !== named.supplier) throw new HttpProblem('unknown_reference', 'There is no such supplier. Load the page again.');
  if (!row.active) throw new HttpProblem('not_possible', NOT_ORDERED.supplier);
}

/** Throws a HttpProblem where an order names an article that the price book does not have. */
async function requireArticle(db: Database, articleId: string | null): Promise<void> {
  if (articleId === null) return;
  const [row] = await db.select({ id: articleVersion.id }).from(articleVersion).where(eq(articleVersion.id, articleId));
  if (!row) throw new HttpProblem('unknown_reference', 'There is no such article. Load the page again.');
}

async function stateOf(db: Database, jobId: string): Promise<JobState> {
  await writeAsTheShop(db);
  return deriveJob(await readJobFile(db, jobId), new Date().toISOString());
}

const PROBLEM_OF = {
  not_looked: 'not_looked',
  over_authorised: 'over_authorised',
  ordered_already: 'ordered_already',
  unlike: 'unlike',
  not_possible: 'not_possible',
} as const satisfies Readonly<Record<OrderRefusal['code'], ProblemCode>>;

function refuse(why: OrderRefusal | null): void {
  if (why) throw new HttpProblem(PROBLEM_OF[why.code], why.words);
}

/** What the figures of something that was cut say since it came back. */
function gaugedSince(state: JobState, partId: string, back: string, process: string): 'good' | 'past' | 'none' | null {
  if (process !== 'machine') return null;
  const judged = state.components.flatMap((c) => (c.bench === partId || c.part?.id === partId ? c.judged : []));
  const sets = state.history.sets.filter((x) => x.partId === partId && x.phase === 'after_machining' && x.happenedAt >= back);
  if (sets.length === 0) return 'none';
  return judged.some((j) => sets.some((x) => x.id === j.setId) && j.verdict === 'past') ? 'past' : 'good';
}

export const supplyHandlers: Pick<
  Handlers,
  'recordOrderLine' | 'recordOrderStep' | 'recordPartFact' | 'recordSendOut' | 'recordSendOutStep' | 'recordLotUse'
> = {
  /** Nothing is ordered twice, past the owner's word, or before small things were looked at. */
  recordOrderLine: oneAtATime('orderLines', async (body, { db, params, request }) => {
    const state = await stateOf(db, params.jobId);
    if (state.records.orderLines.some((l) => l.id === body.id)) return;
    if (state.records.release && !body.shopsOwn) throw new HttpProblem('released', RELEASED_WORDS);
    await requireSupplier(db, body);
    await requireArticle(db, body.articleId);
    refuse(lineRefusal(state, body));
    await requireAhead(db, body.expected, corrected(request, body.happenedAt));
  }),
  /** No more arrives than was ordered, nothing is right that is unlike the old part. */
  recordOrderStep: oneAtATime('orderSteps', async (body, { db, params }) => {
    const state = await stateOf(db, params.jobId);
    if (state.records.orderSteps.some((x) => x.id === body.id)) return;
    refuse(stepRefusal(state, body));
  }),
  recordPartFact: eventHandler('partFacts', (body) => {
    if ((body.partId === null) === (body.lineId === null)) throw new HttpProblem('not_possible', FACT_OF);
  }),
  recordSendOut: oneAtATime('sendOuts', async (body, { db, params, request }) => {
    const state = await stateOf(db, params.jobId);
    if (state.records.sendOuts.some((x) => x.id === body.id)) return;
    if (state.records.release) throw new HttpProblem('released', RELEASED_WORDS);
    await requireSupplier(db, body);
    // As it was when it is said to have gone into the box: what is written up later may be away by now.
    const at = corrected(request, body.happenedAt);
    const before = state.history.active(state.records.partEvents).filter((e) => e.happenedAt <= at);
    const where = whereabouts(body.partId, before).at;
    if (where === 'away' || where === 'scrap' || where === 'missing') throw new HttpProblem('not_possible', SEND_OUT.elsewhere);
    if (outStates(state.history).some((o) => o.out.partId === body.partId && !o.done && o.back === null))
      throw new HttpProblem('not_possible', SEND_OUT.already);
  }),
  recordSendOutStep: oneAtATime('sendOutSteps', async (body, { db, params }) => {
    const state = await stateOf(db, params.jobId);
    if (state.records.sendOutSteps.some((x) => x.id === body.id)) return;
    const at = outStates(state.history).find((o) => o.out.id === body.sendOutId);
    if (!at) throw new HttpProblem('unknown_reference', 'This was not sent out on this job. Load the job again.');
    const gauged = at.back === null ? null : gaugedSince(state, at.out.partId, at.back, at.out.process);
    const why = whyNotOutStep(at, body, BACK_LOOKS, gauged);
    if (why) throw new HttpProblem('not_possible', OUT_REFUSED[why]);
  }),
  /** Nothing of a lot that was called in goes on; one past its age takes a reason. */
  recordLotUse: eventHandler('lotUses', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.lotUses.some((u) => u.id === body.id)) return;
    const lot = lotsNow(records.lots).find((l) => l.seriesId === body.lotId);
    if (!lot) throw new HttpProblem('unknown_reference', 'There is no such lot to take from. Load the job again.');
    if (lot.kind !== 'fluid' && body.slotId === null) throw new HttpProblem('not_possible', LOT_PLACE);
    const question = lotQuestion(lot, await shopDay(db, corrected(request, body.happenedAt)));
    if (question && isBarred(question)) throw new HttpProblem('not_possible', lotQuestionWords(question));
    if (question && body.reason.trim().length < 3) throw new HttpProblem('reason_missing', lotQuestionWords(question));
  }),
};
