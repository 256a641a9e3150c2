import type { EventFamily, Recorded } from '@dauer/contract';
import { eq, isNotNull } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import { incarnation } from '../db/schema.ts';
import { requireOwn, writeDownAssumed } from '../records/ownership.ts';
import { besideParking, refuseParked } from '../records/parked.ts';
import { withoutStruck } from '../records/strike.ts';
import { idReused, sameContent } from './once.ts';
import { HttpProblem, sqlState } from './problem.ts';

/** SQLSTATE raised by the database for an event on a job that has been handed back. */
const RELEASED = 'DA001';
export const RELEASED_WORDS = 'This job has been handed back. Book the vehicle in again; a new job names the old one.';

export interface Stored<R> {
  readonly status: 'stored' | 'already_stored';
  readonly record: R;
}

/**
 * Adds one event. Safe to repeat: the same id with the same content is answered as it was the first
 * time, also after release; the same id with other content is refused.
 */
export async function addEvent<F extends EventFamily>(
  db: Database,
  family: F,
  row: Omit<Recorded<F>, 'recordedAt'>,
): Promise<Stored<Recorded<F>>> {
  const table = EVENT_TABLES[family as 'takeBacks'];
  const unstruck = (await wasRestored(db)) ? await withoutStruck(db, row) : row;
  const values = unstruck as Omit<Recorded<'takeBacks'>, 'recordedAt'>;
  let record: unknown;
  try {
    [record] = await besideParking(db, family, row, async (on) => {
      await requireOwn(on, family, row);
      await refuseParked(on, family, row);
      const { partId, slotId } = row as { readonly partId?: unknown; readonly slotId?: unknown };
      // What came with the vehicle without a word goes by the id of its place.
      if (typeof partId === 'string' && (slotId === null || partId === slotId) && row.jobId !== null)
        await writeDownAssumed(on, row.jobId, partId);
      return on.insert(table).values(values).onConflictDoNothing({ target: table.id }).returning();
    });
  } catch (error) {
    const refused = error instanceof HttpProblem;
    if (!refused && sqlState(error) !== RELEASED) throw error;
    const known = await findEvent(db, family, values.id);
    if (known) return repeat(known, values);
    throw refused ? error : new HttpProblem('released', RELEASED_WORDS);
  }
  if (record) return { status: 'stored', record: record as Recorded<F> };
  const winner = await findEvent(db, family, values.id);
  if (!winner) throw new HttpProblem('book_away', 'The book did not answer. What you entered is kept on this device and sent again.');
  return repeat(winner, values);
}

/** Whether this book is a restored one: then devices send again what may have been blacked out since. */
const restored = new WeakMap<object, Promise<boolean>>();
function wasRestored(db: Database): Promise<boolean> {
  const known =
    restored.get(db) ??
    db
      .select({ id: incarnation.id })
      .from(incarnation)
      .where(isNotNull(incarnation.restoredTo))
      .limit(1)
      .then((rows) => rows.length > 0);
  restored.set(db, known);
  known.catch(() => restored.delete(db));
  return known;
}

async function findEvent<F extends EventFamily>(db: Database, family: F, id: string): Promise<Recorded<F> | null> {
  const table = EVENT_TABLES[family as 'takeBacks'];
  const [row] = await db.select().from(table).where(eq(table.id, id));
  return row ? (row as Recorded<F>) : null;
}

function repeat<R extends object>(known: R, sent: object): Stored<R> {
  if (!sameContent(sent, known)) throw idReused(known);
  return { status: 'already_stored', record: known };
}
