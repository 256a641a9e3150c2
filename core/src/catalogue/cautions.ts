import type { ComponentKind } from '../layout/kinds.ts';
import type { CheckHazard } from './trace/tables.ts';

export type CautionStep =
  'sign_in' | 'trace' | 'strip' | 'gauge_drum' | 'rebuild' | 'lift' | 'unit' | 'bleed' | 'leak_look' | 'road_test' | 'release';

export interface Caution {
  readonly id: string;
  readonly steps: readonly CautionStep[];
  /** Action first. */
  readonly text: string;
  /** Must be acknowledged by name once a job. */
  readonly critical: boolean;
  /** Kinds of place of which the vehicle has to have one for the hazard to be there; none named: it is anywhere. */
  readonly on?: readonly ComponentKind[];
}

const PISTONS: readonly ComponentKind[] = ['caliper', 'wheel_cylinder'];
/** What holds fluid under pressure. */
const PRESSED: readonly ComponentKind[] = [...PISTONS, 'master_cylinder', 'clutch_master', 'clutch_slave'];

/** The usual cautions, each at the step where its hazard arises. Source: handbook 80. */
export const CAUTIONS: readonly Caution[] = [
  {
    id: 'trained',
    steps: ['sign_in'],
    text: 'Work on brakes only if you are trained for it, by the vehicle maker’s data and the law of the place. Dauer calculates and records; it does not certify.',
    critical: false,
  },
  {
    id: 'stands',
    steps: ['trace', 'lift'],
    text: 'Put the vehicle on stands on firm ground, never a jack alone, wheels chocked. Parking brake off only when chocked.',
    critical: true,
  },
  {
    id: 'rotating',
    steps: ['trace'],
    text: 'Keep fingers and dial stems clear of a turning wheel. Rotors are hot after a run.',
    critical: false,
  },
  {
    id: 'asbestos',
    steps: ['strip', 'unit'],
    text: 'Clean old linings wet or with a filtered extractor, with a mask. No compressed air, no dry brushing. Bag the waste by local rules.',
    critical: true,
  },
  {
    id: 'springs',
    steps: ['strip', 'unit'],
    text: 'Use spring pliers and eye protection: shoe springs fly.',
    critical: false,
    on: ['shoes', 'parking_shoes', 'band'],
  },
  {
    id: 'open_unit',
    steps: ['strip', 'rebuild'],
    text: 'Leave the pedal alone while a wheel unit is open. Block the piston, or clamp where that is permitted.',
    critical: true,
  },
  {
    id: 'air_pistons',
    steps: ['rebuild'],
    text: 'Free a piston with fluid or a grease gun rather than air. With air: least pressure, wood block, cloth, fingers out, face away.',
    critical: true,
    on: PISTONS,
  },
  {
    id: 'chlorinated',
    steps: ['rebuild'],
    text: 'Keep chlorinated cleaner away from welding, hot surfaces and ultraviolet lamps: the gas kills. Ventilate.',
    critical: false,
  },
  {
    id: 'clamp',
    steps: ['rebuild'],
    text: 'Clamp only hoses that will be thrown away or that allow it, with a rounded clamp.',
    critical: false,
    on: ['hose'],
  },
  {
    id: 'solvent',
    steps: ['rebuild'],
    text: 'Keep solvent and spark apart. What is wet with cleaner goes into no oven and before no flame: dry and aired first.',
    critical: false,
  },
  {
    id: 'acid',
    steps: ['rebuild'],
    text: 'Wear goggles and gloves for acids and rust converters, and rinse. Springs and high-strength steel turn brittle by them: keep them out.',
    critical: false,
  },
  {
    id: 'oven',
    steps: ['rebuild'],
    text: 'Cure coatings by their own sheet, never in a food oven or a lived-in room: some give off poisonous fumes.',
    critical: false,
  },
  {
    id: 'dust',
    steps: ['rebuild'],
    text: 'Wear a face shield and a mask at the wire wheel, grinder and blaster, nobody else near. Old paint may hold lead: bag the dust.',
    critical: false,
  },
  {
    id: 'servo_alone',
    steps: ['rebuild'],
    text: 'Leave the pedal alone while the servo has no cylinder: its rod is thrown. Try it for held vacuum only, by a hand pump, the rod held in.',
    critical: false,
    on: ['servo'],
  },
  {
    id: 'stored_energy',
    steps: ['trace', 'rebuild'],
    text: 'Drain air tanks and accumulators, and cage spring chambers by the maker’s bolt, before any line opens. A chamber is never opened here.',
    critical: false,
  },
  {
    id: 'transmission_brake',
    steps: ['trace', 'lift'],
    text: 'Chock the wheels whenever an end is lifted: a parking brake on the propeller shaft holds nothing with one driven wheel off the ground.',
    critical: false,
  },
  {
    id: 'pressure_tool',
    steps: ['bleed'],
    text: 'Keep to the limit of air-powered and pressure tools, and see that the reservoir cap fits: it flies off, and the fluid with it.',
    critical: false,
  },
  { id: 'heavy', steps: ['rebuild'], text: 'Lift drums, hubs and servos with help: they are heavy.', critical: false },
  {
    id: 'fluid',
    steps: ['bleed'],
    text: 'Cover paint, wear gloves and goggles, rinse with water. Silicone and glycol are never mixed. Caught fluid is waste. It burns on a hot manifold.',
    critical: true,
  },
  {
    id: 'modulator',
    steps: ['bleed'],
    text: 'Follow the maker’s procedure alone on vehicles with electronic modulators or stored high pressure. Dauer does not bleed modulators.',
    critical: false,
  },
  {
    id: 'jet',
    steps: ['leak_look'],
    text: 'Look for leaks with card, never with a finger: a jet goes through skin.',
    critical: true,
    on: PRESSED,
  },
  {
    id: 'first_move',
    steps: ['road_test'],
    text: 'Make the first stops at walking pace in a closed place, with the parking brake proved where there is one.',
    critical: true,
  },
  {
    id: 'licensed',
    steps: ['release'],
    text: 'Have the finished work checked by somebody licensed where the law asks for it.',
    critical: false,
  },
];

const textOf = (id: string): string => CAUTIONS.find((c) => c.id === id)?.text ?? '';

/** What is said at a check, by what makes it dangerous. Source: handbook 80. */
export const HAZARD_CAUTION: Readonly<Record<CheckHazard, string>> = {
  presses: textOf('open_unit'),
  opens: `${textOf('fluid')} Cap what stands open; press and let go before each opening.`,
  clamps: `${textOf('clamp')} Enter the clamp as put in, and take it out.`,
  drives: textOf('first_move'),
  wheel: textOf('stands'),
};

/** Hazards that are said wherever a check stands; those of what is done every day only at the one proposed first. */
const GRAVE: ReadonlySet<CheckHazard> = new Set(['opens', 'clamps', 'drives']);

/** What is said at a check; null where nothing is. */
export function cautionOfCheck(hazards: readonly CheckHazard[], first: boolean): string | null {
  const said = hazards.filter((h) => first || GRAVE.has(h)).map((h) => HAZARD_CAUTION[h]);
  return said.length > 0 ? said.join(' ') : null;
}

/** Cautions of some steps; `kinds` of the places of the vehicle: what it has not cannot hurt. */
export function cautionsAt(steps: readonly CautionStep[], kinds: ReadonlySet<ComponentKind> | null = null): Caution[] {
  return CAUTIONS.filter((c) => c.steps.some((s) => steps.includes(s)) && (!c.on || kinds === null || c.on.some((k) => kinds.has(k))));
}
