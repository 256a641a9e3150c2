/** What happened: only ever added to; the database itself refuses to change it. */
import type { FindingCode, FluidClass, MeasurementId, OptionId, Position, ProofResult } from '@dauer/core/catalogue';
import type { Corner } from '@dauer/core/layout';
import type {
  BleedMethod,
  BleedPull,
  CauseLook,
  CostEntry,
  Finding,
  HandbackSheet,
  JointEventKind,
  JointSeal,
  Leaving,
  Observation,
  OperationEvent,
  OwnerChoice,
  PartEventKind,
  Phase,
  PutInKind,
  Surface,
  Decision,
} from '@dauer/core/ledger';
import type { UnitId } from '@dauer/core/quantity';
import { bigint, boolean, date, doublePrecision, index, integer, jsonb, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { instant, now } from './instant.ts';
import { offer } from './prices.ts';
import { account, gauge, importBatch, job, part, vehicle } from './entities.ts';

export const event = () => ({
  id: uuid().primaryKey(),
  jobId: uuid()
    .notNull()
    .references(() => job.id),
  authorId: uuid()
    .notNull()
    .references(() => account.id),
  device: text().notNull(),
  happenedAt: instant().notNull(),
  recordedAt: instant().notNull().$default(now),
  corrects: uuid(),
});

export const sets = pgTable(
  'reading_set',
  {
    ...event(),
    slotId: uuid().notNull(),
    partId: uuid().references(() => part.id),
    measurement: text().$type<MeasurementId>().notNull(),
    phase: text().$type<Phase>().notNull(),
    surface: text().$type<Surface>().notNull(),
    cold: boolean().notNull(),
    averages: boolean().notNull(),
    count: integer().notNull(),
    turn: integer().notNull().default(0),
    studs: integer(),
    blind: boolean().notNull().default(false),
  },
  (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.slotId)],
);
export const readings = pgTable(
  'reading',
  {
    ...event(),
    setId: uuid()
      .notNull()
      .references(() => sets.id),
    frame: text().$type<Position['frame']>().notNull(),
    angleDeg: doublePrecision(),
    place: text(),
    pass: integer().notNull(),
    gaugeVersionId: uuid().references(() => gauge.id),
    typed: text().notNull(),
    unit: text().$type<UnitId>().notNull(),
    canonical: doublePrecision().notNull(),
    resolution: doublePrecision().notNull(),
    fraction: boolean().notNull(),
  },
  (t) => [index().on(t.setId)],
);
export const setMoves = pgTable(
  'set_move',
  {
    ...event(),
    setId: uuid()
      .notNull()
      .references(() => sets.id),
    slotId: uuid().notNull(),
    partId: uuid().references(() => part.id),
    supersedes: uuid().array(),
  },
  (t) => [index().on(t.jobId), index().on(t.setId), index().on(t.partId)],
);
export const leftItems = pgTable(
  'left_item',
  { ...event(), closedBy: uuid(), slotId: uuid().notNull(), item: text().notNull(), what: text().notNull() },
  (t) => [index().on(t.jobId)],
);
export const leavings = pgTable('leaving', { ...event(), how: text().$type<Leaving['how']>().notNull(), note: text().notNull() }, (t) => [
  index().on(t.jobId),
]);
export const causeLooks = pgTable(
  'cause_look',
  {
    ...event(),
    fault: text().notNull(),
    place: text().notNull(),
    state: text().$type<CauseLook['state']>().notNull(),
    said: doublePrecision(),
    rank: integer(),
  },
  (t) => [index().on(t.jobId)],
);
export const takeBacks = pgTable('take_back', { ...event(), reason: text().notNull().default('') }, (t) => [
  index().on(t.jobId),
  index().on(t.corrects),
]);
export const findings = pgTable(
  'finding',
  {
    ...event(),
    slotId: uuid().notNull(),
    partId: uuid().references(() => part.id),
    words: text().notNull(),
    code: text().$type<FindingCode>(),
    severity: text().$type<Finding['severity']>().notNull(),
    cleaning: text().$type<'before' | 'after'>().notNull(),
    rulesOut: text().array().$type<OptionId[]>().notNull(),
    settles: uuid(),
    entry: text(),
    place: text(),
    fromMm: doublePrecision(),
    toMm: doublePrecision(),
    depthMm: doublePrecision(),
    doneHere: text(),
  },
  (t) => [index().on(t.jobId)],
);
export const observations = pgTable(
  'observation',
  { ...event(), code: text().notNull(), corner: text().$type<Corner>(), state: text().$type<Observation['state']>().notNull() },
  (t) => [index().on(t.jobId)],
);
export const decisions = pgTable(
  'decision',
  {
    ...event(),
    slotId: uuid().notNull(),
    partId: uuid().references(() => part.id),
    option: text().$type<OptionId>().notNull(),
    reason: text().notNull(),
    reviewOn: date(),
    untilKm: doublePrecision(),
    access: text(),
    code: text().$type<Decision['code']>(),
    metal: text().$type<Decision['metal']>(),
    supersedes: uuid().array(),
  },
  (t) => [index().on(t.jobId)],
);
export const costEntries = pgTable(
  'cost_entry',
  {
    ...event(),
    slotId: uuid().notNull(),
    option: text().$type<OptionId>().notNull(),
    term: text().$type<CostEntry['term']>().notNull(),
    amount: bigint({ mode: 'number' }),
    minutes: integer(),
    reason: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const ownerChoices = pgTable(
  'owner_choice',
  {
    ...event(),
    offerId: uuid()
      .notNull()
      .references(() => offer.id),
    answer: text().$type<OwnerChoice['answer']>().notNull(),
    variant: text(),
    picks: jsonb().$type<OwnerChoice['picks']>().notNull(),
    sum: bigint({ mode: 'number' }).notNull(),
    by: text('said_by').notNull(),
    how: text().$type<OwnerChoice['how']>().notNull(),
    code: text(),
    wishes: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const operations = pgTable(
  'operation',
  { ...event(), slotId: uuid(), title: text().notNull(), attendedMinutes: integer().notNull() },
  (t) => [index().on(t.jobId)],
);
export const operationEvents = pgTable(
  'operation_event',
  {
    ...event(),
    operationId: uuid()
      .notNull()
      .references(() => operations.id),
    kind: text().$type<OperationEvent['kind']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const torques = pgTable(
  'torque',
  {
    ...event(),
    slotId: uuid(),
    point: text().notNull(),
    targetTyped: text().notNull(),
    target: doublePrecision().notNull(),
    typed: text().notNull(),
    unit: text().$type<UnitId>().notNull(),
    canonical: doublePrecision().notNull(),
    toTyped: text().notNull().default(''),
    targetTo: doublePrecision().notNull().default(0),
    passes: integer().notNull().default(1),
    angleDeg: doublePrecision(),
    wrench: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const bleedPulls = pgTable(
  'bleed_pull',
  {
    ...event(),
    slotId: uuid().notNull(),
    volumeTyped: text().notNull(),
    volumeMl: doublePrecision().notNull(),
    colour: text().$type<BleedPull['colour']>().notNull(),
    air: text().$type<BleedPull['air']>().notNull(),
    closed: boolean().notNull(),
    method: text().$type<BleedMethod>(),
  },
  (t) => [index().on(t.jobId)],
);
export const fluidServices = pgTable(
  'fluid_service',
  {
    ...event(),
    product: text().notNull(),
    fluidClass: text().$type<FluidClass>().notNull(),
    batch: text().notNull(),
    lowMoisture: boolean().notNull(),
    dryC: doublePrecision(),
    wetC: doublePrecision(),
    hottestC: doublePrecision(),
    makerMonths: integer(),
  },
  (t) => [index().on(t.jobId)],
);
export const fluidSamples = pgTable(
  'fluid_sample',
  {
    ...event(),
    slotId: uuid().notNull(),
    waterPercent: doublePrecision(),
    boilC: doublePrecision(),
    fluidClass: text().$type<FluidClass>(),
    how: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const proofs = pgTable(
  'proof',
  {
    ...event(),
    item: text().notNull(),
    slotId: uuid(),
    corner: text().$type<Corner>(),
    result: text().$type<ProofResult>().notNull(),
    note: text().notNull(),
    roadTyped: text(),
    roadKm: doublePrecision(),
    felt: jsonb().$type<readonly string[]>(),
  },
  (t) => [index().on(t.jobId)],
);
export const acceptances = pgTable('acceptance', { ...event(), obligation: text().notNull(), reason: text().notNull() }, (t) => [
  index().on(t.jobId),
]);
export const cautionAcks = pgTable('caution_ack', { ...event(), caution: text().notNull() }, (t) => [index().on(t.jobId)]);
export const partEvents = pgTable(
  'part_event',
  {
    ...event(),
    partId: uuid()
      .notNull()
      .references(() => part.id),
    kind: text().$type<PartEventKind>().notNull(),
    slotId: uuid(),
    note: text().notNull(),
    temporary: boolean().notNull().default(false),
    until: date(),
    lot: text(),
    lineOn: boolean().notNull().default(false),
  },
  (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.slotId)],
);
export const putIns = pgTable(
  'put_in',
  { ...event(), slotId: uuid().notNull(), what: text().$type<PutInKind>().notNull(), note: text().notNull(), port: text() },
  (t) => [index().on(t.jobId)],
);
export const takenOuts = pgTable(
  'taken_out',
  {
    ...event(),
    putInId: uuid()
      .notNull()
      .references(() => putIns.id),
  },
  (t) => [index().on(t.jobId), index().on(t.putInId)],
);
export const jointEvents = pgTable(
  'joint_event',
  {
    ...event(),
    connectionId: uuid().notNull(),
    slotId: uuid().notNull(),
    kind: text().$type<JointEventKind>().notNull(),
    seal: text().$type<JointSeal>(),
    note: text().notNull(),
    typed: text(),
    torqueNm: doublePrecision(),
  },
  (t) => [index().on(t.jobId)],
);
export const counters = pgTable(
  'counter_reading',
  {
    ...event(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    typed: text().notNull(),
    km: doublePrecision().notNull(),
  },
  (t) => [index().on(t.vehicleId)],
);

/** Immutable: what was handed back, exactly as shown. One a job. */
export const release = pgTable(
  'release_record',
  {
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    /** Nobody of this shop for what was handed back before its records, as told: then the import says by whom and from what. */
    releasedBy: uuid().references(() => account.id),
    importId: uuid().references(() => importBatch.id),
    releasedAt: instant().notNull(),
    ownWork: boolean().notNull(),
    ruleVersion: text().notNull(),
    sheet: jsonb().$type<HandbackSheet>().notNull(),
    /** Ids of the limit and gauge versions it stands on. */
    basis: jsonb().$type<{ limits: string[]; gauges: string[] }>().notNull(),
  },
  (t) => [unique().on(t.jobId)],
);
