import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint, ofJob } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id } from '../primitives.ts';
import { offer } from '../priceEntities.ts';

export const decide = {
  recordDecision: eventEndpoint('decide', EVENTS.decisions, 'decisions', 'Decides about a part'),
  recordCostEntry: eventEndpoint('decide', EVENTS.costEntries, 'cost-entries', 'Puts a figure of one’s own in place of a reckoned one'),
  recordOwnerChoice: eventEndpoint('decide', EVENTS.ownerChoices, 'owner-choices', 'Takes down what the owner chose of his sheet'),
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
