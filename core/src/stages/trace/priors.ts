import { waterLikely } from '../../catalogue/fluids.ts';
import type { FaultKind, Shift } from '../../catalogue/trace/tables.ts';
import type { Reservoir } from '../../layout/reach.ts';

/** What is known of the vehicle before anything is observed: it shifts the priors. */
export interface TraceContext {
  /** Years since each place was renewed, resealed or open; by slot id. */
  readonly years: ReadonlyMap<string, number>;
  /** For what has no place of its own. */
  readonly yearsOfAll: number;
  /** Water that is reckoned with, percent, by circuit; where nothing is told of it, fluid is as old as the context says. */
  readonly water?: ReadonlyMap<number, number>;
  readonly shifts: ReadonlySet<Shift>;
  /** Places at which somebody worked within the last months. */
  readonly fresh: ReadonlySet<string>;
  /** By which the odds of a kind of fault are multiplied, from the shop's own cases; none where not named. */
  readonly times?: ReadonlyMap<string, number>;
}

/** Priors per year count for no more years than these. */
const MAX_YEARS = 40;

/** No prior is taken for certain before anything was looked at. */
const MAX_LIKELY = 0.6;

/** A prior with the years and the context: 1 − (1 − q)^years, its odds multiplied by what applies. */
export function priorOf(kind: FaultKind, years: number, applies: ReadonlySet<Shift>, times: number): number {
  const plain = kind.per === 'year' ? 1 - (1 - kind.prior) ** Math.min(MAX_YEARS, Math.max(0.25, years)) : kind.prior;
  const odds = Object.entries(kind.shifts).reduce(
    (o, [shift, by]) => (applies.has(shift as Shift) ? o * by : o),
    (times * plain) / (1 - plain),
  );
  return Math.min(MAX_LIKELY, odds / (1 + odds));
}

/** Water of a fluid that nobody has told anything of, percent: more than is borne. */
const WATER_UNKNOWN = 6;

/** Nothing is ruled out before anything was looked at. */
const LEAST_LIKELY = 0.0005;

/** How likely water is, by the circuit of a reservoir that has the most of it. Source: handbook 35, Links to mend (fluid_water). */
export function waterPrior(kind: FaultKind, of: Reservoir, context: TraceContext, times: number): number {
  const { water } = context;
  const share = water
    ? Math.max(...of.circuits.map((c) => waterLikely(water.get(c) ?? WATER_UNKNOWN)))
    : Number(context.shifts.has('old_fluid'));
  const odds = (times * kind.prior) / (1 - kind.prior);
  return Math.max(LEAST_LIKELY, (share * odds) / (1 + odds));
}
