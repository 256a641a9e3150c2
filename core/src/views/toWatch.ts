import type { JobState } from '../job/job.ts';
import { openDue } from '../judging/care.ts';
import type { Slot } from '../layout/graph.ts';
import { SHEET } from '../wording/en/sheet.ts';

/** What is to be watched after hand-back: figures near their limit, and units that nobody ever opened. */
export function toWatch(state: JobState, today: string): string[] {
  return [...nearLimit(state), ...neverOpen(state, today).map((n) => SHEET.neverOpen(n.slots, n.years))];
}

/** Figures that hold, and are near their limit. */
export function nearLimit(state: JobState): string[] {
  return state.components.flatMap((c) => c.judged.filter((j) => j.verdict === 'watch').map((j) => SHEET.watch(c.slot, j)));
}

/** Units that nobody ever opened, together where it is as many years. */
export function neverOpen(state: JobState, today: string): { readonly slots: readonly Slot[]; readonly years: number }[] {
  const since = new Map<number, Slot[]>();
  for (const c of state.components) {
    const due = c.inScope ? openDue(state.history, c, today) : null;
    if (due !== null) since.set(due, [...(since.get(due) ?? []), c.slot]);
  }
  return [...since].map(([years, slots]) => ({ slots, years }));
}
