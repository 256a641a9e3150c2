import type { ComponentKind } from '../layout/kinds.ts';

/** A torque that is common practice: generic, and not checked by a second person. */
export interface GenericTorque {
  /** Of what, by its thread or tube. */
  readonly of: string;
  /** N·m, from and to. */
  readonly from: number;
  readonly to: number;
}

/** Wheels, hubs, brackets, bridge bolts and steering have no generic figure. Source: handbook 58, A51. */
const BLEEDER: readonly GenericTorque[] = [
  { of: 'M7, M8', from: 7, to: 9 },
  { of: 'M10, 3/8 in', from: 10, to: 13 },
];
const UNION: readonly GenericTorque[] = [{ of: 'on 3/16 in or 5 mm tube', from: 12, to: 16 }];
const BANJO: readonly GenericTorque[] = [
  { of: 'banjo M10 into iron', from: 25, to: 30 },
  { of: 'banjo M10 into aluminium', from: 18, to: 22 },
];

/** How a joint is sealed, as far as its figure depends on it. */
type Sealing = 'flare' | 'washers' | 'taper_sealant' | 'o_ring' | 'other';

/** What is usual for a joint, by how it was sealed: washers stand under a banjo. */
export function genericForJoint(seal: Sealing | null): readonly GenericTorque[] {
  if (seal === 'washers') return BANJO;
  return seal === null || seal === 'flare' ? UNION : [];
}

/** What is usual for a kind of unit's own fastener; nothing where only a book says. */
export function genericForUnit(kind: ComponentKind): readonly GenericTorque[] {
  return kind === 'bleeder' ? BLEEDER : [];
}
