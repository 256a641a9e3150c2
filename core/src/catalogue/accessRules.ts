import type { Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { MeasurementId } from './measured/types.ts';

/** What gives access to what: fitting the one closes the way to the others of its corner. */
export interface Access {
  readonly name: string;
  readonly closedBy: ComponentKind;
  readonly gives: readonly ComponentKind[];
}

/** Source: handbook 05, Before you close it. */
export const ACCESSES: readonly Access[] = [
  { name: 'drum off', closedBy: 'drum', gives: ['shoes', 'wheel_cylinder', 'hub'] },
  { name: 'pads out', closedBy: 'pads', gives: ['piston'] },
  { name: 'caliper off', closedBy: 'caliper', gives: ['rotor', 'hub'] },
  { name: 'rotor off', closedBy: 'rotor', gives: ['hub', 'parking_shoes'] },
  { name: 'master off servo', closedBy: 'master_cylinder', gives: ['servo'] },
];

/** The access that a figure needs; the rest is reached with the wheel off, or from outside. Source: handbook 05 and 20. */
const ACCESS_OF: Readonly<Partial<Record<MeasurementId, string>>> = {
  hub_face_runout: 'rotor off',
  rotor_drum: 'rotor off',
  shoe_lining: 'drum off',
  shoe_above_rivets: 'drum off',
  shoe_arc: 'drum off',
  shoe_centring: 'drum off',
  shoe_springs: 'drum off',
  shoe_adjuster: 'drum off',
  adjuster_travel: 'drum off',
  expander_play: 'drum off',
  hub_end_float: 'drum off',
  bore_diameter: 'drum off',
  piston_diameter: 'pads out',
  piston_seal: 'pads out',
  servo_push_rod: 'master off servo',
};

/** The access that a figure needs at a place: shoes inside a rotor are behind that, a bore of a cylinder in the middle behind nothing. */
export function accessFor(id: MeasurementId, slot: Slot): string | null {
  const access = ACCESS_OF[id] ?? null;
  if (slot.kind === 'parking_shoes') return access === 'drum off' ? 'rotor off' : access;
  return access === 'drum off' && slot.corner === null ? null : access;
}

/** Names of the accesses under which something may be put off, for a place. */
export function accessesOver(slot: Slot): string[] {
  return ACCESSES.filter((a) => a.gives.includes(slot.kind)).map((a) => a.name);
}
