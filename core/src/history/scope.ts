import type { Stage } from '../catalogue/stages.ts';
import { type Layout, type Slot, pathFromMaster } from '../layout/graph.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import type { Job, JobKind } from '../ledger/jobRecords.ts';

/** What a kind of job takes in, and which stages it has. */
export interface KindOfJob {
  readonly name: string;
  /** In a sentence, what it takes in. */
  readonly takesIn: string;
  /** Whether its corners are chosen. */
  readonly corners: boolean;
  /** What belongs to no wheel: cylinder, servo, valves, hoses of an axle. */
  readonly middle: boolean;
  readonly gauges: boolean;
  readonly decides: boolean;
  /** Stages that do not apply, each with its reason. */
  readonly without: Readonly<Partial<Record<Stage, string>>>;
}

/** The kinds of job. Source: handbook 15, Scope and programme. */
export const KIND_OF_JOB: Readonly<Record<JobKind, KindOfJob>> = {
  overhaul: {
    name: 'Full overhaul',
    takesIn: 'Everything in the middle, and the corners chosen.',
    corners: true,
    middle: true,
    gauges: true,
    decides: true,
    without: {},
  },
  axle: {
    name: 'One axle',
    takesIn: 'The corners chosen, and the hoses that feed them.',
    corners: true,
    middle: false,
    gauges: true,
    decides: true,
    without: {},
  },
  unit: {
    name: 'Single units',
    takesIn: 'Only the components chosen by hand.',
    corners: false,
    middle: false,
    gauges: true,
    decides: true,
    without: {},
  },
  fluid: {
    name: 'Fluid only',
    takesIn: 'Every bleeder of every circuit; nothing is gauged.',
    corners: false,
    middle: true,
    gauges: false,
    decides: false,
    without: { trace: 'fluid only', gauge: 'fluid only', decide: 'fluid only' },
  },
  inspection: {
    name: 'Inspection',
    takesIn: 'Everything in the middle, and the corners chosen; nothing has to be decided.',
    corners: true,
    middle: true,
    gauges: true,
    decides: false,
    without: { decide: 'inspection' },
  },
  conversion: {
    name: 'Conversion',
    takesIn: 'Everything in the middle, and the corners chosen.',
    corners: true,
    middle: true,
    gauges: true,
    decides: true,
    without: {},
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
