import { currentLimits, type LimitVersion } from '@dauer/core/verdict';
import { asc, eq, ne, or, and } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { limit, limitCheck } from '../db/schema.ts';

/** All versions of the limits that could apply to a vehicle, or of the whole book: what was handed back keeps those of its day. */
export async function readLimitVersions(db: Database, vehicleId?: string): Promise<LimitVersion[]> {
  const rows = await db
    .select({ limit, check: limitCheck })
    .from(limit)
    .leftJoin(limitCheck, eq(limitCheck.limitId, limit.id))
    .where(vehicleId ? or(ne(limit.scope, 'vehicle'), and(eq(limit.scope, 'vehicle'), eq(limit.appliesTo, vehicleId))) : undefined)
    .orderBy(asc(limit.id));
  return rows.map((r) => ({ ...r.limit, checkedBy: r.check?.checkedBy ?? null, checkedAt: r.check?.checkedAt ?? null }));
}

/** The book as it stands: the newest version of every limit. */
export async function readLimits(db: Database, vehicleId?: string): Promise<LimitVersion[]> {
  return currentLimits(await readLimitVersions(db, vehicleId));
}

export async function readLimit(db: Database, id: string): Promise<LimitVersion | null> {
  const [row] = await db
    .select({ limit, check: limitCheck })
    .from(limit)
    .leftJoin(limitCheck, eq(limitCheck.limitId, limit.id))
    .where(eq(limit.id, id));
  return row ? { ...row.limit, checkedBy: row.check?.checkedBy ?? null, checkedAt: row.check?.checkedAt ?? null } : null;
}
