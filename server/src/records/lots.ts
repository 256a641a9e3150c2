import type { LotVersion } from '@dauer/core/ledger';
import { desc, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { job, lotUses, lotVersion } from '../db/schema.ts';

/** The newest version of every lot, by its label. */
export async function readAllLots(db: Database): Promise<LotVersion[]> {
  const rows = await db
    .selectDistinctOn([lotVersion.seriesId])
    .from(lotVersion)
    .orderBy(lotVersion.seriesId, desc(lotVersion.enteredAt), desc(lotVersion.id));
  return rows.sort((a, b) => (a.label === b.label ? (a.id < b.id ? -1 : 1) : a.label < b.label ? -1 : 1));
}

/** Lots that may be taken from, and those that a vehicle has something of. */
export async function readLots(db: Database, vehicleId: string): Promise<LotVersion[]> {
  const used = await db.execute<{ id: string }>(
    sql`select distinct u.lot_id as id from ${lotUses} u join ${job} j on j.id = u.job_id where j.vehicle_id = ${vehicleId}`,
  );
  const mine = new Set(used.rows.map((r) => r.id));
  return (await readAllLots(db)).filter((l) => !l.closed || mine.has(l.seriesId));
}
