import { parseQuantity } from '@dauer/core';
import { keeps } from '../../platform/handlers.ts';
import { requirePlace } from '../../records/belongs.ts';

export const bleedHandlers = {
  pull: keeps('bleedPulls', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    return { volumeMl: parseQuantity(body.volumeTyped, 'volume', 'mL').canonical };
  }),
  serveFluid: keeps('fluidServices', () => ({})),
};
