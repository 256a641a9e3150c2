import type { ENDPOINTS } from '@dauer/contract';
import { fileAsOf, openHistory } from '@dauer/core/history';
import { tryJob } from '@dauer/core/job';
import { type Judged, judgeSet } from '@dauer/core/judging';
import { placeName, slotById } from '@dauer/core/layout';
import type { CallBack, JobRecords } from '@dauer/core/ledger';
import { displayWithUnit } from '@dauer/core/quantity';
import { compareSeverity } from '@dauer/core/verdict';
import { and, eq, gte, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { gauge, readings } from '../../db/schema.ts';
import type { Call } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';

/** A file as its verdicts stand: of a job handed back as it was then. */
const asItStands = (records: JobRecords): JobRecords => (records.release ? fileAsOf(records, records.release.releasedAt) : records);

interface Leaned {
  readonly judged: Judged;
  readonly would: Judged['verdict'];
  readonly takenOn: string;
}

/** The figures of a job that were read with a gauge, as they are and as they would be with a doubt on it. */
function figuresOf(records: JobRecords, versions: ReadonlySet<string>, doubtful: CallBack, today: string): Leaned[] {
  const [now, then] = [openHistory(records), openHistory({ ...records, callBacks: [...records.callBacks, doubtful] })];
  return now.sets
    .filter((s) => s.jobId === records.job.id)
    .flatMap((set) => {
      const doubted = judgeSet(then, set, today);
      return judgeSet(now, set, today).flatMap((judged): Leaned[] => {
        const used = judged.reduced.governing.some((r) => versions.has(r.gaugeVersionId ?? '') && r.happenedAt >= doubtful.since);
        const other = doubted.find((d) => d.characteristic.id === judged.characteristic.id);
        return used && other ? [{ judged, would: other.verdict, takenOn: set.happenedAt }] : [];
      });
    });
}

/**
 * Every figure, open verdict and released vehicle that leaned on a gauge since an instant; those that would fall
 * differently with the doubt first, then by how bad they are. Source: handbook 10, The rack is called back.
 */
export async function leaned({ db, params, query }: Call<typeof ENDPOINTS.leaned>) {
  const today = new Date().toISOString();
  const versions = new Set((await db.select({ id: gauge.id }).from(gauge).where(eq(gauge.gaugeId, params.id))).map((g) => g.id));
  const rows = await readingsOf(db, [...versions], query.since);
  const doubtful: CallBack = {
    id: '',
    gaugeId: params.id,
    since: query.since,
    offBy: query.offBy,
    why: '',
    enteredBy: '',
    enteredAt: query.since,
    until: null,
  };
  const figures = [];
  for (const jobId of new Set(rows.map((r) => r.jobId))) {
    const records = asItStands(await readJobFile(db, jobId));
    const tried = tryJob(records, today);
    if (!tried.ok || tried.state.voided) continue;
    for (const { judged, would, takenOn } of figuresOf(records, versions, doubtful, today)) {
      const slot = slotById(records.layout, judged.slotId);
      const { kind, unit } = judged.characteristic;
      figures.push({
        jobId,
        tag: records.vehicle.tag,
        vehicle: records.vehicle.name,
        releasedAt: records.release?.releasedAt ?? null,
        place: slot ? placeName(slot) : 'a place that the layout does not have any more',
        characteristic: judged.characteristic.name,
        figure: displayWithUnit(judged.reduced.value, kind, 10 ** -judged.reduced.decimals, unit),
        takenOn,
        was: judged.verdict,
        would,
      });
    }
  }
  figures.sort(
    (a, b) =>
      Number(b.was !== b.would) - Number(a.was !== a.would) || compareSeverity(a.would, b.would) || (a.takenOn < b.takenOn ? 1 : -1),
  );
  return { readings: rows.length, figures };
}

async function readingsOf(db: Database, versions: readonly string[], since: string) {
  if (versions.length === 0) return [];
  return db
    .select({ id: readings.id, jobId: readings.jobId })
    .from(readings)
    .where(and(inArray(readings.gaugeVersionId, [...versions]), gte(readings.happenedAt, since)));
}
