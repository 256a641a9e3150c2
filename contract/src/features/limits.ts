import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId } from '../eventEndpoint.ts';
import { id } from '../primitives.ts';
import * as t from '../things.ts';

export const limits = {
  limits: endpoint({
    ...none,
    feature: 'limits',
    method: 'GET',
    path: '/api/limits',
    role: 'reader',
    summary: 'The limit book, newest versions',
    query: z.object({ vehicleId: id.optional() }),
    reply: z.array(t.limit),
  }),
  enterLimit: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/limits',
    role: 'technician',
    summary: 'Enters a limit, or a new version of one',
    body: t.limitFields.extend({ id }),
    reply: t.limit,
  }),
  checkLimit: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/limits/:id/check',
    role: 'technician',
    summary: 'A second person checks a limit against its source',
    params: byId,
    body: z.object({}),
    reply: t.limit,
  }),
};
