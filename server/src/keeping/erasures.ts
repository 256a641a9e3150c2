import { desc, eq, isNotNull } from 'drizzle-orm';
import { z } from 'zod';
import type { Database } from '../db/connect.ts';
import { owner, redactions } from '../db/schema.ts';
import { strikeAgain } from '../records/strike.ts';
import type { Target } from './target.ts';

/** What was blanked and blacked out, by reference alone: nothing of what stood there. */
const listShape = z.object({
  owners: z.array(z.object({ id: z.string(), erasedAt: z.string() })),
  redactions: z.array(
    z.object({
      id: z.string(),
      jobId: z.string(),
      authorId: z.string(),
      happenedAt: z.string(),
      corrects: z.string(),
      field: z.string(),
      line: z.string().nullable(),
    }),
  ),
});
export type Erasures = z.infer<typeof listShape>;

const NAME = 'erasures.json';

/** Everything that was blanked or blacked out so far. */
async function erasuresOf(db: Database): Promise<Erasures> {
  const owners = await db.select({ id: owner.id, erasedAt: owner.erasedAt }).from(owner).where(isNotNull(owner.erasedAt));
  const rows = await db.select().from(redactions).orderBy(desc(redactions.recordedAt));
  return {
    owners: owners.map(({ id, erasedAt }) => ({ id, erasedAt: erasedAt ?? '' })),
    redactions: rows.map(({ id, jobId, authorId, happenedAt, corrects, field, line }) => ({
      ...{ id, jobId, authorId, happenedAt, corrects: corrects ?? '', field, line },
    })),
  };
}

/** Writes the list beside the copies, where it changed: it stays for every incarnation, and only ever grows. */
export async function keepErasures(db: Database, target: Target, known: string): Promise<string> {
  const now = await erasuresOf(db);
  const before = await readErasures(target);
  const merged: Erasures = {
    owners: [...new Map([...before.owners, ...now.owners].map((o) => [o.id, o])).values()],
    redactions: [...new Map([...before.redactions, ...now.redactions].map((r) => [r.id, r])).values()],
  };
  const text = JSON.stringify(merged);
  if (text === known) return text;
  if (text !== JSON.stringify(before)) await target.writeText(NAME, text);
  return text;
}

export async function readErasures(target: Target): Promise<Erasures> {
  try {
    const { readFile } = await import('node:fs/promises');
    return listShape.parse(JSON.parse(await readFile(target.path(NAME), 'utf8')));
  } catch {
    return { owners: [], redactions: [] };
  }
}

/** Applies again what was blanked and blacked out after the moment that was restored. Returns how much that was. */
export async function applyErasures(db: Database, { owners, redactions }: Erasures): Promise<number> {
  let applied = 0;
  for (const { id, erasedAt } of owners) {
    const [row] = await db.select({ erasedAt: owner.erasedAt }).from(owner).where(eq(owner.id, id));
    if (!row || row.erasedAt !== null) continue;
    await db.update(owner).set({ name: '', contact: '', erasedAt, erasedWhy: 'blanked again after a restore' }).where(eq(owner.id, id));
    applied += 1;
  }
  for (const r of redactions) if (await strikeAgain(db, r)) applied += 1;
  return applied;
}
