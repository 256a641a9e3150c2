import { asksAgain, controlOfItem, FIRST_PRESS, itemBase } from '../catalogue/proofItems.ts';
import { type Layout, type Slot, unitMates } from '../layout/graph.ts';
import type { Corner } from '../layout/kinds.ts';
import type { Fastener } from '../ledger/duty.ts';
import { controlsOf } from '../layout/reach.ts';
import { type Disturbance, type Disturbed, bleedersFedThrough } from './disturbed.ts';
import { pressedFor } from './pedalLock.ts';

/** Something that was proved, and when: an answer, a bleeder closed, a torque. */
export type Proved = When & What;
interface When {
  /** Instants, ISO 8601 UTC: when it happened, and when it was written down. */
  readonly at: string;
  readonly recordedAt: string;
}
type What =
  | { readonly kind: 'item'; readonly item: string; readonly corner: Corner | null }
  | { readonly kind: 'bleed'; readonly slotId: string }
  | { readonly kind: 'torque'; readonly slotId: string | null; readonly fastener: Fastener };

/** How far an ending reaches: all that is pressed with it, the corner disturbed, the corners fed through it, the very fastener, the unit that came by itself, or what the answer was about: its wheel, or the vehicle. */
type Reach = 'vehicle' | 'unit' | 'corner' | 'fed' | 'slot' | 'own';

interface Ending {
  readonly when: Disturbance;
  readonly ends: string;
  readonly reach: Reach;
}

/** All that was seen at Trace and is asked again, as the table names it. */
const AGAIN = 'again';

/**
 * Which events end which proofs: the one table. `ends` is the item of a proof, or bleed, wheel_torque, torque.
 * Source: handbook 60, Standing and lapsing.
 */
export const ENDINGS: readonly Ending[] = [
  { when: 'hydraulic', ends: 'bleed', reach: 'fed' },
  { when: 'hydraulic', ends: 'leak_look', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'pedal_hold', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'pedal_return', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'release', reach: 'fed' },
  { when: 'bleeder', ends: 'leak_look', reach: 'vehicle' },
  { when: 'bleeder', ends: 'pedal_hold', reach: 'vehicle' },
  { when: 'bleeder', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'hose_clear', reach: 'vehicle' },
  { when: 'control', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'lining', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'parking', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'control', ends: 'pedal_hold', reach: 'vehicle' },
  { when: 'control', ends: 'pedal_return', reach: 'vehicle' },
  { when: 'control', ends: 'stop_lamp', reach: 'vehicle' },
  { when: 'wheel', ends: 'release', reach: 'corner' },
  { when: 'wheel', ends: 'wheel_torque', reach: 'corner' },
  { when: 'lining', ends: 'release', reach: 'corner' },
  { when: 'lining', ends: 'pedal_hold', reach: 'vehicle' },
  { when: 'lining', ends: 'wheel_torque', reach: 'corner' },
  { when: 'parking', ends: 'parking', reach: 'vehicle' },
  { when: 'parking', ends: 'pedal_return', reach: 'vehicle' },
  { when: 'parking', ends: 'release', reach: 'corner' },
  { when: 'bleeder', ends: 'release', reach: 'fed' },
  { when: 'bleeder', ends: 'pedal_return', reach: 'vehicle' },
  { when: 'lamp', ends: 'stop_lamp', reach: 'vehicle' },
  { when: 'warning', ends: 'warning_lamps', reach: 'vehicle' },
  { when: 'fastener', ends: 'torque', reach: 'slot' },
  { when: 'wheel_off', ends: 'wheel_torque', reach: 'corner' },
  { when: 'bleeder', ends: 'torque', reach: 'slot' },
  { when: 'pushed', ends: FIRST_PRESS, reach: 'vehicle' },
  { when: 'pushed', ends: 'pedal_hold', reach: 'vehicle' },
  { when: 'pushed', ends: 'pedal_reserve', reach: 'vehicle' },
  { when: 'pushed', ends: 'release', reach: 'corner' },
  { when: 'hydraulic', ends: FIRST_PRESS, reach: 'vehicle' },
  { when: 'hydraulic', ends: 'clutch', reach: 'vehicle' },
  { when: 'bleeder', ends: 'clutch', reach: 'vehicle' },
  { when: 'hydraulic', ends: 'bench_tight', reach: 'unit' },
  { when: 'hydraulic', ends: 'bench_moves', reach: 'unit' },
  { when: 'hydraulic', ends: 'packed', reach: 'unit' },
  { when: 'control', ends: 'servo', reach: 'vehicle' },
  { when: 'parking', ends: 'parking_drag', reach: 'vehicle' },
  { when: 'wheel', ends: 'parking_drag', reach: 'vehicle' },
  ...(['hydraulic', 'control', 'wheel', 'lining', 'parking', 'pushed'] as const).flatMap((when): Ending[] => [
    { when, ends: 'complaint', reach: 'vehicle' },
    { when, ends: AGAIN, reach: 'own' },
  ]),
  ...(['pushed', 'hydraulic', 'bleeder', 'control', 'wheel', 'lining', 'parking'] as const).flatMap((when): Ending[] => [
    { when, ends: 'road_walk', reach: 'vehicle' },
    { when, ends: 'road', reach: 'vehicle' },
  ]),
];

