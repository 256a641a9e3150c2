/** What things cost, from whom they come, what the shop reckons with, and what an owner was shown. */
import type { ComponentKind } from '@dauer/core/layout';
import type { ArticleVersion, OfferSheet } from '@dauer/core/ledger';
import type { LimitAxle } from '@dauer/core/verdict';
import { bigint, boolean, date, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { account, job } from './entities.ts';
import { instant, now } from './instant.ts';

/** A sum, minor units. */
export const money = () => bigint({ mode: 'number' });
/** By whom a version was entered, and when. */
export const entered = () => ({
  enteredBy: uuid()
    .notNull()
    .references(() => account.id),
  enteredAt: instant().notNull().$default(now),
});

export const supplier = pgTable('supplier', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  contact: text().notNull(),
  active: boolean().notNull().default(true),
  version: integer().notNull().default(1),
});
export const articleVersion = pgTable(
  'article_version',
  {
    id: uuid().primaryKey(),
    seriesId: uuid().notNull(),
    name: text().notNull(),
    partNumber: text(),
    supply: text().$type<ArticleVersion['supply']>().notNull(),
    kind: text().$type<ComponentKind>(),
    process: text().$type<ArticleVersion['process']>(),
    fits: text().$type<ArticleVersion['fits']>().notNull(),
    appliesTo: text(),
    make: text(),
    model: text(),
    axle: text().$type<LimitAxle>(),
    supplierId: uuid().references(() => supplier.id),
    price: money(),
    tax: text().$type<ArticleVersion['tax']>().notNull(),
    pricedOn: date().notNull(),
    leadDays: integer(),
    core: money().notNull(),
    scarcity: text().$type<ArticleVersion['scarcity']>().notNull(),
    covers: text().$type<ArticleVersion['covers']>().notNull(),
    contents: jsonb().$type<ArticleVersion['contents']>().notNull(),
    states: jsonb().$type<ArticleVersion['states']>().notNull().default({}),
    retired: boolean().notNull(),
    ...entered(),
  },
  (t) => [index().on(t.seriesId), index().on(t.fits, t.appliesTo), index().on(t.make)],
);
export const ratesVersion = pgTable('rates_version', {
  id: uuid().primaryKey(),
  currency: text(),
  hourly: money().notNull(),
  hoursADay: doublePrecision().notNull(),
  bayADay: money().notNull(),
  shipping: money().notNull(),
  towing: money().notNull(),
  standardPermille: integer().notNull(),
  reducedPermille: integer().notNull(),
  reason: text().notNull(),
  ...entered(),
});
export const houseRuleVersion = pgTable('house_rule_version', {
  id: uuid().primaryKey(),
  rule: text().notNull(),
  school: text().notNull(),
  reason: text().notNull(),
  ...entered(),
});
/** A sheet as the owner was shown it: never changed. */
export const offer = pgTable(
  'offer',
  {
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    sheet: jsonb().$type<OfferSheet>().notNull(),
    hash: text().notNull(),
    madeBy: uuid()
      .notNull()
      .references(() => account.id),
    madeAt: instant().notNull().$default(now),
  },
  (t) => [index().on(t.jobId)],
);
