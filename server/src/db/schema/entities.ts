/** What is: people, vehicles, places, parts, gauges and limits. */
import type { Climate, GaugeKind } from '@dauer/core/catalogue';
import type { ComponentKind, ConnectionKind, Corner, Drive, LayoutRevision } from '@dauer/core/layout';
import type { Finish, JobKind, Storage, Use, Vehicle } from '@dauer/core/ledger';
import type { LimitAxle, LimitScope, LimitSource } from '@dauer/core/verdict';
import { bigint, boolean, date, doublePrecision, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { instant, now } from './instant.ts';

/** What is counted: passwords by name and by address, passwords asked once more by session, PINs by tablet. */
export type AttemptKind = 'name' | 'known_device' | 'address' | 'again' | 'pin' | 'tablet' | 'calendar';

export const shop = pgTable('shop', {
  id: integer().primaryKey(),
  name: text().notNull(),
  timeZone: text().notNull(),
  demo: boolean().notNull().default(false),
  /** ISO 4217 code that sums are in; null until a lead sets it. */
  currency: text(),
  locale: text().notNull().default('en-GB'),
  version: integer().notNull().default(1),
});
/** Keys the processes share; never in the code, never sent. */
export const secret = pgTable('secret', { name: text().primaryKey(), value: text().notNull() });

export const account = pgTable('account', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  initials: text().notNull(),
  login: text().notNull().unique(),
  passwordHash: text().notNull(),
  /** Opens only a registered tablet. */
  pinHash: text(),
  role: text().$type<'reader' | 'technician' | 'lead'>().notNull(),
  active: boolean().notNull().default(true),
  createdAt: instant().notNull().$default(now),
  version: integer().notNull().default(1),
});
export const session = pgTable(
  'session',
  {
    id: uuid().primaryKey(),
    accountId: uuid()
      .notNull()
      .references(() => account.id),
    startedAt: instant().notNull().$default(now),
    expiresAt: instant().notNull(),
    endedAt: instant(),
    tabletId: uuid(),
  },
  (t) => [index().on(t.accountId)],
);
/** A tablet that people switch on with a PIN; its cookie holds the id. */
export const tablet = pgTable('tablet', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  registeredBy: uuid()
    .notNull()
    .references(() => account.id),
  registeredAt: instant().notNull().$default(now),
  endedAt: instant(),
});
/** Attempts at passwords and PINs, counted before each is tried: a kind, what it is counted by, and since when. */
export const attempt = pgTable(
  'attempt',
  {
    kind: text().$type<AttemptKind>().notNull(),
    subject: text().notNull(),
    tries: integer().notNull(),
    since: instant().notNull(),
    /** Before then none is tried; counted by name alone, where delays grow instead of a lock. */
    notBefore: instant(),
  },
  (t) => [primaryKey({ columns: [t.kind, t.subject] })],
);
/** What this book is since when: a restored one is another, so that devices send again what it may not have. */
export const incarnation = pgTable('incarnation', {
  id: uuid().primaryKey(),
  since: instant().notNull().$default(now),
  /** The instant up to which it was restored; null for the first. */
  restoredTo: instant(),
});
/** Records of the past that were taken in at once: by whom, from what. */
export const importBatch = pgTable('import_batch', {
  id: uuid().primaryKey(),
  source: text().notNull(),
  importedBy: uuid()
    .notNull()
    .references(() => account.id),
  importedAt: instant().notNull().$default(now),
});
/** Lines of an import that were looked at and wait to be taken in, job by job. */
export const importLine = pgTable(
  'import_line',
  {
    batchId: uuid()
      .notNull()
      .references(() => importBatch.id),
    seq: integer().notNull(),
    jobId: uuid(),
    kind: text().notNull(),
    body: jsonb().notNull(),
  },
  (t) => [primaryKey({ columns: [t.batchId, t.seq] }), index().on(t.batchId, t.jobId)],
);

// Things ----------------------------------------------------------------------

export const owner = pgTable('owner', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  contact: text().notNull(),
  /** Blanked on request: when, by whom, why. */
  erasedAt: instant(),
  erasedBy: uuid().references(() => account.id),
  erasedWhy: text(),
  version: integer().notNull().default(1),
});

