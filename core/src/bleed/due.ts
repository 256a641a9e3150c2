import type { FluidService, Vehicle } from '../records/types.ts';
import { attempt } from '../refusal.ts';
import { DUE_WORD, fluidClass, fluidDue, waterAfter, waterConstant, yearsBetween } from './fluid.ts';

export interface FluidState {
  readonly changed: string;
  readonly due: string;
  readonly why: string;
  /** Estimated water now, percent; null for fluids that take up none. */
  readonly water: number | null;
}

/**
 * What is known of a vehicle's fluid now.
 * @param service its newest fluid service
 * @param today ISO instant or date
 */
export function fluidState(service: FluidService, vehicle: Pick<Vehicle, 'use' | 'climate'>, today: string): FluidState {
  const facts = fluidClass(service.fluidClass);
  const kind = facts?.kind ?? 'mineral';
  const changed = service.happenedAt.slice(0, 10);
  const tried = attempt(() =>
    fluidDue({
      kind,
      changed,
      climate: vehicle.climate,
      lowMoisture: service.lowMoisture,
      stands: vehicle.use === 'stands',
      competition: vehicle.use === 'competition',
      dry: facts?.dry ?? 0,
      wet: facts?.wet ?? 0,
    }),
  );
  const years = Math.max(0, yearsBetween(changed, today));
  return {
    changed,
    due: tried.ok ? tried.value.due : changed,
    why: tried.ok ? DUE_WORD[tried.value.reason] : tried.refusal.message,
    water: kind === 'glycol' ? waterAfter(years, waterConstant(vehicle.climate, service.lowMoisture)) : null,
  };
}
