import { type Corner, CORNERS } from '@dauer/core/layout';
import { isYear, type QuantityKind, type UnitId, UNITS } from '@dauer/core/quantity';
import { LIMIT_AXLES } from '@dauer/core/verdict';
import { z } from 'zod';

/** UUID made where the record is made (version 7), so that a write may be repeated safely. */
export const id = z.uuid();
/** Instant, ISO 8601 in UTC. */
export const instant = z.iso.datetime();
/** Day, ISO 8601. */
export const day = z.iso.date();
/** A day as it is sent: of a year that a shop has to do with. What is stored may be older than this rule. */
export const sentDay = day.refine((d) => isYear(Number(d.slice(0, 4))), 'no day of a year that a shop has to do with');
export const words = (max = 4000): z.ZodString => z.string().max(max);
export const name = z.string().trim().min(1).max(120);
export const typed = z.string().max(60);

const unitIds = [...new Set(Object.values(UNITS).flatMap((list) => list.map((u) => u.id)))];
export const unitId = z.enum(unitIds as [UnitId, ...UnitId[]]);
export const kind = z.enum(Object.keys(UNITS) as [QuantityKind, ...QuantityKind[]]);

/** A sum of money, whole minor units of the shop's currency. */
export const minorSum = z.number().int().min(0).max(1e12);

/** A password on its way in: ten characters or more. */
export const password = z.string().min(10).max(200);

export const role = z.enum(['reader', 'technician', 'lead']);
export const corner = z.enum(CORNERS as [Corner, ...Corner[]]);
export const axle = z.enum(LIMIT_AXLES);
export const verdict = z.enum(['holds', 'watch', 'no_limit', 'not_gauged', 'cant_tell', 'past']);

/** A port of a unit: the line that ends there, its bridge or what is plugged. */
export const portId = z.union([id, z.enum(['bridge', 'plug'])]);

/** What every event says of itself when it is sent. */
export const sentBase = z.object({ id, happenedAt: instant, device: words(80), corrects: id.nullable().default(null) });
/** What every recorded event carries. */
export const recordBase = z.object({
  id,
  jobId: id,
  authorId: id,
  device: z.string(),
  happenedAt: instant,
  recordedAt: instant,
  corrects: id.nullable(),
});

/** Problem details, RFC 9457, with a stable code and the fields concerned. */
export const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    code: z.string(),
    detail: z.string(),
    /** By which name the server’s log knows the request; of what broke there. */
    request: z.string().optional(),
    fields: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
    /** Both versions of a record that was changed meanwhile, what blocks a release, and the like. */
    current: z.unknown().optional(),
    blocks: z.array(z.object({ key: z.string(), stage: z.string(), what: z.string(), why: z.string().nullable() })).optional(),
  })
  .meta({ id: 'Problem' });
export type Problem = z.infer<typeof problem>;

export const fluidClass = z.enum(['3', '4', '5.1', '6', '5', 'mineral', 'castor']);
