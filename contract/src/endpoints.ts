import { z } from 'zod';
import { endpoint, type Feature, none } from './endpoint.ts';
import { type EventFamily, EVENTS, stored } from './events.ts';
import { day, id, instant, name, role, verdict, words } from './primitives.ts';
import * as t from './things.ts';

const ofJob = z.object({ jobId: id });
const byId = z.object({ id });
const password = z.string().min(10).max(200);
const me = z.object({ person: t.person, shop: z.object({ name, timeZone: z.string() }) });

/** POST one event of a family to a job. */
function eventEndpoint<S extends z.ZodType, R extends z.ZodType>(feature: Feature, family: { readonly sent: S; readonly record: R }, path: string, summary: string) {
  return endpoint({
    ...none, feature, method: 'POST', path: `/api/jobs/:jobId/${path}`, role: 'technician', summary, params: ofJob, body: family.sent, reply: stored(family.record),
  });
}

const shop = {
  welcome: endpoint({ ...none,
    feature: 'shop', method: 'GET', path: '/api/welcome', role: 'public', summary: 'What the sign-in page has to know',
    reply: z.object({ shopName: z.string(), needsFirstLead: z.boolean(), demoAccounts: z.array(z.object({ name: z.string(), login: z.string(), password: z.string(), role })) }),
  }),
  firstLead: endpoint({ ...none,
    feature: 'shop', method: 'POST', path: '/api/first-lead', role: 'public', summary: 'Makes the first account, while there is none',
    body: z.object({ id, shopName: name, timeZone: words(60), name, login: name, password }), reply: me,
  }),
  signIn: endpoint({ ...none, feature: 'shop', method: 'POST', path: '/api/sign-in', role: 'public', summary: 'Signs in', body: z.object({ login: z.string().max(120), password: z.string().max(200) }), reply: me }),
  signOut: endpoint({ ...none, feature: 'shop', method: 'POST', path: '/api/sign-out', role: 'reader', summary: 'Signs out', reply: z.object({ done: z.literal(true) }) }),
  me: endpoint({ ...none, feature: 'shop', method: 'GET', path: '/api/me', role: 'reader', summary: 'Who is signed in', reply: me }),
  people: endpoint({ ...none,
    feature: 'shop', method: 'GET', path: '/api/people', role: 'reader', summary: 'People of the shop',
    reply: z.array(t.person.extend({ login: z.string().nullable(), version: z.number().int() })),
  }),
  addPerson: endpoint({ ...none,
    feature: 'shop', method: 'POST', path: '/api/people', role: 'lead', summary: 'Makes an account',
    body: z.object({ id, name, login: name, password, role }), reply: t.person,
  }),
  changePerson: endpoint({ ...none,
    feature: 'shop', method: 'PATCH', path: '/api/people/:id', role: 'lead', summary: 'Changes a role, or lets somebody leave; at once everywhere', params: byId,
    body: z.object({ version: z.number().int(), role: role.optional(), active: z.boolean().optional(), password: password.optional() }), reply: t.person,
  }),
  importBundle: endpoint({ ...none,
    feature: 'shop', method: 'POST', path: '/api/import', role: 'lead', summary: 'Takes in vehicles, jobs and events of the past, all or nothing',
    body: z.lazy(() => bundle), reply: z.object({ written: z.number().int(), known: z.number().int() }),
  }),
  search: endpoint({ ...none,
    feature: 'shop', method: 'GET', path: '/api/search', role: 'reader', summary: 'Vehicles and parts by tag or name', query: z.object({ q: z.string().max(80) }),
    reply: z.array(z.object({ kind: z.enum(['vehicle', 'part']), tag: z.string().nullable(), title: z.string(), note: z.string(), to: z.string() })),
  }),
};

const bundlePeople = z.object({ id, name, login: name, password, role });
/** The open import format: records of the past with their own authors and dates. */
export const bundle = z.object({
  people: z.array(bundlePeople).default([]),
  gauges: z.array(t.gauge).default([]),
  limits: z.array(t.limit).default([]),
  vehicles: z.array(z.object({ vehicle: t.vehicle, layout: t.layout })).default([]),
  jobs: z.array(t.job).default([]),
  parts: z.array(t.part).default([]),
  events: z.object({
    sets: z.array(EVENTS.sets.record), readings: z.array(EVENTS.readings.record), takeBacks: z.array(EVENTS.takeBacks.record), findings: z.array(EVENTS.findings.record),
    observations: z.array(EVENTS.observations.record), decisions: z.array(EVENTS.decisions.record), operations: z.array(EVENTS.operations.record),
    operationEvents: z.array(EVENTS.operationEvents.record), torques: z.array(EVENTS.torques.record), bleedPulls: z.array(EVENTS.bleedPulls.record),
    fluidServices: z.array(EVENTS.fluidServices.record), proofs: z.array(EVENTS.proofs.record), acceptances: z.array(EVENTS.acceptances.record),
    cautionAcks: z.array(EVENTS.cautionAcks.record), partEvents: z.array(EVENTS.partEvents.record), counters: z.array(EVENTS.counters.record),
  }).partial(),
  /** Jobs handed back then: the sheet is derived here, from the records. */
  releases: z.array(z.object({ id, jobId: id, releasedBy: id, releasedAt: instant })).default([]),
}).meta({ id: 'ImportBundle' });
export type Bundle = z.input<typeof bundle>;

