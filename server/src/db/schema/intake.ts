/** What is told at intake: pictures, how fasteners are, what came in a box, and what was done before the shop's own records. */
import type { ComponentKind, Corner } from '@dauer/core/layout';
import type { CameWith, EarlierWork, IntakeLook, Picture } from '@dauer/core/ledger';
import { boolean, customType, doublePrecision, index, integer, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { event } from './events.ts';
import { instant, now } from './instant.ts';

const bytes = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'bytea' });

/** An image, once, under the hash of its bytes; blacked out it has none. */
export const image = pgTable('image', {
  hash: text().primaryKey(),
  width: integer().notNull(),
  height: integer().notNull(),
  data: bytes(),
  thumb: bytes(),
  keptAt: instant().notNull().$default(now),
});
export const pictures = pgTable(
  'picture',
  {
    ...event(),
    hash: text().notNull(),
    of: text('shows').$type<Picture['of']>().notNull(),
    slotId: uuid(),
    findingId: uuid(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.hash)],
);
export const intakeLooks = pgTable(
  'intake_look',
  {
    ...event(),
    corner: text().$type<Corner>(),
    thing: text().$type<IntakeLook['thing']>().notNull(),
    state: text().$type<IntakeLook['state']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const cameWith = pgTable(
  'came_with',
  {
    ...event(),
    name: text().notNull(),
    kind: text().$type<ComponentKind>(),
    slotId: uuid(),
    partNumber: text(),
    count: integer().notNull(),
    fits: text().$type<CameWith['fits']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const earlierWork = pgTable(
  'earlier_work',
  {
    ...event(),
    what: text().$type<EarlierWork['what']>().notNull(),
    slotId: uuid(),
    on: text('on_day').notNull(),
    about: boolean().notNull(),
    knownFrom: text().$type<EarlierWork['knownFrom']>().notNull(),
    source: text().notNull(),
    km: doublePrecision(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
