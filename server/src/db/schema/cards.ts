/** Work cards and ladders at the bench: those that run, with their steps as they were when they were begun, and what was told of each. */
import type { CardRun, CardTell, ShopCardVersion } from '@dauer/core/ledger';
import { boolean, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';
import { entered } from './prices.ts';

export const cardRuns = pgTable(
  'card_run',
  {
    ...event(),
    slotId: uuid().notNull(),
    cardId: text().notNull(),
    option: text().$type<CardRun['option']>().notNull(),
    steps: jsonb().$type<CardRun['steps']>().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const cardTells = pgTable(
  'card_tell',
  {
    ...event(),
    runId: uuid()
      .notNull()
      .references(() => cardRuns.id),
    stepId: text().notNull(),
    kind: text().$type<CardTell['kind']>().notNull(),
    gate: text().$type<CardTell['gate']>(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.runId)],
);
export const ladderTries = pgTable(
  'ladder_try',
  {
    ...event(),
    slotId: uuid().notNull(),
    ladderId: text().notNull(),
    rungId: text().notNull(),
    moved: boolean().notNull(),
    minutes: integer().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
/** A card as the shop does it: every version, none ever changed. */
export const shopCardVersion = pgTable(
  'shop_card_version',
  {
    id: uuid().primaryKey(),
    cardId: text().notNull(),
    changes: jsonb().$type<ShopCardVersion['changes']>().notNull(),
    own: jsonb().$type<ShopCardVersion['own']>().notNull(),
    reason: text().notNull(),
    ...entered(),
  },
  (t) => [index().on(t.cardId)],
);
