import { MEASUREMENTS, parseQuantity } from '@dauer/core';
import { eq } from 'drizzle-orm';
import { readingSet, slot } from '../../db/schema.ts';
import { keeps } from '../../platform/handlers.ts';
import { Fault } from '../../platform/problem.ts';
import { requirePlace } from '../../records/belongs.ts';

export const gaugeHandlers = {
  beginSet: keeps('sets', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
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
    const q = parseQuantity(body.typed, MEASUREMENTS[set.measurement].kind, body.unit);
    return { canonical: q.canonical, resolution: q.resolution, fraction: q.fraction };
  }),
  /** A set goes to a place of the same kind, on the same vehicle, before the job is handed back. */
  moveSet: keeps('setMoves', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    const [set] = await db
      .select({ measurement: readingSet.measurement, jobId: readingSet.jobId })
      .from(readingSet)
      .where(eq(readingSet.id, body.setId));
    if (!set) throw new Fault(422, 'unknown_reference', 'The set that is to be moved is not on record.');
    if (set.jobId !== params.jobId) throw new Fault(409, 'other_job', 'This set of readings was taken in another job.');
    const [to] = await db.select({ kind: slot.kind }).from(slot).where(eq(slot.id, body.slotId)).limit(1);
    if (to?.kind !== MEASUREMENTS[set.measurement].on)
      throw new Fault(422, 'wrong_place', 'Such a figure is not taken at that kind of place.');
    return {};
  }),
  find: keeps('findings', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    return {};
  }),
};
