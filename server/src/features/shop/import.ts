import { type bundle, type EventFamily } from '@dauer/contract';
import { buildSheet, deriveJob, fileAsOf, RULE_VERSION } from '@dauer/core';
import { getTableColumns, inArray } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import * as s from '../../db/schema.ts';
import { EVENT_TABLES } from '../../platform/events.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { basisOf } from '../../records/release.ts';
import { insertLayout } from '../../records/layout.ts';
import { addAccount } from './accounts.ts';

/** Things first, then what leans on them. */
const ORDER: readonly EventFamily[] = [
  'counters',
  'partEvents',
  'sets',
  'readings',
  'setMoves',
  'findings',
  'observations',
  'decisions',
  'operations',
  'operationEvents',
  'torques',
  'bleedPulls',
  'fluidServices',
  'proofs',
  'acceptances',
  'cautionAcks',
  'jointEvents',
  'partCorrections',
  'putIns',
  'takenOuts',
  'takeBacks',
  'pictures',
  'intakeLooks',
  'cameWith',
  'earlierWork',
  'leftItems',
  'causeLooks',
  'voids',
  'redactions',
];
/** What belongs to a record that exists by then. */
const AFTER_RELEASE: readonly EventFamily[] = ['afterCares', 'amendments'];
/** PostgreSQL takes 65,535 parameters a statement. */
const MOST_PARAMETERS = 60000;

type Row = Record<string, unknown>;

/** Rows whose id is not on record yet: the events of a job that was handed back may be offered again, but not added to. */
async function newOnes(db: Database, table: PgTable, rows: readonly Row[]): Promise<readonly Row[]> {
  const { id } = getTableColumns(table);
  if (!id) return rows;
  const ids = rows.map((r) => r['id']);
  const known = new Set((await db.select({ id }).from(table).where(inArray(id, ids))).map((r) => r.id));
  return rows.filter((r) => !known.has(r['id']));
}

/** Writes rows, passing over those that are already on record; says how many were new. */
async function write(db: Database, table: PgTable, rows: readonly Row[]): Promise<number> {
  const chunk = Math.max(1, Math.floor(MOST_PARAMETERS / Object.keys(getTableColumns(table)).length));
  let written = 0;
  for (let i = 0; i < rows.length; i += chunk) {
    const fresh = await newOnes(db, table, rows.slice(i, i + chunk));
    if (fresh.length === 0) continue;
    const result = await db
      .insert(table)
      .values([...fresh])
      .onConflictDoNothing();
    written += result.rowCount ?? 0;
  }
  return written;
}

/** Takes in a bundle of the past, all or nothing. Releases are derived from the records that came with them. */
export async function importBundle(db: Database, given: z.output<typeof bundle>): Promise<{ written: number; known: number }> {
  return db.transaction(async (tx) => {
    let written = 0;
    let offered = 0;
    const put = async (table: PgTable, rows: readonly Row[]): Promise<void> => {
      offered += rows.length;
      if (rows.length > 0) written += await write(tx, table, rows);
    };
    for (const p of given.people) await addAccount(tx, p);
    await put(s.gauge, given.gauges);
    await put(s.priorVersion, given.priors);
    await put(s.limit, given.limits);
    await put(
      s.limitCheck,
      given.limits.flatMap((l) => (l.checkedBy && l.checkedAt ? [{ limitId: l.id, checkedBy: l.checkedBy, checkedAt: l.checkedAt }] : [])),
    );
    await put(
      s.vehicle,
      given.vehicles.map((v) => v.vehicle),
    );
    for (const v of given.vehicles) await insertLayout(tx, v.layout);
    await put(s.job, given.jobs);
    await put(s.part, given.parts);
    // What was told of a job handed back then was told in time, whenever it is written up here.
    const handedBack = new Map(given.releases.map((r) => [r.jobId, r.releasedAt]));
    const inTime = (e: Row & { readonly jobId: string; readonly recordedAt: string }): Row => {
      const at = handedBack.get(e.jobId);
      return at !== undefined && e.recordedAt > at ? { ...e, recordedAt: at } : e;
    };
    for (const family of ORDER) await put(EVENT_TABLES[family], (given.events[family] ?? []).map(inTime));
    for (const r of given.releases) {
      const file = await readJobFile(tx, r.jobId);
      const state = deriveJob(fileAsOf(file, r.releasedAt), r.releasedAt);
      await put(s.release, [
        {
          ...r,
          ownWork: file.sets.some((x) => x.authorId === r.releasedBy),
          ruleVersion: RULE_VERSION,
          sheet: buildSheet(state, r.releasedAt),
          basis: basisOf(state),
        },
      ]);
    }
    for (const family of AFTER_RELEASE) await put(EVENT_TABLES[family], given.events[family] ?? []);
    return { written, known: offered - written };
  });
}
