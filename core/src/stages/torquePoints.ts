import type { Component } from '../judging/components.ts';
import { placeName } from '../layout/graph.ts';
import { CORNER_NAME, type Corner } from '../layout/kinds.ts';
import { type Fastener, fastenerKey } from '../ledger/duty.ts';
import { SLACK } from '../quantity/domainError.ts';
import { REASON } from '../wording/en/duties.ts';

/** A fastener whose torque has to be on record before release. */
export interface TorquePoint {
  /** Stable name: what a logged torque refers to. */
  readonly point: string;
  readonly fastener: Fastener;
  readonly slotId: string | null;
  readonly name: string;
}

const point = (fastener: Fastener, slotId: string | null, name: string): TorquePoint => ({
  ...{ point: fastenerKey(fastener), fastener, slotId, name },
});

const WORKED = ['reseal', 'machine', 'replace'];

/** A decision that takes something apart. */
export function isWorked(c: Component): boolean {
  return c.decision !== null && WORKED.includes(c.decision.option);
}

const BY_KIND: Readonly<Partial<Record<Component['slot']['kind'], string>>> = {
  caliper: 'mounting bolts',
  hose: 'end unions',
  wheel_cylinder: 'fixing',
  master_cylinder: 'fixing nuts',
  servo: 'fixing nuts',
  valve: 'unions',
};

/**
 * Critical torques that this job owes: what was opened or taken off, and the wheels of every corner worked on.
 * Source: handbook 50, Torque; 60, Standing and lapsing.
 */
export function torquePoints(components: readonly Component[], corners: readonly Corner[], wheelsOff: boolean): TorquePoint[] {
  const discWork = new Set(
    components.filter((c) => isWorked(c) && ['rotor', 'caliper', 'piston'].includes(c.slot.kind)).map((c) => c.slot.corner),
  );
  const points = components.flatMap((c): TorquePoint[] => {
    const fastener = BY_KIND[c.slot.kind];
    if (!fastener) return [];
    const due = c.slot.kind === 'caliper' ? discWork.has(c.slot.corner) : isWorked(c);
    return due ? [point({ of: 'unit', kind: c.slot.kind, slotId: c.slot.id }, c.slot.id, `${placeName(c.slot)} ${fastener}`)] : [];
  });
  const wheels = wheelsOff ? corners.map((corner) => point({ of: 'wheel', corner }, null, `${CORNER_NAME[corner]} wheel nuts`)) : [];
  return [...points, ...wheels];
}

/** How far a torque may lie off its target, as a share of it (generic; a click wrench is good to 4 %). */
export const TORQUE_TOLERANCE = 0.1;

/** What is wrong with a torque, in a sentence; null where it is good. Figures in N·m. */
export function torqueFault(torque: { readonly target: number; readonly canonical: number }): string | null {
  if (!(torque.target > 0)) return REASON.noTarget;
  const off = Math.abs(torque.canonical - torque.target) / torque.target;
  return off > TORQUE_TOLERANCE + SLACK ? REASON.offTarget : null;
}
