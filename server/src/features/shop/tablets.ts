import { and, asc, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import QRCode from 'qrcode';
import { v7 } from 'uuid';
import type { FastifyRequest } from 'fastify';
import type { Database } from '../../db/connect.ts';
import { account, session, tablet } from '../../db/schema.ts';
import { countAttempt, forgetAttempts } from '../../platform/attempts.ts';
import { hashPassword, verifyPassword } from '../../platform/password.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { beginSession } from '../../platform/session.ts';
import { tell } from '../../platform/tell.ts';
import { requirePassword } from '../../records/people.ts';
import { meOf } from './me.ts';

const DUMMY = await hashPassword(v7());

/** The tablet of the shop that asks; null where the device is none, or is none any more. */
async function tabletOf(db: Database, request: FastifyRequest): Promise<typeof tablet.$inferSelect | null> {
  const id = request.session.get('tabletId');
  if (!id) return null;
  const [row] = await db
    .select()
    .from(tablet)
    .where(and(eq(tablet.id, id), isNull(tablet.endedAt)));
  return row ?? null;
}

type Names = 'registerTablet' | 'tablets' | 'endTablet' | 'setPin' | 'onTablet' | 'switchTo' | 'lan';

/** Tablets of the shop, and switching on them with a PIN. Source: handbook 15, People, time, distance, privacy. */
export const tabletHandlers: Pick<Handlers, Names> = {
  registerTablet: async (call) => {
    const { db, body, person, request } = call;
    await requirePassword(call, body.password);
    await db.insert(tablet).values({ id: body.id, name: body.name, registeredBy: person.id }).onConflictDoNothing();
    const [row] = await db.select().from(tablet).where(eq(tablet.id, body.id));
    const stored = keptAs(row, { id: body.id, name: body.name }, 'tablet');
    request.session.set('tabletId', stored.id);
    return stored;
  },
  tablets: async ({ db }) => db.select().from(tablet).orderBy(desc(tablet.registeredAt)),
  endTablet: async ({ db, params }) => {
    const endedAt = new Date().toISOString();
    await db
      .update(tablet)
      .set({ endedAt })
      .where(and(eq(tablet.id, params.id), isNull(tablet.endedAt)));
    await db
      .update(session)
      .set({ endedAt })
      .where(and(eq(session.tabletId, params.id), isNull(session.endedAt)));
    tell(db, { jobId: null, page: '', people: true });
    const [row] = await db.select().from(tablet).where(eq(tablet.id, params.id));
    if (!row) throw notFound('tablet');
    return row;
  },
  setPin: async (call) => {
    const { db, body, person } = call;
    await requirePassword(call, body.password);
    await db
      .update(account)
      .set({ pinHash: await hashPassword(body.pin) })
      .where(eq(account.id, person.id));
    return { done: true };
  },
  lan: async () => {
    const url = process.env['DAUER_LAN_URL'] ?? null;
    const code = (text: string): Promise<string> => QRCode.toString(text, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
    return {
      url,
      former: process.env['DAUER_LAN_FORMER'] ?? null,
      qr: url ? await code(url) : null,
      authorityQr: url ? await code(`${url}/authority.crt`) : null,
    };
  },
  onTablet: async ({ db, request }) => {
    const own = await tabletOf(db, request);
    if (!own) return { tablet: null, people: [] };
    const people = await db
      .select({ id: account.id, name: account.name, initials: account.initials })
      .from(account)
      .where(and(isNotNull(account.pinHash), eq(account.active, true)))
      .orderBy(asc(account.createdAt));
    return { tablet: { id: own.id, name: own.name }, people };
  },
  /** Attempts are counted by person and tablet before they are tried, so that every process counts them together. */
  switchTo: async ({ db, body, request }) => {
    const own = await tabletOf(db, request);
    if (!own) throw new HttpProblem('not_a_tablet', 'A PIN opens only a tablet of the shop. Sign in with the password.');
    await countAttempt(db, 'tablet', own.id);
    const subject = `${own.id}:${body.personId}`;
    await countAttempt(db, 'pin', subject);
    const [row] = await db.select().from(account).where(eq(account.id, body.personId));
    const fits = await verifyPassword(body.pin, row?.pinHash ?? DUMMY);
    if (!row?.active || !row.pinHash || !fits) throw new HttpProblem('wrong_sign_in', 'The PIN does not fit.');
    await forgetAttempts(db, 'pin', subject);
    await forgetAttempts(db, 'tablet', own.id);
    await beginSession(db, request, row.id, own.id);
    return meOf(db, row, request);
  },
};
