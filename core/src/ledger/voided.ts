import type { JobVoid } from './families/voids.ts';

/** Ids of the jobs that a standing void closes: nothing told in them counts. */
export function voidedJobs(voids: readonly JobVoid[], retracted: ReadonlySet<string>): ReadonlySet<string> {
  return new Set(voids.filter((v) => !retracted.has(v.id)).map((v) => v.jobId));
}
