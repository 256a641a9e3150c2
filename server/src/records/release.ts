import type { JobState } from '@dauer/core/job';

/** What a result stood on: the versions of limits and gauges, by id. */
export function basisOf(state: JobState): { limits: string[]; gauges: string[] } {
  const judged = state.components.flatMap((c) => c.judged);
  const limits = judged.flatMap((j) => (j.limit ? [j.limit.id] : []));
  const gauges = judged.flatMap((j) => j.reduced.governing.flatMap((r) => (r.gaugeVersionId ? [r.gaugeVersionId] : [])));
  return { limits: [...new Set(limits)].sort(), gauges: [...new Set(gauges)].sort() };
}
