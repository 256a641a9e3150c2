import type { JobState } from '../job/job.ts';
import { type Judged, judgeSet } from '../judging/judge.ts';
import { placeName, type Slot, slotById } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { SheetPair } from '../ledger/release.ts';
import { compareSeverity } from '../verdict/severity.ts';
import { figureOf, limitText } from '../wording/en/verdicts.ts';

/** Most pairs that a sheet holds. */
const MOST_PAIRS = 40;

/** What is pressed or pulled by a person: the owner feels it, so it is told first. */
const CONTROLS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever', 'parking_lever'];

/** Figures of this job by place and characteristic, oldest first. */
export function figuresHere({ history, records }: JobState, today: string): Map<string, Judged[]> {
  const taken = new Map<string, Judged[]>();
  for (const set of history.sets) {
    if (set.jobId !== records.job.id || set.blind) continue;
    for (const j of judgeSet(history, set, today)) {
      const key = `${j.slotId}:${j.characteristic.id}`;
      taken.set(key, [...(taken.get(key) ?? []), j]);
    }
  }
  return taken;
}

/** Instant of the first work on a job: what was taken before it is how the vehicle came. Null where none was done. */
export function firstWork({ history, records }: JobState): string | null {
  const here = (e: EventBase): boolean => e.jobId === records.job.id;
  const work = [
    ...history
      .active(records.partEvents)
      .filter((e) => here(e) && e.kind !== 'found' && !e.kind.startsWith('came_') && e.kind !== 'removed'),
    ...history.active(records.bleedPulls).filter(here),
    ...history.active(records.operationEvents).filter((e) => here(e) && e.kind === 'done'),
  ].map((e) => e.happenedAt);
  return work.sort()[0] ?? null;
}

/** Figures of a place of before any work, and the newest since; `after` is null until one is taken. */
interface Pair {
  readonly slot: Slot;
  readonly before: Judged;
  readonly after: Judged | null;
}

function pairsBefore(state: JobState, today: string): Pair[] {
  const begun = firstWork(state);
  const when = new Map(state.history.sets.map((s) => [s.id, s.happenedAt]));
  const isBefore = (j: Judged): boolean => begun === null || (when.get(j.setId) ?? '') < begun;
  return [...figuresHere(state, today).values()].flatMap((list) => {
    const before = list.find((j) => j.enough && isBefore(j));
    const after = list.findLast((j) => j.enough && !isBefore(j)) ?? null;
    const slot = before && slotById(state.records.layout, before.slotId);
    return before && slot ? [{ slot, before, after }] : [];
  });
}

const pairText = ({ slot, before, after }: Pair): SheetPair => ({
  place: placeName(slot),
  what: before.characteristic.short,
  before: figureOf(before),
  after: after ? figureOf(after) : '',
  limit: limitText(after ?? before),
});
const isControl = (slot: Slot): boolean => CONTROLS.includes(slot.kind);

/**
 * Figures as they came and as they leave, of the same place: controls first, then what came worst. Only what was taken
 * both before any work and after some.
 */
export function pairsOf(state: JobState, today: string): SheetPair[] {
  return pairsBefore(state, today)
    .filter((p) => p.after !== null)
    .toSorted((a, b) => Number(isControl(b.slot)) - Number(isControl(a.slot)) || compareSeverity(a.before.verdict, b.before.verdict))
    .slice(0, MOST_PAIRS)
    .map(pairText);
}

/** Pedal and levers before the work and since, each figure that was taken before; `after` is empty until it is taken again. */
export function controlPairs(state: JobState, today: string): SheetPair[] {
  return pairsBefore(state, today)
    .filter((p) => isControl(p.slot))
    .map(pairText);
}
