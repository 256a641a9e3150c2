import { randomBytes } from 'node:crypto';
import { mayCall } from '@dauer/contract';
import type { Person } from '@dauer/core/ledger';
import type { Role } from '@dauer/core/verdict';
import { and, eq, gt, isNull } from 'drizzle-orm';
import type { FastifyRequest } from 'fastify';
import { v7 } from 'uuid';
import type { Database } from '../db/connect.ts';
import { HttpProblem } from './problem.ts';
import { tell } from './tell.ts';
import { account, secret, session } from '../db/schema.ts';

// Where its types are not loaded otherwise, there would be nothing to add to.
import type {} from '@fastify/secure-session';
import { millisecondsInDay } from 'date-fns/constants';

declare module '@fastify/secure-session' {
  interface SessionData {
    sessionId: string;
    tabletId: string;
    /** This device, and who signed in on it before: they are not slowed down by what others try elsewhere. */
    deviceId: string;
    knows: string[];
  }
}
declare module 'fastify' {
  interface FastifyRequest {
    person: Person | null;
  }
}

const DAYS = 14;
/** How long a device stays known and a tablet stays one, s: as long as browsers keep a cookie. */
export const COOKIE_SECONDS = 400 * 86400;
/** Most people that a device remembers; the cookie is sent with every request. */
const MAX_KNOWN = 12;

/** The key that seals cookies: from the environment, or kept in the database so that all processes share it. */
export async function cookieKey(db: Database): Promise<Buffer> {
  const configured = process.env['DAUER_COOKIE_KEY'];
  if (configured) return Buffer.from(configured, 'base64');
  await db
    .insert(secret)
    .values({ name: 'cookie', value: randomBytes(32).toString('base64') })
    .onConflictDoNothing();
  const [row] = await db.select().from(secret).where(eq(secret.name, 'cookie'));
  return Buffer.from(row?.value ?? '', 'base64');
}

export async function beginSession(
  db: Database,
  request: FastifyRequest,
  accountId: string,
  tabletId: string | null = null,
): Promise<void> {
  const id = v7();
  const expiresAt = new Date(Date.now() + DAYS * millisecondsInDay).toISOString();
  await db.insert(session).values({ id, accountId, expiresAt, tabletId });
  await endSession(db, request);
  request.session.set('sessionId', id);
  const { knows } = deviceOf(request);
  request.session.set('deviceId', request.session.get('deviceId') ?? v7());
  request.session.set('knows', [accountId, ...knows.filter((k) => k !== accountId)].slice(0, MAX_KNOWN));
}

/** The device that asks, by its sealed cookie; a new one knows nobody. */
export function deviceOf(request: FastifyRequest): { readonly id: string; readonly knows: readonly string[] } {
  return { id: request.session.get('deviceId') ?? '', knows: request.session.get('knows') ?? [] };
}

/** The session that a request is sent in; undefined where nobody is signed in. */
export const sessionIdOf = (request: FastifyRequest): string | undefined => request.session.get('sessionId');

/** Ends the session that a request is sent in; the streams that it opened end at once. */
export async function endSession(db: Database, request: FastifyRequest): Promise<void> {
  const id = request.session.get('sessionId');
  if (id) {
    await db
      .update(session)
      .set({ endedAt: new Date().toISOString() })
      .where(and(eq(session.id, id), isNull(session.endedAt)));
    tell(db, { jobId: null, page: '', people: true });
  }
  // A tablet of the shop stays one.
  request.session.set('sessionId', undefined);
}

/** When the session that a request is sent in ends by itself. */
export async function sessionEnds(db: Database, request: FastifyRequest): Promise<string> {
  const id = request.session.get('sessionId');
  const [row] = id ? await db.select({ expiresAt: session.expiresAt }).from(session).where(eq(session.id, id)) : [];
  return row?.expiresAt ?? new Date().toISOString();
}

/**
 * Lets a request through only where it is sent for the person whose session it is.
 * @param believed who the page that asks believes to be signed in, by id; undefined where it does not say
 * @throws HttpProblem 401 where that is somebody else
 */
export function requireSamePerson(person: Person | null, believed: unknown): void {
  if (!person || believed === undefined || believed === person.id) return;
  throw new HttpProblem(
    'someone_else',
    `${person.name} is signed in on this device now. Nothing was done under their name; what this page took is kept for who took it.`,
  );
}

/** Ends every session of an account, on every process at once: sessions are looked up at each request. */
export async function endAllSessions(db: Database, accountId: string): Promise<void> {
  await db
    .update(session)
    .set({ endedAt: new Date().toISOString() })
    .where(and(eq(session.accountId, accountId), isNull(session.endedAt)));
  tell(db, { jobId: null, page: '', people: true });
}

/** Who sends this request, with the role they have now; null where nobody is signed in. */
export async function whoAsks(db: Database, request: FastifyRequest): Promise<Person | null> {
  const id = request.session.get('sessionId');
  if (!id) return null;
  const [row] = await db
    .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
    .from(session)
    .innerJoin(account, eq(account.id, session.accountId))
    .where(and(eq(session.id, id), isNull(session.endedAt), gt(session.expiresAt, new Date().toISOString()), eq(account.active, true)));
  return row ? { ...row, role: row.role satisfies Role } : null;
}

/** Who sends this request. Throws a HttpProblem where nobody is signed in, or they have not the role that it takes. */
export async function requireRole(db: Database, request: FastifyRequest, role: Role): Promise<Person> {
  const person = await whoAsks(db, request);
  if (!person) throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again.');
  if (!mayCall(role, person.role)) throw new HttpProblem('role', `This takes the role of ${role}.`);
  return person;
}
