import {
  boilingPoint,
  fluidClass,
  fluidMonths,
  NEED_OVER,
  refitWater,
  waterAfter,
  waterAtBoiling,
  waterBand,
  waterConstant,
} from '../catalogue/fluids.ts';
import { circuitFluids, type FluidRecords, fluidState, measuredSince } from '../history/due.ts';
import { type Layout, slotById } from '../layout/graph.ts';
import type { FluidService } from '../ledger/families/fluidServices.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { daysAfter, monthsAfter, yearsBetween } from '../quantity/calendar.ts';
import { toResult } from '../quantity/domainError.ts';

/** Water estimated in a fluid on a day, percent, with the edges of its band; and where it boils with that, °C. */
interface WaterOn {
  readonly day: string;
  readonly water: number;
  readonly least: number;
  readonly most: number;
  readonly boilC: number;
  readonly boilLeastC: number;
  readonly boilMostC: number;
}
/** What was measured of it. */
interface SampledOn {
  readonly day: string;
  readonly water: number;
  /** °C; null where only water was measured. */
  readonly boilC: number | null;
}
/** How much water the fluids of a circuit took up, one after the other. */
export interface WaterCourse {
  readonly circuit: number;
  /** From the change to the next one; the last on to the day it is due, or to today where that is later. */
  readonly fluids: readonly { readonly product: string; readonly points: readonly WaterOn[] }[];
  readonly now: WaterOn;
  readonly due: string;
  readonly samples: readonly SampledOn[];
  /** What the vehicle needs, °C: the hottest that is expected of its fluid and 20 more; null where it is not used hot. */
  readonly needC: number | null;
  /** The day of the interval, of the house or of the maker, whichever is sooner. */
  readonly interval: string;
}

/** A month between two points of a curve: it bends less than can be seen. */
const STEP_DAYS = 30;

/** Every whole change of a circuit, oldest first: begun and not finished, it is none. */
function wholeChanges(layout: Layout, records: FluidRecords, circuit: number): FluidService[] {
  const held = records.services.map((_, i) => {
    const until = { ...records, services: records.services.slice(0, i + 1) };
    return circuitFluids(layout, until).find((c) => c.circuit === circuit)?.service ?? null;
  });
  return [...new Set(held)].filter((s) => s !== null);
}

/**
 * The water estimated in the circuit that falls due first, over the years.
 * @param today ISO instant or date
 * @returns null where no water is estimated: nothing on record, or fluids that take up none
 * Source: handbook 60, Fluid life.
 */
export function waterCourse(
  layout: Layout,
  records: FluidRecords,
  vehicle: Pick<Vehicle, 'use' | 'climate'>,
  today: string,
): WaterCourse | null {
  const day = today.slice(0, 10);
  const state = fluidState(layout, records, vehicle, today);
  const changed = state?.changed ?? null;
  if (!state || changed === null || state.water === null) return null;
  const circuit = circuitFluids(layout, records).find((c) => c.service?.happenedAt.slice(0, 10) === changed)?.circuit;
  if (circuit === undefined) return null;
  const changes = wholeChanges(layout, records, circuit).filter((s) => fluidClass(s.fluidClass)?.kind === 'glycol');
  // Boiling points that are no pair draw no curve: the due date says so.
  const last = changes.at(-1);
  if (!last || changes.some((s) => boilingOf(s)[0] <= boilingOf(s)[1])) return null;
  const mine = (records.samples ?? []).filter((x) => slotById(layout, x.slotId)?.circuits.includes(circuit));
  const courseOf = (s: FluidService, until: string | undefined): ((at: string) => WaterOn) => {
    const from = s.happenedAt.slice(0, 10);
    const [dry, wet] = boilingOf(s);
    const taken = mine.filter((x) => x.happenedAt >= s.happenedAt && (until === undefined || x.happenedAt.slice(0, 10) < until));
    const measured = measuredSince(taken, s.happenedAt, dry, wet);
    const refit = measured && toResult(() => refitWater(yearsBetween(from, measured.date), measured.water));
    const constant = refit?.ok ? refit.value : waterConstant(vehicle.climate, s.lowMoisture);
    return (at) => {
      const years = Math.max(0, yearsBetween(from, at));
      const water = waterAfter(years, constant);
      const [least, most] = waterBand(years, constant);
      const boils = (w: number): number => boilingPoint(dry, wet, w);
      return { day: at, water, least, most, boilC: boils(water), boilLeastC: boils(most), boilMostC: boils(least) };
    };
  };
  const fluids = changes.map((s, i) => {
    const from = s.happenedAt.slice(0, 10);
    const next = changes[i + 1]?.happenedAt.slice(0, 10);
    const to = next ?? (state.due > day ? state.due : day);
    const on = courseOf(s, next);
    const points = [on(from)];
    for (let at = daysAfter(from, STEP_DAYS); at < to; at = daysAfter(at, STEP_DAYS)) points.push(on(at));
    return { product: s.product, points: [...points, on(to)] };
  });
  const months = Math.min(
    last.makerMonths ?? Infinity,
    fluidMonths({ climate: vehicle.climate, stands: vehicle.use === 'stands', competition: vehicle.use === 'competition' }),
  );
  const samples = changes.flatMap((s, i) =>
    mine.flatMap((x): SampledOn[] => {
      const until = changes[i + 1]?.happenedAt;
      if (x.happenedAt < s.happenedAt || (until !== undefined && x.happenedAt >= until)) return [];
      const [dry, wet] = boilingOf(s);
      const water = x.boilC === null ? x.waterPercent : waterAtBoiling(dry, wet, x.boilC);
      return water === null ? [] : [{ day: x.happenedAt.slice(0, 10), water, boilC: x.boilC }];
    }),
  );
  return {
    ...{ circuit, fluids, due: state.due, samples },
    now: courseOf(last, undefined)(day),
    needC: last.hottestC === null ? null : last.hottestC + NEED_OVER,
    interval: monthsAfter(last.happenedAt.slice(0, 10), months),
  };
}

/** Boiling points of a fluid, dry and wet, °C: of the product, or of its class. */
function boilingOf(s: FluidService): readonly [number, number] {
  const facts = fluidClass(s.fluidClass);
  return [s.dryC ?? facts?.dry ?? 0, s.wetC ?? facts?.wet ?? 0];
}
