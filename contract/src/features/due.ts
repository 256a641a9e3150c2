import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId, eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { day, id, instant } from '../primitives.ts';

const dueItem = z.object({
  /** Stable: the same thing keeps it while its day moves. */
  key: z.string(),
  about: z.enum(['fluid', 'exercise', 'open', 'hoses', 'bearings', 'parking', 'after_care', 'put_off']),
  what: z.string(),
  why: z.string(),
  /** Null where it waits for a distance or for its next access. */
  on: day.nullable(),
  /** On the counter, km. */
  km: z.number().nullable(),
  /** The distance has come. */
  reached: z.boolean(),
  /** With what it is done together. */
  access: z.enum(['wheels_off', 'driven', 'standing']),
});
export type DueItem = z.infer<typeof dueItem>;

const vehicleDue = z.object({
  vehicleId: id,
  tag: z.string(),
  name: z.string(),
  use: z.enum(['daily', 'seasonal', 'stands', 'work', 'competition']),
  standsYears: z.number().nullable(),
  /** Its newest job: what is told of it is told there. */
  jobId: id,
  inShop: z.boolean(),
  move: z.enum(['do_not_move', 'yard_only', 'road_test', 'handed_back']).nullable(),
  /** Last exercised or driven, and its fluid last changed, as far as anybody told. */
  exercised: instant.nullable(),
  fluidChanged: day.nullable(),
  /** The counter, km. */
  km: z.number().nullable(),
  dues: z.array(dueItem),
});
export type VehicleDue = z.infer<typeof vehicleDue>;

const calendar = z.object({ id, vehicleId: id.nullable(), tag: z.string().nullable(), createdAt: instant, usedAt: instant.nullable() });

export const due = {
  dues: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/dues',
    role: 'reader',
    summary: 'What falls due on every vehicle, the earliest first',
    reply: z.object({
      today: day,
      vehicles: z.array(vehicleDue),
      /** Vehicles whose list is still being worked out: it is asked for again. */
      left: z.number().int(),
      /** Limits that one person entered and nobody checked. */
      limitsUnchecked: z.number().int(),
    }),
    asItIs: true,
  }),
  recordExercise: eventEndpoint('due', EVENTS.exercises, 'exercises', 'Says that a vehicle that stands was exercised'),
  calendars: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/calendars',
    role: 'reader',
    summary: 'The calendar addresses that whoever asks has made, those that still answer',
    reply: z.array(calendar),
  }),
  makeCalendar: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/calendars',
    role: 'reader',
    summary: 'Makes a calendar address, of the shop or of one vehicle; its secret is told this once',
    body: z.object({ id, vehicleId: id.nullable().default(null) }),
    reply: calendar.extend({ path: z.string() }),
  }),
  endCalendar: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/calendars/:id/end',
    role: 'reader',
    summary: 'Ends a calendar address of one’s own',
    params: byId,
    reply: calendar,
  }),
};
