import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id, instant } from '../primitives.ts';
import * as t from '../entities.ts';

const count = z.number().int();
/** What had been said of the causes of one vehicle, and what its bench found. */
const loopCase = z.object({
  jobId: id,
  tag: z.string(),
  vehicle: z.string(),
  at: instant,
  causes: z.array(
    z.object({
      fault: z.string(),
      name: z.string(),
      where: z.string(),
      found: z.boolean(),
      said: z.number().nullable(),
      rank: count.nullable(),
    }),
  ),
  exposed: z.array(z.object({ fault: z.string(), places: count, expected: z.number(), found: count })),
});

export const trace = {
  recordObservation: eventEndpoint('trace', EVENTS.observations, 'observations', 'Notes an observation'),
  recordCauseLook: eventEndpoint(
    'trace',
    EVENTS.causeLooks,
    'cause-looks',
    'Puts a cause on the bench’s list, or says whether the bench found it',
  ),
  tracingRecord: endpoint({
    ...none,
    feature: 'trace',
    method: 'GET',
    path: '/api/tracing',
    role: 'reader',
    summary: 'What had been said of causes, and what the bench found, job by job',
    reply: z.object({ cases: z.array(loopCase), priors: z.array(t.prior) }),
  }),
  takeOverPriors: endpoint({
    ...none,
    feature: 'trace',
    method: 'POST',
    path: '/api/tracing/priors',
    role: 'lead',
    summary: 'Takes over the odds of faults that the shop’s own cases make',
    body: z.object({ priors: z.array(t.priorFields).min(1).max(200) }),
    reply: z.array(t.prior),
  }),
};
