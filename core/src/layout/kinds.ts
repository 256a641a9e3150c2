/** Kinds of component a brake layout is made of. */
export type ComponentKind =
  | 'pedal'
  | 'hand_lever'
  | 'foot_lever'
  | 'servo'
  | 'master_cylinder'
  | 'reservoir'
  | 'valve'
  | 'union'
  | 'switch'
  | 'hose'
  | 'caliper'
  | 'piston'
  | 'pads'
  | 'rotor'
  | 'hub'
  | 'wheel_cylinder'
  | 'shoes'
  | 'drum'
  | 'band'
  | 'band_drum'
  | 'expander'
  | 'parking_shoes'
  | 'bleeder'
  | 'parking_lever'
  | 'equaliser'
  | 'cross_shaft'
  | 'balance_bar'
  | 'clutch_master'
  | 'clutch_slave'
  | 'line'
  | 'cable'
  | 'rod';

/** Where a wheel is, seated facing forward; M between the first and the last axle; F and R where an axle has one wheel; S of a sidecar. */
export type Corner = 'FL' | 'FR' | 'ML' | 'MR' | 'RL' | 'RR' | 'F' | 'R' | 'S';
export const CORNERS: readonly Corner[] = ['FL', 'FR', 'ML', 'MR', 'RL', 'RR', 'F', 'R', 'S'];

/** Axles from the front, and the wheel beside. */
export const AXLES = ['front', 'middle', 'rear', 'side'] as const;
export type Axle = (typeof AXLES)[number];

export const CORNER_NAME: Readonly<Record<Corner, string>> = {
  FL: 'Front left',
  FR: 'Front right',
  ML: 'Middle left',
  MR: 'Middle right',
  RL: 'Rear left',
  RR: 'Rear right',
  F: 'Front',
  R: 'Rear',
  S: 'Sidecar',
};

const AXLE_OF: Readonly<Record<Corner, Axle>> = {
  ...{ FL: 'front', FR: 'front', F: 'front', ML: 'middle', MR: 'middle' },
  ...{ RL: 'rear', RR: 'rear', R: 'rear', S: 'side' },
};

export function axleOf(corner: Corner | null): Axle | null {
  return corner === null ? null : AXLE_OF[corner];
}

/** The same place on the other side of the axle; null where the axle has one wheel. */
export function otherSide(corner: Corner): Corner | null {
  const pairs: Readonly<Partial<Record<Corner, Corner>>> = { FL: 'FR', FR: 'FL', ML: 'MR', MR: 'ML', RL: 'RR', RR: 'RL' };
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
  foot_lever: { name: 'Foot lever', article: false, hydraulic: false },
  servo: { name: 'Servo', article: true, hydraulic: false },
  master_cylinder: { name: 'Master cylinder', article: true, hydraulic: true },
  reservoir: { name: 'Reservoir', article: false, hydraulic: true },
  valve: { name: 'Valve', article: true, hydraulic: true },
  union: { name: 'Union', article: false, hydraulic: true },
  switch: { name: 'Stop-lamp switch', article: true, hydraulic: false },
  hose: { name: 'Hose', article: true, hydraulic: true },
  caliper: { name: 'Caliper', article: true, hydraulic: true },
  piston: { name: 'Piston', article: true, hydraulic: true },
  pads: { name: 'Pads', article: true, hydraulic: false },
  rotor: { name: 'Rotor', article: true, hydraulic: false },
  hub: { name: 'Hub', article: true, hydraulic: false },
  wheel_cylinder: { name: 'Wheel cylinder', article: true, hydraulic: true },
  shoes: { name: 'Shoes', article: true, hydraulic: false },
  drum: { name: 'Drum', article: true, hydraulic: false },
  band: { name: 'Band', article: true, hydraulic: false },
  band_drum: { name: 'Band drum', article: true, hydraulic: false },
  expander: { name: 'Expander', article: true, hydraulic: false },
  parking_shoes: { name: 'Parking shoes', article: true, hydraulic: false },
  bleeder: { name: 'Bleeder', article: false, hydraulic: true },
  parking_lever: { name: 'Parking lever', article: false, hydraulic: false },
  equaliser: { name: 'Equaliser', article: false, hydraulic: false },
  cross_shaft: { name: 'Cross shaft', article: false, hydraulic: false },
  balance_bar: { name: 'Balance bar', article: true, hydraulic: false },
  clutch_master: { name: 'Clutch master', article: true, hydraulic: true },
  clutch_slave: { name: 'Clutch slave', article: true, hydraulic: true },
  line: { name: 'Line', article: false, hydraulic: true },
  cable: { name: 'Cable', article: false, hydraulic: false },
  rod: { name: 'Rod', article: false, hydraulic: false },
};

