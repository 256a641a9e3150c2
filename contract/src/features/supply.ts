import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId, eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { lot, lotFields, stockFields, stockMove } from '../lotEntities.ts';
import { day, id, instant } from '../primitives.ts';

/** What a shop has under way, in one list over all vehicles. */
export const TRAFFIC_VIEWS = ['way', 'check', 'return', 'out', 'due'] as const;
export type TrafficView = (typeof TRAFFIC_VIEWS)[number];

/** Rows of such a list at a time. */
export const TRAFFIC_PAGE = 200;

export const trafficRow = z.object({
  id,
  of: z.enum(['order', 'send_out']),
  jobId: id,
  vehicleTag: z.string(),
  vehicleName: z.string(),
  supplier: z.string(),
  what: z.string(),
  partNumber: z.string().nullable(),
  count: z.number().int(),
  /** What it is for, or where it came off. */
  places: z.array(z.string()).readonly(),
  /** Where it stands, in words. */
  stands: z.string(),
  /** Day on which something is due, or for which it is promised. */
  on: day.nullable(),
  late: z.boolean(),
  views: z.array(z.enum(TRAFFIC_VIEWS)).readonly(),
});
export type TrafficRow = z.infer<typeof trafficRow>;

const stockRow = z.object({
  seriesId: id,
  name: z.string(),
  partNumber: z.string().nullable(),
  supplier: z.string().nullable(),
  count: z.number().int(),
  level: z.number().int().nullable(),
  counted: instant.nullable(),
});

/** What is ordered and sent out, lots and the store. */
export const supply = {
  recordOrderLine: eventEndpoint('parts', EVENTS.orderLines, 'order-lines', 'Orders something for a job'),
  recordOrderStep: eventEndpoint('parts', EVENTS.orderSteps, 'order-steps', 'Records what happened to something ordered'),
  recordPartFact: eventEndpoint('parts', EVENTS.partFacts, 'part-facts', 'Records a figure or a feature of an article'),
  recordOrderLook: eventEndpoint('parts', EVENTS.orderLooks, 'order-looks', 'Says whether a small thing is needed, before the order'),
  recordSendOut: eventEndpoint('parts', EVENTS.sendOuts, 'send-outs', 'Puts a part in a box to somebody who works on it'),
  recordSendOutStep: eventEndpoint('parts', EVENTS.sendOutSteps, 'send-out-steps', 'Records what happened to something sent out'),
  recordLotUse: eventEndpoint('parts', EVENTS.lotUses, 'lot-uses', 'Records that something of a lot went in'),
  traffic: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/traffic',
    role: 'reader',
    summary: 'What is on the way, to check, to return, out and due, over all vehicles',
    query: z.object({ view: z.enum(TRAFFIC_VIEWS).optional(), q: z.string().max(80).optional() }),
    reply: z.object({ counts: z.record(z.enum(TRAFFIC_VIEWS), z.number().int()), rows: z.array(trafficRow), more: z.number().int() }),
  }),
  lots: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/lots',
    role: 'reader',
    summary: 'Lots, the newest version of each, with how many vehicles have something of it',
    reply: z.array(z.object({ lot, vehicles: z.number().int() })),
  }),
  enterLot: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/lots',
    role: 'technician',
    summary: 'Enters a lot, or says more of one',
    /** `replaces` names the version that was added to; somebody else's newer one is then not passed over. */
    body: lotFields.extend({ id, replaces: id.optional() }),
    reply: lot,
  }),
  lotVehicles: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/lots/:id/vehicles',
    role: 'reader',
    summary: 'Every vehicle that has something of a lot',
    params: byId,
    reply: z.array(
      z.object({
        jobId: id,
        vehicleTag: z.string(),
        vehicleName: z.string(),
        /** Its owner's name, for a lead. */
        owner: z.string().nullable(),
        place: z.string().nullable(),
        on: instant,
        inShop: z.boolean(),
      }),
    ),
  }),
  stock: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/stock',
    role: 'technician',
    summary: 'What lies in the store, and what has sunk below its level',
    reply: z.array(stockRow),
  }),
  moveStock: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/stock-moves',
    role: 'technician',
    summary: 'Counts the store anew, adds to it, takes from it, or sets a reorder level',
    body: stockFields.extend({ id }),
    reply: stockMove,
  }),
};
