import type { Database } from '../db/connect.ts';

/** How many queries of one reading are under way at once, each on a connection of its own. */
const LANES = 3;

type Tasks = Readonly<Record<string, () => PromiseLike<unknown>>>;
type Done<T extends Tasks> = { readonly [K in keyof T]: Awaited<ReturnType<T[K]>> };

/** Whether a handle is that of a transaction: it has one connection, which does one thing after the other. */
const isTransaction = (db: Database): boolean => 'rollback' in db;

/** Asks several independent things: some at once from the pool, one after the other inside a transaction. */
export async function together<T extends Tasks>(db: Database, tasks: T): Promise<Done<T>> {
  const left = Object.entries(tasks);
  const done: [string, unknown][] = [];
  const lane = async (): Promise<void> => {
    for (let next = left.shift(); next; next = left.shift()) done.push([next[0], await next[1]()]);
  };
  await Promise.all(Array.from({ length: isTransaction(db) ? 1 : LANES }, lane));
  return Object.fromEntries(done) as Done<T>;
}
