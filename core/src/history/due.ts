import { type DueReason, fluidClass, fluidDue, refitWater, waterAfter, waterAtBoiling, waterConstant } from '../catalogue/fluids.ts';
import { type Layout, type Slot, slotById } from '../layout/graph.ts';
import { type Drawn, drawnAt, fallsShort } from './drawn.ts';
import type { JobHistory } from './jobHistory.ts';
import type { BleedPull } from '../ledger/families/bleedPulls.ts';
import type { EarlierWork } from '../ledger/families/earlierWork.ts';
import type { FluidSample } from '../ledger/families/fluidSamples.ts';
import type { FluidService } from '../ledger/families/fluidServices.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { type PartialDate, earliestDay } from '../quantity/partialDate.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';
import type { Verdict } from '../verdict/decide.ts';
import { daysAfter, yearsBetween } from '../quantity/calendar.ts';

/** Events from which a vehicle's fluid is known, over all its jobs, those that stand, in order. */
export interface FluidRecords {
  readonly services: readonly FluidService[];
  readonly pulls: readonly BleedPull[];
  /** Work done before the shop kept records; only a change of the fluid counts. */
  readonly earlier?: readonly EarlierWork[];
  /** What was measured of it. */
  readonly samples?: readonly FluidSample[];
}

/** What a vehicle's fluid is known from, as its records stand. */
export function fluidRecordsOf(history: JobHistory): FluidRecords {
  const { fluidServices, bleedPulls, earlierWork, fluidSamples } = history.records;
  return {
    services: history.active(fluidServices),
    pulls: history.active(bleedPulls),
    earlier: history.active(earlierWork),
    samples: history.active(fluidSamples),
  };
}

/** The fluid of one circuit: what it was last changed to, and a change begun since and not finished. */
export interface CircuitFluid {
  readonly circuit: number;
  /** The fluid it holds; null where no whole change is on record. */
  readonly service: FluidService | null;
  /** A newer fluid that has gone in at some bleeders and not at others. */
  readonly half: { readonly service: FluidService; readonly missing: readonly Slot[] } | null;
}

/** From what the due date of a fluid follows. */
export type FluidCause =
  | { readonly kind: 'interval'; readonly reason: DueReason }
  | { readonly kind: 'refused'; readonly refusal: DomainError }
  /** Changed before these records, of a kind that nobody knows. */
  | { readonly kind: 'earlier'; readonly on: PartialDate }
  /** Bleeders still to go. */
  | { readonly kind: 'half_done'; readonly circuit: number; readonly left: number }
  | { readonly kind: 'no_change'; readonly circuit: number };

export interface FluidState {
  /** Day of the oldest change in the vehicle; null where a circuit has none on record. */
  readonly changed: string | null;
  readonly due: string;
  readonly cause: FluidCause;
  /** Estimated water now, percent; null for fluids that take up none, and where nothing is on record. */
  readonly water: number | null;
}

/** Whether the newest pull at a bleeder left it closed, clear and without air. */
export function closedClear(pull: BleedPull | undefined): boolean {
  return pull !== undefined && pull.closed && pull.air === 'none' && pull.colour === 'clear';
}

const known = new WeakMap<readonly BleedPull[], Map<string, ReadonlyMap<string, Drawn>>>();

/** What was drawn on a job, worked out once a list, since a list is only ever replaced. */
function drawnOn(layout: Layout, pulls: readonly BleedPull[], jobId: string): ReadonlyMap<string, Drawn> {
  const key = `${layout.id}:${jobId}`;
  const mine = known.get(pulls) ?? new Map<string, ReadonlyMap<string, Drawn>>();
  const drawn =
    mine.get(key) ??
    drawnAt(
      layout,
      pulls.filter((p) => p.jobId === jobId),
    );
  mine.set(key, drawn);
  known.set(pulls, mine);
  return drawn;
}

