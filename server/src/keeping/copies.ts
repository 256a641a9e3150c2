import { createGzip } from 'node:zlib';
import type pg from 'pg';
import { ProgramFailed, reaching, running } from './postgres.ts';
import type { CopyNote, Target } from './target.ts';

/** Which book this is, and what it is since its newest restore. */
export interface BookFacts {
  readonly incarnation: string;
  readonly shop: string;
  readonly zone: string;
  /** Whether anybody has an account in it yet. */
  readonly empty: boolean;
}

/** Stands for the incarnation of a book whose schema did not know of any yet. */
const BEFORE_ANY = '00000000-0000-7000-8000-000000000000';

/** Asked in plain SQL: the book may be of an earlier schema, which is about to be changed. */
export async function factsOf(pool: Pick<pg.Pool, 'query'>): Promise<BookFacts> {
  const there = async (table: string): Promise<boolean> =>
    (await pool.query<{ there: boolean }>(`select to_regclass('public.${table}') is not null as there`)).rows[0]?.there === true;
  const one = async <T extends pg.QueryResultRow>(table: string, query: string): Promise<T | undefined> =>
    (await there(table)) ? (await pool.query<T>(query)).rows[0] : undefined;
  const own = await one<{ id: string }>('incarnation', 'select id from incarnation order by since desc, id desc limit 1');
  const of = await one<{ name: string; zone: string }>('shop', 'select name, time_zone as zone from shop limit 1');
  const people = await one<{ many: string }>('account', 'select count(*)::text as many from account');
  return { incarnation: own?.id ?? BEFORE_ANY, shop: of?.name ?? '', zone: of?.zone ?? 'UTC', empty: Number(people?.many ?? 0) === 0 };
}

/** An instant as part of a file’s name. */
const stamp = (at: Date): string => at.toISOString().replace(/[:.]/g, '-');

export interface Source {
  readonly pool: Pick<pg.Pool, 'query'>;
  readonly url: string;
  readonly bin: string;
}

/**
 * Makes a whole copy of the running cluster by PostgreSQL’s own means, and notes beside it what it is. The note comes last:
 * a copy without one was never finished.
 */
export async function baseCopy(source: Source, target: Target, seal: string | null, why: string): Promise<CopyNote> {
  const facts = await factsOf(source.pool);
  const { rows } = await source.pool.query<{ segment: string; major: number; schema: string }>(
    `select pg_walfile_name(pg_current_wal_lsn()) as segment, current_setting('server_version_num')::int / 10000 as major,
       (select coalesce(max(created_at), 0)::text from drizzle.__drizzle_migrations) as schema`,
  );
  const [before] = rows;
  if (!before) throw new ProgramFailed('PostgreSQL does not say where its log stands.');
  const begun = new Date();
  const name = stamp(begun);
  const child = running(source.bin, 'pg_basebackup', ['-D', '-', '-F', 't', '-X', 'fetch', '-c', 'fast'], reaching(source.url));
  try {
    // What the program failed with is what went wrong, not that its output broke off.
    const written = target.write(`${facts.incarnation}/base/${name}.tar.gz`, child.output.pipe(createGzip({ level: 4 })));
    const [done] = await Promise.all([written, child.ended]);
    const note: CopyNote = {
      ...{ format: 1, name, book: target.book, incarnation: facts.incarnation, shop: facts.shop, zone: facts.zone, why, seal },
      ...{ begunAt: begun.toISOString(), endedAt: new Date().toISOString() },
      ...{ fromSegment: before.segment, major: before.major, schema: Number(before.schema), ...done },
    };
    await target.writeText(`${facts.incarnation}/base/${name}.json`, JSON.stringify(note, null, 2));
    return note;
  } finally {
    child.kill();
  }
}

/** Writes what is in the book out as a logical dump, which a newer PostgreSQL reads too. */
export async function logicalDump(source: Source, target: Target): Promise<string> {
  const facts = await factsOf(source.pool);
  const child = running(source.bin, 'pg_dump', ['--format=custom', '--compress=6', '--no-owner'], reaching(source.url));
  try {
    const [done] = await Promise.all([target.write(`${facts.incarnation}/dump/${stamp(new Date())}.dump`, child.output), child.ended]);
    return done.file;
  } finally {
    child.kill();
  }
}
