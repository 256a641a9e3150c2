/** What falls due: exercises, what was worked out of the records, and the calendar addresses that tell of it. */
import type { Letter } from '@dauer/contract';
import type { ExerciseKind } from '@dauer/core/ledger';
import type { LetterAnswer } from '@dauer/core/wording';
import { boolean, date, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import type { DueFacts } from '../../records/dueFacts.ts';
import { account, vehicle } from './entities.ts';
import { event } from './events.ts';
import { instant } from './instant.ts';

export const exercises = pgTable(
  'exercise',
  {
    ...event(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    what: text().$type<ExerciseKind>().notNull(),
    typed: text(),
    km: doublePrecision(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.vehicleId)],
);

/** What falls due on each vehicle, as last worked out of its records; worked out anew where they changed since. */
export const vehicleDue = pgTable('vehicle_due', {
  vehicleId: uuid()
    .primaryKey()
    .references(() => vehicle.id),
  facts: jsonb().$type<DueFacts>().notNull(),
  fresh: boolean().notNull(),
  /** Of which rules. */
  rules: integer().notNull(),
});

/** Up to where the changes of the book were looked at. */
export const dueMark = pgTable('due_mark', { id: integer().primaryKey(), cursor: text().notNull() });

/** What calendars were told: each thing once, with its day; what is gone stays long enough to be cancelled there. */
export const calendarEntry = pgTable(
  'calendar_entry',
  {
    uid: text().primaryKey(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    what: text().notNull(),
    onDay: date().notNull(),
    /** Counts the changes of its day or words, as calendars do. */
    sequence: integer().notNull(),
    changedAt: instant().notNull(),
    cancelled: boolean().notNull(),
  },
  (t) => [index().on(t.vehicleId)],
);

/** Addresses at which a calendar program fetches what falls due; only a hash of the secret is kept. */
export const calendar = pgTable(
  'calendar',
  {
    id: uuid().primaryKey(),
    accountId: uuid()
      .notNull()
      .references(() => account.id),
    /** Null for that of the shop. */
    vehicleId: uuid().references(() => vehicle.id),
    /** SHA-256 of the secret, hexadecimal. */
    hash: text().notNull().unique(),
    createdAt: instant().notNull(),
    usedAt: instant(),
    endedAt: instant(),
  },
  (t) => [index().on(t.accountId)],
);

/** A letter that reminded an owner: what it listed, and the words round it, as they were. Whose it is stands nowhere in it. */
export const letter = pgTable(
  'letter',
  {
    id: uuid().primaryKey(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    madeBy: uuid()
      .notNull()
      .references(() => account.id),
    madeAt: instant().notNull(),
    items: jsonb().$type<Letter['items']>().notNull(),
    opening: text().notNull(),
    closing: text().notNull(),
  },
  (t) => [index().on(t.vehicleId)],
);

export const letterAnswer = pgTable(
  'letter_answer',
  {
    id: uuid().primaryKey(),
    letterId: uuid()
      .notNull()
      .references(() => letter.id),
    answer: text().$type<LetterAnswer>().notNull(),
    onDay: date({ mode: 'string' }),
    by: uuid()
      .notNull()
      .references(() => account.id),
    at: instant().notNull(),
  },
  (t) => [index().on(t.letterId)],
);

/** Words of the shop in its letters; the newest count. */
export const letterWords = pgTable('letter_words', {
  id: uuid().primaryKey(),
  opening: text().notNull(),
  closing: text().notNull(),
  by: uuid()
    .notNull()
    .references(() => account.id),
  at: instant().notNull(),
});
