import type { JobVoid } from './families/voids.ts';

/** Ids of the jobs that a standing void closes: nothing told in them counts. */
export function voidedJobs(voids: readonly JobVoid[], gone: ReadonlySet<string>): ReadonlySet<string> {
  return new Set(voids.filter((v) => !gone.has(v.id)).map((v) => v.jobId));
}