export const vehicle = pgTable('vehicle', {
  id: uuid().primaryKey(),
  tag: text().notNull().unique(),
  name: text().notNull(),
  make: text().notNull(),
  model: text().notNull(),
  year: integer(),
  variant: text(),
  body: text().notNull(),
  use: text().$type<Use>().notNull(),
  climate: text().$type<Climate>().notNull(),
  storage: text().$type<Storage>().notNull(),
  standsYears: doublePrecision(),
  distanceUnit: text().$type<Vehicle['distanceUnit']>().notNull(),
  driven: text().$type<NonNullable<Vehicle['driven']>>(),
  stored: text().$type<NonNullable<Vehicle['stored']>>(),
  massKg: doublePrecision(),
  massFrontKg: doublePrecision(),
  wheelbaseMm: doublePrecision(),
  cgHeightMm: doublePrecision(),
  tyreRadiusFrontMm: doublePrecision(),
  tyreRadiusRearMm: doublePrecision(),
  ownerId: uuid().references(() => owner.id),
  version: integer().notNull().default(1),
});
/** A revision of a vehicle's layout; slots keep their ids across revisions. */
export const layout = pgTable(
  'layout',
  {
    id: uuid().primaryKey(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    template: text().notNull(),
    drive: text().$type<Drive>().notNull().default('right'),
    revision: text().$type<LayoutRevision['revision']>().notNull().default('first'),
    why: text().notNull().default(''),
    enteredBy: uuid().references(() => account.id),
    createdAt: instant().notNull().$default(now),
  },
  (t) => [index().on(t.vehicleId)],
);
export const slot = pgTable(
  'slot',
  {
    layoutId: uuid()
      .notNull()
      .references(() => layout.id),
    id: uuid().notNull(),
    ordinal: integer().notNull(),
    kind: text().$type<ComponentKind>().notNull(),
    name: text().notNull(),
    corner: text().$type<Corner>(),
    circuits: integer().array().notNull(),
    parentId: uuid(),
    boreMm: doublePrecision(),
    lengthMm: doublePrecision(),
    style: text(),
  },
  (t) => [primaryKey({ columns: [t.layoutId, t.id] }), index().on(t.id)],
);
export const connection = pgTable(
  'connection',
  {
    layoutId: uuid()
      .notNull()
      .references(() => layout.id),
    id: uuid().notNull(),
    from: uuid('from_slot').notNull(),
    to: uuid('to_slot').notNull(),
    kind: text().$type<ConnectionKind>().notNull(),
    circuit: integer(),
    lengthMm: doublePrecision(),
    boreMm: doublePrecision(),
  },
  (t) => [primaryKey({ columns: [t.layoutId, t.id] })],
);

export const job = pgTable(
  'job',
  {
    id: uuid().primaryKey(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    kind: text().$type<JobKind>().notNull(),
    complaint: text().notNull(),
    wants: text().notNull(),
    fluidKnown: text().notNull(),
    promised: date(),
    finish: text().$type<Finish>().notNull().default('not_said'),
    /** Gross, minor units of the shop's currency. */
    authorisedMinor: bigint({ mode: 'number' }),
    scopeCorners: text().array().$type<Corner[]>().notNull(),
    scopeIn: uuid().array().notNull().default([]),
    scopeOut: uuid().array().notNull().default([]),
    returnOf: uuid(),
    openedAt: instant().notNull().$default(now),
    openedBy: uuid()
      .notNull()
      .references(() => account.id),
    /** Taken in from elsewhere as history; null for a job of this shop's own. */
    importId: uuid().references(() => importBatch.id),
    version: integer().notNull().default(1),
  },
  (t) => [index().on(t.vehicleId)],
);

/** Who works on a job by a lead's word, and so sees the owner's contact. */
export const assignment = pgTable(
  'assignment',
  {
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    accountId: uuid()
      .notNull()
      .references(() => account.id),
    assignedBy: uuid()
      .notNull()
      .references(() => account.id),
    assignedAt: instant().notNull().$default(now),
    endedAt: instant(),
    endedBy: uuid().references(() => account.id),
  },
  (t) => [index().on(t.jobId)],
);

export const part = pgTable('part', {
  id: uuid().primaryKey(),
  tag: text().unique(),
  kind: text().$type<ComponentKind>().notNull(),
  name: text().notNull(),
  partNumber: text(),
  note: text().notNull().default(''),
});

export const gauge = pgTable(
  'gauge_version',
  {
    id: uuid().primaryKey(),
    gaugeId: uuid().notNull(),
    tag: text().notNull(),
    name: text().notNull(),
    kind: text().$type<GaugeKind>().notNull(),
    resolution: doublePrecision().notNull(),
    accuracy: doublePrecision().notNull(),
    shortSpan: doublePrecision().notNull(),
    rangeLow: doublePrecision(),
    rangeHigh: doublePrecision(),
    calibrationDue: date(),
    settingPiece: doublePrecision(),
    checkFirst: boolean().notNull().default(false),
    enteredBy: uuid()
      .notNull()
      .references(() => account.id),
    enteredAt: instant().notNull().$default(now),
  },
  (t) => [index().on(t.gaugeId)],
);

export const limit = pgTable(
  'limit_version',
  {
    id: uuid().primaryKey(),
    seriesId: text().notNull(),
    characteristic: text().notNull(),
    scope: text().$type<LimitScope>().notNull(),
    appliesTo: text(),
    make: text(),
    model: text(),
    yearFrom: integer(),
    yearTo: integer(),
    variant: text(),
    axle: text().$type<LimitAxle>(),
    bound: text().$type<'lower' | 'upper' | 'range'>().notNull(),
    nominal: doublePrecision(),
    machineTo: doublePrecision(),
    at: doublePrecision('at_figure'),
    low: doublePrecision(),
    high: doublePrecision(),
    gravity: text().$type<'safety' | 'function'>().notNull(),
    atLeast: boolean().notNull(),
    source: text().$type<LimitSource>().notNull(),
    sourceText: text().notNull(),
    asPrinted: text().notNull(),
    printedUnit: text().notNull(),
    enteredBy: uuid()
      .notNull()
      .references(() => account.id),
    enteredAt: instant().notNull().$default(now),
  },
  (t) => [index().on(t.seriesId), index().on(t.characteristic)],
);
/** A second person's check of a limit version: an event of its own, the version itself never changes. */
export const limitCheck = pgTable('limit_check', {
  limitId: uuid()
    .primaryKey()
    .references(() => limit.id),
  checkedBy: uuid()
    .notNull()
    .references(() => account.id),
  checkedAt: instant().notNull().$default(now),
});