function endsOf(proved: Proved): string {
  if (proved.kind === 'item') return asksAgain(proved.item) ? AGAIN : itemBase(proved.item);
  if (proved.kind === 'bleed') return 'bleed';
  return proved.fastener.of === 'wheel' ? 'wheel_torque' : 'torque';
}

function cornerOf(proved: Proved): string | null {
  if (proved.kind === 'item') return proved.corner;
  return proved.kind === 'torque' && proved.fastener.of === 'wheel' ? proved.fastener.corner : null;
}

/** Slots whose fastener an event at this place loosens: its own, that of the part that carries it, and the caliper that pads come out of. */
function loosened(layout: Layout, slot: Slot): string[] {
  if (slot.kind === 'bleeder') return [slot.id];
  const calipers = slot.kind === 'pads' ? unitMates(layout, slot, 'caliper').filter((c) => c.style?.startsWith('floating')) : [];
  return [slot.id, ...(slot.parentId ? [slot.parentId] : []), ...calipers.map((c) => c.id)];
}

/** What a control does is ended by what that control reaches, and by what none reaches. */
const BY_CONTROL: readonly string[] = [
  FIRST_PRESS,
  'pedal_hold',
  'pedal_reserve',
  'pedal_return',
  'release',
  'parking',
  'parking_drag',
  'clutch',
  'servo',
];

/** Whether a place has nothing to do with the controls that a proof was pressed with: another control reaches it, and those do not. */
function ofAnotherControl(layout: Layout, by: Slot, proved: Proved): boolean {
  if (proved.kind !== 'item' || !BY_CONTROL.includes(itemBase(proved.item))) return false;
  const reaching = controlsOf(layout).filter((c) => c.reach.has(by.id));
  const pressed = pressedFor(layout, proved);
  return reaching.length > 0 && pressed.length > 0 && !reaching.some((c) => pressed.includes(c));
}

function reaches(layout: Layout, reach: Reach, by: Slot, proved: Proved): boolean {
  if (reach === 'vehicle') return !ofAnotherControl(layout, by, proved);
  if (reach === 'unit') {
    const of = proved.kind === 'item' ? controlOfItem(proved.item) : null;
    return of === null || by.id === of || by.parentId === of;
  }
  if (reach === 'own' && cornerOf(proved) === null) return true;
  if (reach === 'corner' || reach === 'own') return by.corner !== null && by.corner === cornerOf(proved);
  if (reach === 'slot') return proved.kind === 'torque' && proved.slotId !== null && loosened(layout, by).includes(proved.slotId);
  const fed = bleedersFedThrough(layout, by);
  if (proved.kind === 'bleed') return fed.includes(proved.slotId);
  const corners = layout.slots.filter((s) => fed.includes(s.id)).map((s) => s.corner);
  return corners.some((c) => c !== null && c === cornerOf(proved));
}

/** Whether an event ends a proof, whenever either happened. */
export function ends(layout: Layout, by: Pick<Disturbed, 'slot' | 'does'>, proved: Proved): boolean {
  return ENDINGS.some((e) => by.does.includes(e.when) && e.ends === endsOf(proved) && reaches(layout, e.reach, by.slot, proved));
}

/**
 * The newest event after a proof that ended it; null where it stands. A proof stands only if it is later than what would
 * end it both by when it happened and by when it was written down: no clock that runs ahead keeps it standing.
 */
export function endedBy(layout: Layout, disturbed: readonly Disturbed[], proved: Proved): Disturbed | null {
  return disturbed.findLast((d) => (d.at > proved.at || d.recordedAt > proved.recordedAt) && ends(layout, d, proved)) ?? null;
}
