import type { Person } from '@dauer/core/ledger';
import { asc, eq } from 'drizzle-orm';
import type { FastifyRequest } from 'fastify';
import type { Database } from '../db/connect.ts';
import { verifyPassword } from '../platform/password.ts';
import { HttpProblem } from '../platform/problem.ts';
import { sessionIdOf } from '../platform/session.ts';
import { account } from '../db/schema.ts';
import { countAttempt, forgetAttempts } from '../platform/attempts.ts';

/** Stands for whoever did something before these records: no account that anybody signs in with, lets back in or sees among the people. */
export const FROM_BEFORE_ID = '00000000-0000-7000-8000-00000000bef0';

/** Everybody who ever had an account: records name them for good. */
export async function readPeople(db: Database): Promise<Person[]> {
  return db
    .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
    .from(account)
    .orderBy(asc(account.createdAt));
}

interface Asking {
  readonly db: Database;
  readonly person: Person;
  readonly request: FastifyRequest;
}

/**
 * Throws a HttpProblem where a password is not that of the person: asked for once more before what cannot be undone. Attempts
 * are counted by session before they are tried, so that nobody tries them out on a tablet that lies about, nor locks its
 * owner out elsewhere.
 */
export async function requirePassword({ db, person, request }: Asking, password: string): Promise<void> {
  const sessionId = sessionIdOf(request) ?? person.id;
  await countAttempt(db, 'again', sessionId);
  const [own] = await db.select({ hash: account.passwordHash }).from(account).where(eq(account.id, person.id));
  if (!own || !(await verifyPassword(password, own.hash)))
    throw new HttpProblem('wrong_password', 'The password does not fit. This asks for it once more.');
  await forgetAttempts(db, 'again', sessionId);
}
