/** Kinds of component a brake layout is made of. */
export type ComponentKind =
  | 'pedal'
  | 'hand_lever'
  | 'servo'
  | 'master_cylinder'
  | 'reservoir'
  | 'valve'
  | 'union'
  | 'hose'
  | 'caliper'
  | 'piston'
  | 'pads'
  | 'rotor'
  | 'hub'
  | 'wheel_cylinder'
  | 'shoes'
  | 'drum'
  | 'bleeder'
  | 'parking_lever'
  | 'equaliser'
  | 'balance_bar'
  | 'clutch_master'
  | 'clutch_slave';

/** Where a wheel is, seated facing forward; F and R where an axle has one wheel. */
export type Corner = 'FL' | 'FR' | 'RL' | 'RR' | 'F' | 'R';
export const CORNERS: readonly Corner[] = ['FL', 'FR', 'RL', 'RR', 'F', 'R'];

export const CORNER_NAME: Readonly<Record<Corner, string>> = {
  FL: 'Front left',
  FR: 'Front right',
  RL: 'Rear left',
  RR: 'Rear right',
  F: 'Front',
  R: 'Rear',
};

export function axleOf(corner: Corner | null): 'front' | 'rear' | null {
  if (corner === null) return null;
  return corner.startsWith('F') ? 'front' : 'rear';
}

/** The same place on the other side of the axle; null where the axle has one wheel. */
export function otherSide(corner: Corner): Corner | null {
  const pairs: Readonly<Partial<Record<Corner, Corner>>> = { FL: 'FR', FR: 'FL', RL: 'RR', RR: 'RL' };
  return pairs[corner] ?? null;
}

export interface KindFacts {
  readonly name: string;
  /** An article that can be tagged, decided upon and replaced, rather than a mere place. */
  readonly article: boolean;
  readonly hydraulic: boolean;
}

export const KIND_FACTS: Readonly<Record<ComponentKind, KindFacts>> = {
  pedal: { name: 'Pedal', article: false, hydraulic: false },
  hand_lever: { name: 'Hand lever', article: false, hydraulic: false },
  servo: { name: 'Servo', article: true, hydraulic: false },
  master_cylinder: { name: 'Master cylinder', article: true, hydraulic: true },
  reservoir: { name: 'Reservoir', article: false, hydraulic: true },
  valve: { name: 'Limiting valve', article: true, hydraulic: true },
  union: { name: 'Union', article: false, hydraulic: true },
  hose: { name: 'Hose', article: true, hydraulic: true },
  caliper: { name: 'Caliper', article: true, hydraulic: true },
  piston: { name: 'Piston', article: true, hydraulic: true },
  pads: { name: 'Pads', article: true, hydraulic: false },
  rotor: { name: 'Rotor', article: true, hydraulic: false },
  hub: { name: 'Hub', article: true, hydraulic: false },
  wheel_cylinder: { name: 'Wheel cylinder', article: true, hydraulic: true },
  shoes: { name: 'Shoes', article: true, hydraulic: false },
  drum: { name: 'Drum', article: true, hydraulic: false },
  bleeder: { name: 'Bleeder', article: false, hydraulic: true },
  parking_lever: { name: 'Parking lever', article: false, hydraulic: false },
  equaliser: { name: 'Equaliser', article: false, hydraulic: false },
  balance_bar: { name: 'Balance bar', article: true, hydraulic: false },
  clutch_master: { name: 'Clutch master', article: true, hydraulic: true },
  clutch_slave: { name: 'Clutch slave', article: true, hydraulic: true },
};
