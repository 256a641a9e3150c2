import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { id } from '../primitives.ts';
import * as t from '../things.ts';

export const rack = {
  gauges: endpoint({
    ...none,
    feature: 'rack',
    method: 'GET',
    path: '/api/gauges',
    role: 'reader',
    summary: 'Gauges on the rack, newest versions',
    reply: z.array(t.gauge),
  }),
  enterGauge: endpoint({
    ...none,
    feature: 'rack',
    method: 'POST',
    path: '/api/gauges',
    role: 'technician',
    summary: 'Enters a gauge, or a new version of one',
    body: t.gaugeFields.extend({ id }),
    reply: t.gauge,
  }),
};
