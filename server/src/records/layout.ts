import type { Layout } from '@dauer/core';
import type { Database } from '../db/connect.ts';
import { connection, layout, slot } from '../db/schema.ts';

/** Writes a layout revision; one already on record is left as it is. */
export async function insertLayout(db: Database, given: Layout): Promise<void> {
  const made = await db
    .insert(layout)
    .values({ id: given.id, vehicleId: given.vehicleId, template: given.template })
    .onConflictDoNothing()
    .returning({ id: layout.id });
  if (made.length === 0) return;
  if (given.slots.length > 0)
    await db.insert(slot).values(given.slots.map((x, ordinal) => ({ ...x, circuits: [...x.circuits], layoutId: given.id, ordinal })));
  if (given.connections.length > 0) await db.insert(connection).values(given.connections.map((c) => ({ ...c, layoutId: given.id })));
}
