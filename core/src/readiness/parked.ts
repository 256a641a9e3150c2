import type { JobHistory } from '../history/jobHistory.ts';
import { whereabouts } from '../history/whereabouts.ts';
import { slotById } from '../layout/graph.ts';
import { controlsOf } from '../layout/reach.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { Parking } from '../ledger/families/parkings.ts';
import { PARK_REFUSED } from '../wording/en/parking.ts';
import type { ParkGap } from '../wording/reasons.ts';
import { touchedJoints } from './joints.ts';
import { boardOn, lockOf } from './pedalLock.ts';
import { openPorts } from './ports.ts';
import { placeStates } from './unitState.ts';

/** How a job was left that nobody has taken over since; null where none is parked. */
export function parkedNow(history: JobHistory): Parking | null {
  const { job, parkings, takeOvers } = history.records;
  const last = history.active(parkings).findLast((p) => p.jobId === job.id);
  return last && !history.active(takeOvers).some((t) => t.parkingId === last.id) ? last : null;
}

/** Whether a bleeding of this job was begun, and not ended. */
function isBled(history: JobHistory): boolean {
  const { job, bleedSessions, bleedSteps } = history.records;
  const last = history.active(bleedSessions).findLast((s) => s.jobId === job.id);
  return last !== undefined && !history.active(bleedSteps).some((s) => s.sessionId === last.id && s.kind === 'ended');
}

/**
 * What keeps a vehicle from being left for longer than a night, by its records: a bleeding that goes on, a port that is open
 * without a cap, a bleeder that is open, what hangs on its line, a control that must not be pressed and has no board.
 * Source: handbook 50, Parking a job.
 */
export function parkGaps(history: JobHistory): ParkGap[] {
  const { records } = history;
  const bleeding = isBled(history) ? [{ kind: 'bleeding' as const }] : [];
  const { layout, vehicle } = records;
  if (isStandalone(layout)) return bleeding;
  const places = placeStates(history, layout);
  const inside = (slotId: string) => places.find((p) => p.slot.id === slotId)?.inside ?? [];
  const open = touchedJoints(layout, history.active(records.jointEvents)).filter((j) => j.state === 'open');
  const pulls = history.active(records.bleedPulls);
  const bleeders = layout.slots.filter((s) => pulls.findLast((p) => p.slotId === s.id)?.closed === false);
  const events = history.active(records.partEvents);
  const hanging = records.parts.flatMap(({ id }) => {
    const off = events.findLast((e) => e.partId === id && (e.kind === 'removed' || e.kind === 'fitted'));
    const slot = off?.kind === 'removed' && off.lineOn && off.slotId !== null ? slotById(layout, off.slotId) : undefined;
    const lines = open.some(({ joint }) => joint.slot.id === slot?.id);
    return slot && !lines && whereabouts(id, events).at === 'shelf' && !inside(slot.id).some((p) => p.what === 'hung') ? [slot] : [];
  });
  const controls = controlsOf(layout);
  const bare = controls.filter((c) => {
    const lock = lockOf(layout, c, places, controls, vehicle.driven ?? null);
    return lock !== null && !lock.passable && boardOn(c, places) === null;
  });
  return [
    ...bleeding,
    ...openPorts(history).map(({ joint }): ParkGap => ({ kind: 'port', slot: joint.slot, port: joint.connection.id, joint: joint.name })),
    ...bleeders.map((slot): ParkGap => ({ kind: 'bleeder', slot })),
    ...hanging.map((slot): ParkGap => ({ kind: 'hangs', slot })),
    ...bare.map((control): ParkGap => ({ kind: 'board', control })),
  ];
}

/** Why a job cannot be parked so, in a sentence; null where it can. @param today the shop's day, ISO */
export function whyNotParked(
  history: JobHistory,
  { heldBy, knows, until }: Pick<Parking, 'heldBy' | 'knows' | 'until'>,
  today: string,
): string | null {
  if (parkedNow(history) !== null) return PARK_REFUSED.already;
  const [gap] = parkGaps(history);
  if (gap) return PARK_REFUSED.gap(gap);
  if (heldBy.trim() === '') return PARK_REFUSED.held;
  if (knows.trim() === '') return PARK_REFUSED.knows;
  return until !== null && until < today ? PARK_REFUSED.behind : null;
}

/** Why a parked job cannot be taken over by this; null where it can. */
export function whyNotTakenOver(history: JobHistory, parkingId: string): string | null {
  return parkedNow(history)?.id === parkingId ? null : PARK_REFUSED.notParked;
}
