import { createHash, randomBytes } from 'node:crypto';
import { CALENDAR_FEED } from '@dauer/contract';
import { deriveJob } from '@dauer/core/job';
import { fileUntil } from '@dauer/core/history';
import { mayMove } from '@dauer/core/views';
import { PROOF_REFUSAL } from '@dauer/core/wording';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { calendar, job, release, vehicle } from '../../db/schema.ts';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { shopDay } from '../../records/ahead.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { countUnchecked, readDues, refreshDues } from '../../records/dues.ts';

/** Bytes of the secret in a calendar address: 256 bits. */
const SECRET_BYTES = 32;
/** Addresses that one person may have at a time. */
const MOST_CALENDARS = 20;

/** The hash under which a secret is kept. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

const COLUMNS = {
  id: calendar.id,
  vehicleId: calendar.vehicleId,
  createdAt: calendar.createdAt,
  usedAt: calendar.usedAt,
  tag: vehicle.tag,
};

/** The addresses of a person that still answer. */
async function calendarsOf(db: Database, accountId: string) {
  return db
    .select(COLUMNS)
    .from(calendar)
    .leftJoin(vehicle, eq(vehicle.id, calendar.vehicleId))
    .where(and(eq(calendar.accountId, accountId), isNull(calendar.endedAt)))
    .orderBy(desc(calendar.createdAt));
}

export const dueHandlers: Pick<Handlers, 'dues' | 'recordExercise' | 'calendars' | 'makeCalendar' | 'endCalendar'> = {
  dues: async ({ db }) => {
    const left = await refreshDues(db);
    const [vehicles, today, limitsUnchecked] = await Promise.all([readDues(db), shopDay(db, new Date().toISOString()), countUnchecked(db)]);
    return { today, vehicles, left, limitsUnchecked };
  },
  /** A pedal that must not be pressed is not pressed for exercise either, and what must not be driven is not driven. */
  recordExercise: eventHandler('exercises', async (body, { db, params, request }) => {
    const at = corrected(request, body.happenedAt);
    const open = await db
      .select({ id: job.id })
      .from(job)
      .leftJoin(release, eq(release.jobId, job.id))
      .where(and(isNull(release.id), sql`${job.vehicleId} = (select j.vehicle_id from ${job} j where j.id = ${params.jobId})`));
    for (const { id } of open) {
      const records = await readJobFile(db, id);
      if (records.exercises.some((e) => e.id === body.id)) return;
      const state = deriveJob(fileUntil(records, at), at);
      if (state.voided) continue;
      const [lock] = state.context.proofStatus.locks;
      if (lock) throw new HttpProblem('control_locked', `${lock.control.name}: ${lock.why}`);
      const level = mayMove(state)?.level;
      if (body.what === 'driven' && level !== 'road_test' && level !== 'handed_back')
        throw new HttpProblem('not_proved_yet', PROOF_REFUSAL.doNotMove);
    }
  }),
  calendars: ({ db, person }) => calendarsOf(db, person.id),
  makeCalendar: async ({ db, body, person }) => {
    if (body.vehicleId !== null) {
      const [known] = await db.select({ id: vehicle.id }).from(vehicle).where(eq(vehicle.id, body.vehicleId));
      if (!known) throw notFound('vehicle');
    }
    const mine = await calendarsOf(db, person.id);
    if (mine.length >= MOST_CALENDARS)
      throw new HttpProblem('too_many_calendars', 'You have as many calendar addresses as one may have. End one of them first.');
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    const row = { id: body.id, accountId: person.id, vehicleId: body.vehicleId, hash: hashOf(secret), createdAt: new Date().toISOString() };
    const made = await db.insert(calendar).values(row).onConflictDoNothing().returning({ id: calendar.id });
    if (made.length === 0) throw new HttpProblem('id_reused', 'This address was made already; its secret was told then. Make another one.');
    const [one] = (await calendarsOf(db, person.id)).filter((c) => c.id === body.id);
    if (!one) throw notFound('calendar');
    return { ...one, path: CALENDAR_FEED.path.replace(':secret', secret) };
  },
  endCalendar: async ({ db, params, person }) => {
    const mine = (await calendarsOf(db, person.id)).find((c) => c.id === params.id);
    if (!mine) throw notFound('calendar');
    await db.update(calendar).set({ endedAt: new Date().toISOString() }).where(eq(calendar.id, mine.id));
    return mine;
  },
};
