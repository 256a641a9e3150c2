import type { Component } from '../judging/components.ts';
import type { Corner } from '../layout/kinds.ts';
import { type Fastener, fastenerKey } from '../ledger/duty.ts';
import { SLACK } from '../quantity/domainError.ts';
import { REASON } from '../wording/en/duties.ts';
import { fastenerName, wheelNuts } from '../wording/en/fasteners.ts';

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

const WORKED = ['reseal', 'hone', 'sleeve', 'machine', 'replace'];

/** A decision that takes something apart. */
export function isWorked(c: Component): boolean {
  return c.decision !== null && WORKED.includes(c.decision.option);
}

/** Kinds of unit that fasteners hold whose torque matters. */
const HELD: readonly Component['slot']['kind'][] = ['caliper', 'hose', 'wheel_cylinder', 'master_cylinder', 'servo', 'valve'];

/**
 * Critical torques that this job owes: what was opened or taken off, and the wheels of every corner worked on.
 * Source: handbook 50, Torque; 60, Standing and lapsing.
 */
export function torquePoints(components: readonly Component[], corners: readonly Corner[], wheelsOff: boolean): TorquePoint[] {
  const discWork = new Set(
    components.filter((c) => isWorked(c) && ['rotor', 'caliper', 'piston'].includes(c.slot.kind)).map((c) => c.slot.corner),
  );
  const points = components.flatMap((c): TorquePoint[] => {
    if (!HELD.includes(c.slot.kind)) return [];
    const due = c.slot.kind === 'caliper' ? discWork.has(c.slot.corner) : isWorked(c);
    return due ? [point({ of: 'unit', kind: c.slot.kind, slotId: c.slot.id }, c.slot.id, fastenerName(c.slot))] : [];
  });
  const wheels = wheelsOff ? corners.map((corner) => point({ of: 'wheel', corner }, null, wheelNuts(corner))) : [];
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
