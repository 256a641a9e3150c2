import type { ENDPOINTS, EventFamily, Recorded } from '@dauer/contract';
import { and, eq, getTableColumns, sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { image, job, picture, redaction, release } from '../../db/schema.ts';
import { EVENT_TABLES } from '../../db/eventTables.ts';
import { type Stored } from '../../platform/events.ts';
import { eventRow } from '../../platform/handlers.ts';
import { Fault } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';

/** What stands where a text was blacked out. */
export const BLACKED = '■■■';
/** Texts that somebody typed freely: what may be blacked out. */
const FREE_TEXT = ['words', 'reason', 'note', 'title', 'wrench', 'product', 'batch', 'source', 'name'];
const FREE_TEXT_OF_JOB = ['complaint', 'wants', 'fluidKnown'] as const;

function struck(value: unknown, text: string): unknown {
  if (typeof value === 'string') return value.split(text).join(BLACKED);
  if (Array.isArray(value)) return value.map((v) => struck(v, text));
  if (typeof value === 'object' && value !== null) return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, struck(v, text)]));
  return value;
}

/** The image of a picture: its bytes go, here and wherever else the same image is shown. */
async function findImage(db: Database, jobId: string, id: string) {
  const [row] = await db
    .select({ hash: picture.hash, data: image.data })
    .from(picture)
    .leftJoin(image, eq(image.hash, picture.hash))
    .where(and(eq(picture.id, id), eq(picture.jobId, jobId)));
  if (!row) return null;
  return {
    text: row.data ? row.hash : '',
    strike: (tx: Database) => tx.update(image).set({ data: null, thumb: null }).where(eq(image.hash, row.hash)),
  };
}

/** The text of a job or an event, and the statement that replaces it. */
async function find(db: Database, jobId: string, id: string, field: string) {
  if (id === jobId) {
    const own = FREE_TEXT_OF_JOB.find((f) => f === field);
    const [row] = await db.select().from(job).where(eq(job.id, id));
    if (!own || !row) return null;
    return {
      text: row[own],
      strike: (tx: Database) =>
        tx
          .update(job)
          .set({ [own]: BLACKED })
          .where(eq(job.id, id)),
    };
  }
  if (field === 'image') return findImage(db, jobId, id);
  if (!FREE_TEXT.includes(field)) return null;
  for (const family of Object.keys(EVENT_TABLES) as EventFamily[]) {
    const table = EVENT_TABLES[family as 'findings'];
    if (!(field in getTableColumns(table))) continue;
    const where = and(eq(table.id, id), eq(table.jobId, jobId));
    const [row] = await db.select().from(table).where(where);
    if (row)
      return {
        text: String(new Map<string, unknown>(Object.entries(row)).get(field) ?? ''),
        strike: (tx: Database) =>
          tx
            .update(table)
            .set({ [field]: BLACKED })
            .where(where),
      };
  }
  return null;
}

/**
 * Blacks a text out for good: the original goes, from the record and from the sheet of a job handed back; an event says
 * who did it, when and why.
 * Source: handbook 15, People, time, distance, privacy.
 */
export async function redact(call: Call<typeof ENDPOINTS.redact>): Promise<Stored<Recorded<'redactions'>>> {
  const { db, body, params } = call;
  return db.transaction(async (tx) => {
    const [known] = await tx.select().from(redaction).where(eq(redaction.id, body.id));
    if (known) return { status: 'already_stored', record: known };
    const found = await find(tx, params.jobId, body.corrects, body.field);
    if (!found) throw new Fault(422, 'unknown_reference', 'There is no such text in this job.');
    if (found.text.trim() === '' || found.text === BLACKED) throw new Fault(409, 'nothing_there', 'There is nothing left to black out.');
    await tx.execute(sql`select set_config('dauer.redacting', ${body.field}, true)`);
    await found.strike(tx);
    await tx.execute(sql`select set_config('dauer.redacting', 'sheet', true)`);
    const [kept] = await tx.select().from(release).where(eq(release.jobId, params.jobId));
    if (kept)
      await tx
        .update(release)
        .set({ sheet: struck(kept.sheet, found.text) as typeof kept.sheet })
        .where(eq(release.id, kept.id));
    await tx.execute(sql`select set_config('dauer.redacting', '', true)`);
    const [record] = await tx.insert(redaction).values(eventRow(call, body)).returning();
    if (!record) throw new Fault(503, 'book_away', 'The book did not answer. Nothing was blacked out; try again.');
    return { status: 'stored', record };
  });
}
