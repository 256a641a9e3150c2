import type { ENDPOINTS } from '@dauer/contract';
import { isPlaceOf, type MeasurementId, MEASUREMENTS, parseQuantity } from '@dauer/core';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { findingEntry, readingSet, slot } from '../../db/schema.ts';
import { keeps } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { Fault } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';

/** Throws a Fault where a measurement is not taken at that kind of place; whether it is a place of this vehicle is looked at for every event. */
async function requireKind(db: Database, slotId: string, measurement: MeasurementId): Promise<void> {
  const [at] = await db.select({ kind: slot.kind }).from(slot).where(eq(slot.id, slotId)).limit(1);
  if (at && !MEASUREMENTS[measurement].on.includes(at.kind))
    throw new Fault(422, 'wrong_place', 'Such a figure is not taken at that kind of place.');
}

export const gaugeHandlers = {
  beginSet: keeps('sets', async (body, { db }) => {
    await requireKind(db, body.slotId, body.measurement);
    return {};
  }),
  /** What was typed is kept; the canonical value is worked out here again by the same core. */
  takeReading: keeps('readings', async (body, { db, params }) => {
    const [set] = await db
      .select({ measurement: readingSet.measurement, jobId: readingSet.jobId })
      .from(readingSet)
      .where(eq(readingSet.id, body.setId));
    if (!set)
      throw new Fault(422, 'unknown_reference', 'This reading belongs to a set that is not on record yet. It is sent again after the set.');
    if (set.jobId !== params.jobId) throw new Fault(409, 'other_job', 'This set of readings was begun in another job.');
    if (!isPlaceOf(set.measurement, body))
      throw new Fault(422, 'wrong_position', `${MEASUREMENTS[set.measurement].name} is not taken at such a position. Load the job again.`);
    const q = parseQuantity(body.typed, MEASUREMENTS[set.measurement].kind, body.unit);
    return { canonical: q.canonical, resolution: q.resolution, fraction: q.fraction };
  }),
  /** A set goes to a place of the same kind, on the same vehicle, before the job is handed back. */
  moveSet: keeps('setMoves', async (body, { db, params }) => {
    const [set] = await db
      .select({ measurement: readingSet.measurement, jobId: readingSet.jobId })
      .from(readingSet)
      .where(eq(readingSet.id, body.setId));
    if (!set) throw new Fault(422, 'unknown_reference', 'The set that is to be moved is not on record.');
    if (set.jobId !== params.jobId) throw new Fault(409, 'other_job', 'This set of readings was taken in another job.');
    await requireKind(db, body.slotId, set.measurement);
    return {};
  }),
  find: keeps('findings', (body) => {
    if (body.fromMm !== null && body.toMm !== null && body.fromMm > body.toMm)
      throw new Fault(422, 'upside_down', 'A stretch begins before it ends: the smaller figure comes first.');
    return {};
  }),
  findingEntries: async ({ db }: Call<typeof ENDPOINTS.findingEntries>) => db.select().from(findingEntry).orderBy(asc(findingEntry.name)),
  addFindingEntry: async ({ db, body, person }: Call<typeof ENDPOINTS.addFindingEntry>) => {
    await db
      .insert(findingEntry)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [kept] = await db.select().from(findingEntry).where(eq(findingEntry.id, body.id));
    return keptAs(kept, body, 'finding entry');
  },
};
