import type { Person } from '@dauer/core';
import { asc } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { account } from '../db/schema.ts';

/** Everybody who ever had an account: records name them for good. */
export async function readPeople(db: Database): Promise<Person[]> {
  return db
    .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
    .from(account)
    .orderBy(asc(account.createdAt));
}
