import { type Slot } from '../../layout/graph.ts';
import { lower } from './lower.ts';
import type { Control } from '../../layout/reach.ts';

/** What a press of a control, or the opening of a place, would do. */
export const PLAY = {
  ifPressed: (control: Pick<Control, 'name'>): string => `If I press the ${control.name.toLowerCase()} now`,
  ifOpened: (slot: Slot): string => `If I open the ${lower(slot)}`,
  leaksWhere: (slot: Slot, atJoint: boolean): string =>
    `Fluid comes out where the ${lower(slot)} ${atJoint ? 'is open at a joint' : 'was'}.`,
  nothingHolds: (slot: Slot, why: string | null): string => `Nothing holds against it: ${why ?? lower(slot)}.`,
  held: (slot: Slot, why: string | null): string => `Held, and tells nothing: ${why ?? lower(slot)}.`,
  mayWeep: (why: string): string => `May weep: ${why}.`,
  moves: (slot: Slot): string => `The ${lower(slot)} moves.`,
  nothingStops: (what: 'pistons' | 'shoes', why: readonly string[]): string => `Nothing stops the ${what}: ${why.join(', ')}.`,
  airLies: (slot: Slot): string => `Air lies at the ${lower(slot)}: the pedal is soft and proves nothing.`,
  runsOut: (slot: Slot): string => `Fluid runs out at the ${lower(slot)}.`,
  heldByClamp: (reservoir: Slot): string => `The ${lower(reservoir)} is held back by a clamp; without it, it drains.`,
  drains: (reservoir: Slot, bleeders: number): string =>
    `The ${lower(reservoir)} drains by itself; it stands above everything${bleeders > 1 ? ` and feeds ${bleeders} bleeders` : ''}.`,
  airGoes: (bleeder: Slot): string => `Air goes to the ${lower(bleeder)}: bleed again.`,
  freshPaint: (slot: Slot): string => `Fresh paint on the ${lower(slot)}: cover it first, fluid strips it.`,
};
