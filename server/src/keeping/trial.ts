import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { TrialResult } from '@dauer/contract';
import { sql } from 'drizzle-orm';
import { connect, type Connection, type Database } from '../db/connect.ts';
import { factsOf } from './copies.ts';
import { difference, type Fingerprint, fingerprint } from './fingerprint.ts';
import type { Place } from './keeper.ts';
import { Spool } from './spool.ts';
import type { Target } from './target.ts';
import { layOutLog, unpackCopy } from './unpack.ts';

/** What plays a log back over a copy, in a scratch cluster: the launcher’s means. */
export interface Recovery {
  readonly emptyFolder: (path: string) => void;
  readonly giveToServer: (path: string) => void;
  readonly programsOf: (major: number) => string;
  readonly playBack: (what: {
    readonly data: string;
    readonly bin: string;
    readonly wal: string;
    readonly socket: string;
    readonly until: { readonly name: string };
  }) => Promise<{ readonly address: (name: string) => string; readonly stop: () => void }>;
}

/** How long it waits for the log up to its point to be finished and copied, ms. */
const PATIENCE_MS = 120000;

/**
 * A point in the log, and the fingerprint of the book exactly there. Writers are held up for the moment in which point and
 * picture are taken, and no longer: what is counted afterwards is that picture.
 */
async function pointAndPrint(
  connection: Connection,
  name: string,
  at: string,
  between: () => Promise<void>,
): Promise<{ readonly segment: string; readonly print: Fingerprint }> {
  const holder = await connection.pool.connect();
  try {
    return await connection.db.transaction(
      async (picture: Database) => {
        await holder.query('begin');
        await holder.query(`set local lock_timeout = '10s'`);
        const { rows } = await holder.query<{ name: string }>(
          `select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'drizzle')`,
        );
        await holder.query(`lock table ${rows.map((r) => r.name).join(', ')} in share mode`);
        // The first question takes the picture; nobody writes meanwhile.
        await picture.execute(sql`select 1`);
        const point = await holder.query<{ segment: string }>(`select pg_walfile_name(pg_create_restore_point($1)) as segment`, [name]);
        await holder.query('commit');
        await holder.query('select pg_switch_wal()');
        return { segment: point.rows[0]?.segment ?? '', print: await fingerprint(picture, at, between) };
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
  } catch (error) {
    await holder.query('rollback').catch(() => undefined);
    throw error;
  } finally {
    holder.release();
  }
}

/** Copies the log on until a segment of it is in the backup folder. */
async function untilCopied(place: Place, target: Target, incarnation: string, segment: string): Promise<void> {
  const spool = new Spool(place.spool);
  for (const end = Date.now() + PATIENCE_MS; Date.now() < end; await wait(300)) {
    await spool.copyTo(target, incarnation);
    if ((await target.segments(incarnation)).has(segment)) return;
    if (await spool.brokenSince()) break;
  }
  throw new Error('The log up to now did not come into the backup folder.');
}

/**
 * Tries the copies: restores the newest with the log after it into a scratch cluster, and holds every row and what follows
 * from every job’s records against the book as it was at that point. The scratch cluster is thrown away.
 */
export async function tryRestore(
  place: Place,
  target: Target,
  connection: Connection,
  { emptyFolder, giveToServer, playBack, programsOf }: Recovery,
): Promise<TrialResult> {
  const begun = Date.now();
  const at = new Date(begun).toISOString();
  const scratch = `${place.data}.trial`;
  const [data, wal, socket] = [join(scratch, 'pg'), join(scratch, 'wal'), join(scratch, 's')];
  const done = (good: boolean, says: string, print: Pick<Fingerprint, 'rows' | 'jobs'> | null): TrialResult => ({
    ...{ at, good, says, rows: print?.rows ?? 0, jobs: Object.keys(print?.jobs ?? {}).length },
    seconds: Math.round((Date.now() - begun) / 100) / 10,
  });
  let played: Awaited<ReturnType<Recovery['playBack']>> | null = null;
  let restored: Connection | null = null;
  try {
    const facts = await factsOf(connection.pool);
    const copy = (await target.copies(facts.incarnation)).at(-1);
    if (!copy) return done(false, 'There is no whole copy to try yet.', null);
    const name = `dauer-trial-${begun}`;
    // The log is copied on meanwhile: a large book takes minutes.
    const spool = new Spool(place.spool);
    let copied = Date.now();
    const between = async (): Promise<void> => {
      if (Date.now() - copied < 3000) return;
      copied = Date.now();
      await spool.copyTo(target, facts.incarnation);
    };
    const { segment, print } = await pointAndPrint(connection, name, at, between);
    await untilCopied(place, target, facts.incarnation, segment);
    emptyFolder(scratch);
    mkdirSync(data, { mode: 0o700 });
    await unpackCopy(target, copy, data);
    await layOutLog(target, copy, wal);
    giveToServer(scratch);
    played = await playBack({ data, bin: programsOf(copy.major), wal, socket, until: { name } });
    restored = connect(played.address('dauer'));
    const found = await fingerprint(restored.db, at, between);
    const differs = difference(print, found);
    return differs
      ? done(false, `Restored, but not the same: ${differs}`, found)
      : done(true, `Restored whole: ${print.rows} rows and ${Object.keys(print.jobs).length} jobs, each the same.`, print);
  } catch (error) {
    return done(false, error instanceof Error ? error.message : String(error), null);
  } finally {
    await restored?.close().catch(() => undefined);
    played?.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}
