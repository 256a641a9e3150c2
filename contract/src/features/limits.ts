import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId } from '../eventEndpoint.ts';
import { id, verdict } from '../primitives.ts';
import * as t from '../entities.ts';

/** A verdict of an open job that fell differently with a new limit. */
const verdictChange = z.object({
  jobId: id,
  tag: z.string(),
  vehicle: z.string(),
  place: z.string(),
  characteristic: z.string(),
  was: verdict,
  is: verdict,
});
export type VerdictChange = z.infer<typeof verdictChange>;

export const limits = {
  limits: endpoint({
    ...none,
    feature: 'limits',
    method: 'GET',
    path: '/api/limits',
    role: 'reader',
    summary: 'The limit book, newest versions, a page at a time by id',
    query: z.object({ vehicleId: id.optional(), after: id.optional() }),
    /** `appliesName`: tag of the only vehicle or part that the limit applies to. */
    reply: z.array(t.limit.extend({ appliesName: z.string().nullable() })),
  }),
  limitVersions: endpoint({
    ...none,
    feature: 'limits',
    method: 'GET',
    path: '/api/limits/series/:seriesId',
    role: 'reader',
    summary: 'Every version of one limit, the newest first',
    params: z.object({ seriesId: z.string().min(1).max(80) }),
    reply: z.array(t.limit.extend({ enteredByName: z.string(), checkedByName: z.string().nullable() })),
  }),
  enterLimit: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/limits',
    role: 'technician',
    summary: 'Enters a limit, or a new version of one',
    /** `replaces` names the version that was changed; somebody else's newer one is then not passed over. */
    body: t.limitFields.extend({ id, replaces: id.optional() }),
    reply: t.limit.extend({ changed: z.array(verdictChange) }),
  }),
  importLimits: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/limits/import',
    role: 'technician',
    summary: 'Takes in a list of limits, unchecked, all or nothing',
    largest: 6 * 2 ** 20,
    body: z.object({ limits: z.array(t.limitFields.extend({ id })).min(1).max(5000) }),
    reply: z.object({ written: z.number().int(), changed: z.array(verdictChange) }),
  }),
  torques: endpoint({
    ...none,
    feature: 'limits',
    method: 'GET',
    path: '/api/torques',
    role: 'reader',
    summary: 'The generic torques, and who agreed to each',
    reply: z.array(
      z.object({
        id: z.string(),
        of: z.string(),
        from: z.number(),
        to: z.number(),
        agreed: z.array(t.torqueCheck.extend({ checkedByName: z.string() })),
      }),
    ),
  }),
  checkTorque: endpoint({
    ...none,
    feature: 'limits',
    method: 'POST',
    path: '/api/torques/:torque/check',
    role: 'technician',
    summary: 'Agrees to a generic torque: it counts for everybody else',
    params: z.object({ torque: z.string().min(1).max(40) }),
    body: z.object({}),
    reply: t.torqueCheck,
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