/**
 * What is in each circuit. A fluid change is nipple by nipple: a circuit holds a fluid only once every one of
 * its bleeders was closed on it, clear and without air; begun and not finished, it shows as half done.
 * Source: handbook 05, A fluid change is nipple by nipple.
 */
export function circuitFluids(layout: Layout, { services, pulls }: FluidRecords): CircuitFluid[] {
  const bleeders = layout.slots.filter((s) => s.kind === 'bleeder');
  const circuits = [...new Set(bleeders.flatMap((b) => b.circuits))].sort((a, b) => a - b);
  return circuits.map((circuit) => {
    const mine = bleeders.filter((b) => b.circuits.includes(circuit));
    let service: FluidService | null = null;
    let half: CircuitFluid['half'] = null;
    for (const s of services) {
      const drawn = drawnOn(layout, pulls, s.jobId);
      const last = (b: Slot): BleedPull | undefined => pulls.findLast((p) => p.jobId === s.jobId && p.slotId === b.id);
      const short = (b: Slot): boolean => {
        const at = drawn.get(b.id);
        return at !== undefined && fallsShort(at);
      };
      const missing = mine.filter((b) => !closedClear(last(b)) || short(b));
      if (missing.length === 0) {
        service = s;
        half = null;
      } else if (mine.some((b) => last(b) !== undefined)) half = { service: s, missing };
    }
    return { circuit, service, half };
  });
}

/** Water by which a sample counts, percent: of its boiling point where that was measured, which outranks a pen. */
function waterOf(sample: FluidSample, dry: number, wet: number): number | null {
  return sample.boilC === null ? sample.waterPercent : waterAtBoiling(dry, wet, sample.boilC);
}

/** The worst of the newest samples of each place since a change; null where none was taken. */
export function measuredSince(samples: readonly FluidSample[], since: string, dry: number, wet: number) {
  const newest = new Map<string, FluidSample>();
  for (const s of samples) if (s.happenedAt >= since && waterOf(s, dry, wet) !== null) newest.set(s.slotId, s);
  const [worst] = [...newest.values()]
    .map((s) => ({ date: s.happenedAt.slice(0, 10), water: waterOf(s, dry, wet) ?? 0 }))
    .sort((x, y) => y.water - x.water);
  return worst ?? null;
}

function serviceState(
  service: FluidService,
  samples: readonly FluidSample[],
  vehicle: Pick<Vehicle, 'use' | 'climate'>,
  today: string,
): FluidState {
  const facts = fluidClass(service.fluidClass);
  const kind = facts?.kind ?? 'mineral';
  const changed = service.happenedAt.slice(0, 10);
  const dry = service.dryC ?? facts?.dry ?? 0;
  const wet = service.wetC ?? facts?.wet ?? 0;
  const measured = kind === 'glycol' ? measuredSince(samples, service.happenedAt, dry, wet) : null;
  const tried = toResult(() =>
    fluidDue({
      kind,
      changed,
      climate: vehicle.climate,
      lowMoisture: service.lowMoisture,
      stands: vehicle.use === 'stands',
      competition: vehicle.use === 'competition',
      dry,
      wet,
      hottest: service.hottestC,
      makerMonths: service.makerMonths,
      measured,
    }),
  );
  const years = Math.max(0, yearsBetween(changed, today));
  return {
    changed,
    due: tried.ok ? tried.value.due : changed,
    cause: tried.ok ? { kind: 'interval', reason: tried.value.reason } : { kind: 'refused', refusal: tried.refusal },
    water: kind === 'glycol' ? waterNow(years, waterConstant(vehicle.climate, service.lowMoisture), changed, measured) : null,
  };
}

/** Water now, percent: from the estimate, or on from what was measured. */
function waterNow(
  years: number,
  constant: number,
  changed: string,
  measured: { readonly date: string; readonly water: number } | null,
): number {
  if (measured === null) return waterAfter(years, constant);
  const then = yearsBetween(changed, measured.date);
  const refit = toResult(() => refitWater(then, measured.water));
  return refit.ok ? waterAfter(years, refit.value) : Math.max(measured.water, 0);
}

