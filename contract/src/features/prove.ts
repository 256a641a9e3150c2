import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint, ofJob } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id } from '../primitives.ts';
import * as t from '../entities.ts';

export const prove = {
  recordProof: eventEndpoint('prove', EVENTS.proofs, 'proofs', 'Answers a proof'),
  accept: eventEndpoint('prove', EVENTS.acceptances, 'acceptances', 'Accepts what blocks, by name and with a reason'),
  recordLeaving: eventEndpoint('prove', EVENTS.leavings, 'leavings', 'Says how the vehicle leaves'),
  answerAfterCare: eventEndpoint('prove', EVENTS.afterCares, 'after-cares', 'Answers an item of after-care'),
  recordAfterPull: eventEndpoint('prove', EVENTS.afterPulls, 'after-pulls', 'Enters what came at a bleeder that was bled again'),
  planBedding: eventEndpoint('prove', EVENTS.beddingPlans, 'bedding-plans', 'Enters the steps by which new linings are bedded in'),
  countBedding: eventEndpoint('prove', EVENTS.beddingStops, 'bedding-stops', 'Counts one stop of bedding in'),
  amend: eventEndpoint('prove', EVENTS.amendments, 'amendments', 'Adds to the record of a job handed back'),
  release: endpoint({
    ...none,
    feature: 'prove',
    method: 'POST',
    path: '/api/jobs/:jobId/release',
    role: 'lead',
    summary: 'Hands the vehicle back',
    params: ofJob,
    body: z.object({ id, password: z.string().max(200) }),
    reply: t.release,
  }),
};
