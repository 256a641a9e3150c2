import { fluidClass, waterAfter, waterConstant } from '../catalogue/fluids.ts';
import { circuitFluids, type FluidRecords, fluidState } from '../history/due.ts';
import type { Layout } from '../layout/graph.ts';
import type { FluidService } from '../ledger/families/fluidServices.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';
import { daysAfter, yearsBetween } from '../quantity/calendar.ts';

/** Water estimated in a fluid on a day, percent. */
interface WaterOn {
  readonly day: string;
  readonly water: number;
}
/** How much water the fluids of a circuit took up, one after the other. */
export interface WaterCourse {
  readonly circuit: number;
  /** From the change to the next one; the last on to the day it is due, or to today where that is later. */
  readonly fluids: readonly { readonly product: string; readonly points: readonly WaterOn[] }[];
  readonly now: WaterOn;
  readonly due: string;
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
  const fluids = changes.map((s, i) => {
    const from = s.happenedAt.slice(0, 10);
    const next = changes[i + 1]?.happenedAt.slice(0, 10);
    const to = next ?? (state.due > day ? state.due : day);
    const constant = waterConstant(vehicle.climate, s.lowMoisture);
    const on = (at: string): WaterOn => ({ day: at, water: waterAfter(Math.max(0, yearsBetween(from, at)), constant) });
    const points = [on(from)];
    for (let at = daysAfter(from, STEP_DAYS); at < to; at = daysAfter(at, STEP_DAYS)) points.push(on(at));
    return { product: s.product, points: [...points, on(to)] };
  });
  return { circuit, fluids, now: { day, water: state.water }, due: state.due };
}
