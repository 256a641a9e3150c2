import { parseQuantity, PRESSING } from '@dauer/core';
import { keeps } from '../../platform/handlers.ts';
import { refuseLocked } from '../../records/pressing.ts';

export const bleedHandlers = {
  pull: keeps('bleedPulls', async (body, { db, params }) => {
    if (body.method !== null && PRESSING.includes(body.method)) await refuseLocked(db, params.jobId, body.slotId, 'bleedPulls', body.id);
    return { volumeMl: parseQuantity(body.volumeTyped, 'volume', 'mL').canonical };
  }),
  serveFluid: keeps('fluidServices', () => ({})),
};
