import type { EventFamily } from '@dauer/contract';
import { BLACKED, familyOf } from '@dauer/core/ledger';
import { FREE_TEXT_OF, readSheet, strikeLine, strikeRecord } from '@dauer/core/views';
import { and, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import { EVENT_TABLES } from '../db/eventTables.ts';
import { image, job, layout, part, partEvents, pictures, redactions, release, vehicle } from '../db/schema.ts';

/** What is to be blacked out: a field of a record; or a line of the sheet, picked by sight. */
export interface Struck {
  readonly jobId: string;
  readonly corrects: string;
  readonly field: string;
  readonly line: string | null;
}

/** What was found there, and how it is struck. */
interface Place {
  readonly text: string;
  readonly strike: (db: Database) => Promise<unknown>;
}

/** The column of a field: the schema writes it with underscores. */
const columnName = (field: string): string => field.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

type Row = PgTable & { readonly id: PgColumn };

async function inTable(db: Database, table: Row, fields: readonly string[], { corrects, field }: Struck): Promise<Place | null> {
  const column = getTableColumns(table)[field];
  if (!fields.includes(field) || !column) return null;
  const { rows } = await db.execute<{ text: string | null }>(sql`select ${column} as text from ${table} where ${table.id} = ${corrects}`);
  const [row] = rows;
  if (!row) return null;
  return {
    text: row.text ?? '',
    strike: (tx) => tx.execute(sql`update ${table} set ${sql.identifier(columnName(field))} = ${BLACKED} where ${table.id} = ${corrects}`),
  };
}

/** The image of a picture: its bytes go, here and wherever else the same image is shown. */
async function imageOf(db: Database, { jobId, corrects }: Struck): Promise<Place | null> {
  const [row] = await db
    .select({ hash: pictures.hash, data: image.data })
    .from(pictures)
    .leftJoin(image, eq(image.hash, pictures.hash))
    .where(and(eq(pictures.id, corrects), eq(pictures.jobId, jobId)));
  if (!row) return null;
  return {
    text: row.data ? row.hash : '',
    strike: (tx) => tx.update(image).set({ data: null, thumb: null }).where(eq(image.hash, row.hash)),
  };
}

/** Whether a thing that is no event is one of the job’s: the job itself, its vehicle, a layout of that, a part of it. */
async function thingOf(db: Database, s: Struck): Promise<Place | null> {
  if (s.corrects === s.jobId) return inTable(db, job, FREE_TEXT_OF.job, s);
  const [own] = await db.select({ vehicleId: job.vehicleId }).from(job).where(eq(job.id, s.jobId));
  if (!own) return null;
  if (s.corrects === own.vehicleId) return inTable(db, vehicle, FREE_TEXT_OF.vehicle, s);
  const [drawn] = await db
    .select({ id: layout.id })
    .from(layout)
    .where(and(eq(layout.id, s.corrects), eq(layout.vehicleId, own.vehicleId)));
  if (drawn) return inTable(db, layout, FREE_TEXT_OF.layout, s);
  const jobs = db.select({ id: job.id }).from(job).where(eq(job.vehicleId, own.vehicleId));
  const [known] = await db
    .select({ id: partEvents.id })
    .from(partEvents)
    .where(and(eq(partEvents.partId, s.corrects), inArray(partEvents.jobId, jobs)))
    .limit(1);
  return known ? inTable(db, part, FREE_TEXT_OF.part, s) : null;
}

/** A field of an event of the job. */
async function eventOf(db: Database, s: Struck): Promise<Place | null> {
  for (const family of Object.keys(EVENT_TABLES) as EventFamily[]) {
    const table = EVENT_TABLES[family as 'findings'];
    const [row] = await db
      .select({ id: table.id })
      .from(table)
      .where(and(eq(table.id, s.corrects), eq(table.jobId, s.jobId)));
    if (row) return inTable(db, table, familyOf(family).blackable, s);
  }
  return null;
}

/** What a request to black out names; null where the job has no such text. */
async function placeOf(db: Database, s: Struck): Promise<Place | null> {
  if (s.field === 'sheet') return null;
  if (s.field === 'image') return imageOf(db, s);
  return (await thingOf(db, s)) ?? (await eventOf(db, s));
}

/** The sheets that hold something of a record: of the job, and of every job of the vehicle for what is not an event. */
async function sheetsWith(db: Database, s: Struck) {
  const [own] = await db.select({ vehicleId: job.vehicleId }).from(job).where(eq(job.id, s.jobId));
  const jobs = db
    .select({ id: job.id })
    .from(job)
    .where(eq(job.vehicleId, own?.vehicleId ?? ''));
  return db.select({ id: release.id, jobId: release.jobId, sheet: release.sheet }).from(release).where(inArray(release.jobId, jobs));
}

/**
 * Strikes one field of one record, and what was made of it in sheets that were written already, by reference. To be done
 * in a transaction: the database lets each change through by the name of its one column.
 * @returns how many places of sheets that was; null where there is no such text
 */
export async function strike(db: Database, s: Struck): Promise<{ readonly text: string; readonly sheets: number } | null> {
  const allow = (column: string): Promise<unknown> => db.execute(sql`select set_config('dauer.redacting', ${column}, true)`);
  const setSheet = async (id: string, sheet: typeof release.$inferSelect.sheet): Promise<void> => {
    await allow('sheet');
    await db.update(release).set({ sheet }).where(eq(release.id, id));
  };
  try {
    if (s.field === 'sheet') {
      const [stored] = await db.select().from(release).where(eq(release.jobId, s.jobId));
      const next = stored && stored.id === s.corrects && s.line !== null ? strikeLine(readSheet(stored.sheet), s.line) : null;
      if (!stored || !next) return null;
      await setSheet(stored.id, next);
      return { text: s.line ?? '', sheets: 1 };
    }
    const place = await placeOf(db, s);
    if (!place) return null;
    if (place.text.trim() === '' || place.text === BLACKED) return { text: '', sheets: 0 };
    await allow(columnName(s.field));
    await place.strike(db);
    let sheets = 0;
    for (const stored of await sheetsWith(db, s)) {
      const { sheet, struck } = strikeRecord(readSheet(stored.sheet), s.corrects, s.field);
      sheets += struck;
      if (struck > 0) await setSheet(stored.id, sheet);
    }
    return { text: place.text, sheets };
  } finally {
    await allow('');
  }
}

/** A black-out of which only the reference is known. */
export interface StruckBefore extends Struck {
  readonly id: string;
  readonly authorId: string;
  readonly happenedAt: string;
}

/**
 * Blacks out again what a restore has brought back, and keeps a record of it; also of what is not on record any more, so
 * that a device that sends it again does not bring it back. Returns whether that was new.
 */
export async function strikeAgain(db: Database, s: StruckBefore): Promise<boolean> {
  return db.transaction(async (tx) => {
    const [known] = await tx.select({ id: redactions.id }).from(redactions).where(eq(redactions.id, s.id));
    const [open] = await tx.select({ id: job.id }).from(job).where(eq(job.id, s.jobId));
    if (known || !open) return false;
    await strike(tx, s);
    const { id, jobId, authorId, happenedAt, corrects, field, line } = s;
    await tx.insert(redactions).values({
      ...{ id, jobId, authorId, happenedAt, corrects, field, line },
      ...{ device: 'restore', reason: 'Blacked out again after a restore' },
    });
    return true;
  });
}

/** An event that comes in again after a restore, without what was blacked out of it. */
export async function withoutStruck<T extends { readonly id: string }>(db: Database, row: T): Promise<T> {
  const struck = await db.select({ field: redactions.field }).from(redactions).where(eq(redactions.corrects, row.id));
  return struck.length === 0 ? row : { ...row, ...Object.fromEntries(struck.map(({ field }) => [field, BLACKED])) };
}
