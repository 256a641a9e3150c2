import { withRuns } from '@dauer/core/layout';
import { PRESSING } from '@dauer/core/ledger';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { HttpProblem } from '../../platform/problem.ts';
import { refuseLocked } from '../../records/assertUnlocked.ts';
import { readJobFile } from '../../records/jobFile.ts';
import type { Handlers } from '../../platform/routes.ts';

export const bleedHandlers = {
  /** At a bleeder and nowhere else; what presses a control is refused where anything that it reaches was open then. */
  recordBleedPull: eventHandler('bleedPulls', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    const at = withRuns(records.layout).slots.find((s) => s.id === body.slotId);
    if (at && at.kind !== 'bleeder') throw new HttpProblem('wrong_place', 'That is no bleeder.');
    if (body.method === null || !PRESSING.includes(body.method) || records.bleedPulls.some((p) => p.id === body.id)) return;
    refuseLocked(records, body.slotId, corrected(request, body.happenedAt));
  }),
} satisfies Partial<Handlers>;
