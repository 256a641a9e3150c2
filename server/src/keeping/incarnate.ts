import { v7 } from 'uuid';
import { connect } from '../db/connect.ts';
import { incarnation, secret, session } from '../db/schema.ts';
import { isNull, sql } from 'drizzle-orm';
import { applyErasures, type Erasures } from './erasures.ts';

/**
 * Makes a restored book a new incarnation: every session ends, the keys of cookies are made anew (a leaver’s session would
 * come back otherwise), what was blanked or blacked out since is so again, and devices are told by its new id to send
 * again what it may not have.
 * @returns how much was blanked or blacked out again
 */
export async function incarnate(url: string, restoredTo: string, erasures: Erasures): Promise<number> {
  const { db, close } = connect(url);
  try {
    const now = new Date().toISOString();
    await db.transaction(async (tx) => {
      await tx.update(session).set({ endedAt: now }).where(isNull(session.endedAt));
      await tx.delete(secret);
      await tx.execute(sql`delete from attempt`);
      await tx.insert(incarnation).values({ id: v7(), since: now, restoredTo });
    });
    return await applyErasures(db, erasures);
  } finally {
    await close();
  }
}
