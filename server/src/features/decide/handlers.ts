import { openBook, deriveComponent, optionsOf, placeName } from '@dauer/core';
import { readJobFile } from '../../records/jobFile.ts';
import { addEvent } from '../../platform/events.ts';
import { eventRow } from '../../platform/handlers.ts';
import { Fault, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';

export const decideHandlers: Pick<Handlers, 'decide'> = {
  /** An option that a reading or a finding rules out cannot be chosen. */
  decide: async (call) => {
    const { body, db, params } = call;
    const file = await readJobFile(db, params.jobId);
    const slot = file.layout.slots.find((s) => s.id === body.slotId);
    if (!slot) throw notFound('place in this layout');
    const already = file.decisions.some((d) => d.id === body.id);
    const component = deriveComponent(openBook(file), slot, new Date().toISOString());
    const option = optionsOf(slot.kind, component.judged, component.findings, component.runout).find((o) => o.id === body.option);
    if (!option) throw new Fault(422, 'no_such_option', `${placeName(slot)}: this cannot be done with such a part.`);
    if (option.ruledOut !== null && !already)
      throw new Fault(409, 'ruled_out', `${placeName(slot)}: “${option.name}” is ruled out. ${option.ruledOut}`);
    if (body.option === 'put_off' && body.reason.trim() === '')
      throw new Fault(422, 'reason', 'Putting off needs a reason; it stands on the hand-back sheet.');
    return addEvent(db, 'decisions', eventRow(call, body));
  },
};
