/** What is known of a gauge beside its own figures: calibrations, looks at the setting piece, repeat studies, call-backs. */
import type { FindingSeverity } from '@dauer/core/catalogue';
import type { ComponentKind } from '@dauer/core/layout';
import type { Calibration } from '@dauer/core/ledger';
import { date, doublePrecision, index, integer, jsonb, pgTable, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { v7 } from 'uuid';
import { instant, now } from './instant.ts';
import { account } from './entities.ts';

const entered = () => ({
  id: uuid().primaryKey(),
  gaugeId: uuid().notNull(),
  enteredBy: uuid()
    .notNull()
    .references(() => account.id),
  enteredAt: instant().notNull().$default(now),
});
export const calibration = pgTable(
  'calibration',
  {
    ...entered(),
    on: date('on_day').notNull(),
    by: text('done_by').notNull(),
    result: text().$type<Calibration['result']>().notNull(),
    offBy: doublePrecision(),
    certificate: text().notNull(),
    nextDue: date(),
  },
  (t) => [index().on(t.gaugeId)],
);
export const gaugeCheck = pgTable(
  'gauge_check',
  { ...entered(), nominal: doublePrecision().notNull(), read: doublePrecision().notNull() },
  (t) => [index().on(t.gaugeId)],
);
export const repeatStudy = pgTable(
  'repeat_study',
  {
    ...entered(),
    place: text().notNull(),
    readings: jsonb().$type<{ person: string; value: number }[]>().notNull(),
    shortSpan: doublePrecision().notNull(),
  },
  (t) => [index().on(t.gaugeId)],
);
/** Somebody agreed to a generic torque: an event of its own. */
export const torqueCheck = pgTable(
  'torque_check',
  {
    id: uuid().primaryKey().$default(v7),
    torque: text().notNull(),
    checkedBy: uuid()
      .notNull()
      .references(() => account.id),
    checkedAt: instant().notNull().$default(now),
  },
  (t) => [uniqueIndex().on(t.torque, t.checkedBy)],
);
/** The shop's own findings of the catalogue. */
export const findingEntry = pgTable('finding_entry', {
  id: uuid().primaryKey(),
  kinds: text().array().$type<ComponentKind[]>().notNull(),
  name: text().notNull(),
  looks: text().notNull(),
  matters: text().notNull(),
  severity: text().$type<FindingSeverity>().notNull(),
  enteredBy: uuid()
    .notNull()
    .references(() => account.id),
  enteredAt: instant().notNull().$default(now),
});
/** The shop's own odds of faults; the newest version of a fault counts. */
export const priorVersion = pgTable('prior_version', {
  id: uuid().primaryKey(),
  fault: text().notNull(),
  times: doublePrecision().notNull(),
  lookedAt: integer().notNull(),
  found: integer().notNull(),
  enteredBy: uuid()
    .notNull()
    .references(() => account.id),
  enteredAt: instant().notNull().$default(now),
});
export const callBack = pgTable(
  'gauge_call_back',
  { ...entered(), since: instant().notNull(), offBy: doublePrecision().notNull(), why: text().notNull() },
  (t) => [index().on(t.gaugeId)],
);
