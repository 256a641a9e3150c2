import { CALENDAR_FEED, CALENDAR_FILE, mayCall } from '@dauer/contract';
import { daysAfter } from '@dauer/core/quantity';
import { and, eq, isNull } from 'drizzle-orm';
import type { FastifyInstance, FastifyReply } from 'fastify';
import ical, { ICalCalendarMethod, ICalEventStatus, ICalEventTransparency } from 'ical-generator';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { account, calendar, shop } from '../../db/schema.ts';
import { countAttempt, forgetAttempts } from '../../platform/attempts.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import { whoAsks } from '../../platform/session.ts';
import { readEntries, refreshDues } from '../../records/dues.ts';
import { hashOf } from './handlers.ts';

/** How long what is gone is still told as cancelled, days: calendars fetch rarely. */
const CANCELLED_DAYS = 60;

/**
 * What falls due as a calendar of whole days: the tag and what is due, and nothing that says whose it is.
 * @returns iCalendar, RFC 5545
 */
async function calendarText(db: Database, vehicleId: string | null): Promise<string> {
  await refreshDues(db);
  const now = new Date();
  const entries = await readEntries(db, vehicleId, daysAfter(now.toISOString(), -CANCELLED_DAYS));
  const [own] = await db.select({ name: shop.name }).from(shop);
  const text = ical({
    ...{ name: `${own?.name ?? 'Dauer'}: due`, prodId: { company: 'Dauer', product: 'due', language: 'EN' } },
    ...{ method: ICalCalendarMethod.PUBLISH, ttl: 6 * 60 * 60 },
  });
  for (const e of entries)
    text.createEvent({
      ...{ id: e.uid, sequence: e.sequence, stamp: new Date(e.changedAt), lastModified: new Date(e.changedAt) },
      ...{ start: new Date(`${e.onDay}T00:00:00Z`), end: new Date(`${daysAfter(e.onDay, 1)}T00:00:00Z`), allDay: true, summary: e.what },
      ...{ status: e.cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED, transparency: ICalEventTransparency.TRANSPARENT },
    });
  return text.toString();
}

const send = (reply: FastifyReply, text: string): FastifyReply =>
  reply.type('text/calendar; charset=utf-8').header('cache-control', 'no-store').header('x-robots-tag', 'noindex').send(text);

/** Serves what falls due as a calendar: at a secret address, and as a file for whoever is signed in. */
export function serveCalendars(app: FastifyInstance, db: Database): void {
  const params = z.object({ secret: z.string().max(80) });
  app.get(CALENDAR_FEED.path, { schema: { hide: true, params } }, async (request, reply) => {
    // Counted before it is looked up: an address is found by nobody who tries.
    await countAttempt(db, 'calendar', request.ip);
    const { secret } = params.parse(request.params);
    const [found] = await db
      .select({ id: calendar.id, vehicleId: calendar.vehicleId })
      .from(calendar)
      .innerJoin(account, eq(account.id, calendar.accountId))
      .where(and(eq(calendar.hash, hashOf(secret.replace(/\.ics$/, ''))), isNull(calendar.endedAt), eq(account.active, true)));
    if (!found) throw notFound('calendar');
    await forgetAttempts(db, 'calendar', request.ip);
    await db.update(calendar).set({ usedAt: new Date().toISOString() }).where(eq(calendar.id, found.id));
    return send(reply, await calendarText(db, found.vehicleId));
  });
  const query = z.object({ vehicle: z.uuid().optional() });
  app.get(CALENDAR_FILE.path, { schema: { hide: true, querystring: query } }, async (request, reply) => {
    const person = await whoAsks(db, request);
    if (!person) throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again.');
    if (!mayCall(CALENDAR_FILE.role, person.role)) throw new HttpProblem('role', `This takes the role of ${CALENDAR_FILE.role}.`);
    const text = await calendarText(db, query.parse(request.query).vehicle ?? null);
    return send(reply.header('content-disposition', 'attachment; filename="due.ics"'), text);
  });
}
