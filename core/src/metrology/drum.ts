import { DomainError, SLACK } from '../quantity/domainError.ts';
import { mean } from '../verdict/uncertainty.ts';
import { CLEAN_UP } from './rotorThickness.ts';

export type DrumDepth = 'open' | 'middle' | 'closed';
export const DRUM_DEPTHS: readonly DrumDepth[] = ['open', 'middle', 'closed'];

/** Least diameters at a depth. */
const MIN_DRUM = 4;

export interface DrumFigures {
  /** Largest of all diameters, mm. */
  readonly max: number;
  readonly maxDepth: DrumDepth;
  /** max − min at each depth, mm; null where not measured. */
  readonly outOfRound: Readonly<Record<DrumDepth, number | null>>;
  /** Bell-mouth: mean open − mean closed, mm. */
  readonly taper: number | null;
  /** Mean middle − mean of the ends, mm. */
  readonly barrel: number | null;
}

/**
 * Reduces drum diameters.
 * @param diameters per depth, mm, each depth at even angles over half a turn, at least four; at least one depth
 * @throws DomainError no_depth, too_few_readings, nonpositive_reading
 * Source: handbook, Drum.
 */
export function reduceDrum(diameters: Readonly<Partial<Record<DrumDepth, readonly number[]>>>): DrumFigures {
  const rows = DRUM_DEPTHS.flatMap((depth) => {
    const values = diameters[depth];
    return values && values.length > 0 ? [{ depth, values }] : [];
  });
  if (rows.length === 0) throw new DomainError('no_depth', 'No depth of the drum has been measured.');
  for (const { values } of rows) {
    if (values.length < MIN_DRUM) throw new DomainError('too_few_readings', `Each depth needs at least ${MIN_DRUM} diameters.`);
    if (values.some((v) => !(v > 0))) throw new DomainError('nonpositive_reading', 'A diameter is more than nothing.');
  }
  const of = (depth: DrumDepth): readonly number[] | null => rows.find((r) => r.depth === depth)?.values ?? null;
  const meanOf = (depth: DrumDepth): number | null => {
    const values = of(depth);
    return values ? mean(values) : null;
  };
  const spread = (depth: DrumDepth): number | null => {
    const values = of(depth);
    return values ? Math.max(...values) - Math.min(...values) : null;
  };
  const [open, middle, closed] = [meanOf('open'), meanOf('middle'), meanOf('closed')];
  const max = Math.max(...rows.flatMap((r) => r.values));
  return {
    max,
    maxDepth: rows.find((r) => r.values.includes(max))?.depth ?? 'middle',
    outOfRound: { open: spread('open'), middle: spread('middle'), closed: spread('closed') },
    taper: open !== null && closed !== null ? open - closed : null,
    barrel: open !== null && middle !== null && closed !== null ? middle - (open + closed) / 2 : null,
  };
}

export type TurningState = 'past_discard' | 'turnable' | 'usable_not_turnable' | 'no_machine_to_on_file';

export interface TurningInput {
  readonly max: number;
  readonly discard: number;
  readonly machineTo?: number | null;
  readonly scoreDepth?: number;
  readonly cleanUp?: number;
  /** First harmonic of a dial sweep inside the drum on its hub, mm TIR. */
  readonly radialWobble?: number;
}

/**
 * Whether a drum can be turned; the largest diameter already carries the ovality.
 * @returns diameter after, mm, and what follows
 * @throws DomainError limit_inconsistent where machine-to is above the discard limit
 * Source: handbook, Can it be turned?
 */
export function turning(input: TurningInput): { readonly after: number; readonly state: TurningState } {
  const machineTo = input.machineTo ?? null;
  if (machineTo !== null && machineTo > input.discard) {
    throw new DomainError('limit_inconsistent', 'Machine-to cannot lie over discard.');
  }
  const after = input.max + 2 * ((input.scoreDepth ?? 0) + (input.cleanUp ?? CLEAN_UP)) + (input.radialWobble ?? 0);
  if (input.max > input.discard + SLACK) return { after, state: 'past_discard' };
  if (machineTo === null) return { after, state: 'no_machine_to_on_file' };
  return { after, state: after <= machineTo + SLACK ? 'turnable' : 'usable_not_turnable' };
}

interface TurningOutsideInput extends Omit<TurningInput, 'max'> {
  readonly min: number;
}

/**
 * Whether a drum that a band grips can be turned on its outside: what wears a band drum, and cuts it, makes it smaller. The
 * least diameter already carries the ovality.
 * @param input figures in mm; discard and machine-to are least diameters
 * @returns diameter after, mm, and what follows
 * @throws DomainError limit_inconsistent where machine-to is below the discard limit
 * Source: handbook 20, Can it be turned?, turned inside out.
 */
export function turningOutside(input: TurningOutsideInput): { readonly after: number; readonly state: TurningState } {
  const machineTo = input.machineTo ?? null;
  if (machineTo !== null && machineTo < input.discard) {
    throw new DomainError('limit_inconsistent', 'Machine-to cannot lie under discard.');
  }
  const after = input.min - 2 * ((input.scoreDepth ?? 0) + (input.cleanUp ?? CLEAN_UP)) - (input.radialWobble ?? 0);
  if (input.min < input.discard - SLACK) return { after, state: 'past_discard' };
  if (machineTo === null) return { after, state: 'no_machine_to_on_file' };
  return { after, state: after >= machineTo - SLACK ? 'turnable' : 'usable_not_turnable' };
}

/** Largest difference between the drums of an axle after turning, mm (generic). */
export const DRUM_PAIR_DIFFERENCE = 0.25;

/**
 * The pair of an axle: the smaller drum is turned to no less than the other's figure less the allowed difference.
 * @param left diameter after turning and whether it can be turned
 * @returns difference and the diameters to turn to, mm
 */
export function drumPair(
  left: { readonly after: number; readonly turnable: boolean },
  right: { readonly after: number; readonly turnable: boolean },
  machineTo: number,
  allowed = DRUM_PAIR_DIFFERENCE,
): { readonly difference: number; readonly ok: boolean; readonly leftTo: number; readonly rightTo: number; readonly turnable: boolean } {
  const leftTo = Math.max(left.after, right.after - allowed);
  const rightTo = Math.max(right.after, left.after - allowed);
  const difference = Math.abs(left.after - right.after);
  return {
    difference,
    ok: difference <= allowed + SLACK,
    leftTo,
    rightTo,
    turnable: left.turnable && right.turnable && leftTo <= machineTo + SLACK && rightTo <= machineTo + SLACK,
  };
}
