import type { MeasurementId } from '@dauer/core/catalogue';
import { useSessionStorage } from '@vueuse/core';
import { ref } from 'vue';
import { useJob } from './job.ts';

/** Something to be gauged at a place; `proving`: as fitted, for a proof, `afresh` where what was taken has lapsed. */
interface Wanted {
  readonly slotId: string;
  readonly measurement: MeasurementId;
  readonly proving?: boolean;
  readonly afresh?: boolean;
}

/** What is to be gauged next at a place, where somebody comes along the route or from a proof. */
export const wanted = ref<Wanted | null>(null);

/** Goes to a stop of the route. */
export function goTo({ slotId, measurement, proving = false, afresh = false }: Wanted): void {
  wanted.value = { slotId, measurement, proving, afresh };
  useJob().picked = slotId;
}

/** Stops that were passed over for now, on this device: "slot|measurement". */
export const skipped = useSessionStorage<string[]>('dauer.skipped', []);
export const skippedStops = (): ReadonlySet<string> => new Set(skipped.value);
