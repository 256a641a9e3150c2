import type { Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { AccessName } from './measured/types.ts';
import { type MeasurementId, MEASUREMENTS } from './measurements.ts';

/** What gives access to what: fitting the one closes the way to the others of its corner. */
export interface Access {
  readonly name: AccessName;
  readonly closedBy: ComponentKind;
  readonly gives: readonly ComponentKind[];
}

/** Source: handbook 05, Before you close it. */
export const ACCESSES: readonly Access[] = [
  { name: 'drum off', closedBy: 'drum', gives: ['shoes', 'wheel_cylinder', 'hub'] },
  { name: 'band off', closedBy: 'band', gives: ['band_drum'] },
  { name: 'pads out', closedBy: 'pads', gives: ['piston'] },
  { name: 'caliper off', closedBy: 'caliper', gives: ['rotor', 'hub'] },
  { name: 'rotor off', closedBy: 'rotor', gives: ['hub', 'parking_shoes'] },
  { name: 'master off servo', closedBy: 'master_cylinder', gives: ['servo'] },
];

/** The access that a figure needs at a place: shoes inside a rotor are behind that, a bore of a cylinder in the middle behind nothing. */
export function accessFor(id: MeasurementId, slot: Slot): AccessName | null {
  const access = MEASUREMENTS[id].access ?? null;
  if (slot.kind === 'parking_shoes') return access === 'drum off' ? 'rotor off' : access;
  return access === 'drum off' && slot.corner === null ? null : access;
}

/** Names of the accesses under which something may be put off, for a place. */
export function accessesOver(slot: Slot): AccessName[] {
  return ACCESSES.filter((a) => a.gives.includes(slot.kind)).map((a) => a.name);
}
