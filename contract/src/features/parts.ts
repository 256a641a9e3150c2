import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId, eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id, instant, words } from '../primitives.ts';
import * as t from '../entities.ts';

const partFacts = z.object({
  part: t.part,
  vehicleTag: z.string().nullable(),
  vehicleName: z.string().nullable(),
  place: z.string().nullable(),
  jobId: id.nullable(),
  where: z.enum(['slot', 'shelf', 'away', 'scrap', 'missing', 'unknown']),
});
export const parts = {
  recordPartEvent: eventEndpoint('parts', EVENTS.partEvents, 'part-events', 'Records what happened to a part'),

  correctPart: eventEndpoint('parts', EVENTS.partCorrections, 'part-corrections', 'Says that two articles are one, or one is two'),

  parts: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/parts',
    role: 'reader',
    summary: 'Tagged parts',
    query: z.object({ q: z.string().max(80).optional() }),
    reply: z.array(partFacts),
  }),
  findByFigure: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/figures',
    role: 'reader',
    summary: 'Parts and articles by a figure that they are known by, with how much it may differ',
    query: z.object({ fact: z.string().max(30), typed: z.string().min(1).max(40), by: z.coerce.number().min(0).max(1000).default(0.5) }),
    reply: z.object({
      parts: z.array(partFacts.extend({ typed: z.string() })),
      articles: z.array(z.object({ seriesId: id, name: z.string(), partNumber: z.string().nullable(), typed: z.string() })),
    }),
  }),
  part: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/parts/:id',
    role: 'reader',
    summary: 'A part and its life',
    params: byId,
    reply: partFacts.extend({
      /** What it is known by, the newest of each. */
      facts: z.array(z.object({ fact: z.string(), typed: z.string(), value: z.number().nullable(), at: instant, by: z.string() })),
      life: z.array(z.object({ at: instant, what: z.string(), where: z.string(), by: z.string(), jobId: id })),
    }),
  }),
  bindTag: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/parts/:id/tag',
    role: 'technician',
    summary: 'Binds a physical tag to a part',
    params: byId,
    body: z.object({ tag: z.string().trim().min(1).max(20), partNumber: words(60).nullable() }),
    reply: t.part,
  }),
};
