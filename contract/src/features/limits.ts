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
  importLimits: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/limits/import',
    role: 'technician',
    summary: 'Takes in a list of limits, unchecked, all or nothing',
    body: z.object({ limits: z.array(t.limitFields.extend({ id })).min(1).max(5000) }),
    reply: z.object({ written: z.number().int() }),
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
