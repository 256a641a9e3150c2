import { DomainError, SLACK } from '../quantity/domainError.ts';
import { mean } from '../verdict/uncertainty.ts';

/** Allowance for cleaning a cut face up, per face, mm (generic). */
export const CLEAN_UP = 0.05;

interface RingFigures {
  readonly mean: number;
  /** Thickness variation: max − min within the ring. */
  readonly variation: number;
}

export interface RotorThickness {
  /** Least of all readings, both rings, mm. */
  readonly min: number;
  readonly minRing: 'outer' | 'inner';
  /** 1-based position in its ring, the first of equals. */
  readonly minPosition: number;
  readonly outer: RingFigures;
  readonly inner: RingFigures | null;
  /** Mean outer − mean inner, mm. */
  readonly taper: number | null;
}

/** Least number of readings for a ring. */
const MIN_THICKNESS = 4;

function checkRing(readings: readonly number[]): void {
  if (readings.length < MIN_THICKNESS) {
    throw new DomainError('too_few_readings', `A ring of thickness readings needs at least ${MIN_THICKNESS} positions.`);
  }
  if (readings.some((r) => !(r > 0))) throw new DomainError('nonpositive_reading', 'A thickness is more than nothing.');
}

const ringFigures = (readings: readonly number[]): RingFigures => ({
  mean: mean(readings),
  variation: Math.max(...readings) - Math.min(...readings),
});

/**
 * Reduces rotor thickness readings.
 * @param outer readings of the outer ring from stud 1 on, mm, at least four
 * @param inner optional second ring, mm
 * @throws DomainError too_few_readings, nonpositive_reading
 * Source: handbook, Rotor: thickness.
 */
export function reduceThickness(outer: readonly number[], inner: readonly number[] = []): RotorThickness {
  checkRing(outer);
  if (inner.length > 0) checkRing(inner);
  const outerMin = Math.min(...outer);
  const innerMin = inner.length > 0 ? Math.min(...inner) : Infinity;
  const minRing = innerMin < outerMin ? 'inner' : 'outer';
  const min = Math.min(outerMin, innerMin);
  const outerFigures = ringFigures(outer);
  const innerFigures = inner.length > 0 ? ringFigures(inner) : null;
  return {
    min,
    minRing,
    minPosition: (minRing === 'outer' ? outer : inner).indexOf(min) + 1,
    outer: outerFigures,
    inner: innerFigures,
    taper: innerFigures ? outerFigures.mean - innerFigures.mean : null,
  };
}

export interface MachiningInput {
  /** Least thickness, mm. */
  readonly min: number;
  readonly discard: number;
  readonly machineTo?: number | null;
  readonly scoreInner?: number;
  readonly scoreOuter?: number;
  /** Warp TIR of the second harmonic, mm. */
  readonly warp?: number;
  /** Wobble the cut takes out, mm: the rotor's own off the vehicle, all of it on the vehicle. */
  readonly wobbleRemoved?: number;
  readonly cleanUp?: number;
  /** Loss in mm per 1000 km, where known. */
  readonly wearPer1000Km?: number | null;
  readonly kmToNextService?: number;
}

type MachiningState = 'past_discard' | 'machinable' | 'usable_not_machinable' | 'no_machine_to_on_file';

export interface Machining {
  readonly removalInner: number;
  readonly removalOuter: number;
  readonly after: number;
  readonly state: MachiningState;
  /** Would be under discard before the next service; null without a rate or if not machinable. */
  readonly underDiscardBeforeService: boolean | null;
}

/**
 * Whether a rotor can be machined: per face its score depth, half the warp, half the wobble taken out, and the clean-up.
 * @returns removals and thickness after, mm
 * @throws DomainError limit_inconsistent where machine-to lies under discard
 * Source: handbook, Can it be machined?
 */
export function machining(input: MachiningInput): Machining {
  const machineTo = input.machineTo ?? null;
  if (machineTo !== null && machineTo < input.discard) {
    throw new DomainError('limit_inconsistent', 'Machine-to cannot lie under discard.');
  }
  const common = (input.warp ?? 0) / 2 + (input.wobbleRemoved ?? 0) / 2 + (input.cleanUp ?? CLEAN_UP);
  const removalInner = (input.scoreInner ?? 0) + common;
  const removalOuter = (input.scoreOuter ?? 0) + common;
  const after = input.min - removalInner - removalOuter;
  const state: MachiningState =
    input.min < input.discard - SLACK
      ? 'past_discard'
      : machineTo === null
        ? 'no_machine_to_on_file'
        : after >= machineTo - SLACK
          ? 'machinable'
          : 'usable_not_machinable';
  const rate = input.wearPer1000Km ?? null;
  return {
    removalInner,
    removalOuter,
    after,
    state,
    underDiscardBeforeService:
      state === 'machinable' && rate !== null ? after - (rate * (input.kmToNextService ?? 0)) / 1000 < input.discard - SLACK : null,
  };
}
