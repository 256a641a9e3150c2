/** What is ordered and sent out, lots and the store, and by what articles are known. */
import type { Comeback, LotVersion, OrderLine, OrderLook, OrderStep, SendOut, SendOutStep, StockMove } from '@dauer/core/ledger';
import type { Corner } from '@dauer/core/layout';
import type { UnitId } from '@dauer/core/quantity';
import { boolean, date, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { job, part } from './entities.ts';
import { event } from './events.ts';
import { articleVersion, entered, money, supplier } from './prices.ts';

const ofSupplier = () => ({
  supplierId: uuid()
    .notNull()
    .references(() => supplier.id),
  supplier: text().notNull(),
});

export const orderLines = pgTable(
  'order_line',
  {
    ...event(),
    ...ofSupplier(),
    name: text().notNull(),
    articleId: uuid().references(() => articleVersion.id),
    partNumber: text(),
    supply: text().$type<OrderLine['supply']>().notNull(),
    count: integer().notNull(),
    places: uuid().array().notNull(),
    need: text(),
    price: money(),
    core: money(),
    expected: date(),
    shopsOwn: boolean().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const orderSteps = pgTable(
  'order_step',
  {
    ...event(),
    lineId: uuid()
      .notNull()
      .references(() => orderLines.id),
    kind: text().$type<OrderStep['kind']>().notNull(),
    count: integer().notNull(),
    day: date(),
    result: text().$type<OrderStep['result']>(),
    slotId: uuid(),
    amount: money(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.lineId)],
);
export const partFacts = pgTable(
  'part_fact',
  {
    ...event(),
    fact: text().notNull(),
    slotId: uuid(),
    partId: uuid().references(() => part.id),
    lineId: uuid().references(() => orderLines.id),
    typed: text().notNull(),
    unit: text().$type<UnitId>(),
    canonical: doublePrecision(),
    gaugeVersionId: uuid(),
  },
  (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.fact, t.canonical)],
);
export const orderLooks = pgTable(
  'order_look',
  {
    ...event(),
    corner: text().$type<Corner>(),
    thing: text().$type<OrderLook['thing']>().notNull(),
    answer: text().$type<OrderLook['answer']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const sendOuts = pgTable(
  'send_out',
  {
    ...event(),
    ...ofSupplier(),
    batch: text().notNull(),
    partId: uuid()
      .notNull()
      .references(() => part.id),
    slotId: uuid().notNull(),
    process: text().$type<SendOut['process']>().notNull(),
    size: text().notNull(),
    colour: text().notNull(),
    gloss: text().notNull(),
    masks: jsonb().$type<SendOut['masks']>().notNull(),
    count: integer().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.partId)],
);
export const sendOutSteps = pgTable(
  'send_out_step',
  {
    ...event(),
    sendOutId: uuid()
      .notNull()
      .references(() => sendOuts.id),
    kind: text().$type<SendOutStep['kind']>().notNull(),
    day: date(),
    result: text().$type<SendOutStep['result']>(),
    count: integer(),
    looked: jsonb().$type<SendOutStep['looked']>().notNull(),
    amount: money(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.sendOutId)],
);
export const lotUses = pgTable(
  'lot_use',
  {
    ...event(),
    lotId: uuid().notNull(),
    slotId: uuid(),
    partId: uuid().references(() => part.id),
    reason: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.lotId)],
);
export const comebacks = pgTable(
  'comeback',
  {
    ...event(),
    slotId: uuid().notNull(),
    repairedIn: uuid()
      .notNull()
      .references(() => job.id),
    answer: text().$type<Comeback['answer']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.repairedIn)],
);
/** Versions of what is written of a lot: never changed. */
export const lotVersion = pgTable(
  'lot_version',
  {
    id: uuid().primaryKey(),
    seriesId: uuid().notNull(),
    label: text().notNull(),
    kind: text().$type<LotVersion['kind']>().notNull(),
    name: text().notNull(),
    partNumber: text(),
    supplierId: uuid().references(() => supplier.id),
    made: text(),
    bought: text(),
    opened: text(),
    batch: text().notNull(),
    torque: text().notNull(),
    bedding: text().notNull(),
    cure: text().notNull(),
    note: text().notNull(),
    compound: text().notNull(),
    grade: text().notNull(),
    meantFor: text().notNull(),
    coating: text().notNull(),
    ratedC: doublePrecision(),
    lifted: text().$type<LotVersion['lifted']>().notNull(),
    shelfYears: doublePrecision(),
    closed: boolean().notNull(),
    recalled: text().notNull(),
    ...entered(),
  },
  (t) => [index().on(t.seriesId)],
);
export const stockMove = pgTable(
  'stock_move',
  {
    id: uuid().primaryKey(),
    seriesId: uuid().notNull(),
    kind: text().$type<StockMove['kind']>().notNull(),
    count: integer().notNull(),
    jobId: uuid().references(() => job.id),
    note: text().notNull(),
    ...entered(),
  },
  (t) => [index().on(t.seriesId)],
);
