import type { LiveMessage } from '@dauer/contract';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';

/** Where PostgreSQL announces changes to every process. */
export const CHANNEL = 'dauer';

/** Tells every process that something changed; carries ids only. Never waited for: a lost message is caught up with. */
export function tell(db: Database, message: LiveMessage): void {
  db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(message)})`).catch(() => undefined);
}
