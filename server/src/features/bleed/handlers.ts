import { parseQuantity } from '@dauer/core';
import { keeps } from '../../platform/handlers.ts';

export const bleedHandlers = {
  pull: keeps('bleedPulls', (body) => ({ volumeMl: parseQuantity(body.volumeTyped, 'volume', 'mL').canonical })),
  serveFluid: keeps('fluidServices', () => ({})),
};
