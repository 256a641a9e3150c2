import type { CheckHazard } from './trace/tables.ts';

export type CautionStep = 'sign_in' | 'trace' | 'strip' | 'gauge_drum' | 'rebuild' | 'bleed' | 'leak_look' | 'road_test' | 'release';

export interface Caution {
  readonly id: string;
  readonly step: CautionStep;
  /** Action first. */
  readonly text: string;
  /** Must be acknowledged by name once a job. */
  readonly critical: boolean;
}

/** The usual cautions, each at the step where its hazard arises. Source: handbook 80. */
export const CAUTIONS: readonly Caution[] = [
  {
    id: 'trained',
    step: 'sign_in',
    text: 'Work on brakes only if you are trained for it, by the vehicle maker’s data and the law of the place. Dauer calculates and records; it does not certify.',
    critical: false,
  },
  {
    id: 'stands',
    step: 'trace',
    text: 'Put the vehicle on stands on firm ground, never a jack alone, wheels chocked. Parking brake off only when chocked.',
    critical: true,
  },
  {
    id: 'rotating',
    step: 'trace',
    text: 'Keep fingers and dial stems clear of a turning wheel. Rotors are hot after a run.',
    critical: false,
  },
  {
    id: 'asbestos',
    step: 'strip',
    text: 'Clean old linings wet or with a filtered extractor, with a mask. No compressed air, no dry brushing. Bag the waste by local rules.',
    critical: true,
  },
  { id: 'springs', step: 'strip', text: 'Use spring pliers and eye protection: shoe springs fly.', critical: false },
  {
    id: 'open_unit',
    step: 'rebuild',
    text: 'Leave the pedal alone while a wheel unit is open. Block the piston, or clamp where that is permitted.',
    critical: true,
  },
  {
    id: 'air_pistons',
    step: 'rebuild',
    text: 'Free a piston with fluid or a grease gun rather than air. With air: least pressure, wood block, cloth, fingers out, face away.',
    critical: true,
  },
  {
    id: 'chlorinated',
    step: 'rebuild',
    text: 'Keep chlorinated cleaner away from welding, hot surfaces and ultraviolet lamps: the gas kills. Ventilate.',
    critical: false,
  },
  {
    id: 'clamp',
    step: 'rebuild',
    text: 'Clamp only hoses that will be thrown away or that allow it, with a rounded clamp.',
    critical: false,
  },
  { id: 'heavy', step: 'rebuild', text: 'Lift drums, hubs and servos with help: they are heavy.', critical: false },
  {
    id: 'fluid',
    step: 'bleed',
    text: 'Cover paint, wear gloves and goggles, rinse with water. Silicone and glycol are never mixed. Caught fluid is waste. It burns on a hot manifold.',
    critical: true,
  },
  {
    id: 'modulator',
    step: 'bleed',
    text: 'Follow the maker’s procedure alone on vehicles with electronic modulators or stored high pressure. Dauer does not bleed modulators.',
    critical: false,
  },
  { id: 'jet', step: 'leak_look', text: 'Look for leaks with card, never with a finger: a jet goes through skin.', critical: true },
  {
    id: 'first_move',
    step: 'road_test',
    text: 'Make the first stops at walking pace in a closed place, with the parking brake proved.',
    critical: true,
  },
  {
    id: 'licensed',
    step: 'release',
    text: 'Have the finished work checked by somebody licensed where the law asks for it.',
    critical: false,
  },
];

const textOf = (id: string): string => CAUTIONS.find((c) => c.id === id)?.text ?? '';

/** What is said at a check, by what makes it dangerous. Source: handbook 80. */
export const HAZARD_CAUTION: Readonly<Record<CheckHazard, string | null>> = {
  none: null,
  presses: textOf('open_unit'),
  opens: `${textOf('fluid')} Cap what stands open; press and let go before each opening.`,
  clamps: `${textOf('clamp')} Enter the clamp as put in, and take it out.`,
  drives: textOf('first_move'),
  wheel: textOf('stands'),
};

/** Hazards that are said wherever a check stands; those of what is done every day only at the one proposed first. */
const GRAVE: ReadonlySet<CheckHazard> = new Set(['opens', 'clamps', 'drives']);

/** What is said at a check; null where nothing is. */
export function cautionOfCheck(hazard: CheckHazard, first: boolean): string | null {
  return first || GRAVE.has(hazard) ? HAZARD_CAUTION[hazard] : null;
}

export function cautionsAt(...steps: readonly CautionStep[]): Caution[] {
  return CAUTIONS.filter((c) => steps.includes(c.step));
}
