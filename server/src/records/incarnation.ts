import { desc } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { incarnation } from '../db/schema.ts';

/** What this book is since its newest restore, as every answer says it. */
export async function incarnationOf(db: Database): Promise<string> {
  const [own] = await db.select({ id: incarnation.id }).from(incarnation).orderBy(desc(incarnation.since), desc(incarnation.id)).limit(1);
  return own?.id ?? '';
}
