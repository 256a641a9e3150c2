import { type Match, MATCHES } from '../catalogue/matches.ts';
import { type OptionId, RENEWS } from '../catalogue/repairOptions.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn, partsInOrder } from '../history/whereabouts.ts';
import { type Slot, slotById, unitMates } from '../layout/graph.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';

/** What a place is matched to, and how. */
interface Matched {
  readonly match: Match;
  readonly other: Slot;
}

/** Places that what sits at a place is matched to. */
function matchedTo(history: JobHistory, slot: Slot): Matched[] {
  const { layout } = history.records;
  const found = MATCHES.flatMap((match) =>
    ([0, 1] as const).flatMap((side): Matched[] => {
      if (!match.of[side].includes(slot.kind)) return [];
      const others = match.of[side === 0 ? 1 : 0];
      if (match.carried) {
        const [carrier] = side === 0 ? [slot.parentId === null ? undefined : slotById(layout, slot.parentId)] : [];
        const inside = side === 1 ? layout.slots.filter((s) => s.parentId === slot.id) : [];
        return [...(carrier ? [carrier] : []), ...inside].filter((s) => others.includes(s.kind)).map((other) => ({ match, other }));
      }
      return others.flatMap((kind) => unitMates(layout, slot, kind)).map((other) => ({ match, other }));
    }),
  );
  // Pads press on a rotor, shoes on a drum; a rotor with shoes inside it is matched to both.
  return found.filter((m, i) => found.findIndex((x) => x.other.id === m.other.id) === i);
}

/** Whether something new comes to a place by what is decided there, or came with what carries it. */
function isAnew(history: JobHistory, slot: Slot): boolean {
  const option = decidedHere(history, slot.id).now?.option;
  if (option !== undefined && (RENEWS.includes(option) || option === 'reline')) return true;
  const carrier = slot.parentId === null ? undefined : slotById(history.records.layout, slot.parentId);
  return slot.kind === 'piston' && carrier !== undefined && RENEWS.includes(decidedHere(history, carrier.id).now?.option ?? 'use_again');
}

/** What would be parted, and what is lost by it. */
export interface Parting {
  readonly slot: Slot;
  /** The place whose part stays. */
  readonly stays: Slot;
  readonly lost: string;
}

/**
 * What a way of doing a place parts that belongs together: the one goes or is cut, the other stays as it is.
 * Source: handbook 05, What belongs together stays together; 40, Both sides.
 * @param anew whether something new comes to a place, or its lining does; by what is decided where none is named
 */
export function partingsOf(
  history: JobHistory,
  slot: Slot,
  option: OptionId,
  anew: (other: Slot) => boolean = (other) => isAnew(history, other),
): Parting[] {
  const cuts = option === 'machine' || option === 'reline';
  if (!RENEWS.includes(option) && !cuts) return [];
  const events = history.active(history.records.partEvents);
  return matchedTo(history, slot)
    .filter(({ match }) => RENEWS.includes(option) || match.byCutting)
    .filter(({ other }) => partIn(other.id, events) !== null && !anew(other))
    .map(({ match, other }) => ({ slot, stays: other, lost: match.lost }));
}

/** A set that was parted on this job: by which record, from what stayed. */
export interface Parted extends Parting {
  readonly event: PartEvent;
}

/**
 * What was parted on this job: another part was fitted in place of one, or one was cut, and what belonged to it stayed and
 * was in its place already then. What was replaced on this job as well belongs to nothing old.
 */
export function partedOf(history: JobHistory): Parted[] {
  const { layout, job } = history.records;
  const events = partsInOrder(history.active(history.records.partEvents));
  const anew = (slotId: string): boolean =>
    events.some((e) => e.jobId === job.id && e.slotId === slotId && e.kind === 'fitted' && lastBefore(events, e) !== e.partId);
  return events
    .filter((e) => e.jobId === job.id && (e.kind === 'fitted' || e.kind === 'machined' || e.kind === 'relined'))
    .flatMap((event): Parted[] => {
      const cut = event.kind !== 'fitted';
      const slotId = cut ? slotOf(events, event) : event.slotId;
      const slot = slotId === null ? undefined : slotById(layout, slotId);
      if (!slot || (!cut && isSame(events, event))) return [];
      return matchedTo(history, slot)
        .filter(({ match }) => !cut || match.byCutting)
        .filter(({ other }) => stayed(events, job.id, other.id, event) && !anew(other.id))
        .map(({ match, other }) => ({ event, slot, stays: other, lost: match.lost }));
    });
}

/** The part that sat at the place of an event before it; null where none is known. */
function lastBefore(events: readonly PartEvent[], event: PartEvent): string | null {
  const at = events.indexOf(event);
  return event.slotId === null ? null : lastPartIn(event.slotId, events.slice(0, at));
}

/** What is fitted is what sat there: it only went back. */
function isSame(events: readonly PartEvent[], event: PartEvent): boolean {
  const before = lastBefore(events, event);
  return before === null || before === event.partId;
}

/** Where a part sat last when something was done to it. */
function slotOf(events: readonly PartEvent[], event: PartEvent): string | null {
  const before = events.slice(0, events.indexOf(event));
  return (
    before.findLast((e) => e.partId === event.partId && e.slotId !== null && (e.kind === 'found' || e.kind === 'fitted'))?.slotId ?? null
  );
}

/** Whether the same part belongs to a place before an event and after it. */
function stayed(events: readonly PartEvent[], jobId: string, slotId: string, event: PartEvent): boolean {
  const at = events.indexOf(event);
  const before = lastPartIn(slotId, events.slice(0, at));
  const relined = events.some((e) => e.jobId === jobId && e.partId === before && e.kind === 'relined');
  return before !== null && !relined && lastPartIn(slotId, events) === before;
}
