/** Sessions of bleeding, stroke by stroke; bedding in, stop by stop. */
import type { BeddingStep, BleedSession, BleedStepEvent } from '@dauer/core/ledger';
import { doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';

export const bleedSessions = pgTable(
  'bleed_session',
  {
    ...event(),
    circuits: integer().array().notNull(),
    method: text().$type<BleedSession['method']>().notNull(),
    product: text().notNull(),
    fluidClass: text().$type<BleedSession['fluidClass']>().notNull(),
    fullMl: doublePrecision().notNull(),
    safeMl: doublePrecision().notNull(),
    strokeMl: doublePrecision().notNull(),
    prepared: jsonb().$type<BleedSession['prepared']>(),
    ordered: jsonb().$type<BleedSession['ordered']>(),
    orderSource: text(),
  },
  (t) => [index().on(t.jobId)],
);
export const bleedSteps = pgTable(
  'bleed_step',
  {
    ...event(),
    sessionId: uuid()
      .notNull()
      .references(() => bleedSessions.id),
    kind: text().$type<BleedStepEvent['kind']>().notNull(),
    slotId: uuid(),
    colour: text().$type<BleedStepEvent['colour']>(),
    air: text().$type<BleedStepEvent['air']>(),
    levelMl: doublePrecision(),
    fluidClass: text().$type<BleedStepEvent['fluidClass']>(),
    bottle: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.sessionId)],
);
export const beddingPlans = pgTable(
  'bedding_plan',
  { ...event(), product: text().notNull(), steps: jsonb().$type<readonly BeddingStep[]>().notNull(), source: text().notNull() },
  (t) => [index().on(t.jobId)],
);
export const beddingStops = pgTable(
  'bedding_stop',
  {
    ...event(),
    planId: uuid()
      .notNull()
      .references(() => beddingPlans.id),
    step: integer().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.planId)],
);
