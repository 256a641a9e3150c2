import { ACCESSES } from '../catalogue/accessRules.ts';
import { BORED, LINED, RENEWS, SEALED } from '../catalogue/repairOptions.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { isWorkedOnIn } from '../history/arrivals.ts';
import { partHere, partIn, whereabouts } from '../history/whereabouts.ts';
import { type Layout, type Slot, childrenOf, slotById, unitMates } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { ASSUMED_THERE } from '../layout/runs.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { PartEvent, PartEventKind } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';
import { jointsOf, jointStatus } from './joints.ts';
import { workRefusalWords } from '../wording/en/work.ts';
import type { WorkRefusal } from '../wording/reasons.ts';
import { cardRefusal } from './cardRefusals.ts';
import { isCharged, letsGo } from './storedEnergy.ts';
import { whyNotHoned, whyNotSealedIn } from './options.ts';
import { supplyRefusal } from '../supply/mayFit.ts';

/** What is said to have been done to a part. */
export type Done = Pick<PartEvent, 'id' | 'partId' | 'kind' | 'slotId' | 'lot' | 'lineOn'> & Partial<Pick<PartEvent, 'temporary'>>;

/** On what kinds each work is done at all; none named: on any. */
const WORKED_ON: Readonly<Partial<Record<PartEventKind, readonly ComponentKind[]>>> = {
  machined: ['rotor', 'drum', 'band_drum'],
  resealed: SEALED,
  honed: BORED,
  sleeved: BORED,
  relined: LINED,
};

/** Work that is done with the unit in its place, once the way to it is open. */
const IN_PLACE: Readonly<Partial<Record<PartEventKind, readonly ComponentKind[]>>> = {
  freed: [
    ...(['wheel_cylinder', 'caliper', 'piston', 'shoes', 'parking_shoes', 'band', 'master_cylinder', 'clutch_master', 'expander'] as const),
    ...ASSUMED_THERE,
  ],
  opened: ['wheel_cylinder'],
  honed: ['wheel_cylinder'],
  resealed: ['wheel_cylinder'],
};

/** What cannot be reached, taken off or put on while what stands before it is on. A hub may come off with what it carries. */
const BEHIND: readonly ComponentKind[] = ['wheel_cylinder', 'shoes', 'parking_shoes', 'piston', 'rotor', 'band_drum', 'servo'];

/** Units that may be hung up with their line on. */
const HANGS: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'valve'];

/** Work inside a unit, for which its line has to be off. */
const INSIDE: readonly PartEventKind[] = ['opened', 'honed', 'sleeved', 'resealed'];

/** What stands in the way to a place: what closes an access to it and sits there. */
function inFrontOf(layout: Layout, slot: Slot, events: readonly PartEvent[]): Slot | undefined {
  if (!BEHIND.includes(slot.kind)) return undefined;
  // What sits in a unit that is off lies on the bench with it.
  if (slot.parentId !== null && slot.kind === 'piston' && partIn(slot.parentId, events) === null) return undefined;
  return ACCESSES.filter((a) => a.gives.includes(slot.kind))
    .flatMap((a) => unitMates(layout, slot, a.closedBy))
    .find((s) => partIn(s.id, events) !== null);
}

/** Whether a place has lines, and none of them was opened by an instant. */
function linesOn(history: JobHistory, slot: Slot, instant: string): boolean {
  const joints = jointsOf(history.records.layout).filter((j) => j.slot.id === slot.id);
  const until = history.active(history.records.jointEvents).filter((e) => e.happenedAt <= instant);
  return joints.length > 0 && joints.every((j) => jointStatus(j, until).state !== 'open');
}

/** Ends of a line that were not opened by an instant. */
function endsMade(history: JobHistory, slot: Slot, instant: string): Slot[] {
  const until = history.active(history.records.jointEvents).filter((e) => e.happenedAt <= instant);
  return jointsOf(history.records.layout)
    .filter((j) => j.connection.id === slot.id && jointStatus(j, until).state !== 'open')
    .map((j) => j.slot);
}

