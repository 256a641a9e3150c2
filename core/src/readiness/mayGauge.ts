import { ACCESSES, accessFor } from '../catalogue/accessRules.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn, whereabouts } from '../history/whereabouts.ts';
import { type Layout, type Slot, slotById, unitMates } from '../layout/graph.ts';
import { canBeOff } from '../layout/runs.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { Observation } from '../ledger/families/observations.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';
import { hindranceWords } from '../wording/en/readiness.ts';
import type { Hindrance } from '../wording/reasons.ts';

/** What it takes to know whether something may be gauged at a place; standing events of the vehicle only. */
export interface GaugedAt {
  readonly layout: Layout;
  readonly jobId: string;
  readonly partEvents: readonly PartEvent[];
  readonly observations: readonly Observation[];
}

/** What stands of a vehicle up to an instant, ISO 8601, as far as gauging asks. */
export function gaugedAt(history: JobHistory, instant: string): GaugedAt {
  const { records } = history;
  const until = <T extends EventBase>(events: readonly T[]): T[] => history.active(events).filter((e) => e.happenedAt <= instant);
  return {
    layout: records.layout,
    jobId: records.job.id,
    partEvents: until(records.partEvents),
    observations: until(records.observations),
  };
}

/** What was done to a part makes another of it: it is gauged as fitted, or after machining. */
const DONE_TO: readonly PartEvent['kind'][] = ['machined', 'honed', 'sleeved', 'resealed', 'relined', 'coated'];
/** Figures of the inside of a drum. */
const INSIDE: readonly MeasurementId[] = ['drum_diameter', 'drum_surface'];

/** Figures of the inside of what is sealed. */
export const WITHIN: readonly MeasurementId[] = ['bore_diameter', 'bore_zone', 'piston_diameter', 'piston_seal'];
/** What opens a sealed unit again, or takes what is inside it out. */
const UNSEALS: readonly PartEvent['kind'][] = ['opened', 'removed', 'honed', 'sleeved'];

/** The unit that closes over a place: a caliper over its pistons, a cylinder over its own bore. */
function sealedUnit(layout: Layout, slot: Slot): Slot {
  return (slot.kind === 'piston' && slot.parentId !== null && slotById(layout, slot.parentId)) || slot;
}

/** Whether a unit was sealed again in this job, and not opened since. */
function sealedAgain({ layout, partEvents, jobId }: GaugedAt, slot: Slot): boolean {
  const here = [sealedUnit(layout, slot).id, slot.id];
  const parts = here.map((id) => lastPartIn(id, partEvents));
  const last = inOrder(partEvents).findLast(
    (e) =>
      (e.kind === 'resealed' || UNSEALS.includes(e.kind)) && (parts.includes(e.partId) || (e.slotId !== null && here.includes(e.slotId))),
  );
  return last?.kind === 'resealed' && last.jobId === jobId;
}

function stuckDrum({ observations, partEvents, jobId }: GaugedAt, drum: Slot): boolean {
  const freed = observations.filter((o) => o.jobId === jobId && o.code === 'drum_stuck' && o.corner === drum.corner);
  const last = inOrder(freed).at(-1);
  if (last?.state !== 'seen') return false;
  return !partEvents.some((e) => e.slotId === drum.id && e.kind === 'removed' && e.happenedAt >= last.happenedAt);
}

/** Why the part that belongs to an empty place cannot be gauged on the bench; null where it can. */
function onBench(where: GaugedAt, slot: Slot, measurement: MeasurementId, asFound: boolean): Hindrance | null {
  const { partEvents } = where;
  const last = lastPartIn(slot.id, partEvents);
  if (last === null) return { kind: 'nothing_there', slot };
  const at = whereabouts(last, partEvents);
  if (at.at === 'missing' || at.at === 'unknown') return { kind: 'nothing_there', slot };
  if (at.at === 'away') return { kind: 'away', slot };
  if (at.at === 'scrap') return { kind: 'scrapped', slot };
  if (at.at === 'slot') return { kind: 'elsewhere', slot };
  const { subject, name } = MEASUREMENTS[measurement];
  if (subject === 'fit') return { kind: 'fit_is_off', slot, figure: name };
  const since = inOrder(partEvents).findLastIndex((e) => e.partId === last && e.kind === 'removed');
  const done = inOrder(partEvents).findLast((e, i) => i > since && e.partId === last && DONE_TO.includes(e.kind));
  return done && asFound ? { kind: 'altered', by: done.kind } : null;
}

/**
 * What keeps a measurement from being taken at a place now; null where nothing does. A place that nobody opened by record
 * may be open: only what is known to be closed, off, away or stuck is refused.
 * @param where events of the vehicle as they stand, up to the instant asked about
 * Source: handbook 20, Drum; 05, Before you close it; 15, Subjects.
 */
function hindrance(where: GaugedAt, slot: Slot, measurement: MeasurementId, asFound: boolean): Hindrance | null {
  const { layout, partEvents, jobId } = where;
  const drum = slot.kind === 'drum' ? slot : unitMates(layout, slot, 'drum')[0];
  const access = accessFor(measurement, slot);
  const behindDrum = slot.kind === 'drum' ? INSIDE.includes(measurement) : access === 'drum off';
  if (drum && behindDrum && stuckDrum(where, drum)) return { kind: 'drum_stuck', slot: drum };
  if (WITHIN.includes(measurement) && sealedAgain(where, slot)) return { kind: 'sealed_again', slot: sealedUnit(layout, slot) };
  if (canBeOff(slot.kind) && partIn(slot.id, partEvents) === null) return onBench(where, slot, measurement, asFound);
  const rule = ACCESSES.find((a) => a.name === access && a.gives.includes(slot.kind));
  for (const closer of rule ? unitMates(layout, slot, rule.closedBy) : []) {
    const last = inOrder(partEvents).findLast((e) => e.slotId === closer.id);
    if (last?.kind === 'fitted' && last.jobId === jobId) return { kind: 'closed_again', slot: closer };
  }
  return null;
}

/** Why a measurement cannot be taken at a place now, in a sentence; null where it can. */
export function whyNotGauged(...at: Parameters<typeof hindrance>): string | null {
  const found = hindrance(...at);
  return found && hindranceWords(found);
}
