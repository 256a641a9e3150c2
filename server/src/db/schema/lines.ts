/** Lines as they were measured: what they are made by. */
import type { LineShape } from '@dauer/core/ledger';
import { doublePrecision, index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';

export const lineShapes = pgTable(
  'line_shape',
  {
    ...event(),
    connectionId: uuid().notNull(),
    stretches: jsonb().$type<LineShape['stretches']>().notNull(),
    outsideMm: doublePrecision().notNull(),
    bendRadiusMm: doublePrecision().notNull(),
    slackMm: doublePrecision().notNull(),
    first: jsonb().$type<LineShape['first']>().notNull(),
    last: jsonb().$type<LineShape['last']>().notNull(),
    by: text().$type<LineShape['by']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.connectionId)],
);
