import { lockWords } from '../wording/en/readiness.ts';
import { asksAgain, FIRST_PRESS } from '../catalogue/proofItems.ts';
import type { Layout } from '../layout/graph.ts';
import { type Control, sharesReservoir } from '../layout/reach.ts';
import type { PlaceState } from './unitState.ts';

/** Why a control must not be pressed now. */
export interface ControlLock {
  readonly control: Control;
  /** Places that lock it, the most dangerous first. */
  readonly by: readonly PlaceState[];
  /** A lead may pass it with a reason; never while a unit with pistons is open. */
  readonly passable: boolean;
  /** In a sentence, which unit and why. */
  readonly why: string;
}

const LOCKS: readonly PlaceState['state'][] = ['open', 'away', 'blocked'];

/** Whether an open place lets a piston come out: at a wheel with hydraulics, or in the hydraulics themselves. */
function letsPistonOut(layout: Layout, at: PlaceState): boolean {
  if (at.state === 'blocked') return false;
  if (at.slot.circuits.length > 0) return true;
  return at.slot.corner !== null && layout.slots.some((s) => s.corner === at.slot.corner && s.circuits.length > 0);
}

/**
 * The lock of a control, over everything it reaches; null where it may be pressed.
 * Source: handbook 05, One open corner makes the whole vehicle's pedal dangerous.
 */
export function lockOf(
  layout: Layout,
  control: Control,
  states: readonly PlaceState[],
  controls: readonly Control[] = [],
): ControlLock | null {
  const by = states
    .filter((s) => control.reach.has(s.slot.id) && LOCKS.includes(s.state))
    .sort((a, b) => LOCKS.indexOf(a.state) - LOCKS.indexOf(b.state));
  if (by.length === 0) return null;
  const reasons = by.slice(0, 3).map((s) => s.why ?? '');
  const shared = sharesReservoir(layout, control, controls);
  return {
    control,
    by,
    passable: !by.some((s) => letsPistonOut(layout, s)),
    why: lockWords(
      reasons,
      by.length - reasons.length,
      shared.map((c) => c.name),
    ),
  };
}

/** The lock that keeps an item of proof from being done now; null where it may be done, or a lead has passed the lock. */
export function lockedItem(item: string, locks: readonly ControlLock[], passed: (control: Control) => boolean): ControlLock | null {
  const kind = pressedBy(item);
  return kind === null ? null : (locks.find((l) => l.control.kind === kind && !passed(l.control)) ?? null);
}

/** Items of proof that press a control. */
export function pressedBy(item: string): Control['kind'] | null {
  if (item === 'parking') return 'parking';
  const pedal = [FIRST_PRESS, 'pedal_hold', 'pedal_reserve', 'pedal_return', 'leak_look', 'release', 'stop_lamp', 'road_walk', 'road'];
  return pedal.includes(item) || item === 'complaint' || asksAgain(item) ? 'pedal' : null;
}