/**
 * Whether what is put in is the part that another one is decided to go in for: it sat here before, and did not come in by that
 * decision. What is fitted for now only is no answer to it.
 */
function isOld(history: JobHistory, event: Done, slot: Slot, events: readonly PartEvent[], instant: string): boolean {
  const { now } = decidedHere(history, slot.id, instant);
  if (event.temporary || !now || !RENEWS.includes(now.option)) return false;
  const here = events.filter((e) => e.partId === event.partId && e.slotId === slot.id);
  return here.length > 0 && !here.some((e) => e.kind === 'fitted' && !e.temporary && e.happenedAt >= now.happenedAt);
}

function placing(history: JobHistory, event: Done, slot: Slot, events: readonly PartEvent[], instant: string): WorkRefusal | null {
  const where = whereabouts(event.partId, events);
  const sits = partIn(slot.id, events);
  if (event.kind === 'removed' && where.at !== 'unknown' && sits !== event.partId) return { kind: 'not_on', slot };
  if (event.kind === 'fitted') {
    if (where.at === 'away' || where.at === 'scrap') return { kind: where.at, slot };
    const known = events.some((e) => e.partId === event.partId);
    if (known && (where.at === 'missing' || where.at === 'unknown')) return { kind: 'missing', slot };
    if (sits !== null) return { kind: sits === event.partId ? 'on_already' : 'taken', slot };
    if (isOld(history, event, slot, events, instant)) return { kind: 'renewed', slot };
  }
  const closer = inFrontOf(history.records.layout, slot, events);
  if (closer) return { kind: 'behind', slot, closer };
  if (slot.kind === 'line') {
    const made = endsMade(history, slot, instant);
    return made.length > 0 ? { kind: 'ends_made', slot, ends: made } : null;
  }
  // What is only moved may hang on its line; another one does not go in without opening it.
  const another = event.kind === 'fitted' && !events.some((e) => e.partId === event.partId && e.slotId === slot.id);
  const moved = event.kind === 'removed' && !(event.lineOn && HANGS.includes(slot.kind));
  return (another || moved) && linesOn(history, slot, instant)
    ? { kind: moved && HANGS.includes(slot.kind) ? 'line_or_hangs' : 'line_on', slot }
    : null;
}

function worked(history: JobHistory, event: Done, slot: Slot, events: readonly PartEvent[], instant: string): WorkRefusal | null {
  const { layout } = history.records;
  const kinds = WORKED_ON[event.kind];
  const bare = ASSUMED_THERE.includes(slot.kind) && INSIDE.includes(event.kind);
  if (bare || (kinds && !kinds.includes(slot.kind))) return { kind: 'no_such_work', slot, work: event.kind };
  const where = whereabouts(event.partId, events);
  if (where.at === 'away' || where.at === 'scrap' || where.at === 'missing') return { kind: where.at, slot };
  const inHand = isStandalone(layout);
  if (where.at === 'slot' && !inHand) {
    if (!IN_PLACE[event.kind]?.includes(slot.kind)) return { kind: 'still_on', slot, work: event.kind };
    const closer = inFrontOf(layout, slot, events);
    if (closer) return { kind: 'behind', slot, closer };
  }
  if (where.at === 'shelf' && INSIDE.includes(event.kind) && linesOn(history, slot, instant)) return { kind: 'line_on', slot };
  if (event.kind === 'honed') {
    const { now } = decidedHere(history, slot.id, instant);
    const metal = now?.option === 'hone' ? whyNotHoned(now.metal) : null;
    if (now?.option !== 'hone') return { kind: 'not_decided', slot };
    if (metal !== null) return { kind: 'against', slot, words: metal };
  }
  if (event.kind === 'resealed') {
    const inside = slot.kind === 'caliper' ? childrenOf(layout, slot.id).filter((s) => s.kind === 'piston') : [];
    for (const at of [slot, ...inside]) {
      const words = at.id === slot.id || partHere(at.id, events) !== null ? whyNotSealedIn(history, at) : null;
      if (words !== null) return { kind: 'against', slot: at, words };
    }
  }
  return asksLot(event.kind) && event.lot === null ? { kind: 'lot_not_said', slot } : null;
}

