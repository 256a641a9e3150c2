import { familyOf } from '@dauer/core/ledger';
import { z } from 'zod';
import type { Feature } from './access.ts';
import { endpoint, none } from './endpoint.ts';
import { type EventFamily, EVENTS, stored } from './events.ts';
import { id } from './primitives.ts';

/** Parameters of everything that belongs to a job, and of everything found by its id. */
export const ofJob = z.object({ jobId: id });
export const byId = z.object({ id });

const FAMILY_OF = new Map<object, EventFamily>(Object.entries(EVENTS).map(([family, forms]) => [forms, family as EventFamily]));

/** POST one event of a family to a job, by whoever may enter such a thing. */
export function eventEndpoint<S extends z.ZodType, R extends z.ZodType>(
  feature: Feature,
  forms: { readonly sent: S; readonly record: R },
  path: string,
  summary: string,
) {
  const family = FAMILY_OF.get(forms);
  if (!family) throw new Error(`${path}: no family of events has these forms`);
  const line = endpoint({
    ...none,
    feature,
    method: 'POST',
    path: `/api/jobs/:jobId/${path}`,
    role: familyOf(family).leastRole,
    summary,
    params: ofJob,
    body: forms.sent,
    reply: stored(forms.record),
  });
  return { ...line, family };
}
