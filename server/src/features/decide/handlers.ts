import { optionsOf, whyNotHoned } from '@dauer/core/readiness';
import { openHistory } from '@dauer/core/history';
import { deriveComponent } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { putOffRefusal } from '@dauer/core/stages';
import { shopDay } from '../../records/ahead.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';

export const decideHandlers: Pick<Handlers, 'recordDecision'> = {
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
    if (body.option === 'put_off' && body.reason.trim() === '')
      throw new HttpProblem('reason_missing', 'Putting off needs a reason; it stands on the hand-back sheet.');
    const at = corrected(request, body.happenedAt);
    const behind = putOffRefusal(body, history.active(records.counters), at, await shopDay(db, at));
    if (behind) throw new HttpProblem('until_past', `${placeName(slot)}: ${behind}`);
  }),
};
