import type { ComponentKind } from '../layout/kinds.ts';

/** A torque that is common practice: generic, and unchecked until somebody else than who uses it has agreed to it. */
export interface GenericTorque {
  /** Stable name. */
  readonly id: string;
  readonly kind: 'bleeder' | 'union' | 'banjo';
  /** Of what, by its thread or tube. */
  readonly of: string;
  /** N·m, from and to. */
  readonly from: number;
  readonly to: number;
}

/**
 * What is common practice, by thread and tube. Wheels, hubs, brackets, bridge bolts and steering have no generic figure.
 * Source: handbook 58, A51.
 */
export const GENERIC_TORQUES = [
  { id: 'bleeder_small', kind: 'bleeder', of: 'bleeder M7 or M8', from: 7, to: 9 },
  { id: 'bleeder_large', kind: 'bleeder', of: 'bleeder M10 or 3/8 in', from: 10, to: 13 },
  { id: 'union', kind: 'union', of: 'union on 3/16 in or 5 mm tube', from: 12, to: 16 },
  { id: 'banjo_iron', kind: 'banjo', of: 'banjo M10 into iron', from: 25, to: 30 },
  { id: 'banjo_aluminium', kind: 'banjo', of: 'banjo M10 into aluminium', from: 18, to: 22 },
] as const satisfies readonly GenericTorque[];
const ofKind = (kind: GenericTorque['kind']): readonly GenericTorque[] => GENERIC_TORQUES.filter((t) => t.kind === kind);

/** How a joint is sealed, as far as its figure depends on it. */
type Sealing = 'flare' | 'washers' | 'taper_sealant' | 'o_ring' | 'other';

/** What is usual for a joint, by how it was sealed: washers stand under a banjo. */
export function genericForJoint(seal: Sealing | null): readonly GenericTorque[] {
  if (seal === 'washers') return ofKind('banjo');
  return seal === null || seal === 'flare' ? ofKind('union') : [];
}

/** What is usual for a kind of unit's own fastener; nothing where only a book says. */
export function genericForUnit(kind: ComponentKind): readonly GenericTorque[] {
  return kind === 'bleeder' ? ofKind('bleeder') : [];
}

/** Kinds of unit that fasteners hold whose torque matters. */
export const HELD_BY_FASTENERS: readonly ComponentKind[] = ['caliper', 'hose', 'wheel_cylinder', 'master_cylinder', 'servo', 'valve'];
