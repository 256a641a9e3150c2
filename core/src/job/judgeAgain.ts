import { fileAsOf } from '../history/asOf.ts';
import { fileWithLate } from '../history/late.ts';
import { placeName } from '../layout/graph.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import type { Verdict } from '../verdict/decide.ts';
import { judgedOtherwise } from '../wording/en/jobs.ts';
import { type JobState, deriveJob } from './job.ts';

/** A figure that today's book judges otherwise than the book of its day. */
export interface JudgedOtherwise {
  readonly place: string;
  readonly characteristic: string;
  readonly then: Verdict;
  readonly now: Verdict;
}

function verdictsOf(state: JobState): Map<string, { place: string; characteristic: string; verdict: Verdict }> {
  return new Map(
    state.components.flatMap((c) =>
      c.judged.map((j) => [
        `${c.slot.id}:${j.setId}:${j.characteristic.id}`,
        { place: placeName(c.slot), characteristic: j.characteristic.name, verdict: j.verdict },
      ]),
    ),
  );
}

/**
 * Judges what was found in a closed job with the limits of today: a view, nothing of it is written down.
 * @returns what falls differently; none for a job that is still open, which is judged by today's book anyway
 * Source: handbook 15, Subjects, limits, basis.
 */
export function judgeAgain(records: JobRecords, today: string): JudgedOtherwise[] {
  if (!records.release) return [];
  const then = deriveJob(records, today);
  const events = fileAsOf(records, records.release.releasedAt);
  return differing(then, deriveJob({ ...events, limits: records.limits, gauges: records.gauges, release: null }, today));
}

/** Figures judged otherwise in one state than in the other. */
function differing(then: JobState, now: JobState): JudgedOtherwise[] {
  const is = verdictsOf(now);
  return [...verdictsOf(then)].flatMap(([key, was]) => {
    const by = is.get(key);
    return by && by.verdict !== was.verdict
      ? [{ place: was.place, characteristic: was.characteristic, then: was.verdict, now: by.verdict }]
      : [];
  });
}

/** What would have stood otherwise at the hand-back, had nothing come late. */
export interface LateWeight {
  readonly figures: readonly JudgedOtherwise[];
  /** What would have been in the way. */
  readonly blocks: readonly string[];
}

/** Weighs what came in late against the record; the record stays as it was. */
export function weighLate(records: JobRecords, today: string): LateWeight {
  if (!records.release) return { figures: [], blocks: [] };
  const then = deriveJob(records, today);
  const now = deriveJob(fileWithLate(records), today);
  const known = new Set(then.blocks.map((b) => b.key));
  const worse = now.components.flatMap((c) => {
    const was = then.components.find((x) => x.slot.id === c.slot.id)?.verdict ?? null;
    return c.verdict !== null && was !== null && c.verdict !== was ? [judgedOtherwise(c.slot, was, c.verdict)] : [];
  });
  return { figures: differing(then, now), blocks: [...worse, ...now.blocks.filter((b) => !known.has(b.key)).map((b) => b.what)] };
}
