import type { GaugeVersion } from '@dauer/core/ledger';
import { repeatStudy } from '@dauer/core/metrology';
import { toResult } from '@dauer/core/quantity';
import { desc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import * as s from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readGauges } from '../../records/jobFile.ts';
import { readCallBacks } from '../../records/rack.ts';
import { instrumentHandlers, type InstrumentNames } from './instruments.ts';
import { leaned } from './affectedReadings.ts';

async function newest(db: Database, gaugeId: string): Promise<GaugeVersion> {
  const versions = await db.select().from(s.gauge).where(eq(s.gauge.gaugeId, gaugeId)).orderBy(desc(s.gauge.enteredAt), desc(s.gauge.id));
  const [last] = versions;
  if (!last) throw notFound('gauge');
  return last;
}

/** A new version of a gauge, with what was just learned of it. */
async function addVersion(db: Database, from: GaugeVersion, id: string, enteredBy: string, change: Partial<GaugeVersion>): Promise<void> {
  const { enteredAt: _at, ...facts } = from;
  await db
    .insert(s.gauge)
    .values({ ...facts, ...change, id, enteredBy })
    .onConflictDoNothing();
}

type Names =
  InstrumentNames | 'gauges' | 'enterGauge' | 'gaugeLife' | 'calibrate' | 'checkGauge' | 'studyGauge' | 'callBackGauge' | 'leaned';

export const rackHandlers: Pick<Handlers, Names> = {
  gauges: async ({ db }) => {
    const byGauge = new Map((await readGauges(db)).map((g) => [g.gaugeId, g]));
    return [...byGauge.values()].sort((a, b) => a.tag.localeCompare(b.tag));
  },
  enterGauge: async ({ db, body, person }) => {
    await db
      .insert(s.gauge)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [stored] = await db.select().from(s.gauge).where(eq(s.gauge.id, body.id));
    return keptAs(stored, body, 'gauge');
  },
  gaugeLife: async ({ db, params }) => {
    const versions = await db
      .select()
      .from(s.gauge)
      .where(eq(s.gauge.gaugeId, params.id))
      .orderBy(desc(s.gauge.enteredAt), desc(s.gauge.id));
    if (versions.length === 0) throw notFound('gauge');
    const { calibration, gaugeCheck, repeatStudy: study } = s;
    return {
      versions,
      calibrations: await db.select().from(calibration).where(eq(calibration.gaugeId, params.id)).orderBy(desc(calibration.on)),
      checks: await db.select().from(gaugeCheck).where(eq(gaugeCheck.gaugeId, params.id)).orderBy(desc(gaugeCheck.enteredAt)).limit(50),
      studies: await db.select().from(study).where(eq(study.gaugeId, params.id)).orderBy(desc(study.enteredAt)),
      callBacks: (await readCallBacks(db)).filter((c) => c.gaugeId === params.id).reverse(),
    };
  },
  calibrate: async ({ db, params, body, person }) => {
    const { versionId, ...fields } = body;
    return db.transaction(async (tx) => {
      const from = await newest(tx, params.id);
      await tx
        .insert(s.calibration)
        .values({ ...fields, gaugeId: params.id, enteredBy: person.id })
        .onConflictDoNothing();
      await addVersion(tx, from, versionId, person.id, { calibrationDue: body.nextDue });
      const [stored] = await tx.select().from(s.calibration).where(eq(s.calibration.id, body.id));
      return keptAs(stored, { ...fields, gaugeId: params.id }, 'calibration');
    });
  },
  checkGauge: async ({ db, params, body, person }) => {
    const { settingPiece } = await newest(db, params.id);
    if (settingPiece === null) throw new HttpProblem('no_piece', 'This gauge has no setting piece on record. Enter its nominal first.');
    await db
      .insert(s.gaugeCheck)
      .values({ ...body, gaugeId: params.id, nominal: settingPiece, enteredBy: person.id })
      .onConflictDoNothing();
    const [stored] = await db.select().from(s.gaugeCheck).where(eq(s.gaugeCheck.id, body.id));
    return keptAs(stored, { ...body, gaugeId: params.id }, 'check');
  },
  studyGauge: async ({ db, params, body, person }) => {
    const { versionId, ...fields } = body;
    return db.transaction(async (tx) => {
      const from = await newest(tx, params.id);
      const tried = toResult(() => repeatStudy(fields.readings, from.resolution));
      if (!tried.ok) throw tried.refusal;
      const { shortSpan } = tried.value;
      await tx
        .insert(s.repeatStudy)
        .values({ ...fields, gaugeId: params.id, shortSpan, enteredBy: person.id })
        .onConflictDoNothing();
      await addVersion(tx, from, versionId, person.id, { shortSpan });
      const [stored] = await tx.select().from(s.repeatStudy).where(eq(s.repeatStudy.id, body.id));
      return keptAs(stored, { ...fields, gaugeId: params.id }, 'study');
    });
  },
  callBackGauge: async ({ db, params, body, person }) => {
    await newest(db, params.id);
    if (body.since > new Date().toISOString()) throw new HttpProblem('future', 'A gauge is called back from a day that has been.');
    await db
      .insert(s.callBack)
      .values({ ...body, gaugeId: params.id, enteredBy: person.id })
      .onConflictDoNothing();
    const stored = (await readCallBacks(db)).find((c) => c.id === body.id);
    return keptAs(stored, { ...body, gaugeId: params.id }, 'call-back');
  },
  leaned,
  ...instrumentHandlers,
};
