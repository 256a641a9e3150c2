import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { takesIn } from '../history/scope.ts';
import type { Slot } from '../layout/graph.ts';
import type { ComponentKind, Corner } from '../layout/kinds.ts';
import type { IntakeThing } from '../ledger/families/intakeLooks.ts';
import { ORDER_THINGS, type OrderThing } from '../ledger/families/orderLooks.ts';

/** A small thing of a wheel or of the middle, and whether anybody looked at it before the order. */
export interface Completeness {
  readonly corner: Corner | null;
  readonly thing: OrderThing;
  readonly places: readonly string[];
  readonly state: 'needed' | 'not_needed' | 'left' | 'nobody';
  /** What says so: a decision, what was tried at intake, or a look made for the order. */
  readonly from: 'decision' | 'intake' | 'look' | null;
  /** What it needs is among what the decisions order anyway. */
  readonly ordered: boolean;
}

/** Where there is such a thing: at a place of these kinds. */
const AT: Readonly<Record<OrderThing, readonly ComponentKind[]>> = {
  feeds: ['reservoir'],
  hoses: ['hose'],
  adjusters: ['shoes', 'parking_shoes', 'band'],
  hardware: ['pads', 'shoes', 'parking_shoes'],
  seals: ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'],
  washers: ['caliper', 'wheel_cylinder', 'master_cylinder'],
  bleeders: ['bleeder'],
};

/** What was tried at intake, and says the same. */
const TRIED: Readonly<Partial<Record<OrderThing, IntakeThing>>> = {
  ...{ hoses: 'hoses', adjusters: 'adjusters', hardware: 'springs', bleeders: 'bleeders' },
};

/** What a decision about its place says as well: its card takes what is needed. */
const DECIDED: readonly OrderThing[] = ['hoses', 'seals', 'washers', 'hardware'];

/**
 * Every small thing that a second order is made for, wheel by wheel, and whether anybody looked at it.
 * Source: handbook 05, The costly order is the second one; 40, completeness against the layout.
 */
export function completenessOf(history: JobHistory): Completeness[] {
  const { layout, intakeLooks, orderLooks, job } = history.records;
  const slots = layout.slots.filter((s) => takesIn(job, layout, s));
  const corners = [...new Set(slots.map((s) => s.corner))];
  const tried = history.active(intakeLooks);
  const looks = history.active(orderLooks).filter((l) => l.jobId === job.id);
  const decided = (s: Slot): boolean => decidedHere(history, s.id).now !== null;
  return corners.flatMap((corner) =>
    ORDER_THINGS.flatMap((thing): Completeness[] => {
      const at = slots.filter((s) => s.corner === corner && AT[thing].includes(s.kind));
      if (at.length === 0) return [];
      const line = { corner, thing, places: at.map((s) => s.id), ordered: false };
      const look = looks.findLast((l) => l.corner === corner && l.thing === thing);
      if (look) return [{ ...line, state: look.answer, from: 'look' }];
      if (DECIDED.includes(thing) && at.every(decided)) return [{ ...line, state: 'not_needed', from: 'decision', ordered: true }];
      const state = tried.findLast((l) => l.corner === corner && l.thing === TRIED[thing])?.state;
      if (state === undefined) return [{ ...line, state: 'nobody', from: null }];
      return [{ ...line, state: state === 'sound' || state === 'none_here' ? 'not_needed' : 'needed', from: 'intake' }];
    }),
  );
}
