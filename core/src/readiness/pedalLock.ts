import { lockWords, SHAFT_LIFTED } from '../wording/en/readiness.ts';
import { asksAgain, controlOfItem, FIRST_PRESS, itemBase, type ProofItem } from '../catalogue/proofItems.ts';
import type { Layout } from '../layout/graph.ts';
import { axleOf, type ComponentKind, isGripped } from '../layout/kinds.ts';
import { type Control, controlsOf, sharesReservoir } from '../layout/reach.ts';
import type { PutIn } from '../ledger/families/putIns.ts';
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

/** Which wheels are driven; null where nobody said. */
type Driven = 'front' | 'rear' | 'all' | 'none' | null;

const LOCKS: readonly PlaceState['state'][] = ['open', 'away', 'blocked'];

/** Whether an open place lets a piston come out: at a wheel with hydraulics, or in the hydraulics themselves. */
function letsPistonOut(layout: Layout, at: PlaceState): boolean {
  if (at.state === 'blocked') return false;
  if (at.slot.circuits.length > 0) return true;
  return at.slot.corner !== null && layout.slots.some((s) => s.corner === at.slot.corner && s.circuits.length > 0);
}

/** What shoes and pistons come out of or past by the parking lever, where it is off. */
const HELD_PARKED: readonly ComponentKind[] = [
  'parking_lever',
  'hub',
  'drum',
  'rotor',
  'band_drum',
  'band',
  'shoes',
  'parking_shoes',
  'pads',
  'caliper',
  'piston',
  'wheel_cylinder',
  'expander',
];

/** Whether a place makes a control dangerous: the parking lever is pulled over a hydraulic joint, and not into an open drum. */
function locks(control: Control, at: PlaceState): boolean {
  if (!LOCKS.includes(at.state)) return false;
  return control.kind !== 'parking' || (HELD_PARKED.includes(at.slot.kind) && at.cause?.kind !== 'joint_open');
}

/** Whether a parking lever pulls a brake on the propeller shaft: that holds only through both driven wheels on the ground. */
export function isOnShaft(layout: Layout, control: Control): boolean {
  return control.kind === 'parking' && layout.slots.some((s) => isGripped(s.kind) && s.corner === null && control.reach.has(s.id));
}

/** What is off at a driven wheel, whose wheel then hangs free: a brake on the shaft holds nothing. Source: handbook 58, D02. */
const OFF_GROUND: readonly ComponentKind[] = ['hub', 'drum', 'rotor', 'band_drum'];

function lifts(at: PlaceState, driven: Driven): boolean {
  if (!OFF_GROUND.includes(at.slot.kind) || at.slot.corner === null || (at.state !== 'open' && at.state !== 'away')) return false;
  // Where nobody said which wheels are driven, it is those behind.
  return driven === 'all' || axleOf(at.slot.corner) === (driven === 'front' ? 'front' : 'rear');
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
  driven: Driven = null,
): ControlLock | null {
  const shaft = isOnShaft(layout, control);
  const by = states
    .filter((s) => (control.reach.has(s.slot.id) && locks(control, s)) || (shaft && lifts(s, driven)))
    .sort((a, b) => LOCKS.indexOf(a.state) - LOCKS.indexOf(b.state));
  if (by.length === 0) return null;
  const reasons = by.slice(0, 3).map((s) => s.why ?? '');
  const shared = sharesReservoir(layout, control, controls);
  return {
    control,
    by,
    passable: !by.some((s) => letsPistonOut(layout, s)),
    why:
      lockWords(
        control,
        reasons,
        by.length - reasons.length,
        shared.map((c) => c.name),
      ) + (shaft && by.some((s) => lifts(s, driven)) ? ` ${SHAFT_LIFTED}` : ''),
  };
}

/** A board that lies on a control, by the control; null where none does. Source: handbook 58, D08. */
export function boardOn(control: Control, states: readonly PlaceState[]): PutIn | null {
  return states.find((s) => s.slot.id === control.slotId)?.inside.find((p) => p.what === 'board') ?? null;
}

/** What locks a control besides the board on it. */
export function lockedBeside(lock: ControlLock): readonly PlaceState[] {
  return lock.by.filter((s) => s.slot.id !== lock.control.slotId);
}

/** The lock that keeps an item of proof from being done now; null where it may be done, or a lead has passed the lock. */
export function lockedItem(
  proof: Pick<ProofItem, 'item' | 'corner'>,
  layout: Layout,
  locks: readonly ControlLock[],
  passed: (control: Control) => boolean,
): ControlLock | null {
  const pressed = new Set(pressedFor(layout, proof).map((c) => c.slotId));
  return locks.find((l) => pressed.has(l.control.slotId) && !passed(l.control)) ?? null;
}

/** What presses the pedals and levers of the brakes, whichever of them. */
const PRESSES_ALL: readonly string[] = [
  FIRST_PRESS,
  'servo',
  'pedal_hold',
  'pedal_reserve',
  'pedal_return',
  'leak_look',
  'stop_lamp',
  'road_walk',
  'road',
  'complaint',
];

/** The controls that an item of proof presses: those that it is asked of, or that reach its wheel. */
export function pressedFor(layout: Layout, { item, corner }: Pick<ProofItem, 'item' | 'corner'>): readonly Control[] {
  const controls = controlsOf(layout);
  const of = controlOfItem(item);
  if (of !== null) return controls.filter((c) => c.slotId === of);
  const base = itemBase(item);
  if (base === 'parking' || base === 'parking_drag') return controls.filter((c) => c.kind === 'parking');
  if (base === 'clutch') return controls.filter((c) => c.kind === 'clutch');
  const pedals = controls.filter((c) => c.kind === 'pedal');
  if (PRESSES_ALL.includes(base)) return pedals;
  if (base !== 'release' && !asksAgain(base)) return [];
  const here = corner === null ? [] : layout.slots.filter((s) => s.corner === corner);
  return corner === null ? pedals : pedals.filter((c) => here.some((s) => c.reach.has(s.id)));
}
