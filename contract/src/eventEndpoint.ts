import { z } from 'zod';
import { endpoint, type Feature, none } from './endpoint.ts';
import { stored } from './events.ts';
import { id } from './primitives.ts';

/** Parameters of everything that belongs to a job, and of everything found by its id. */
export const ofJob = z.object({ jobId: id });
export const byId = z.object({ id });

/** POST one event of a family to a job. */
export function eventEndpoint<S extends z.ZodType, R extends z.ZodType>(
  feature: Feature,
  family: { readonly sent: S; readonly record: R },
  path: string,
  summary: string,
  role: 'technician' | 'lead' = 'technician',
) {
  return endpoint({
    ...none,
    feature,
    method: 'POST',
    path: `/api/jobs/:jobId/${path}`,
    role,
    summary,
    params: ofJob,
    body: family.sent,
    reply: stored(family.record),
  });
}
