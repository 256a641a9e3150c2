/** What came off units and what became of it, kits laid out, what holds wheels and units, and notes of the shop. */
import type { Coat, CoatLook, FastenerFact, KitCount, NoteTell, PortFact, ShopNote, StripMark, StripTell } from '@dauer/core/ledger';
import { boolean, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { cardRuns } from './cards.ts';
import { vehicle } from './entities.ts';
import { event, partEvents } from './events.ts';

export const stripMarks = pgTable(
  'strip_mark',
  {
    ...event(),
    slotId: uuid().notNull(),
    x: doublePrecision(),
    y: doublePrecision(),
    what: text().notNull(),
    note: text().notNull(),
    fate: text().$type<StripMark['fate']>().notNull(),
    colour: text().notNull(),
    wireMm: doublePrecision(),
    freeMm: doublePrecision(),
    hash: text(),
  },
  (t) => [index().on(t.jobId)],
);
export const stripTells = pgTable(
  'strip_tell',
  {
    ...event(),
    markId: uuid()
      .notNull()
      .references(() => stripMarks.id),
    kind: text().$type<StripTell['kind']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.markId)],
);
export const portFacts = pgTable(
  'port_fact',
  {
    ...event(),
    slotId: uuid().notNull(),
    partId: uuid(),
    port: text().notNull(),
    seat: text().$type<PortFact['seat']>().notNull(),
    thread: text().notNull(),
    lies: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.slotId)],
);
export const coats = pgTable(
  'coat',
  {
    ...event(),
    eventId: uuid()
      .notNull()
      .references(() => partEvents.id),
    way: text().$type<Coat['way']>().notNull(),
    colour: text().notNull(),
    gloss: text().$type<Coat['gloss']>().notNull(),
    coats: integer(),
    batch: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.eventId)],
);
export const coatLooks = pgTable(
  'coat_look',
  {
    ...event(),
    eventId: uuid()
      .notNull()
      .references(() => partEvents.id),
    state: text().$type<CoatLook['state']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.eventId)],
);
export const kitCounts = pgTable(
  'kit_count',
  {
    ...event(),
    slotId: uuid().notNull(),
    runId: uuid()
      .notNull()
      .references(() => cardRuns.id),
    pieces: jsonb().$type<KitCount['pieces']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const fastenerFacts = pgTable(
  'fastener_fact',
  {
    ...event(),
    point: text().notNull(),
    form: text().$type<FastenerFact['form']>().notNull(),
    count: integer().notNull(),
    thread: text().notNull(),
    hand: text().$type<FastenerFact['hand']>().notNull(),
    seat: text().$type<FastenerFact['seat']>().notNull(),
    key: text().notNull(),
    oiled: boolean().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId)],
);
export const shopNotes = pgTable(
  'shop_note',
  {
    ...event(),
    vehicleId: uuid()
      .notNull()
      .references(() => vehicle.id),
    pin: text().$type<ShopNote['pin']>().notNull(),
    slotId: uuid(),
    type: text().notNull(),
    kind: text().$type<ShopNote['kind']>(),
    style: text(),
    cardId: text(),
    stepId: text(),
    words: text().notNull(),
    hash: text(),
    arrow: jsonb().$type<ShopNote['arrow']>(),
  },
  (t) => [index().on(t.jobId), index().on(t.vehicleId), index().on(t.kind), index().on(t.type)],
);
export const noteTells = pgTable(
  'note_tell',
  {
    ...event(),
    noteId: uuid()
      .notNull()
      .references(() => shopNotes.id),
    kind: text().$type<NoteTell['kind']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index().on(t.jobId), index().on(t.noteId)],
);
