import { readFileSync } from 'node:fs';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate as run } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { inServer } from '../place.ts';
import { applyRules } from './rules.ts';

const FOLDER = inServer('migrations');
/** Key of the lock under which one process at a time brings the schema up to date; any number nobody else uses. */
const LOCK = 4680_0001;

/** The book was written by a newer program than this one. */
export class NewerBook extends Error {}
/** The address leads to a pooler that hands out another session for every transaction. */
export class NoSession extends Error {}

const stepsKnown = (): number[] =>
  (JSON.parse(readFileSync(`${FOLDER}/meta/_journal.json`, 'utf8')) as { entries: { when: number }[] }).entries.map((e) => e.when);

/** The instant of the newest step that was made in a database, as the journal names it; null where none was. */
async function newestStep(client: Pick<pg.Client, 'query'>): Promise<number | null> {
  const { rows } = await client.query<{ there: boolean }>(`select to_regclass('drizzle.__drizzle_migrations') is not null as there`);
  if (!rows[0]?.there) return null;
  const found = await client.query<{ newest: string | null }>('select max(created_at)::text as newest from drizzle.__drizzle_migrations');
  return found.rows[0]?.newest ? Number(found.rows[0].newest) : null;
}

type Client = Pick<pg.Client, 'query'>;

/**
 * Throws where two connections share one session of the server, as behind a pooler in transaction mode: announcements,
 * named statements and locks would fail there.
 */
export async function requireSession(one: Client, other: Client): Promise<void> {
  const sessionOf = async (client: Client): Promise<unknown> =>
    (await client.query<{ pid: number }>('select pg_backend_pid() as pid')).rows[0]?.pid;
  const first = await sessionOf(one);
  // The other one holds its session for a transaction: a pooler gives it the one that is free, and the first another.
  await other.query('begin');
  const second = await sessionOf(other);
  const again = await sessionOf(one);
  await other.query('commit');
  if (first === again && first !== second) return;
  throw new NoSession(
    'DATABASE_URL leads to a pooler in transaction mode. Dauer needs a session of its own for each connection: name PostgreSQL itself, or the pooler’s port in session mode.',
  );
}

/**
 * Brings a database to the newest schema; all pending steps or none. One process does it, others wait for it.
 * @param before done before anything changes in a database that holds something: a backup
 * @throws NewerBook where a newer program has been at it; NoSession behind a pooler in transaction mode
 */
export async function migrate(url: string, { before = async () => undefined }: { before?: () => Promise<void> } = {}): Promise<void> {
  const [client, other] = [new pg.Client({ connectionString: url }), new pg.Client({ connectionString: url })];
  // A connection that is lost fails the query under way; without this it would end the process as well.
  for (const c of [client, other]) c.on('error', () => undefined);
  await client.connect();
  try {
    await other.connect();
    await requireSession(client, other);
    await other.end();
    await client.query('select pg_advisory_lock($1)', [LOCK]);
    const steps = stepsKnown();
    const done = await newestStep(client);
    if (done !== null && done > Math.max(...steps))
      throw new NewerBook(
        'This book was written by a newer Dauer than this one. Nothing was changed. Start the newer program, or restore a backup from before it.',
      );
    if (done !== null && steps.some((s) => s > done)) await before();
    await run(drizzle(client, { casing: 'snake_case' }), { migrationsFolder: FOLDER });
    await applyRules(client);
  } finally {
    await other.end().catch(() => undefined);
    await client.end().catch(() => undefined);
  }
}
