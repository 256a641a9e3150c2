/** Clocks of processes: a start and a duration, and what was told of them. */
import type { Timer, TimerStep } from '@dauer/core/ledger';
import { doublePrecision, index, integer, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';

export const timers = pgTable(
  'timer',
  {
    ...event(),
    slotId: uuid().notNull(),
    process: text().$type<Timer['process']>().notNull(),
    minutes: integer().notNull(),
    fromC: doublePrecision(),
    toC: doublePrecision(),
    metal: text().$type<Timer['metal']>(),
    sheet: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const timerSteps = pgTable(
  'timer_step',
  {
    ...event(),
    timerId: uuid()
      .notNull()
      .references(() => timers.id),
    kind: text().$type<TimerStep['kind']>().notNull(),
    typed: text(),
    tempC: doublePrecision(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.timerId)],
);
