import type { Gate } from '../catalogue/cards/types.ts';
import { CURES_DAYS } from '../catalogue/lasting.ts';
import type { OptionId } from '../catalogue/repairOptions.ts';
import { curedByClock } from '../history/curing.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn } from '../history/whereabouts.ts';
import { openFindings } from '../judging/components.ts';
import { childrenOf, type Layout, neighbours, type Slot } from '../layout/graph.ts';
import { canBeOff } from '../layout/runs.ts';
import { controlsOf } from '../layout/reach.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { daysAfter } from '../quantity/calendar.ts';
import { waitsForSupply } from '../supply/mayFit.ts';
import { whyNotSealedIn } from './options.ts';
import { type JointStatus, touchedJoints } from './joints.ts';
import { boardOn, lockOf } from './pedalLock.ts';
import { CAPS, openPorts } from './ports.ts';
import { isCharged } from './storedEnergy.ts';
import { type PlaceState, placeStates } from './unitState.ts';

/** What is pressed through shoes: they stand behind the same drum. */
const SHOES: readonly Slot['kind'][] = ['shoes', 'parking_shoes'];

/** Decisions by which new seals go in. */
const SEALS_GO_IN: readonly OptionId[] = ['reseal', 'hone', 'sleeve'];

/** What the gates of a job are read from; places are worked out once. */
export interface GateFacts {
  readonly history: JobHistory;
  /** ISO instant at which they are read. */
  readonly at: string;
  readonly places: readonly PlaceState[];
}

/** Opens the gates of a job for reading. @param history of what had happened by then */
export function gateFacts(history: JobHistory, at: string): GateFacts {
  return { history, at, places: placeStates(history, history.records.layout) };
}

/** Everything in a place: the place itself and what sits inside it. */
const unitOf = (layout: Layout, slot: Slot): readonly Slot[] => [
  slot,
  ...(slot.kind === 'caliper' ? childrenOf(layout, slot.id).filter((s) => s.kind === 'piston') : []),
];

/** What happened on this job to what belongs to a place, and to the place. */
export function eventsAt(history: JobHistory, slot: Slot): readonly PartEvent[] {
  const { job, partEvents } = history.records;
  const active = history.active(partEvents);
  const partId = lastPartIn(slot.id, active);
  return active.filter((e) => e.jobId === job.id && (e.partId === partId || e.slotId === slot.id));
}

/** Whether no control that could press a place is locked without a board on it. */
function isBarred({ history, places }: GateFacts, slot: Slot): boolean {
  const { layout } = history.records;
  const controls = controlsOf(layout);
  return controls.every((c) => {
    if (!c.reach.has(slot.id)) return true;
    const lock = lockOf(layout, c, places, controls);
    return lock === null || lock.passable || boardOn(c, places) !== null;
  });
}

/** Whether what stands open round a place has a cap, a plug or a clamp on record: every port of it, or the end of its line. */
function isCapped({ history, places }: GateFacts, slot: Slot): boolean {
  const { records } = history;
  if (eventsAt(history, slot).findLast((e) => e.kind === 'removed')?.lineOn) return true;
  const hasCap = (ids: readonly string[]): boolean =>
    places.some((p) => ids.includes(p.slot.id) && p.inside.some((i) => CAPS.includes(i.what)));
  const isHere = ({ joint, state }: JointStatus): boolean => joint.slot.id === slot.id && state === 'open';
  if (!touchedJoints(records.layout, history.active(records.jointEvents)).some(isHere))
    return hasCap([slot.id, ...neighbours(records.layout, slot.id)]);
  return openPorts(history)
    .filter(isHere)
    .every(({ joint }) => hasCap([joint.towards.id]));
}

/** Work by which a piston that was stuck moves again. */
const MOVES: readonly PartEvent['kind'][] = ['freed', 'opened', 'resealed'];

function movesAgain(history: JobHistory, slot: Slot): boolean {
  const moved = eventsAt(history, slot).some((e) => MOVES.includes(e.kind));
  return unitOf(history.records.layout, slot).every(
    (s) =>
      moved || !openFindings(history, s.id).some((f) => f.code === 'seized') || eventsAt(history, s).some((e) => MOVES.includes(e.kind)),
  );
}

/** Whether a gate before a step at a place is open, by the records. Source: handbook 55, gate; 50, Order rules. */
export function isHeld(facts: GateFacts, slot: Slot, gate: Gate): boolean {
  const { history, at, places } = facts;
  const { layout, partEvents } = history.records;
  const events = eventsAt(history, slot);
  const did = (kind: PartEvent['kind']): boolean => events.some((e) => e.kind === kind);
  switch (gate) {
    case 'made_safe':
      return !isCharged(history, at);
    case 'pedal_barred':
      return isBarred(facts, slot);
    case 'off':
      // What is back on was worked on where it lay.
      return isStandalone(layout) || !canBeOff(slot.kind) || partIn(slot.id, history.active(partEvents)) === null || did('removed');
    case 'capped':
      return isStandalone(layout) || isCapped(facts, slot);
    case 'opened':
      return did('opened') || did('resealed');
    case 'pistons_move':
      return movesAgain(history, slot);
    case 'bore_holds':
      return unitOf(layout, slot).every((s) => whyNotSealedIn(history, s) === null);
    case 'cured':
      return !events.some(
        (e) =>
          e.kind === 'coated' &&
          e.happenedAt.slice(0, 10) > daysAfter(at, -CURES_DAYS) &&
          curedByClock(history, slot.id, e.happenedAt) === null,
      );
    case 'arrived':
      return waitsForSupply(history, slot.id) === null;
    case 'resealed':
      // A new unit came with seals of its own.
      return !SEALS_GO_IN.includes(decidedHere(history, slot.id).now?.option ?? 'use_again') || did('resealed');
    case 'shoes_set':
      return places.every(
        (p) =>
          !SHOES.includes(p.slot.kind) ||
          (slot.corner !== null && p.slot.corner !== slot.corner) ||
          p.state === 'complete' ||
          p.state === 'temporary',
      );
    case 'circuit_closed':
      return places.every(
        (p) => p.slot.corner !== slot.corner || p.slot.circuits.length === 0 || (p.state !== 'open' && p.state !== 'away'),
      );
  }
}
