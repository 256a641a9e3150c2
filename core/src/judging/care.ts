import type { JobHistory } from '../history/jobHistory.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import { inOrder } from '../ledger/retraction.ts';
import type { Use } from '../ledger/vehicleRecords.ts';
import { earliestDay } from '../quantity/partialDate.ts';
import type { Component } from './components.ts';

/** How far a hydraulic unit that was found seized has been brought, least first. */
export type CareState = 'untouched' | 'freed' | 'opened' | 'resealed' | 'renewed';
const CARE_STATES: readonly CareState[] = ['untouched', 'freed', 'opened', 'resealed', 'renewed'];

/** Least state in which a unit that was seized goes out, by the use of the vehicle. Source: handbook 05, lesson 2. */
const MIN_CARE: Readonly<Record<Use, CareState>> = {
  daily: 'resealed',
  work: 'resealed',
  competition: 'renewed',
  seasonal: 'resealed',
  stands: 'opened',
};

/** Least state in which a seized unit of this vehicle goes out. */
export function leastCare(history: JobHistory): CareState {
  return MIN_CARE[history.records.vehicle.use];
}

/** How far the unit in a place has been brought on this job. */
export function careOf(history: JobHistory, c: Pick<Component, 'slot' | 'part' | 'bench' | 'fittedHere'>): CareState {
  if (
    c.fittedHere &&
    history.active(history.records.partEvents).findLast((e) => e.slotId === c.slot.id && e.kind === 'fitted')?.temporary === false
  ) {
    const came = history.active(history.records.partEvents).some((e) => e.partId === c.part?.id && e.kind === 'found');
    if (!came) return 'renewed';
  }
  const partId = c.part?.id ?? c.bench;
  const mine = history.active(history.records.partEvents).filter((e) => e.jobId === history.records.job.id && e.partId === partId);
  return CARE_STATES.findLast((s) => mine.some((e) => e.kind === s)) ?? 'untouched';
}

/** How far a unit that was found seized was brought, and how far it has to be brought at least. */
export interface CareFault {
  readonly now: CareState;
  readonly least: CareState;
}

/**
 * Why a unit that was found seized may not go out as it is; null where it may. A cylinder that moves again has only been freed.
 * @returns null also for what is not hydraulic and for what was never found seized
 */
export function careFault(history: JobHistory, c: Component): CareFault | null {
  if (!KIND_FACTS[c.slot.kind].hydraulic || !KIND_FACTS[c.slot.kind].article) return null;
  const { job, vehicle, findings } = history.records;
  const seized = history.active(findings).some((f) => f.slotId === c.slot.id && f.jobId === job.id && f.code === 'seized');
  if (!seized) return null;
  const least = MIN_CARE[vehicle.use];
  const now = careOf(history, c);
  if (CARE_STATES.indexOf(now) >= CARE_STATES.indexOf(least)) return null;
  return { now, least };
}

/** Steps by which a unit that was found seized is brought as far as it has to be; none where it is there. */
export function careLeft(history: JobHistory, c: Component): ('freed' | 'opened' | 'resealed')[] {
  const fault = careFault(history, c);
  if (fault === null) return [];
  const steps = ['freed', 'opened', 'resealed'] as const;
  return steps.filter(
    (s) => CARE_STATES.indexOf(s) > CARE_STATES.indexOf(fault.now) && CARE_STATES.indexOf(s) <= CARE_STATES.indexOf(fault.least),
  );
}

/** When the unit in a place was last open, ISO instant, by these records or by earlier work as far as it is dated (the earliest day that may be meant); null where neither says so. Its fluid has a clock of its own. */
export function lastOpen(history: JobHistory, c: Pick<Component, 'slot' | 'part'>): string | null {
  if (!KIND_FACTS[c.slot.kind].hydraulic || c.part === null) return null;
  const earlier = history
    .active(history.records.earlierWork)
    .filter((e) => e.slotId === c.slot.id && (e.what === 'overhauled' || e.what === 'renewed'))
    .map((e) => earliestDay(e.on))
    .sort()
    .at(-1);
  const events = inOrder(history.active(history.records.partEvents)).filter((e) => e.partId === c.part?.id);
  const known = events.some((e) => e.kind === 'found');
  const here = events.findLast((e) => e.kind === 'opened' || e.kind === 'resealed' || (e.kind === 'fitted' && !known))?.happenedAt;
  return here ?? (earlier ? `${earlier}T00:00:00.000Z` : null);
}

/** Years from which a unit whose history nobody knows is opened (generic). Source: handbook 05, Two clocks. */
const OPEN_AFTER_YEARS = 30;

/** For how many years nobody is known to have opened a unit that ought to be opened, whatever its fluid looks like; null where nothing says so. */
export function openDue(history: JobHistory, c: Pick<Component, 'slot' | 'part'>, today: string): number | null {
  if (!['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'].includes(c.slot.kind) || c.part === null)
    return null;
  const { year } = history.records.vehicle;
  const opened = lastOpen(history, c);
  if (opened !== null) return null;
  const age = year === null ? null : Number(today.slice(0, 4)) - year;
  if (age === null || age <= OPEN_AFTER_YEARS) return null;
  return age;
}
