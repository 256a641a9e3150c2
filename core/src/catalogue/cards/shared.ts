import { type CardStep, lubricant, step } from './types.ts';

/** Words of a step that wets a seal, by school. */
export const wetted = (start: string, rest: string): NonNullable<CardStep['by']> => ({
  rule: 'seal_wetting',
  words: { fluid: `${start} clean brake fluid alone; ${rest}.`, grease: `${start} the kit’s assembly grease; ${rest}.` },
});
export const WETTED = lubricant('fluid', 'on seal and bore', 'mineral grease: it swells the rubber');
export const PIN_GREASE = lubricant('pin_grease', 'in the boot and thin on the pin', 'on a lining or a rotor');

/** Every part that sits on a wheel begins so. */
export const crackWheel = (minutes = 2): CardStep =>
  step(
    'wheel_cracked',
    'before lifting',
    minutes,
    'Crack the wheel bolts loose while the vehicle stands on its wheels.',
    'On the stand the wheel turns with the bolt, and a vehicle that is pulled at comes off its stands.',
    { ready: 'Hand of thread known: on some vehicles one side undoes clockwise', hazard: 'Never pull at a vehicle on stands.' },
  );

export const pedalHigh = (minutes = 2): CardStep =>
  step(
    'pedal_high',
    'after',
    minutes,
    'Pump the pedal in short strokes until it is high and stays, level watched, before the engine moves a wheel.',
    'A piston that was pushed back leaves the first strokes empty: the vehicle rolls and nothing stops it.',
    { kind: 'look', hazard: 'Short strokes only: a full one takes the seals over rust at the end of an old bore.' },
  );