const yardJob = z.object({
  jobId: id, vehicle: t.vehicle, layout: t.layout, kind: t.jobKind, promised: day.nullable(), stage: z.string().nullable(), share: z.number(),
  stages: z.array(z.object({ stage: z.string(), note: z.string(), hatched: z.string().nullable(), open: z.number(), waiting: z.number(), all: z.number() })),
  counts: z.record(verdict, z.number()), marks: z.array(z.object({ slotId: id, verdict })), blocks: z.number().int(),
  next: z.object({ stage: z.string(), what: z.string(), slotId: id.nullable() }).nullable(), waits: z.array(z.string()), running: z.number().int(),
});
export type YardJob = z.infer<typeof yardJob>;

const yard = {
  yard: endpoint({ ...none,
    feature: 'yard', method: 'GET', path: '/api/yard', role: 'reader', summary: 'The vehicles in the shop, and what falls due',
    reply: z.object({
      jobs: z.array(yardJob),
      fluid: z.array(z.object({ vehicleId: id, tag: z.string(), name: z.string(), changed: day, due: day, why: z.string(), water: z.number().nullable(), jobId: id.nullable() })),
      handedBack: z.array(z.object({ jobId: id, vehicleId: id, tag: z.string(), name: z.string(), releasedAt: instant })),
    }),
  }),
  job: endpoint({ ...none, feature: 'yard', method: 'GET', path: '/api/jobs/:jobId', role: 'reader', summary: 'Everything a job stands on', params: ofJob, reply: t.jobFile }),
};

const bookin = {
  bookIn: endpoint({ ...none,
    feature: 'bookin', method: 'POST', path: '/api/vehicles', role: 'technician', summary: 'Books in a vehicle that is new to the shop',
    body: z.object({ vehicleId: id, vehicle: t.vehicleFields, owner: z.object({ name: words(120), contact: words(300) }).nullable(), layout: t.layout, job: t.jobFields.extend({ id }) }),
    reply: z.object({ vehicleId: id, jobId: id }),
  }),
  openJob: endpoint({ ...none,
    feature: 'bookin', method: 'POST', path: '/api/vehicles/:id/jobs', role: 'technician', summary: 'Opens a job on a vehicle the shop knows', params: byId,
    body: t.jobFields.extend({ id }), reply: z.object({ vehicleId: id, jobId: id }),
  }),
  changeJob: endpoint({ ...none,
    feature: 'bookin', method: 'PATCH', path: '/api/jobs/:jobId', role: 'technician', summary: 'Changes promise, scope and what was said at the desk', params: ofJob,
    body: t.jobFields.extend({ version: z.number().int() }), reply: t.job,
  }),
  changeVehicle: endpoint({ ...none,
    feature: 'bookin', method: 'PATCH', path: '/api/vehicles/:id', role: 'technician', summary: 'Changes what is known of a vehicle', params: byId,
    body: t.vehicleFields.extend({ version: z.number().int() }), reply: t.vehicle,
  }),
  owner: endpoint({ ...none,
    feature: 'bookin', method: 'GET', path: '/api/vehicles/:id/owner', role: 'technician', summary: 'The owner’s contact, for those who need it', params: byId,
    reply: z.object({ name: z.string(), contact: z.string() }).nullable(),
  }),
  nextTag: endpoint({ ...none, feature: 'bookin', method: 'GET', path: '/api/next-vehicle-tag', role: 'technician', summary: 'A vehicle tag that is free', reply: z.object({ tag: z.string() }) }),
  readCounter: eventEndpoint('bookin', EVENTS.counters, 'counters', 'Notes the distance on the counter'),
  acknowledge: eventEndpoint('bookin', EVENTS.cautionAcks, 'caution-acks', 'Acknowledges a caution by name'),
  takeBack: eventEndpoint('bookin', EVENTS.takeBacks, 'take-backs', 'Takes an event back'),
};

