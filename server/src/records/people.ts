import type { Person } from '@dauer/core';
import { asc } from 'drizzle-orm';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { verifyPassword } from '../platform/password.ts';
import { Fault } from '../platform/problem.ts';
import { account } from '../db/schema.ts';

/** Everybody who ever had an account: records name them for good. */
export async function readPeople(db: Database): Promise<Person[]> {
  return db
    .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
    .from(account)
    .orderBy(asc(account.createdAt));
}

/** Throws a Fault where a password is not that of the person: asked for once more before what cannot be undone. */
export async function requirePassword(db: Database, personId: string, password: string): Promise<void> {
  const [own] = await db.select({ hash: account.passwordHash }).from(account).where(eq(account.id, personId));
  if (!own || !(await verifyPassword(password, own.hash)))
    throw new Fault(403, 'wrong_password', 'The password does not fit. This asks for it once more.');
}
