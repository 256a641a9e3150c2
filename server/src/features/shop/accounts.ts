import type { Role } from '@dauer/core';
import { and, eq, gt, or } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../../db/connect.ts';
import { account, signInFailure } from '../../db/schema.ts';
import { Fault } from '../../platform/problem.ts';
import { hashPassword, verifyPassword } from '../../platform/password.ts';

/** Initials of a name: "Ines Okafor-Lind" → "IO". */
function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/);
  return `${words[0]?.[0] ?? ''}${words.length > 1 ? (words.at(-1)?.[0] ?? '') : ''}`.toUpperCase();
}

export interface NewAccount {
  readonly id: string;
  readonly name: string;
  readonly login: string;
  readonly password: string;
  readonly role: Role;
}

export type AccountRow = typeof account.$inferSelect;

export async function addAccount(db: Database, a: NewAccount): Promise<AccountRow> {
  const passwordHash = await hashPassword(a.password);
  await db
    .insert(account)
    .values({ id: a.id, name: a.name, initials: initialsOf(a.name), login: a.login.toLowerCase(), passwordHash, role: a.role })
    .onConflictDoNothing({ target: account.id });
  const [row] = await db.select().from(account).where(eq(account.id, a.id));
  if (!row) throw new Fault(409, 'already_used', 'This sign-in name is already in use. Choose another one.');
  return row;
}

const WINDOW_MINUTES = 15;
const MOST_FAILURES = 8;
/** From one address, whatever the names tried: a shop's own tablets may share one. */
const MOST_FROM_ADDRESS = 40;

/** Fitting hash of nothing: signing in takes as long for an unknown name as for a wrong password. */
const DUMMY = await hashPassword(v7());

/**
 * Checks a sign-in. Failures are counted in the database, so that every process counts them together.
 * @throws Fault 429 after eight failures by a name, or forty from an address, in a quarter of an hour; 401 where name and password do not fit
 */
export async function checkSignIn(db: Database, login: string, password: string, address: string): Promise<AccountRow> {
  const name = login.trim().toLowerCase();
  const since = new Date(Date.now() - WINDOW_MINUTES * 60000).toISOString();
  const failures = await db
    .select({ login: signInFailure.login })
    .from(signInFailure)
    .where(and(or(eq(signInFailure.login, name), eq(signInFailure.address, address)), gt(signInFailure.at, since)));
  if (failures.filter((f) => f.login === name).length >= MOST_FAILURES) {
    throw new Fault(429, 'too_many_tries', `Too many wrong passwords for this name. Wait ${WINDOW_MINUTES} minutes and try again.`);
  }
  if (failures.length >= MOST_FROM_ADDRESS) {
    throw new Fault(429, 'too_many_tries', `Too many wrong passwords from this device. Wait ${WINDOW_MINUTES} minutes and try again.`);
  }
  const [row] = await db.select().from(account).where(eq(account.login, name));
  const fits = await verifyPassword(password, row?.passwordHash ?? DUMMY);
  if (!row || !fits || !row.active) {
    await db.insert(signInFailure).values({ id: v7(), login: name, address, at: new Date().toISOString() });
    throw new Fault(401, 'wrong_sign_in', 'Name and password do not fit together.');
  }
  return row;
}
