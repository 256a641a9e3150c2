import type { LiveMessage } from '@dauer/contract';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';

/** Where PostgreSQL announces changes to every process. */
export const CHANNEL = 'dauer';

/** Tells every process something, and is done once it is on its way: what is told after it comes after it. */
export async function tellInOrder(db: Database, message: LiveMessage): Promise<void> {
  await db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(message)})`);
}

/** Tells every process that something changed; carries ids only. Never waited for: a lost message is caught up with. */
export function tell(db: Database, message: LiveMessage): void {
  tellInOrder(db, message).catch(() => undefined);
}
