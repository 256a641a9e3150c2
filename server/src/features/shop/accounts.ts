import type { Role } from '@dauer/core/verdict';
import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../../db/connect.ts';
import { account } from '../../db/schema.ts';
import { countAttempt, countByName, dropOldAttempts, forgetAttempts } from '../../platform/attempts.ts';
import { idReused } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
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
  if (!row) throw new HttpProblem('already_used', 'This sign-in name is already in use. Choose another one.');
  if (row.name !== a.name || row.login !== a.login.toLowerCase()) throw idReused({ id: row.id, name: row.name });
  return row;
}

/** Fitting hash of nothing: signing in takes as long for an unknown name as for a wrong password. */
const DUMMY = await hashPassword(v7());

/** The device that asks, as its sealed cookie says: who signed in on it before. */
export interface Device {
  readonly id: string;
  readonly knows: readonly string[];
}

/**
 * Checks a sign-in. Attempts are counted before they are tried, in the database, so that every process counts them
 * together: by address, and by name, or by device where the person signed in on it before. Nobody is locked out by what
 * others try elsewhere.
 * @throws HttpProblem 429 where attempts come too fast or too many; 401 where name and password do not fit
 */
export async function checkSignIn(
  db: Database,
  login: string,
  password: string,
  address: string,
  device: Device | null,
): Promise<AccountRow> {
  const name = login.trim().toLowerCase();
  const [row] = await db.select().from(account).where(eq(account.login, name));
  const known = row && device?.knows.includes(row.id) ? `${device.id}:${row.id}` : null;
  // A known device has a counter of its own and no other: what strangers try from the same address, or by the same name,
  // keeps nobody from it.
  if (known) await countAttempt(db, 'known_device', known);
  else {
    await countAttempt(db, 'address', address);
    await countByName(db, name);
  }
  const fits = await verifyPassword(password, row?.passwordHash ?? DUMMY);
  if (!row || !fits || !row.active) throw new HttpProblem('wrong_sign_in', 'Name and password do not fit together.');
  if (known) await forgetAttempts(db, 'known_device', known);
  else {
    await forgetAttempts(db, 'address', address);
    await forgetAttempts(db, 'name', name);
  }
  void dropOldAttempts(db).catch(() => undefined);
  return row;
}
