import { createHash } from 'node:crypto';
import { OPTION_NAME, WAITS } from '@dauer/core/catalogue';
import { choiceRefusal, departure, estimateOf, ruledOutSince, sheetOf } from '@dauer/core/estimate';
import { optionsOf, whyNotHoned } from '@dauer/core/readiness';
import { openHistory, workedBefore } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import { deriveComponent } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { whyNotCounted } from '@dauer/core/ledger';
import { NOT_COUNTED } from '@dauer/core/wording';
import { putOffRefusal } from '@dauer/core/stages';
import { eq, sql } from 'drizzle-orm';
import { offer, shop } from '../../db/schema.ts';
import { shopDay } from '../../records/ahead.ts';
import { readLastingCases } from '../../records/lasting.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { writeAsTheShop } from '../../records/locale.ts';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';

export const decideHandlers: Pick<
  Handlers,
  'recordDecision' | 'recordCostEntry' | 'recordOwnerChoice' | 'recordComeback' | 'lasting' | 'makeOffer'
> = {
  /** An option that a reading or a finding rules out cannot be chosen. */
  recordDecision: eventHandler('decisions', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    const already = records.decisions.some((d) => d.id === body.id);
    const history = openHistory(records);
    const slot = history.records.layout.slots.find((s) => s.id === body.slotId);
    if (!slot) throw notFound('place in this layout');
    const component = deriveComponent(history, slot, new Date().toISOString());
    const option = optionsOf(history, component).find((o) => o.id === body.option);
    if (!option) throw new HttpProblem('no_such_option', `${placeName(slot)}: this cannot be done with such a part.`);
    if (option.ruledOut !== null && !already)
      throw new HttpProblem('ruled_out', `${placeName(slot)}: “${option.name}” is ruled out. ${option.ruledOut}`);
    const metal = body.option === 'hone' ? whyNotHoned(body.metal) : null;
    if (metal !== null && !already) throw new HttpProblem('ruled_out', `${placeName(slot)}: ${metal}`);
    if (WAITS.includes(body.option) && body.reason.trim() === '')
      throw new HttpProblem('reason_missing', `“${OPTION_NAME[body.option]}” needs a reason; it stands on the hand-back sheet.`);
    if (body.option === 'for_now' && body.reviewOn === null && body.untilKm === null && body.access === null)
      throw new HttpProblem('until_missing', `${placeName(slot)}: say until when it is used: a day, a distance or an access.`);
    const departs = departure(history, component, body.option);
    if (departs !== null && body.reason.trim() === '' && !already)
      throw new HttpProblem(
        'reason_missing',
        `${placeName(slot)}: “${option.name}” departs from a house rule, and needs a reason. ${departs}`,
      );
    const at = corrected(request, body.happenedAt);
    const behind = putOffRefusal(body, history.active(records.counters), at, await shopDay(db, at));
    if (behind) throw new HttpProblem('until_past', `${placeName(slot)}: ${behind}`);
  }),
  /** Exactly what stands on the newest sheet of the job, and nothing that must not be chosen. */
  recordOwnerChoice: eventHandler('ownerChoices', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.ownerChoices.some((c) => c.id === body.id)) return;
    const why = choiceRefusal(records.offers, body);
    if (why !== null) throw new HttpProblem('not_on_sheet', why);
    const { history, components } = deriveJob(records, new Date().toISOString());
    const offered = records.offers.find((o) => o.id === body.offerId);
    const since = offered && body.answer === 'yes' ? ruledOutSince(history, components, offered, body.picks) : null;
    if (since) throw new HttpProblem('ruled_out', since);
  }),
  /** A figure that can be counted: minutes of labour alone, money of everything else, given back of core money alone. */
  recordCostEntry: eventHandler('costEntries', (body) => {
    const why = whyNotCounted(body);
    if (why !== null) throw new HttpProblem('not_counted', NOT_COUNTED[why]);
  }),
  /** Of work on that very place that an earlier job of the vehicle handed back. */
  recordComeback: eventHandler('comebacks', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.comebacks.some((c) => c.id === body.id)) return;
    const before = workedBefore(openHistory(records), body.slotId);
    if (before?.jobId !== body.repairedIn)
      throw new HttpProblem('unknown_reference', 'No earlier job handed work back at this place, or a later one did. Load the job again.');
  }),
  lasting: ({ db }) => readLastingCases(db),
  /** Kept as it is shown, with its hash; the sheet before it is an older one from then on. */
  makeOffer: async ({ db, params, body, person }) => {
    await writeAsTheShop(db);
    return db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${params.jobId}, 1))`);
      const records = await readJobFile(tx, params.jobId);
      const known = records.offers.find((o) => o.id === body.id);
      if (known) return known;
      if (records.release) throw new HttpProblem('released', 'The job has been handed back: a sheet is made on an open one.');
      const now = new Date().toISOString();
      const { history, components } = deriveJob(records, now);
      const [own] = await tx.select({ name: shop.name }).from(shop);
      const sheet = sheetOf(history, estimateOf(history, components), own?.name ?? '', await shopDay(tx, now));
      if (sheet.rows.length === 0) throw new HttpProblem('nothing_to_offer', 'Nothing has to be decided on this job.');
      const hash = createHash('sha256')
        .update(`${body.id}\n${JSON.stringify(sheet)}`)
        .digest('hex');
      await tx.insert(offer).values({ id: body.id, jobId: params.jobId, sheet, hash, madeBy: person.id }).onConflictDoNothing();
      const [row] = await tx.select().from(offer).where(eq(offer.id, body.id));
      return keptAs(row, { jobId: params.jobId }, 'sheet');
    });
  },
};