/** What turns with a wheel or shaft and is gripped: from its sides, from inside, from outside. */
const GRIPPED: readonly ComponentKind[] = ['rotor', 'drum', 'band_drum'];
export function isGripped(kind: ComponentKind): boolean {
  return GRIPPED.includes(kind);
}

/** The style of a hub that is no wheel's: the brake sits at the final drive, and the wheel at the other end of a shaft. */
export const INBOARD_FLANGE = 'inboard_flange';

export interface StyleFacts {
  readonly id: string;
  readonly name: string;
}

/** What the kind alone does not say of a component: the ways in which it is made. Source: handbook 00, What is there. */
export const STYLES: Readonly<Partial<Record<ComponentKind, readonly StyleFacts[]>>> = {
  hand_lever: [
    { id: 'hand', name: 'Pulled by hand' },
    { id: 'drawbar', name: 'Drawbar of a trailer' },
  ],
  master_cylinder: [
    { id: 'single', name: 'Single' },
    { id: 'tandem', name: 'Tandem' },
  ],
  servo: [
    { id: 'on_cylinder', name: 'On the cylinder' },
    { id: 'remote', name: 'Remote, in the line' },
  ],
  reservoir: [
    { id: 'own', name: 'Of one cylinder' },
    { id: 'shared', name: 'Shared' },
  ],
  valve: [
    { id: 'limiting', name: 'Limiting' },
    { id: 'proportioning', name: 'Proportioning' },
    { id: 'load_sensing', name: 'Load sensing' },
    { id: 'residual', name: 'Residual pressure' },
    { id: 'pressure_difference', name: 'Pressure difference' },
  ],
  switch: [
    { id: 'hydraulic', name: 'In the line' },
    { id: 'mechanical', name: 'At the pedal' },
  ],
  union: [
    { id: 'union', name: 'Union' },
    { id: 'splitter', name: 'Splitter' },
  ],
  caliper: [
    { id: 'fixed', name: 'Fixed' },
    { id: 'floating', name: 'Floating' },
    { id: 'floating_parking', name: 'Floating, with parking lever' },
    { id: 'cable', name: 'Pressed by a cable' },
  ],
  wheel_cylinder: [
    { id: 'double_acting', name: 'Double acting' },
    { id: 'single_acting', name: 'Single acting' },
  ],
  shoes: [
    { id: 'leading_trailing', name: 'Leading and trailing' },
    { id: 'two_leading', name: 'Two leading' },
    { id: 'duo_servo', name: 'Duo-servo' },
    { id: 'floating', name: 'Floating' },
  ],
  expander: [
    { id: 'cam', name: 'Cam' },
    { id: 'wedge', name: 'Wedge' },
  ],
  drum: [
    { id: 'cast_iron', name: 'Cast iron' },
    { id: 'pressed_steel', name: 'Pressed steel' },
    { id: 'aluminium_ring', name: 'Aluminium with an iron ring' },
  ],
  piston: [
    { id: 'pushed', name: 'Goes back by a push' },
    { id: 'wound_clockwise', name: 'Winds back clockwise' },
    { id: 'wound_counter', name: 'Winds back counter-clockwise' },
  ],
  hub: [
    { id: 'taper_adjustable', name: 'Adjustable taper rollers' },
    { id: 'unit_bearing', name: 'Angular ball or unit bearing' },
    { id: INBOARD_FLANGE, name: 'Flange of the final drive, brake inboard' },
  ],
  rotor: [
    { id: 'solid', name: 'Solid' },
    { id: 'vented', name: 'Vented' },
    { id: 'vented_handed', name: 'Vented, handed vanes' },
    { id: 'drum_in_disc', name: 'With a parking drum in it' },
  ],
};

/** A style in words; as it stands where it is none of those known. */
export function styleName(kind: ComponentKind, style: string): string {
  return STYLES[kind]?.find((s) => s.id === style)?.name ?? style;
}
