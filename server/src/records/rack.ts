import type { CallBack, GaugeCheck, TorqueCheck } from '@dauer/core/ledger';
import { asc, desc } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { calibration, callBack, gaugeCheck, torqueCheck } from '../db/schema.ts';

/** Every call-back, each with the calibration that ended it: the first that found the gauge good, or put it right, after it was entered. */
export async function readCallBacks(db: Database): Promise<CallBack[]> {
  const rows = await db.select().from(callBack).orderBy(asc(callBack.enteredAt));
  if (rows.length === 0) return [];
  const ends = await db.select().from(calibration).orderBy(asc(calibration.on));
  return rows.map((r) => {
    const end = ends.find(
      (c) => c.gaugeId === r.gaugeId && c.result !== 'out' && c.on >= r.since.slice(0, 10) && c.enteredAt > r.enteredAt,
    );
    return { ...r, until: end?.on ?? null };
  });
}

/** The newest look of each gauge at its setting piece. */
export async function readNewestChecks(db: Database): Promise<GaugeCheck[]> {
  return db.selectDistinctOn([gaugeCheck.gaugeId]).from(gaugeCheck).orderBy(gaugeCheck.gaugeId, desc(gaugeCheck.enteredAt));
}

/** Who agreed to which generic torque, the first first. */
export async function readTorqueChecks(db: Database): Promise<TorqueCheck[]> {
  return db.select().from(torqueCheck).orderBy(asc(torqueCheck.checkedAt));
}
