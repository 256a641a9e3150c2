import type { JobHistory } from '../../history/jobHistory.ts';
import { lastOpen } from '../../judging/care.ts';
import { partIn } from '../../history/whereabouts.ts';
import type { BleedMethod } from '../../ledger/families/bleedPulls.ts';

/** Why a method is unfit for some circuits of a vehicle. */
export type Unfit = 'residual_valve' | 'never_opened' | 'no_pedal';

/**
 * Whether a method is unfit for some circuits of this vehicle; null where nothing speaks against it.
 * Source: handbook 60, Methods (which are unfit for this layout); 58, D28.
 */
export function unfitFor(history: JobHistory, method: BleedMethod, circuits: readonly number[]): Unfit | null {
  const { layout, parts, partEvents } = history.records;
  const mine = layout.slots.filter((s) => s.circuits.some((c) => circuits.includes(c)));
  if (method === 'gravity' && mine.some((s) => s.kind === 'valve' && s.style === 'residual')) return 'residual_valve';
  if (method === 'pedal' && !layout.slots.some((s) => ['pedal', 'hand_lever', 'foot_lever', 'clutch_master'].includes(s.kind)))
    return 'no_pedal';
  if (method !== 'reverse') return null;
  const events = history.active(partEvents);
  const closed = mine.some((slot) => {
    if (slot.kind !== 'caliper' && slot.kind !== 'wheel_cylinder') return false;
    const id = partIn(slot.id, events);
    const part = parts.find((p) => p.id === id) ?? null;
    return part !== null && lastOpen(history, { slot, part }) === null;
  });
  return closed ? 'never_opened' : null;
}
