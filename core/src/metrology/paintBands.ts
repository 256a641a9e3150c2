import { DomainError } from '../quantity/domainError.ts';

/** A band of temperature-indicating paint: the temperature at which it turns, °C, and whether it has. */
export interface PaintBand {
  readonly turnsAt: number;
  readonly turned: boolean;
}

/**
 * What paint bands say of the temperature a rotor reached: at least the hottest that turned, less than the coolest
 * that did not.
 * @returns °C; null where no band says so
 * @throws DomainError bands_disagree where a cooler band did not turn and a hotter one did
 * Source: handbook 20, Rotor: surface. The temperatures belong to the product and are entered with it.
 */
export function paintBands(bands: readonly PaintBand[]): { readonly atLeast: number | null; readonly under: number | null } {
  const turned = bands.filter((b) => b.turned).map((b) => b.turnsAt);
  const unturned = bands.filter((b) => !b.turned).map((b) => b.turnsAt);
  const atLeast = turned.length > 0 ? Math.max(...turned) : null;
  const under = unturned.length > 0 ? Math.min(...unturned) : null;
  if (atLeast !== null && under !== null && under <= atLeast) {
    throw new DomainError('bands_disagree', 'A cooler band kept its colour while a hotter one turned: one of them was misread.');
  }
  return { atLeast, under };
}
