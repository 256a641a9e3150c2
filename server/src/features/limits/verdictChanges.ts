import { openHistory } from '@dauer/core/history';
import { tryJob } from '@dauer/core/job';
import { judgeSet } from '@dauer/core/judging';
import { placeName, slotById } from '@dauer/core/layout';
import type { LimitVersion, Verdict } from '@dauer/core/verdict';
import type { Database } from '../../db/connect.ts';
import { openJobIds, readJobFile } from '../../records/jobFile.ts';

interface Standing {
  readonly jobId: string;
  readonly tag: string;
  readonly vehicle: string;
  readonly place: string;
  readonly characteristic: string;
  readonly verdict: Verdict;
}
export interface VerdictChange extends Omit<Standing, 'verdict'> {
  readonly was: Verdict;
  readonly is: Verdict;
}

type Which = Pick<LimitVersion, 'characteristic' | 'scope' | 'make' | 'model' | 'appliesTo'>;
const alike = (a: string | null, b: string): boolean => (a ?? '').trim().toLowerCase() === b.trim().toLowerCase();

/** The verdicts of the newest figures in open jobs that limits may bear on, by place and characteristic. */
export async function openVerdicts(db: Database, limits: readonly Which[]): Promise<Map<string, Standing>> {
  const found = new Map<string, Standing>();
  const today = new Date().toISOString();
  const wanted = new Set(limits.map((l) => l.characteristic));
  for (const jobId of await openJobIds(db)) {
    const records = await readJobFile(db, jobId);
    const { vehicle } = records;
    const bears = limits.some(
      (l) =>
        (l.scope !== 'type' || (alike(l.make, vehicle.make) && alike(l.model, vehicle.model))) &&
        (l.scope !== 'vehicle' || l.appliesTo === vehicle.id),
    );
    if (!bears || records.sets.length === 0) continue;
    const tried = tryJob(records, today);
    // A job that cannot be derived keeps nobody from entering a limit.
    if (!tried.ok) continue;
    for (const c of tried.state.components)
      for (const j of c.judged) {
        if (!wanted.has(j.characteristic.id)) continue;
        found.set(`${jobId}:${j.slotId}:${j.characteristic.id}:${j.phase}`, {
          jobId,
          tag: vehicle.tag,
          vehicle: vehicle.name,
          place: placeName(c.slot),
          characteristic: j.characteristic.name,
          verdict: j.verdict,
        });
      }
    // Figures of places that hold something else by now are judged as well.
    const history = openHistory(records);
    for (const set of history.sets.filter((s) => s.jobId === jobId))
      for (const j of judgeSet(history, set, today)) {
        const key = `${jobId}:${j.slotId}:${j.characteristic.id}:${j.phase}`;
        if (!wanted.has(j.characteristic.id) || found.has(key)) continue;
        const slot = slotById(records.layout, j.slotId);
        const place = slot ? placeName(slot) : 'a place of before';
        found.set(key, {
          jobId,
          tag: vehicle.tag,
          vehicle: vehicle.name,
          place,
          characteristic: j.characteristic.name,
          verdict: j.verdict,
        });
      }
  }
  return found;
}

/** Which verdicts fell differently. */
export function changesBetween(before: ReadonlyMap<string, Standing>, after: ReadonlyMap<string, Standing>): VerdictChange[] {
  return [...after].flatMap(([key, { verdict, ...where }]) => {
    const was = before.get(key)?.verdict;
    return was !== undefined && was !== verdict ? [{ ...where, was, is: verdict }] : [];
  });
}
