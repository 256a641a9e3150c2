import { getTableColumns, type InferSelectModel, type SQL, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';

/** An instant as the core has it: ISO 8601 in UTC with milliseconds. */
const ISO = `'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'`;
const lists = new WeakMap<PgTable, SQL>();

/** What is selected of a table: every column under the name that it has here, instants as text. */
function listOf(table: PgTable): SQL {
  const known = lists.get(table);
  if (known) return known;
  const columns = Object.entries(getTableColumns(table)).map(([name, column]) =>
    column.getSQLType().startsWith('timestamp')
      ? sql`to_char(${column} at time zone 'UTC', ${sql.raw(ISO)}) as ${sql.identifier(name)}`
      : sql`${column} as ${sql.identifier(name)}`,
  );
  const list = sql.join(columns, sql`, `);
  lists.set(table, list);
  return list;
}

/** What was selected, as one list of values a column: of two thousand readings this took 14 ms where naming each in every row took 39. */
function columnsOf(table: PgTable): SQL {
  const lists = Object.keys(getTableColumns(table)).map((name) => sql`json_agg(found.${sql.identifier(name)})`);
  return sql`json_build_array(${sql.join(lists, sql`, `)})`;
}
/** The rows again; a table without any gives lists that are none. */
function rowsFrom(table: PgTable, columns: unknown): Record<string, unknown>[] {
  const lists: readonly unknown[] = Array.isArray(columns) ? columns : [];
  const many = Array.isArray(lists[0]) ? lists[0].length : 0;
  // One property after the other, so that all rows share one shape.
  const rows = Array.from({ length: many }, (): Record<string, unknown> => ({}));
  Object.keys(getTableColumns(table)).forEach((name, k) => {
    const values: unknown = lists[k];
    if (!Array.isArray(values)) return;
    rows.forEach((row, i) => {
      row[name] = values[i];
    });
  });
  return rows;
}

/** Tables by name, each with what is queries of it; what differs from time to time is a placeholder. */
type Asked = Readonly<Record<string, readonly [PgTable, SQL]>>;
type Found<T extends Asked> = { readonly [K in keyof T]: InferSelectModel<T[K][0]>[] };

/** A query over several tables. PostgreSQL plans it once per connection; its SQL is built once per pool. */
export interface Prepared<T extends Asked> {
  readonly name: string;
  readonly queries: T;
}
interface Ready {
  readonly execute: (values: Record<string, unknown>) => Promise<Record<string, unknown>[]>;
}
const ready = new WeakMap<Database, Map<string, Ready>>();

function readied({ name, queries }: Prepared<Asked>, db: Database): Ready {
  const mine = ready.get(db) ?? new Map<string, Ready>();
  ready.set(db, mine);
  const known = mine.get(name);
  if (known) return known;
  const fields = Object.fromEntries(
    Object.entries(queries).map(([key, [table, where]]) => [
      key,
      sql`(select ${columnsOf(table)} from (select ${listOf(table)} from ${table} where ${where}) found)`.as(key),
    ]),
  );
  const made = db
    .select(fields)
    .from(sql`(values (1)) as one`)
    .prepare(name);
  mine.set(name, made);
  return made;
}

/**
 * Rows of several tables by one statement: for many small families most of the time is spent on asking and planning, not
 * on finding. The database makes JSON of them, which keeps every double to its last bit: a test holds
 * it against the plain way for every table.
 * @param values what its placeholders stand for; lists are compared by `= any(…)`
 */
export async function rowsOfEach<T extends Asked>(
  db: Database,
  statement: Prepared<T>,
  values: Record<string, unknown>,
): Promise<Found<T>> {
  const [row] = await readied(statement, db).execute(values);
  return Object.fromEntries(Object.entries(statement.queries).map(([key, [table]]) => [key, rowsFrom(table, row?.[key])])) as Found<T>;
}
