/** Jobs left for longer than a night, and who took them over. */
import type { Parking } from '@dauer/core/ledger';
import { date, index, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';

export const parkings = pgTable(
  'parking',
  {
    ...event(),
    standsOn: text().$type<Parking['standsOn']>().notNull(),
    heldBy: text().notNull(),
    knows: text().notNull(),
    waitsFor: text().notNull(),
    until: date({ mode: 'string' }),
  },
  (t) => [index().on(t.jobId)],
);
export const takeOvers = pgTable(
  'take_over',
  {
    ...event(),
    parkingId: uuid()
      .notNull()
      .references(() => parkings.id),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.parkingId)],
);
