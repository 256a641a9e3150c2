import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId, eventEndpoint, ofJob } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id, words } from '../primitives.ts';
import * as t from '../things.ts';

export const bookin = {
  bookIn: endpoint({
    ...none,
    feature: 'bookin',
    method: 'POST',
    path: '/api/vehicles',
    role: 'technician',
    summary: 'Books in a vehicle that is new to the shop',
    body: z.object({
      vehicleId: id,
      vehicle: t.vehicleFields,
      owner: z.object({ name: words(120), contact: words(300) }).nullable(),
      layout: t.layout,
      job: t.jobFields.extend({ id }),
    }),
    reply: z.object({ vehicleId: id, jobId: id }),
  }),
  openJob: endpoint({
    ...none,
    feature: 'bookin',
    method: 'POST',
    path: '/api/vehicles/:id/jobs',
    role: 'technician',
    summary: 'Opens a job on a vehicle the shop knows',
    params: byId,
    body: t.jobFields.extend({ id }),
    reply: z.object({ vehicleId: id, jobId: id }),
  }),
  changeJob: endpoint({
    ...none,
    feature: 'bookin',
    method: 'PATCH',
    path: '/api/jobs/:jobId',
    role: 'technician',
    summary: 'Changes promise, scope and what was said at the desk',
    params: ofJob,
    body: t.jobFields.extend({ version: z.number().int() }),
    reply: t.job,
  }),
  changeVehicle: endpoint({
    ...none,
    feature: 'bookin',
    method: 'PATCH',
    path: '/api/vehicles/:id',
    role: 'technician',
    summary: 'Changes what is known of a vehicle',
    params: byId,
    body: t.vehicleFields.extend({ version: z.number().int() }),
    reply: t.vehicle,
  }),
  owner: endpoint({
    ...none,
    feature: 'bookin',
    method: 'GET',
    path: '/api/vehicles/:id/owner',
    role: 'technician',
    summary: 'The owner’s contact, for those who need it',
    params: byId,
    reply: z.object({ name: z.string(), contact: z.string() }).nullable(),
  }),
  nextTag: endpoint({
    ...none,
    feature: 'bookin',
    method: 'GET',
    path: '/api/next-vehicle-tag',
    role: 'technician',
    summary: 'A vehicle tag that is free',
    reply: z.object({ tag: z.string() }),
  }),
  readCounter: eventEndpoint('bookin', EVENTS.counters, 'counters', 'Notes the distance on the counter'),
  acknowledge: eventEndpoint('bookin', EVENTS.cautionAcks, 'caution-acks', 'Acknowledges a caution by name'),
  voidJob: eventEndpoint('bookin', EVENTS.voids, 'voids', 'Voids a job that was booked twice', 'lead'),
  redact: eventEndpoint('bookin', EVENTS.redactions, 'redactions', 'Blacks out a text for good', 'lead'),
  takeBack: eventEndpoint('bookin', EVENTS.takeBacks, 'take-backs', 'Takes an event back'),
};
