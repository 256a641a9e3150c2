import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint, ofJob } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id } from '../primitives.ts';
import { lastingCase, offer } from '../priceEntities.ts';

export const decide = {
  recordDecision: eventEndpoint('decide', EVENTS.decisions, 'decisions', 'Decides about a part'),
  recordCostEntry: eventEndpoint('decide', EVENTS.costEntries, 'cost-entries', 'Puts a figure of one’s own in place of a reckoned one'),
  recordOwnerChoice: eventEndpoint('decide', EVENTS.ownerChoices, 'owner-choices', 'Takes down what the owner chose of his sheet'),
  recordComeback: eventEndpoint('decide', EVENTS.comebacks, 'comebacks', 'Says whether a place is opened again for the same fault'),
  lasting: endpoint({
    ...none,
    feature: 'decide',
    method: 'GET',
    path: '/api/lasting',
    role: 'reader',
    summary: 'What the shop’s work lasted: every piece of it that was handed back, until it came back or its vehicle was last seen',
    reply: z.array(lastingCase),
  }),
  makeOffer: endpoint({
    ...none,
    feature: 'decide',
    method: 'POST',
    path: '/api/jobs/:jobId/offers',
    role: 'technician',
    summary: 'Makes the sheet for the owner, of the job as it stands',
    params: ofJob,
    body: z.object({ id }),
    reply: offer,
  }),
};
