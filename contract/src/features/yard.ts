import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { ofJob } from '../eventEndpoint.ts';
import { day, id, instant, verdict } from '../primitives.ts';
import * as t from '../entities.ts';
import { trafficRow } from './supply.ts';

/** Up to where somebody has read: everything that any later transaction may have written is asked for again. */
const cursor = z.string().max(120);

const yardJob = z.object({
  jobId: id,
  vehicle: t.vehicle,
  layout: t.layout,
  kind: t.jobKind,
  promised: day.nullable(),
  stage: z.string().nullable(),
  share: z.number(),
  stages: z.array(
    z.object({
      stage: z.string(),
      note: z.string(),
      hatched: z.string().nullable(),
      open: z.number(),
      waiting: z.number(),
      all: z.number(),
    }),
  ),
  counts: z.record(verdict, z.number()),
  marks: z.array(z.object({ slotId: id, verdict })),
  blocks: z.number().int(),
  next: z.object({ stage: z.string(), what: z.string(), slotId: id.nullable() }).nullable(),
  waits: z.array(z.string()),
  /** How much can be done now. */
  doable: z.number().int(),
  /** What is fitted for now, and until when. */
  forNow: z.array(z.object({ what: z.string(), until: day.nullable() })),
  move: z.object({ level: z.enum(['do_not_move', 'yard_only', 'road_test', 'handed_back']), reasons: z.array(z.string()) }),
  /** Operations under way, the longest first. */
  running: z.array(z.object({ title: z.string(), minutes: z.number(), attendedMinutes: z.number() })),
});
export type YardJob = z.infer<typeof yardJob>;

export const yard = {
  yard: endpoint({
    ...none,
    feature: 'yard',
    method: 'GET',
    path: '/api/yard',
    role: 'reader',
    summary: 'The vehicles in the shop, and what falls due',
    reply: z.object({
      jobs: z.array(yardJob),
      /** Jobs whose records cannot be derived, each with why: they keep the others from nothing. */
      stuck: z.array(z.object({ jobId: id, tag: z.string(), name: z.string(), why: z.string() })),
      fluid: z.array(
        z.object({
          vehicleId: id,
          tag: z.string(),
          name: z.string(),
          changed: day.nullable(),
          due: day,
          why: z.string(),
          water: z.number().nullable(),
          jobId: id.nullable(),
        }),
      ),
      /** What was put off and falls due, of vehicles that are not in the shop. */
      putOffs: z.array(z.object({ vehicleId: id, tag: z.string(), name: z.string(), jobId: id, what: z.string(), on: day.nullable() })),
      handedBack: z.array(
        z.object({
          jobId: id,
          vehicleId: id,
          tag: z.string(),
          name: z.string(),
          releasedAt: instant,
          /** After-care that is not answered, by the day on which it is due. */
          afterCare: z.array(z.object({ what: z.string(), on: day })),
        }),
      ),
      /** What falls due of orders and send-outs within days: late, to go back, core money. */
      traffic: z.array(trafficRow),
      /** What came in after a hand-back and waits for a lead. */
      late: z.array(z.object({ jobId: id, tag: z.string(), name: z.string(), count: z.number().int() })),
    }),
  }),
  job: endpoint({
    ...none,
    feature: 'yard',
    method: 'GET',
    path: '/api/jobs/:jobId',
    role: 'reader',
    summary: 'Everything a job stands on',
    params: ofJob,
    reply: t.jobFile.extend({ cursor }),
    asItIs: true,
  }),
  jobChanges: endpoint({
    ...none,
    feature: 'yard',
    method: 'GET',
    path: '/api/jobs/:jobId/changes',
    role: 'reader',
    summary: 'What is new of a job since it was read: to be merged into that by id',
    params: ofJob,
    query: z.object({ since: cursor }),
    reply: z.object({
      cursor,
      /** It has to be read as a whole: too much is new, the book is another, or something of before came in. */
      whole: z.boolean(),
      /** Lists of what is new, and whatever else changed as it is now. */
      file: t.jobFile.partial(),
      /** Texts and pictures that were blacked out, of any job: devices let go of them. */
      struck: z.array(z.object({ id, field: z.string() })),
    }),
    asItIs: true,
  }),
};
