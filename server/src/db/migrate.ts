import { fileURLToPath } from 'node:url';
import { migrate as run } from 'drizzle-orm/node-postgres/migrator';
import { connect } from './connect.ts';

/** Brings a database to the newest schema; all pending migrations or none. */
export async function migrate(url: string): Promise<void> {
  const connection = connect(url);
  try {
    await run(connection.db, { migrationsFolder: fileURLToPath(new URL('../../migrations', import.meta.url)) });
  } finally {
    await connection.close();
  }
}
