import { PRESSING } from '@dauer/core/stages';
import { eventHandler } from '../../platform/handlers.ts';
import { refuseLocked } from '../../records/assertUnlocked.ts';

export const bleedHandlers = {
  pull: eventHandler('bleedPulls', async (body, { db, params }) => {
    if (body.method !== null && PRESSING.includes(body.method)) await refuseLocked(db, params.jobId, body.slotId, 'bleedPulls', body.id);
  }),
};
