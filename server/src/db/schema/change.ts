import { sql } from 'drizzle-orm';
import { customType, index, pgTable, text, uuid } from 'drizzle-orm/pg-core';

/** A transaction by its number, as text; numbers are never used twice within a cluster. */
const xid8 = customType<{ data: string }>({ dataType: () => 'xid8' });

/**
 * What was written, and by which transaction: a line for every event, and for everything beside the events that a job is read
 * with. Written by the database itself, whoever writes.
 */
export const change = pgTable(
  'change',
  {
    tx: xid8()
      .notNull()
      .default(sql`pg_current_xact_id()`),
    /** The table. */
    about: text().notNull(),
    id: uuid().notNull(),
  },
  (t) => [index().on(t.tx)],
);
