import { compareLayouts, removedPlacesOf, type Layout, type LayoutRevision, placeName, type Slot, withRuns } from '@dauer/core/layout';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { connection, layout, slot } from '../db/schema.ts';
import { notFound } from '../platform/problem.ts';

type Revising = Partial<Pick<typeof layout.$inferInsert, 'revision' | 'why' | 'enteredBy'>>;

/** Writes a layout revision; one already on record is left as it is. */
export async function insertLayout(db: Database, revised: Layout, revising: Revising = {}): Promise<void> {
  const made = await db
    .insert(layout)
    .values({ id: revised.id, vehicleId: revised.vehicleId, template: revised.template, drive: revised.drive, ...revising })
    .onConflictDoNothing()
    .returning({ id: layout.id });
  if (made.length === 0) return;
  if (revised.slots.length > 0)
    await db.insert(slot).values(revised.slots.map((x, ordinal) => ({ ...x, circuits: [...x.circuits], layoutId: revised.id, ordinal })));
  if (revised.connections.length > 0) await db.insert(connection).values(revised.connections.map((c) => ({ ...c, layoutId: revised.id })));
}

export type Revision = LayoutRevision & { readonly layout: Layout };

type Rows = { readonly slots: (typeof slot.$inferSelect)[]; readonly connections: (typeof connection.$inferSelect)[] };

async function placesOf(db: Database, ids: readonly string[]): Promise<Rows> {
  return {
    slots: await db
      .select()
      .from(slot)
      .where(inArray(slot.layoutId, [...ids]))
      .orderBy(asc(slot.ordinal)),
    connections: await db
      .select()
      .from(connection)
      .where(inArray(connection.layoutId, [...ids]))
      .orderBy(asc(connection.id)),
  };
}
function drawn(row: typeof layout.$inferSelect, { slots, connections }: Rows): Layout {
  return {
    id: row.id,
    vehicleId: row.vehicleId,
    template: row.template,
    drive: row.drive,
    slots: slots.filter((x) => x.layoutId === row.id).map(({ layoutId: _l, ordinal: _o, ...x }) => x),
    connections: connections.filter((x) => x.layoutId === row.id).map(({ layoutId: _l, ...c }) => c),
  };
}

/** The newest layouts of several vehicles, by vehicle. */
export async function readNewestLayouts(db: Database, vehicleIds: readonly string[]): Promise<Map<string, Layout>> {
  const rows = await db
    .selectDistinctOn([layout.vehicleId])
    .from(layout)
    .where(inArray(layout.vehicleId, [...vehicleIds]))
    .orderBy(layout.vehicleId, desc(layout.createdAt), desc(layout.id));
  if (rows.length === 0) return new Map();
  const places = await placesOf(
    db,
    rows.map((r) => r.id),
  );
  return new Map(rows.map((r) => [r.vehicleId, drawn(r, places)]));
}

/** Every layout that a vehicle has had, the oldest first, each with what it changed. */
export async function readLayouts(db: Database, vehicleId: string): Promise<Revision[]> {
  const rows = await db.select().from(layout).where(eq(layout.vehicleId, vehicleId)).orderBy(asc(layout.createdAt), asc(layout.id));
  const ids = rows.map((r) => r.id);
  if (ids.length === 0) return [];
  const places = await placesOf(db, ids);
  const read: Revision[] = [];
  for (const row of rows) {
    const now = drawn(row, places);
    const before = read.at(-1)?.layout;
    const d = before ? compareLayouts(before, now) : null;
    read.push({
      id: row.id,
      revision: row.revision,
      why: row.why,
      enteredBy: row.enteredBy,
      enteredAt: row.createdAt,
      added: d?.added.map(placeName) ?? [],
      removed: d?.removed.map(placeName) ?? [],
      changed: d?.changed.map(placeName) ?? [],
      removedPlaces: before ? removedPlacesOf(before, now) : [],
      layout: now,
    });
  }
  return read;
}

/**
 * The layout that holds at an instant: the newest drawn by then, or the first where all were drawn later.
 * @param instant ISO 8601 UTC; null for now
 */
export function layoutAt(revisions: readonly Revision[], instant: string | null): Revision {
  const held = revisions.findLast((r) => instant === null || r.enteredAt <= instant) ?? revisions[0];
  if (!held) throw notFound('layout');
  return held;
}

/** Lines, cables and rods by the ids of their connections, as places of the newest layout that has them, with their vehicles. */
export async function readRuns(db: Database, ids: readonly string[]): Promise<{ readonly slot: Slot; readonly vehicleId: string }[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .selectDistinctOn([connection.id], { id: connection.id, layout })
    .from(connection)
    .innerJoin(layout, eq(layout.id, connection.layoutId))
    .where(inArray(connection.id, [...ids]))
    .orderBy(connection.id, desc(layout.createdAt), desc(layout.id));
  if (rows.length === 0) return [];
  const places = await placesOf(
    db,
    rows.map((r) => r.layout.id),
  );
  return rows.flatMap((r) => {
    const found = withRuns(drawn(r.layout, places)).slots.find((x) => x.id === r.id);
    return found ? [{ slot: found, vehicleId: r.layout.vehicleId }] : [];
  });
}
