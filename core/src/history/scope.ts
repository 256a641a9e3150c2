import type { Stage } from '../catalogue/stages.ts';
import { type Layout, type Slot, pathFromMaster } from '../layout/graph.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import type { Job, JobKind } from '../ledger/job.ts';

/** What a kind of job takes in, and which stages it has. */
export interface KindOfJob {
  /** Whether its corners are chosen. */
  readonly corners: boolean;
  /** What belongs to no wheel: cylinder, servo, valves, hoses of an axle. */
  readonly middle: boolean;
  readonly gauges: boolean;
  readonly decides: boolean;
  /** Stages that do not apply. */
  readonly without: readonly Stage[];
}

/** The kinds of job. Source: handbook 15, Scope and programme. */
export const KIND_OF_JOB: Readonly<Record<JobKind, KindOfJob>> = {
  overhaul: {
    corners: true,
    middle: true,
    gauges: true,
    decides: true,
    without: [],
  },
  axle: {
    corners: true,
    middle: false,
    gauges: true,
    decides: true,
    without: [],
  },
  unit: {
    corners: false,
    middle: false,
    gauges: true,
    decides: true,
    without: [],
  },
  fluid: {
    corners: false,
    middle: true,
    gauges: false,
    decides: false,
    without: ['trace', 'gauge', 'decide'],
  },
  inspection: {
    corners: true,
    middle: true,
    gauges: true,
    decides: false,
    without: ['decide'],
  },
  conversion: {
    corners: true,
    middle: true,
    gauges: true,
    decides: true,
    without: [],
  },
};

/** A hose of an axle is taken in with the axle that it feeds. */
function feedsChosen(job: Pick<Job, 'scopeCorners'>, layout: Layout, slot: Slot): boolean {
  if (slot.corner !== null || slot.kind !== 'hose') return false;
  return layout.slots.some(
    (s) =>
      s.corner !== null && job.scopeCorners.includes(s.corner) && s.circuits.length > 0 && pathFromMaster(layout, s.id).includes(slot.id),
  );
}

/**
 * Whether a job takes a place in: by its kind and corners, then by hand.
 * Source: handbook 15, Scope and programme.
 */
export function takesIn(job: Pick<Job, 'kind' | 'scopeCorners' | 'scopeIn' | 'scopeOut'>, layout: Layout, slot: Slot): boolean {
  if (job.scopeOut.includes(slot.id)) return false;
  if (job.scopeIn.includes(slot.id)) return true;
  const kind = KIND_OF_JOB[job.kind];
  if (slot.corner !== null) return kind.corners && job.scopeCorners.includes(slot.corner);
  return kind.middle || (kind.corners && feedsChosen(job, layout, slot)) || !KIND_FACTS[slot.kind].article;
}

/** Corners at which a job has something taken in: their wheels come off, and are spun. */
export function cornersTakenIn(job: Pick<Job, 'kind' | 'scopeCorners' | 'scopeIn' | 'scopeOut'>, layout: Layout): Job['scopeCorners'] {
  const byHand = layout.slots.flatMap((s) => (s.corner !== null && job.scopeIn.includes(s.id) ? [s.corner] : []));
  return [...new Set([...(KIND_OF_JOB[job.kind].corners ? job.scopeCorners : []), ...byHand])];
}
