import type { GenericTorque } from '../../catalogue/genericTorques.ts';
import type { FastenerFact, FastenerForm, FastenerSeat, Hand } from '../../ledger/families/fastenerFacts.ts';
import type { Torque } from '../../ledger/families/torques.ts';
import { type Slot, placeName } from '../../layout/graph.ts';
import { type ComponentKind, type Corner, CORNER_NAME, INBOARD_FLANGE } from '../../layout/kinds.ts';
import { withUnit } from '../../quantity/told.ts';

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

export const FASTENER_FORM_NAME: Readonly<Record<FastenerForm, string>> = {
  ...{ stud_nut: 'Stud and nut', bolt: 'Bolt', centre_lock: 'Centre lock', other: 'Another' },
};
export const SEAT_NAME: Readonly<Record<FastenerSeat, string>> = { cone: 'Cone', ball: 'Ball', flat: 'Flat', unknown: 'Not looked at' };
export const HAND_NAME: Readonly<Record<Hand, string>> = { right: 'Right-handed', left: 'Left-handed', unknown: 'Not known' };

/** Which way a fastener is undone, seen from where the tool goes on. */
export const UNDO: Readonly<Record<Hand, string>> = {
  right: 'Right-hand thread: undo anticlockwise.',
  left: 'Left-hand thread: undo clockwise.',
  unknown: 'Hand of thread not on record: find it before the first pull.',
};

/** What holds a wheel or a unit, in a line. */
export function fastenerWords(f: FastenerFact): string {
  return [
    `${f.count} × ${FASTENER_FORM_NAME[f.form].toLowerCase()}`,
    f.thread,
    f.seat === 'unknown' ? '' : `${SEAT_NAME[f.seat].toLowerCase()} seat`,
    f.key,
    f.oiled ? 'oiled' : 'dry',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What is asked of a fastener. */
export const FASTENER_FIELD = {
  aria: (name: string): string => `What holds it: ${name.toLowerCase()}`,
  begin: 'What holds it, and which way it is undone',
  again: 'Put it right',
  hand: 'Hand of the thread',
  form: 'What it is',
  seat: 'Its seat',
  count: 'How many',
  thread: 'Thread',
  key: 'Key, sleeve or socket',
  oiled: 'Oiled, not dry',
  keep: 'So it is',
  not: 'Not now',
} as const;

/** What is asked of a torque beside its figure. */
export const TORQUE_FIELD = {
  to: 'Up to, where the book gives a range',
  angle: 'Then further by, degrees',
  passes: 'Passes',
  pass: (n: number): string => (n === 1 ? 'One pass' : n === 2 ? 'Two passes' : `${n} passes`),
  said: ({ passes, angleDeg }: { readonly passes?: number; readonly angleDeg?: number | null }): string =>
    [passes !== undefined && passes > 1 ? `in ${passes} passes` : '', angleDeg ? `and ${angleDeg}° further` : '']
      .filter(Boolean)
      .join(', '),
  set: (t: Pick<Torque, 'typed' | 'unit'>): string => withUnit(t.typed, 'torque', t.unit),
  target: (t: Pick<Torque, 'targetTyped' | 'toTyped' | 'unit'>): string => {
    const range = [t.targetTyped, t.toTyped ?? ''].filter((x) => x.trim() !== '');
    return range.length === 0 ? 'no target on file' : `target ${range.map((x) => withUnit(x, 'torque', t.unit)).join(' to ')}`;
  },
} as const;

/** Why a fastener is not put on record. */
export const FASTENER_REFUSED = { noWheel: 'The vehicle has no such wheel.', noUnit: 'The vehicle has no such unit.' } as const;
