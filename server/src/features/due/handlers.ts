import { createHash, randomBytes } from 'node:crypto';
import { CALENDAR_FEED } from '@dauer/contract';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { calendar, vehicle } from '../../db/schema.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { shopDay } from '../../records/ahead.ts';
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
  recordExercise: eventHandler('exercises'),
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