const work = {
  observe: eventEndpoint('trace', EVENTS.observations, 'observations', 'Notes an observation'),
  beginSet: eventEndpoint('gauge', EVENTS.sets, 'sets', 'Begins a set of readings'),
  takeReading: eventEndpoint('gauge', EVENTS.readings, 'readings', 'Takes a reading'),
  find: eventEndpoint('gauge', EVENTS.findings, 'findings', 'Notes a finding'),
  decide: eventEndpoint('decide', EVENTS.decisions, 'decisions', 'Decides about a part'),
  planOperation: eventEndpoint('rebuild', EVENTS.operations, 'operations', 'Puts an operation on the list'),
  logOperation: eventEndpoint('rebuild', EVENTS.operationEvents, 'operation-events', 'Starts, stops or finishes an operation'),
  logTorque: eventEndpoint('rebuild', EVENTS.torques, 'torques', 'Records a torque'),
  logPart: eventEndpoint('parts', EVENTS.partEvents, 'part-events', 'Records what happened to a part'),
  pull: eventEndpoint('bleed', EVENTS.bleedPulls, 'bleed-pulls', 'Records what came at a bleeder'),
  serveFluid: eventEndpoint('bleed', EVENTS.fluidServices, 'fluid-services', 'Names the fluid that goes in'),
  prove: eventEndpoint('prove', EVENTS.proofs, 'proofs', 'Answers a proof'),
  accept: eventEndpoint('prove', EVENTS.acceptances, 'acceptances', 'Accepts what blocks, by name and with a reason'),
  release: endpoint({ ...none,
    feature: 'prove', method: 'POST', path: '/api/jobs/:jobId/release', role: 'lead', summary: 'Hands the vehicle back', params: ofJob,
    body: z.object({ id, password: z.string().max(200) }), reply: t.release,
  }),
};

const partFacts = z.object({ part: t.part, vehicleTag: z.string().nullable(), vehicleName: z.string().nullable(), place: z.string().nullable(), jobId: id.nullable(), where: z.enum(['slot', 'shelf', 'away', 'scrap', 'unknown']) });
const parts = {
  parts: endpoint({ ...none, feature: 'parts', method: 'GET', path: '/api/parts', role: 'reader', summary: 'Tagged parts', query: z.object({ q: z.string().max(80).optional() }), reply: z.array(partFacts) }),
  part: endpoint({ ...none,
    feature: 'parts', method: 'GET', path: '/api/parts/:id', role: 'reader', summary: 'A part and its life', params: byId,
    reply: partFacts.extend({ life: z.array(z.object({ at: instant, what: z.string(), where: z.string(), by: z.string(), jobId: id })) }),
  }),
  bindTag: endpoint({ ...none,
    feature: 'parts', method: 'POST', path: '/api/parts/:id/tag', role: 'technician', summary: 'Binds a physical tag to a part', params: byId,
    body: z.object({ tag: z.string().trim().min(1).max(20), partNumber: words(60).nullable() }), reply: t.part,
  }),
};

const limits = {
  limits: endpoint({ ...none, feature: 'limits', method: 'GET', path: '/api/limits', role: 'reader', summary: 'The limit book, newest versions', query: z.object({ vehicleId: id.optional() }), reply: z.array(t.limit) }),
  enterLimit: endpoint({ ...none,
    feature: 'limits', method: 'POST', path: '/api/limits', role: 'technician', summary: 'Enters a limit, or a new version of one',
    body: t.limitFields.extend({ id }), reply: t.limit,
  }),
  checkLimit: endpoint({ ...none, feature: 'limits', method: 'POST', path: '/api/limits/:id/check', role: 'technician', summary: 'A second person checks a limit against its source', params: byId, body: z.object({}), reply: t.limit }),
};

const rack = {
  gauges: endpoint({ ...none, feature: 'rack', method: 'GET', path: '/api/gauges', role: 'reader', summary: 'Gauges on the rack, newest versions', reply: z.array(t.gauge) }),
  enterGauge: endpoint({ ...none, feature: 'rack', method: 'POST', path: '/api/gauges', role: 'technician', summary: 'Enters a gauge, or a new version of one', body: t.gaugeFields.extend({ id }), reply: t.gauge }),
};

/** The one table of endpoints. The server registers from it, the client is typed from it. */
export const ENDPOINTS = { ...shop, ...yard, ...bookin, ...work, ...parts, ...limits, ...rack };
export type EndpointName = keyof typeof ENDPOINTS;

/** The endpoint that takes events of a family. */
export const EVENT_ENDPOINT = {
  sets: 'beginSet', readings: 'takeReading', takeBacks: 'takeBack', findings: 'find', observations: 'observe', decisions: 'decide', operations: 'planOperation',
  operationEvents: 'logOperation', torques: 'logTorque', bleedPulls: 'pull', fluidServices: 'serveFluid', proofs: 'prove', acceptances: 'accept', cautionAcks: 'acknowledge',
  partEvents: 'logPart', counters: 'readCounter',
} as const satisfies Record<EventFamily, EndpointName>;

