import type { ENDPOINTS } from '@dauer/contract';
import { isPlaceOf, type MeasurementId, MEASUREMENTS, measurementsAt } from '@dauer/core/catalogue';
import { fileUntil, openHistory } from '@dauer/core/history';
import { whyNotSettled } from '@dauer/core/readiness';
import { slotById, withRuns } from '@dauer/core/layout';
import type { Phase } from '@dauer/core/ledger';
import { gaugedAt, whyNotGauged } from '@dauer/core/readiness';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { connection, findingEntry, sets, slot } from '../../db/schema.ts';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';
import type { Handlers } from '../../platform/routes.ts';

/** Throws a HttpProblem where a measurement is not taken at that kind of place; whether it is a place of this vehicle is looked at for every event. */
async function requireKind(db: Database, slotId: string, measurement: MeasurementId): Promise<void> {
  const [at] = await db.select({ kind: slot.kind }).from(slot).where(eq(slot.id, slotId)).limit(1);
  const [run] = at ? [] : await db.select({ id: connection.id }).from(connection).where(eq(connection.id, slotId)).limit(1);
  if (run || (at && !MEASUREMENTS[measurement].on.includes(at.kind)))
    throw new HttpProblem('wrong_place', 'Such a figure is not taken at that kind of place.');
}

/** Throws a HttpProblem where a place is known to be closed, empty, away or stuck at the moment at which it was gauged. */
async function requireReach(
  db: Database,
  jobId: string,
  body: { slotId: string; happenedAt: string; measurement: MeasurementId; phase: Phase },
) {
  const records = await readJobFile(db, jobId);
  const slot = slotById(withRuns(records.layout), body.slotId);
  if (!slot) return;
  if (!measurementsAt(slot).some((m) => m.id === body.measurement))
    throw new HttpProblem('wrong_place', 'Such a figure is not taken at that kind of place.');
  const why = whyNotGauged(gaugedAt(openHistory(records), body.happenedAt), slot, body.measurement, body.phase === 'as_found');
  if (why !== null) throw new HttpProblem('not_reached', why);
}

export const gaugeHandlers = {
  beginSet: eventHandler('sets', async (body, { db, params }) => {
    await requireKind(db, body.slotId, body.measurement);
    await requireReach(db, params.jobId, body);
  }),
  /** What was typed is kept; the canonical value is worked out here again by the same core. */
  recordReading: eventHandler('readings', async (body, { db, params }) => {
    const [set] = await db.select({ measurement: sets.measurement, jobId: sets.jobId }).from(sets).where(eq(sets.id, body.setId));
    if (!set)
      throw new HttpProblem(
        'unknown_reference',
        'This reading belongs to a set that is not on record yet. It is sent again after the set.',
      );
    if (set.jobId !== params.jobId) throw new HttpProblem('other_job', 'This set of readings was begun in another job.');
    if (!isPlaceOf(set.measurement, body))
      throw new HttpProblem('wrong_position', `${MEASUREMENTS[set.measurement].name} is not taken at such a position. Load the job again.`);
  }),
  /** A set goes to a place of the same kind, on the same vehicle, before the job is handed back. */
  moveSet: eventHandler('setMoves', async (body, { db, params }) => {
    const [set] = await db
      .select({
        measurement: sets.measurement,
        jobId: sets.jobId,
        phase: sets.phase,
        happenedAt: sets.happenedAt,
      })
      .from(sets)
      .where(eq(sets.id, body.setId));
    if (!set) throw new HttpProblem('unknown_reference', 'The set that is to be moved is not on record.');
    if (set.jobId !== params.jobId) throw new HttpProblem('other_job', 'This set of readings was taken in another job.');
    await requireKind(db, body.slotId, set.measurement);
    // It was taken when it was taken: where it is said to have been has to have been open then.
    await requireReach(db, params.jobId, { ...set, slotId: body.slotId, happenedAt: new Date(set.happenedAt).toISOString() });
  }),
  recordFinding: eventHandler('findings', async (body, { db, params, person, request }) => {
    if (body.fromMm !== null && body.toMm !== null && body.fromMm > body.toMm)
      throw new HttpProblem('upside_down', 'A stretch begins before it ends: the smaller figure comes first.');
    if (body.settles === null) return;
    const records = await readJobFile(db, params.jobId);
    if (records.release || records.findings.some((f) => f.id === body.id)) return;
    const history = openHistory(fileUntil(records, corrected(request, body.happenedAt)));
    const why = whyNotSettled(history, { ...body, authorId: person.id });
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  findingEntries: async ({ db }: Call<typeof ENDPOINTS.findingEntries>) => db.select().from(findingEntry).orderBy(asc(findingEntry.name)),
  addFindingEntry: async ({ db, body, person }: Call<typeof ENDPOINTS.addFindingEntry>) => {
    await db
      .insert(findingEntry)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [stored] = await db.select().from(findingEntry).where(eq(findingEntry.id, body.id));
    return keptAs(stored, body, 'finding entry');
  },
} satisfies Partial<Handlers>;
