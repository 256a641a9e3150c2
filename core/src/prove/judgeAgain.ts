import { placeName } from '../layout/graph.ts';
import { fileAsOf } from '../records/asOf.ts';
import { deriveJob, type JobState } from '../records/job.ts';
import type { JobFile } from '../records/jobFile.ts';
import type { Verdict } from '../verdict/decide.ts';

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
export function judgeAgain(file: JobFile, today: string): JudgedOtherwise[] {
  if (!file.release) return [];
  const then = deriveJob(file, today);
  const events = fileAsOf(file, file.release.releasedAt);
  const now = verdictsOf(deriveJob({ ...events, limits: file.limits, gauges: file.gauges, release: null }, today));
  return [...verdictsOf(then)].flatMap(([key, was]) => {
    const is = now.get(key);
    return is && is.verdict !== was.verdict
      ? [{ place: was.place, characteristic: was.characteristic, then: was.verdict, now: is.verdict }]
      : [];
  });
}