/**
 * A change of before these records: of a fluid that nobody can name any more, so it is dated as glycol fluid of the
 * usual kind, from the earliest day that may be meant. Source: handbook 05, Unknown is a finding.
 */
function earlierState(earlier: readonly EarlierWork[], vehicle: Pick<Vehicle, 'use' | 'climate'>): FluidState | null {
  const [last] = earlier.filter((e) => e.what === 'fluid_changed').sort((a, b) => (earliestDay(a.on) < earliestDay(b.on) ? 1 : -1));
  if (!last) return null;
  const changed = earliestDay(last.on);
  const { climate, use } = vehicle;
  const stands = use === 'stands';
  const { due } = fluidDue({
    kind: 'glycol',
    changed,
    climate,
    lowMoisture: false,
    stands,
    competition: use === 'competition',
    dry: 230,
    wet: 155,
  });
  return { changed, due, cause: { kind: 'earlier', on: last }, water: null };
}

/**
 * What is known of a vehicle's fluid now: of its circuits the one that falls due first. A circuit begun and
 * not finished, or without any change on record, is due at once.
 * @param today ISO instant or date
 * @returns null for a vehicle without fluid, and where no fluid was ever named, nor a change of before these records
 */
export function fluidState(
  layout: Layout,
  records: FluidRecords,
  vehicle: Pick<Vehicle, 'use' | 'climate'>,
  today: string,
): FluidState | null {
  const newest = records.services.at(-1);
  if (!newest) return earlierState(records.earlier ?? [], vehicle);
  const since = newest.happenedAt.slice(0, 10);
  const states = circuitFluids(layout, records).map(({ circuit, service, half }): FluidState => {
    const mine = (records.samples ?? []).filter((x) => slotById(layout, x.slotId)?.circuits.includes(circuit));
    const known = service ? serviceState(service, mine, vehicle, today) : null;
    if (half) {
      const day = half.service.happenedAt.slice(0, 10);
      return {
        changed: known?.changed ?? null,
        due: day,
        cause: { kind: 'half_done', circuit, left: half.missing.length },
        water: known?.water ?? null,
      };
    }
    return known ?? { changed: null, due: since, cause: { kind: 'no_change', circuit }, water: null };
  });
  return states.sort((a, b) => (a.due < b.due ? -1 : 1))[0] ?? null;
}

/** Years that a fluid counts as old whose change nobody knows. Source: handbook 35, Links to mend. */
const AGE_UNKNOWN = 10;

/**
 * Water that is reckoned with in each circuit, percent; 0 where what is in it takes up none. A fluid of unknown age counts as
 * ten years old.
 * @param today ISO instant or date
 */
export function waterReckoned(
  layout: Layout,
  records: FluidRecords,
  vehicle: Pick<Vehicle, 'use' | 'climate'>,
  today: string,
): ReadonlyMap<number, number> {
  const constant = waterConstant(vehicle.climate, false);
  const before = earlierState(records.earlier ?? [], vehicle)?.changed ?? null;
  const unknown = waterAfter(before === null ? AGE_UNKNOWN : Math.max(0, yearsBetween(before, today)), constant);
  const samples = records.samples ?? [];
  return new Map(
    circuitFluids(layout, records).map(({ circuit, service }) => {
      if (!service) return [circuit, unknown];
      const mine = samples.filter((x) => slotById(layout, x.slotId)?.circuits.includes(circuit));
      return [circuit, serviceState(service, mine, vehicle, today).water ?? 0];
    }),
  );
}

/** Days before it falls due from which a fluid is watched (house rule). */
const FLUID_SOON_DAYS = 60;

/** How near a fluid is to its due date. */
export function fluidVerdict(due: string, today: string): Extract<Verdict, 'past' | 'watch' | 'holds'> {
  const day = today.slice(0, 10);
  if (due <= day) return 'past';
  return due <= daysAfter(day, FLUID_SOON_DAYS) ? 'watch' : 'holds';
}