/** Work of which is asked what went in: a kit, a coat and its lot. */
export function asksLot(kind: PartEventKind): boolean {
  return kind === 'resealed' || kind === 'coated' || kind === 'relined';
}

/** Steps that are told with words: what went in, to whom it went, why it was scrapped. */
export function isTold(kind: PartEventKind): boolean {
  return asksLot(kind) || kind === 'sent' || kind === 'scrapped';
}

/** What had happened by an instant; what was found at booking in had been there before. */
function knownAt(events: readonly PartEvent[], instant: string): PartEvent[] {
  const until = events.filter((e) => e.happenedAt <= instant);
  const places = new Set(until.map((e) => e.slotId));
  return [...events.filter((e) => e.kind === 'found' && e.happenedAt > instant && !places.has(e.slotId)), ...until];
}

function refusal(history: JobHistory, event: Done, instant: string): WorkRefusal | null {
  const { layout, partEvents } = history.records;
  const events = knownAt(inOrder(history.active(partEvents)), instant).filter((e) => e.id !== event.id);
  const at = event.slotId ?? events.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
  const slot = at === null ? undefined : slotById(layout, at);
  if (!slot) return null;
  const where = whereabouts(event.partId, events);
  if ((event.kind === 'removed' || event.kind === 'opened') && letsGo(slot) && isCharged(history, instant))
    return { kind: 'charged', slot };
  switch (event.kind) {
    case 'found':
      return null;
    case 'came_loose':
    case 'came_missing':
    case 'came_unknown':
      if (isWorkedOnIn(event.partId, history.records.job.id, events)) return { kind: 'worked_on', slot };
      return where.at === 'slot' ? null : { kind: 'not_on', slot };
    case 'removed':
    case 'fitted':
      return placing(history, event, slot, events, instant);
    case 'returned':
      return where.at === 'away' ? null : { kind: 'not_away', slot };
    case 'sent':
    case 'scrapped':
      if (where.at === 'away' && event.kind === 'sent') return { kind: 'away', slot };
      if (where.at === 'scrap') return { kind: 'scrap', slot };
      return where.at === 'slot' && !isStandalone(layout) ? { kind: 'still_on', slot, work: event.kind } : null;
    default:
      return worked(history, event, slot, events, instant);
  }
}

/**
 * Why what is said of a part cannot have been done at an instant, in a sentence; null where it can: it is away or lies on
 * the scrap, it is on and has to be off, something stands before it, its line is on, its bore or its pistons cannot be sealed.
 * @param instant ISO 8601; only what happened until then counts
 * Source: handbook 05, lesson 2 and Before you close it; 20, Cylinder bores; 55.
 */
export function whyNotDone(history: JobHistory, event: Done, instant: string): string | null {
  const found = refusal(history, event, instant) ?? supplied(history, event);
  return found ? workRefusalWords(found) : cardRefusal(history, event, instant);
}

/** What was ordered or sent out for the place, and is not here or not found right. */
function supplied(history: JobHistory, event: Done): WorkRefusal | null {
  const events = history.active(history.records.partEvents);
  const at = event.slotId ?? events.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
  const slot = at === null ? undefined : slotById(history.records.layout, at);
  const supply = supplyRefusal(history, event);
  return slot && supply ? { kind: 'supply', slot, supply } : null;
}

/** What has to come off before something can be done to what sits in a place; null where nothing stands before it. */
export function standsBefore(history: JobHistory, slot: Slot): Slot | null {
  return inFrontOf(history.records.layout, slot, history.active(history.records.partEvents)) ?? null;
}
