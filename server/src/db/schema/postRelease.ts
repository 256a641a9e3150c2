/** What is said of the records afterwards: corrections, voids, after-care, amendments, black-outs, and what came late. */
import type { AfterCareAnswer, AfterPull, PartCorrection } from '@dauer/core/ledger';
import { boolean, doublePrecision, index, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';
import { instant } from './instant.ts';
import { part } from './entities.ts';

export const partCorrections = pgTable(
  'part_correction',
  {
    ...event(),
    kind: text().$type<PartCorrection['kind']>().notNull(),
    partId: uuid()
      .notNull()
      .references(() => part.id),
    otherId: uuid()
      .notNull()
      .references(() => part.id),
    since: instant(),
    reason: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.partId), index().on(t.otherId)],
);
export const voids = pgTable('job_void', { ...event(), reason: text().notNull() }, (t) => [index().on(t.jobId)]);
export const afterCares = pgTable(
  'after_care',
  { ...event(), item: text().notNull(), result: text().$type<AfterCareAnswer['result']>().notNull(), note: text().notNull() },
  (t) => [index().on(t.jobId)],
);
export const afterPulls = pgTable(
  'after_pull',
  {
    ...event(),
    slotId: uuid().notNull(),
    volumeTyped: text().notNull(),
    volumeMl: doublePrecision().notNull(),
    air: text().$type<AfterPull['air']>().notNull(),
    closed: boolean().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const amendments = pgTable('amendment', { ...event(), words: text().notNull(), reason: text().notNull() }, (t) => [
  index().on(t.jobId),
]);
export const redactions = pgTable('redaction', { ...event(), field: text().notNull(), line: text(), reason: text().notNull() }, (t) => [
  index().on(t.jobId),
]);
export const handIns = pgTable('hand_in', { ...event(), eventId: uuid().notNull() }, (t) => [index().on(t.jobId), index().on(t.eventId)]);
/** Events that came in after the hand-back of their job, and happened before it: kept, marked, put before a lead. */
export const lateEvent = pgTable('late_event', { id: uuid().primaryKey(), jobId: uuid().notNull(), family: text().notNull() }, (t) => [
  index().on(t.jobId),
]);
