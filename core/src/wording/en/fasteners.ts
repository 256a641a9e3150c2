import type { GenericTorque } from '../../catalogue/genericTorques.ts';
import { type Slot, placeName } from '../../layout/graph.ts';
import { type ComponentKind, type Corner, CORNER_NAME, INBOARD_FLANGE } from '../../layout/kinds.ts';

const BY_KIND: Readonly<Partial<Record<ComponentKind, string>>> = {
  caliper: 'mounting bolts',
  hub: 'nut',
  bleeder: 'seat',
  hose: 'end unions',
  wheel_cylinder: 'fixing',
  master_cylinder: 'fixing nuts',
  servo: 'fixing nuts',
  valve: 'unions',
};

/** What holds a unit: "Front left caliper mounting bolts". */
export function fastenerName(slot: Slot): string {
  const floats = slot.kind === 'caliper' && slot.style?.startsWith('floating') === true;
  if (slot.kind === 'hub' && slot.style === INBOARD_FLANGE) return `${placeName(slot)} bolts`;
  return `${placeName(slot)} ${floats ? 'guide or mounting bolts' : (BY_KIND[slot.kind] ?? 'fixing')}`;
}

export function wheelNuts(corner: Corner): string {
  return `${CORNER_NAME[corner]} wheel nuts`;
}

/** A joint: the end of a line at a place, and where the line goes from there. */
export function jointName(slot: Slot, towards: Slot): string {
  return `${placeName(slot).toLowerCase()}, end towards the ${placeName(towards).toLowerCase()}`;
}

/** What a step would undo. */
export const UNDOES = {
  bleeding: (bleeder: Slot): string => `Bleeding at the ${placeName(bleeder).toLowerCase()}`,
  wheelTorque: (corner: Corner): string => `Torque of the ${CORNER_NAME[corner].toLowerCase()} wheel nuts`,
  torque: (slot: Slot): string => `Torque at the ${placeName(slot).toLowerCase()}`,
};

/** By whom a generic torque was agreed to. */
export function agreedWords(names: readonly string[]): string {
  return names.length > 0 ? `agreed to by ${names.join(' and ')}` : 'unchecked';
}

/**
 * Generic torques in words, for whoever has no book; empty where there is none.
 * @param agreed who else has agreed to a figure, by its name
 */
export function usualTorque(list: readonly GenericTorque[], agreed: (id: string) => readonly string[]): string {
  if (list.length === 0) return '';
  const each = list.map((t) => `${t.of} ${t.from} to ${t.to} N·m (${agreedWords(agreed(t.id))})`);
  return `Generic: ${each.join('; ')}. The maker’s figure goes before.`;
}

/** How a wrench was set with an adapter, as it goes with the record of a torque. */
export const adapterWords = (offsetMm: string, angleDeg: string, settingNm: string): string =>
  `adapter ${offsetMm} mm at ${angleDeg}°, set to ${settingNm} N·m`;
