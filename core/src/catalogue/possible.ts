import { displayWithUnit } from '../quantity/display.ts';
import { DomainError } from '../quantity/domainError.ts';
import type { Range } from './measured/types.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';

/**
 * What a figure of a measurement can be at a place, canonical unit, by sign and size: far wider than what is plausible. Only
 * what lies outside is refused; all else is kept, and asked about. No brake of a road vehicle is larger than a metre across,
 * and no dial has more than an inch or so of travel.
 */
export function possibleAt(id: MeasurementId, place: string | null): Range {
  return (place === null ? undefined : MEASUREMENTS[id].possibleAt?.[place]) ?? MEASUREMENTS[id].possible;
}

/** Whether a figure is one that such a thing can have at all: finite, of a sign and size that exist. */
export function isPossible(id: MeasurementId, place: string | null, canonical: number): boolean {
  const [low, high] = possibleAt(id, place);
  return Number.isFinite(canonical) && canonical >= low - 1e-9 && canonical <= high + 1e-9;
}

/**
 * Throws a DomainError `impossible` for a figure that no such thing can have: its sign, nothing at all, or past anything made.
 * What is merely far from what is usual is kept, and asked about.
 * @param typed as it was typed, for the sentence
 * @param canonical in the canonical unit of the measurement
 */
export function requirePossible(id: MeasurementId, place: string | null, canonical: number, typed: string): void {
  if (isPossible(id, place, canonical)) return;
  const { kind, unit, name, pattern } = MEASUREMENTS[id];
  const spots = pattern.form === 'spots' ? pattern.spots : pattern.also;
  const what = (spots.find((s) => s.id === place)?.name ?? name).toLowerCase();
  const [low, high] = possibleAt(id, place);
  const text = (v: number): string => displayWithUnit(v, kind, 1, unit);
  const why =
    canonical > high
      ? `is never more than ${text(high)}`
      : low >= 0 && canonical <= 0
        ? low > 0
          ? 'is always more than nothing'
          : 'is never below nothing'
        : `is never less than ${text(low)}`;
  throw new DomainError('impossible', `“${typed.trim()}” for ${what}: it ${why}. Look at the sign, the decimal point and the unit.`);
}
