import type {
  BleedPull, Climate, ComponentKind, ConnectionKind, Corner, Finding, FluidClass, GaugeKind, HandbackSheet, JobKind, LimitScope, LimitSource, MeasurementId,
  Observation, OperationEvent, OptionId, PartEventKind, Phase, Position, ProofResult, Storage, Surface, UnitId, Use, Vehicle,
} from '@dauer/core';
import { boolean, customType, date, doublePrecision, index, integer, jsonb, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';

/** An instant: timestamptz in the database, ISO 8601 UTC in the program. */
export const instant = customType<{ data: string; driverData: Date | string }>({
  dataType: () => 'timestamp (3) with time zone',
  fromDriver: (value) => new Date(value).toISOString(),
  toDriver: (value) => value,
});

const now = (): string => new Date().toISOString();

// Who and where -------------------------------------------------------------

export const shop = pgTable('shop', {
  id: integer().primaryKey(), name: text().notNull(), timeZone: text().notNull(), demo: boolean().notNull().default(false), version: integer().notNull().default(1),
});
/** Keys the processes share; never in the code, never sent. */
export const secret = pgTable('secret', { name: text().primaryKey(), value: text().notNull() });

export const account = pgTable('account', {
  id: uuid().primaryKey(), name: text().notNull(), initials: text().notNull(), login: text().notNull().unique(), passwordHash: text().notNull(),
  role: text().$type<'reader' | 'technician' | 'lead'>().notNull(), active: boolean().notNull().default(true), createdAt: instant().notNull().$default(now), version: integer().notNull().default(1),
});
export const session = pgTable('session', {
  id: uuid().primaryKey(), accountId: uuid().notNull().references(() => account.id), startedAt: instant().notNull().$default(now), expiresAt: instant().notNull(), endedAt: instant(),
}, (t) => [index().on(t.accountId)]);
export const signInFailure = pgTable('sign_in_failure', { id: uuid().primaryKey(), login: text().notNull(), address: text().notNull(), at: instant().notNull() }, (t) => [index().on(t.login, t.at)]);

// Things ----------------------------------------------------------------------

export const owner = pgTable('owner', { id: uuid().primaryKey(), name: text().notNull(), contact: text().notNull(), version: integer().notNull().default(1) });

export const vehicle = pgTable('vehicle', {
  id: uuid().primaryKey(), tag: text().notNull().unique(), name: text().notNull(), make: text().notNull(), model: text().notNull(), year: integer(), variant: text(), body: text().notNull(),
  use: text().$type<Use>().notNull(), climate: text().$type<Climate>().notNull(), storage: text().$type<Storage>().notNull(), standsYears: doublePrecision(),
  distanceUnit: text().$type<Vehicle['distanceUnit']>().notNull(), ownerId: uuid().references(() => owner.id), version: integer().notNull().default(1),
});
/** A revision of a vehicle's layout; slots keep their ids across revisions. */
export const layout = pgTable('layout', { id: uuid().primaryKey(), vehicleId: uuid().notNull().references(() => vehicle.id), template: text().notNull(), createdAt: instant().notNull().$default(now) }, (t) => [index().on(t.vehicleId)]);
export const slot = pgTable('slot', {
  layoutId: uuid().notNull().references(() => layout.id), id: uuid().notNull(), ordinal: integer().notNull(), kind: text().$type<ComponentKind>().notNull(), name: text().notNull(),
  corner: text().$type<Corner>(), circuits: integer().array().notNull(), parentId: uuid(), boreMm: doublePrecision(), lengthMm: doublePrecision(), style: text(),
}, (t) => [primaryKey({ columns: [t.layoutId, t.id] }), index().on(t.id)]);
export const connection = pgTable('connection', {
  layoutId: uuid().notNull().references(() => layout.id), id: uuid().notNull(), from: uuid('from_slot').notNull(), to: uuid('to_slot').notNull(), kind: text().$type<ConnectionKind>().notNull(),
  circuit: integer(), lengthMm: doublePrecision(), boreMm: doublePrecision(),
}, (t) => [primaryKey({ columns: [t.layoutId, t.id] })]);

export const job = pgTable('job', {
  id: uuid().primaryKey(), vehicleId: uuid().notNull().references(() => vehicle.id), kind: text().$type<JobKind>().notNull(), complaint: text().notNull(), wants: text().notNull(),
  fluidKnown: text().notNull(), promised: date(), scopeCorners: text().array().$type<Corner[]>().notNull(), openedAt: instant().notNull().$default(now),
  openedBy: uuid().notNull().references(() => account.id), version: integer().notNull().default(1),
}, (t) => [index().on(t.vehicleId)]);

export const part = pgTable('part', {
  id: uuid().primaryKey(), tag: text().unique(), kind: text().$type<ComponentKind>().notNull(), name: text().notNull(), partNumber: text(), note: text().notNull().default(''),
});

export const gauge = pgTable('gauge_version', {
  id: uuid().primaryKey(), gaugeId: uuid().notNull(), tag: text().notNull(), name: text().notNull(), kind: text().$type<GaugeKind>().notNull(), resolution: doublePrecision().notNull(),
  accuracy: doublePrecision().notNull(), shortSpan: doublePrecision().notNull(), rangeLow: doublePrecision(), rangeHigh: doublePrecision(), calibrationDue: date(),
  enteredBy: uuid().notNull().references(() => account.id), enteredAt: instant().notNull().$default(now),
}, (t) => [index().on(t.gaugeId)]);

export const limit = pgTable('limit_version', {
  id: uuid().primaryKey(), seriesId: text().notNull(), characteristic: text().notNull(), scope: text().$type<LimitScope>().notNull(), appliesTo: text(), make: text(), model: text(),
  yearFrom: integer(), yearTo: integer(), variant: text(), axle: text().$type<'front' | 'rear'>(), bound: text().$type<'lower' | 'upper' | 'range'>().notNull(),
  nominal: doublePrecision(), machineTo: doublePrecision(), at: doublePrecision('at_figure'), low: doublePrecision(), high: doublePrecision(),
  gravity: text().$type<'safety' | 'function'>().notNull(), atLeast: boolean().notNull(), source: text().$type<LimitSource>().notNull(), sourceText: text().notNull(),
  asPrinted: text().notNull(), printedUnit: text().notNull(), enteredBy: uuid().notNull().references(() => account.id), enteredAt: instant().notNull().$default(now),
}, (t) => [index().on(t.seriesId), index().on(t.characteristic)]);
/** A second person's check of a limit version: an event of its own, the version itself never changes. */
export const limitCheck = pgTable('limit_check', {
  limitId: uuid().primaryKey().references(() => limit.id), checkedBy: uuid().notNull().references(() => account.id), checkedAt: instant().notNull().$default(now),
});

// Events: only ever added -------------------------------------------------------

const event = () => ({
  id: uuid().primaryKey(), jobId: uuid().notNull().references(() => job.id), authorId: uuid().notNull().references(() => account.id), device: text().notNull(),
  happenedAt: instant().notNull(), recordedAt: instant().notNull().$default(now), corrects: uuid(),
});

export const readingSet = pgTable('reading_set', {
  ...event(), slotId: uuid().notNull(), partId: uuid().references(() => part.id), measurement: text().$type<MeasurementId>().notNull(), phase: text().$type<Phase>().notNull(),
  surface: text().$type<Surface>().notNull(), cold: boolean().notNull(), averages: boolean().notNull(), count: integer().notNull(),
}, (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.slotId)]);
export const reading = pgTable('reading', {
  ...event(), setId: uuid().notNull().references(() => readingSet.id), frame: text().$type<Position['frame']>().notNull(), angleDeg: doublePrecision(), place: text(), pass: integer().notNull(),
  gaugeVersionId: uuid().references(() => gauge.id), typed: text().notNull(), unit: text().$type<UnitId>().notNull(), canonical: doublePrecision().notNull(), resolution: doublePrecision().notNull(),
  fraction: boolean().notNull(),
}, (t) => [index().on(t.setId)]);
export const takeBack = pgTable('take_back', event(), (t) => [index().on(t.jobId), index().on(t.corrects)]);
export const finding = pgTable('finding', {
  ...event(), slotId: uuid().notNull(), partId: uuid().references(() => part.id), words: text().notNull(), severity: text().$type<Finding['severity']>().notNull(),
  cleaning: text().$type<'before' | 'after'>().notNull(), rulesOut: text().array().$type<OptionId[]>().notNull(), settles: uuid(),
}, (t) => [index().on(t.jobId)]);
export const observation = pgTable('observation', { ...event(), code: text().notNull(), corner: text().$type<Corner>(), state: text().$type<Observation['state']>().notNull() }, (t) => [index().on(t.jobId)]);
export const decision = pgTable('decision', {
  ...event(), slotId: uuid().notNull(), partId: uuid().references(() => part.id), option: text().$type<OptionId>().notNull(), reason: text().notNull(), reviewOn: date(),
}, (t) => [index().on(t.jobId)]);
export const operation = pgTable('operation', { ...event(), slotId: uuid(), title: text().notNull(), attendedMinutes: integer().notNull() }, (t) => [index().on(t.jobId)]);
export const operationEvent = pgTable('operation_event', { ...event(), operationId: uuid().notNull().references(() => operation.id), kind: text().$type<OperationEvent['kind']>().notNull(), note: text().notNull() }, (t) => [index().on(t.jobId)]);
export const torque = pgTable('torque', {
  ...event(), slotId: uuid(), point: text().notNull(), targetTyped: text().notNull(), target: doublePrecision().notNull(), typed: text().notNull(), unit: text().$type<UnitId>().notNull(),
  canonical: doublePrecision().notNull(), wrench: text().notNull(),
}, (t) => [index().on(t.jobId)]);
export const bleedPull = pgTable('bleed_pull', {
  ...event(), slotId: uuid().notNull(), volumeTyped: text().notNull(), volumeMl: doublePrecision().notNull(), colour: text().$type<BleedPull['colour']>().notNull(),
  air: text().$type<BleedPull['air']>().notNull(), closed: boolean().notNull(),
}, (t) => [index().on(t.jobId)]);
export const fluidService = pgTable('fluid_service', { ...event(), product: text().notNull(), fluidClass: text().$type<FluidClass>().notNull(), batch: text().notNull(), lowMoisture: boolean().notNull() }, (t) => [index().on(t.jobId)]);
export const proof = pgTable('proof', { ...event(), item: text().notNull(), slotId: uuid(), corner: text().$type<Corner>(), result: text().$type<ProofResult>().notNull(), note: text().notNull() }, (t) => [index().on(t.jobId)]);
export const acceptance = pgTable('acceptance', { ...event(), obligation: text().notNull(), reason: text().notNull() }, (t) => [index().on(t.jobId)]);
export const cautionAck = pgTable('caution_ack', { ...event(), caution: text().notNull() }, (t) => [index().on(t.jobId)]);
export const partEvent = pgTable('part_event', { ...event(), partId: uuid().notNull().references(() => part.id), kind: text().$type<PartEventKind>().notNull(), slotId: uuid(), note: text().notNull() }, (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.slotId)]);
export const counter = pgTable('counter_reading', { ...event(), vehicleId: uuid().notNull().references(() => vehicle.id), typed: text().notNull(), km: doublePrecision().notNull() }, (t) => [index().on(t.vehicleId)]);

/** Immutable: what was handed back, exactly as shown. One a job. */
export const release = pgTable('release_record', {
  id: uuid().primaryKey(), jobId: uuid().notNull().references(() => job.id), releasedBy: uuid().notNull().references(() => account.id), releasedAt: instant().notNull(),
  ownWork: boolean().notNull(), ruleVersion: text().notNull(), sheet: jsonb().$type<HandbackSheet>().notNull(),
  /** Ids of the limit and gauge versions it stands on. */
  basis: jsonb().$type<{ limits: string[]; gauges: string[] }>().notNull(),
}, (t) => [unique().on(t.jobId)]);
