import { DomainError, SLACK } from '../quantity/domainError.ts';

export type PadPlace = 'inner' | 'outer';
export type PadCorner = 'leading top' | 'trailing top' | 'leading bottom' | 'trailing bottom';
export const PAD_CORNERS: readonly PadCorner[] = ['leading top', 'trailing top', 'leading bottom', 'trailing bottom'];

/** Difference from which uneven wear says something, mm (generic). */
const PAD_PATTERN = 1.0;

export type PadReadings = Readonly<Partial<Record<PadCorner, number>>>;

export interface PadPattern {
  readonly code: 'inner_thinner' | 'outer_thinner' | 'lengthwise' | 'radial' | 'fixed_uneven';
  /** mm. */
  readonly difference: number;
  /** The pad that is worn so; of an unequal pair the thicker one. */
  readonly pad: PadPlace;
}

export interface PadFigures {
  readonly min: number;
  readonly minPad: PadPlace;
  readonly minCorner: PadCorner;
  readonly patterns: readonly PadPattern[];
}

const averageOf = (pad: PadReadings, corners: readonly PadCorner[]): number | null => {
  const values = corners.map((c) => pad[c]);
  return values.every((v): v is number => v !== undefined) ? values.reduce((s, v) => s + v, 0) / values.length : null;
};

/**
 * Reduces friction thicknesses at four corners of each pad, without the backing.
 * @param pads readings per pad, mm
 * @param caliper fixed or floating: the same pattern means different things
 * @throws DomainError too_few_readings, negative_reading
 * Source: handbook, Linings: pad.
 */
export function reducePads(pads: Readonly<Partial<Record<PadPlace, PadReadings>>>, caliper: 'fixed' | 'floating'): PadFigures {
  const all = (['inner', 'outer'] as const).flatMap((pad) =>
    PAD_CORNERS.flatMap((corner) => {
      const value = pads[pad]?.[corner];
      return value === undefined ? [] : [{ pad, corner, value }];
    }),
  );
  const [first] = all;
  if (!first) throw new DomainError('too_few_readings', 'No pad has been measured.');
  if (all.some((r) => r.value < 0)) throw new DomainError('negative_reading', 'A lining is not thinner than nothing.');
  const min = all.reduce((a, b) => (b.value < a.value ? b : a), first);
  return { min: min.value, minPad: min.pad, minCorner: min.corner, patterns: patternsOf(pads, caliper) };
}

function patternsOf(pads: Readonly<Partial<Record<PadPlace, PadReadings>>>, caliper: 'fixed' | 'floating'): PadPattern[] {
  const found: PadPattern[] = [];
  const apart = (a: number | null, b: number | null): number => (a === null || b === null ? 0 : a - b);
  const isTold = (difference: number): boolean => Math.abs(difference) >= PAD_PATTERN - SLACK;
  const inner = averageOf(pads.inner ?? {}, PAD_CORNERS);
  const outer = averageOf(pads.outer ?? {}, PAD_CORNERS);
  const across = apart(inner, outer);
  if (isTold(across)) {
    if (caliper === 'fixed') {
      found.push({
        code: 'fixed_uneven',
        difference: Math.abs(across),
        pad: across > 0 ? 'inner' : 'outer',
      });
    } else if (across < 0) {
      found.push({ code: 'inner_thinner', difference: -across, pad: 'outer' });
    } else {
      found.push({ code: 'outer_thinner', difference: across, pad: 'inner' });
    }
  }
  for (const place of ['inner', 'outer'] as const) {
    const pad = pads[place] ?? {};
    const along = apart(averageOf(pad, ['leading top', 'leading bottom']), averageOf(pad, ['trailing top', 'trailing bottom']));
    if (isTold(along))
      found.push({
        code: 'lengthwise',
        difference: Math.abs(along),
        pad: place,
      });
    const radial = apart(averageOf(pad, ['leading top', 'trailing top']), averageOf(pad, ['leading bottom', 'trailing bottom']));
    if (isTold(radial))
      found.push({
        code: 'radial',
        difference: Math.abs(radial),
        pad: place,
      });
  }
  return found;
}
