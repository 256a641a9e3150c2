import { PRESSING } from '@dauer/core/ledger';
import { eventHandler } from '../../platform/handlers.ts';
import { refuseLocked } from '../../records/assertUnlocked.ts';
import type { Handlers } from '../../platform/routes.ts';

export const bleedHandlers = {
  recordBleedPull: eventHandler('bleedPulls', async (body, { db, params }) => {
    if (body.method !== null && PRESSING.includes(body.method)) await refuseLocked(db, params.jobId, body.slotId, 'bleedPulls', body.id);
  }),
} satisfies Partial<Handlers>;
