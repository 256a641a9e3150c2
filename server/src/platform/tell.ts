import type { LiveMessage } from '@dauer/contract';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';

/** The channel on which PostgreSQL announces changes to every process. */
export const CHANNEL = 'dauer';

/** Notifies every process; awaited where notifications have to keep their order. */
export async function tellInOrder(db: Database, message: LiveMessage): Promise<void> {
  await db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(message)})`);
}

/** Tells every process that something changed; carries ids only. Never waited for: a lost message is caught up with. */
export function tell(db: Database, message: LiveMessage): void {
  tellInOrder(db, message).catch(() => undefined);
}
