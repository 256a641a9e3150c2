import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const trace = {
  observe: eventEndpoint('trace', EVENTS.observations, 'observations', 'Notes an observation'),
};
