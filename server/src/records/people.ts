import type { Person } from '@dauer/core';
import { and, asc, eq, gt } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../db/connect.ts';
import { verifyPassword } from '../platform/password.ts';
import { Fault } from '../platform/problem.ts';
import { account, signInFailure } from '../db/schema.ts';

/** Everybody who ever had an account: records name them for good. */
export async function readPeople(db: Database): Promise<Person[]> {
  return db
    .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
    .from(account)
    .orderBy(asc(account.createdAt));
}

const WINDOW_MINUTES = 15;
const MOST_FAILURES = 8;

/**
 * Throws a Fault where a password is not that of the person: asked for once more before what cannot be undone.
 * Failures are counted in the database, so that nobody tries them out on a tablet that lies about.
 */
export async function requirePassword(db: Database, personId: string, password: string): Promise<void> {
  const login = `again:${personId}`;
  const since = new Date(Date.now() - WINDOW_MINUTES * 60000).toISOString();
  const failures = await db
    .select({ id: signInFailure.id })
    .from(signInFailure)
    .where(and(eq(signInFailure.login, login), gt(signInFailure.at, since)));
  if (failures.length >= MOST_FAILURES)
    throw new Fault(429, 'too_many_tries', `Too many wrong passwords. Wait ${WINDOW_MINUTES} minutes and try again.`);
  const [own] = await db.select({ hash: account.passwordHash }).from(account).where(eq(account.id, personId));
  if (own && (await verifyPassword(password, own.hash))) return;
  await db.insert(signInFailure).values({ id: v7(), login, address: 'signed in', at: new Date().toISOString() });
  throw new Fault(403, 'wrong_password', 'The password does not fit. This asks for it once more.');
}
