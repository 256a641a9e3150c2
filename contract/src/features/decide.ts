import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const decide = {
  recordDecision: eventEndpoint('decide', EVENTS.decisions, 'decisions', 'Decides about a part'),
};
