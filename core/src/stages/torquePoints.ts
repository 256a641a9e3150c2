import { HELD_BY_FASTENERS } from '../catalogue/genericTorques.ts';
import { ENDS_PLACE, type OptionId, RENEWS } from '../catalogue/repairOptions.ts';
import type { Component } from '../judging/components.ts';
import { type Corner, INBOARD_FLANGE, isGripped } from '../layout/kinds.ts';
import { type Fastener, fastenerKey, readFastener } from '../ledger/duty.ts';
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

const WORKED: readonly OptionId[] = ['reseal', 'hone', 'sleeve', 'machine', 'reline', ...RENEWS, ...ENDS_PLACE];

/** A decision that takes something apart. */
export function isWorked(c: Component): boolean {
  return c.decision !== null && WORKED.includes(c.decision.option);
}

/** Units of which pads alone being changed means that something was undone: guide or mounting bolts. */
const FLOATS = /^floating/;

/** What was undone at a unit beside its own work: the bolts of a floating caliper whose pads were changed, the nut of a hub that was off, the bolts of a flange inboard. */
function undone(components: readonly Component[], c: Component): boolean {
  if (c.slot.kind === 'hub') {
    // A brake at the final drive is bolted to its flange, and no wheel nut holds it.
    const flange = c.slot.style === INBOARD_FLANGE;
    return c.fittedHere || (flange && components.some((x) => x.slot.corner === c.slot.corner && isGripped(x.slot.kind) && x.fittedHere));
  }
  const pads = components.find((x) => x.slot.kind === 'pads' && x.slot.corner === c.slot.corner);
  return c.slot.kind === 'caliper' && FLOATS.test(c.slot.style ?? '') && pads?.fittedHere === true;
}

/**
 * Critical torques that this job owes: what was opened or taken off, bleeders that were opened, and the wheels of every corner
 * worked on.
 * @param bled slot ids of bleeders that were opened on this job
 * Source: handbook 50, Torque; 58, A51 and D24; 60, Standing and lapsing.
 */
export function torquePoints(
  components: readonly Component[],
  corners: readonly Corner[],
  wheelsOff: boolean,
  bled: ReadonlySet<string> = new Set(),
): TorquePoint[] {
  const discWork = new Set(
    components.filter((c) => isWorked(c) && ['rotor', 'caliper', 'piston'].includes(c.slot.kind)).map((c) => c.slot.corner),
  );
  const points = components.flatMap((c): TorquePoint[] => {
    const { slot } = c;
    const due =
      slot.kind === 'caliper'
        ? discWork.has(slot.corner) || undone(components, c)
        : slot.kind === 'hub'
          ? undone(components, c)
          : slot.kind === 'bleeder'
            ? bled.has(slot.id)
            : HELD_BY_FASTENERS.includes(slot.kind) && isWorked(c);
    return due ? [point({ of: 'unit', kind: slot.kind, slotId: slot.id }, slot.id, fastenerName(slot))] : [];
  });
  const wheels = wheelsOff ? corners.map((corner) => point({ of: 'wheel', corner }, null, wheelNuts(corner))) : [];
  return [...points, ...wheels];
}

/** The name under which a torque of somebody's own choosing is kept. */
export const freePoint = (name: string): string => `free:${name.trim()}`;

/** How far a torque may lie off its target, as a share of it (generic; a click wrench is good to 4 %). */
export const TORQUE_TOLERANCE = 0.1;

/** What is owed a figure and may have none to be held against: no book names it. Source: handbook 58, A51. */
const WITHOUT_TARGET: readonly string[] = ['bleeder', 'free'];

/** What is wrong with a torque, in a sentence; null where it is good. Figures in N·m. */
export function torqueFault(torque: {
  readonly point: string;
  readonly target: number;
  readonly targetTo?: number;
  readonly canonical: number;
}): string | null {
  if (!(torque.target > 0)) {
    const fastener = readFastener(torque.point);
    return fastener.of === 'unit' && WITHOUT_TARGET.includes(fastener.kind) ? null : REASON.noTarget;
  }
  // A range as the book gives it holds as it stands; one figure is held to within what a wrench is good for.
  if (torque.targetTo !== undefined && torque.targetTo > 0) {
    if (torque.targetTo < torque.target) return REASON.rangeTurned;
    const inside = torque.canonical >= torque.target * (1 - SLACK) && torque.canonical <= torque.targetTo * (1 + SLACK);
    return inside ? null : REASON.outOfRange;
  }
  const off = Math.abs(torque.canonical - torque.target) / torque.target;
  return off > TORQUE_TOLERANCE + SLACK ? REASON.offTarget : null;
}
