import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;

export interface Connection {
  readonly db: Database;
  readonly pool: pg.Pool;
  readonly close: () => Promise<void>;
}

/** How long a request waits for a connection, ms: a slow machine is not a database that is away; a page waits longer for its answer. */
const SLOW_MS = 15000;

/**
 * Opens a pool on a PostgreSQL server.
 * @param url postgres:// address
 * @param onError told of connections lost while idle; without it the process would die of them
 */
export function connect(url: string, onError: (error: Error) => void = () => undefined): Connection {
  const pool = new pg.Pool({ connectionString: url, max: 12, connectionTimeoutMillis: SLOW_MS, idleTimeoutMillis: 30000 });
  pool.on('error', onError);
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool, close: () => pool.end() };
}
