import { DomainError } from '../quantity/domainError.ts';

/**
 * Bore of a tube by what is measured outside.
 * @param outsideMm outside diameter, mm
 * @param wallMm mm
 * @returns inside diameter, mm
 */
export function tubeBore(outsideMm: number, wallMm: number): number {
  return outsideMm - 2 * wallMm;
}

/** Density of brake fluid of the glycol kinds, g/mL, by which what a bottle gains is read; generic, 1.02 to 1.07 by kind. */
export const BRAKE_FLUID_G_PER_ML = 1.05;

/**
 * Volume of a round line or hose.
 * @param boreMm inside diameter, mm
 * @param lengthMm mm
 * @returns mL: π/4 d² L / 1000
 * @throws DomainError bad_bore where there is no bore
 * Source: handbook 60, How much.
 */
export function lineVolume(boreMm: number, lengthMm: number): number {
  if (!(boreMm > 0)) throw new DomainError('bad_bore', 'A line has a bore: type its inside diameter, or the outside and the wall.');
  return ((Math.PI / 4) * boreMm ** 2 * lengthMm) / 1000;
}
