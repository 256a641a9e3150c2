import { whereabouts } from '../history/whereabouts.ts';
import type { JobState } from '../job/job.ts';
import { placeName } from '../layout/graph.ts';
import { awayWords } from '../wording/en/jobs.ts';

/** Parts that are away, told together where they went together: "4 drums, to the turner". */
function away(state: JobState): string[] {
  const events = state.history.active(state.records.partEvents);
  const byNote = new Map<string, string[]>();
  for (const part of state.records.parts) {
    const where = whereabouts(part.id, events);
    if (where.at === 'away') byNote.set(where.note, [...(byNote.get(where.note) ?? []), part.name.toLowerCase()]);
  }
  return [...byNote].map(([note, names]) => awayWords(names, note));
}

/** What a job waits for now: parts that are away, and what the stage it stands in cannot begin without. */
export function waitsOf(state: JobState): string[] {
  const others = state.obligations.flatMap((o) =>
    o.state === 'waiting' && o.stage === state.stage && o.why !== null && o.waitsFor !== 'part_away' ? [o.why] : [],
  );
  return [...away(state), ...new Set(others)];
}

/** What is fitted for now, and until when. Source: handbook 05, Temporary parts are forgotten. */
export function forNowOf(state: JobState): { readonly what: string; readonly until: string | null }[] {
  const events = state.history.active(state.records.partEvents);
  return state.context.proofStatus.places
    .filter((p) => p.state === 'temporary')
    .map((p) => ({
      what: placeName(p.slot),
      until: events.findLast((e) => e.slotId === p.slot.id && e.kind === 'fitted')?.until ?? null,
    }));
}
